import { choice, numeric, quantity, type Settled } from '../../fields/field.ts';

/** How slices lie on a plate. */
export const ARRANGEMENTS = ['row', 'leaning', 'fan', 'spokes', 'flower', 'mound', 'block'] as const;
export type Arrangement = (typeof ARRANGEMENTS)[number];

/** What is set for a plate. */
export const plateSet = {
  arrangement: choice(ARRANGEMENTS, 'leaning'),
  plate: quantity('length', { min: 80, max: 600, start: 240 }).describe('across, over its rim'),
  each: numeric(1, 200, { start: '5', fallback: 5, whole: true }).describe('slices a plate')
};
export type PlateSet = Settled<typeof plateSet>;
