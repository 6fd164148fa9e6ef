import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { CholeskyDecomposition, inverse, Matrix } from 'ml-matrix';
import { EmberError, inRange } from '../../errors.ts';
import { seededChance, type Band } from '../../random.ts';
import { AGE_LIMITS, lossOf, wetRate, type CabinetAir, type Drying } from './drying.ts';
import {
  AREA_SHARE,
  BETWEEN_FISH,
  CABINET_AIR,
  GAIN_SHARE,
  HUMIDITY,
  MOST_A_DAY,
  MOST_LOSS,
  ONE_WEIGHING_SECONDS,
  SKIN_SHARE,
  WEIGHING_SHARE
} from './parameters.ts';

/** How a fish is hung, as far as drying asks. */
export interface Hanging {
  readonly kind: 'whole' | 'fillet';
  readonly grams: number;
  readonly celsius: number;
  /** Share; null where nobody read it. */
  readonly humidity: number | null;
}
export interface WeighIn {
  /** Days after it was hung. */
  readonly day: number;
  readonly grams: number;
}
/** What is believed of a fish before its own weights: rate and most loss, each with its spread in ln. */
export interface DryingPrior {
  readonly rate: number;
  readonly rateSigma: number;
  readonly most: number;
  readonly mostSigma: number;
  /** Earlier fish of the house it leans on. */
  readonly fish: number;
}

const Z95 = 1.6448536269514722;
const sigmaOf = ({ low, high }: Band) => Math.log(high / low) / (2 * Z95);
const clamp = (value: number, { min, max }: { readonly min: number; readonly max: number }) =>
  Math.min(max, Math.max(min, value));

const airOf = ({ celsius, humidity }: Hanging): CabinetAir => ({ celsius, humidity: humidity ?? HUMIDITY.likely });
/** What the formula says of a fish hung so, 1/day. */
export const plainRate = (hanging: Hanging): number =>
  clamp(
    wetRate(hanging.grams, airOf(hanging), CABINET_AIR.likely, hanging.kind === 'whole' ? SKIN_SHARE.likely : 1),
    AGE_LIMITS.rate
  );

/** The prior that ships: the drying formula with the ranges of all that goes into it. */
export function shippedPrior(hanging: Hanging): DryingPrior {
  const skin = hanging.kind === 'whole' ? sigmaOf(SKIN_SHARE) : 0;
  const air = airOf(hanging);
  const humid =
    hanging.humidity === null
      ? Math.log(
          wetRate(hanging.grams, { ...air, humidity: HUMIDITY.low }, 1, 1) /
            wetRate(hanging.grams, { ...air, humidity: HUMIDITY.high }, 1, 1)
        ) /
        (2 * Z95)
      : 0;
  return {
    rate: plainRate(hanging),
    rateSigma: Math.hypot(sigmaOf(CABINET_AIR), sigmaOf(AREA_SHARE), skin, humid),
    most: MOST_LOSS.likely,
    mostSigma: sigmaOf(MOST_LOSS),
    fish: 0
  };
}

/** What one finished fish taught: how many times the formula it dried, and how much it would have lost; in ln. */
export interface DriedFish {
  readonly kind: Hanging['kind'];
  readonly grams: number;
  readonly rate: { readonly ln: number; readonly sigma: number };
  readonly most: { readonly ln: number; readonly sigma: number };
}
/** A fish of twice the size tells three fifths as much as one of like size. */
const LIKE_SIZE = 0.7;

/**
 * What the house's earlier fish say of one that is hung now: those of like size count most, the shipped range is one voice among them.
 *
 * @param earlier finished fish; those of the other kind are left out
 */
