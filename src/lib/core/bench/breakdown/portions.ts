import type { BodyOf } from '../../record/events.ts';
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

/**
 * How many of what could come from what is on the board: parts as weighed, and what is not yet cut as forecast. Each row is
 * for all of it, one or the other: they do not add up.
 *
 * @param parts weighed parts with their use, g
 * @param uncut grams still whole, and the share of them that should be usable
 * @example
 * portionsFrom([{ use: 'raw', grams: 280 }], null, [{ id: 'x', name: 'x', grams: 70, uses: ['raw'], share: 1 }])[0].count.likely // => 4
 */
export function portionsFrom(
  parts: readonly { readonly use: string; readonly grams: number }[],
  uncut: { readonly grams: number; readonly share: Band } | null,
  portions: readonly Portion[] = PORTIONS
): PortionCount[] {
  return portions.map(({ id, name, grams, uses, share }) => {
    const fits = (use: string) => (uses as readonly string[]).includes(use);
    const weighed = parts.filter(({ use }) => fits(use)).map((part) => Math.floor((part.grams * share) / grams + 1e-9));
    const sure = weighed.reduce((sum, count) => sum + count, 0);
    // What the knife has yet to open is taken as raw-grade flesh.
    const more = (of: number) => (uncut && fits('raw') ? Math.floor((uncut.grams * of * share) / grams + 1e-9) : 0);
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
