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
    const q = bathRoot(n, alpha);
    const term = ((2 * alpha * (1 + alpha)) / (1 + alpha + alpha * alpha * q * q)) * Math.exp(-q * q * fourier);
    sum += term;
    if (term < 1e-15) break;
  }
  return 1 - sum;
}

/** The n-th root of tan q = -alpha q, which lies between (n - 1/2) pi and n pi. */
function bathRoot(n: number, alpha: number): number {
  let low = (n - 0.5) * Math.PI + 1e-12;
  let high = n * Math.PI;
  const isPositive = (q: number) => Math.sin(q) + alpha * q * Math.cos(q) > 0;
  const atEnd = isPositive(high);
  for (let i = 0; i < 200; i++) {
    const q = (low + high) / 2;
    if (isPositive(q) === atEnd) high = q;
    else low = q;
  }
  return (low + high) / 2;
}

/** Concentrations in a slab at even places from its closed end to its face, an odd number of them, and in its bath. */
export interface BathState {
  readonly slab: readonly number[];
  readonly bath: number;
}

/**
 * A slab with any profile in a finite, well stirred bath after a time: the eigenfunctions cos(q x) of Crank 4.3.5, orthogonal
 * once the bath is counted in with its weight. A series of baths is this, one after the other.
 *
 * @param ratio water of the bath over water of the slab
 * @param fourier D t / l²
 * @param terms of the series
 */
export function finiteBathSeries(start: BathState, ratio: number, fourier: number, terms = 120): BathState {
  inRange(fourier, { field: 'fourier', unit: '', min: 1e-9, max: 1e6 });
  const alpha = inRange(ratio, { field: 'ratio', unit: '', min: 1e-4, max: 1e4 });
  const last = start.slab.length - 1;
  const places = start.slab.map((_, index) => index / last);
  // Simpson's rule; the profile and the first terms are smooth on this grid.
  const integral = (of: (place: number, value: number) => number) =>
    start.slab.reduce((sum, value, index) => {
      const weight = index === 0 || index === last ? 1 : index % 2 === 1 ? 4 : 2;
      return sum + (weight * of(places[index]!, value)) / (3 * last);
    }, 0);
  const mean = (integral((_, value) => value) + alpha * start.bath) / (1 + alpha);
  const slab = places.map(() => mean);
  let bath = mean;
  for (let n = 1; n <= terms; n++) {
    const q = bathRoot(n, alpha);
    const size = 0.5 + Math.sin(2 * q) / (4 * q) + alpha * Math.cos(q) ** 2;
    const part = (integral((x, value) => value * Math.cos(q * x)) + alpha * start.bath * Math.cos(q)) / size;
    const left = part * Math.exp(-q * q * fourier);
    places.forEach((x, index) => (slab[index]! += left * Math.cos(q * x)));
    bath += left * Math.cos(q);
  }
  return { slab, bath };
}
