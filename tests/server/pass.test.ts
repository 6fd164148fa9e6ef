import { expect } from 'chai';
import { passView } from '../../src/lib/server/facts/pass.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { CHAR, FEED, HOUR, NOON, openTestHouse, type TestHouse } from './house.ts';

const PLAN = {
  style: 'straight',
  by: 'thickness',
  thickness: '6 mm',
  angle: 90,
  length: '150 mm',
  height: '28 mm',
  width: '80 mm',
  place: 'Drawer'
};

/** A house with slices of char in a drawer, 25 of them, and a dish of five. */
function passHouse() {
  const house = openTestHouse();
  house.done('set-place', { name: 'Drawer', kind: 'drawer' });
  const sliced = (lot: Record<string, unknown>) => {
    const { lot: id, piece } = house.done('receive-lot', lot) as { lot: string; piece: string };
    house.done('attach-evidence', { lot: id, ...FEED });
    house.done('move-piece', { piece, place: 'Drawer' });
    const block = String(house.done('divide-piece', { piece, name: 'Block', form: 'block', mass: '360 g' }).piece);
    house.clock.moveTo(NOON + HOUR, true);
    return String(house.done('record-slice', { ...PLAN, piece: block }).piece);
  };
  const char = sliced(CHAR);
  const each = house.store.projections.piece(char).state.lifted!.gramsEach!;
  const dish = String(
    house.done('set-dish', {
      name: 'Char, straight',
      lines: `Arctic char or Turbot; 5 x ${each.toFixed(1)}; fish; straight\nOlive oil; 2`,
      route: 'raw'
    }).dish
  );
  return { house, char, each, dish, sliced };
}
const keyOf = (house: TestHouse, id: string) => passView(house).dishes.find((each) => each.id === id)!;
const gramsOf = (house: TestHouse, id: string) => house.store.projections.piece(id).state.grams;

