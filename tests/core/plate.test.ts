import { expect } from 'chai';
import fc from 'fast-check';
import { z } from 'zod';
import { STYLE_IDS } from '../../src/lib/core/activity/slice/lists.ts';
import { sliceSet } from '../../src/lib/core/activity/slice/plan.ts';
import { ARRANGEMENTS, plateSet, type Arrangement } from '../../src/lib/core/activity/slice/plate.ts';
import { byTaste, laidOf, layOut, type Laid, type Plate, type Tasted } from '../../src/lib/core/bench/slice/plate.ts';
import { ARRANGED, EACH, platesOf } from '../../src/lib/core/bench/slice/plating.ts';
import { cutFor, fleshDensity } from '../../src/lib/core/bench/slice/settings.ts';
import { runs } from '../runs.ts';
import { troubleOf } from '../trouble.ts';

const slices = (count: number, size: Partial<Laid> = {}): Laid[] =>
  Array.from({ length: count }, (_, index) => ({
    number: index + 1,
    long: 60,
    short: 28,
    thick: 7,
    grams: 11,
    ...size
  }));
const lay = (count: number, arrangement: Arrangement, plate = 240, size: Partial<Laid> = {}, left = false): Plate =>
  layOut(slices(count, size), { arrangement, plate, left });
/** How far out its farthest corner lies, mm. */
function reach({ placed }: Plate): number {
  const corners = placed.flatMap(({ x, y, turn, along, across }) => {
    const [c, s] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
    return [-1, 1].flatMap((a) =>
      [-1, 1].map((b) => Math.hypot(x + (a * along * c - b * across * s) / 2, y + (a * along * s + b * across * c) / 2))
    );
  });
  return Math.max(0, ...corners);
}

