import { expect } from 'chai';
import { dishesOf } from '../../src/lib/server/demo/dishes.ts';
import { lineUp, tableView } from '../../src/lib/server/facts/table.ts';
import { tableCsv } from '../../src/lib/server/views/table-csv.ts';
import type { App } from '../../src/lib/server/app.ts';
import { parse } from 'csv-parse/sync';
import { CHAR, FEED, HOUR, NOON, openTestHouse, type TestHouse } from './house.ts';
import { cardUnder, LISTS } from './card-under.ts';

/** A house with the card of the demo, and nothing in the cold. */
function cardHouse(): TestHouse {
  const house = openTestHouse();
  dishesOf({
    step: (_: unknown, __: unknown, name: string, input: (made: never) => unknown) =>
      house.done(name, input({} as never))
  } as never);
  return house;
}
const app = (house: TestHouse) => ({ store: house.store, clock: house.clock }) as unknown as App;
const rowOf = (house: TestHouse, name: string, profile = '') =>
  tableView(app(house), profile).rows.find((row) => row.name === name)!;

describe('the table of allergens, dish by dish, under four lists', () => {
  const house = cardHouse();
  after(() => house.close());
  for (const list of LISTS) {
    it(`${list}: what is in each dish and what may be, as it was worked out by hand`, () => {
      const { rows } = tableView(app(house), list);
      expect(rows.length).to.be.at.least(16);
      const seen = Object.fromEntries(
        rows.map(({ name, holds, mayHold, unsaid }) => [
          name,
          [[...holds].sort(), [...mayHold].sort(), [...unsaid]].map((each) => each.join(' ')).join(' | ')
        ])
      );
      expect(seen).to.deep.equal(cardUnder(list));
    });
  }
  it('as a file: a dish a row, an allergen a column, what else is answered beside it', () => {
    const view = tableView(app(house), 'eu');
    const rows = parse(tableCsv(view), { columns: true, bom: true }) as Record<string, string>[];
    expect(rows.length).to.equal(view.rows.length);
    const oysters = rows.find(({ dish }) => dish === 'Six oysters')!;
    expect(oysters).to.include({ eaten: 'Raw', molluscs: 'in it' });
    expect(oysters['not for']).to.include('weak liver').and.to.include('under sixteen');
  });
});

