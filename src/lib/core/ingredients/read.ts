import { EmberError } from '../errors.ts';
import { ALLERGENS, type Allergen } from '../codes/allergens.ts';
import type { LinkedLine } from './ingredient.ts';
import { ingredientNamed, ingredientsOf, type HouseIngredients } from './kitchen.ts';

/** What stands behind the sign of an ingredient that is not on the list. */
const NOTHING = 'nothing';
const NOBODY_KNOWS = '?';
const CANDIDATES = 6;

/** An allergen by its name as people write it: "Tree nuts", "mollusc"; null where no list has it. */
export function allergenNamed(text: string): Allergen | null {
  const plain = text.trim().toLowerCase().replace(/\s+/g, '-');
  return ALLERGENS.find((each) => each === plain || `${each}s` === plain) ?? null;
}

function held(text: string, field: string): Pick<LinkedLine, 'holds' | 'mayHold'> {
  const said = text.trim().toLowerCase();
  if (said === NOBODY_KNOWS || said === '') return { holds: null, mayHold: [] };
  if (said === NOTHING) return { holds: [], mayHold: [] };
  const holds: Allergen[] = [];
  const mayHold: Allergen[] = [];
  for (const part of said.split('+').map((each) => each.trim())) {
    const isMay = part.startsWith('may ');
    const allergen = allergenNamed(isMay ? part.slice(4) : part);
    if (!allergen)
      throw new EmberError('form.value-unknown', { field, seen: part, candidates: [NOTHING, ...ALLERGENS] });
    (isMay ? mayHold : holds).push(allergen);
  }
  return { holds, mayHold };
}

/**
 * One ingredient as it is written in a line: a name on the list, or another with what it holds behind an equals sign
 * ("Shiso oil = sesame + may soy", "House salt = nothing", "Powder = ?" where nobody knows: then it is asked after wherever it is told).
 *
 * @throws EmberError `ingredient.unknown` with names that are near it, `form.value-unknown` for an allergen on no list
 * @example
 * readIngredient('Soy sauce, dark', { own: {}, swaps: [] }, 'lines').ingredient // => 'soy-sauce'
 */
export function readIngredient(text: string, house: HouseIngredients, field: string): LinkedLine {
  const [name = '', ...rest] = text.split('=');
  const what = name.trim().slice(0, 60);
  if (what === '') throw new EmberError('form.value-unknown', { field, seen: text.slice(0, 60) });
  if (rest.length > 0) return { what, ingredient: '', ...held(rest.join('='), field) };
  const found = ingredientNamed(house, what);
  if (!found) throw new EmberError('ingredient.unknown', { field, seen: what, candidates: nearNames(house, what) });
  return { what, ingredient: found.id, holds: null, mayHold: [] };
}

/** Names on the list that share a word with what was typed. */
function nearNames(house: HouseIngredients, text: string): string[] {
  const words = text
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .filter((word) => word.length > 2);
  return ingredientsOf(house)
    .filter(({ name, alsoCalled }) =>
      words.some((word) => [name, ...alsoCalled].some((each) => each.toLowerCase().includes(word)))
    )
    .slice(0, CANDIDATES)
    .map(({ name }) => name);
}

/** A list of ingredients with commas between, each as `readIngredient` reads it. */
export const readIngredients = (text: string, house: HouseIngredients, field: string): LinkedLine[] =>
  text
    .split(',')
    .filter((each) => each.trim() !== '')
    .map((each) => readIngredient(each, house, field));

/**
 * A line's ingredient as it is typed: what `readIngredient` reads back.
 *
 * @example
 * ingredientText({ what: 'Shiso oil', ingredient: '', holds: ['sesame'], mayHold: ['soy'] }) // => 'Shiso oil = sesame + may soy'
 */
export function ingredientText({ what, ingredient, holds, mayHold }: LinkedLine): string {
  if (ingredient !== '' || (holds === null && mayHold.length === 0)) return what;
  const said = [...(holds ?? []), ...mayHold.map((each) => `may ${each}`)];
  return `${what} = ${said.length > 0 ? said.join(' + ') : NOTHING}`;
}
