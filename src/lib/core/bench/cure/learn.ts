import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import type { Species } from '../../fish/species.ts';
import type { Band } from '../../random.ts';
import { SHIPPED, type CureParameters } from './parameters.ts';
import { programmeOf, zonesOf, type CureSettings } from './programme.ts';
import { simulate, type Draw } from './simulate.ts';
import { thickestZone } from './zones.ts';

export const METER_PLACES = ['mean', 'middle', 'surface'] as const;
/** What came out of one finished cure. */
export interface CureOutcome {
  /** Entry of the ledger that began it. */
  readonly seq: number;
  readonly species: string;
  readonly fat: Species['fat'];
  /** As it was really run. */
  readonly settings: CureSettings;
  readonly gramsAfter: number | null;
  readonly salt: { readonly where: (typeof METER_PLACES)[number]; readonly percent: number } | null;
}

export interface Fitted {
  readonly parameters: CureParameters;
  /** Root mean square of what was off, before and after: weight in % of the raw weight, salt in % of the reading. Null: none. */
  readonly weightOff: { readonly before: number; readonly after: number } | null;
  readonly saltOff: { readonly before: number; readonly after: number } | null;
  readonly runs: number;
}

/** A scale, a wet board and the difference between two fish: share of the raw weight. House figure (check). */
const WEIGHT_SIGMA = 0.012;
/** A salt meter in a cut of fish, and the model itself: share of the reading. House figure (check). */
const SALT_SIGMA = 0.15;
/** How far one fish of a kind lies from the next, in ln: what no number of runs takes away (check). */
const BETWEEN_FISH: Spread = { diffusivity: 0.15, mostLoss: 0.06 };
/** How far one species of a fat class lies from the class, in ln (check). */
const BETWEEN_SPECIES: Spread = { diffusivity: 0.25, mostLoss: 0.08 };
const Z95 = 1.6448536269514722;
/** Coarser than a plan: a fit runs it some dozen times for every cure. */
const COARSE = { nodes: 16, stepShare: 0.14, withSugar: true, layers: 0 } as const;
const FIT_ZONES = 3;
/** Older runs are let go: knives, salt and fish change. */
export const MOST_RUNS = 40;

interface Spread {
  readonly diffusivity: number;
  readonly mostLoss: number;
}
const sigmaOf = ({ low, high }: Band) => Math.log(high / low) / (2 * Z95);
const spreadOf = ({ diffusivity, mostLoss }: CureParameters): Spread => ({
  diffusivity: sigmaOf(diffusivity),
  mostLoss: sigmaOf(mostLoss)
});
const bandAround = (likely: number, sigma: number): Band => ({
  low: likely * Math.exp(-Z95 * sigma),
  likely,
  high: likely * Math.exp(Z95 * sigma)
});

/**
 * What the model says of a finished cure.
 *
 * @returns weight after, g, and salt where the meter stood, %
 */
export function predicted(
  outcome: Pick<CureOutcome, 'settings' | 'salt'>,
  draw: Draw
): { grams: number; percent: number } {
  const { settings } = outcome;
  const stages = programmeOf(settings);
  const zones = zonesOf(settings, FIT_ZONES);
  const outputs = [stages.reduce((sum, { seconds }) => sum + seconds, 0)];
  const { zones: seen } = simulate(settings, stages, zones, draw, { ...COARSE, outputs })[0]!;
  const kilograms = seen.reduce((sum, zone) => sum + zone.kilograms, 0);
  const salt = seen.reduce((sum, zone) => sum + zone.salt, 0);
  const thick = seen[thickestZone(zones)]!;
  const where = outcome.salt?.where ?? 'mean';
  return {
    grams: kilograms * settings.grams,
    percent: where === 'mean' ? (100 * salt) / kilograms : where === 'middle' ? thick.middle : thick.surface
  };
}

interface Misses {
  readonly weight: number[];
  readonly salt: number[];
}
function misses(outcomes: readonly CureOutcome[], draw: Draw): Misses {
  const weight: number[] = [];
  const salt: number[] = [];
  for (const outcome of outcomes) {
    const { grams, percent } = predicted(outcome, draw);
    if (outcome.gramsAfter !== null) weight.push((outcome.gramsAfter - grams) / outcome.settings.grams);
    if (outcome.salt !== null) salt.push(Math.log(outcome.salt.percent / Math.max(0.01, percent)));
  }
  return { weight, salt };
}

const rms = (values: readonly number[]) =>
  Math.sqrt(values.reduce((sum, value) => sum + value * value, 0) / values.length);

/**
 * Diffusivity and water loss fitted to finished cures: least squares on weights after and on meter readings, with what was
 * believed before as a reading of its own (a Gaussian prior on the logarithm), by Levenberg and Marquardt.
 *
 * @param prior what was believed before
 * @returns the prior itself, where nothing was weighed or measured
 */
