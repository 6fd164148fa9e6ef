import { erf } from '../../measure/erf.ts';
import type { AcidShape, FrontMoment } from './shape.ts';
import { stefanNumber } from './stefan.ts';

/** Faces for the volume behind them, of a shape in half-dimensions of its smallest. */
export function faceOf({ kind, halves }: AcidShape): number {
  if (kind === 'sphere') return 3;
  if (kind === 'cylinder') return 2 / (halves[0] ?? 1) + 1 / (halves[1] ?? 1);
  return halves.reduce((sum, half) => sum + 1 / half, 0);
}

/**
 * Share of the volume still raw behind an even rim on every face.
 *
 * @param rim in half-dimensions of the smallest
 * @example
 * rawBehindRim({ kind: 'brick', halves: [1, 2, 2] }, 0.5) // => 0.28125
 */
export function rawBehindRim({ kind, halves }: AcidShape, rim: number): number {
  const left = (half: number) => Math.max(0, 1 - rim / half);
  if (kind === 'sphere') return left(1) ** 3;
  if (kind === 'cylinder') return left(halves[0] ?? 1) ** 2 * left(halves[1] ?? 1);
  return halves.reduce((product, half) => product * left(half), 1);
}

/** Rims a doubling apart are eight steps apart: the straight line between two is within a thousandth of the square law. */
const STEPS_A_DOUBLING = 8;
const DOUBLINGS = 11;
/** A liquid weaker than this share of itself is left to the cells: it is no thin rim any more. */
const LEAST_LEFT = 0.4;

/**
 * Rims too thin for cells, by the moving boundary: x² grows by 4 λ² a unit of D t, with λ of the liquid as it is by then. What stands
 * in a rim of a face of strength s is s x / (sqrt(π) λ erf(λ)). Crank, The Mathematics of Diffusion, 2nd ed. (1975), 13.2 (Stefan,
 * Neumann); the weakening liquid by steps (quasi-steady).
 *
 * @param upTo thickest rim, in half-dimensions of the smallest
 * @returns ascending, the last one at that rim, or where the liquid has grown weak
 */
export function thinRims({
  shape,
  strength,
  liquid,
  upTo
}: {
  readonly shape: AcidShape;
  readonly strength: number;
  readonly liquid: number;
  readonly upTo: number;
}): FrontMoment[] {
  const faces = faceOf(shape);
  /** Share of the acid that is left with a rim so thick, and the number of the boundary then. */
  const stateAt = (rim: number) => {
    let left = 1;
    let lambda = stefanNumber(strength);
    for (let turn = 0; turn < 12; turn++) {
      const perRim = (strength * left) / (Math.sqrt(Math.PI) * lambda * erf(lambda));
      const next = liquid === Infinity ? 1 : Math.max(0, 1 - (faces * rim * perRim) / (liquid * strength));
      if (Math.abs(next - left) < 1e-9) break;
      left = next;
      if (left < LEAST_LEFT / 2) return { left, lambda };
      lambda = stefanNumber(strength * left);
    }
    return { left, lambda };
  };
  const out: FrontMoment[] = [];
  let [fourier, square] = [0, 0];
  for (let step = -STEPS_A_DOUBLING * DOUBLINGS; step <= 0; step++) {
    const rim = upTo * 2 ** (step / STEPS_A_DOUBLING);
    const { left, lambda } = stateAt(rim);
    if (left < LEAST_LEFT && out.length > 0) break;
    fourier += (rim * rim - square) / (4 * lambda * lambda);
    square = rim * rim;
    out.push({ fourier, rim, raw: rawBehindRim(shape, rim), left });
  }
  return out;
}
