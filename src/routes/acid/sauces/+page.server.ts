import { toldHere } from '$lib/server/facts/told.ts';
import { theApp } from '$lib/server/app.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { bookOf, cardOf } from '$lib/server/facts/book.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/acid/sauces');

export const load = (() => {
  const { store, clock } = theApp();
  const house = store.projections.currentHouse();
  return {
    sauces: bookOf(house, 'sauce').map((page) => ({
      ...cardOf(page, page.kind),
      told: toldHere(house, page, clock.now())
    }))
  };
}) satisfies PageServerLoad;