export function fitCure(
  outcomes: readonly CureOutcome[],
  prior: CureParameters = SHIPPED,
  from: CureParameters['from'] = 'species'
): Fitted {
  // Salt on its way out of salted fish is another matter: it teaches nothing of a cure.
  const used = outcomes
    .filter(({ gramsAfter, salt, settings }) => settings.method !== 'desalt' && (gramsAfter !== null || salt !== null))
    .slice(-MOST_RUNS);
  if (used.length === 0) return { parameters: prior, weightOff: null, saltOff: null, runs: 0 };
  const spread = spreadOf(prior);
  // One unit of each is one standard deviation of what was believed.
  const drawAt = ([a, b]: readonly [number, number]): Draw => ({
    diffusivity: Math.min(5e-8, Math.max(5e-12, prior.diffusivity.likely * Math.exp(a * spread.diffusivity))),
    mostLoss: Math.min(0.5, Math.max(0.02, prior.mostLoss.likely * Math.exp(b * spread.mostLoss)))
  });
  const residuals = (at: readonly [number, number]): number[] => {
    const { weight, salt } = misses(used, drawAt(at));
    return [...weight.map((each) => each / WEIGHT_SIGMA), ...salt.map((each) => each / SALT_SIGMA), at[0], at[1]];
  };
  const count = residuals([0, 0]).length;
  const places = Array.from({ length: count }, (_, index) => index);
  const { parameterValues } = levenbergMarquardt(
    { x: places, y: places.map(() => 0) },
    (parameters: number[]) => {
      const all = residuals([parameters[0]!, parameters[1]!]);
      return (place: number) => all[place]!;
    },
    {
      initialValues: [0, 0],
      minValues: [-4, -4],
      maxValues: [4, 4],
      damping: 0.1,
      gradientDifference: 0.02,
      maxIterations: 6,
      errorTolerance: 1e-6
    }
  );
  const at: [number, number] = [parameterValues[0]!, parameterValues[1]!];
  const left = sigmasAt(residuals, at);
  const drawn = drawAt(at);
  const before = misses(used, drawAt([0, 0]));
  const after = misses(used, drawn);
  const off = (which: keyof Misses) =>
    after[which].length === 0 ? null : { before: 100 * rms(before[which]), after: 100 * rms(after[which]) };
  const wide = (sigma: number, fish: number) => Math.hypot(sigma, fish);
  return {
    parameters: {
      diffusivity: bandAround(drawn.diffusivity, wide(left[0] * spread.diffusivity, BETWEEN_FISH.diffusivity)),
      mostLoss: bandAround(drawn.mostLoss, wide(left[1] * spread.mostLoss, BETWEEN_FISH.mostLoss)),
      runs: used.length,
      from
    },
    weightOff: off('weight'),
    saltOff: off('salt'),
    runs: used.length
  };
}

/** Standard deviations that are left: of the inverse of J'J at the best point, whose rows of the prior keep it invertible. */
function sigmasAt(residuals: (at: [number, number]) => number[], at: [number, number]): [number, number] {
  const h = 0.02;
  const base = residuals(at);
  const slope = (shift: [number, number]) => residuals(shift).map((value, index) => (value - base[index]!) / h);
  const first = slope([at[0] + h, at[1]]);
  const second = slope([at[0], at[1] + h]);
  const dot = (x: readonly number[], y: readonly number[]) => x.reduce((sum, value, i) => sum + value * y[i]!, 0);
  const [aa, ab, bb] = [dot(first, first), dot(first, second), dot(second, second)];
  const determinant = aa * bb - ab * ab;
  return [Math.sqrt(bb / determinant), Math.sqrt(aa / determinant)];
}

const widened = (parameters: CureParameters): CureParameters => {
  const { diffusivity, mostLoss } = spreadOf(parameters);
  return {
    ...parameters,
    diffusivity: bandAround(parameters.diffusivity.likely, Math.hypot(diffusivity, BETWEEN_SPECIES.diffusivity)),
    mostLoss: bandAround(parameters.mostLoss.likely, Math.hypot(mostLoss, BETWEEN_SPECIES.mostLoss))
  };
};

/**
 * What a cure of this kind is forecast with: its own runs, on what other species of its fat class taught, on what ships.
 *
 * @param outcomes finished cures of the house, oldest first
 */
export function learned(outcomes: readonly CureOutcome[], species: string, fat: Species['fat']): Fitted {
  const others = outcomes.filter((each) => each.fat === fat && each.species !== species);
  const own = outcomes.filter((each) => each.species === species);
  const kin = fitCure(others, SHIPPED, 'fat-class');
  const prior = kin.runs > 0 ? widened(kin.parameters) : SHIPPED;
  const mine = fitCure(own, prior, 'species');
  return mine.runs > 0 ? mine : { ...kin, parameters: prior };
}
