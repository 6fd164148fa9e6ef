import { expect } from 'chai';
import fc from 'fast-check';
import {
  acidBand,
  acidPlan,
  lookAt,
  paceFromCheck,
  setPointAt,
  shapeOf,
  type AcidSettings
} from '../../../src/lib/core/bench/acid/plan.ts';
import { rememberedCourses } from '../../../src/lib/core/bench/acid/front.ts';
import { SET_POINTS } from '../../../src/lib/core/activity/acid/lists.ts';
import { ACID_STYLES, type AcidStyle } from '../../../src/lib/core/bench/acid/styles.ts';
import { troubleOf } from '../../trouble.ts';

const dice: AcidSettings = {
  cut: 'dice',
  sizes: [12],
  faces: 2,
  grams: 400,
  celsius: 6,
  liquid: [{ what: 'sour', id: 'lime', ml: 300 }],
  measuredPH: null,
  dark: false,
  wanted: 'half',
  pace: 1
};

/** A course has no size, time or temperature in it: each is worked out once for all of these. */
const solve = rememberedCourses(400);
const planOf = (settings: AcidSettings) => acidPlan(settings, undefined, solve);
const bandOf = (settings: AcidSettings, seed?: number, draws?: number) => acidBand(settings, seed, draws, solve);
const paceTaught = (settings: AcidSettings, rawMm: number, seconds: number) =>
  paceFromCheck(settings, rawMm, seconds, solve);

