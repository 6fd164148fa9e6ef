import { DAY } from '../measure/spans.ts';
import { INGREDIENTS } from './catalogue.ts';
import { TELLS, toldTogether, type Ingredient, type LinkedLine, type Tell, type Told } from './ingredient.ts';

/** The house is out of one, and uses another (or nothing) instead, from a moment on until it is undone; ms. */
export interface Swap {
  readonly id: string;
  /** Empty where it is left out. */
  readonly instead: string;
  readonly from: number;
  /** null while it stands. */
  readonly to: number | null;
  readonly by: string;
  readonly reason: string;
}
/** What a house changed about its ingredients. */
export interface HouseIngredients {
  readonly own: Readonly<Record<string, Ingredient & { readonly withdrawn: boolean }>>;
  readonly swaps: readonly Swap[];
}
export const NO_HOUSE_INGREDIENTS: HouseIngredients = { own: {}, swaps: [] };

/**
 * What a kitchen made with an ingredient may stand for so long: the date mark of what is made ready to eat (FDA Food Code 2022
 * 3-501.17(A), seven days). A sauce made before a swap is still in the fridge after it.
 */
export const BATCH_STANDS_DAYS = 7;
/** A swap may lead to another that is swapped as well; more than this is a circle. */
const LONGEST_CHAIN = 6;

const plainly = (text: string): string => text.trim().toLowerCase().replace(/\s+/g, ' ');

/**
 * One ingredient as the house has it: what it adds about one that ships is added, and nothing that ships is taken off it. One
 * that holds less is another ingredient.
 */
function asTheHouseHasIt(
  shipped: Ingredient | undefined,
  own: (Ingredient & { readonly withdrawn: boolean }) | undefined
): Ingredient | undefined {
  if (!own || (own.withdrawn && shipped)) return shipped;
  if (!shipped) return own;
  const both = toldTogether([
    { ...shipped, unsaid: [] },
    { ...own, unsaid: [] }
  ]);
  return {
    ...own,
    alsoCalled: [...new Set([...shipped.alsoCalled, ...own.alsoCalled])],
    holds: both.holds as Ingredient['holds'],
    mayHold: both.mayHold as Ingredient['mayHold'],
    raw: own.raw || shipped.raw,
    tell: [...new Set([...shipped.tell, ...own.tell])],
    note: own.note || shipped.note
  };
}

const SHIPPED_BY_ID = new Map(INGREDIENTS.map((each) => [each.id, each]));

interface Index {
  readonly all: readonly Ingredient[];
  readonly byName: ReadonlyMap<string, Ingredient>;
}
const indexes = new WeakMap<HouseIngredients['own'], Index>();
/** Everything by every name it is called, worked out once for a house as it stands. */
function indexOf(house: HouseIngredients): Index {
  const known = indexes.get(house.own);
  if (known) return known;
  const ids = new Set([...INGREDIENTS.map(({ id }) => id), ...Object.keys(house.own)]);
  const all = [...ids]
    .filter((id) => !house.own[id]?.withdrawn || SHIPPED_BY_ID.has(id))
    .map((id) => asTheHouseHasIt(SHIPPED_BY_ID.get(id), house.own[id])!)
    .sort((a, b) => (a.name < b.name ? -1 : 1));
  const byName = new Map<string, Ingredient>();
  // Names go before other names, and ids after both.
  for (const each of all) byName.set(plainly(each.name), each);
  for (const each of all)
    for (const other of [...each.alsoCalled.map(plainly), each.id]) if (!byName.has(other)) byName.set(other, each);
  const index = { all, byName };
  indexes.set(house.own, index);
  return index;
}

/** All ingredients of a house, those that ship and its own, by name. */
export const ingredientsOf = (house: HouseIngredients): readonly Ingredient[] => indexOf(house).all;

/** One ingredient of a house by its id; undefined where there is none. */
export const ingredientById = (house: HouseIngredients, id: string): Ingredient | undefined =>
  asTheHouseHasIt(SHIPPED_BY_ID.get(id), house.own[id]);

/**
 * An ingredient by a name a recipe calls it, or by its id; what follows a comma says how it is cut or where it is from.
 *
 * @example
 * ingredientNamed(NO_HOUSE_INGREDIENTS, 'Dill stalks, chopped')?.id // => 'dill'
 */
export function ingredientNamed(house: HouseIngredients, text: string): Ingredient | undefined {
  const { byName } = indexOf(house);
  const whole = plainly(text);
  return byName.get(whole) ?? byName.get(plainly(whole.split(',')[0]!));
}

/** The ingredient each sour liquid of the acid bench is. */
export const LIQUID_INGREDIENTS: Readonly<Record<string, string>> = {
  lime: 'lime-juice',
  lemon: 'lemon-juice',
  grapefruit: 'grapefruit-juice',
  orange: 'sweet-orange-juice',
  'bitter-orange': 'bitter-orange-juice',
  verjuice: 'verjuice',
  'rice-vinegar': 'rice-vinegar',
  'wine-vinegar': 'wine-vinegar',
  'cider-vinegar': 'cider-vinegar'
};

/** A line that ships refers to what ships, by its name. */
export const linkTo = (what: string): { ingredient: string; holds: null; mayHold: [] } => ({
  ingredient: ingredientNamed(NO_HOUSE_INGREDIENTS, what)?.id ?? '',
  holds: null,
  mayHold: []
});

