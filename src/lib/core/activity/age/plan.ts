import { z } from 'zod';
import {
  choice,
  listOf,
  neededText,
  optionalQuantity,
  pieceId,
  quantity,
  shortText,
  startOf,
  type Settled
} from '../../fields/field.ts';
import { AGE_PACKS, PREPARATION_STEPS } from './lists.ts';

export const AGED_MASS = { min: 20, max: 200_000 };

/** What is set when a piece is hung. Unit, range and start of each stand here and nowhere else. */
export const ageSet = {
  place: neededText(60).describe('the cabinet'),
  spot: shortText(12).describe('hook or shelf place'),
  mass: quantity('mass', AGED_MASS),
  target: optionalQuantity('concentration', { unit: '%', min: 0.005, max: 0.5, start: 0.1 }).describe(
    'share of its weight to lose'
  ),
  celsius: quantity('temperature', { min: -2, max: 15, start: 2 }),
  humidity: optionalQuantity('concentration', { unit: '%', min: 0.3, max: 0.99 }),
  prepared: listOf(PREPARATION_STEPS, 12),
  pack: choice(AGE_PACKS, 'open'),
  note: shortText(300)
};
export type AgeSet = Settled<typeof ageSet>;

export const agePlan = z.object({ piece: pieceId, ...ageSet });

/** What a forecast before hanging needs of it. */
export const agePreview = z.object({
  piece: pieceId,
  mass: ageSet.mass,
  target: ageSet.target,
  celsius: ageSet.celsius,
  humidity: ageSet.humidity
});

/** Share of its weight a piece was hung to lose; what is usual where nobody said. */
export const lossWanted = ({ target }: Pick<AgeSet, 'target'>): number => target?.si ?? startOf(ageSet.target);
