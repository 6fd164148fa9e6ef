import { inRange } from '../../errors.ts';
import { bandOf, type Band } from '../../random.ts';
import { AGE_LIMITS, dayOfLoss, lossOf } from './drying.ts';
import { fitDrying, sortWeights, weighingSigma, type DryingFit, type DryingPrior, type WeighIn } from './fit.ts';

export interface AgeForecast {
  /** What of the weigh-ins it leans on, and which do not fit the rest. */
  readonly weighIns: number;
  readonly merged: number;
  readonly odd: readonly { readonly index: number; readonly why: 'up' | 'drop' }[];
  /** Share lost by now. */
  readonly loss: Band;
  /** g lost in the next day. */
  readonly gramsADay: Band;
  /** Days after hanging at which the wanted loss is reached; null: it never gets there in such air. */
  readonly targetDay: Band | null;
  /** Share of what is possible that reaches it at all. */
  readonly reaches: number;
  /** Weight by day, g: to be drawn. */
  readonly curve: readonly ({ readonly day: number } & Band)[];
  readonly from: 'prior' | 'house' | 'weights';
  readonly earlierFish: number;
}

/** Further ahead nothing is forecast, days. */
export const LONGEST_DAYS = 60;
const TARGET = { field: 'target', unit: '', min: 0.005, max: 0.5 } as const;

/** Share lost at a day, as the fit has it: against the weight that was read when it was hung. */
export const lossBand = (fit: DryingFit, readGrams: number, day: number): Band => {
  const lost = (each: { rate: number; most: number; startGrams: number }) =>
    1 - (each.startGrams * (1 - lossOf(each, day))) / readGrams;
  return bandOf(fit.draws.map(lost), lost({ ...fit.drying, startGrams: fit.startGrams }));
};

/** A fit of the weigh-ins that go together, in days from the first of them: `from`, days after hanging, is 0 unless the start is odd. */
export function fitOf(weighIns: readonly WeighIn[], prior: DryingPrior, interval: number) {
  const sorted = sortWeights(weighIns, interval);
  const from = sorted.used[0]?.day ?? 0;
  const counted = sorted.used.map(({ day, grams }) => ({ day: day - from, grams }));
  return { sorted, from, fit: fitDrying(counted, prior, interval) };
}

/**
 * How a hanging fish goes on: loss now, loss in a day, and the day its wanted loss is reached, with a nine-in-ten interval
 * that narrows with every weigh-in; the prior alone where there is none.
 *
 * @param weighIns start weight first (day 0), then in order of time
 * @param target share wanted
 * @param nowDay days since it was hung
 * @param interval of the scale, g
 * @throws EmberError `quantity.out-of-range`, `time.out-of-order`
 */
export function ageForecast(
  weighIns: readonly WeighIn[],
  prior: DryingPrior,
  target: number,
  nowDay: number,
  interval: number,
  { sorted, from, fit } = fitOf(weighIns, prior, interval)
): AgeForecast {
  inRange(target, TARGET);
  const today = Math.max(0, inRange(nowDay, AGE_LIMITS.days) - from);
  const read = sorted.used[0]!.grams;
  const wanted = (startGrams: number) => 1 - (read * (1 - target)) / startGrams;
  const days = fit.draws.map((each) => dayOfLoss(each, wanted(each.startGrams)));
  const likely = dayOfLoss(fit.drying, wanted(fit.startGrams));
  const seen = (day: number | null) => Math.min(LONGEST_DAYS, from + (day ?? LONGEST_DAYS));
  const weight = (each: { rate: number; most: number; startGrams: number }, day: number) =>
    each.startGrams * (1 - lossOf(each, day));
  const middle = { ...fit.drying, startGrams: fit.startGrams };
  const end = Math.min(LONGEST_DAYS, Math.max(today + 3, likely === null ? 14 : likely * 1.25, 5));
  // A drawing needs no finer quantiles than this.
  const drawn = fit.draws.filter((_, index) => index % 4 === 0);
  const curve = Array.from({ length: 25 }, (_, step) => {
    const day = (end * step) / 24;
    const band = bandOf(
      drawn.map((each) => weight(each, day)),
      weight(middle, day)
    );
    // What the next weigh-in may read: the fish, and how it is weighed.
    const room = 1.645 * fit.scatter * weighingSigma(read, interval);
    return { day: from + day, low: band.low - room, likely: band.likely, high: band.high + room };
  });
  return {
    weighIns: fit.weighIns,
    merged: sorted.merged,
    odd: sorted.odd,
    loss: lossBand(fit, read, today),
    gramsADay: bandOf(
      fit.draws.map((each) => weight(each, today) - weight(each, today + 1)),
      weight(middle, today) - weight(middle, today + 1)
    ),
    targetDay: likely === null || likely > LONGEST_DAYS ? null : bandOf(days.map(seen), seen(likely)),
    reaches: days.filter((day) => day !== null && day <= LONGEST_DAYS).length / days.length,
    curve,
    from: fit.weighIns > 0 ? 'weights' : prior.fish > 0 ? 'house' : 'prior',
    earlierFish: prior.fish
  };
}
