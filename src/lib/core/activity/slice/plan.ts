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
  type Settled
} from '../../fields/field.ts';
import { PURPOSES, STYLE_IDS } from './lists.ts';

/** Places along a block where a ruler may be laid: quarters of its length from the head end. */
export const QUARTERS = [0, 1, 2, 3, 4] as const;
/** Rows of like slices after the first. */
export const MORE_ROWS = [2, 3] as const;

const HEIGHT = { min: 3, max: 200 };
const WIDTH = { min: 5, max: 400 };
const GRAMS = { min: 0.5, max: 120 };

/** What is set at the slicing board. Unit, range and start of each stand here and nowhere else. */
export const sliceSet = {
  purpose: choice(PURPOSES, 'topping'),
  style: oneOf(STYLE_IDS, 'oblique'),
  by: choice(['weight', 'thickness'], 'thickness'),
  grams: optionalQuantity('mass', { ...GRAMS, start: 12 }).describe('of one slice, where it goes by weight'),
  thickness: optionalQuantity('length', { min: 0.5, max: 60, start: 5 }).describe(
    'of one slice, where it goes by thickness; of cubes their edge'
  ),
  angle: numeric(15, 90, { unit: '°', start: 40, fallback: 90 }).describe('of the blade from the board'),
  hand: numeric(0.5, 2, { start: '1', fallback: 1 }).describe(
    'times what is wanted that this hand cuts; 1 where nobody knows'
  ),
  length: quantity('length', { min: 5, max: 1000 }),
  height: quantity('length', { ...HEIGHT, start: 28 }).describe('at its head end, or all along'),
  width: quantity('length', { ...WIDTH, start: 70 }).describe('at its head end, or all along'),
  height1: optionalQuantity('length', HEIGHT),
  height2: optionalQuantity('length', HEIGHT),
  height3: optionalQuantity('length', HEIGHT),
  height4: optionalQuantity('length', HEIGHT).describe('at its tail end'),
  width1: optionalQuantity('length', WIDTH),
  width2: optionalQuantity('length', WIDTH),
  width3: optionalQuantity('length', WIDTH),
  width4: optionalQuantity('length', WIDTH).describe('at its tail end'),
  edge: numeric(5, 100, { unit: '%', start: '100', fallback: 100 }).describe(
    'height of its thin edge, of the thick one'
  ),
  slantHead: optionalQuantity('length', { min: 0, max: 200 }).describe('how far its head end slants'),
  slantTail: optionalQuantity('length', { min: 0, max: 200 }).describe('how far its tail end slants'),
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
