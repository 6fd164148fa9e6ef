import { scaledErfc } from '../measure/erf.ts';
import { inRange } from '../errors.ts';
import { FLESH_DENSITY } from './flesh.ts';

/** Unfrozen fish: conductivity, W/m/K, and heat held by a cubic metre, J/m³/K; 76 % water (check). */
const CONDUCTIVITY = 0.5;
const HEAT_CAPACITY = FLESH_DENSITY * 3600;
const DIFFUSIVITY = CONDUCTIVITY / HEAT_CAPACITY;
const ROOTS = 24;
/** Below this Fourier number a face knows nothing of the other one: what is neglected is under 1 in 10,000. */
const EARLY = 0.1;

/** Roots of ζ tan ζ = Bi, one in each half period; by halving, which cannot go astray. */
function rootsOf(biot: number): readonly number[] {
  return Array.from({ length: ROOTS }, (_, index) => {
    const sign = index % 2 === 0 ? 1 : -1;
    let [low, high] = [index * Math.PI, index * Math.PI + Math.PI / 2];
    for (let step = 0; step < 50; step++) {
      const middle = (low + high) / 2;
      if (sign * (middle * Math.sin(middle) - biot * Math.cos(middle)) < 0) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  });
}

/**
 * How far the face of a slab has come from its own temperature towards the air's, 0 to 1: both faces in air. Early by the
 * half-infinite solid, later by the series for a wall with a surface resistance.
 * Source: Carslaw & Jaeger (1959), Conduction of Heat in Solids, 2nd ed., sections 2.7 and 3.11.
 *
 * @param seconds in that air
 * @param thicknessMm whole thickness
 * @param coefficient heat transfer, W/m²K
 * @throws EmberError `quantity.out-of-range`
 * @example
 * surfaceShare(600, 30, 10).toFixed(2) // => '0.18'
 */
export function surfaceShare(seconds: number, thicknessMm: number, coefficient: number): number {
  inRange(seconds, { field: 'seconds', unit: 's', min: 0, max: 1e9 });
  const half = inRange(thicknessMm, { field: 'thickness', unit: 'mm', min: 0.1, max: 2000 }) / 2000;
  const h = inRange(coefficient, { field: 'coefficient', unit: 'W/m²K', min: 0.1, max: 5000 });
  const fourier = (DIFFUSIVITY * seconds) / half ** 2;
  if (fourier < EARLY) {
    const x = (h * Math.sqrt(DIFFUSIVITY * seconds)) / CONDUCTIVITY;
    return Math.min(1, Math.max(0, 1 - scaledErfc(x)));
  }
  const left = rootsOf((h * half) / CONDUCTIVITY).reduce(
    (sum, root) =>
      sum + ((2 * Math.sin(2 * root)) / (2 * root + Math.sin(2 * root))) * Math.exp(-(root ** 2) * fourier),
    0
  );
  return Math.min(1, Math.max(0, 1 - left));
}
