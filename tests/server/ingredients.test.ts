import { expect } from 'chai';
import type { App } from '../../src/lib/server/app.ts';
import {} from '../../src/lib/core/bench/cure/recipe.ts';

import { ingredientRows } from '../../src/lib/server/facts/ingredients.ts';
import { labelData } from '../../src/lib/server/views/label.ts';
import { pieceView } from '../../src/lib/server/views/piece.ts';

import { toldHere } from '../../src/lib/server/facts/told.ts';
import { toldOfLines } from '../../src/lib/core/ingredients/kitchen.ts';
import { labelWords } from '../../src/lib/words/labels.ts';
import { CHAR, openTestHouse, type TestHouse } from './house.ts';
import { pagesAsFile } from '../../src/lib/core/bench/book/file.ts';
import { pageOf } from '../../src/lib/server/facts/book.ts';

const BATH = {
  method: 'marinade',
  thickness: '25 mm',
  faces: '2',
  celsius: '3 C',
  salt: '8 %',
  hours: '0.25 h',
  target: '0.8 %',
  bathTimes: '0.5'
};
const WEIGHED = {
  method: 'weighed',
  thickness: '25 mm',
  faces: '2',
  celsius: '3 C',
  salt: '2 %',
  hours: '24 h',
  target: '1.2 %'
};
const DICE = { cut: 'dice', size: '12 mm', celsius: '4 C', wanted: 'half', liquid: 'lime 1000, oil 20' };

