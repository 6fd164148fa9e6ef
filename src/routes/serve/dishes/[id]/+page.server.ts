import { error } from '@sveltejs/kit';
import { theApp } from '$lib/server/app.ts';
import { bookOf } from '$lib/server/facts/book.ts';
import { scaledDish, scaledDishFields, toldOfDish } from '$lib/server/facts/dishes.ts';
import { toldAs } from '$lib/server/facts/told.ts';
import { actionsFor } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

// A next version is written here as well.
export const actions = { ...actionsFor('/serve/dishes'), ...actionsFor('/serve/dishes/[id]') };

export const load = (({ params, url }) => {
  const { store, clock } = theApp();
  const house = store.projections.currentHouse();
  const dish = bookOf(house, 'dish').find(({ id }) => id === params.id);
  if (!dish) error(404, 'There is no such dish in this book.');
  const version = Number(url.searchParams.get('version'));
  const asked = scaledDishFields.safeParse({ dish: dish.id, portions: url.searchParams.get('portions') });
  const scaled = scaledDish(store, {
    ...(asked.success ? asked.data : scaledDishFields.parse({ dish: dish.id })),
    version: dish.history.some((each) => each.version === version) ? version : dish.version
  });
  return { dish, scaled, told: toldAs(house, toldOfDish(house, scaled.body, clock.now())) };
}) satisfies PageServerLoad;
