import { expect } from 'chai';
import fc from 'fast-check';
import { usualThickness, weightOfOne } from '../../src/lib/core/bench/thickness.ts';
import { heaviestOf } from '../../src/lib/core/fish/heaviest.ts';
import { SPECIES } from '../../src/lib/core/fish/species.ts';
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
  it('of a box of sardines each is as thick as one sardine, counted or not; of a fish nobody knows the size of, as thick as it weighs', () => {
    const box = { mass: { si: 25_000 }, count: null, species: 'sardine' };
    expect(usualThickness('whole', 25_000, weightOfOne(box))!).to.be.at.most(40);
    expect(usualThickness('whole', 25_000, weightOfOne({ ...box, count: 260 }))).to.equal(usualThickness('whole', 96));
    expect(weightOfOne({ ...box, species: 'our-own-fish' })).to.equal(null);
    expect(usualThickness('whole', 25_000, null)).to.equal(usualThickness('whole', 25_000));
  });
  it('every fish of the catalogue has a heaviest, and nothing else has', () => {
    for (const { id, group } of SPECIES) {
      if (group === 'finfish') expect(heaviestOf(id), id).to.be.within(100, 2_500_000);
      else expect(heaviestOf(id), id).to.equal(null);
    }
  });
});
