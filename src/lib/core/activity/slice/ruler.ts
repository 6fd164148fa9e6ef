import { numeric, optionalQuantity, quantity, type Settled } from '../../fields/field.ts';

/** Places along a block where a ruler may be laid: quarters of its length from the head end. */
export const QUARTERS = [0, 1, 2, 3, 4] as const;

const HEIGHT = { min: 3, max: 200 };
const WIDTH = { min: 5, max: 400 };

/** What a ruler says of what lies on the board. */
export const ruler = {
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
  slantTail: optionalQuantity('length', { min: 0, max: 200 }).describe('how far its tail end slants')
};
export type Ruled = Settled<typeof ruler>;