describe('fish in acid', () => {
  it('a fillet of 25 mm is kissed in lime within half a minute, at the bench, on its clock and in what a check teaches', () => {
    const fillet: AcidSettings = { ...dice, cut: 'fillet', sizes: [25], celsius: 7, wanted: 'kissed' };
    const { readySeconds } = planOf(fillet);
    // 0.3 mm by x = 2 λ sqrt(D t), D 5e-10 m²/s: 34 s by hand.
    expect(readySeconds!).to.be.within(31, 37);
    expect(bandOf(fillet).readySeconds!.likely).to.equal(readySeconds);
    const rim = lookAt(planOf(fillet), readySeconds!).rimMm;
    expect(rim).to.be.closeTo(0.3, 0.01);
    expect(paceTaught(fillet, 25 - 2 * rim, readySeconds!)).to.be.closeTo(1, 0.01);
  });
  it('bench, band and what a cut piece teaches agree for every cut, look and liquid', () => {
    fc.assert(
      fc.property(
        fc.record({
          cut: fc.constantFrom('slice', 'fillet', 'dice' as const),
          sizes: fc.integer({ min: 2, max: 30 }).map((size) => [size]),
          wanted: fc.constantFrom(...SET_POINTS),
          ml: fc.integer({ min: 150, max: 600 })
        }),
        ({ ml, ...more }) => {
          const settings: AcidSettings = { ...dice, ...more, liquid: [{ what: 'sour', id: 'lime', ml }] };
          const plan = planOf(settings);
          const band = bandOf(settings, 0.5, 40);
          expect(band.readySeconds?.likely ?? null).to.equal(plan.readySeconds);
          if (plan.readySeconds === null || plan.readySeconds < 10) return;
          const { rimMm } = lookAt(plan, plan.readySeconds);
          const taught = paceTaught(settings, 2 * plan.halfMm - 2 * rimMm, plan.readySeconds);
          expect(taught).to.be.closeTo(1, 0.02);
        }
      ),
      { numRuns: 6 }
    );
  });
  it('draws in which the acid runs out are said, not counted among the slow', () => {
    const little: AcidSettings = { ...dice, wanted: 'nearly', liquid: [{ what: 'sour', id: 'lime', ml: 70 }] };
    const { readySeconds, never } = bandOf(little);
    expect(never.ready).to.be.within(0.05, 0.95);
    if (readySeconds) expect(readySeconds.high / readySeconds.likely).to.be.lessThan(20);
    expect(bandOf(dice).never.ready).to.equal(0);
  });
  it('every style covers its fish but the one that is spooned over; one that names its minutes takes them', () => {
    for (const { id, cut, sizes, wanted, liquid, minutes } of ACID_STYLES as readonly AcidStyle[]) {
      const settings: AcidSettings = {
        ...dice,
        cut,
        sizes,
        wanted,
        celsius: 5,
        faces: cut === 'fillet' ? 1 : 2,
        liquid: liquid.map((part) => ({ ...part, ml: part.ml * 4 }))
      };
      const plan = planOf(settings);
      expect(plan.topUpMl === 0, id).to.equal(id !== 'at-the-pass');
      if (minutes) expect(plan.readySeconds! / 60, id).to.be.closeTo(minutes, minutes / 20);
    }
  });
  it('a dip is what goes in at a time: half the fish in the same liquid is sooner done, and is covered', () => {
    const all: AcidSettings = { ...dice, liquid: [{ what: 'sour', id: 'lime', ml: 160 }] };
    const some = { ...all, grams: 200 };
    expect(planOf(some).readySeconds!).to.be.lessThan(planOf(all).readySeconds!);
    expect([planOf(all).topUpMl > 0, planOf(some).topUpMl]).to.deep.equal([true, 0]);
  });
  it('flesh side down it takes a few millimetres of liquid, not a pan filled', () => {
    const fillet: AcidSettings = { ...dice, cut: 'fillet', sizes: [8], faces: 1 };
    // 400 g of 8 mm lie on 474 cm²: 4 mm deep are 190 ml.
    expect(planOf(fillet).coverMl).to.be.closeTo(190, 1);
    expect(planOf({ ...fillet, faces: 2 }).coverMl).to.be.closeTo(253, 1);
  });
  it('names how far it is: a kiss is thin whatever the size', () => {
    expect([0.05, 0.3, 0.5, 0.8, 0.97].map((rim) => setPointAt(rim, 6))).to.deep.equal([...SET_POINTS]);
    expect(setPointAt(0.15, 2)).to.equal('kissed');
    expect(setPointAt(0.15, 6)).to.equal('rimmed');
  });
  it('each look comes after the one before, and before it is past', () => {
    const ready = SET_POINTS.map((wanted) => planOf({ ...dice, wanted }));
    ready.forEach(({ readySeconds, pastSeconds }, index) => {
      expect(readySeconds!).to.be.greaterThan(index > 0 ? ready[index - 1]!.readySeconds! : 0);
      expect(pastSeconds!).to.be.greaterThan(readySeconds!);
    });
    for (const wanted of SET_POINTS) {
      const plan = planOf({ ...dice, wanted });
      expect(lookAt(plan, plan.readySeconds! * 1.001).look).to.equal(wanted);
    }
  });
  it('twice the size is four times the time; warmer is faster; dark fish, water and less juice are slower', () => {
    const plain = planOf(dice).readySeconds!;
    expect(planOf({ ...dice, sizes: [24] }).readySeconds! / plain).to.be.closeTo(4, 1e-6);
    expect(planOf({ ...dice, celsius: 15 }).readySeconds!).to.be.lessThan(plain);
    for (const slower of [
      { dark: true },
      { liquid: [...dice.liquid, { what: 'water' as const, ml: 300 }] },
      { liquid: [{ what: 'sour' as const, id: 'lime', ml: 60 }] }
    ]) {
      expect(planOf({ ...dice, ...slower }).readySeconds ?? Infinity, JSON.stringify(slower)).to.be.greaterThan(plain);
    }
  });
  it('water only: no acid, it will not turn; a spoon of juice stalls', () => {
    const water = planOf({ ...dice, liquid: [{ what: 'water', ml: 300 }] });
    expect(water).to.deep.include({ sour: false, readySeconds: null });
    expect(lookAt(water, 7200).raw).to.equal(1);
    expect(bandOf({ ...dice, liquid: [{ what: 'water', ml: 300 }] }).readySeconds).to.equal(null);
    const spoon = planOf({ ...dice, wanted: 'set', liquid: [{ what: 'sour', id: 'lime', ml: 15 }] });
    expect(spoon.readySeconds).to.equal(null);
    expect(spoon.topUpMl).to.be.greaterThan(200);
  });
  it('shapes: a scallop, a brick in any order, a fillet on its skin as one of twice the thickness', () => {
    expect(shapeOf({ ...dice, cut: 'cylinder', sizes: [30, 20] })).to.deep.equal({
      shape: { kind: 'cylinder', halves: [1.5, 1] },
      halfMm: 10
    });
    expect(shapeOf({ ...dice, cut: 'brick', sizes: [30, 10, 20] })).to.deep.equal({
      shape: { kind: 'brick', halves: [1, 2, 3] },
      halfMm: 5
    });
    const skin = planOf({ ...dice, cut: 'fillet', sizes: [8], faces: 1 }).readySeconds!;
    expect(planOf({ ...dice, cut: 'fillet', sizes: [16], faces: 2 }).readySeconds!).to.be.closeTo(skin, 1e-6);
  });
  it('the band holds the likely time, spans more than double, and repeats itself', () => {
    const { readySeconds, pastSeconds } = bandOf({ ...dice, cut: 'slice', sizes: [6] }, 0.3);
    expect(readySeconds!.low).to.be.at.most(readySeconds!.likely);
    expect(readySeconds!.high / readySeconds!.low).to.be.greaterThan(2);
    expect(pastSeconds!.likely).to.be.greaterThan(readySeconds!.likely);
    expect(bandOf({ ...dice, cut: 'slice', sizes: [6] }, 0.3).readySeconds).to.deep.equal(readySeconds);
  });
  it('one piece cut open sets the pace: what the forecast shows leaves it alone, a wider raw middle slows it', () => {
    const plan = planOf(dice);
    const seconds = plan.readySeconds!;
    const shown = 12 * (1 - lookAt(plan, seconds).rim);
    expect(paceTaught(dice, shown, seconds)).to.be.closeTo(1, 0.02);
    expect(paceTaught(dice, shown + 1.5, seconds)).to.be.lessThan(0.85);
    expect(paceTaught(dice, shown - 1.5, seconds)).to.be.greaterThan(1.15);
    const slower = { ...dice, pace: paceTaught(dice, shown + 1.5, seconds) };
    expect(12 * (1 - lookAt(planOf(slower), seconds).rim)).to.be.closeTo(shown + 1.5, 0.15);
    expect(troubleOf(() => paceTaught(dice, 13, 600)).details.field).to.equal('rawMm');
  });
  const refused: [string, Partial<AcidSettings>, string][] = [
    ['80 mm dice', { sizes: [80] }, 'size'],
    ['pH 9', { measuredPH: 9 }, 'measuredPH'],
    ['no fish', { grams: 0 }, 'mass'],
    ['warm kitchen', { celsius: 40 }, 'celsius'],
    ['a brick of two edges', { cut: 'brick', sizes: [10, 20] }, 'size']
  ];
  for (const [what, more, field] of refused) {
    it(`${what}: refused, and ${field} is named`, () => {
      expect(troubleOf(() => planOf({ ...dice, ...more })).details.field).to.equal(field);
    });
  }
});
