import { expect } from 'chai';
import fc from 'fast-check';
import { inOrder, richness, sequenceFor, whyNot, type Course, type Seat } from '../../src/lib/core/service/sequence.ts';
import { runs } from '../runs.ts';
import { troubleOf } from '../trouble.ts';

type Fish = Course['fish'][number];
const lean: Fish = { id: 'turbot', fat: 'lean', hazards: [] };
const rich: Fish = { id: 'sardine', fat: 'rich', hazards: ['histamine'] };
const mid: Fish = { id: 'arctic-char', fat: 'mid', hazards: [] };
const course = (id: string, more: Partial<Course> = {}): Course => ({
  id,
  route: 'raw',
  fish: [lean],
  holds: ['fish'],
  mayHold: [],
  unsaid: [],
  rawBesides: false,
  plates: 9,
  ...more
});
const ANY: Seat = { avoid: [], noRaw: false, dislikes: [] };

describe('a sequence, pale to rich', () => {
  it('lean and pale before rich and dark, vinegared after all raw fish, cooked last', () => {
    const all = [
      course('cooked', { route: 'cooked' }),
      course('vinegared', { route: 'acid', fish: [lean] }),
      course('rich', { fish: [rich] }),
      course('cured', { route: 'cured', fish: [mid] }),
      course('mid', { fish: [mid] }),
      course('lean')
    ];
    expect(inOrder(all).map(({ id }) => id)).to.deep.equal(['lean', 'mid', 'cured', 'rich', 'vinegared', 'cooked']);
    expect(richness(course('two', { fish: [lean, rich] }))).to.equal(5);
    expect(troubleOf(() => richness(course('none', { fish: [] }))).code).to.equal('form.incomplete');
  });
});

describe('what suits a seat', () => {
  it('to who has an allergy “may” and “nobody knows” are as bad as “in it”; to others they are not', () => {
    const nuts: Seat = { ...ANY, avoid: ['tree-nut'] };
    expect(whyNot(course('a'), nuts)).to.deep.equal([]);
    expect(whyNot(course('a', { holds: ['tree-nut'] }), nuts)).to.deep.equal(['allergen']);
    expect(whyNot(course('a', { mayHold: ['tree-nut'] }), nuts)).to.deep.equal(['may-hold']);
    expect(whyNot(course('a', { unsaid: ['house oil'] }), nuts)).to.deep.equal(['unsaid']);
    expect(whyNot(course('a', { unsaid: ['house oil'], mayHold: ['tree-nut'] }), ANY)).to.deep.equal([]);
  });
  it('no raw means nothing raw on it at all', () => {
    const cooked: Seat = { ...ANY, noRaw: true };
    expect(whyNot(course('a', { route: 'seared' }), cooked)).to.deep.equal(['raw']);
    expect(whyNot(course('a', { route: 'cooked' }), cooked)).to.deep.equal([]);
    expect(whyNot(course('a', { route: 'cooked', rawBesides: true }), cooked)).to.deep.equal(['raw']);
    expect(whyNot(course('a'), { ...ANY, dislikes: ['turbot'] })).to.deep.equal(['dislike']);
  });
});

describe('a table', () => {
  const menu = [course('turbot'), course('char', { fish: [mid] }), course('sardine', { route: 'acid', fish: [rich] })];
  const spare = [course('grilled', { route: 'cooked', fish: [mid] }), course('gurnard')];
  it('has what was chosen; a seat it does not suit has the nearest that does, and says why', () => {
    const table = sequenceFor(menu, spare, [ANY, { ...ANY, dislikes: ['turbot'] }, { ...ANY, noRaw: true }]);
    expect(table.map((row) => row[0]!.dish)).to.deep.equal(['turbot', 'char', 'sardine']);
    expect(table[0]![1]).to.deep.equal({ dish: 'grilled', because: ['dislike'] });
    expect(table[0]![2]).to.deep.equal({ dish: 'grilled', because: ['raw'] });
    // There is one thing it may have, and it has it already.
    expect(table[1]![2]).to.deep.equal({ dish: null, because: ['raw'] });
  });
  it('the last plates go to who was to have them, not to who has them instead', () => {
    const few = [course('one', { plates: 2 }), course('two', { plates: 1 })];
    const table = sequenceFor(few, [], [{ ...ANY, dislikes: [] }, ANY]);
    expect(table[0]!.map(({ dish }) => dish)).to.deep.equal(['one', 'one']);
    expect(table[1]!.map(({ dish }) => dish)).to.deep.equal(['two', null]);
  });
  it('refuses an empty table, no course, and a hall', () => {
    expect(troubleOf(() => sequenceFor(menu, [], [])).code).to.equal('quantity.out-of-range');
    expect(troubleOf(() => sequenceFor([], [], [ANY])).code).to.equal('quantity.out-of-range');
    expect(troubleOf(() => sequenceFor(menu, [], Array<Seat>(41).fill(ANY))).code).to.equal('quantity.out-of-range');
  });
  it('law: no seat ever has what does not suit it, nor one dish twice, and no more plates go out than there are', () => {
    const allergens = ['fish', 'egg', 'tree-nut'];
    const courses = fc.array(
      fc.record({
        route: fc.constantFrom('raw' as const, 'acid' as const, 'cooked' as const),
        fish: fc.constantFrom([lean], [mid], [rich]),
        holds: fc.subarray(allergens),
        mayHold: fc.subarray(allergens),
        unsaid: fc.subarray(['oil']),
        rawBesides: fc.boolean(),
        plates: fc.integer({ min: 0, max: 4 })
      }),
      { minLength: 1, maxLength: 7 }
    );
    const seats = fc.array(
      fc.record({
        avoid: fc.subarray(allergens),
        noRaw: fc.boolean(),
        dislikes: fc.subarray(['turbot', 'sardine'])
      }),
      { minLength: 1, maxLength: 5 }
    );
    fc.assert(
      fc.property(courses, fc.nat(6), seats, (dishes, cut, wishes) => {
        const all = dishes.map((each, at) => ({ ...each, id: `d${at}` }));
        const [menu, rest] = [all.slice(0, cut + 1), all.slice(cut + 1)];
        const table = sequenceFor(menu, rest, wishes);
        for (const dish of all) {
          const out = table.flat().filter((each) => each.dish === dish.id).length;
          expect(out).to.be.at.most(dish.plates);
        }
        for (const [seat, wish] of wishes.entries()) {
          const had = table.map((row) => row[seat]!.dish).filter((each) => each !== null);
          expect(new Set(had).size).to.equal(had.length);
          for (const id of had)
            expect(
              whyNot(
                all.find((each) => each.id === id)!,
                wish
              )
            ).to.deep.equal([]);
        }
      }),
      { ...runs(300), endOnFailure: true }
    );
  });
});
