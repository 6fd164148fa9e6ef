import { shipped } from '../../../shipped.ts';
import type { Recipe, RecipeBody } from '../../../activity/cure/recipe-body.ts';
import { CURE_RECIPES } from './cures.ts';
import { WET_RECIPES } from './wet.ts';

/** Recipes that ship, each at its first version. */
export const SHIPPED_RECIPES: readonly Recipe[] = shipped<RecipeBody>([...CURE_RECIPES, ...WET_RECIPES]);
