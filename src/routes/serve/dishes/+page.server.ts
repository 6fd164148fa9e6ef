import { theApp } from '$lib/server/app.ts';
import { bookOf, cardOf } from '$lib/server/facts/book.ts';
import { toldOfDish } from '$lib/server/facts/dishes.ts';
import { toldAs } from '$lib/server/facts/told.ts';
import { actionsFor } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/serve/dishes');

export const load = (() => {
  const { store, clock } = theApp();
  const house = store.projections.currentHouse();
  return {
    dishes: bookOf(house, 'dish').map((page) => ({
      ...cardOf(page, 'dish'),
      told: toldAs(house, toldOfDish(house, page, clock.now()))
    }))
  };
}) satisfies PageServerLoad;