describe('a plate at a touch', () => {
  it('takes its slices, tells what is in it, and is one fewer', () => {
    const { house, char, each, dish } = passHouse();
    const before = gramsOf(house, char);
    expect(keyOf(house, dish)).to.deep.include({ plates: 5, instead: 0, off: false });
    expect(keyOf(house, dish).allergens).to.include('fish');
    const { grams } = house.done('serve-dish', { dish });
    expect(Number(grams)).to.be.closeTo(5 * each, 0.01);
    expect(gramsOf(house, char)).to.be.closeTo(before - 5 * each, 0.02);
    expect(keyOf(house, dish).plates).to.equal(4);
    const [served] = house.store.record.list({ kind: 'piece.served', limit: 1 });
    expect(served!.body).to.deep.include({ dish: 'Char, straight', route: 'raw' });
    house.close();
  });
  it('several at once, all or nothing; the last is never sold twice', () => {
    const { house, char, dish } = passHouse();
    house.done('serve-dish', { dish, plates: 3 });
    const left = gramsOf(house, char);
    expect(house.act('serve-dish', { dish, plates: 3 })).to.include({ ok: false, code: 'dish.short' });
    expect(gramsOf(house, char)).to.equal(left);
    house.done('serve-dish', { dish, plates: 2 });
    expect(house.act('serve-dish', { dish })).to.include({ code: 'dish.short' });
    house.close();
  });
  it('another fish only where it is said, and the plate is named after it', () => {
    const { house, dish, sliced } = passHouse();
    house.done('serve-dish', { dish, plates: 5 });
    sliced({ ...CHAR, species: 'turbot' });
    expect(keyOf(house, dish)).to.deep.include({ plates: 0, instead: 5, insteadOf: 'Turbot' });
    expect(house.act('serve-dish', { dish })).to.include({ code: 'dish.instead' });
    house.done('serve-dish', { dish, instead: true });
    const [served] = house.store.record.list({ kind: 'piece.served', limit: 1 });
    expect((served!.body as { dish: string }).dish).to.equal('Char, straight, with Turbot instead');
    house.close();
  });
  it('is taken back within a quarter of an hour, once, and its fish is there again', () => {
    const { house, char, dish } = passHouse();
    const before = gramsOf(house, char);
    house.done('serve-dish', { dish, plates: 2 });
    const [plate] = passView(house).lately;
    expect(plate).to.deep.include({ dish: 'Char, straight' });
    house.done('take-plate-back', { entries: plate!.entries.join(',') });
    expect(gramsOf(house, char)).to.be.closeTo(before, 1e-6);
    expect(passView(house).lately).to.deep.equal([]);
    expect(house.act('take-plate-back', { entries: plate!.entries.join(',') })).to.include({
      code: 'record.not-found'
    });
    house.done('serve-dish', { dish });
    const late = passView(house).lately[0]!.entries.join(',');
    house.clock.moveTo(NOON + HOUR + 16 * 60_000, true);
    expect(house.act('take-plate-back', { entries: late })).to.include({ code: 'record.not-found' });
    expect(house.act('take-plate-back', { entries: 'x' })).to.include({ code: 'record.not-found' });
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
    house.close();
  });
  it('two plates at one moment are two: each is taken back by itself', () => {
    const { house, dish } = passHouse();
    house.done('serve-dish', { dish });
    house.done('serve-dish', { dish });
    expect(passView(house).lately.map(({ entries }) => entries.length)).to.deep.equal([1, 1]);
    house.done('take-plate-back', {});
    expect(keyOf(house, dish).plates).to.equal(4);
    house.close();
  });
  it('never by a route that is shut at that moment: slices that lie out, fish without its papers, an expired tray', () => {
    const { house, char, dish } = passHouse();
    house.done('start-hold', { all: true, piece: char, label: 'Left', startCore: '3 C' });
    const { until } = keyOf(house, dish);
    expect(until).to.be.a('number');
    house.clock.moveTo(until! + 1000, true);
    expect(keyOf(house, dish)).to.include({ plates: 0, until: null });
    expect(house.act('serve-dish', { dish })).to.include({ code: 'dish.short' });
    house.close();
  });
  it('a house whose guests are highly susceptible has no raw plate', () => {
    const { house, dish } = passHouse();
    house.done('set-house', {
      name: 'A ward kitchen',
      profile: 'us-fc',
      zone: 'UTC',
      dayEndsHour: 4,
      currency: 'USD',
      warnMinutes: 60,
      rawShareOfIceDays: 0.5,
      dateMarkDays: 7,
      susceptibleGuests: true
    });
    expect(keyOf(house, dish).plates).to.equal(0);
    expect(house.act('serve-dish', { dish })).to.include({ ok: false, code: 'dish.short' });
    house.close();
  });
});

describe('what is on tonight', () => {
  it('a dish goes off until the business day ends, and on again', () => {
    const { house, dish } = passHouse();
    house.done('set-dish-off', { dish });
    expect(keyOf(house, dish).off).to.equal(true);
    expect(house.act('serve-dish', { dish })).to.include({ code: 'dish.off' });
    house.done('set-dish-off', { dish, on: true });
    expect(keyOf(house, dish).off).to.equal(false);
    house.done('set-dish-off', { dish });
    house.clock.moveTo(NOON + 24 * HOUR, true);
    expect(keyOf(house, dish).off).to.equal(false);
    house.close();
  });
  it('a dish that does not say how it is eaten, or which fish it is, is not served by the plate', () => {
    const { house } = passHouse();
    const vague = String(house.done('set-dish', { name: 'Vague', lines: 'Some fish; 60; fish', route: 'raw' }).dish);
    const mute = String(house.done('set-dish', { name: 'Mute', lines: 'Turbot; 60; fish' }).dish);
    const none = String(house.done('set-dish', { name: 'No fish', lines: 'Olive oil; 6', route: 'cooked' }).dish);
    expect(passView(house).unready.map(({ id }) => id)).to.have.members([vague, mute, none]);
    for (const dish of [vague, mute, none]) {
      expect(house.act('serve-dish', { dish })).to.include({ code: 'dish.not-for-the-pass' });
    }
    house.close();
  });
  it('a line is read with its pieces and its cut, and refused by what cannot be one', () => {
    const { house, dish } = passHouse();
    const page = house.store.projections.currentHouse().pages.dish.versions[dish]!.at(-1)!.page;
    expect(page.lines[0]).to.deep.include({ species: ['arctic-char', 'turbot'], style: 'straight', count: 5 });
    for (const lines of [
      'Turbot; 5 x; fish',
      'Turbot; 5 x 12; fish; sideways',
      'Olive oil; 2 x 3',
      'Turbot; 0 x 3; fish'
    ]) {
      expect(house.act('set-dish', { name: 'X', lines }), lines).to.include({ ok: false });
    }
    house.close();
  });
});

