import { expect } from 'chai';
import fc from 'fast-check';
import { dayOfLoss, faceCelsius, lossAfter, wetRate } from '../../../src/lib/core/bench/age/drying.ts';
import {
  canFollow,
  fitDrying,
  housePrior,
  plainRate,
  shippedPrior,
  sortWeights,
  taughtBy,
  weighingSigma,
  type Hanging,
  type WeighIn
} from '../../../src/lib/core/bench/age/fit.ts';
import { ageForecast } from '../../../src/lib/core/bench/age/forecast.ts';
import { MOST_LOSS, WET_LOSS } from '../../../src/lib/core/bench/age/parameters.ts';
import { seededChance } from '../../../src/lib/core/random.ts';
import { troubleOf } from '../../trouble.ts';

export const TURBOT: Hanging = { kind: 'whole', grams: 3200, celsius: 2, humidity: 0.8 };
const INTERVAL = 1;
const normalOf = (seed: number) => {
  const chance = seededChance(seed);
  return () => Math.log(chance.logBand(Math.exp(-1.6448536), 1, Math.exp(1.6448536)));
};

/** Weigh-ins of a fish that dries so, as a scale would show them. */
function weighed(
  drying: { rate: number; most: number },
  days: readonly number[],
  normal: () => number = () => 0,
  grams = TURBOT.grams
): WeighIn[] {
  return [0, ...days].map((day) => {
    const true_ = grams * (1 - (day === 0 ? 0 : lossAfter(drying, day)));
    return { day, grams: Math.round(true_ + normal() * weighingSigma(grams, INTERVAL)) };
  });
}
const everyDay = (count: number) => Array.from({ length: count }, (_, index) => index + 1);

describe('how a hanging fish dries', () => {
  it('a 3 kg fish in a cabinet of 2 °C and 80 % loses 0.7 to 2 % a day at first; a small one more of its weight', () => {
    expect(plainRate(TURBOT)).to.be.within(0.007, 0.02);
    expect(plainRate({ ...TURBOT, grams: 500 })).to.be.greaterThan(plainRate(TURBOT));
    // A third more in each direction has 1/3 power less surface a gram.
    expect(plainRate({ ...TURBOT, grams: 8000 }) / plainRate({ ...TURBOT, grams: 1000 })).to.be.closeTo(0.5, 1e-9);
    expect(plainRate({ ...TURBOT, kind: 'fillet' })).to.be.greaterThan(plainRate(TURBOT));
  });
  it('drier air dries faster; a wet face is colder than its air, and not in fog', () => {
    expect(wetRate(1000, { celsius: 2, humidity: 0.6 }, 6, 1)).to.be.greaterThan(
      wetRate(1000, { celsius: 2, humidity: 0.85 }, 6, 1)
    );
    expect(faceCelsius(2, 0.6)).to.be.lessThan(faceCelsius(2, 0.85));
    expect(faceCelsius(2, 0.99)).to.be.closeTo(2, 0.01);
  });
  it('one rate while wet, then W∞ + (W0 − W∞) e^(−kt) with no jump in weight or in rate', () => {
    const drying = { rate: 0.01, most: 0.3 };
    expect(lossAfter(drying, 0)).to.equal(0);
    const turn = WET_LOSS / drying.rate;
    expect(lossAfter(drying, turn)).to.be.closeTo(WET_LOSS, 1e-12);
    const slope = (day: number) => (lossAfter(drying, day + 1e-5) - lossAfter(drying, day - 1e-5)) / 2e-5;
    expect(slope(turn + 1e-3)).to.be.closeTo(drying.rate, 1e-5);
    const k = drying.rate / (drying.most - WET_LOSS);
    expect(lossAfter(drying, turn + 7)).to.be.closeTo(0.3 - 0.28 * Math.exp(-k * 7), 1e-12);
  });
  it('the day of a loss is the inverse, and null where it is never reached', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.002, max: 0.05, noNaN: true }),
        fc.double({ min: 0.06, max: 0.6, noNaN: true }),
        fc.double({ min: 0.01, max: 0.97, noNaN: true }),
        (rate, most, share) => {
          const day = dayOfLoss({ rate, most }, most * share)!;
          if (day < 120) expect(lossAfter({ rate, most }, day)).to.be.closeTo(most * share, 1e-9);
        }
      )
    );
    expect(dayOfLoss({ rate: 0.01, most: 0.1 }, 0.1)).to.equal(null);
  });
  it('figures that cannot be are refused with their field', () => {
    expect(troubleOf(() => lossAfter({ rate: 0.01, most: 0.3 }, Number.NaN)).code).to.equal('number.not-finite');
    expect(troubleOf(() => wetRate(1000, { celsius: 30, humidity: 0.8 }, 6, 1)).details.field).to.equal('celsius');
    expect(troubleOf(() => wetRate(1000, { celsius: 2, humidity: 80 }, 6, 1)).details.field).to.equal('humidity');
    expect(troubleOf(() => fitDrying([], shippedPrior(TURBOT), 1)).code).to.equal('form.incomplete');
  });
});