const swappedAt = (swaps: readonly Swap[], id: string, at: number): Swap | undefined =>
  swaps.findLast((swap) => swap.id === id && swap.from <= at && at < (swap.to ?? Infinity));

/** What is really used for an ingredient at a moment; empty where it is left out. */
function usedFor(swaps: readonly Swap[], id: string, at: number): string {
  let used = id;
  for (let step = 0; step < LONGEST_CHAIN; step++) {
    const swap = swappedAt(swaps, used, at);
    if (!swap) return used;
    if (swap.instead === '') return '';
    used = swap.instead;
  }
  return used;
}

/** Ingredients used for one at a moment, and those used for it within the days a batch stands. */
export function usesOf(house: HouseIngredients, id: string, at: number): { now: string; lately: string[] } {
  const since = at - BATCH_STANDS_DAYS * DAY;
  const turns = house.swaps
    .flatMap(({ from, to }) => [from, to ?? Infinity])
    .filter((moment) => moment > since && moment <= at);
  const now = usedFor(house.swaps, id, at);
  // What held just before each change was used up to it; what was left out then is told all the same.
  const lately = [since, ...turns.map((moment) => moment - 1)].map((moment) => usedFor(house.swaps, id, moment) || id);
  return { now, lately: [...new Set(lately)].filter((each) => each !== now) };
}

/** Whether using one instead of another would lead back to it. */
export function isCircle(house: HouseIngredients, id: string, instead: string, at: number): boolean {
  let used = instead;
  for (let step = 0; step < LONGEST_CHAIN && used !== ''; step++) {
    if (used === id) return true;
    const swap = swappedAt(house.swaps, used, at);
    if (!swap) return false;
    used = swap.instead;
  }
  return used !== '';
}

/**
 * Ingredients a line stands for: the one it refers to, and one on the list that its words name. Where the two disagree both are
 * told; one that was said to be another's namesake ("other", with what it holds) is only what was said.
 */
function idsOf(house: HouseIngredients, line: LinkedLine): string[] {
  const named = line.holds === null ? ingredientNamed(house, line.what)?.id : undefined;
  const referred = ingredientById(house, line.ingredient)?.id;
  return [...new Set([referred, named].filter((id) => id !== undefined))];
}

/** What one line of a recipe puts on fish at a moment. */
export function toldOfLine(house: HouseIngredients, line: LinkedLine, at: number): Told {
  const ids = idsOf(house, line);
  const said: Told = { holds: line.holds ?? [], mayHold: line.mayHold, unsaid: [] };
  if (ids.length === 0) return line.holds === null ? { ...said, unsaid: [line.what] } : said;
  const tell = (id: string): Told => {
    const found = ingredientById(house, id);
    return found ? { ...found, unsaid: [] } : { holds: [], mayHold: [], unsaid: [id] };
  };
  return toldTogether([
    said,
    ...ids.flatMap((id) => {
      const { now, lately } = usesOf(house, id, at);
      // Left out, it is told all the same: a batch made before, or a hand that did not hear of it.
      const used = now === '' ? id : now;
      const before = lately.filter((each) => each !== used).map(tell);
      return [
        tell(used),
        ...before.map((each) => ({ holds: [], mayHold: [...each.holds, ...each.mayHold], unsaid: each.unsaid }))
      ];
    })
  ]);
}

/**
 * What a recipe or a sauce puts on fish: added up from its lines, never typed.
 *
 * @param saidBefore allergens typed into it before ingredients were a list of their own: they stay told
 */
export const toldOfLines = (
  house: HouseIngredients,
  lines: readonly LinkedLine[],
  at: number,
  saidBefore: readonly string[] = []
): Told =>
  toldTogether([...lines.map((line) => toldOfLine(house, line, at)), { holds: saidBefore, mayHold: [], unsaid: [] }]);

/** Lines that are made with something else just now: what each is called, and the name of what stands for it; empty where it is left out. */
export const swapsOfLines = (
  house: HouseIngredients,
  lines: readonly LinkedLine[],
  at: number
): { readonly what: string; readonly now: string }[] =>
  lines.flatMap((line) =>
    idsOf(house, line).flatMap((id) => {
      const now = usedFor(house.swaps, id, at);
      return now === id ? [] : [{ what: line.what, now: ingredientById(house, now)?.name ?? '' }];
    })
  );

/** Ingredients a line stands for at a moment, and those used for it while a batch of then may still stand. */
function standingFor(house: HouseIngredients, line: LinkedLine, at: number): Ingredient[] {
  return idsOf(house, line).flatMap((id) => {
    const { now, lately } = usesOf(house, id, at);
    return [now || id, ...lately].flatMap((each) => ingredientById(house, each) ?? []);
  });
}

/** What of a sauce or garnish is raw of an animal (egg yolk, roe): names as they are written. */
export const rawOfLines = (house: HouseIngredients, lines: readonly LinkedLine[], at: number): string[] =>
  lines.filter((line) => standingFor(house, line, at).some(({ raw }) => raw)).map(({ what }) => what);

/** What else is told of lines: alcohol, added colour, a flavour enhancer; and egg that is raw. */
export function tellsOfLines(
  house: HouseIngredients,
  lines: readonly LinkedLine[],
  at: number
): { readonly tells: Tell[]; readonly rawEgg: boolean } {
  const all = lines.flatMap((line) => standingFor(house, line, at));
  return {
    tells: TELLS.filter((tell) => all.some((each) => each.tell.includes(tell))),
    rawEgg: all.some(({ raw, holds }) => raw && holds.includes('egg'))
  };
}
