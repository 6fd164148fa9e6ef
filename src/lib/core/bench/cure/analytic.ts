import { inRange } from '../../errors.ts';

/**
 * Closed solutions the simulation is held against. Source: Crank, The Mathematics of Diffusion, 2nd ed. (1975), ch. 4.
 * The slab has depth l from its open face to its closed one.
 */

/**
 * Share of the final uptake taken up by a time with the face held constant: Crank (4.18).
 *
 * @param fourier D t / l²
 * @example
 * uptakeConstantSurface(0.2).toFixed(4) // => '0.5041'
 */
export function uptakeConstantSurface(fourier: number): number {
  const f = inRange(fourier, { field: 'fourier', unit: '', min: 1e-9, max: 1e6 });
  let left = 0;
  for (let n = 0; n < 4000; n++) {
    const a = (2 * n + 1) * (Math.PI / 2);
    const term = (2 / (a * a)) * Math.exp(-a * a * f);
    left += term;
    if (term < 1e-16) break;
  }
  return 1 - left;
}

/**
 * Concentration at a depth, as a share of the face's, with the face held constant: Crank (4.17).
 *
 * @param fourier D t / l²
 * @param depthShare 0 at the open face, 1 at the closed one
 */
export function profileConstantSurface(fourier: number, depthShare: number): number {
  inRange(fourier, { field: 'fourier', unit: '', min: 1e-9, max: 1e6 });
  let left = 0;
  for (let n = 0; n < 4000; n++) {
    const a = (2 * n + 1) * (Math.PI / 2);
    const decay = Math.exp(-a * a * fourier);
    left += (2 / a) * Math.sin(a * depthShare) * decay;
    if (decay < 1e-16) break;
  }
  return 1 - left;
}

/**
 * Share of the final uptake taken from a finite, well stirred bath: Crank (4.37).
 *
 * @param fourier D t / l²
 * @param ratio water of the bath over water of the slab
 */
export function uptakeFiniteBath(fourier: number, ratio: number): number {
  inRange(fourier, { field: 'fourier', unit: '', min: 1e-9, max: 1e6 });
  const alpha = inRange(ratio, { field: 'ratio', unit: '', min: 1e-4, max: 1e4 });
  let sum = 0;
  for (let n = 1; n <= 400; n++) {
    // tan q = -alpha q has its n-th root between (n - 1/2) pi and n pi.
    let low = (n - 0.5) * Math.PI + 1e-12;
    let high = n * Math.PI;
    for (let i = 0; i < 200; i++) {
      const q = (low + high) / 2;
      if (Math.sin(q) + alpha * q * Math.cos(q) > 0 === Math.sin(high) + alpha * high * Math.cos(high) > 0) high = q;
      else low = q;
    }
    const q = (low + high) / 2;
    const term = ((2 * alpha * (1 + alpha)) / (1 + alpha + alpha * alpha * q * q)) * Math.exp(-q * q * fourier);
    sum += term;
    if (term < 1e-15) break;
  }
  return 1 - sum;
}
