import { expect } from 'chai';
import fc from 'fast-check';
import { plateFrom, platesLeft, type Stock, type Wanted } from '../../src/lib/core/service/pass.ts';
import { runs } from '../runs.ts';
import { troubleOf } from '../trouble.ts';

const HOUR = 3_600_000;
const stock = (id: string, more: Partial<Stock> = {}): Stock => ({
  id,
  species: ['turbot'],
  style: 'oblique',
  gramsEach: 12,
  grams: 120,
  tray: null,
  closes: 10 * HOUR,
  ...more
});
const want = (more: Partial<Wanted> = {}): Wanted => ({
  species: ['turbot'],
  style: '',
  count: 5,
  grams: 60,
  ...more
});
const takes = (wants: readonly Wanted[], all: readonly Stock[]) =>
  plateFrom(wants, all).shares.map(({ piece, count, grams }) => [piece, count, grams]);

describe('a plate at the pass, worked by hand', () => {
  it('comes from the tray that has to go first, then from what closes soonest', () => {
    const all = [
      stock('drawer', { closes: 1 * HOUR }),
      stock('tray-late', { tray: 3 * HOUR, closes: 3 * HOUR }),
      stock('tray-soon', { tray: 2 * HOUR, closes: 2 * HOUR, grams: 36 })
    ];
    expect(takes([want()], all)).to.deep.equal([
      ['tray-soon', 3, 36],
      ['tray-late', 2, 24]
    ]);
  });
  it('is of one species: the first it names, or the next one whole, and then it says so', () => {
    const all = [stock('t', { grams: 36 }), stock('h', { species: ['halibut'] })];
    const plate = plateFrom([want({ species: ['turbot', 'halibut'] })], all);
    expect(plate).to.deep.include({ instead: true, short: null, species: ['halibut'] });
    expect(plate.shares.map(({ piece }) => piece)).to.deep.equal(['h']);
    expect(plateFrom([want({ species: ['halibut', 'turbot'] })], all).instead).to.equal(false);
  });
  it('what nobody told apart, and a mix, is no species', () => {
    const unsure = stock('u', { species: ['turbot', 'halibut'] });
    expect(plateFrom([want({ species: ['turbot', 'halibut'] })], [unsure]).short).to.equal(0);
    expect(plateFrom([want()], [stock('n', { species: [] })]).short).to.equal(0);
  });
  it('pieces come from what was counted, cut as the dish has it; grams from anything of the fish', () => {
    const block = stock('block', { gramsEach: null, style: '' });
    expect(plateFrom([want()], [block]).short).to.equal(0);
    expect(takes([want({ count: null })], [block])).to.deep.equal([['block', null, 60]]);
    expect(plateFrom([want({ style: 'translucent' })], [stock('t')]).short).to.equal(0);
    expect(plateFrom([want({ style: 'oblique' })], [stock('t')]).short).to.equal(null);
  });
  it('of what the card is not true of comes last, is asked about, and is never counted as a plate of it', () => {
    const all = [stock('bent', { untrue: true, closes: HOUR }), stock('straight', { grams: 60 })];
    const [first, then] = [platesLeft([want()], all), plateFrom([want()], [all[0]!])];
    expect(first).to.deep.include({ plates: 1, instead: 2, pieces: ['straight'], untrue: [] });
    expect(then).to.deep.include({ short: null, instead: true, untrue: ['bent'], species: ['turbot'] });
  });
  it('two lines of one fish share what there is; nothing is taken of a plate that cannot be filled', () => {
    const all = [stock('t', { grams: 84 })];
    expect(plateFrom([want(), want({ count: 3, grams: 36 })], all).short).to.equal(1);
    expect(takes([want(), want({ count: 2, grams: 24 })], all)).to.deep.equal([
      ['t', 5, 60],
      ['t', 2, 24]
    ]);
  });
  it('a piece a scale has a smear less of is a piece; half a one is none', () => {
    expect(plateFrom([want()], [stock('t', { grams: 59.5 })]).short).to.equal(null);
    expect(plateFrom([want()], [stock('t', { grams: 54 })]).short).to.equal(0);
  });
  it('plates left are told with when the next one’s fish has to go, and what ends them', () => {
    const all = [stock('t', { grams: 130, tray: 2 * HOUR }), stock('h', { species: ['halibut'], grams: 65 })];
    expect(platesLeft([want({ species: ['turbot', 'halibut'] })], all)).to.deep.equal({
      plates: 2,
      instead: 1,
      until: 2 * HOUR,
      by: 'tray',
      short: 0,
      species: ['turbot'],
      pieces: ['t'],
      untrue: []
    });
    expect(platesLeft([want()], [])).to.include({ plates: 0, until: null, short: 0 });
  });
});

