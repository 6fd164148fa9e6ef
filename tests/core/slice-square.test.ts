import { expect } from 'chai';
import fc from 'fast-check';
import { measureAt, volumeOf, type Block } from '../../src/lib/core/bench/slice/block.ts';
import { LOSSES, lowerThatGives, square, type SquareOrder } from '../../src/lib/core/bench/slice/square.ts';
import { runs } from '../runs.ts';
import { troubleOf } from '../trouble.ts';

const FLESH = 1.05e-3;
const side = (length: number, heights: number[], widths: number[], edge = 1): Block => {
  const spread = (all: number[]) =>
    all.map((mm, index) => ({ at: all.length === 1 ? 0 : Math.min(length, (length * index) / (all.length - 1)), mm }));
  return { length, heights: spread(heights), widths: spread(widths), edge };
};
const order = (block: Block, height: number, width: number, more: Partial<SquareOrder> = {}): SquareOrder => ({
  side: block,
  density: FLESH,
  skin: 0,
  dark: 0,
  height,
  width,
  least: 40,
  ...more
});
/** Height above the skin at a place, mm. */
const stands = ({ side: block, skin }: SquareOrder, x: number, y: number) =>
  measureAt(block.heights, x) * (1 - ((1 - block.edge) * y) / measureAt(block.widths, x)) - skin;

describe('squaring, worked by hand', () => {
  it('a box of 200 x 30 x 150 gives two blocks 70 wide; 10 mm of its width are left', () => {
    const { blocks, grams, losses, boundGrams } = square(order(side(200, [30], [150]), 30, 70));
    expect(blocks.map(({ row, layer, from, to }) => [row, layer, from, to])).to.deep.equal([
      [0, 0, 0, 200],
      [1, 0, 0, 200]
    ]);
    // 2 x 200 x 30 x 70 x 0.00105 = 882; 200 x 30 x 10 x 0.00105 = 63.
    expect(grams).to.be.closeTo(882, 1e-9);
    expect(losses.belly).to.be.closeTo(63, 1e-6);
    expect(boundGrams).to.be.closeTo(945, 1e-6);
  });
  it('one that falls from 40 to 20 is 30 high for half its length; the rest is tail and what stands above', () => {
    const { blocks, losses } = square(order(side(200, [40, 20], [100]), 30, 100));
    expect(blocks.map(({ from, to }) => [from, to])).to.deep.equal([[0, 100]]);
    // Tail: 25 high on average, 100 x 100; above: 5 on average.
    expect(losses.tail).to.be.closeTo(262.5, 1e-6);
    expect(losses.shavings).to.be.closeTo(52.5, 1e-6);
  });
  it('a thin edge of a half: 40 high and 100 wide stands 30 high to 50 mm from its thick edge', () => {
    const thin = side(160, [40], [100], 0.5);
    expect(square(order(thin, 30, 50)).blocks).to.have.length(1);
    expect(square(order(thin, 30, 50.1)).blocks).to.have.length(0);
    expect(square(order(thin, 30, 25)).blocks.map(({ row }) => row)).to.deep.equal([0, 1]);
    // Beyond 50 mm: from 30 down to 20, 25 on average, x 50 x 160.
    expect(square(order(thin, 30, 50)).losses.belly).to.be.closeTo(25 * 50 * 160 * FLESH, 1e-6);
  });
  it('a loin 64 high gives two layers of 30 off its skin; skin and dark strip are lost by name', () => {
    const { blocks, losses } = square(order(side(180, [64], [80]), 30, 60, { skin: 2, dark: 15 }));
    expect(blocks.map(({ layer }) => layer)).to.deep.equal([0, 1]);
    expect(losses.skin).to.be.closeTo(2 * 80 * 180 * FLESH, 1e-6);
    expect(losses.dark).to.be.closeTo(62 * 15 * 180 * FLESH, 1e-6);
  });
  it('one that narrows is followed until it is too narrow: 90 to 45 over 180 is 60 wide for 120', () => {
    const { blocks } = square(order(side(180, [30], [90, 45]), 30, 60));
    expect(blocks[0]!.to).to.be.closeTo(120, 1e-6);
  });
  it('a waist parts a row in two; what is shorter than a block is none', () => {
    const waist = side(400, [40, 20, 40], [80]);
    expect(square(order(waist, 30, 60)).blocks.map(({ from, to }) => [from, to])).to.deep.equal([
      [0, 100],
      [300, 400]
    ]);
    expect(square(order(waist, 30, 60, { least: 101 })).blocks).to.deep.equal([]);
  });
  it('slanted ends: a block lies where it is high enough at its top', () => {
    const slant: Block = {
      ...side(200, [30], [70]),
      heights: [
        { at: 0, mm: 0 },
        { at: 30, mm: 30 },
        { at: 200, mm: 30 }
      ]
    };
    expect(square(order(slant, 30, 70)).blocks.map(({ from, to }) => [from, to])).to.deep.equal([[30, 200]]);
  });
  it('a height a little lower that gives noticeably more is found, to the millimetre', () => {
    // 29 high for all of it against 30 for a third.
    const low = order(side(300, [31.5, 30, 29, 29], [80]), 30, 60);
    expect(lowerThatGives(low)!.height).to.equal(29);
    expect(lowerThatGives(order(side(300, [30], [60]), 30, 60))).to.equal(null);
  });
});

