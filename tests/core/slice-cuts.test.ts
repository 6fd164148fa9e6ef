import { expect } from 'chai';
import fc from 'fast-check';
import {
  evenBlock,
  faces,
  slanted,
  turned,
  volumeBehind,
  volumeOf,
  type Block
} from '../../src/lib/core/bench/slice/block.ts';
import { cutList, type CutOrder, type Row, type Way } from '../../src/lib/core/bench/slice/cuts.ts';
import { runs } from '../runs.ts';
import { troubleOf } from '../trouble.ts';

const FLESH = 1.05e-3;
const way = (angle: number, more: Partial<Way> = {}): Way => ({
  angle,
  skew: 0,
  flattest: angle,
  least: 0.5,
  most: 60,
  cubes: false,
  ...more
});
const thick = (mm: number, angle: number, count: number | null = null): Row => ({
  aim: { by: 'thickness', mm },
  way: way(angle),
  count
});
const heavy = (grams: number, angle: number, more: Partial<Way> = {}, count: number | null = null): Row => ({
  aim: { by: 'weight', grams },
  way: way(angle, more),
  count
});
const order = (block: Block, rows: Row[], more: Partial<CutOrder> = {}): CutOrder => ({
  block,
  density: FLESH,
  rows,
  first: 'head',
  tail: 0,
  ...more
});
const cut = (block: Block, ...rows: Row[]) => cutList(order(block, rows));
/** A block that thins straight from one end to the other. */
const taper = (length: number, [h0, h1]: [number, number], [w0, w1]: [number, number]): Block => ({
  length,
  heights: [
    { at: 0, mm: h0 },
    { at: length, mm: h1 }
  ],
  widths: [
    { at: 0, mm: w0 },
    { at: length, mm: w1 }
  ],
  edge: 1
});