describe('plates, worked by hand', () => {
  // 240 mm over its rim: 84 % of it lie flat, a radius of 100.8.
  it('a row of slices 28 wide, each over the next by a third: 18.7 from one to the next, at the closest 14', () => {
    const { placed, overlap, fits } = lay(5, 'row');
    expect(fits).to.equal(true);
    expect(overlap).to.be.closeTo(1 / 3, 1e-9);
    expect(placed[1]!.x - placed[0]!.x).to.be.closeTo(56 / 3, 1e-9);
    // Its chord at 30 mm from the middle: 2 x sqrt(100.8² - 30²) = 192.5; (192.5 - 28) / 14 = 11.7, and the first.
    expect(lay(12, 'row').placed.every(({ y }) => y === 0)).to.equal(true);
    expect(new Set(lay(13, 'row').placed.map(({ y }) => y)).size).to.equal(2);
  });
  it('a leaning row goes by what each leans on: 7 mm at 60°, 8.08 from one to the next', () => {
    const { placed } = lay(7, 'leaning');
    expect(placed[1]!.x - placed[0]!.x).to.be.closeTo(7 / Math.sin(Math.PI / 3), 1e-9);
    // For a left-handed eater it runs the other way.
    expect(lay(7, 'leaning', 240, {}, true).placed[0]!.x).to.equal(-placed[0]!.x);
  });
  it('a fan of thin slices along the rim: 60 long, a third under the next, 12 to the outer turn of 24 cm', () => {
    const thin = { long: 60, short: 30, thick: 2, grams: 3 };
    // The turn they lie on: sqrt(100.8² - 30²) - 15 = 81.2; 2π x 81.2 / 40 = 12.8, so 12 lie at their ease.
    const twelve = lay(12, 'fan', 240, thin);
    expect(twelve.overlap).to.be.within(0.25, 1 / 3 + 1e-9);
    expect(Math.hypot(twelve.placed[0]!.x, twelve.placed[0]!.y)).to.be.closeTo(81.23, 0.01);
    // At half under the next: 17 to the outer turn; what is more lies within.
    expect(lay(17, 'fan', 240, thin).overlap).to.be.closeTo(1 - (2 * Math.PI * 81.23) / 17 / 60, 1e-3);
    const more = lay(18, 'fan', 240, thin);
    expect(Math.hypot(more.placed[17]!.x, more.placed[17]!.y)).to.be.closeTo(61.23, 0.01);
  });
  it('as spokes far more fit', () => {
    const thin = { long: 60, short: 30, thick: 2, grams: 3 };
    const outerTurn = (arrangement: Arrangement) => {
      const { placed } = lay(60, arrangement, 240, thin);
      const out = placed.map(({ x, y }) => Math.hypot(x, y));
      return out.filter((each) => Math.abs(each - out[0]!) < 1e-6).length;
    };
    expect([outerTurn('fan'), outerTurn('spokes')]).to.deep.equal([17, 29]);
  });
  it('cubes of 15 in a square: nine to each side of what lies flat, and eight between', () => {
    // 100.8 x √2 / 15 = 9.5.
    expect(lay(1, 'block', 240, { long: 15, short: 15, thick: 15, grams: 3.5 }).most).to.equal(81 + 64);
    const nine = lay(9, 'block', 240, { long: 15, short: 15, thick: 15, grams: 3.5 });
    expect(new Set(nine.placed.map(({ x }) => x)).size).to.equal(3);
  });
  it('a few slices are an open fan, not a ring with holes', () => {
    const { placed } = lay(5, 'fan', 300, { long: 60, short: 30, thick: 2, grams: 3 });
    const turns = placed.map(({ turn }) => turn);
    expect(Math.max(...turns) - Math.min(...turns)).to.be.lessThan(120);
  });
  it('too many say how many fit, and those are laid', () => {
    const { fits, most, placed } = lay(200, 'leaning', 160);
    expect([fits, placed.length]).to.deep.equal([false, most]);
    expect(most).to.be.within(5, 60);
  });
  it('one that is larger than the plate does not lie on it', () => {
    expect(lay(3, 'row', 100, { long: 160, short: 60 })).to.include({ most: 0, fits: false, overlap: null, grams: 0 });
  });
  it('slices of a cut list keep their numbers; cubes of a slab are each their own', () => {
    const laid = laidOf([
      { face: 40, width: 70, thickness: 5, gramsEach: 14, pieces: 1, cubes: false },
      { face: 30, width: 70, thickness: 15, gramsEach: 3.5, pieces: 8, cubes: true }
    ]);
    expect(laid).to.have.length(9);
    expect(laid[0]).to.deep.equal({ number: 1, long: 70, short: 40, thick: 5, grams: 14 });
    expect(laid[8]).to.deep.equal({ number: 9, long: 15, short: 15, thick: 15, grams: 3.5 });
  });
});

describe('plates, by law', () => {
  const sizes = fc
    .record({
      count: fc.integer({ min: 1, max: 60 }),
      plate: fc.integer({ min: 80, max: 500 }),
      a: fc.integer({ min: 5, max: 120 }),
      b: fc.integer({ min: 3, max: 100 }),
      thick: fc.integer({ min: 1, max: 20 }),
      arrangement: fc.constantFrom(...ARRANGEMENTS),
      left: fc.boolean()
    })
    .map(({ a, b, ...rest }) => ({ ...rest, long: Math.max(a, b), short: Math.min(a, b), grams: 10 }));

  it('nothing reaches over the rim, no slice lies twice, and none lies under the next by more than a half', () => {
    fc.assert(
      fc.property(sizes, ({ count, plate, arrangement, left, ...size }) => {
        const out = lay(count, arrangement, plate, size, left);
        expect(reach(out)).to.be.at.most((plate / 2) * 0.84 + 1e-6);
        expect(new Set(out.placed.map(({ number }) => number)).size).to.equal(out.placed.length);
        expect(out.placed.length).to.equal(Math.min(count, out.most));
        if (out.overlap !== null && arrangement !== 'leaning') expect(out.overlap).to.be.within(0, 0.5 + 1e-9);
      }),
      { ...runs(2000), endOnFailure: true }
    );
  });
  it('a larger plate never takes fewer, and mirrored it takes as many', () => {
    fc.assert(
      fc.property(sizes, fc.integer({ min: 0, max: 100 }), ({ count, plate, arrangement, ...size }, wider) => {
        const { most } = lay(count, arrangement, plate, size);
        expect(lay(count, arrangement, Math.min(600, plate + wider), size).most).to.be.at.least(most);
        expect(lay(count, arrangement, plate, size, true).most).to.equal(most);
      }),
      { ...runs(1500), endOnFailure: true }
    );
  });
});

