import type { ThawSet } from '../../core/activity/thaw/plan.ts';
import { thaw, type ThawInput } from '../../core/bench/freeze/thaw.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { LotState } from '../../core/record/lot.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import { thinned, waterOf } from './freeze.ts';

/** The forecast of a thaw, and where the surface passes the limit for warm hours. */
export function forecastThaw(
  house: HouseState,
  lot: LotState | null,
  input: Pick<ThawSet, 'method' | 'thickness' | 'shape' | 'startCore' | 'medium' | 'packing'>
) {
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
