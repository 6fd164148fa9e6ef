import { expect } from 'chai';
import fc from 'fast-check';
import { PAGE_BODIES, PAGE_SHAPES, type PageBody, type PageShape } from '../../src/lib/core/activity/book/bodies.ts';
import { FILE_LISTS, pagesAsFile, readPages } from '../../src/lib/core/bench/book/file.ts';
import { EmberError } from '../../src/lib/core/errors.ts';
import { upcast } from '../../src/lib/core/record/events.ts';
import { bookOf, pageOf, versionOf } from '../../src/lib/server/facts/book.ts';
import { scaledDish, toldOfDish } from '../../src/lib/server/facts/dishes.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { errorSentence } from '../../src/lib/words/errors.ts';
import { runs } from '../runs.ts';
import { NOON, openTestHouse, type TestHouse } from './house.ts';

/** A first page of each shape, and the same with one line heavier. */
const PAGES: { readonly [Shape in PageShape]: { name: string; lines: [string, string] } & Record<string, unknown> } = {
  recipe: {
    name: 'Own weighed',
    school: 'weighed',
    hours: '48 h',
    target: '1 %',
    lines: ['Fine salt; salt; 2 %; fine\nSugar; sugar; 1 %', 'Fine salt; salt; 2.5 %; fine\nSugar; sugar; 1 %']
  },
  sauce: {
    name: 'Own lime',
    kind: 'citrus',
    rate: '20 %',
    lines: ['Lime juice; 60\nOlive oil; 40', 'Lime juice; 80\nOlive oil; 20']
  },
  dish: {
    name: 'Turbot with lime',
    lines: [
      'Turbot; 60; fish\nHarbour lime; 12; sauce\nOlive oil; 2',
      'Turbot; 70; fish\nHarbour lime; 12; sauce\nOlive oil; 2'
    ]
  }
};

