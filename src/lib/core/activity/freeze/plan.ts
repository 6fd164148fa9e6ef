import { z } from 'zod';
import {
  THICKNESS,
  choice,
  list,
  neededText,
  optionalNumeric,
  pieceId,
  quantity,
  shortText,
  type Settled
} from '../../fields/field.ts';
import { AIR_CLASS_IDS, LIE_IDS, PACKING_IDS, SHAPE_IDS } from './lists.ts';

/** What is set when something goes into a freezer. Unit, range and start of each stand here and nowhere else. */
export const freezeSet = {
  place: neededText(60),
  cycle: neededText(30),
  air: quantity('temperature', { min: -90, max: 0, start: -25 }),
  airClass: choice(AIR_CLASS_IDS, 'still'),
  packing: choice(PACKING_IDS, 'film'),
  shape: choice(SHAPE_IDS, 'slab'),
  lie: choice(LIE_IDS, 'unknown').describe('each alone with air round it, or on each other in one block'),
  stack: optionalNumeric(2, 40).describe('how many lie on each other'),
  thickness: quantity('length', THICKNESS),
  startCore: quantity('temperature', { min: -1, max: 30, start: 2 }),
  coreSensor: shortText(60).describe('sensor whose probe stands in the core of this load')
};
export type FreezeSet = Settled<typeof freezeSet>;

/** A load of one piece, and of more that go in with it. */
export const freezePlan = z.object({
  piece: pieceId,
  others: list(60).describe('more pieces that go in with it'),
  ...freezeSet
});
/** The same before it is known what goes in, or where. */
export const freezePreview = freezePlan.extend({ piece: pieceId.optional(), place: shortText(60) });
