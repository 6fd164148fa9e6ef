import { speciesIn } from '../../core/fish/house-species.ts';
import type { Species } from '../../core/fish/species.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { LotState } from '../../core/record/lot.ts';

/** The one species a lot is, as the house has it; null where it is not settled. */
export const speciesOfLot = (lot: LotState, house: HouseState): Species | null =>
  lot.species.length === 1 ? speciesIn(house.species, lot.species[0]!) : null;

/** Every species a lot may be. */
export const candidatesOfLot = (lot: LotState, house: HouseState): Species[] =>
  lot.species.map((id) => speciesIn(house.species, id));
