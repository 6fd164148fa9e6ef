import { expect } from 'chai';
import fc from 'fast-check';
import { adviseSlice, beginsWith, tightness, type SlicedFish } from '../../src/lib/core/bench/slice/recommend.ts';
import { onCurve, SLICE_STYLES, stylesOf } from '../../src/lib/core/bench/slice/styles.ts';
import { PURPOSES, STYLE_IDS, type Purpose } from '../../src/lib/core/activity/slice/lists.ts';
import {
  blockOf,
  cutFor,
  fleshDensity,
  otherEnd,
  rowsOf,
  widthThatFits
} from '../../src/lib/core/bench/slice/settings.ts';
import { sliceSet, type SliceSet } from '../../src/lib/core/activity/slice/plan.ts';
import { volumeOf } from '../../src/lib/core/bench/slice/block.ts';
import { z } from 'zod';
import { runs } from '../runs.ts';
import { troubleOf } from '../trouble.ts';

const FISH: SlicedFish = {
  texture: 'medium',
  fat: 'mid',
  group: 'finfish',
  rigor: null,
  agedDays: 0,
  saltPercent: 0,
  inAcid: false,
  wasFrozen: false,
  skinOn: false,
  thicknessMm: 28,
  form: 'block',
  boiled: false
};
const turbot: Partial<SlicedFish> = { texture: 'firm', fat: 'lean' };
const char: Partial<SlicedFish> = { texture: 'soft', fat: 'rich' };
const bass: Partial<SlicedFish> = { texture: 'medium', fat: 'mid' };
const squid: Partial<SlicedFish> = { texture: 'firm', fat: 'lean', group: 'cephalopod', thicknessMm: 6 };
const mackerel: Partial<SlicedFish> = { texture: 'soft', fat: 'rich', skinOn: true, form: 'fillet', thicknessMm: 16 };

/** Fish and state, what it is for, and what a cook would reach for: worked from the styles' own table before it was run. */
const GOLDEN: readonly [
  what: string,
  fish: Partial<SlicedFish>,
  purpose: Purpose,
  style: string,
  angle: number,
  mm: number
][] = [
  ['turbot, a plate', turbot, 'plate', 'translucent', 20, 1.8],
  ['turbot not stiff yet, a plate', { ...turbot, rigor: 'before' }, 'plate', 'translucent', 18, 1.4],
  ['turbot stiff, a plate', { ...turbot, rigor: 'stiff' }, 'plate', 'translucent', 18, 1.4],
  ['turbot hung a week, a plate', { ...turbot, agedDays: 7 }, 'plate', 'translucent', 22, 2.1],
  ['turbot hung ten days, a plate: no longer tight', { ...turbot, agedDays: 10 }, 'plate', 'straight', 90, 6.5],
  ['turbot hung ten days, thin', { ...turbot, agedDays: 10 }, 'thin', 'translucent', 23, 2.3],
  ['turbot, on rice', turbot, 'topping', 'oblique', 30, 3.5],
  ['turbot hung a week, on rice', { ...turbot, agedDays: 7 }, 'topping', 'oblique', 34, 4],
  ['turbot that was frozen, on rice', { ...turbot, wasFrozen: true }, 'topping', 'oblique', 32, 4],
  ['turbot in acid, on rice', { ...turbot, inAcid: true }, 'topping', 'oblique', 30, 3.5],
  ['turbot, dressed', turbot, 'dressed', 'cubes', 90, 12],
  ['char, a plate', char, 'plate', 'straight', 90, 10.5],
  ['char, on rice', char, 'topping', 'oblique', 45, 7.5],
  ['char, thin: too soft for it', char, 'thin', 'oblique', 45, 7.5],
  ['char, dressed', char, 'dressed', 'cubes', 90, 15.5],
  [
    'char side cured to 3 %, off its skin',
    { ...char, skinOn: true, form: 'fillet', saltPercent: 3 },
    'plate',
    'bias',
    25,
    4
  ],
  ['char block lightly cured to 1 %, a plate', { ...char, saltPercent: 1 }, 'plate', 'straight', 90, 10],
  ['char aged a fortnight, a plate', { ...char, agedDays: 14 }, 'plate', 'straight', 90, 12],
  ['char that was frozen, a plate', { ...char, wasFrozen: true }, 'plate', 'straight', 90, 11.5],
  ['bass, a plate', bass, 'plate', 'straight', 90, 7.5],
  ['bass, on rice', bass, 'topping', 'oblique', 38, 5],
  ['bass stiff, thin', { ...bass, rigor: 'stiff' }, 'thin', 'translucent', 23, 2.3],
  ['bass through rigor, thin', { ...bass, rigor: 'past' }, 'thin', 'translucent', 25, 2.5],
  ['bass rested five days, thin', { ...bass, agedDays: 5 }, 'thin', 'oblique', 40, 5.5],
  ['bass fillet of 8 mm, on rice', { ...bass, form: 'fillet', thicknessMm: 8 }, 'topping', 'strips', 90, 3.5],
  ['mackerel in vinegar, skin on', { ...mackerel, inAcid: true }, 'topping', 'scored', 90, 9.5],
  ['mackerel, dressed', mackerel, 'dressed', 'cubes', 90, 15.5],
  ['squid', squid, 'topping', 'strips', 90, 2.3],
  ['octopus, boiled', { ...squid, boiled: true }, 'plate', 'ripple', 36, 3.5],
  ['squid, boiled, dressed', { ...squid, boiled: true }, 'dressed', 'ripple', 36, 3.5]
];