describe('cut lists, worked by hand', () => {
  // A box: t H W ρ / sin θ each, the blade moves t / sin θ, whole slices in L - H / tan θ.
  const BOXES: readonly [
    what: string,
    box: [number, number, number],
    t: number,
    angle: number,
    n: number,
    g: number
  ][] = [
    ['180 × 30 × 70 straight at 6: 30 of 13.23 g', [180, 30, 70], 6, 90, 30, 13.23],
    ['180 × 30 × 70 straight at 7: 25 of 15.435 g, 5 mm left', [180, 30, 70], 7, 90, 25, 15.435],
    ['200 × 26 × 55 straight at 5: 40 of 7.5075 g', [200, 26, 55], 5, 90, 40, 7.5075],
    ['180 × 30 × 70 at 30°, 5 mm: lean 51.96, advance 10, 12 of 22.05 g', [180, 30, 70], 5, 30, 12, 22.05],
    ['180 × 30 × 70 at 45°, 4 mm: lean 30, advance 5.657, 26 of 12.473 g', [180, 30, 70], 4, 45, 26, 12.4734],
    ['240 × 24 × 60 at 30°, 3 mm: lean 41.57, advance 6, 33 of 9.072 g', [240, 24, 60], 3, 30, 33, 9.072],
    ['150 × 20 × 50 at 20°, 2 mm: lean 54.95, advance 5.848, 16 of 6.1399 g', [150, 20, 50], 2, 20, 16, 6.1399],
    ['100 × 40 × 80 straight at 10: 10 of 33.6 g', [100, 40, 80], 10, 90, 10, 33.6],
    ['60 × 18 × 40 at 60°, 6 mm: lean 10.39, advance 6.928, 7 of 5.2378 g', [60, 18, 40], 6, 60, 7, 5.2378],
    ['30 × 30 × 70 at 20°: too short for one', [30, 30, 70], 5, 20, 0, 0]
  ];
  for (const [what, [length, height, width], mm, angle, pieces, grams] of BOXES) {
    it(what, () => {
      const list = cut(evenBlock(length, height, width), thick(mm, angle));
      expect(list.pieces).to.equal(pieces);
      for (const { gramsEach } of list.slices) expect(gramsEach).to.be.closeTo(grams, 0.001);
      expect(list.blockGrams).to.be.closeTo(FLESH * length * height * width, 1e-9);
      expect(list.grams + list.offcutGrams).to.be.closeTo(list.blockGrams, 1e-6);
    });
  }
  // A taper: between x and x + d, ρ ∫ h w dx, of two straight lines multiplied (and not of their means).
  const TAPERS: readonly [what: string, block: Block, at: number, grams: number][] = [
    // h = 40 - x/10, w = 80: ρ 80 (40 x - x²/20) over 0..10: 80 (400 - 5) = 31,600 mm³.
    ['height 40 to 20 over 200, width 80: first 10 mm', taper(200, [40, 20], [80, 80]), 0, 33.18],
    // over 190..200: 80 (40·10 - (40000 - 36100)/20) = 80 (400 - 195) = 16,400.
    ['the same: last 10 mm', taper(200, [40, 20], [80, 80]), 190, 17.22],
    // h = 30, w = 60 - x/5 over 200: 30 (60·10 - 10²/10) = 30 (600 - 10) = 17,700.
    ['width 60 to 20 over 200, height 30: first 10 mm', taper(200, [30, 30], [60, 20]), 0, 18.585],
    // h = 40 - x/10, w = 80 - x/5: product 3200 - 16 x + x²/50; over 0..10: 32000 - 800 + 6.667 = 31,206.667.
    ['both: 40 to 20 and 80 to 40 over 200, first 10 mm', taper(200, [40, 20], [80, 40]), 0, 32.767],
    // over 100..110: 3200·10 - 8 (12100 - 10000) + (1331000 - 1000000)/150 = 32000 - 16800 + 2206.667 = 17,406.667.
    ['both: from 100 to 110 mm', taper(200, [40, 20], [80, 40]), 100, 18.277],
    // over 190..200: 32000 - 8 (40000 - 36100) + (8000000 - 6859000)/150 = 32000 - 31200 + 7606.667 = 8,406.667.
    ['both: last 10 mm', taper(200, [40, 20], [80, 40]), 190, 8.827],
    // h = 24 + x/20 rising, w = 50 over 120, 60..70: 50 (240 + (4900 - 3600)/40) = 50 (240 + 32.5) = 13,625.
    ['height rising 24 to 30 over 120: from 60 to 70 mm', taper(120, [24, 30], [50, 50]), 60, 14.306],
    // h = 20 - x/10 to 10 over 100, w = 40 + x/5 to 60: product 800 + 0·x - x²/50; 0..10: 8000 - 6.667 = 7,993.333.
    ['thinner and wider, 20 to 10 and 40 to 60 over 100: first 10 mm', taper(100, [20, 10], [40, 60]), 0, 8.393],
    // the same, 90..100: 8000 - (1000000 - 729000)/150 = 8000 - 1806.667 = 6,193.333.
    ['the same: last 10 mm', taper(100, [20, 10], [40, 60]), 90, 6.503],
    // h = 36 - x/10, w = 60 over 160, 70..80: 60 (360 - (6400 - 4900)/20) = 60 (360 - 75) = 17,100.
    ['height 36 to 20 over 160: from 70 to 80 mm', taper(160, [36, 20], [60, 60]), 70, 17.955]
  ];
  for (const [what, block, at, grams] of TAPERS) {
    it(what, () => {
      const upright = (place: number) => volumeBehind(block, { at: place, angle: 90, skew: 0 });
      expect(FLESH * (upright(at + 10) - upright(at))).to.be.closeTo(grams, 0.001);
      // As a slice: the one that begins there weighs as much.
      const list = cut(block, thick(10, 90));
      expect(list.slices[at / 10]!.gramsEach).to.be.closeTo(grams, 0.001);
      // And asked for by that weight it is as thick.
      expect(cut(block, heavy(list.slices[0]!.gramsEach, 90)).slices[0]!.thickness).to.be.closeTo(10, 0.001);
    });
  }
});

