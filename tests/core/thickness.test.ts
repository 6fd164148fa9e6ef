import { expect } from 'chai';
import fc from 'fast-check';
import { usualThickness } from '../../src/lib/core/bench/thickness.ts';
import { runs } from '../runs.ts';

describe('how thick a piece is as a rule', () => {
  it('is what a cook would say of it', () => {
    expect(usualThickness('fillet', 900)).to.be.within(22, 32);
    expect(usualThickness('fillet', 80)).to.be.within(9, 15);
    expect(usualThickness('block', 600)).to.be.within(28, 38);
    expect(usualThickness('portion', 150)).to.be.within(24, 34);
    expect(usualThickness('whole', 3000)).to.be.within(60, 85);
    for (const form of ['roe', 'live', 'shucked', '']) expect(usualThickness(form, 500), form).to.equal(null);
  });
  it('law: more of the same is never thinner, and no weight is no thickness', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('fillet', 'block', 'portion', 'whole'),
        fc.double({ min: 1, max: 50_000, noNaN: true }),
        (form, grams) => {
          expect(usualThickness(form, grams * 1.5)!).to.be.at.least(usualThickness(form, grams)!);
        }
      ),
      { seed: 3, ...runs(100) }
    );
    for (const grams of [0, -1, NaN, Infinity]) expect(() => usualThickness('fillet', grams)).to.throw(/quantity/);
  });
});