describe('which weigh-ins belong together', () => {
  const day = (at: number, grams: number) => ({ day: at, grams });
  it('a fish does not gain, nor lose a tenth in a day', () => {
    expect(canFollow(day(0, 3000), day(1, 2970), 1)).to.equal('yes');
    expect(canFollow(day(0, 3000), day(1, 3010), 1)).to.equal('yes');
    expect(canFollow(day(0, 3000), day(1, 3040), 1)).to.equal('up');
    expect(canFollow(day(0, 3000), day(1, 2600), 1)).to.equal('drop');
    expect(canFollow(day(0, 3000), day(6, 2600), 1)).to.equal('yes');
  });
  it('a weight that went up is left out and named, and the rest still speak', () => {
    const sorted = sortWeights([day(0, 3000), day(1, 2970), day(2, 3290), day(3, 2910)], 1);
    expect(sorted.odd).to.deep.equal([{ index: 2, why: 'up' }]);
    expect(sorted.used.map(({ grams }) => grams)).to.deep.equal([3000, 2970, 2910]);
  });
  it('one slip at the start does not make every later one wrong', () => {
    const sorted = sortWeights([day(0, 3000), day(1, 297), day(2, 2940), day(3, 2910)], 1);
    expect(sorted.odd).to.deep.equal([{ index: 1, why: 'drop' }]);
    expect(sorted.used).to.have.length(3);
  });
  it('two weigh-ins a minute apart are one: their mean, and no rate between them', () => {
    const minute = 1 / 1440;
    const sorted = sortWeights([day(0, 3000), day(1, 2972), day(1 + minute, 2968)], 1);
    expect(sorted).to.deep.include({ merged: 1, odd: [] });
    expect(sorted.used).to.deep.equal([day(0, 3000), day(1, 2970)]);
    const forecast = ageForecast(
      [day(0, 3000), day(1, 2972), day(1 + minute, 2968)],
      shippedPrior(TURBOT),
      0.1,
      1.1,
      1
    );
    expect(forecast.gramsADay.likely).to.be.within(15, 60);
  });
  it('one odd weight does not outvote the start; a start that was mistyped is the odd one once two others agree', () => {
    expect(sortWeights([day(0, 3000), day(1, 3290)], 1).used).to.deep.equal([day(0, 3000)]);
    const mistyped = [day(0, 300), day(1, 2970), day(2, 2940), day(3, 2912)];
    expect(sortWeights(mistyped, 1).odd).to.deep.equal([{ index: 0, why: 'up' }]);
    const forecast = ageForecast(mistyped, shippedPrior(TURBOT), 0.1, 3, 1);
    // Counted from the first weight that can be: a tenth of 2970 g from day 1 on.
    expect(forecast.gramsADay.likely).to.be.within(22, 34);
    expect(forecast.loss.likely).to.be.closeTo(58 / 2970, 0.003);
    expect(forecast.curve[0]!.day).to.equal(1);
    expect(forecast.targetDay!.likely).to.be.within(10, 14);
  });
  it('times that run backwards are refused', () => {
    expect(troubleOf(() => sortWeights([day(2, 3000), day(1, 2970)], 1)).code).to.equal('time.out-of-order');
  });
});

