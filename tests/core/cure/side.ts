import type { CureSettings } from '../../../src/lib/core/bench/cure/plan.ts';

/** A side under a dry cover, skin on, thin at its tail, over a night and a bit. */
export const SIDE: CureSettings = {
  method: 'cover',
  grams: 900,
  thicknessMm: 28,
  thinMm: 9,
  faces: 1,
  celsius: 3,
  fat: 'mid',
  thawed: false,
  salt: 0.06,
  sugar: 0.03,
  hours: 30,
  target: 0.01
};