/** Flesh behind a blade by small bricks: what the sum is held against. */
function byBricks({ length, heights, widths, edge }: Block, at: number, angle: number, skew: number): number {
  const on = (stations: Block['heights'], x: number) => {
    const after = stations.find((each) => each.at >= x) ?? stations.at(-1)!;
    const before = [...stations].reverse().find((each) => each.at <= x) ?? stations[0]!;
    return after.at === before.at
      ? after.mm
      : before.mm + ((after.mm - before.mm) * (x - before.at)) / (after.at - before.at);
  };
  const [nx, ny] = [600, 60];
  let sum = 0;
  for (let i = 0; i < nx; i++) {
    const x = ((i + 0.5) * length) / nx;
    const [h, w] = [on(heights, x), on(widths, x)];
    for (let j = 0; j < ny; j++) {
      const share = (j + 0.5) / ny;
      const tall = h * (1 - (1 - edge) * share);
      const foot = (x - at - share * w * Math.tan((skew * Math.PI) / 180)) * Math.tan((angle * Math.PI) / 180);
      sum += Math.max(0, tall - Math.max(0, foot)) * (w / ny) * (length / nx);
    }
  }
  return sum;
}

const anyBlock: fc.Arbitrary<Block> = fc
  .record({
    length: fc.double({ min: 40, max: 400, noNaN: true }),
    heights: fc.array(fc.double({ min: 8, max: 60, noNaN: true }), { minLength: 1, maxLength: 5 }),
    widths: fc.array(fc.double({ min: 20, max: 120, noNaN: true }), { minLength: 1, maxLength: 5 }),
    edge: fc.constantFrom(1, 1, 0.8, 0.4),
    head: fc.constantFrom(0, 0, 12),
    tail: fc.constantFrom(0, 0, 9)
  })
  .map(({ length, heights, widths, edge, head, tail }) => {
    const spread = (all: number[]) =>
      all.map((mm, index) => ({ at: all.length === 1 ? 0 : length * (index / (all.length - 1)), mm }));
    return slanted({ length, heights: spread(heights), widths: spread(widths), edge }, head, tail);
  });
const anyWay = fc
  .record({
    angle: fc.integer({ min: 15, max: 90 }),
    down: fc.integer({ min: 0, max: 20 }),
    skew: fc.constantFrom(0, 0, 15, -20)
  })
  .map(({ angle, down, skew }) => way(angle, { flattest: Math.max(10, angle - down), skew, least: 1, most: 12 }));
const anyRow = fc.record({
  aim: fc.oneof(
    fc.double({ min: 2, max: 30, noNaN: true }).map((grams) => ({ by: 'weight' as const, grams })),
    fc.double({ min: 1, max: 20, noNaN: true }).map((mm) => ({ by: 'thickness' as const, mm }))
  ),
  way: anyWay,
  count: fc.option(fc.integer({ min: 1, max: 12 }))
});
const anyOrder: fc.Arbitrary<CutOrder> = fc
  .record({
    block: anyBlock,
    rows: fc.array(anyRow, { minLength: 1, maxLength: 3 }),
    first: fc.constantFrom('head' as const, 'tail' as const),
    tail: fc.constantFrom(0, 0, 15)
  })
  .map((all) => ({ ...all, density: FLESH }));