describe('the cut that suits a piece', () => {
  for (const [what, fish, purpose, style, angle, mm] of GOLDEN) {
    it(`${what}: ${style}, ${angle}°, ${mm} mm`, () => {
      const advice = adviseSlice({ ...FISH, ...fish }, purpose);
      expect([advice.style, advice.angle, advice.thickness]).to.deep.equal([style, angle, mm]);
    });
  }

  const anyFish: fc.Arbitrary<SlicedFish> = fc.record({
    texture: fc.constantFrom('soft', 'medium', 'firm'),
    fat: fc.constantFrom('lean', 'mid', 'rich'),
    group: fc.constantFrom('finfish', 'finfish', 'cephalopod'),
    rigor: fc.constantFrom(null, 'before', 'setting', 'stiff', 'passing', 'past'),
    agedDays: fc.double({ min: 0, max: 30, noNaN: true }),
    saltPercent: fc.double({ min: 0, max: 8, noNaN: true }),
    inAcid: fc.boolean(),
    wasFrozen: fc.boolean(),
    skinOn: fc.boolean(),
    thicknessMm: fc.option(fc.double({ min: 3, max: 80, noNaN: true })),
    form: fc.constantFrom('block', 'loin', 'fillet', 'portion'),
    boiled: fc.boolean()
  });
  const TEXTURES = ['soft', 'medium', 'firm'] as const;
  it('tighter flesh never gets a thicker slice: by kind, by salt, by acid', () => {
    fc.assert(
      fc.property(
        anyFish,
        fc.constantFrom(...PURPOSES),
        fc.double({ min: 0, max: 4, noNaN: true }),
        (fish, purpose, more) => {
          const here = adviseSlice(fish, purpose);
          const tighter = [
            { ...fish, texture: TEXTURES[Math.min(2, TEXTURES.indexOf(fish.texture) + 1)]! },
            { ...fish, saltPercent: fish.saltPercent + more },
            { ...fish, inAcid: true },
            { ...fish, wasFrozen: false }
          ];
          for (const each of tighter) {
            const there = adviseSlice(each, purpose);
            expect(there.tightness.value).to.be.at.least(here.tightness.value - 1e-9);
            expect(there.thickness).to.be.at.most(here.thickness);
          }
        }
      ),
      { ...runs(600), endOnFailure: true }
    );
  });
  it('longer ageing never gets a thinner one', () => {
    fc.assert(
      fc.property(
        anyFish,
        fc.constantFrom(...PURPOSES),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (fish, purpose, days) => {
          const later = adviseSlice({ ...fish, agedDays: fish.agedDays + days }, purpose);
          expect(later.thickness).to.be.at.least(adviseSlice(fish, purpose).thickness);
        }
      ),
      { ...runs(600), endOnFailure: true }
    );
  });
  it('every style is thinner for tighter flesh, flatter for it, and begins within its own ranges', () => {
    for (const style of STYLE_IDS) {
      const { thicknesses, angles, grams } = SLICE_STYLES[style];
      let before = { thickness: Infinity, angle: Infinity };
      for (let tight = 0; tight <= 1.0001; tight += 0.05) {
        const begin = beginsWith(style, Math.min(1, tight));
        expect(begin.thickness, style).to.be.within(...thicknesses);
        expect(begin.angle, style).to.be.within(...angles);
        expect(begin.grams, style).to.be.within(...grams);
        expect(begin.thickness).to.be.at.most(before.thickness);
        expect(begin.angle).to.be.at.most(before.angle);
        before = begin;
      }
    }
    expect(onCurve([[0, 4]], 0.7)).to.equal(4);
  });
  it('refuses days and salt that cannot be', () => {
    expect(troubleOf(() => tightness({ ...FISH, agedDays: -1 })).details.field).to.equal('days');
    expect(troubleOf(() => tightness({ ...FISH, saltPercent: NaN })).details.field).to.equal('salt');
  });
});

const plan = (input: Record<string, unknown>): SliceSet => z.object(sliceSet).parse(input) as SliceSet;
const BLOCK = { length: '200 mm', height: '30 mm', width: '70 mm' };