describe('ingredients and what is told', () => {
  let house: TestHouse;
  let piece: string;
  beforeEach(() => {
    house = openTestHouse();
    piece = String(house.done('receive-lot', CHAR).piece);
  });
  afterEach(() => house.close());
  const app = () => ({ store: house.store, clock: house.clock }) as unknown as App;
  const later = (minutes: number) => house.clock.moveTo(Math.round(house.clock.now() + minutes * 60_000), true);
  const refusal = (name: string, input: object) => {
    const answer = house.act(name, input);
    if (answer.ok) throw new Error(`${name} was taken`);
    return answer;
  };
  const toldNow = () => pieceView(app(), piece).told;
  const names = (all: readonly { allergen: string }[]) => all.map(({ allergen }) => allergen);
  const state = () => house.store.projections.currentHouse();

  it('one of the house’s own is written, found by its names, and not taken for nothing', () => {
    expect(refusal('set-ingredient', { name: 'Shiso oil' }).details.field).to.equal('holds');
    expect(refusal('set-ingredient', { name: 'Shiso oil', holds: 'dust' }).details.field).to.equal('holds');
    expect(refusal('set-ingredient', { name: 'Tamari', holds: 'soy' }).details.taken).to.equal(true);
    const { ingredient } = house.done('set-ingredient', { name: 'Shiso oil', alsoCalled: 'Leaf oil', holds: 'sesame' });
    house.done('start-cure', { piece, ...WEIGHED, also: 'leaf oil' });
    expect(names(toldNow().holds)).to.include('sesame');
    house.done('withdraw-ingredient', { id: String(ingredient) });
    expect(refusal('withdraw-ingredient', { id: String(ingredient) }).code).to.equal('ingredient.unknown');
    expect(ingredientRows(state(), house.clock.now()).some(({ id }) => id === ingredient)).to.equal(false);
    // What it was put on still tells it.
    expect(names(toldNow().holds)).to.include('sesame');
  });
  it('what the house adds to one that ships is in every recipe that carries it', () => {
    house.done('set-ingredient', { id: 'soy-sauce', name: 'Soy sauce', mayHold: 'mustard' });
    const { lines, allergens } = pageOf(state(), 'recipe', 'quick-soy-bath');
    const told = toldOfLines(state().ingredients, lines, house.clock.now(), allergens);
    expect(told.holds).to.deep.equal(['soy', 'wheat']);
    expect(told.mayHold).to.include('mustard');
  });
  it('out of one: recipe, sauce, cure and label follow until it is back; what was made before may still stand', () => {
    const bath = () => {
      const { lines } = pageOf(state(), 'recipe', 'quick-soy-bath');
      return toldOfLines(state().ingredients, lines, house.clock.now());
    };
    house.done('use-instead', { id: 'Light bean paste', instead: 'Barley bean paste', reason: 'none came' });
    expect(refusal('use-instead', { id: 'barley-bean-paste', instead: 'light-bean-paste' }).code).to.equal(
      'ingredient.in-a-circle'
    );
    expect(refusal('use-instead', { id: 'moon dust' }).code).to.equal('ingredient.unknown');
    house.done('use-instead', { id: 'soy-sauce', instead: 'wheat-free-soy-sauce' });
    later(1);
    expect(bath()).to.deep.include({ holds: ['soy'] });
    expect(bath().mayHold).to.include('wheat');
    house.done('start-cure', { piece, ...BATH, recipe: 'light-paste-sweet' });
    expect(names(toldNow().holds)).to.include.members(['fish', 'soy', 'barley']);
    const label = labelWords(labelData(app(), piece), { units: state().units, zone: 'Europe/Paris' }).allergens;
    expect(label).to.match(/^Allergens: fish, .*barley.* · may contain /);
    house.done('ingredient-back', { id: 'soy-sauce' });
    expect(refusal('ingredient-back', { id: 'soy-sauce' }).code).to.equal('record.not-allowed-now');
    later(1);
    expect(bath().holds).to.deep.equal(['soy', 'wheat']);
    const row = ingredientRows(state(), house.clock.now())[0]!;
    expect(row).to.deep.include({ id: 'light-bean-paste' });
    expect(row.instead).to.deep.include({ name: 'Barley bean paste', reason: 'none came' });
  });
  it('a book tells what the rule book of the house has on its lists: orange in Japan, not in the US', () => {
    const { lines } = pageOf(state(), 'sauce', 'bitter-orange-and-olive');
    const under = (profile: string) => toldHere({ ...state(), profile }, { lines, allergens: [] }, house.clock.now());
    expect(under('us-fc').holds).to.deep.equal([]);
    expect(under('jp').holds).to.deep.equal(['orange']);
  });
  it('unknown is asked after: a marinade nobody named, an oil nobody named, a powder nobody read', () => {
    house.done('start-cure', { piece, ...BATH });
    expect(toldNow().unsaid).to.deep.equal(['the paste or soy of the marinade']);
    const label = labelWords(labelData(app(), piece), { units: state().units, zone: 'Europe/Paris' }).allergens;
    expect(label).to.contain('ASK what it holds: the paste or soy of the marinade');
    house.done('serve-piece', { piece, route: 'cooked', mass: '10 g' });
    expect(house.store.projections.piece(piece).state.served[0]!.unsaid).to.have.length(1);
    piece = String(house.done('receive-lot', CHAR).piece);
    house.done('start-cure', { piece, ...BATH, also: 'Light bean paste, Grey powder = ?' });
    expect(toldNow().unsaid).to.deep.equal(['Grey powder']);
    piece = String(house.done('receive-lot', CHAR).piece);
    house.done('start-acid', { piece, ...DICE });
    expect(toldNow().unsaid).to.deep.equal(['the oil']);
    piece = String(house.done('receive-lot', CHAR).piece);
    expect(refusal('start-acid', { piece, ...DICE, also: 'Sesame dressing' }).details.candidates).to.include(
      'Roasted sesame oil'
    );
    house.done('start-acid', { piece, ...DICE, also: 'Roasted sesame oil' });
    expect(toldNow().unsaid).to.deep.equal([]);
    expect(names(toldNow().holds)).to.include('sesame');
    expect(names(toldNow().mayHold)).to.include('sulphites');
  });
  it('what was typed before there was a list stays told in every later version', () => {
    const {
      id: _,
      version: __,
      shipped: ___,
      withdrawn: ____,
      history,
      notes,
      ...body
    } = pageOf(state(), 'recipe', 'weighed-at-two');
    expect([history.length, notes.length]).to.deep.equal([1, 0]);
    const file = pagesAsFile('recipe', [{ ...body, name: 'Old way', allergens: ['lupin'] }]);
    house.done('import-recipes', { text: file });
    const fields = { id: 'old-way', name: 'Old way', school: 'weighed', hours: '24 h', target: '1 %' };
    house.done('set-recipe', { ...fields, lines: 'Fine salt; salt; 2 %' });
    const now = pageOf(state(), 'recipe', 'old-way');
    expect(now.version).to.equal(2);
    expect(toldOfLines(state().ingredients, now.lines, house.clock.now(), now.allergens).holds).to.deep.equal([
      'lupin'
    ]);
  });
});
