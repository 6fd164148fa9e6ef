import { z } from 'zod';
import {
  faces,
  neededText,
  oneOf,
  openChoice,
  optionalNumeric,
  optionalQuantity,
  pieceId,
  quantity,
  shortText,
  type Settled
} from '../../fields/field.ts';
import { CUTS, SET_POINTS, type AcidCut } from './lists.ts';

const EDGE = { min: 1, max: 60 };

/** What a cook sets of fish in acid. Volumes are of the whole bath. Unit, range and start of each stand here and nowhere else. */
export const acidSet = {
  cut: oneOf(CUTS),
  size: quantity('length', EDGE).describe('edge of dice, thickness of a slice or fillet, diameter of a round'),
  second: optionalQuantity('length', EDGE).describe('second edge of a brick, height of a round'),
  third: optionalQuantity('length', EDGE).describe('third edge of a brick'),
  faces: faces(2),
  mass: optionalQuantity('mass', { min: 1, max: 50_000 }).describe(
    'of the fish that goes in; all of it where left out'
  ),
  celsius: quantity('temperature', { min: -1, max: 25, start: 5 }),
  liquid: neededText(300).describe('parts with their ml: lime 200, orange 50, water 30, oil 20'),
  measuredPH: optionalNumeric(1, 8),
  wanted: oneOf(SET_POINTS, 'half'),
  pace: optionalNumeric(0.1, 10, { unit: '×' }).describe(
    'against the shipped figure; as this house taught where left out'
  )
};
export type AcidSet = Settled<typeof acidSet>;

/** How it stands: no figure of the model, and on record all the same. */
export const acidLaid = {
  salt: optionalQuantity('concentration', { unit: '%', min: 0, max: 0.2 }).describe('seasoned into the liquid'),
  later: openChoice(SET_POINTS).describe('a second, later look of the same run, for guests who want it less raw'),
  place: shortText(60),
  also: shortText(200).describe('other ingredients in the liquid, with commas between')
};

/** Everything set on the acid bench, for one piece. */
export const acidPlanFields = z.object({ piece: pieceId, ...acidSet });

/** The edges a cut is told by. */
export const ACID_EDGES: Record<AcidCut, readonly ('size' | 'second' | 'third')[]> = {
  dice: ['size'],
  brick: ['size', 'second', 'third'],
  slice: ['size'],
  cylinder: ['size', 'second'],
  fillet: ['size']
};