describe('what is set at the slicing board', () => {
  it('fatter flesh weighs less: two liquids that do not mix', () => {
    expect(fleshDensity('lean')).to.be.closeTo(1 / (0.98 / 1.06e-3 + 0.02 / 0.92e-3), 1e-12);
    expect(fleshDensity('rich')).to.be.lessThan(fleshDensity('mid'));
  });
  it('heights and widths each between their own stations', () => {
    const block = blockOf(plan({ ...BLOCK, style: 'straight', thickness: '6 mm', height2: '24 mm', width4: '50 mm' }));
    expect(block.heights.map(({ at, mm }) => [at, mm])).to.deep.equal([
      [0, 30],
      [100, 24]
    ]);
    expect(block.widths.map(({ at, mm }) => [at, mm])).to.deep.equal([
      [0, 70],
      [200, 50]
    ]);
  });
  it('a mixed plan: twelve toppings, fifteen plate slices, the rest to cubes, in the order that fills it best', () => {
    const set = plan({
      ...BLOCK,
      length: '320 mm',
      style: 'oblique',
      by: 'weight',
      grams: '13 g',
      angle: 45,
      count: 12,
      style2: 'straight',
      grams2: '16 g',
      count2: 15,
      style3: 'cubes'
    });
    const cut = cutFor(set);
    const by = Object.fromEntries(cut.sequence.map((row, order) => [row, cut.rows[order]!]));
    expect(by[0]).to.include({ pieces: 12, ended: 'done' });
    expect(by[1]).to.include({ pieces: 15, ended: 'done' });
    expect(by[2]!.pieces).to.be.greaterThan(5);
    expect(cut.sequence.at(-1)).to.equal(2);
    expect(cut.grams + cut.offcutGrams).to.be.closeTo(cut.blockGrams, 1e-6);
    // Written the other way round it is cut no worse.
    expect(rowsOf(set)).to.have.length(3);
  });
  it('asks for what it cannot do without', () => {
    const field = (input: Record<string, unknown>) => troubleOf(() => cutFor(plan(input))).details.field;
    expect(field({ ...BLOCK, style: 'straight' })).to.equal('thickness');
    expect(field({ ...BLOCK, style: 'straight', by: 'weight' })).to.equal('grams');
    expect(field({ ...BLOCK, style: 'straight', thickness: '6 mm', style2: 'cubes' })).to.equal('count');
    expect(field({ ...BLOCK, style: 'straight', thickness: '6 mm', slantHead: '150 mm' })).to.equal('slantHead');
  });
  it('says what the other end would give, and how wide it has to be for the scale to agree', () => {
    const set = plan({ ...BLOCK, height4: '16 mm', style: 'oblique', by: 'weight', grams: '9 g', angle: 40 });
    const settings = { set, subject: { fat: 'mid' as const } };
    expect(otherEnd(settings).pieces).to.equal(cutFor({ ...set, first: 'tail' }).pieces);
    const times = widthThatFits(settings, 300);
    expect(fleshDensity('mid') * volumeOf(blockOf(set)) * times).to.be.closeTo(300, 1e-9);
  });
});

describe('cuts as a house has them', () => {
  const KEPT = { thinnest: null, thickest: null, lightest: null, heaviest: null, flattest: null, steepest: null };
  it('a moved end is where the cut begins and ends; the others stay as usual', () => {
    const styles = stylesOf({ straight: { ...KEPT, thickest: 8, lightest: 10 } });
    expect(styles.straight.thicknesses).to.deep.equal([5, 8]);
    expect(styles.straight.grams).to.deep.equal([10, 18]);
    expect(beginsWith('straight', 0, styles).thickness).to.equal(8);
    expect(styles.oblique).to.deep.equal(SLICE_STYLES.oblique);
    // A range that is moved past its other end takes it along.
    expect(stylesOf({ translucent: { ...KEPT, thinnest: 4 } }).translucent.thicknesses).to.deep.equal([4, 4]);
  });
  it('a slice by weight is no thicker than the house cuts it', () => {
    const subject = { fat: 'mid' as const, styles: stylesOf({ straight: { ...KEPT, thickest: 6 } }) };
    const set = plan({ ...BLOCK, style: 'straight', by: 'weight', grams: '18 g' });
    expect(cutFor(set).pieces).to.be.greaterThan(0);
    expect(cutFor(set, subject).rows[0]).to.include({ pieces: 0, ended: 'too-thick' });
    // 6 mm of 30 x 70; laid as flat as the cut allows, 80°, a little more.
    const upright = 6 * 30 * 70 * fleshDensity('mid');
    const leaning = upright / Math.sin((80 * Math.PI) / 180);
    expect(cutFor(set, subject).rows[0]!.mostGrams).to.be.within(upright, leaning);
  });
  it('law: whatever it moves, tighter flesh gets no thicker slice', () => {
    const end = (min: number, max: number) => fc.option(fc.integer({ min, max }));
    const moves = fc.record({
      thinnest: end(1, 20),
      thickest: end(1, 40),
      lightest: end(1, 30),
      heaviest: end(1, 60),
      flattest: end(15, 90),
      steepest: end(15, 90)
    });
    fc.assert(
      fc.property(moves, fc.constantFrom(...STYLE_IDS), (own, style) => {
        if ((own.thinnest ?? 0) > (own.thickest ?? 99)) return;
        const styles = stylesOf({ [style]: own });
        let before = Infinity;
        for (let tight = 0; tight <= 1; tight += 0.05) {
          const { thickness } = beginsWith(style, tight, styles);
          expect(thickness).to.be.at.most(before + 1e-9);
          before = thickness;
        }
      }),
      { ...runs(400), endOnFailure: true }
    );
  });
});
