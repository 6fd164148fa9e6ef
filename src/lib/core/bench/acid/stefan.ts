import { EmberError, inRange } from '../../errors.ts';
import { erf } from '../../measure/erf.ts';

/**
 * The moving boundary's own number: sqrt(π) λ exp(λ²) erf(λ) = C0/N, for acid that diffuses in from a face of constant strength
 * and is bound where it arrives. Crank, The Mathematics of Diffusion, 2nd ed. (1975), 13.2 (Stefan, Neumann).
 *
 * @param strength C0/N
 * @throws EmberError `quantity.out-of-range`
 * @example
 * stefanNumber(0.506 / 0.075).toFixed(3) // => '1.145'
 */
export function stefanNumber(strength: number): number {
  const wanted = inRange(strength, { field: 'strength', unit: '', min: 1e-6, max: 1e4 });
  let [low, high] = [0, 4];
  for (let turn = 0; turn < 80; turn++) {
    const middle = (low + high) / 2;
    if (Math.sqrt(Math.PI) * middle * Math.exp(middle * middle) * erf(middle) < wanted) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * Depth of the turned rim under a flat face, m, while the front is far from the middle and the liquid plenty.
 *
 * @param diffusivity m²/s
 * @param seconds since it was covered
 * @param strength C0/N
 * @example
 * (1000 * flatFront(4e-10, 600, 0.506 / 0.075)).toFixed(2) // => '1.12'
 */
export function flatFront(diffusivity: number, seconds: number, strength: number): number {
  const d = inRange(diffusivity, { field: 'diffusivity', unit: 'm²/s', min: 1e-12, max: 1e-7 });
  const t = inRange(seconds, { field: 'time', unit: 's', min: 0, max: 30 * 86400 });
  if (!Number.isFinite(strength)) throw new EmberError('number.not-finite', { field: 'strength' });
  return 2 * stefanNumber(strength) * Math.sqrt(d * t);
}
