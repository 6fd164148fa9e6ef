import { quantileSorted } from 'd3-array';
import { randomLcg, randomNormal, randomUniform } from 'd3-random';

/** A stream of chance that is handed in: the same seed, the same draws, on every machine. */
export interface Chance {
  uniform(low: number, high: number): number;
  /** Log-normal by its 5th, 50th and 95th percentile: the two sides may be of different width. */
  logBand(low: number, likely: number, high: number): number;
}

const Z95 = 1.6448536269514722;

/**
 * @param seed any number from 0 up to, but not including, 1
 * @example
 * seededChance(0.5).uniform(0, 1) === seededChance(0.5).uniform(0, 1) // => true
 */
export function seededChance(seed: number): Chance {
  const source = randomLcg(seed);
  const normal = randomNormal.source(source)(0, 1);
  return {
    uniform: (low, high) => randomUniform.source(source)(low, high)(),
    logBand(low, likely, high) {
      const z = normal();
      const side = z < 0 ? Math.log(likely / low) : Math.log(high / likely);
      return likely * Math.exp((z / Z95) * side);
    }
  };
}

export interface Band {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

/**
 * The 5th and 95th percentile of draws around the likely figure, which is computed from the likely parameters.
 *
 * @example
 * bandOf([1, 2, 3, 4, 5], 3) // => { low: 1.2, likely: 3, high: 4.8 }
 */
export function bandOf(draws: readonly number[], likely: number): Band {
  const sorted = [...Float64Array.from(draws).sort()];
  const at = (share: number) => quantileSorted(sorted, share) ?? likely;
  return { low: Math.min(at(0.05), likely), likely, high: Math.max(at(0.95), likely) };
}
