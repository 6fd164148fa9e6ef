import { z } from 'zod';
import {
  choice,
  numeric,
  oneOf,
  openChoice,
  optionalNumeric,
  optionalQuantity,
  pieceId,
  quantity,
  shortText,
  type Settled
} from '../../fields/field.ts';
import { PURPOSES, STYLE_IDS } from './lists.ts';
import { ruler } from './ruler.ts';

/** Rows of like slices after the first. */
export const MORE_ROWS = [2, 3] as const;

const GRAMS = { min: 0.5, max: 120 };

/** What is set at the slicing board. Unit, range and start of each stand here and nowhere else. */
export const sliceSet = {
  purpose: choice(PURPOSES, 'topping'),
  style: oneOf(STYLE_IDS, 'oblique'),
  cut: shortText(60).describe("a cut of the house's own made like it, by its id; empty: the usual one"),
  by: choice(['weight', 'thickness'], 'thickness'),
  grams: optionalQuantity('mass', { ...GRAMS, start: 12 }).describe('of one slice, where it goes by weight'),
  thickness: optionalQuantity('length', { min: 0.5, max: 60, start: 5 }).describe(
    'of one slice, where it goes by thickness; of cubes their edge'
  ),
  angle: numeric(15, 90, { unit: '°', start: 40, fallback: 90 }).describe('of the blade from the board'),
  hand: numeric(0.5, 2, { start: '1', fallback: 1 }).describe(
    'times what is wanted that this hand cuts; 1 where nobody knows'
  ),
  ...ruler,
  grain: numeric(-45, 45, { unit: '°', start: '0', fallback: 0 }).describe('of the grain from its length'),
  first: choice(['head', 'tail'], 'head').describe('which end is cut first'),
  tail: optionalQuantity('length', { min: 0, max: 600 }).describe('of its tail kept back, for dice or mince'),
  count: optionalNumeric(1, 400, { whole: true }).describe('slices of the first row; as many as there are when empty'),
  style2: openChoice(STYLE_IDS),
  grams2: optionalQuantity('mass', GRAMS),
  count2: optionalNumeric(1, 400, { whole: true }),
  style3: openChoice(STYLE_IDS),
  grams3: optionalQuantity('mass', GRAMS),
  count3: optionalNumeric(1, 400, { whole: true })
};
export type SliceSet = Settled<typeof sliceSet>;

export const slicePlan = z.object({ piece: pieceId, ...sliceSet });

/** What is set for squaring a side or a loin into blocks. */
export const squareSet = {
  ...ruler,
  edge: numeric(5, 100, { unit: '%', start: '30', fallback: 100 }).describe(
    'height of its thin edge, of the thick one'
  ),
  skin: optionalQuantity('length', { min: 0, max: 8 }).describe(
    'what is shaved off for the skin; none where it is off'
  ),
  dark: optionalQuantity('length', { min: 0, max: 120 }).describe('width of the dark strip along its thick edge'),
  wantHeight: quantity('length', { min: 8, max: 120, start: 25 }).describe('of every block'),
  wantWidth: quantity('length', { min: 15, max: 250, start: 60 }).describe('of every block'),
  least: optionalQuantity('length', { min: 10, max: 500, start: 40 }).describe('a shorter one is no block')
};
export type SquareSet = Settled<typeof squareSet>;
export const squarePlan = z.object({ piece: pieceId, ...squareSet });
