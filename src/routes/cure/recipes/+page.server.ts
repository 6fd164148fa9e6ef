import { theApp } from '$lib/server/app.ts';
import { recipeBook } from '$lib/server/facts/recipes.ts';
import { actionsFor } from '$lib/server/forms.ts';
import type { PageServerLoad } from './$types';

export const actions = actionsFor('/cure/recipes');

export const load = (() => {
  const book = recipeBook(theApp().store.projections.currentHouse());
  return {
    recipes: book.map(({ id, name, school, goodFor, version, shipped, withdrawn, history, notes }) => ({
      id,
      name,
      school,
      goodFor,
      version,
      own: !shipped || history.length > 1,
      withdrawn,
      notes: notes.length
    }))
  };
}) satisfies PageServerLoad;
