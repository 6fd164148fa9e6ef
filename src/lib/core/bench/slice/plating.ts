import type { Arrangement, PlateSet } from '../../activity/slice/plate.ts';
import type { StyleId } from '../../activity/slice/lists.ts';
import { measureAt, turned } from './block.ts';
import { laidOf, layOut, type Laid, type Plate } from './plate.ts';
import type { SliceOutcome } from './settings.ts';
import { SLICE_STYLES } from './styles.ts';

/** How slices of a style are usually laid. */
export const ARRANGED: Readonly<Record<StyleId, Arrangement>> = {
  straight: 'leaning',
  oblique: 'row',
  translucent: 'fan',
  strips: 'mound',
  cubes: 'block',
  ripple: 'row',
  scored: 'leaning',
  bias: 'row'
};
/** Slices to a plate: odd ones lie better. Of thin ones a turn, of strips and cubes a handful. */
export const EACH: Readonly<Record<StyleId, number>> = {
  straight: 5,
  oblique: 7,
  translucent: 18,
  strips: 25,
  cubes: 9,
  ripple: 7,
  scored: 5,
  bias: 9
};

/** The plates a block gives. */
export interface Plates {
  /** Whole ones, and what is left over. */
  readonly plates: number;
  readonly over: number;
  /** The one that is looked at, with its slices by their numbers. */
  readonly shown: Plate;
}

/** The pieces of the first row of a plan, in the order of cutting. */
export function laidIn({ slices, sequence, order }: SliceOutcome, style: StyleId): Laid[] {
  const block = order.first === 'head' ? order.block : turned(order.block);
  const { cubes } = SLICE_STYLES[style];
  return laidOf(
    slices
      .filter(({ row }) => sequence[row] === 0)
      .map((slice) => ({ ...slice, width: measureAt(block.widths, Math.min(block.length, slice.from.at)), cubes }))
  );
}

/**
 * The first row of a cut list on plates, so many to each, in the order of cutting.
 *
 * @param which plate is looked at, from 0; the last one where there are fewer
 * @throws EmberError `form.incomplete` where the block gives no slice, and as {@link layOut}
 */
export function platesOf(
  cut: SliceOutcome,
  style: StyleId,
  { arrangement, plate, each }: PlateSet,
  which = 0,
  left = false
): Plates {
  const laid = laidIn(cut, style);
  const plates = Math.floor(laid.length / each);
  const from = Math.max(0, Math.min(which, Math.max(1, plates) - 1)) * each;
  const shown = layOut(laid.slice(from, from + each), { arrangement, plate: plate.si, left });
  return { plates: shown.fits ? plates : 0, over: shown.fits ? laid.length - plates * each : laid.length, shown };
}