describe('what its own weights tell', () => {
  const prior = shippedPrior(TURBOT);
  it('none shows the prior; one already shows something, and every further one narrows it', () => {
    const truth = { rate: prior.rate * 1.4, most: 0.3 };
    const widths = [0, 1, 3, 7].map((count) => {
      const forecast = ageForecast(weighed(truth, everyDay(count)), prior, 0.1, count, INTERVAL);
      expect(forecast.weighIns).to.equal(count);
      expect(forecast.from).to.equal(count === 0 ? 'prior' : 'weights');
      const { low, likely, high } = forecast.targetDay!;
      expect(low).to.be.at.most(likely);
      return high - low;
    });
    widths.slice(1).forEach((width, index) => expect(width).to.be.lessThan(widths[index]!));
    expect(widths[1]! / widths[0]!).to.be.lessThan(0.7);
  });
  it('recovers rate and most loss from noisy weights of a fortnight', () => {
    const truth = { rate: 0.0125, most: 0.24 };
    const wide = { ...prior, rateSigma: 1, mostSigma: 0.6 };
    for (const seed of [0.11, 0.52, 0.93]) {
      const { used } = sortWeights(weighed(truth, everyDay(21), normalOf(seed)), INTERVAL);
      const { drying, rateSigma } = fitDrying(used, wide, INTERVAL);
      expect(drying.rate, String(seed)).to.be.within(0.0119, 0.0131);
      expect(drying.most, String(seed)).to.be.within(0.2, 0.29);
      expect(rateSigma).to.be.lessThan(0.06);
    }
  });
  it('about nine in ten of simulated fish fall inside the interval, by none, one, three and seven weigh-ins', () => {
    const normal = normalOf(0.271);
    for (const count of [0, 1, 3, 7]) {
      let inside = 0;
      const fish = 240;
      for (let each = 0; each < fish; each++) {
        const truth = {
          rate: Math.min(0.2, prior.rate * Math.exp(normal() * prior.rateSigma)),
          most: Math.min(0.8, MOST_LOSS.likely * Math.exp(normal() * prior.mostSigma))
        };
        const weights = weighed(truth, everyDay(count), normal);
        const { targetDay } = ageForecast(weights, prior, 0.08, count, INTERVAL);
        const read = weights[0]!.grams;
        // The loss that is asked for is of the weight that was read.
        const day = dayOfLoss(truth, 1 - (read * 0.92) / TURBOT.grams) ?? Infinity;
        const { low, high } = targetDay ?? { low: 0, high: Infinity };
        if (day >= low && (day <= high || high >= 60)) inside++;
      }
      expect(inside / fish, `${count} weigh-ins`).to.be.within(0.84, 0.96);
    }
  });
  it('where weights scatter two and three times the usual, the interval still holds nearly nine in ten', () => {
    // Seeded, 200 fish each: three standard deviations of a share of 0.87 are 0.07.
    for (const [times, count, least] of [
      [2, 6, 0.8],
      [2, 10, 0.8],
      [3, 10, 0.75],
      [1, 10, 0.84]
    ] as const) {
      const normal = normalOf(0.613);
      let inside = 0;
      for (let each = 0; each < 200; each++) {
        const truth = {
          rate: Math.min(0.2, prior.rate * Math.exp(normal() * prior.rateSigma)),
          most: Math.min(0.8, MOST_LOSS.likely * Math.exp(normal() * prior.mostSigma))
        };
        const weights = weighed(truth, everyDay(count), () => times * normal());
        const { targetDay } = ageForecast(weights, prior, 0.08, count, INTERVAL);
        const day = dayOfLoss(truth, 1 - (weights[0]!.grams * 0.92) / TURBOT.grams) ?? Infinity;
        const { low, high } = targetDay ?? { low: 0, high: Infinity };
        if (day >= low && (day <= high || high >= 60)) inside++;
      }
      expect(inside / 200, `${times} times, ${count} weigh-ins`).to.be.within(least, 0.97);
    }
  });
  it('says how its own weights scatter; too few to say is the usual', () => {
    const truth = { rate: 0.012, most: 0.3 };
    const scatterOf = (times: number, count: number) => {
      const normal = normalOf(0.77);
      const { used } = sortWeights(
        weighed(truth, everyDay(count), () => times * normal()),
        INTERVAL
      );
      return fitDrying(used, prior, INTERVAL).scatter;
    };
    expect(scatterOf(1, 14)).to.be.within(0.7, 1.4);
    expect(scatterOf(3, 14)).to.be.within(2, 4);
    expect([scatterOf(3, 1), scatterOf(3, 2)]).to.deep.equal([1, 1]);
  });
  it('a loss the air cannot bring is never forecast', () => {
    const forecast = ageForecast(weighed({ rate: 0.01, most: 0.08 }, everyDay(20)), prior, 0.3, 20, INTERVAL);
    expect(forecast.targetDay).to.equal(null);
    expect(forecast.reaches).to.be.lessThan(0.3);
  });
  it('the curve falls, lies in its band, and the band holds the weights', () => {
    const weights = weighed({ rate: 0.011, most: 0.28 }, everyDay(6), normalOf(0.7));
    const { curve } = ageForecast(weights, prior, 0.1, 6, INTERVAL);
    curve.forEach((point, index) => {
      expect(point.low).to.be.at.most(point.likely);
      expect(point.high).to.be.at.least(point.likely);
      if (index > 0) expect(point.likely).to.be.lessThan(curve[index - 1]!.likely);
    });
    for (const { day, grams } of weights) {
      const near = curve.reduce((best, each) => (Math.abs(each.day - day) < Math.abs(best.day - day) ? each : best));
      expect(grams).to.be.within(near.low - 12, near.high + 12);
    }
  });
  it('refuses a target of nothing, and one of more than half', () => {
    const weights = weighed({ rate: 0.01, most: 0.3 }, [1]);
    expect(troubleOf(() => ageForecast(weights, prior, 0, 1, 1)).details.field).to.equal('target');
    expect(troubleOf(() => ageForecast(weights, prior, 0.8, 1, 1)).details).to.include({ field: 'target', max: 0.5 });
  });
});

