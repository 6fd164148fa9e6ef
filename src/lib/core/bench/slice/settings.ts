import { MORE_ROWS, type SliceSet, type SquareSet } from '../../activity/slice/plan.ts';
import { QUARTERS, type Ruled } from '../../activity/slice/ruler.ts';
import { EmberError } from '../../errors.ts';
import type { Typed } from '../../measure/parse.ts';
import { slanted, volumeOf, type Block, type Station } from './block.ts';
import { cutList, type CutList, type CutOrder, type Row } from './cuts.ts';
import { beginsWith } from './recommend.ts';
import { SLICE_STYLES, type SliceStyle, type Styles } from './styles.ts';
import { lowerThatGives, square, type Lower, type SquareOrder, type SquareOut } from './square.ts';

/** Lean flesh and oil, g/mm³ (1.06 and 0.92 g/ml), and how much oil fish of a class holds (2, 8, 16 % by weight; check). */
const LEAN_FLESH = 1.06e-3;
const OIL = 0.92e-3;
const OIL_SHARE = { lean: 0.02, mid: 0.08, rich: 0.16 } as const;
export type FatClass = keyof typeof OIL_SHARE;

/**
 * Density of raw flesh by how fat it is: of two liquids that do not mix, the volumes add up.
 *
 * @returns g/mm³
 * @example
 * fleshDensity('mid').toFixed(5) // => '0.00105'
 */
export const fleshDensity = (fat: FatClass): number => 1 / ((1 - OIL_SHARE[fat]) / LEAN_FLESH + OIL_SHARE[fat] / OIL);

/** What a plan is computed from besides what is set. */
export interface SliceSubject {
  readonly fat: FatClass;
  /** The cuts as the house has them; as they are usual where left out. */
  readonly styles?: Styles;
  /** Cuts of its own, by id; each is one of the usual ones with other ranges. */
  readonly cuts?: Readonly<Record<string, SliceStyle>>;
}
const ANY_FLESH: SliceSubject = { fat: 'mid' };

function stations(set: Ruled, name: 'height' | 'width'): Station[] {
  return QUARTERS.flatMap((quarter): Station[] => {
    const measured = quarter === 0 ? set[name] : set[`${name}${quarter}` as `${typeof name}${1 | 2 | 3 | 4}`];
    return measured ? [{ at: (set.length.si * quarter) / 4, mm: measured.si }] : [];
  });
}
/**
 * The block as it was measured.
 *
 * @throws EmberError `quantity.out-of-range` where its slants meet
 */
export const blockOf = (set: Ruled): Block =>
  slanted(
    {
      length: set.length.si,
      heights: stations(set, 'height'),
      widths: stations(set, 'width'),
      edge: set.edge / 100
    },
    set.slantHead?.si ?? 0,
    set.slantTail?.si ?? 0
  );

function said(typed: Typed | null, field: string): number {
  if (!typed) throw new EmberError('form.incomplete', { field });
  return typed.si;
}
function rowOf(
  set: SliceSet,
  { thicknesses, angles, cubes }: SliceStyle,
  grams: number | null,
  count: number | null,
  angle: number
): Row {
  const byWeight = grams !== null;
  return {
    // A hand that cuts heavy is asked for less.
    aim: byWeight
      ? { by: 'weight', grams: grams / set.hand }
      : { by: 'thickness', mm: said(set.thickness, 'thickness') },
    way: {
      angle,
      // Across the grain: the blade is turned as the grain runs.
      skew: cubes ? 0 : set.grain,
      flattest: Math.min(angle, angles[0]),
      least: byWeight ? thicknesses[0] : 0.5,
      most: byWeight ? thicknesses[1] : 60,
      cubes
    },
    count
  };
}

/** The cut of a first row: the house's own where one is named. @throws EmberError `form.value-unknown` for one it does not have, or not of that style */
export function cutOf(
  { style, cut }: Pick<SliceSet, 'style' | 'cut'>,
  { styles = SLICE_STYLES, cuts = {} }: Pick<SliceSubject, 'styles' | 'cuts'> = {}
): SliceStyle {
  if (cut === '') return styles[style];
  const own = cuts[cut];
  if (own?.id !== style) throw new EmberError('form.value-unknown', { field: 'cut', seen: cut });
  return own;
}

/** The rows of a plan in the order they are written. @throws EmberError `form.incomplete` for a row without its number or weight, and as {@link cutOf} */
export function rowsOf(set: SliceSet, subject: Pick<SliceSubject, 'styles' | 'cuts'> = {}): Row[] {
  const { styles = SLICE_STYLES } = subject;
  const style = cutOf(set, subject);
  const angle = style.cubes ? 90 : set.angle;
  const first = rowOf(set, style, set.by === 'weight' ? said(set.grams, 'grams') : null, set.count, angle);
  const more = MORE_ROWS.flatMap((row): Row[] => {
    const style = set[`style${row}`];
    if (style === '') return [];
    if (set.count === null) throw new EmberError('form.incomplete', { field: 'count' });
    if (row === 3 && set.style2 !== '' && set.count2 === null)
      throw new EmberError('form.incomplete', { field: 'count2' });
    const begin = beginsWith(style, 0.5, styles);
    return [rowOf(set, styles[style], set[`grams${row}`]?.si ?? begin.grams, set[`count${row}`], begin.angle)];
  });
  return [first, ...more];
}

