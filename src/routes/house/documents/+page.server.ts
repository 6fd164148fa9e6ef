import { documentState } from '$lib/core/codes/documents.ts';
import { theApp } from '$lib/server/app.ts';
import { actionsFor } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/house/documents');

export const load = (() => {
  const { store, clock } = theApp();
  const house = store.projections.currentHouse();
  const now = clock.now();
  return {
    documents: Object.values(house.documents)
      .map((document) => ({ ...document, state: documentState(document, now, house) }))
      .sort((a, b) => Number(a.withdrawn) - Number(b.withdrawn) || (a.expiresOn < b.expiresOn ? -1 : 1))
  };
}) satisfies PageServerLoad;