describe('plates at the pass, by law', () => {
  const stocks = fc
    .array(
      fc.record({
        species: fc.constantFrom<readonly string[]>(['a'], ['b'], ['c'], ['a', 'b'], []),
        style: fc.constantFrom<Stock['style']>('', 'oblique', 'straight'),
        gramsEach: fc.constantFrom(null, 8, 12.5, 15),
        grams: fc.double({ min: 0, max: 400, noNaN: true }),
        tray: fc.constantFrom(null, HOUR, 2 * HOUR),
        closes: fc.constantFrom(null, HOUR, 5 * HOUR)
      }),
      { maxLength: 7 }
    )
    .map((all) => all.map((each, index): Stock => ({ id: `p${index}`, ...each })));
  const dish = fc.array(
    fc.record({
      species: fc.constantFrom<readonly string[]>(['a'], ['b', 'a'], ['c', 'b'], ['a', 'b', 'c']),
      style: fc.constantFrom<Wanted['style']>('', 'oblique'),
      count: fc.constantFrom(null, 1, 3, 5),
      grams: fc.integer({ min: 10, max: 80 })
    }),
    { minLength: 1, maxLength: 3 }
  );

  it('never takes more than there is, never of two species a line, never what is not surely of it', () => {
    fc.assert(
      fc.property(dish, stocks, (wants, all) => {
        const { shares, short, species } = plateFrom(wants, all);
        for (const { id, grams } of all) {
          const taken = shares.filter(({ piece }) => piece === id).reduce((sum, each) => sum + each.grams, 0);
          expect(taken).to.be.at.most(grams + 1e-9);
        }
        for (const [line, want] of wants.entries()) {
          const own = shares.filter((share) => share.line === line);
          const of = own.map(({ piece }) => all.find(({ id }) => id === piece)!);
          for (const each of of) expect(each.species).to.deep.equal([species[line]]);
          if (own.length === 0) continue;
          if (want.count === null) {
            expect(own.reduce((sum, { grams }) => sum + grams, 0)).to.be.closeTo(want.grams, 0.5);
          } else expect(own.reduce((sum, { count }) => sum + count!, 0)).to.equal(want.count);
        }
        expect(short === null).to.equal(wants.every((_, line) => shares.some((share) => share.line === line)));
      }),
      { ...runs(3000), endOnFailure: true }
    );
  });
  it('one plate served leaves one fewer, and what is never added to never grows', () => {
    fc.assert(
      fc.property(dish, stocks, (wants, all) => {
        const before = platesLeft(wants, all);
        const total = before.plates + before.instead;
        const plate = plateFrom(wants, all);
        expect(plate.short === null).to.equal(total > 0);
        if (plate.short !== null || total >= 99) return;
        const after = all.map((each) => ({
          ...each,
          grams: Math.max(
            0,
            each.grams -
              plate.shares.filter(({ piece }) => piece === each.id).reduce((sum, { grams }) => sum + grams, 0)
          )
        }));
        const then = platesLeft(wants, after);
        expect(then.plates + then.instead).to.equal(total - 1);
      }),
      { ...runs(1500), endOnFailure: true }
    );
  });
});

describe('plates at the pass, what cannot be', () => {
  it('a dish without fish, a fish without a name, kilograms for grams: each by its field', () => {
    expect(troubleOf(() => plateFrom([], []))).to.include({ code: 'form.incomplete' });
    expect(troubleOf(() => plateFrom([want({ species: [] })], []))).to.include({ code: 'form.incomplete' });
    expect(troubleOf(() => plateFrom([want({ grams: 60_000 })], []))).to.include({ code: 'quantity.out-of-range' });
    expect(troubleOf(() => platesLeft([want()], [stock('x', { grams: Number.NaN })]))).to.include({
      code: 'number.not-finite'
    });
  });
});
