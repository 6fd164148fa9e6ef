import { toldTogether, type LinkedLine, type Told } from '../../core/ingredients/ingredient.ts';
import { LIQUID_INGREDIENTS, toldOfLines } from '../../core/ingredients/kitchen.ts';
import { readIngredients } from '../../core/ingredients/read.ts';
import type { LiquidPart } from '../../core/bench/acid/liquid.ts';
import type { RecipeBody } from '../../core/activity/cure/recipe-body.ts';
import type { School } from '../../core/activity/cure/lists.ts';
import type { HouseState } from '../../core/record/house.ts';
import { allergensAdded } from '../../core/codes/allergens.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import { UNSAID } from '../../words/notices.ts';

const asking = (what: string): LinkedLine => ({ what, ingredient: '', holds: null, mayHold: [] });

/**
 * What a cure puts on fish: its recipe's lines, and what was laid on besides. A marinade is paste or soy of some kind: without a
 * recipe or an ingredient, nobody said which.
 *
 * @throws EmberError `ingredient.unknown`, `form.value-unknown` for what was laid on besides
 */
export function toldOfCure(
  house: HouseState,
  recipe: Pick<RecipeBody, 'lines' | 'allergens'> | null,
  school: School,
  also: string,
  at: number
): Told {
  const besides = readIngredients(also, house.ingredients, 'also');
  const isUnsaid = school === 'marinade' && recipe === null && besides.length === 0;
  return toldTogether([
    toldOfLines(house.ingredients, recipe?.lines ?? [], at, recipe?.allergens),
    toldOfLines(house.ingredients, [...besides, ...(isUnsaid ? [asking(UNSAID.marinade)] : [])], at)
  ]);
}

/**
 * What a liquid puts on fish: what it is sour with, and what else is in it. Oil is asked after unless one is named.
 *
 * @throws EmberError `ingredient.unknown`, `form.value-unknown` for what else is in it
 */
export function toldOfAcid(house: HouseState, liquid: readonly LiquidPart[], also: string, at: number): Told {
  const besides = readIngredients(also, house.ingredients, 'also');
  const lines = liquid.flatMap((part): LinkedLine[] => {
    if (part.what === 'sour') {
      const id = part.id ?? '';
      return [{ ...asking(id), ingredient: LIQUID_INGREDIENTS[id] ?? '' }];
    }
    const isOil = part.what === 'oil' && !besides.some(({ what }) => /\boil\b/i.test(what));
    return isOil ? [asking(UNSAID.oil)] : [];
  });
  return toldOfLines(house.ingredients, [...lines, ...besides], at);
}

/** What is told of lines of a recipe or a sauce just now, as the rule book of the house wants it told. */
export function toldHere(
  house: HouseState,
  book: Pick<RecipeBody, 'allergens'> & { readonly lines: readonly LinkedLine[] },
  at: number
): Told {
  return toldAs(house, toldOfLines(house.ingredients, book.lines, at, book.allergens));
}

/** The same of what was added up already. */
export function toldAs(house: HouseState, told: Told): Told {
  const profile = profileById(house.profile, house.profiles);
  const names = (all: readonly string[]) => allergensAdded(all, profile).map(({ allergen }) => allergen);
  return { holds: names(told.holds), mayHold: names(told.mayHold), unsaid: told.unsaid };
}
