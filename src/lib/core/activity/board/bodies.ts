import { z } from 'zod';
import { USES } from '../piece/bodies.ts';
import { kind, type Kinds } from '../../record/kind.ts';
import { finite, typedValue, pins } from '../../record/values.ts';

/** What can happen at the breakdown board, and the house’s books of its knife work. A shape is never edited once shipped: a new version is added and the old one upcast. */

/** A piece is put on the board: from here its time out of the cold runs. */
export const boardOpened = z.object({
  map: z.string(),
  school: z.string(),
  /** The house's division of a side, where one is followed. */
  template: z.string(),
  grams: finite,
  core: typedValue.nullable(),
  /** Verification interval of the scale, g: what the balance may be out by follows from it. */
  scaleInterval: finite,
  /** Share of it that should be usable, as forecast before the knife. */
  expected: z.object({ low: finite, likely: finite, high: finite }).nullable(),
  pins
});

export const boardClosed = z.object({
  /** Grams of the piece itself that stay, uncut. */
  remains: finite,
  /** Input less parts, waste, drip and what remains; negative where the parts weigh more. g */
  gap: finite,
  tolerance: finite,
  /** Why more is missing than the scale can be out by; an empty text where it is not. */
  gapReason: z.string(),
  secondsOut: finite,
  note: z.string()
});

/** One cut of a side: along its length from the head end, and which band of its height. Shares, 0 to 1. */
export const templatePart = z.object({
  id: z.string(),
  name: z.string(),
  from: finite,
  to: finite,
  band: z.enum(['all', 'back', 'belly']),
  use: z.enum(USES)
});

export const templateSet = z.object({
  id: z.string(),
  name: z.string(),
  parts: z.array(templatePart),
  withdrawn: z.boolean()
});

/** What by-products are worth for a kilogram, by use; and what a portion of each dish weighs. */
export const kitchenSet = z.object({
  credits: z.record(z.string(), finite),
  portions: z.array(
    z.object({ id: z.string(), name: z.string(), grams: finite, uses: z.array(z.enum(USES)), share: finite })
  ),
  scaleInterval: finite
});

export const kinds = {
  'board.opened': kind(boardOpened),
  'board.closed': kind(boardClosed),
  'template.set': kind(templateSet, false),
  'kitchen.set': kind(kitchenSet, false)
} satisfies Kinds;
