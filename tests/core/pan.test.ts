import { expect } from 'chai';
import fc from 'fast-check';
import { liftStep, PAN_HABITS, PAN_UNKNOWN, panStep, type PanState } from '../../src/lib/core/device/pan.ts';
import { runs } from '../runs.ts';

/** Weights laid on the pan one after another, each standing so long; and what comes of it. */
function pan(
  lays: readonly (readonly [grams: number, ms: number, stable?: boolean])[],
  step: 'weighed' | 'lifted' = 'weighed'
): number[] {
  let state: PanState = PAN_UNKNOWN;
  let at = 0;
  const out: number[] = [];
  for (const [grams, ms, stable = true] of lays) {
    for (const end = at + ms; at < end; at += 100) {
      const reading = { grams, stable, at };
      const next = step === 'weighed' ? panStep(state, reading, PAN_HABITS) : liftStep(state, reading, PAN_HABITS);
      state = next.state;
      const said = 'weighed' in next ? next.weighed : next.lifted;
      if (said !== null) out.push(said);
    }
  }
  return out;
}

describe('a scale that is read without a touch', () => {
  it('what settles is weighed once, however long it lies; the next is weighed after the pan was empty', () => {
    expect(pan([[312, 9000]])).to.deep.equal([312]);
    expect(
      pan([
        [312, 3000],
        [0, 400],
        [248, 3000]
      ])
    ).to.deep.equal([312, 248]);
    // The same part again is another part.
    expect(
      pan([
        [312, 3000],
        [0, 400],
        [312, 3000]
      ])
    ).to.deep.equal([312, 312]);
  });
  it('a hand that lays it down, a drop of water and what is laid on top are not weighed', () => {
    expect(
      pan([
        [900, 700],
        [312, 3000]
      ])
    ).to.deep.equal([312]);
    expect(pan([[3, 9000]])).to.deep.equal([]);
    expect(
      pan([
        [312, 3000],
        [560, 5000]
      ])
    ).to.deep.equal([312]);
    expect(pan([[312, 9000, false]])).to.deep.equal([]);
  });
  it('slices lifted off a heap are counted by difference; more laid on it is none', () => {
    expect(
      pan(
        [
          [180, 2000],
          [168, 2000],
          [155, 2000],
          [300, 2000],
          [288, 2000]
        ],
        'lifted'
      )
    ).to.deep.equal([12, 13, 12]);
    expect(
      pan(
        [
          [180, 2000],
          [179, 2000],
          [180, 2000]
        ],
        'lifted'
      )
    ).to.deep.equal([]);
    // It moves under the hand on the way, and that is nothing.
    expect(
      pan(
        [
          [180, 2000],
          [40, 300],
          [168, 2000]
        ],
        'lifted'
      )
    ).to.deep.equal([12]);
  });
  const weights = fc.array(fc.tuple(fc.integer({ min: 0, max: 900 }), fc.integer({ min: 2, max: 40 })), {
    maxLength: 30
  });
  it('law: nothing is weighed twice without the pan empty between, and nothing that never lay there', () => {
    const seed = 515;
    fc.assert(
      fc.property(weights, (lays) => {
        const weighed = pan(lays.map(([grams, tenths]) => [grams, tenths * 100]));
        const empties = lays.filter(([grams]) => grams < PAN_HABITS.least).length;
        expect(weighed.length).to.be.at.most(empties + 1);
        for (const grams of weighed) expect(lays.some(([laid]) => Math.abs(laid - grams) < 2)).to.equal(true);
      }),
      { seed, ...runs(300) }
    );
  });
  it('law: what is lifted is what the heap lost between its rests', () => {
    const seed = 516;
    fc.assert(
      fc.property(
        fc.integer({ min: 100, max: 900 }),
        fc.array(fc.integer({ min: 2, max: 20 }), { maxLength: 15 }),
        (heap, slices) => {
          let left = heap;
          const lays: [number, number][] = [[heap, 1500]];
          const taken: number[] = [];
          for (const slice of slices) {
            if (left - slice < 0) break;
            left -= slice;
            taken.push(slice);
            lays.push([left, 1500]);
          }
          expect(pan(lays, 'lifted')).to.deep.equal(taken);
        }
      ),
      { seed, ...runs(200) }
    );
  });
});
