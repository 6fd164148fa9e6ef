import { z } from 'zod';
import {
  BOARDS,
  COMPONENT_KINDS,
  dishBody,
  RICE_FORMS,
  USUAL_BENCH_SECONDS,
  type DishLine
} from '../../core/activity/book/dish-body.ts';
import { STYLE_IDS } from '../../core/activity/slice/lists.ts';
import { ROUTES } from '../../core/codes/window.ts';
import { EmberError } from '../../core/errors.ts';
import { speciesIn } from '../../core/fish/house-species.ts';
import {
  choice,
  neededText,
  numeric,
  openChoice,
  optionalNumeric,
  shortText,
  ticked
} from '../../core/fields/field.ts';
import { readAs } from '../../core/fields/trouble.ts';
import { readIngredient } from '../../core/ingredients/read.ts';
import type { HouseState } from '../../core/record/house.ts';
import { bookOf, pageOf } from '../facts/book.ts';
import { dishesIn } from '../facts/dishes.ts';
import { namedFish, speciesMeant } from '../facts/pass.ts';
import { claimsOf } from '../../core/service/table.ts';
import { operation } from './operation.ts';
import { noteOn, pageFields, pageToWrite, takeIn, textLines, withdraw, written } from './pages.ts';

/** The fish a line may be, "Turbot or halibut", in that order; none where one of them means no one species. */
function speciesFrom(what: string, house: HouseState): string[] {
  const meant = what.split(/\s+or\s+/i).map((name) => speciesMeant(name.trim(), house));
  return meant.some((id) => id === null) ? [] : [...new Set(meant as string[])];
}
/** How it is cut, by the first word of a cut's name or by its id. @throws EmberError `form.value-unknown` */
function cutFrom(cut: string): DishLine['style'] {
  if (cut === '') return '';
  const found = STYLE_IDS.find((id) => id === cut.toLowerCase());
  if (!found) throw new EmberError('form.value-unknown', { field: 'lines', seen: cut, candidates: STYLE_IDS });
  return found;
}
/** What rice is formed to. @throws EmberError `form.value-unknown` */
function formFrom(form: string): DishLine['form'] {
  if (form === '') return '';
  const found = RICE_FORMS.find((id) => id === form.toLowerCase().replace(/\s+/g, '-'));
  if (!found) throw new EmberError('form.value-unknown', { field: 'lines', seen: form, candidates: RICE_FORMS });
  return found;
}

/**
 * One component of a dish: "Turbot; 60; fish", "Turbot or halibut; 5 x 13; fish; translucent", "Rice; 5 x 14; rice; topping", "Harbour lime; 12; sauce", an ingredient of the list, "Olive oil; 2", or one that can be left off,
 * "Chives; 2; garnish". Grams are of one portion.
 *
 * @throws EmberError `form.value-unknown` naming the part, `recipe.unknown` for a page the book does not have,
 *   `ingredient.unknown`
 */
export function dishLineFrom(text: string, house: HouseState): DishLine {
  const [what = '', amount = '', said = 'ingredient', cut = ''] = text.split(';').map((part) => part.trim());
  const kind = COMPONENT_KINDS.find((each) => each === said.toLowerCase());
  const [, times, each] = /^(?:(\d{1,3})\s*[x×]\s*)?(\d+(?:[.,]\d+)?)\s*g?$/i.exec(amount) ?? [];
  const count = times === undefined ? null : Number(times);
  const grams = Number(each?.replace(',', '.') ?? NaN) * (count ?? 1);
  if (what === '' || !kind || !Number.isFinite(grams)) {
    const candidates = kind ? undefined : COMPONENT_KINDS;
    throw new EmberError('form.value-unknown', { field: 'lines', seen: text.slice(0, 60), candidates });
  }
  const none = { species: [], style: '' as const, count: null, form: '' as const };
  const plain = { what, ingredient: '', holds: null, mayHold: [], kind, page: '', grams, ...none };
  if (kind === 'fish') return { ...plain, count, style: cutFrom(cut), species: speciesFrom(what, house) };
  if (kind === 'rice') return { ...plain, count, form: formFrom(cut) };
  if (count !== null || cut !== '')
    throw new EmberError('form.value-unknown', { field: 'lines', seen: text.slice(0, 60) });
  if (kind === 'ingredient' || kind === 'garnish')
    return { ...plain, ...readIngredient(what, house.ingredients, 'lines') };
  const page = bookOf(house, kind).find(
    ({ id, name, withdrawn }) => !withdrawn && (id === what || name.toLowerCase() === what.toLowerCase())
  );
  if (!page) throw new EmberError('recipe.unknown', { field: 'lines', seen: what });
  return { ...plain, what: page.name, page: page.id };
}

