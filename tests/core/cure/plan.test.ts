import { expect } from 'chai';
import fc from 'fast-check';
import { waterActivity, waterPhaseSalt } from '../../../src/lib/core/bench/cure/activity.ts';
import { SALT_SATURATION, saltDiffusivity } from '../../../src/lib/core/bench/cure/parameters.ts';
import { cure, cureBand, weighedSalt, type CureSettings } from '../../../src/lib/core/bench/cure/plan.ts';
import { troubleOf } from '../../trouble.ts';

const side: CureSettings = {
  method: 'weighed',
  grams: 800,
  thicknessMm: 28,
  faces: 1,
  celsius: 3,
  fat: 'mid',
  thawed: false,
  salt: 0.025,
  sugar: 0.01,
  hours: 48,
  target: 0.01
};

describe('a cure of a piece', () => {
  it('a slab open on both faces is two of half the thickness', () => {
    const both = cure({ ...side, faces: 2 });
    const half = cure({ ...side, faces: 1, thicknessMm: 14 });
    expect(both.end.meanPercent).to.be.closeTo(half.end.meanPercent, 1e-9);
  });
  it('weighed: the finished piece holds the salt that was asked for once it has evened out', () => {
    const long = cure({ ...side, thicknessMm: 8, hours: 200 });
    expect(long.end.meanPercent).to.be.closeTo(2.5, 0.12);
    expect(long.end.surfacePercent - long.end.middlePercent).to.be.lessThan(0.1);
  });
  it('weighed salt by hand: 1 kg at 77 % water, 2.5 % wanted, nothing drawn but what the salt itself drives out', () => {
    // x in it drives 2 x of water out: x / (1 - x) = 0.025, x = 24.39 g; in the liquid stands 24.39 × 48.78 / 721.2 = 1.65 g.
    expect(weighedSalt(1000, 0.025, 0, { waterShare: 0.77, mostLoss: 0 })).to.be.closeTo(26.04, 0.01);
  });
  it('weighed with sugar: it hits its salt all the same, and more salt is never less', () => {
    for (const sugar of [0, 0.01, 0.05, 0.2, 0.6]) {
      const ends = [0.01, 0.025, 0.04].map(
        (salt) =>
          cure({ ...side, method: 'weighed', salt, sugar, thicknessMm: 10, faces: 2, hours: 240 }).end.meanPercent
      );
      ends.forEach((percent, index) => expect(percent / [1, 2.5, 4][index]!, `sugar ${sugar}`).to.be.closeTo(1, 0.02));
    }
    fc.assert(
      fc.property(
        fc.constantFrom('weighed', 'cover', 'film' as const),
        fc.double({ min: 0.01, max: 0.1, noNaN: true }),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        fc.integer({ min: 6, max: 40 }),
        fc.integer({ min: 2, max: 96 }),
        (method, salt, sugar, thicknessMm, hours) => {
          const mean = (more: number) =>
            cure({ ...side, method, salt: salt * more, sugar, thicknessMm, hours }, 16).end.meanPercent;
          expect(mean(1.15)).to.be.at.least(mean(1) - 1e-9);
        }
      ),
      { numRuns: 25 }
    );
  });
  it('a thicker piece is never ahead of a thinner one at the same dose', () => {
    const middles = [10, 16, 24, 40].map((thicknessMm) => cure({ ...side, thicknessMm }).end.middlePercent);
    middles.forEach((middle, i) => i > 0 && expect(middle).to.be.at.most(middles[i - 1]!));
  });
  it('more salt, more hours, warmer, leaner and thawed all bring more salt to the middle', () => {
    const plain = cure(side).end.middlePercent;
    for (const change of [{ salt: 0.04 }, { hours: 72 }, { celsius: 8 }, { fat: 'lean' as const }, { thawed: true }]) {
      expect(cure({ ...side, ...change }).end.middlePercent, JSON.stringify(change)).to.be.greaterThan(plain);
    }
  });
  it('a usual cover cure takes 7 to 15 % off the weight in two days, a weighed one 1 to 4.2 %', () => {
    for (const rate of [0.06, 0.08, 0.1]) {
      const cover = cure({ ...side, method: 'cover', salt: rate, sugar: rate, faces: 2 });
      expect(1 - cover.end.gramsAfter / side.grams, `cover ${rate}`).to.be.within(0.07, 0.15);
    }
    for (const wanted of [0.015, 0.02, 0.025]) {
      const weighed = cure({ ...side, salt: wanted, faces: 2 });
      expect(1 - weighed.end.gramsAfter / side.grams, `weighed ${wanted}`).to.be.within(0.01, 0.042);
    }
  });
  it('dates the middle: before that hour it is below the target, after it above', () => {
    const { middleReachesHours } = cure(side);
    expect(middleReachesHours).to.be.a('number');
    expect(cure({ ...side, hours: middleReachesHours! * 0.98 }).end.middlePercent).to.be.lessThan(1.02);
    expect(cure({ ...side, hours: middleReachesHours! * 1.02 }).end.middlePercent).to.be.greaterThan(0.98);
  });
  it('is not even before there is salt in it: evened out comes after face and middle were furthest apart', () => {
    const paused = [
      { id: 'cure' as const, seconds: 1, contact: { kind: 'laid' as const, salt: 0.025, sugar: 0, drains: false } },
      { id: 'paused' as const, seconds: 3600, contact: { kind: 'closed' as const, keep: true } },
      { id: 'cure' as const, seconds: 48 * 3600, contact: { kind: 'again' as const } }
    ];
    const { evenHours } = cure({ ...side, thicknessMm: 8, stages: paused });
    expect(evenHours!).to.be.greaterThan(3);
    expect(cure({ ...side, thicknessMm: 16 }).evenHours!).to.be.greaterThan(
      cure({ ...side, thicknessMm: 8 }).evenHours!
    );
  });
  it('the band holds the likely figure, is wider in the middle than on average, and repeats itself', () => {
    const band = cureBand(side, 0.3, 60);
    const { likely, low, high } = band.middleSaltPercent;
    expect(low).to.be.at.most(likely);
    expect(high).to.be.at.least(likely);
    expect(high - low).to.be.greaterThan(band.meanSaltPercent.high - band.meanSaltPercent.low);
    expect(cureBand(side, 0.3, 60)).to.deep.equal(band);
    expect(cureBand(side, 0.31, 60)).to.not.deep.equal(band);
  });
  it('the likely figure of the band is the figure of the simulation', () => {
    // The two runs stop at other moments on the way, so their steps differ by a little.
    const mean = cure(side).end.meanPercent;
    expect(cureBand(side, 0.3, 10).meanSaltPercent.likely / mean).to.be.closeTo(1, 1e-3);
  });

  const impossible: [Partial<CureSettings>, string][] = [
    [{ salt: 4 }, 'salt'],
    [{ method: 'cover', salt: 4 }, 'salt'],
    [{ salt: 0 }, 'salt'],
    [{ thicknessMm: 0 }, 'thickness'],
    [{ thicknessMm: 3000 }, 'thickness'],
    [{ celsius: 30 }, 'celsius'],
    [{ hours: -1 }, 'hours'],
    [{ grams: NaN }, 'grams'],
    [{ target: 0 }, 'target'],
    [{ sugar: 1.5 }, 'sugar']
  ];
  for (const [change, field] of impossible) {
    it(`refuses ${JSON.stringify(change)} and names ${field}`, () => {
      expect(troubleOf(() => cure({ ...side, ...change })).details.field).to.equal(field);
    });
  }
});

describe('what salt does to water', () => {
  it('water activity by Resnik and Chirife: pure water 1, 10 % WPS 0.9353', () => {
    expect(waterActivity(0, 0)).to.equal(1);
    expect(waterActivity(10, 0)).to.be.closeTo(1 - 0.052471 - 0.012206, 1e-9);
  });
  it('sugar lowers it further', () => expect(waterActivity(5, 0.2)).to.be.lessThan(waterActivity(5, 0)));
  it('saturated brine is 26.4 % WPS', () => expect(waterPhaseSalt(SALT_SATURATION)).to.be.closeTo(26.395, 1e-6));
  it('fat slows salt down to a floor, warmth speeds it by Arrhenius', () => {
    const lean = saltDiffusivity(3e-10, 4, 'lean', false);
    expect(saltDiffusivity(3e-10, 4, 'rich', false) / lean).to.be.closeTo(0.72 / 0.97, 1e-9);
    // 22.5 kJ/mol between 4 and 10 °C: exp(22500/8.314 (1/277.15 - 1/283.15)) = 1.2299
    expect(saltDiffusivity(3e-10, 10, 'lean', false) / lean).to.be.closeTo(1.2299, 0.0005);
  });
});