describe('a block under the knife', () => {
  it('its flesh behind any blade is what small bricks add up to', () => {
    fc.assert(
      fc.property(anyBlock, anyWay, fc.double({ min: 0, max: 1, noNaN: true }), (block, { angle, skew }, share) => {
        const at = block.length * share;
        // Bricks of a six-hundredth of its length miss as much at the face of the blade; the edge is told by twelve lines.
        const slack = volumeOf(block) * 0.004;
        expect(volumeBehind(block, { at, angle, skew })).to.be.closeTo(byBricks(block, at, angle, skew), slack);
      }),
      { ...runs(100), endOnFailure: true }
    );
  });
  it('weighs the same from either end, and more the further the blade stands', () => {
    fc.assert(
      fc.property(anyBlock, anyWay, (block, { angle, skew }) => {
        expect(volumeOf(turned(block))).to.be.closeTo(volumeOf(block), 1e-6 * volumeOf(block));
        const behind = [0, 0.2, 0.5, 0.9, 1.3].map((share) =>
          volumeBehind(block, { at: share * block.length, angle, skew })
        );
        behind.slice(1).forEach((volume, index) => expect(volume).to.be.at.least(behind[index]! - 1e-6));
      }),
      { ...runs(200), endOnFailure: true }
    );
  });
  it('any plan: grams are conserved, no slice reaches past an end, slices follow each other', () => {
    fc.assert(
      fc.property(anyOrder, (asked) => {
        const list = cutList(asked);
        expect(list.grams + list.offcutGrams + list.tailGrams).to.be.closeTo(list.blockGrams, list.blockGrams * 1e-6);
        const block = asked.first === 'head' ? asked.block : turned(asked.block);
        let behind = 0;
        for (const { from, to, slabGrams } of list.slices) {
          const reach = faces(block, to.angle, to.skew);
          if (reach) expect(to.at).to.be.at.most(reach.to + 1e-6);
          expect(from.at).to.be.at.least(-1e-9);
          const start = volumeBehind(block, from);
          expect(start).to.be.at.least(behind - 1e-6 * volumeOf(block));
          behind = volumeBehind(block, to);
          expect(slabGrams).to.be.closeTo(FLESH * (behind - start), 1e-6);
        }
        list.rows.forEach(({ pieces }, index) => {
          if (asked.rows[index]!.count !== null) expect(pieces).to.be.at.most(asked.rows[index]!.count);
        });
      }),
      { ...runs(300), endOnFailure: true }
    );
  });
  it('by weight every slice weighs what was asked, within half a gram or 3 %; only those that cannot be thinner weigh more', () => {
    fc.assert(
      fc.property(anyBlock, anyWay, fc.double({ min: 2, max: 30, noNaN: true }), (block, how, grams) => {
        const list = cut(block, { aim: { by: 'weight', grams }, way: how, count: null });
        const off = list.slices.filter(({ gramsEach }) => Math.abs(gramsEach - grams) > Math.min(0.5, grams * 0.03));
        expect(off.length).to.be.at.most(list.rows[0]!.heavy);
        for (const { gramsEach, thickness } of off) {
          expect(gramsEach).to.be.greaterThan(grams);
          expect(thickness).to.be.closeTo(how.least, how.least * 0.5);
        }
      }),
      { ...runs(200), endOnFailure: true }
    );
  });
  it('by weight, while the block thins, a slice gets thicker up to what its style bears, then the blade is laid flatter', () => {
    const thins = taper(260, [38, 14], [70, 46]);
    const { slices, rows } = cut(thins, heavy(10, 40, { flattest: 25, least: 3, most: 5 }));
    const last = slices.at(-1)!;
    expect(slices[0]!.from.angle).to.equal(40);
    expect(last.to.angle).to.be.lessThan(35);
    expect(Math.max(...slices.map(({ thickness }) => thickness))).to.be.at.most(5.05);
    for (const { gramsEach } of slices.slice(1, -1)) expect(gramsEach).to.be.at.least(10 - 0.3);
    expect(rows[0]!.ended).to.be.oneOf(['too-thick', 'block-ends']);
  });
  it('says what is the most where no slice weighs enough, and that a block is too short', () => {
    const none = cut(evenBlock(180, 12, 30), heavy(20, 45, { least: 3, most: 6 }));
    expect(none.rows[0]).to.include({ ended: 'too-thick', pieces: 0 });
    // 6 mm of 12 × 30 at 45°: ρ 6 · 12 · 30 / sin 45°.
    expect(none.rows[0]!.mostGrams).to.be.closeTo((FLESH * 6 * 12 * 30) / Math.SQRT1_2, 0.001);
    expect(cut(evenBlock(30, 30, 70), thick(40, 90)).rows[0]!.ended).to.equal('too-short');
  });
  it('rows follow each other; a row that cannot be filled says how far it came', () => {
    const block = evenBlock(200, 30, 70);
    const list = cut(block, heavy(13, 45, {}, 12), thick(6, 90, 3), thick(10, 90));
    expect(list.rows.map(({ pieces }) => pieces).slice(0, 2)).to.deep.equal([12, 3]);
    // Standing the blade up again costs the wedge between the two.
    const [last, first] = [list.slices[11]!, list.slices[12]!];
    expect(first.from.at - last.to.at).to.be.closeTo(30, 1e-6);
    expect(cut(evenBlock(100, 30, 70), thick(10, 90, 14)).rows[0]).to.include({ pieces: 10, ended: 'block-ends' });
  });
  it('cubes: whole ones of every slab, and what is left of it', () => {
    const cubed = cut(evenBlock(100, 32, 50), { ...thick(15, 90), way: way(90, { cubes: true }) });
    // 6 slabs of 2 × 3 cubes.
    expect(cubed.pieces).to.equal(36);
    expect(cubed.slices[0]!.gramsEach).to.be.closeTo(FLESH * 15 ** 3, 1e-9);
    const byWeight = cut(evenBlock(100, 32, 50), { ...heavy(FLESH * 15 ** 3, 90), way: way(90, { cubes: true }) });
    expect(byWeight.pieces).to.equal(36);
  });
  it('a slanted end that suits the blade costs no wedge; a stringy tail is kept back whole', () => {
    const block = evenBlock(200, 30, 70);
    const lean = 30 / Math.tan(Math.PI / 6);
    const straight = cut(block, thick(5, 30));
    const suited = cut(slanted(block, lean, 0), thick(5, 30));
    expect(straight.slices[0]!.from.at).to.equal(suited.slices[0]!.from.at);
    expect(suited.blockGrams).to.be.closeTo(straight.blockGrams - (FLESH * 70 * 30 * lean) / 2, 1e-6);
    expect(suited.offcutGrams).to.be.lessThan(straight.offcutGrams - 50);
    const kept = cutList(order(block, [thick(10, 90)], { tail: 45 }));
    expect(kept.tailGrams).to.be.closeTo(FLESH * 45 * 30 * 70, 1e-6);
    expect(kept.pieces).to.equal(15);
    const fromTail = cutList(order(block, [thick(10, 90)], { tail: 45, first: 'tail' }));
    expect(fromTail).to.include({ pieces: 15 });
    expect(fromTail.tailGrams).to.be.closeTo(kept.tailGrams, 1e-6);
  });
  it('names the field that cannot be', () => {
    const bad = (block: Block, row: Row) => troubleOf(() => cut(block, row)).details.field;
    expect(bad(evenBlock(180, 0, 70), thick(5, 90))).to.equal('height');
    expect(bad(evenBlock(180, 30, 0), thick(5, 90))).to.equal('width');
    expect(bad(evenBlock(180, 30, 70), thick(5, 5))).to.equal('angle');
    expect(bad(evenBlock(180, 30, 70), heavy(-1, 90))).to.equal('grams');
    expect(bad(evenBlock(180, 30, 70), thick(Infinity, 90))).to.equal('thickness');
    expect(bad({ ...evenBlock(180, 30, 70), edge: 0 }, thick(5, 90))).to.equal('edge');
    const crossed = { ...evenBlock(180, 30, 70), heights: [30, 20].map((mm, index) => ({ at: 90 - index * 90, mm })) };
    expect(bad(crossed, thick(5, 90))).to.equal('height');
    expect(troubleOf(() => slanted(evenBlock(40, 30, 70), 25, 0)).details.field).to.equal('slantHead');
    expect(troubleOf(() => cut(evenBlock(1000, 3, 5), thick(0.5, 90), thick(0.4, 90))).details.field).to.equal(
      'thickness'
    );
  });
});
