import { error } from '@sveltejs/kit';
import { EmberError } from '$lib/core/errors.ts';
import { ROUTES } from '$lib/core/codes/window.ts';
import { readInstant } from '$lib/core/measure/day.ts';
import { theApp } from '$lib/server/app.ts';
import { nextWanted, roadsView } from '$lib/server/views/roads.ts';
import { pieceView } from '$lib/server/views/piece.ts';
import { errorSentence } from '$lib/words/errors.ts';
import type { PageServerLoad } from './$types';

export const load = (({ params, url }) => {
  const app = theApp();
  const house = app.store.projections.currentHouse();
  try {
    const view = pieceView(app, params.id);
    const text = url.searchParams.get('by');
    const by = text ? readInstant(text, house.zone, 'by') : nextWanted(house, app.clock.now());
    const route = ROUTES.find((each) => each === url.searchParams.get('want')) ?? view.wanted;
    return { verdict: view.verdict, asked: roadsView(app, params.id, route, by) };
  } catch (trouble) {
    if (!(trouble instanceof EmberError)) throw trouble;
    error(trouble.code === 'record.not-found' ? 404 : 400, errorSentence(trouble.code, trouble.details));
  }
}) satisfies PageServerLoad;