export function housePrior(hanging: Hanging, earlier: readonly DriedFish[]): DryingPrior {
  const shipped = shippedPrior(hanging);
  const alike = earlier.filter(({ kind }) => kind === hanging.kind);
  if (alike.length === 0) return shipped;
  const learned = (which: 'rate' | 'most', start: number, sigma: number) => {
    const between = BETWEEN_FISH[which];
    let precision = 1 / sigma ** 2;
    let sum = start * precision;
    for (const fish of alike) {
      const near = Math.exp(-0.5 * (Math.log(fish.grams / hanging.grams) / LIKE_SIZE) ** 2);
      const own = near / (between ** 2 + fish[which].sigma ** 2);
      precision += own;
      sum += own * fish[which].ln;
    }
    return { ln: sum / precision, sigma: Math.hypot(Math.sqrt(1 / precision), between) };
  };
  const rate = learned('rate', 0, shipped.rateSigma);
  const most = learned('most', Math.log(shipped.most), shipped.mostSigma);
  return {
    rate: clamp(shipped.rate * Math.exp(rate.ln), AGE_LIMITS.rate),
    rateSigma: Math.min(shipped.rateSigma, rate.sigma),
    most: clamp(Math.exp(most.ln), AGE_LIMITS.most),
    mostSigma: Math.min(shipped.mostSigma, most.sigma),
    fish: alike.length
  };
}

/** What a weigh-in is out by: the scale's interval and how the fish was wiped, g. */
export const weighingSigma = (grams: number, interval: number): number =>
  Math.hypot(interval / Math.sqrt(12), WEIGHING_SHARE * grams);

/** Whether a weight can follow another, days later: not heavier, nor lighter than any drying makes it. */
export function canFollow(before: WeighIn, after: WeighIn, interval: number): 'yes' | 'up' | 'drop' {
  const room = GAIN_SHARE * before.grams + 2 * interval;
  if (after.grams > before.grams + room) return 'up';
  if (after.grams < before.grams * (1 - MOST_A_DAY * Math.max(0, after.day - before.day)) - room) return 'drop';
  return 'yes';
}

export interface SortedWeights {
  /** Weigh-ins that go together, the start first unless it is itself the odd one; what lay within ten minutes is one. */
  readonly used: readonly WeighIn[];
  /** Those that do not, by their place in what came in. */
  readonly odd: readonly { readonly index: number; readonly why: 'up' | 'drop' }[];
  readonly merged: number;
}

/**
 * Sorts out which weigh-ins belong together: the longest row in which each can follow the one before it.
 *
 * @param weighIns the start weight first, then in order of time
 * @throws EmberError `time.out-of-order`, `quantity.out-of-range`
 */
export function sortWeights(weighIns: readonly WeighIn[], interval: number): SortedWeights {
  const groups: { day: number; grams: number; indices: number[] }[] = [];
  weighIns.forEach(({ day, grams }, index) => {
    inRange(grams, AGE_LIMITS.grams);
    inRange(day, AGE_LIMITS.days);
    const last = groups.at(-1);
    if (last && day < last.day) throw new EmberError('time.out-of-order', { field: 'at', seen: day });
    const isOne = last && (day - last.day) * 86_400 < ONE_WEIGHING_SECONDS;
    if (isOne && canFollow({ ...last, day: last.day - 1 }, { day, grams }, interval) === 'yes') {
      const count = last.indices.length;
      last.grams = (last.grams * count + grams) / (count + 1);
      last.indices.push(index);
    } else groups.push({ day, grams, indices: [index] });
  });
  const longest: { length: number; before: number }[] = [];
  groups.forEach((group, index) => {
    let best = { length: 1, before: -1 };
    for (let before = 0; before < index; before++) {
      const { length } = longest[before]!;
      if (length + 1 > best.length && canFollow(groups[before]!, group, interval) === 'yes')
        best = { length: length + 1, before };
    }
    longest.push(best);
  });
  // Of rows of one length the one that keeps the newest weight; but one weight alone does not outvote the start.
  let end = longest.reduce((best, { length }, index) => {
    const most = longest[best]!.length;
    return length > most || (length === most && length > 1) ? index : best;
  }, 0);
  const kept = new Set<number>();
  for (; end >= 0; end = longest[end]!.before) kept.add(end);
  const used = groups.filter((_, index) => kept.has(index));
  const odd = groups.flatMap((group, index) => {
    if (kept.has(index)) return [];
    const near = [...kept].filter((each) => each < index).at(-1);
    const why = near === undefined || group.grams > groups[near]!.grams ? ('up' as const) : ('drop' as const);
    return group.indices.map((each) => ({ index: each, why }));
  });
  return {
    used: used.map(({ day, grams }) => ({ day, grams })),
    odd,
    merged: used.reduce((sum, { indices }) => sum + indices.length - 1, 0)
  };
}

