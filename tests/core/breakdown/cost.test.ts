import { expect } from 'chai';
import fc from 'fast-check';
import { allocate, parentsFirst, splitCents, type CostPiece } from '../../../src/lib/core/bench/breakdown/cost.ts';
import type { Movement } from '../../../src/lib/core/bench/breakdown/mass.ts';

const piece = (id: string, grams: number, moves: Movement[], more: Partial<CostPiece> = {}): CostPiece => ({
  id,
  grams,
  left: grams - moves.reduce((sum, move) => sum + move.grams, 0),
  grade: 'prime',
  creditPerKg: null,
  moves,
  ...more
});
const move = (kind: Movement['kind'], grams: number, to = '', board: number | null = null): Movement => ({
  kind,
  grams,
  to,
  board,
  at: 0
});

describe('dividing cents', () => {
  it('gives what is left over to the largest remainders, to the cent', () => {
    expect(splitCents(1000, [1, 1, 1])).to.deep.equal([334, 333, 333]);
    expect(splitCents(101, [50, 30, 20])).to.deep.equal([51, 30, 20]);
    expect(splitCents(5, [1, 1, 1, 1, 1, 1])).to.deep.equal([1, 1, 1, 1, 1, 0]);
    expect(splitCents(0, [0, 0])).to.deep.equal([0, 0]);
  });
  it('adds up whatever it divides, and nobody is off by a whole cent', () => {
    fc.assert(
      fc.property(
        fc.nat({ max: 10_000_000 }),
        fc.array(fc.double({ min: 0, max: 1e6, noNaN: true }), { minLength: 1, maxLength: 30 }),
        (total, weights) => {
          const sum = weights.reduce((all, each) => all + each, 0);
          fc.pre(sum > 1e-6);
          const out = splitCents(total, weights);
          expect(out.reduce((all, each) => all + each, 0)).to.equal(total);
          out.forEach((cents, index) => {
            expect(Math.abs(cents - (total * weights[index]!) / sum)).to.be.below(1 + 1e-6);
          });
        }
      )
    );
  });
  it('refuses what cannot be divided', () => {
    for (const wrong of [
      () => splitCents(1.5, [1]),
      () => splitCents(-1, [1]),
      () => splitCents(1, [0]),
      () => splitCents(1, [-1, 2])
    ]) {
      expect(wrong).to.throw().with.property('code', 'quantity.out-of-range');
    }
  });
});

describe('what a piece costs', () => {
  it('waste is borne by what it leaves', () => {
    const costs = allocate(
      [
        piece('fish', 2000, [
          move('gave', 700, 'loin', 1),
          move('waste', 900, 'frame', 1),
          move('gave', 400, 'belly', 1)
        ]),
        piece('loin', 700, []),
        piece('belly', 400, [])
      ],
      new Map([['fish', 6200]])
    );
    // 62.00 over 1,100 g: 700/1100 of it is 39.45, the rest 22.55.
    expect(costs.get('loin')!.here).to.equal(3945);
    expect(costs.get('belly')!.here).to.equal(2255);
    expect(costs.get('fish')).to.include({ here: 0, lost: 0 });
  });
  it('one board is one step: the order in which parts were weighed changes nothing', () => {
    const moves = [move('gave', 700, 'loin', 1), move('waste', 900, 'frame', 1), move('gave', 400, 'belly', 1)];
    const [first, ...others] = [moves, [...moves].reverse(), [moves[1]!, moves[0]!, moves[2]!]].map(
      (order) =>
        allocate(
          [piece('fish', 2000, order), piece('loin', 700, []), piece('belly', 400, [])],
          new Map([['fish', 6200]])
        ).get('loin')!.here
    );
    for (const other of others) expect(other).to.equal(first);
  });
  it('a by-product takes its own value and no more', () => {
    const costs = allocate(
      [
        piece('fish', 1000, [move('gave', 500, 'loin', 1), move('gave', 300, 'head', 1), move('waste', 200, 'gut', 1)]),
        piece('loin', 500, []),
        piece('head', 300, [], { grade: 'by-product', creditPerKg: 1.5 })
      ],
      new Map([['fish', 2000]])
    );
    expect(costs.get('head')!.here).to.equal(45);
    expect(costs.get('loin')!.here).to.equal(1955);
  });
  it('by-products worth more than the fish share what the fish cost', () => {
    const costs = allocate(
      [
        piece('fish', 1000, [move('gave', 600, 'roe', 1), move('gave', 200, 'cheek', 1), move('waste', 200, '', 1)]),
        piece('roe', 600, [], { grade: 'by-product', creditPerKg: 90 }),
        piece('cheek', 200, [], { grade: 'by-product', creditPerKg: 30 })
      ],
      new Map([['fish', 1000]])
    );
    expect(costs.get('roe')!.here + costs.get('cheek')!.here).to.equal(1000);
    expect(costs.get('roe')!.here).to.equal(900);
  });
  it('what is binned takes its share with it; what was trimmed as waste does not', () => {
    const binned = allocate([piece('a', 1000, [move('binned', 250)])], new Map([['a', 1000]])).get('a')!;
    expect(binned).to.include({ here: 750, lost: 250 });
    const trimmed = allocate([piece('a', 1000, [move('waste', 250)])], new Map([['a', 1000]])).get('a')!;
    expect(trimmed).to.include({ here: 1000, lost: 0 });
  });
  it('a fish that was all waste is all lost', () => {
    expect(allocate([piece('a', 1000, [move('waste', 1000)])], new Map([['a', 777]])).get('a')).to.include({
      lost: 777
    });
  });
  it('a batch costs what its parents brought', () => {
    const costs = allocate(
      [piece('a', 100, [move('gave', 100, 'mix')]), piece('b', 300, [move('gave', 300, 'mix')]), piece('mix', 400, [])],
      new Map([
        ['a', 500],
        ['b', 301]
      ])
    );
    expect(costs.get('mix')).to.include({ in: 801, here: 801 });
  });
});

describe('parents before children', () => {
  const parents = new Map([
    ['c', ['b']],
    ['b', ['a']],
    ['mix', ['c', 'a']]
  ]);
  it('puts them so, whatever the order they came in', () => {
    const order = parentsFirst([{ id: 'mix' }, { id: 'c' }, { id: 'a' }, { id: 'b' }], parents).map(({ id }) => id);
    expect(order).to.deep.equal(['a', 'b', 'c', 'mix']);
  });
  it('refuses a cycle: nothing comes from itself', () => {
    const round = new Map([
      ['a', ['b']],
      ['b', ['a']]
    ]);
    expect(() => parentsFirst([{ id: 'a' }, { id: 'b' }], round))
      .to.throw()
      .with.property('code', 'record.body-invalid');
  });
});
