import { EmberError, inRange } from '../../errors.ts';
import { parseQuantity } from '../../measure/parse.ts';

/** Slices as they were weighed: how even they are, and how a hand is out. */

/** A slice within so much of what was wanted is in tolerance. */
export const TOLERANCE = 0.1;
/** What one weighing may say, g. */
const WEIGHT = { min: 0.2, max: 500 } as const;
const MOST = 400;

export interface Evenness {
  readonly count: number;
  readonly mean: number;
  /** Mean less what was wanted, as a share of it. */
  readonly bias: number;
  /** Coefficient of variation with n - 1; null for one slice. */
  readonly spread: number | null;
  /** Share within a tenth of what was wanted. */
  readonly inTolerance: number;
  /** Those that are not, by their place in the order of cutting, from 1. */
  readonly odd: readonly number[];
  /** From the first to the last, as the straight line through them runs, as a share of what was wanted; null for fewer than three. */
  readonly drift: number | null;
}

function checkWeights(weights: readonly number[], aim: number): void {
  if (weights.length === 0) throw new EmberError('form.incomplete', { field: 'weights' });
  if (weights.length > MOST) throw new EmberError('form.too-many', { field: 'weights', max: MOST });
  for (const grams of weights) inRange(grams, { field: 'weights', unit: 'g', ...WEIGHT });
  inRange(aim, { field: 'grams', unit: 'g', ...WEIGHT });
}
const meanOf = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length;
function deviationOf(values: readonly number[]): number {
  const mean = meanOf(values);
  return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1));
}

/**
 * How even slices are, weighed in the order in which they were cut.
 *
 * @param weights g each
 * @param aim g that was wanted
 * @throws EmberError `form.incomplete`, `form.too-many`, `quantity.out-of-range`
 * @example
 * evenness([10, 12, 14], 12).inTolerance.toFixed(2) // => '0.33'
 * @example
 * evenness([10, 12, 14], 12).odd // => [1, 3]
 */
export function evenness(weights: readonly number[], aim: number): Evenness {
  checkWeights(weights, aim);
  const mean = meanOf(weights);
  const isOdd = (grams: number) => Math.abs(grams - aim) > aim * TOLERANCE + 1e-9;
  const odd = weights.flatMap((grams, index) => (isOdd(grams) ? [index + 1] : []));
  return {
    count: weights.length,
    mean,
    bias: mean / aim - 1,
    spread: weights.length > 1 ? deviationOf(weights) / mean : null,
    inTolerance: 1 - odd.length / weights.length,
    odd,
    drift: weights.length > 2 ? (slopeOf(weights) * (weights.length - 1)) / aim : null
  };
}

/** Slope of the straight line through values at even steps, by least squares. */
function slopeOf(values: readonly number[]): number {
  const middle = (values.length - 1) / 2;
  const mean = meanOf(values);
  const across = values.reduce((sum, value, index) => sum + (index - middle) * (value - mean), 0);
  const along = values.reduce((sum, _, index) => sum + (index - middle) ** 2, 0);
  return across / along;
}

/** 95th percentile of Student's t by degrees of freedom (Student 1908, as in any table): between them straight in 1/df. */
const STUDENT: readonly (readonly [df: number, t: number])[] = [
  [1, 6.314],
  [2, 2.92],
  [3, 2.353],
  [4, 2.132],
  [5, 2.015],
  [6, 1.943],
  [7, 1.895],
  [8, 1.86],
  [9, 1.833],
  [10, 1.812],
  [12, 1.782],
  [15, 1.753],
  [20, 1.725],
  [30, 1.697],
  [60, 1.671],
  [Infinity, 1.645]
];
/**
 * Student's t that is passed one time in twenty.
 *
 * @example
 * student(7) // => 1.895
 */
export function student(df: number): number {
  const after = STUDENT.findIndex(([each]) => each >= df);
  const [high, low] = [STUDENT[after]!, STUDENT[Math.max(0, after - 1)]!];
  if (high[0] === df || high === low) return high[1];
  const share = (1 / df - 1 / low[0]) / (1 / high[0] - 1 / low[0]);
  return low[1] + (high[1] - low[1]) * share;
}

/**
 * Weights as they are typed: in grams, or with a unit each; commas, semicolons or spaces between them.
 *
 * @returns g
 * @throws EmberError `quantity.unreadable`, `quantity.ambiguous`, `form.incomplete`, `form.too-many`
 * @example
 * weightsTold('12.1; 11.8 g 13') // => [12.1, 11.8, 13]
 */
export function weightsTold(text: string): number[] {
  const parts = text
    .replace(/(\d)\s+(g|kg|oz)\b/g, '$1$2')
    .split(/[;\s]+|,\s/)
    .map((each) => each.replace(/,$/, ''))
    .filter((each) => each !== '');
  if (parts.length === 0) throw new EmberError('form.incomplete', { field: 'weights' });
  if (parts.length > MOST) throw new EmberError('form.too-many', { field: 'weights', max: MOST });
  return parts.map((each) => {
    const typed = /[a-z]$/i.test(each) ? each : `${each} g`;
    return parseQuantity('mass', typed, { field: 'weights' }).si;
  });
}

/** One session's slices against what each was to weigh. */
export interface Session {
  readonly weights: readonly number[];
  /** g that each was to weigh: wanted, or by the thickness it was cut at. */
  readonly aim: number;
}
export interface HandBias {
  /** Times what was wanted: 1.08 is 8 % heavy. */
  readonly times: number;
  /** Nine in ten of such intervals hold the truth. */
  readonly low: number;
  readonly high: number;
  readonly slices: number;
  readonly sessions: number;
  /** Whether it is known to be out at all: the interval leaves out 1. */
  readonly known: boolean;
}

/** Mean of logarithms with its interval, by Student. */
function interval(logs: readonly number[]): readonly [mean: number, half: number] | null {
  if (logs.length < 2) return null;
  const half = (student(logs.length - 1) * deviationOf(logs)) / Math.sqrt(logs.length);
  return [meanOf(logs), half];
}

/**
 * How heavy or light a hand cuts, and how sure that is. Slices of one session share more than the hand (a block badly measured), so
 * from three sessions on the sessions are what is counted; of two intervals the wider one is told.
 *
 * @returns null while there are fewer than two slices
 * @throws EmberError as {@link evenness}
 */
export function handBias(sessions: readonly Session[]): HandBias | null {
  const logs = sessions.map(({ weights, aim }) => {
    checkWeights(weights, aim);
    return weights.map((grams) => Math.log(grams / aim));
  });
  const slices = logs.flat();
  const bySlice = interval(slices);
  if (!bySlice) return null;
  const bySession = sessions.length >= 3 ? interval(logs.map(meanOf)) : null;
  const [mean, half] = bySession && bySession[1] > bySlice[1] ? bySession : bySlice;
  const [low, high] = [Math.exp(mean - half), Math.exp(mean + half)];
  return {
    times: Math.exp(mean),
    low,
    high,
    slices: slices.length,
    sessions: sessions.length,
    known: low > 1 || high < 1
  };
}