export interface DryingFit {
  readonly drying: Drying;
  readonly startGrams: number;
  /** Standard deviations left, in ln. */
  readonly rateSigma: number;
  readonly mostSigma: number;
  /** As it may be: draws of what is left open, always the same ones. */
  readonly draws: readonly (Drying & { readonly startGrams: number })[];
  readonly weighIns: number;
  /** How many times the usual its own weights scatter, by what the fit leaves of them; 1 where there are too few to say. */
  readonly scatter: number;
}

const DRAWS = 400;
/** Drawn a little wider than the normal that fits best, so that what lies in its tails is among the draws. */
const WIDER = 1.2;
/** The usual scatter counts as so many weights: one odd weight makes no fish a wild one. */
const USUAL_COUNTS = 3;
/** Weights that agree better than this are taken to agree by luck: share of the usual scatter. */
const LEAST_SCATTER = 0.7;
/** Beyond this the fit is made again. */
const MUCH_SCATTER = 1.4;
/** Rate and most loss are read off the weights themselves. */
const FITTED = 2;
/** Step of a slope, in standard deviations. */
const SMALL = 1e-4;
/** Standard normal triples, drawn once: the same fish, the same interval. */
const NORMALS: readonly (readonly [number, number, number])[] = (() => {
  const chance = seededChance(0.37);
  // The logarithm of a band from -1 to 1 in units of its half-width is a normal number.
  const normal = () => Math.log(chance.logBand(Math.exp(-Z95), 1, Math.exp(Z95)));
  return Array.from({ length: DRAWS }, () => [normal(), normal(), normal()] as const);
})();

/**
 * Rate and most loss of one fish by least squares on its own weigh-ins, with what was believed before as readings of their own
 * (Levenberg and Marquardt, from a library). Without a weigh-in it is the prior.
 *
 * @param weights that go together; the first is the start weight at day 0
 * @param interval of the scale, g
 */
