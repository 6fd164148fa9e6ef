import { theApp } from '$lib/server/app.ts';
import { bookOf, cardOf } from '$lib/server/facts/book.ts';
import { toldHere } from '$lib/server/facts/told.ts';
import { actionsFor } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/cure/recipes');

export const load = (() => {
  const { store, clock } = theApp();
  const house = store.projections.currentHouse();
  return {
    recipes: bookOf(house, 'recipe').map((page) => ({
      ...cardOf(page, page.school),
      told: toldHere(house, page, clock.now())
    }))
  };
}) satisfies PageServerLoad;
