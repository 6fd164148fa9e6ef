import { scaleIntervalOf } from '$lib/core/bench/breakdown/mass.ts';
import { error } from '@sveltejs/kit';
import { settingsOf } from '$lib/core/bench/cure/recipe.ts';
import { swapsOfLines } from '$lib/core/ingredients/kitchen.ts';
import { toldHere } from '$lib/server/facts/told.ts';
import { theApp } from '$lib/server/app.ts';
import { pieceChoices } from '$lib/server/facts/choices.ts';
import { bookOf } from '$lib/server/facts/book.ts';
import { scaledRecipe } from '$lib/server/views/cure.ts';
import { actionsFor } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

// A next version is written here as well.
export const actions = { ...actionsFor('/cure/recipes'), ...actionsFor('/cure/recipes/[id]') };

/** Grams of fish a recipe is shown for where no piece is ticked. */
const PLAIN_GRAMS = 1000;

export const load = (({ params, url }) => {
  const app = theApp();
  const recipe = bookOf(app.store.projections.currentHouse(), 'recipe').find(({ id }) => id === params.id);
  if (!recipe) error(404, 'There is no such recipe in this book.');
  const pieces = pieceChoices(app).filter(({ may, form }) => may.includes('cure') && form !== 'live');
  const known = new Set(pieces.map(({ id }) => id));
  const picked = url.searchParams.getAll('pieces').filter((id) => known.has(id));
  const version = Number(url.searchParams.get('version')) || undefined;
  const body =
    recipe.history.findLast((each) => each.version === (version ?? recipe.version)) ?? recipe.history.at(-1)!;
  const house = app.store.projections.currentHouse();
  return {
    recipe,
    version: body.version,
    body: body.page,
    told: toldHere(house, body.page, app.clock.now()),
    swaps: swapsOfLines(house.ingredients, body.page.lines, app.clock.now()),
    sets: settingsOf(body.page),
    pieces,
    picked,
    interval: scaleIntervalOf(house),
    scaled: scaledRecipe(app, {
      recipe: recipe.id,
      version: body.version,
      pieces: picked,
      mass: { si: PLAIN_GRAMS, unit: 'g', typed: `${PLAIN_GRAMS} g` }
    })
  };
}) satisfies PageServerLoad;
