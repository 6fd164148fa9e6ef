import { expect } from 'chai';
import fc from 'fast-check';
import { evenness, handBias, student } from '../../src/lib/core/bench/slice/evenness.ts';
import { seededChance } from '../../src/lib/core/random.ts';
import { runs } from '../runs.ts';
import { troubleOf } from '../trouble.ts';

describe('how even slices are', () => {
  it('worked by hand: 11, 12, 13, 12, 14 against 12', () => {
    const told = evenness([11, 12, 13, 12, 14], 12);
    // Mean 12.4; squares 1.96 + 0.16 + 0.36 + 0.16 + 2.56 = 5.2 over 4; slope (−2·11 − 12 + 12 + 2·14) / 10 = 0.6 a slice.
    expect(told.mean).to.be.closeTo(12.4, 1e-9);
    expect(told.bias).to.be.closeTo(0.4 / 12, 1e-9);
    expect(told.spread).to.be.closeTo(Math.sqrt(1.3) / 12.4, 1e-9);
    expect(told.odd).to.deep.equal([5]);
    expect(told.inTolerance).to.be.closeTo(0.8, 1e-9);
    expect(told.drift).to.be.closeTo((0.6 * 4) / 12, 1e-9);
  });
  it('a tenth off is in tolerance, a hair more is not; one slice has no spread, two no drift', () => {
    expect(evenness([10.8, 13.2], 12).odd).to.deep.equal([]);
    expect(evenness([10.79, 13.21], 12).odd).to.deep.equal([1, 2]);
    expect(evenness([12], 12)).to.include({ spread: null, drift: null });
    expect(evenness([12, 12], 12)).to.include({ spread: 0, drift: null });
  });
  it('all weighed twice as heavy against twice as much is as even', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 5, max: 20, noNaN: true }), { minLength: 3, maxLength: 30 }), (weights) => {
        const [one, two] = [
          evenness(weights, 12),
          evenness(
            weights.map((grams) => grams * 2),
            24
          )
        ];
        for (const name of ['bias', 'spread', 'drift'] as const) expect(two[name]).to.be.closeTo(one[name]!, 1e-9);
      }),
      { ...runs(100), endOnFailure: true }
    );
  });
  it('refuses nothing, too many, and what is no slice', () => {
    expect(troubleOf(() => evenness([], 12)).code).to.equal('form.incomplete');
    expect(troubleOf(() => evenness(Array<number>(401).fill(12), 12)).code).to.equal('form.too-many');
    expect(troubleOf(() => evenness([12, 0], 12)).details.field).to.equal('weights');
    expect(troubleOf(() => evenness([12], NaN)).details.field).to.equal('grams');
    expect(troubleOf(() => handBias([{ weights: [12, 9000], aim: 12 }])).details.field).to.equal('weights');
  });
});

describe('how a hand is out', () => {
  it('a table of Student, and between its rows', () => {
    expect(student(1)).to.equal(6.314);
    expect(student(25)).to.be.closeTo(1.708, 0.002);
    expect(student(1e9)).to.be.closeTo(1.645, 1e-3);
  });
  for (const slices of [8, 16, 32]) {
    it(`the interval after ${slices} slices holds the truth nine times in ten`, () => {
      // Simulated hands of known bias: 2,000 of them tell a share of 0.9 to within 0.02 at three standard errors.
      const chance = seededChance(0.31 + slices / 100);
      let held = 0;
      for (let hand = 0; hand < 2000; hand++) {
        const truth = chance.uniform(0.85, 1.2);
        const weights = Array.from({ length: slices }, () => {
          // Twelve even draws make a normal one.
          const normal = Array.from({ length: 12 }, () => chance.uniform(0, 1)).reduce((sum, value) => sum + value, -6);
          return 12 * truth * Math.exp(0.09 * normal);
        });
        const told = handBias([{ weights, aim: 12 }])!;
        if (told.low <= truth && truth <= told.high) held++;
      }
      expect(held / 2000).to.be.within(0.88, 0.92);
    });
  }
  it('is not known while the interval holds none at all; eight slices seldom show 8 %', () => {
    const weights = [11, 14.5, 12, 13.9, 11.6, 13, 14, 12.4];
    const told = handBias([{ weights, aim: 12 }])!;
    expect(told).to.include({ slices: 8, sessions: 1, known: told.low > 1 });
    expect(handBias([{ weights: [13], aim: 12 }])).to.equal(null);
    const many = handBias(Array.from({ length: 6 }, () => ({ weights, aim: 12 })))!;
    expect(many.known).to.equal(true);
    expect(many.times).to.be.closeTo(told.times, 1e-9);
  });
  it('sessions that differ count as sessions, not as slices', () => {
    const session = (times: number) => ({ weights: [12, 12.1, 11.9, 12].map((grams) => grams * times), aim: 12 });
    const told = handBias([session(0.9), session(1.1), session(1.02)])!;
    expect(told.known).to.equal(false);
    expect(told.high - told.low).to.be.greaterThan(0.2);
  });
});