export function fitDrying(weights: readonly WeighIn[], prior: DryingPrior, interval: number): DryingFit {
  const start = weights[0];
  if (!start) throw new EmberError('form.incomplete', { field: 'mass' });
  let startSigma = weighingSigma(start.grams, interval);
  const later = weights.slice(1);
  const sigmas = later.map(({ grams }) => weighingSigma(grams, interval));
  const at = ([a, b, c]: readonly number[]) => ({
    rate: clamp(prior.rate * Math.exp(a! * prior.rateSigma), AGE_LIMITS.rate),
    most: clamp(prior.most * Math.exp(b! * prior.mostSigma), AGE_LIMITS.most),
    startGrams: start.grams + c! * startSigma
  });
  const residual = (point: readonly number[]): ((place: number) => number) => {
    const drawn = at(point);
    return (place) => {
      if (place >= later.length) return point[place - later.length]!;
      const { day, grams } = later[place]!;
      return (grams - drawn.startGrams * (1 - lossOf(drawn, day))) / sigmas[place]!;
    };
  };
  const count = later.length + 3;
  const places = Array.from({ length: count }, (_, index) => index);
  const fitted = (of: typeof residual, initialValues: number[]): number[] =>
    levenbergMarquardt({ x: places, y: places.map(() => 0) }, (point: number[]) => of(point), {
      initialValues,
      minValues: [-5, -4, -5],
      maxValues: [5, 4, 5],
      damping: 0.05,
      gradientDifference: 1e-3,
      maxIterations: 7,
      errorTolerance: 1e-9
    }).parameterValues;
  let best = later.length === 0 ? [0, 0, 0] : fitted(residual, [0, 0, 0]);
  // The fish's own weights say how they scatter: what the line leaves of them, with the usual scatter as a few weights among them
  // (the mean of a scaled inverse chi-square; Gelman et al., Bayesian Data Analysis, 3rd ed., 3.2).
  const plain = residual(best);
  const left = later.reduce((sum, _, place) => sum + plain(place) ** 2, 0);
  const free = Math.max(0, later.length - FITTED);
  const scatter =
    free === 0 ? 1 : Math.max(LEAST_SCATTER, Math.sqrt((USUAL_COUNTS + left) / (USUAL_COUNTS + free - 2)));
  // The weight it was hung with was read as well as the others were.
  startSigma *= scatter;
  best = [best[0]!, best[1]!, best[2]! / scatter];
  const scattered = (point: readonly number[]) => {
    const miss = residual(point);
    return (place: number) => (place < later.length ? miss(place) / scatter : miss(place));
  };
  // Weights that scatter much say less against what was believed: the best point lies elsewhere.
  if (scatter > MUCH_SCATTER) best = fitted(scattered, best);
  const slopes = best.map((_, axis) => {
    const moved = (by: number) => scattered(best.map((value, index) => (index === axis ? value + by : value)));
    const [above, below] = [moved(SMALL), moved(-SMALL)];
    return places.map((place) => (above(place) - below(place)) / (2 * SMALL));
  });
  const jacobian = new Matrix(slopes).transpose();
  const inverted = inverse(jacobian.transpose().mmul(jacobian));
  // Rounding leaves it a hair off symmetric, which the root does not take.
  const covariance = Matrix.add(inverted, inverted.transpose()).mul(0.5);
  const root = new CholeskyDecomposition(covariance).lowerTriangularMatrix;
  // Near its best point what is left open looks normal; farther out it is weighed by what it really says of the weights.
  const [[down], [down2, across], [down3, across3, last]] = root.to2DArray() as [number[], number[], number[]];
  const points = NORMALS.map(([p, q, r]) => [
    best[0]! + WIDER * down! * p,
    best[1]! + WIDER * (down2! * p + across! * q),
    best[2]! + WIDER * (down3! * p + across3! * q + last! * r)
  ]);
  const told = points.map((point, index) => {
    const drawn = at(point);
    let off = point[0]! ** 2 + point[1]! ** 2 + point[2]! ** 2;
    for (let place = 0; place < later.length; place++) {
      const { day, grams } = later[place]!;
      const miss = (grams - drawn.startGrams * (1 - lossOf(drawn, day))) / (sigmas[place]! * scatter);
      off += miss * miss;
    }
    const [p, q, r] = NORMALS[index]!;
    return (p * p + q * q + r * r - off) / 2;
  });
  const draws = resampled(told).map((index) => at(points[index]!));
  const { startGrams, ...drying } = at(best);
  return {
    drying,
    startGrams,
    rateSigma: Math.sqrt(covariance.get(0, 0)) * prior.rateSigma,
    mostSigma: Math.sqrt(covariance.get(1, 1)) * prior.mostSigma,
    draws,
    weighIns: later.length,
    scatter
  };
}

/** Picks as often as it weighs: the cumulated weights are stepped through evenly, so that nothing is left to chance. */
function resampled(logWeights: readonly number[]): number[] {
  const most = Math.max(...logWeights);
  const weights = logWeights.map((each) => Math.exp(each - most));
  const whole = weights.reduce((sum, each) => sum + each, 0);
  const out: number[] = [];
  let [sum, index] = [weights[0]!, 0];
  for (let step = 0; step < weights.length; step++) {
    const wanted = ((step + 0.5) / weights.length) * whole;
    while (sum < wanted && index < weights.length - 1) sum += weights[++index]!;
    out.push(index);
  }
  return out;
}

/** What a finished fish teaches the next: its fit against what the formula said. Null without weigh-ins. */
export function taughtBy(hanging: Hanging, weighIns: readonly WeighIn[], interval: number): DriedFish | null {
  const { used } = sortWeights(weighIns, interval);
  if (used.length < 2) return null;
  const fit = fitDrying(used, shippedPrior(hanging), interval);
  return {
    kind: hanging.kind,
    grams: hanging.grams,
    rate: { ln: Math.log(fit.drying.rate / plainRate(hanging)), sigma: fit.rateSigma },
    most: { ln: Math.log(fit.drying.most), sigma: fit.mostSigma }
  };
}