describe('the book', () => {
  let house: TestHouse;
  beforeEach(() => (house = openTestHouse()));
  afterEach(() => {
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
    house.close();
  });
  const now = () => house.store.projections.currentHouse();
  const write = (shape: PageShape, line: 0 | 1, more: object = {}) =>
    String(house.done(`set-${shape}`, { ...PAGES[shape], lines: PAGES[shape].lines[line], ...more })[shape]);
  const refusal = (name: string, input: object) => {
    const answer = house.act(name, input);
    if (answer.ok) throw new Error(`${name} was taken`);
    return answer;
  };

  for (const shape of PAGE_SHAPES) {
    describe(`a ${shape}`, () => {
      it('keeps every version, who wrote it, and what is different in grams', () => {
        const id = write(shape, 0);
        expect(versionOf(now(), shape, id).changes).to.deep.equal([]);
        house.done(`set-${shape}`, { ...PAGES[shape], id, lines: PAGES[shape].lines[1], reason: 'too mild' });
        const { page, version, changes } = versionOf(now(), shape, id);
        expect([version, page.history.length, page.shipped]).to.deep.equal([2, 2, false]);
        expect(page.history.map(({ reason, by }) => [reason, by])).to.deep.equal([
          ['', 'p1'],
          ['too mild', 'p1']
        ]);
        expect(changes).to.not.deep.equal([]);
        expect(changes[0]!.grams).to.be.greaterThan(0);
        expect(versionOf(now(), shape, id, 1).body.lines).to.deep.equal(page.history[0]!.page.lines);
        expect(() => versionOf(now(), shape, id, 9))
          .to.throw(EmberError)
          .with.property('code', 'recipe.unknown');
      });
      it('is noted, taken out and put back; out of it, its name is free', () => {
        const id = write(shape, 0);
        house.done(`note-${shape}`, { id, note: 'a touch less of it' });
        expect(pageOf(now(), shape, id).notes).to.deep.equal([
          { version: 1, note: 'a touch less of it', at: NOON, by: 'p1' }
        ]);
        expect(refusal(`set-${shape}`, { ...PAGES[shape], lines: PAGES[shape].lines[0] }).details).to.include({
          field: 'name',
          taken: true
        });
        expect(refusal(`withdraw-${shape}`, { id, back: 'on' }).code).to.equal('record.not-allowed-now');
        house.done(`withdraw-${shape}`, { id, reason: 'nobody asks for it' });
        expect(pageOf(now(), shape, id).withdrawn).to.equal(true);
        house.done(`withdraw-${shape}`, { id, back: 'on' });
        expect(pageOf(now(), shape, id)).to.include({ withdrawn: false, version: 1 });
        house.done(`withdraw-${shape}`, { id });
        expect(write(shape, 1)).to.equal(id);
        expect(pageOf(now(), shape, id)).to.include({ withdrawn: false, version: 2 });
        expect(refusal(`note-${shape}`, { id: 'nobody', note: 'x' }).code).to.equal('recipe.unknown');
      });
      it('goes out as a file and comes in again: alike it is left alone, changed it is the next version', () => {
        const id = write(shape, 0);
        const file = () => pagesAsFile(shape, [pageOf(now(), shape, id)]);
        const first = file();
        const list = FILE_LISTS[shape];
        expect(house.done(`import-${list}`, { text: first })).to.deep.equal({ taken: [], alike: 1 });
        house.done(`set-${shape}`, { ...PAGES[shape], id, lines: PAGES[shape].lines[1] });
        expect(house.done(`import-${list}`, { text: first })).to.deep.equal({ taken: [id], alike: 0 });
        expect(pageOf(now(), shape, id).version).to.equal(3);
        const other = openTestHouse();
        expect(other.done(`import-${list}`, { text: first }).taken).to.deep.equal([id]);
        const there = pageOf(other.store.projections.currentHouse(), shape, id);
        expect(there.lines).to.deep.equal(versionOf(now(), shape, id, 1).body.lines);
        other.close();
        const twice = JSON.parse(first) as Record<string, unknown[]>;
        twice[list] = [twice[list]![0], twice[list]![0]];
        const refused = refusal(`import-${list}`, { text: JSON.stringify(twice) });
        expect(errorSentence(refused.code, refused.details)).to.match(
          new RegExp(`^This file cannot be read as ${list}. .* is here already. Nothing was taken.$`)
        );
        expect(refusal(`import-${list}`, { text: '[]' }).code).to.equal('recipe.unreadable');
      });
      it('any page comes out of its file as it went in', () => {
        const shipped = bookOf(now(), shape).map(({ history }) => history[0]!.page as PageBody<typeof shape>);
        const own = write(shape, 0);
        const some = shipped.length > 0 ? shipped : [pageOf(now(), shape, own) as PageBody<typeof shape>];
        fc.assert(
          fc.property(fc.constantFrom(...some), fc.double({ min: 0.0001, max: 5, noNaN: true }), (page, factor) => {
            const heavier = { ...page, note: `times ${factor}`, goodFor: '“x” \u2028 \\' };
            const plain = PAGE_BODIES[shape].parse(heavier);
            expect(readPages(shape, pagesAsFile(shape, [heavier as never]))).to.deep.equal([plain]);
          }),
          runs(60)
        );
      });
    });
  }
  it('pages of older entries are pages of the one book', () => {
    const sauce = { name: 'Old', kind: 'citrus' };
    expect(upcast('sauce.set', 1, { id: 'old', version: 3, sauce, reason: 'r', withdrawn: false })).to.deep.equal({
      id: 'old',
      version: 3,
      page: sauce,
      reason: 'r',
      withdrawn: false
    });
    const recipe = { name: 'Old cure' };
    expect(upcast('recipe.set', 1, { id: 'old', version: 1, recipe })).to.deep.equal({
      id: 'old',
      version: 1,
      page: recipe
    });
  });

  describe('what stands on a dish', () => {
    const told = (id: string) => toldOfDish(now(), pageOf(now(), 'dish', id), NOON);
    it('tells what its sauces, cures and ingredients hold, and what the dishes in it do', () => {
      const small = String(house.done('set-dish', { name: 'Small', lines: 'Roasted sesame; 10; sauce' }).dish);
      const large = String(
        house.done('set-dish', { name: 'Large', lines: 'Small; 30; dish\nEgg yolk; 5\nTurbot; 60; fish' }).dish
      );
      expect(told(small).holds).to.include('sesame');
      expect(told(large).holds).to.include.members(['sesame', 'egg']);
    });
    it('a page nobody finds is asked after, and never taken to hold nothing', () => {
      const file = {
        format: 'ember-tide-dishes',
        version: 1,
        dishes: [{ name: 'Lost', lines: [{ what: 'Lost sauce', kind: 'sauce', page: 'lost', grams: 4 }] }]
      };
      house.done('import-dishes', { text: JSON.stringify(file) });
      expect(told('lost').unsaid).to.deep.equal(['Lost sauce']);
    });
    it('a list of allergens that comes with a file is told, and stays through the next version', () => {
      const dishes = [{ name: 'From away', lines: [{ what: 'Char', kind: 'fish', grams: 60 }], allergens: ['lupin'] }];
      house.done('import-dishes', { text: JSON.stringify({ format: 'ember-tide-dishes', version: 1, dishes }) });
      expect(told('from-away').holds).to.deep.equal(['lupin']);
      house.done('set-dish', { id: 'from-away', name: 'From away', lines: 'Char; 70; fish' });
      expect(told('from-away').holds).to.deep.equal(['lupin']);
    });
    it('is no dish in itself, however far round', () => {
      house.done('set-dish', { name: 'One', lines: 'Turbot; 60; fish' });
      house.done('set-dish', { name: 'Two', lines: 'One; 60; dish' });
      expect(refusal('set-dish', { id: 'one', name: 'One', lines: 'Two; 10; dish' }).details.field).to.equal('lines');
      // Out of a file a circle may come all the same: it ends, and is asked after.
      const line = (what: string) => [{ what, kind: 'dish', page: what, grams: 1 }];
      const dishes = [
        { name: 'a', lines: line('b') },
        { name: 'b', lines: line('a') }
      ];
      house.done('import-dishes', { text: JSON.stringify({ format: 'ember-tide-dishes', version: 1, dishes }) });
      expect(told('a').unsaid).to.not.deep.equal([]);
    });
    it('is scaled to portions, as the scale shows it', () => {
      const id = write('dish', 0);
      const { lines, portions } = scaledDish(house.store, { dish: id, portions: 12 });
      expect(portions).to.equal(12);
      expect(lines.map(({ what, weighed }) => [what, weighed])).to.deep.equal([
        ['Turbot', 720],
        ['Harbour lime', 144],
        ['Olive oil', 24]
      ]);
    });
    it('is refused by the line that cannot be read', () => {
      for (const [lines, code] of [
        ['Turbot; much; fish', 'form.value-unknown'],
        ['Turbot; 60; bird', 'form.value-unknown'],
        ['; 60; fish', 'form.value-unknown'],
        ['No such sauce; 10; sauce', 'recipe.unknown'],
        ['Moon dust; 2', 'ingredient.unknown']
      ]) {
        expect(refusal('set-dish', { name: 'X', lines }).code, lines).to.equal(code);
      }
    });
  });
});