describe('plates, what cannot be', () => {
  it('a plate of a thumb, none to lay, a slice of no size: each by its field', () => {
    expect(troubleOf(() => lay(3, 'row', 20))).to.include({ code: 'quantity.out-of-range' });
    expect(troubleOf(() => layOut([], { arrangement: 'row', plate: 240 }))).to.include({ code: 'form.incomplete' });
    expect(troubleOf(() => lay(1, 'row', 240, { thick: 0 }))).to.include({ code: 'quantity.out-of-range' });
    expect(troubleOf(() => lay(1, 'row', Number.NaN))).to.include({ code: 'number.not-finite' });
  });
});

describe('the plates a block gives', () => {
  const BLOCK = {
    style: 'straight',
    by: 'thickness',
    thickness: '6 mm',
    angle: '90',
    length: '180 mm',
    height: '30 mm',
    width: '70 mm'
  };
  const cutOf = (more: object = {}) => {
    const set = z.object(sliceSet).parse({ ...BLOCK, ...more });
    return { cut: cutFor(set), style: set.style };
  };
  const plateOf = (more: object = {}) => z.object(plateSet).parse({ plate: '240 mm', each: '7', ...more });

  it('30 slices of 6 mm are four plates of seven and two over; the third has 15 to 21', () => {
    const { cut, style } = cutOf();
    const { plates, over, shown } = platesOf(cut, style, plateOf(), 2);
    expect([plates, over]).to.deep.equal([4, 2]);
    expect(shown.placed.map(({ number }) => number)).to.deep.equal([15, 16, 17, 18, 19, 20, 21]);
    // 30 x 70 lies on the board, 6 thick, 13.2 g each.
    expect(shown.placed[0]).to.include({ across: 70 });
    expect(shown.grams).to.be.closeTo(7 * 6 * 30 * 70 * fleshDensity('mid'), 1e-6);
  });
  it('past the last plate it is the last; a number that does not lie on it gives none', () => {
    const { cut, style } = cutOf();
    expect(platesOf(cut, style, plateOf(), 99).shown.placed[0]!.number).to.equal(22);
    const crowded = platesOf(cut, style, plateOf({ each: '30', plate: '120 mm' }));
    expect([crowded.plates, crowded.over, crowded.shown.fits]).to.deep.equal([0, 30, false]);
  });
  it('what is cut from a slanted end has a face too', () => {
    const { cut, style } = cutOf({ angle: '40', style: 'oblique', slantHead: '30 mm' });
    const { shown } = platesOf(cut, style, plateOf());
    expect(Math.min(...shown.placed.map(({ along }) => along))).to.be.greaterThan(20);
  });
  it('fewer than a plate are laid, and are no plate', () => {
    const { cut, style } = cutOf({ count: '3' });
    const { plates, over, shown } = platesOf(cut, style, plateOf());
    expect([plates, over, shown.placed.length]).to.deep.equal([0, 3, 3]);
  });
  it('every cut has a way to lie, and its usual plate takes its usual number', () => {
    for (const style of STYLE_IDS) {
      expect(ARRANGEMENTS).to.include(ARRANGED[style]);
      expect(EACH[style]).to.be.greaterThan(0);
    }
  });
  it('lean before rich, sharp last, whatever order they come in', () => {
    const kinds: Tasted[] = [
      { fat: 'rich', sharp: true },
      { fat: 'rich', sharp: false },
      { fat: 'lean', sharp: true },
      { fat: 'mid', sharp: false },
      { fat: 'lean', sharp: false }
    ];
    expect(kinds.sort(byTaste).map(({ fat, sharp }) => `${fat}${sharp ? ' sharp' : ''}`)).to.deep.equal([
      'lean',
      'mid',
      'rich',
      'lean sharp',
      'rich sharp'
    ]);
  });
});
