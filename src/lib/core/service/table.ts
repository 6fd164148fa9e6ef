import type { DishBody } from '../activity/book/dish-body.ts';
import type { GEARS, THREE } from '../activity/receive/bodies.ts';
import type { Route } from '../codes/window.ts';
import { EmberError } from '../errors.ts';
import type { Killing } from '../fish/rigor.ts';
import type { Species } from '../fish/species.ts';
import type { Tell } from '../ingredients/ingredient.ts';

/** What is asked at a guest's table, and what a card may say: both are answered by the very pieces on the plate. */

/** What a piece can be asked. */
export interface FishFacts {
  readonly source: 'wild' | 'farmed' | 'unknown';
  /** Grounds in words; an empty text where nobody said. */
  readonly area: string;
  readonly gear: (typeof GEARS)[number];
  readonly killing: Killing;
  /** It was frozen, here or before it came. */
  readonly frozen: (typeof THREE)[number];
  /** Days it hung or lay on a rack. */
  readonly agedDays: number;
}

/** What a card says of its fish besides the name. */
export interface Claims {
  readonly source: '' | 'wild' | 'farmed';
  readonly from: string;
  readonly neverFrozen: boolean;
  readonly lineCaught: boolean;
}
export type Claim = keyof Claims;
type Card = Pick<DishBody, 'name' | 'source' | 'from' | 'neverFrozen'>;

/** A card that says "wild", "farmed", "fresh" or "line-caught" in its name claims it, whatever was ticked. */
const NAMED = {
  wild: /\bwild\b/i,
  farmed: /\bfarmed\b/i,
  fresh: /\bfresh\b|\bnever[ -]frozen\b/i,
  line: /\b(?:line|pole|hand-?line)[ -]caught\b/i
} as const;

/**
 * What the card of a dish claims, by what was said of it and by the words of its name.
 *
 * @throws EmberError `form.value-unknown` where it claims to be both wild and farmed
 * @example
 * claimsOf({ name: 'Wild turbot', source: '', from: '', neverFrozen: false }).source // => 'wild'
 */
export function claimsOf({ name, source, from, neverFrozen }: Card): Claims {
  const named = (['wild', 'farmed'] as const).filter((each) => NAMED[each].test(name));
  const all = [...new Set([...named, ...(source === '' ? [] : [source])])];
  if (all.length > 1) throw new EmberError('form.value-unknown', { field: 'source', seen: all.join(', ') });
  return {
    source: all[0] ?? '',
    from: from.trim(),
    neverFrozen: neverFrozen || NAMED.fresh.test(name),
    lineCaught: NAMED.line.test(name)
  };
}

const LINES: readonly FishFacts['gear'][] = ['pole-or-handline', 'longline'];
const IS_TRUE: { readonly [Each in Claim]: (claims: Claims, fish: FishFacts) => boolean } = {
  source: ({ source }, fish) => source === '' || fish.source === source,
  from: ({ from }, { area }) => from === '' || area.toLowerCase().includes(from.toLowerCase()),
  neverFrozen: ({ neverFrozen }, { frozen }) => !neverFrozen || frozen === 'no',
  lineCaught: ({ lineCaught }, { gear }) => !lineCaught || LINES.includes(gear)
};

/**
 * What a card claims that is not true of a piece: of each of its lots, where it is mixed. What nobody knows of it is not true.
 *
 * @param fish one of each lot it came from
 * @throws EmberError `form.incomplete` for fish of which there is none
 */
export function untrueOf(claims: Claims, fish: readonly FishFacts[]): Claim[] {
  if (fish.length === 0) throw new EmberError('form.incomplete', { field: 'fish' });
  return (Object.keys(IS_TRUE) as Claim[]).filter((claim) => !fish.every((each) => IS_TRUE[claim](claims, each)));
}

/** Words of a name one after another, the longest runs first. */
function phrasesOf(name: string): string[] {
  const words = name.split(/[^\p{L}’'-]+/u).filter((word) => word !== '');
  const runs: string[] = [];
  for (let size = Math.min(4, words.length); size > 0; size--) {
    for (let from = 0; from + size <= words.length; from++) runs.push(words.slice(from, from + size).join(' '));
  }
  return runs;
}

/**
 * Fish a name speaks of: for each name of a fish in it the species it may mean. Only names of its own tongue count ("sake" is a
 * salmon in one tongue and a wine in another), and those that something else on the plate bears are left out.
 *
 * @param others what else is on it, by name
 */
export function fishNamedIn(name: string, catalogue: readonly Species[], others: readonly string[] = []): string[][] {
  const calls = new Map<string, string[]>();
  for (const { id, name: own, names } of catalogue) {
    for (const each of [own, ...(names.en ?? [])]) {
      const plain = each.toLowerCase();
      const before = calls.get(plain) ?? [];
      if (!before.includes(id)) calls.set(plain, [...before, id]);
    }
  }
  const found: { readonly phrase: string; readonly ids: string[] }[] = [];
  for (const phrase of phrasesOf(name).map((each) => each.toLowerCase())) {
    const ids = calls.get(phrase) ?? calls.get(phrase.replace(/e?s$/, ''));
    const isWithin = (longer: string) => ` ${longer} `.includes(` ${phrase} `);
    if (!ids || found.some((each) => isWithin(each.phrase))) continue;
    if (others.some((other) => isWithin(other.toLowerCase()))) continue;
    found.push({ phrase, ids });
  }
  return found.map(({ ids }) => ids);
}

/** Whom a dish never suits, whatever the house writes. */
export const NOT_FOR = ['susceptible', 'liver', 'no-alcohol'] as const;
export type NotFor = (typeof NOT_FOR)[number];

/**
 * Whom a dish is not for. Raw food of an animal, fish or egg, is not for who is highly susceptible (FDA Food Code 2022
 * 3-801.11(C)); raw shellfish of warm water is worst for who has a weak liver (FDA Fish Hazards Guidance, chapter 4, Vibrio
 * vulnificus).
 */
export function notFor(dish: {
  readonly route: Route;
  /** What of its sauce and garnish is raw of an animal. */
  readonly raw: readonly string[];
  readonly rawEgg: boolean;
  readonly tells: readonly Tell[];
  readonly hazards: readonly string[];
}): NotFor[] {
  const isRaw = dish.route !== 'cooked';
  const is: Readonly<Record<NotFor, boolean>> = {
    susceptible: isRaw || dish.raw.length > 0 || dish.rawEgg,
    liver: isRaw && dish.hazards.includes('vibrio'),
    'no-alcohol': dish.tells.includes('alcohol')
  };
  return NOT_FOR.filter((each) => is[each]);
}

/** One dish of a table of allergens. */
export interface MatrixRow {
  readonly holds: readonly string[];
  readonly mayHold: readonly string[];
  readonly unsaid: readonly string[];
}
export type MatrixCell = 'holds' | 'may' | '';
/**
 * Dishes against allergens: a column for each that one of them holds or may hold, in the order of a list; and what is in which.
 *
 * @param order every name there is, as it is to be read
 */
export function matrixOf(
  rows: readonly MatrixRow[],
  order: readonly string[]
): { readonly columns: string[]; readonly cells: MatrixCell[][] } {
  const all = new Set(rows.flatMap(({ holds, mayHold }) => [...holds, ...mayHold]));
  const columns = [
    ...order.filter((name) => all.has(name)),
    ...[...all].filter((name) => !order.includes(name)).sort()
  ];
  return {
    columns,
    cells: rows.map(({ holds, mayHold }) =>
      columns.map((name) => (holds.includes(name) ? 'holds' : mayHold.includes(name) ? 'may' : ''))
    )
  };
}