describe('what earlier fish of the house tell', () => {
  const slow = { rate: plainRate(TURBOT) * 0.5, most: 0.3 };
  const earlier = [0.2, 0.4, 0.6, 0.8].map((seed) =>
    taughtBy(TURBOT, weighed(slow, everyDay(10), normalOf(seed)), INTERVAL)!
  );
  it('fish that dried at half the pace make the next forecast slower and narrower', () => {
    const [shipped, house] = [shippedPrior(TURBOT), housePrior(TURBOT, earlier)];
    expect(house.rate / shipped.rate).to.be.within(0.45, 0.65);
    expect(house.rateSigma).to.be.lessThan(shipped.rateSigma);
    expect(house.fish).to.equal(4);
    const first = ageForecast(weighed(slow, []), house, 0.1, 0, INTERVAL);
    expect(first.from).to.equal('house');
    const days = dayOfLoss(slow, 0.1)!;
    expect(first.targetDay!.low).to.be.lessThan(days);
    expect(first.targetDay!.high).to.be.greaterThan(days);
  });
  it('fish of another size count less, of another kind not at all', () => {
    const small = earlier.map((fish) => ({ ...fish, grams: 400 }));
    expect(housePrior(TURBOT, small).rate).to.be.greaterThan(housePrior(TURBOT, earlier).rate);
    expect(housePrior({ ...TURBOT, kind: 'fillet' }, earlier).fish).to.equal(0);
  });
  it('a fish nobody weighed teaches nothing', () => {
    expect(taughtBy(TURBOT, weighed(slow, []), INTERVAL)).to.equal(null);
  });
});
