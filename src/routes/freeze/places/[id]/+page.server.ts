import { error } from '@sveltejs/kit';
import { EmberError } from '$lib/core/errors.ts';
import { theApp } from '$lib/server/app.ts';
import { placeView } from '$lib/server/views/cold.ts';
import { errorSentence } from '$lib/words/errors.ts';
import type { PageServerLoad } from './$types';

export const load = (({ params }) => {
  const app = theApp();
  try {
    return {
      view: placeView(app, params.id),
      pieceNames: Object.fromEntries(app.store.projections.livePieces().map(({ state }) => [state.id, state.made.name]))
    };
  } catch (trouble) {
    if (!(trouble instanceof EmberError)) throw trouble;
    error(404, errorSentence(trouble.code, trouble.details));
  }
}) satisfies PageServerLoad;