describe('a tray in slices or grams', () => {
  const TRAY = { label: 'Counter left', startCore: '3 C' };
  it('takes so many slices: they are a piece of their own, the rest stays in the cold', () => {
    const { house, char, each, dish } = passHouse();
    const before = gramsOf(house, char);
    const tray = String(house.done('start-hold', { ...TRAY, piece: char, count: 7 }).piece);
    expect(tray).to.not.equal(char);
    expect(gramsOf(house, tray)).to.be.closeTo(7 * each, 0.01);
    expect(gramsOf(house, char) + gramsOf(house, tray)).to.be.closeTo(before, 1e-6);
    const stateOf = (id: string) => house.store.projections.piece(id).state;
    expect(stateOf(tray).lifted).to.deep.include({ what: 'slices', count: 7, style: 'straight' });
    expect(stateOf(char).holds).to.deep.equal([]);
    expect(stateOf(char).stays.at(-1)).to.deep.include({ place: 'Drawer', to: null });
    // The tray goes first, then the drawer: 7 and 18 of them, five to a plate.
    expect(keyOf(house, dish).plates).to.equal(5);
    house.done('serve-dish', { dish });
    expect(gramsOf(house, tray)).to.be.closeTo(2 * each, 0.02);
    const later = house.done('serve-dish', { dish });
    expect(later.pieces).to.have.members([tray, char]);
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
    house.close();
  });
  it('takes grams of what is not counted; the last of it is all of it', () => {
    const { house } = passHouse();
    const { lot, piece } = house.done('receive-lot', CHAR) as { lot: string; piece: string };
    house.done('attach-evidence', { lot, ...FEED });
    const tray = String(house.done('start-hold', { ...TRAY, piece, mass: '300 g' }).piece);
    expect(gramsOf(house, tray)).to.equal(300);
    const rest = gramsOf(house, piece);
    expect(house.done('start-hold', { ...TRAY, piece, mass: `${rest} g` }).piece).to.equal(piece);
    house.close();
  });
  it('never takes the whole piece unless it is said, nor more than there is, nor slices of a block', () => {
    const { house, char } = passHouse();
    expect(house.act('start-hold', { ...TRAY, piece: char })).to.include({ ok: false, code: 'form.incomplete' });
    expect(house.act('start-hold', { ...TRAY, piece: char, count: 5, all: true })).to.include({
      code: 'form.one-of-two'
    });
    expect(house.act('start-hold', { ...TRAY, piece: char, count: 40 })).to.include({ code: 'record.mass-exceeded' });
    const block = house.store.projections.piece(char).state.made.parents[0]!;
    const fish = house.store.projections.piece(block).state.made.parents[0]!;
    expect(house.act('start-hold', { ...TRAY, piece: fish, count: 2 })).to.include({ code: 'record.not-found' });
    house.close();
  });
  it('has its own clock: its slices are shut when it ends, the rest is not', () => {
    const { house, char, dish } = passHouse();
    const { piece, discardAt } = house.done('start-hold', { ...TRAY, piece: char, count: 5 });
    house.clock.moveTo(Number(discardAt) + 60_000, true);
    expect(keyOf(house, dish).plates).to.equal(4);
    const served = house.done('serve-dish', { dish });
    expect(served.pieces).to.not.include(piece);
    house.close();
  });
});

