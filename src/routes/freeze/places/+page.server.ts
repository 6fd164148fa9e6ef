import { theApp } from '$lib/server/app.ts';
import { coldPlaces } from '$lib/server/views/cold.ts';
import { actionsFor } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/freeze/places');

export const load = (() => {
  const app = theApp();
  return {
    view: coldPlaces(app),
    pieceNames: Object.fromEntries(app.store.projections.livePieces().map(({ state }) => [state.id, state.made.name]))
  };
}) satisfies PageServerLoad;