describe('squaring, by law', () => {
  const size = (min: number, max: number) => fc.integer({ min: min * 10, max: max * 10 }).map((tenths) => tenths / 10);
  const orders = fc
    .record({
      length: size(60, 500),
      heights: fc.array(size(6, 90), { minLength: 1, maxLength: 5 }),
      widths: fc.array(size(25, 250), { minLength: 1, maxLength: 5 }),
      edge: fc.integer({ min: 5, max: 100 }),
      height: size(8, 50),
      width: size(15, 90),
      skin: size(0, 3),
      dark: size(0, 20)
    })
    .map(({ length, heights, widths, edge, height, width, skin, dark }) =>
      order(side(length, heights, widths, edge / 100), height, width, { skin, dark })
    );

  it('nothing is lost: blocks and losses weigh what the side did, and none is less than nothing', () => {
    fc.assert(
      fc.property(orders, (asked) => {
        const { grams, losses, wholeGrams } = square(asked);
        const lost = LOSSES.map((loss) => losses[loss]);
        expect(Math.min(...lost)).to.be.at.least(0);
        // What is summed in panels against what is summed exactly: a ten-thousandth.
        expect(grams + lost.reduce((sum, each) => sum + each, 0)).to.be.closeTo(wholeGrams, wholeGrams * 1e-4 + 1e-6);
        expect(wholeGrams).to.be.closeTo(FLESH * volumeOf(asked.side), 1e-9);
      }),
      { ...runs(1500), endOnFailure: true }
    );
  });
  it('every block lies inside, off skin and dark strip, and none in another', () => {
    fc.assert(
      fc.property(orders, (asked) => {
        const { blocks, grams, boundGrams } = square(asked);
        for (const { row, layer, from, to } of blocks) {
          const far = asked.dark + (row + 1) * asked.width;
          for (let step = 0; step <= 20; step++) {
            const x = from + ((to - from) * step) / 20;
            expect(measureAt(asked.side.widths, x)).to.be.at.least(far - 1e-6);
            expect(stands(asked, x, far)).to.be.at.least((layer + 1) * asked.height - 1e-6);
          }
        }
        const cells = blocks.map(({ row, layer, from, to }) => ({ key: `${row} ${layer}`, from, to }));
        for (const a of cells)
          for (const b of cells)
            if (a !== b && a.key === b.key) expect(a.to <= b.from || b.to <= a.from).to.equal(true);
        expect(grams).to.be.at.most(boundGrams + 1e-6);
      }),
      { ...runs(1500), endOnFailure: true }
    );
  });
  it('no row laid elsewhere across is longer: wherever it is moved, it holds for no more of the side', () => {
    fc.assert(
      fc.property(orders, fc.integer({ min: 0, max: 1000 }), (asked, thousandths) => {
        const { blocks } = square({ ...asked, least: 10 });
        const own = blocks
          .filter(({ row, layer }) => row === 0 && layer === 0)
          .reduce((sum, { from, to }) => sum + to - from, 0);
        const near = asked.dark + (thousandths / 1000) * 100;
        const steps = 2000;
        let held = 0;
        for (let step = 0; step < steps; step++) {
          const x = (asked.side.length * (step + 0.5)) / steps;
          const far = near + asked.width;
          if (measureAt(asked.side.widths, x) >= far && stands(asked, x, far) >= asked.height) held++;
        }
        const parts = asked.side.heights.length + asked.side.widths.length + 1;
        // Stretches too short for a block, and the width of a step at each of their ends.
        expect((held / steps) * asked.side.length).to.be.at.most(own + parts * (10 + (2 * asked.side.length) / steps));
      }),
      { ...runs(300), endOnFailure: true }
    );
  });
  it('losses are what a fine mesh of little columns finds', () => {
    const asked = order(side(300, [36, 42, 18], [110, 130, 60], 0.3), 24, 40, { skin: 1.5, dark: 12 });
    const { blocks, losses, grams } = square(asked);
    const found = { skin: 0, dark: 0, belly: 0, head: 0, tail: 0, rest: 0 };
    const [first, last] = [Math.min(...blocks.map((each) => each.from)), Math.max(...blocks.map((each) => each.to))];
    const rows = Math.max(...blocks.map(({ row }) => row)) + 1;
    const [along, across] = [1500, 400];
    for (let i = 0; i < along; i++) {
      const x = (300 * (i + 0.5)) / along;
      const wide = measureAt(asked.side.widths, x);
      for (let j = 0; j < across; j++) {
        const y = (wide * (j + 0.5)) / across;
        const cell = (300 / along) * (wide / across) * FLESH;
        const high = Math.max(0, stands(asked, x, y));
        found.skin += cell * (stands(asked, x, y) + asked.skin - high);
        const name =
          y < asked.dark
            ? 'dark'
            : x < first
              ? 'head'
              : x > last
                ? 'tail'
                : y > asked.dark + rows * 40
                  ? 'belly'
                  : 'rest';
        found[name] += cell * high;
      }
    }
    for (const name of ['skin', 'dark', 'belly', 'head', 'tail'] as const)
      expect(losses[name], name).to.be.closeTo(found[name], 0.5);
    expect(losses.shavings + grams).to.be.closeTo(found.rest, 0.5);
  });
});

describe('squaring, what cannot be', () => {
  const good = order(side(200, [30], [100]), 25, 60);
  const CASES: readonly [string, Partial<SquareOrder>, string, string][] = [
    ['a block of no height', { height: 0 }, 'quantity.out-of-range', 'wantHeight'],
    ['a block of no width', { width: 0 }, 'quantity.out-of-range', 'wantWidth'],
    ['a skin of a centimetre', { skin: 10 }, 'quantity.out-of-range', 'skin'],
    ['no number', { dark: Number.NaN }, 'number.not-finite', 'dark'],
    ['a side of no width', { side: side(200, [30], [0]) }, 'quantity.out-of-range', 'width']
  ];
  for (const [what, more, code, field] of CASES) {
    it(`${what}: ${code}`, () => {
      expect(troubleOf(() => square({ ...good, ...more })))
        .to.include({ code })
        .and.to.have.nested.property('details.field', field);
    });
  }
});
