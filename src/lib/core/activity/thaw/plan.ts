import { z } from 'zod';
import {
  THICKNESS,
  choice,
  neededText,
  pieceId,
  quantity,
  shortText,
  ticked,
  type Settled
} from '../../fields/field.ts';
import { PACKING_IDS, SHAPE_IDS } from '../freeze/lists.ts';
import { PACK_STATES, THAW_METHOD_IDS } from './lists.ts';

/** What is set when something thaws. Unit, range and start of each stand here and nowhere else. */
export const thawSet = {
  method: choice(THAW_METHOD_IDS, 'cold'),
  place: neededText(60).describe('drawer, fridge or sink'),
  medium: quantity('temperature', { min: -2, max: 30, start: 3 }).describe('air of the fridge, or the running water'),
  packing: choice(PACKING_IDS, 'film'),
  shape: choice(SHAPE_IDS, 'slab'),
  pack: choice(PACK_STATES, 'none').describe('packed without oxygen: none, opened, closed'),
  thickness: quantity('length', THICKNESS),
  startCore: quantity('temperature', { min: -60, max: 0, start: -20 })
};
export type ThawSet = Settled<typeof thawSet>;

export const thawPlan = z.object({
  piece: pieceId,
  ...thawSet,
  own: ticked.describe('it thaws in its closed pack, and you answer for it')
});
/** The same before it is known where it thaws. */
export const thawPreview = thawPlan.extend({ piece: pieceId.optional(), place: shortText(60) });

/** Where the medium begins by method: a fridge's air, tap water. °C; water of the house's tap varies (check). */
export const THAW_MEDIUM: Record<(typeof THAW_METHOD_IDS)[number], number> = { cold: 3, water: 12 };