describe('what is answered at the table', () => {
  /** Char in slices, with a garnish that can be left off. */
  function charHouse(more: Record<string, unknown> = {}, dish: Record<string, unknown> = {}) {
    const house = openTestHouse();
    house.done('set-place', { name: 'Drawer', kind: 'drawer' });
    const got = (lot: Record<string, unknown>) => {
      const { lot: id, piece } = house.done('receive-lot', { ...CHAR, ...lot }) as { lot: string; piece: string };
      house.done('attach-evidence', { lot: id, ...FEED });
      house.done('move-piece', { piece, place: 'Drawer' });
      return piece;
    };
    const piece = got(more);
    const id = String(
      house.done('set-dish', {
        name: 'Char, plain',
        lines: 'Arctic char; 60; fish\nOlive oil; 2\nEgg yolk; 10; garnish',
        route: 'raw',
        ...dish
      }).dish
    );
    return { house, piece, id, got };
  }

  it('comes from the piece of the next plate, and from the page where none is left', () => {
    const { house, piece } = charHouse({ gear: 'pole-or-handline', killing: 'spiked-bled', previouslyFrozen: 'no' });
    const [fish] = rowOf(house, 'Char, plain').fish;
    expect(fish!.facts).to.have.length(1);
    expect(fish!.facts[0]).to.include({ source: 'farmed', frozen: 'no', killing: 'spiked-bled', agedDays: 0 });
    house.done('discard-piece', { piece, reason: 'dropped', all: true });
    const gone = rowOf(house, 'Char, plain');
    expect(gone).to.include({ plates: 0 });
    expect(gone.fish[0]!.facts).to.deep.equal([]);
    expect(gone.holds).to.include.members(['fish', 'egg']);
    house.close();
  });
  it('changes with what is used instead, and says what can be left off', () => {
    const { house } = charHouse();
    const before = rowOf(house, 'Char, plain');
    expect(before.garnish).to.deep.equal([{ what: 'Egg yolk', holds: ['egg'] }]);
    expect(before).to.include({ rawEgg: true });
    expect(before.holds).to.not.include('sesame');
    house.done('use-instead', { id: 'olive-oil', instead: 'roasted-sesame-oil', reason: 'out of it' });
    expect(rowOf(house, 'Char, plain').holds).to.include('sesame');
    house.close();
  });
  it('the board of the house goes with every dish that does not say it is cut apart; the oil where it is fried in it', () => {
    const { house, id } = charHouse();
    expect(rowOf(house, 'Char, plain', 'eu').mayHold).to.include.members(['crustacean', 'mollusc']);
    house.done('set-dish', {
      id,
      name: 'Char, plain',
      lines: 'Arctic char; 60; fish',
      route: 'raw',
      board: 'apart',
      oil: 'shared',
      reason: 'fried'
    });
    const fried = rowOf(house, 'Char, plain', 'eu');
    expect(fried.mayHold).to.include.members(['wheat', 'egg', 'milk']);
    house.close();
  });
  it('the card says what is true of the very piece: another is asked about, named, and never slips in', () => {
    const { house, got, id } = charHouse({}, { name: 'Farmed char, never frozen', source: 'farmed' });
    // Nobody said whether it had been frozen.
    expect(rowOf(house, 'Farmed char, never frozen')).to.include({ plates: 0 });
    expect(house.act('serve-dish', { dish: id })).to.include({ ok: false, code: 'dish.instead' });
    house.done('serve-dish', { dish: id, instead: true });
    const [served] = house.store.record.list({ kind: 'piece.served', limit: 1 });
    expect((served!.body as { dish: string }).dish).to.match(/^Farmed char, never frozen \(.*not known\)$/);
    const fresh = got({ previouslyFrozen: 'no' });
    expect(rowOf(house, 'Farmed char, never frozen').plates).to.be.greaterThan(0);
    expect(house.done('serve-dish', { dish: id }).pieces).to.deep.equal([fresh]);
    house.close();
  });
  it('a dish is not named after a fish that is not on it, nor both wild and farmed', () => {
    const { house } = charHouse();
    const dish = { lines: 'Arctic char; 60; fish', route: 'raw' };
    expect(house.act('set-dish', { ...dish, name: 'Turbot, plain' })).to.include({ code: 'dish.untrue-name' });
    expect(house.act('set-dish', { ...dish, name: 'Wild char', source: 'farmed' })).to.include({
      code: 'form.value-unknown'
    });
    house.close();
  });
  it('rice under a dish: none without a tub inside its clock, its dressing is told, and its end is the end of the plate', () => {
    const { house } = charHouse({}, { lines: 'Arctic char; 30; fish\nRice; 50; rice; hand-roll' });
    const id = rowOf(house, 'Char, plain').id;
    expect(rowOf(house, 'Char, plain')).to.include({ plates: 0 });
    expect(house.act('serve-dish', { dish: id })).to.include({ ok: false, code: 'dish.short' });
    house.done('make-tub', { mass: '3 kg', dressing: 'Malt vinegar, White sugar' });
    const row = rowOf(house, 'Char, plain', 'eu');
    expect(row).to.include({ by: 'rice' });
    expect(row.plates).to.be.greaterThan(0);
    expect(row.holds).to.include('barley');
    house.clock.moveTo(row.until! + 1, true);
    expect(rowOf(house, 'Char, plain')).to.include({ plates: 0 });
    expect(house.act('serve-dish', { dish: id })).to.include({ ok: false, code: 'dish.short' });
    house.close();
  });
  it('the sheet before service: what is on, few, out and off, and what to sell first and why', () => {
    const { house, piece, id } = charHouse({ mass: '0.4 kg' });
    house.done('set-service', { name: 'Saturday', at: new Date(NOON + 6 * HOUR).toISOString(), covers: 52 });
    house.done('set-dish', { name: 'Turbot, plain', lines: 'Turbot; 60; fish', route: 'raw' });
    house.done('start-hold', { piece, mass: '130 g', label: 'Left', startCore: '3 C' });
    const sheet = lineUp(app(house));
    expect(sheet.service).to.deep.include({ name: 'Saturday', covers: 52 });
    expect(sheet.on.map(({ name }) => name)).to.deep.equal(['Char, plain']);
    expect(sheet.gone).to.deep.equal([{ name: 'Turbot, plain', instead: 0 }]);
    expect(sheet.first[0]).to.deep.include({ name: 'Char, plain', by: 'tray' });
    house.done('serve-dish', { dish: id, plates: 3 });
    expect(lineUp(app(house)).few).to.deep.equal([{ name: 'Char, plain', plates: 3 }]);
    house.done('set-dish-off', { dish: id });
    expect(lineUp(app(house))).to.deep.include({ on: [], off: ['Char, plain'] });
    house.close();
  });
});
