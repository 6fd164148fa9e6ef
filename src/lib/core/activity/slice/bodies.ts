import { z } from 'zod';
import { SHARPENINGS, STYLE_IDS } from './lists.ts';
import { kind, third, type Kinds } from '../../record/kind.ts';
import { recorded } from '../../record/recorded.ts';
import { finite, typedValue } from '../../record/values.ts';
import { sliceSet, squareSet } from './plan.ts';

/** What can happen under the slicing knife. A shape is never edited once shipped: a new version is added and the old one upcast. */

export const sliced = z.object({
  ...recorded(sliceSet).shape,
  /** Slices cut, and what each weighs by the plan, g. */
  pieces: z.number().int(),
  pieceGrams: finite,
  offcutGrams: finite,
  /** When it left the cold for the knife, ms; null of a block whose slices are no pieces of their own. */
  begun: finite.nullable(),
  /** The pieces that came of it: slices by row, and what was kept of the rest. */
  slices: z.array(z.string()),
  offcut: z.string().nullable(),
  /** Which knife, by its id; an empty text where nobody said. */
  knife: z.string()
});
/** Of a block that was sliced when a house had no cuts of its own. */
export const slicedFrom2 = (body: unknown) => ({ ...(body as object), cut: '' });

interface SlicedOnce {
  readonly cut: 'straight' | 'oblique';
  readonly pieceGrams: number;
  readonly angleDegrees: number;
}
const EMPTY = Object.fromEntries(
  ['height1', 'height2', 'height3', 'height4', 'width1', 'width2', 'width3', 'width4']
    .concat(['slantHead', 'slantTail', 'tail', 'count', 'grams2', 'count2', 'grams3', 'count3'])
    .map((name) => [name, null])
);
/** Of a block that was cut when it was told by one height and one width, and its slices were no pieces of their own. */
export const slicedFrom1 = (body: unknown) => {
  const { cut, angleDegrees, ...told } = body as SlicedOnce;
  const { pieceGrams } = told;
  return {
    ...EMPTY,
    purpose: 'topping',
    by: 'thickness',
    grams: { si: pieceGrams, unit: 'g', typed: `${Number(pieceGrams.toFixed(1))} g` },
    edge: 100,
    hand: 1,
    grain: 0,
    first: 'head',
    style2: '',
    style3: '',
    ...told,
    style: cut,
    angle: angleDegrees,
    begun: null,
    slices: [],
    offcut: null,
    knife: ''
  };
};

/** Stands on what came of a block: it was lifted off the board, so many of such a weight, and lies out of the cold from then on. */
export const lifted = z.object({
  what: z.enum(['slices', 'off-cut']),
  style: z.enum(STYLE_IDS),
  /** How many; null for what is not counted. */
  count: z.number().int().nullable(),
  gramsEach: finite.nullable(),
  thicknessMm: finite.nullable(),
  angleDegrees: finite.nullable()
});

/** Slices on the scale, in the order in which they were cut: one by one, or in rows of so many. */
export const slicesWeighed = z.object({
  weights: z.array(finite),
  /** Slices in each weighing. */
  per: z.number().int(),
  /** What one was to weigh, and what it was cut for: less, where a hand is known to cut heavy. g */
  aimGrams: finite,
  cutGrams: finite,
  style: z.enum(STYLE_IDS)
});

/** A side or a loin squared: the blocks that came of it, and what was kept of the rest. */
export const squared = z.object({
  ...recorded(squareSet).shape,
  /** When it left the cold for the knife, ms. */
  begun: finite,
  blocks: z.array(z.string()),
  offcut: z.string().nullable(),
  knife: z.string()
});
/** Stands on a block that was squared: what a ruler says of it. */
export const blockSized = z.object({ lengthMm: finite, heightMm: finite, widthMm: finite });

/** A knife of the house, and after how many strokes it wants its edge again. */
export const knifeSet = z.object({ id: z.string(), name: z.string(), every: z.number().int(), withdrawn: z.boolean() });
export const knifeSharpened = z.object({
  knife: z.string(),
  name: z.string(),
  how: z.enum(SHARPENINGS),
  note: z.string()
});

/** Ends of the ranges of a cut that a house moved, and its own word on it. */
const moves = z.object({
  thinnest: typedValue.nullable(),
  thickest: typedValue.nullable(),
  lightest: typedValue.nullable(),
  heaviest: typedValue.nullable(),
  /** Degrees from the board. */
  flattest: finite.nullable(),
  steepest: finite.nullable(),
  note: z.string(),
  withdrawn: z.boolean()
});
/** How the house has one of the usual cuts. */
export const styleSet = z.object({ style: z.enum(STYLE_IDS), ...moves.shape });
/** A cut of the house's own: what it is called, and which of the usual ones it is made like. */
export const cutSet = z.object({ id: z.string(), name: z.string(), like: z.enum(STYLE_IDS), ...moves.shape });

export const kinds = {
  'piece.sliced': third(sliced, slicedFrom1, slicedFrom2),
  'piece.squared': kind(squared),
  'block.sized': kind(blockSized),
  'knife.set': kind(knifeSet, false),
  'knife.sharpened': kind(knifeSharpened, false),
  'style.set': kind(styleSet, false),
  'cut.set': kind(cutSet, false),
  'slices.lifted': kind(lifted),
  'slices.weighed': kind(slicesWeighed)
} satisfies Kinds;
