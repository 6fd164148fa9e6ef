import { recipesAsFile } from '$lib/core/bench/cure/recipe.ts';
import { theApp } from '$lib/server/app.ts';
import { recipeBook, recipeById } from '$lib/server/facts/recipes.ts';
import type { RequestHandler } from './$types';

/** Recipes as a file: all that are in the book, or the one named. */
export const GET: RequestHandler = ({ url }) => {
  const house = theApp().store.projections.currentHouse();
  const id = url.searchParams.get('id');
  const recipes = id ? [recipeById(house, id)] : recipeBook(house).filter(({ withdrawn }) => !withdrawn);
  return new Response(recipesAsFile(recipes), {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': `attachment; filename="${id ?? 'ember-tide-recipes'}.json"`
    }
  });
};
