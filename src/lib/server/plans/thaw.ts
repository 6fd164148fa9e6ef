import { z } from 'zod';
import { THAW_METHODS, thaw, type ThawInput } from '../../core/bench/freeze/thaw.ts';
import { PACKING_IDS, SHAPE_IDS } from '../../core/activity/freeze/bodies.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { LotState } from '../../core/record/lot.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import { pieceId, quantity, THICKNESS } from '../input/fields.ts';
import { thinned, waterOf } from './freeze.ts';

export const thawFields = {
  method: z.enum(THAW_METHODS).default('cold'),
  medium: quantity('temperature', { min: -2, max: 30 }).describe('air of the fridge, or the running water'),
  packing: z.enum(PACKING_IDS).default('film'),
  shape: z.enum(SHAPE_IDS).default('slab'),
  thickness: quantity('length', THICKNESS),
  startCore: quantity('temperature', { min: -60, max: 0 })
};

export const thawPlan = z.object({ ...thawFields, piece: pieceId.optional() });

/** The forecast of a thaw, and where the surface passes the limit for warm hours. */
export function forecastThaw(house: HouseState, lot: LotState | null, input: Omit<z.infer<typeof thawPlan>, 'piece'>) {
  const { histamine, coldHold } = profileById(house.profile, house.profiles);
  const asked: ThawInput = {
    method: input.method,
    thicknessMm: input.thickness.si,
    shape: input.shape,
    startCelsius: input.startCore.si,
    mediumCelsius: input.medium.si,
    airClass: 'fridge',
    packing: input.packing,
    water: waterOf(lot, house)
  };
  const limit = Math.min(histamine.above.c, coldHold.c);
  const made = thaw(asked, limit);
  return { ...made, points: thinned(made.points), limit, thicknessMm: asked.thicknessMm, shape: asked.shape };
}
