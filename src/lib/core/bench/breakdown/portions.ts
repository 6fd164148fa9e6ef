import type { BodyOf } from '../../record/events.ts';
import type { Route } from '../../codes/window.ts';
import type { Band } from './yield.ts';

export type Portion = BodyOf<'kitchen.set'>['portions'][number];
export type Use = Portion['uses'][number];

/** Portions to start from: weights as raw bars commonly cut them, the house's to change; check. `share` is what slicing leaves. */
export const PORTIONS: readonly Portion[] = [
  { id: 'nigiri', name: 'Slice for pressed rice', grams: 14, uses: ['raw', 'cure'], share: 0.88 },
  { id: 'slices', name: 'Five slices, raw', grams: 75, uses: ['raw', 'cure'], share: 0.88 },
  { id: 'crudo', name: 'Dressed raw plate', grams: 70, uses: ['raw', 'cure', 'acid'], share: 0.92 },
  { id: 'dice', name: 'Acid-dressed dice', grams: 110, uses: ['raw', 'acid'], share: 0.94 },
  { id: 'seared', name: 'Seared-edge plate', grams: 90, uses: ['sear', 'raw'], share: 0.93 },
  { id: 'chopped', name: 'Chopped and dressed', grams: 85, uses: ['mince', 'raw'], share: 0.97 },
  { id: 'cooked', name: 'Cooked snack', grams: 120, uses: ['cook', 'crisp'], share: 1 }
];
/** By-product values to start from, for a kilogram in the house's currency: invented for the house to change. */
export const CREDITS: Readonly<Partial<Record<Use, number>>> = {
  mince: 9,
  cook: 6,
  roe: 14,
  crisp: 3,
  stock: 1.5
};

/** How many portions one piece could give on its own, of each kind. */
export interface PortionCount {
  readonly id: string;
  readonly name: string;
  readonly grams: number;
  readonly count: Band;
}

/** The route a use is served by; null for what is neither flesh nor served as such. */
const ROUTE_OF_USE: Partial<Record<Use, Route>> = {
  raw: 'raw',
  cure: 'cured',
  acid: 'acid',
  sear: 'seared',
  mince: 'raw',
  cook: 'cooked',
  crisp: 'cooked',
  roe: 'cured'
};
/** Flesh of a higher rank may go where a lower one is asked for, never the other way. */
const RANK: Partial<Record<Use, number>> = { raw: 4, cure: 3, acid: 3, sear: 3, mince: 2, cook: 1 };

/** Flesh that portions may come of: what it was cut for, and the routes its verdict leaves open, now or later. */
export interface Flesh {
  readonly use: string;
  readonly grams: number;
  readonly routes: readonly Route[];
}

/** Whether flesh may become a portion: by its verdict first, then by what it was cut for. */
export function mayBecome({ use, routes }: Pick<Flesh, 'use' | 'routes'>, portion: Pick<Portion, 'uses'>): boolean {
  return portion.uses.some((wanted) => {
    const route = ROUTE_OF_USE[wanted];
    if (!route || !routes.includes(route)) return false;
    const [own, asked] = [RANK[use as Use] ?? 0, RANK[wanted] ?? 0];
    return wanted === use || (asked > 0 && own > asked);
  });
}

/**
 * How many of what could come from what is on the board: parts as weighed, and what is not yet cut as forecast. A portion is counted
 * only where the verdict of the flesh leaves its route open. Each row is for all of it, one or the other: they do not add up.
 *
 * @param parts weighed parts with their use, g
 * @param uncut flesh still whole, and the share of it that should be usable
 * @example
 * portionsFrom(
 *   [{ use: 'raw', grams: 280, routes: ['raw'] }], null, [{ id: 'x', name: 'x', grams: 70, uses: ['raw'], share: 1 }]
 * )[0].count.likely // => 4
 */
export function portionsFrom(
  parts: readonly Flesh[],
  uncut: (Pick<Flesh, 'grams' | 'routes'> & { readonly share: Band }) | null,
  portions: readonly Portion[] = PORTIONS
): PortionCount[] {
  return portions.map((portion) => {
    const { id, name, grams, share } = portion;
    const whole = (of: number) => Math.floor((of * share) / grams + 1e-9);
    const weighed = parts.filter((part) => mayBecome(part, portion)).map((part) => whole(part.grams));
    const sure = weighed.reduce((sum, count) => sum + count, 0);
    // What the knife has yet to open is taken as flesh of the best kind.
    const opens = uncut !== null && mayBecome({ use: 'raw', routes: uncut.routes }, portion);
    const more = (of: number) => (opens ? whole(uncut.grams * of) : 0);
    return {
      id,
      name,
      grams,
      count: {
        low: sure + more(uncut?.share.low ?? 0),
        likely: sure + more(uncut?.share.likely ?? 0),
        high: sure + more(uncut?.share.high ?? 0)
      }
    };
  });
}
