import { INGREDIENTS } from '../../core/ingredients/catalogue.ts';
import type { Ingredient } from '../../core/ingredients/ingredient.ts';
import { ingredientById, ingredientsOf, usesOf } from '../../core/ingredients/kitchen.ts';
import type { HouseState } from '../../core/record/house.ts';

/** One ingredient as the list shows it. */
export interface IngredientRow extends Ingredient {
  readonly shipped: boolean;
  /** The house wrote something of it. */
  readonly own: boolean;
  /** What is used for it now: its name, empty where it is left out; null where it is itself. */
  readonly instead: {
    readonly name: string;
    readonly since: number;
    readonly by: string;
    readonly reason: string;
  } | null;
  /** Used for it within the days a batch stands, and told as what may be in it. */
  readonly lately: readonly string[];
}

/** All ingredients of the house by name; what the house is out of stands first. */
export function ingredientRows(house: Pick<HouseState, 'ingredients'>, at: number): IngredientRow[] {
  const book = house.ingredients;
  const named = (id: string) => ingredientById(book, id)?.name ?? '';
  return ingredientsOf(book)
    .map((each): IngredientRow => {
      const { now, lately } = usesOf(book, each.id, at);
      const swap = book.swaps.findLast(({ id, to }) => id === each.id && to === null);
      const own = book.own[each.id];
      return {
        ...each,
        shipped: INGREDIENTS.some(({ id }) => id === each.id),
        own: own !== undefined && !own.withdrawn,
        instead: swap ? { name: named(now), since: swap.from, by: swap.by, reason: swap.reason } : null,
        lately: lately.filter((id) => id !== each.id).map(named)
      };
    })
    .sort((a, b) => Number(b.instead !== null) - Number(a.instead !== null));
}
