import { expect } from 'chai';
import fc from 'fast-check';
import { cure, type CureSettings } from '../../../src/lib/core/bench/cure/plan.ts';
import { cureThrough } from '../../../src/lib/core/bench/cure/through.ts';
import { SIDE as side } from '../../../scripts/models.ts';
import { runs } from '../../runs.ts';

const brine: CureSettings = {
  ...side,
  thicknessMm: 16,
  faces: 2,
  method: 'brine',
  salt: 0.05,
  sugar: 0,
  bathTimes: 2,
  restHours: 0,
  target: 0.012
};

describe('a plan in one line', () => {
  it('short of what was wanted, it says how long it takes and how strong it has to be; both do it', () => {
    const short = { ...brine, hours: 9 };
    const said = cureThrough(short);
    expect(said.isThrough).to.equal(false);
    expect(said.hours).to.be.greaterThan(9);
    expect(said.salt).to.be.greaterThan(0.05);
    expect(cureThrough({ ...short, hours: said.hours! }).isThrough).to.equal(true);
    expect(cureThrough({ ...short, salt: said.salt! }).isThrough).to.equal(true);
    // A little less of either does not.
    expect(cureThrough({ ...short, hours: said.hours! - 1 }).isThrough).to.equal(false);
  });
  it('enough is enough; what no time and no salt reaches says so', () => {
    expect(cureThrough({ ...brine, hours: 200 })).to.deep.include({ isThrough: true, hours: null, salt: null });
    const never = cureThrough({
      ...side,
      method: 'weighed',
      salt: 0.008,
      sugar: 0,
      hours: 200,
      restHours: 0,
      target: 0.05
    });
    expect(never.hours).to.equal(null);
    expect(never.salt).to.not.equal(null);
  });
  it('in fresh water it falls: longer, never stronger', () => {
    const water = { ...side, method: 'desalt' as const, salt: 0.18, sugar: 0, hours: 2, restHours: 0, target: 0.03 };
    const said = cureThrough(water);
    expect(said).to.deep.include({ isThrough: false, salt: null });
    expect(said.hours).to.be.greaterThan(2);
  });
  it('law: what it offers does what was wanted', () => {
    const seed = 2027;
    fc.assert(
      fc.property(
        fc.constantFrom('brine' as const, 'weighed' as const, 'cover' as const),
        fc.double({ min: 10, max: 35, noNaN: true }),
        fc.double({ min: 1, max: 30, noNaN: true }),
        fc.double({ min: 0.008, max: 0.02, noNaN: true }),
        (method, thicknessMm, hours, target) => {
          const plan: CureSettings = { ...brine, method, salt: 0.03, thicknessMm, hours, target };
          const said = cureThrough(plan);
          for (const change of [{ hours: said.hours }, { salt: said.salt }]) {
            if (Object.values(change)[0] === null) continue;
            const { end } = cure({ ...plan, ...(change as Partial<CureSettings>) }, 20);
            expect(end.middlePercent, JSON.stringify({ plan, change, seed })).to.be.at.least(target * 100 - 0.06);
          }
        }
      ),
      { seed, ...runs(12) }
    );
  });
});
