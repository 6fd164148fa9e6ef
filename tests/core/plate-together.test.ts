import { expect } from 'chai';
import fc from 'fast-check';
import { ARRANGEMENTS } from '../../src/lib/core/activity/slice/plate.ts';
import type { Laid, Placed } from '../../src/lib/core/bench/slice/plate.ts';
import { layTogether, type Kind } from '../../src/lib/core/bench/slice/together.ts';
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
const kind = (count: number, more: Partial<Kind> & { readonly size?: Partial<Laid> } = {}): Kind => ({
  slices: slices(count, more.size),
  tasted: { fat: 'mid', sharp: false },
  arrangement: 'row',
  ...more
});
/** Corners of a slice where it lies. */
const corners = ({ x, y, turn, along, across }: Placed) => {
  const [c, s] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  return [-1, 1].flatMap((a) =>
    [-1, 1].map((b) => [x + (a * along * c - b * across * s) / 2, y + (a * along * s + b * across * c) / 2] as const)
  );
};

describe('several kinds on one plate, worked by hand', () => {
  it('lean first, rich after, sharp last; of alike ones as they were told; the top row is eaten first', () => {
    const { kinds, fits, grams } = layTogether(
      [
        kind(3, { size: { long: 40 }, tasted: { fat: 'rich', sharp: false } }),
        kind(3, { size: { long: 40 }, tasted: { fat: 'lean', sharp: true } }),
        kind(3, { size: { long: 40 }, tasted: { fat: 'lean', sharp: false } })
      ],
      { plate: 300 }
    );
    expect(kinds.map((each) => each.kind)).to.deep.equal([2, 0, 1]);
    expect(fits).to.equal(true);
    expect(grams).to.equal(99);
    // Three rows of 40 mm, 8 between: their middles 48 apart.
    expect(kinds.map(({ placed }) => placed[0]!.y)).to.deep.equal([48, 0, -48]);
  });
  it('a row that is full goes on in a second; the first two kinds leave it no room for a third', () => {
    // 240 mm: a radius of 100.8. One row of 40 mm takes 1 + (2 √(100.8² - 20²) - 28) / 14 = 13 slices.
    const one = layTogether([kind(13, { size: { long: 40 } })], { plate: 240 });
    expect(new Set(one.kinds[0]!.placed.map(({ y }) => y)).size).to.equal(1);
    const two = layTogether([kind(14, { size: { long: 40 } })], { plate: 240 });
    expect(new Set(two.kinds[0]!.placed.map(({ y }) => y))).to.deep.equal(new Set([24, -24]));
    expect(two.kinds[0]!.placed).to.have.length(14);
  });
  it('what does not fit says how many of each do', () => {
    const out = layTogether([kind(9), kind(9), kind(9)], { plate: 160 });
    expect(out.fits).to.equal(false);
    for (const { placed, most } of out.kinds) expect(placed.length).to.be.at.most(most);
    expect(out.kinds.reduce((sum, { placed }) => sum + placed.length, 0)).to.be.lessThan(27);
  });
  it('a heap of strips lies beside rows, cubes side by side', () => {
    const out = layTogether(
      [
        kind(5, { arrangement: 'leaning', size: { long: 50 } }),
        kind(20, { arrangement: 'mound', size: { long: 50, short: 3, thick: 3, grams: 1.2 } }),
        kind(4, { arrangement: 'block', size: { long: 15, short: 15, thick: 15, grams: 3.5 } })
      ],
      { plate: 300 }
    );
    expect(out.fits).to.equal(true);
    const cubes = out.kinds[2]!.placed.map(({ x }) => x);
    expect(cubes[1]! - cubes[0]!).to.equal(15);
  });
});

describe('several kinds on one plate, by law', () => {
  const kinds = fc.array(
    fc
      .record({
        count: fc.integer({ min: 1, max: 20 }),
        a: fc.integer({ min: 10, max: 90 }),
        b: fc.integer({ min: 5, max: 60 }),
        thick: fc.integer({ min: 1, max: 15 }),
        arrangement: fc.constantFrom(...ARRANGEMENTS),
        fat: fc.constantFrom('lean', 'mid', 'rich'),
        sharp: fc.boolean()
      })
      .map(({ count, a, b, thick, arrangement, fat, sharp }) =>
        kind(count, {
          size: { long: Math.max(a, b), short: Math.min(a, b), thick },
          arrangement,
          tasted: { fat: fat as 'lean', sharp }
        })
      ),
    { minLength: 1, maxLength: 4 }
  );
  const plate = fc.integer({ min: 120, max: 500 });

  it('no corner lies over the rim, no kind in the rows of another, no slice twice', () => {
    fc.assert(
      fc.property(kinds, plate, fc.boolean(), (told, across, left) => {
        const out = layTogether(told, { plate: across, left });
        let floor = Infinity;
        for (const { kind: which, placed } of out.kinds) {
          const points = placed.flatMap(corners);
          for (const [x, y] of points) expect(Math.hypot(x, y)).to.be.at.most((across / 2) * 0.84 + 1e-6);
          const ups = points.map(([, y]) => y);
          if (ups.length > 0) {
            expect(Math.max(...ups)).to.be.at.most(floor + 1e-6);
            floor = Math.min(...ups);
          }
          expect(placed.map(({ number }) => number)).to.deep.equal(placed.map((_, index) => index + 1));
          expect(placed.length).to.be.at.most(told[which]!.slices.length);
        }
        const all = told.reduce((sum, { slices: each }) => sum + each.length, 0);
        expect(out.fits).to.equal(out.kinds.reduce((sum, { placed }) => sum + placed.length, 0) === all);
      }),
      { ...runs(1200), endOnFailure: true }
    );
  });
  it('sharp never before plain, rich never before lean', () => {
    const rank = ({ fat, sharp }: Kind['tasted']) => (sharp ? 3 : 0) + ['lean', 'mid', 'rich'].indexOf(fat);
    fc.assert(
      fc.property(kinds, plate, (told, across) => {
        const ranks = layTogether(told, { plate: across }).kinds.map((each) => rank(told[each.kind]!.tasted));
        expect(ranks).to.deep.equal([...ranks].sort((a, b) => a - b));
      }),
      { ...runs(300), endOnFailure: true }
    );
  });
});

describe('several kinds on one plate, what cannot be', () => {
  it('none, five, a kind of nothing, a plate of a thumb: each by its field', () => {
    expect(troubleOf(() => layTogether([], { plate: 240 }))).to.include({ code: 'form.incomplete' });
    expect(
      troubleOf(() =>
        layTogether(
          [1, 1, 1, 1, 1].map((each) => kind(each)),
          { plate: 240 }
        )
      )
    ).to.include({
      code: 'form.too-many'
    });
    expect(troubleOf(() => layTogether([kind(0)], { plate: 240 }))).to.include({ code: 'form.incomplete' });
    expect(troubleOf(() => layTogether([kind(1)], { plate: 30 }))).to.include({ code: 'quantity.out-of-range' });
  });
});