export const setDish = operation({
  name: 'set-dish',
  page: '/serve/dishes',
  summary: 'Write a dish, or a new version of one: its name, and what comes on one portion. What was is kept.',
  input: z.object({
    id: shortText(60).describe('of the dish it is a new version of; nothing for a new one'),
    name: neededText(80),
    lines: z
      .string()
      .min(1)
      .max(4000)
      .describe(
        'one a line: what; grams on a portion, of pieces "5 x 13"; fish, rice, recipe, sauce, dish or garnish (an ingredient of the list where left out); how fish is cut, or rice formed'
      ),
    route: openChoice(ROUTES).describe('how its fish is eaten; empty: it is not served by the plate'),
    price: optionalNumeric(0, 100_000).describe("in the house's currency"),
    source: openChoice(['wild', 'farmed']).describe('the card says so of its fish'),
    from: shortText(60).describe('grounds the card names'),
    neverFrozen: ticked.describe('the card says that its fish was never frozen'),
    board: choice(BOARDS, 'shared').describe('cut where everything is cut, or apart'),
    oil: openChoice(['shared', 'apart']).describe('what it is fried in; empty: it is not fried'),
    benchSeconds: numeric(0, 1800, { start: String(USUAL_BENCH_SECONDS), fallback: USUAL_BENCH_SECONDS }).describe(
      'a block cut to order lies out of the cold so long for one plate, s'
    ),
    notFor: shortText(160).describe('whom the house does not serve it to'),
    note: shortText(500),
    ...pageFields
  }),
  subject: () => 'house',
  run(context, input) {
    const { house } = context;
    const id = pageToWrite(house, 'dish', input);
    const page = readAs(dishBody, {
      name: input.name,
      lines: textLines(input.lines).map((line) => dishLineFrom(line, house)),
      steps: textLines(input.steps),
      goodFor: input.goodFor,
      route: input.route,
      price: input.price,
      source: input.source,
      from: input.from,
      neverFrozen: input.neverFrozen,
      board: input.board,
      oil: input.oil,
      benchSeconds: input.benchSeconds,
      notFor: input.notFor,
      // Typed elsewhere and come in with a file: told on, whatever the lines now say.
      allergens: input.id === '' ? [] : pageOf(house, 'dish', input.id).allergens,
      note: input.note
    });
    if (dishesIn(house, page.lines).has(id)) {
      throw new EmberError('form.value-unknown', { field: 'lines', seen: `${page.name} in itself` });
    }
    // A card that claims two things at once is refused here; one named after a fish that is not on it as well.
    claimsOf(page);
    const fish = page.lines.flatMap(({ species }) => species);
    const strange = namedFish(page, house).find((ids) => !ids.some((each) => fish.includes(each)));
    if (fish.length > 0 && strange) {
      throw new EmberError('dish.untrue-name', { field: 'name', seen: speciesIn(house.species, strange[0]!).name });
    }
    return written(context, 'dish', { id, page, reason: input.reason });
  }
});

export const noteDish = noteOn('dish');
export const withdrawDish = withdraw('dish');
export const importDishes = takeIn('dish');