describe('a block in the case, and a tray that runs', () => {
  const cut = { name: 'Char to order', lines: 'Arctic char; 60; fish', route: 'raw' };
  function blockHouse(more: Record<string, unknown> = {}) {
    const house = openTestHouse();
    house.done('set-place', { name: 'Case', kind: 'display', cold: true });
    const { lot, piece } = house.done('receive-lot', CHAR) as { lot: string; piece: string };
    house.done('attach-evidence', { lot, ...FEED });
    house.done('move-piece', { piece, place: 'Case' });
    const dish = String(house.done('set-dish', { ...cut, ...more }).dish);
    return { house, piece, dish };
  }
  const outs = (house: TestHouse, piece: string) =>
    house.store.projections.piece(piece).state.outs.reduce((sum, { from, to }) => sum + (to! - from) / 1000, 0);

  it('each plate books the usual seconds to the block, two at a moment both, and taken back they stay spent', () => {
    const { house, piece, dish } = blockHouse({ benchSeconds: 120 });
    expect(outs(house, piece)).to.equal(0);
    house.done('serve-dish', { dish });
    expect(outs(house, piece)).to.equal(120);
    house.done('serve-dish', { dish, plates: 2 });
    expect(outs(house, piece)).to.equal(360);
    house.done('take-plate-back', {});
    expect(outs(house, piece)).to.equal(360);
    // It lies in its case again.
    expect(house.store.projections.piece(piece).state.outs.every(({ to }) => to !== null)).to.equal(true);
    expect(house.store.projections.piece(piece).state.stays.at(-1)).to.deep.include({ place: 'Case', to: null });
    house.close();
  });
  it('law: plates cut to order use the block up by time too, until its window is shut by it', () => {
    const { house, dish } = blockHouse({ benchSeconds: 1800 });
    let served = 0;
    for (; served < 40 && house.act('serve-dish', { dish }).ok; served++) {
      house.clock.moveTo(house.clock.now() + 31 * 60_000, true);
    }
    // Four hours out of the cold at the very most, half an hour each.
    expect(served).to.be.within(1, 8);
    expect(keyOf(house, dish).plates).to.equal(0);
    house.close();
  });
  it('what was sliced before books nothing more', () => {
    const { house, char, dish } = passHouse();
    const before = house.store.projections.piece(char).state.outs.length;
    house.done('serve-dish', { dish });
    expect(house.store.projections.piece(char).state.outs.length).to.equal(before);
    house.close();
  });
  it('a tray is not topped up: filled at once it ends with its first, later it takes a new one', () => {
    const { house, char } = passHouse();
    const tray = { piece: char, count: 5, label: 'Left', startCore: '3 C' };
    const first = house.done('start-hold', tray);
    house.clock.moveTo(house.clock.now() + 10 * 60_000, true);
    const second = house.done('start-hold', { ...tray, label: 'left ' });
    expect(second.discardAt).to.equal(first.discardAt);
    house.clock.moveTo(house.clock.now() + 6 * 60_000, true);
    expect(house.act('start-hold', tray)).to.include({ ok: false, code: 'tray.running' });
    expect(Number(house.done('start-hold', { ...tray, label: 'Right' }).discardAt)).to.be.greaterThan(
      Number(first.discardAt)
    );
    const [left, right] = passView(house).trays;
    expect(left).to.deep.include({ label: 'Left', discardAt: first.discardAt });
    expect(left!.pieces.map(({ count }) => count)).to.deep.equal([5, 5]);
    expect(right!.label).to.equal('Right');
    house.close();
  });
});
