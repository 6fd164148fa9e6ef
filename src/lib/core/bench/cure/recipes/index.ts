import type { Recipe, RecipeBody } from '../recipe.ts';
import { CURE_RECIPES } from './cures.ts';
import { WET_RECIPES } from './wet.ts';

const idOf = (name: string) =>
  name
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');

/** Recipes that ship, each at its first version. */
export const SHIPPED_RECIPES: readonly Recipe[] = [...CURE_RECIPES, ...WET_RECIPES].map((recipe: RecipeBody) => ({
  ...recipe,
  id: idOf(recipe.name),
  version: 1
}));
