import { EmberError } from '../../core/errors.ts';
import { SHIPPED_RECIPES } from '../../core/bench/cure/recipes/index.ts';
import type { Recipe, RecipeBody } from '../../core/activity/cure/recipe-body.ts';
import type { HouseState } from '../../core/record/house.ts';

/** A recipe as the book shows it. */
export interface BookRecipe extends Recipe {
  /** It ships; the house may have versions of its own over it. */
  readonly shipped: boolean;
  readonly withdrawn: boolean;
  readonly history: readonly {
    readonly version: number;
    readonly recipe: RecipeBody;
    readonly reason: string;
    readonly at: number | null;
    readonly by: string | null;
  }[];
  readonly notes: readonly {
    readonly version: number;
    readonly note: string;
    readonly at: number;
    readonly by: string;
  }[];
}

/** All recipes: those that ship, and the house's own and own versions over them. */
export function recipeBook(house: HouseState): BookRecipe[] {
  const ids = new Set([...SHIPPED_RECIPES.map(({ id }) => id), ...Object.keys(house.recipes)]);
  return [...ids].map((id) => {
    const shipped = SHIPPED_RECIPES.find((recipe) => recipe.id === id) ?? null;
    const own = house.recipes[id]?.versions ?? [];
    const last = own.at(-1);
    const body: RecipeBody = last?.recipe ?? shipped!;
    return {
      ...body,
      id,
      version: last?.version ?? 1,
      shipped: shipped !== null,
      withdrawn: last?.withdrawn ?? false,
      history: [
        ...(shipped ? [{ version: 1, recipe: shipped as RecipeBody, reason: '', at: null, by: null }] : []),
        ...own.map(({ version, recipe, reason, at, by }) => ({ version, recipe, reason, at, by }))
      ],
      notes: house.recipeNotes
        .filter((note) => note.id === id)
        .map(({ version, note, at, by }) => ({ version, note, at, by }))
    };
  });
}

/**
 * One recipe of the book.
 *
 * @throws EmberError `recipe.unknown`
 */
export function recipeById(house: HouseState, id: string): BookRecipe {
  const found = recipeBook(house).find((recipe) => recipe.id === id);
  if (!found) throw new EmberError('recipe.unknown', { field: 'recipe', seen: id });
  return found;
}
