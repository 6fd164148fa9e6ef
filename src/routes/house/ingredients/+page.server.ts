import { toldHere } from '$lib/server/facts/told.ts';
import { theApp } from '$lib/server/app.ts';
import { bookOf } from '$lib/server/facts/book.ts';
import { actionsFor } from '$lib/server/forms.ts';
import { ingredientRows } from '$lib/server/facts/ingredients.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/house/ingredients');

export const load = (({ url }) => {
  const { store, clock } = theApp();
  const house = store.projections.currentHouse();
  const now = clock.now();
  const rows = ingredientRows(house, now);
  const books = [
    ...bookOf(house, 'recipe').map((each) => ({ ...each, path: `/cure/recipes/${each.id}` })),
    ...bookOf(house, 'sauce').map((each) => ({ ...each, path: `/acid/sauces/${each.id}` }))
  ].filter(({ withdrawn }) => !withdrawn);
  const chosen = rows.find(({ id }) => id === url.searchParams.get('id')) ?? null;
  return {
    rows,
    chosen,
    adding: url.searchParams.has('add'),
    /** What is made with the one chosen. */
    madeWith: chosen
      ? books
          .filter(({ lines }) => lines.some(({ ingredient }) => ingredient === chosen.id))
          .map((book) => ({ name: book.name, path: book.path, told: toldHere(house, book, now) }))
      : []
  };
}) satisfies PageServerLoad;
