import { expect } from 'chai';
import fc from 'fast-check';
import { rememberedCourses } from '../../../src/lib/core/bench/acid/front.ts';
import { acidPlan, type AcidSettings } from '../../../src/lib/core/bench/acid/plan.ts';
import { acidThrough } from '../../../src/lib/core/bench/acid/through.ts';
import { SET_POINTS } from '../../../src/lib/core/activity/acid/lists.ts';
import { runs } from '../../runs.ts';

const dice: AcidSettings = {
  cut: 'dice',
  sizes: [12],
  faces: 2,
  grams: 400,
  celsius: 6,
  liquid: [
    { what: 'sour', id: 'lime', ml: 12 },
    { what: 'water', ml: 40 }
  ],
  measuredPH: null,
  dark: false,
  wanted: 'set',
  pace: 1
};
const solve = rememberedCourses(400);
const poured = (settings: AcidSettings, ml: number): AcidSettings => ({
  ...settings,
  liquid: [{ ...settings.liquid[0]!, ml }, ...settings.liquid.slice(1)]
});
const readyOf = (settings: AcidSettings) => acidPlan(settings, undefined, solve).readySeconds;

describe('acid that runs out', () => {
  it('too little lime: it says how much it takes, and how far this little goes', () => {
    expect(readyOf(dice)).to.equal(null);
    const said = acidThrough(dice, solve)!;
    expect(said.ml).to.be.greaterThan(12);
    expect(readyOf(poured(dice, said.ml!))).to.be.a('number');
    // Half of it does not within a day.
    expect(readyOf(poured(dice, said.ml! / 2)) ?? Infinity).to.be.greaterThan(24 * 3600);
    expect(said.reaches).to.not.equal(null);
    expect(readyOf({ ...dice, wanted: said.reaches! })).to.be.a('number');
  });
  it('nothing to mend where it gets there, and where nothing is sour', () => {
    expect(acidThrough(poured(dice, 300), solve)).to.equal(null);
    expect(acidThrough({ ...dice, liquid: [{ what: 'water', ml: 100 }] }, solve)).to.equal(null);
  });
  it('law: what it proposes does it, and it never proposes less than is poured', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('lime', 'lemon', 'orange', 'grapefruit'),
        fc.integer({ min: 1, max: 120 }),
        fc.constantFrom(...SET_POINTS),
        fc.boolean(),
        (id, ml, wanted, dark) => {
          // A slice is one line of cells: the law is of the search, not of the shape.
          const settings: AcidSettings = {
            ...dice,
            cut: 'slice',
            sizes: [8],
            wanted,
            dark,
            liquid: [{ what: 'sour', id, ml }, dice.liquid[1]!]
          };
          const said = acidThrough(settings, solve);
          expect(said !== null, 'it speaks where the acid runs out').to.equal(readyOf(settings) === null);
          if (said === null) return;
          if (said.ml !== null) {
            expect(said.ml).to.be.at.least(ml);
            expect(readyOf(poured(settings, said.ml))).to.be.a('number');
          }
          if (said.reaches !== null) expect(readyOf({ ...settings, wanted: said.reaches })).to.be.a('number');
        }
      ),
      runs(60)
    );
  });
});
