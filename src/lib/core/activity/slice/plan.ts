import { z } from 'zod';
import { numeric, oneOf, pieceId, quantity, type Settled } from '../../fields/field.ts';

/** What is set at the slicing board. Unit, range and start of each stand here and nowhere else. */
export const sliceSet = {
  cut: oneOf(['straight', 'oblique'], 'oblique'),
  length: quantity('length', { min: 5, max: 1000 }),
  height: quantity('length', { min: 3, max: 200, start: 28 }),
  width: quantity('length', { min: 5, max: 400, start: 70 }).describe('of a squared block as it usually lies'),
  thickness: quantity('length', { min: 0.5, max: 60, start: 5 }),
  angle: numeric(15, 90, { unit: '°', start: 40, fallback: 90 }).describe('of the blade from the board')
};
export type SliceSet = Settled<typeof sliceSet>;

export const slicePlan = z.object({ piece: pieceId, ...sliceSet });
