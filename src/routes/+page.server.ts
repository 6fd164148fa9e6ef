import { endingDocuments } from '$lib/core/codes/documents.ts';
import { theApp } from '$lib/server/app.ts';
import { rowActions } from '$lib/server/row-deeds.ts';
import { nowView } from '$lib/server/views/now.ts';
import type { PageServerLoad } from './$types';

export const load = (() => {
  const app = theApp();
  const house = app.store.projections.currentHouse();
  return {
    view: nowView(app),
    ending: endingDocuments(Object.values(house.documents), app.clock.now(), house).map(({ document, state }) => ({
      id: document.id,
      number: document.number,
      expiresOn: document.expiresOn,
      state
    }))
  };
}) satisfies PageServerLoad;

export const actions = rowActions;
