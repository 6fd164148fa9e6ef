import { endingDocuments } from '$lib/core/codes/documents.ts';
import { theApp } from '$lib/server/app.ts';
import { actionsNamed } from '$lib/server/forms.ts';
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

/** What is done in its row, without going to its bench. */
export const actions = actionsNamed([
  'discard-piece',
  'bin-tub',
  'read-place',
  'read-cold',
  'read-freeze',
  'end-acid',
  'end-cure',
  'step-cure',
  'look-aged',
  'close-excursion'
]);