export interface SliceOutcome extends CutList {
  readonly block: Block;
  readonly order: CutOrder;
  /** Rows in the order in which they are cut, by their place in the plan. */
  readonly sequence: readonly number[];
}

/**
 * The cut of a block as a person set it: the one way there, for the board, the preview and the deed alike.
 *
 * @throws EmberError `quantity.out-of-range`, `form.incomplete`, `form.too-many`, `form.value-unknown`
 */
export function cutFor(set: SliceSet, subject: SliceSubject = ANY_FLESH): SliceOutcome {
  const block = blockOf(set);
  const order: CutOrder = {
    block,
    density: fleshDensity(subject.fat),
    rows: rowsOf(set, subject),
    first: set.first,
    tail: set.tail?.si ?? 0
  };
  const { list, sequence } = bestSequence(order);
  return { ...list, block, order, sequence };
}

/** A plan and what it is computed from, as a thread takes it. */
export interface SliceSettings {
  readonly set: SliceSet;
  readonly subject: SliceSubject;
}
export const cutAs = ({ set, subject }: SliceSettings): SliceOutcome => cutFor(set, subject);

/** Shorter than this is no block, mm. */
const SHORTEST = 40;
/** A side as a person set it, and the blocks that are wanted of it. */
export const squareOrder = (set: SquareSet, { fat }: SliceSubject = ANY_FLESH): SquareOrder => ({
  side: blockOf(set),
  density: fleshDensity(fat),
  skin: set.skin?.si ?? 0,
  dark: set.dark?.si ?? 0,
  height: set.wantHeight.si,
  width: set.wantWidth.si,
  least: set.least?.si ?? SHORTEST
});

export interface SquareSettings {
  readonly set: SquareSet;
  readonly subject: SliceSubject;
}
export interface SquareAnswer extends SquareOut {
  readonly order: SquareOrder;
}
/** @throws EmberError as {@link square} */
export function squareAs({ set, subject }: SquareSettings): SquareAnswer {
  const order = squareOrder(set, subject);
  return { ...square(order), order };
}
/** @throws EmberError as {@link square} */
export const lowerAs = ({ set, subject }: SquareSettings): Lower | null => lowerThatGives(squareOrder(set, subject));

/** What the block would give if it were begun at its other end. */
export interface OtherEnd {
  readonly first: SliceSet['first'];
  readonly pieces: number;
  readonly offcutGrams: number;
}
/** @throws EmberError as {@link cutFor} */
export function otherEnd({ set, subject }: SliceSettings): OtherEnd {
  const first = set.first === 'head' ? 'tail' : 'head';
  const { pieces, offcutGrams } = cutFor({ ...set, first }, subject);
  return { first, pieces, offcutGrams };
}

/**
 * The width at which a block weighs by the ruler what it does on the scale: of what was measured it is what a ruler tells worst.
 *
 * @param grams on the scale
 * @returns times the width it was told by
 */
export const widthThatFits = (
  { set, subject }: { readonly set: Ruled; readonly subject: SliceSubject },
  grams: number
): number => grams / (fleshDensity(subject.fat) * volumeOf(blockOf(set)));

/** All orders of a few things; a row that takes the rest comes last. */
function orders(rows: readonly Row[]): number[][] {
  const open = rows.flatMap(({ count }, index) => (count === null ? [index] : []));
  const told = rows.flatMap(({ count }, index) => (count === null ? [] : [index]));
  const all = (left: readonly number[]): number[][] =>
    left.length === 0
      ? [[]]
      : left.flatMap((one) => all(left.filter((each) => each !== one)).map((rest) => [one, ...rest]));
  return all(told).map((each) => [...each, ...open]);
}

/** Pieces that a plan wanted and did not get. */
export const missing = (rows: readonly Row[], list: CutList): number =>
  rows.reduce((sum, { count }, index) => sum + (count === null ? 0 : Math.max(0, count - list.rows[index]!.pieces)), 0);

/**
 * The best order of the rows along the block: all of them are tried (three rows have six orders). Most pieces of the plan first, then
 * the fewest slices heavier than wanted, then the least off-cut; of equals the one as it is written.
 */
function bestSequence(order: CutOrder): { list: CutList; sequence: number[] } {
  let best: { list: CutList; sequence: number[]; rank: readonly number[] } | null = null;
  for (const sequence of orders(order.rows)) {
    const rows = sequence.map((index) => order.rows[index]!);
    const list = cutList({ ...order, rows });
    const heavy = list.rows.reduce((sum, row) => sum + row.heavy, 0);
    const rank = [missing(rows, list), heavy, Math.round(list.offcutGrams * 10)];
    const different = best ? rank.findIndex((value, index) => value !== best!.rank[index]) : 0;
    if (!best || (different >= 0 && rank[different]! < best.rank[different]!)) best = { list, sequence, rank };
  }
  return best!;
}
