import { expect } from 'chai';
import { partiesView } from '../../src/lib/server/facts/party.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { CHAR, FEED, HOUR, openTestHouse, type TestHouse } from './house.ts';

const DISHES = [
  { name: 'Char, raw', lines: 'Arctic char; 60; fish\nOlive oil; 2', route: 'raw' },
  { name: 'Char, grilled', lines: 'Arctic char; 80; fish', route: 'cooked' },
  { name: 'Char and sesame', lines: 'Arctic char; 50; fish\nWhite sesame; 2', route: 'raw' }
];
/** A counter with one fish in the cold and three dishes of it. */
function counter(mass = '2.4 kg') {
  const house = openTestHouse();
  house.done('set-place', { name: 'Drawer', kind: 'drawer' });
  const { lot, piece } = house.done('receive-lot', { ...CHAR, mass }) as { lot: string; piece: string };
  house.done('attach-evidence', { lot, ...FEED });
  house.done('move-piece', { piece, place: 'Drawer' });
  const ids = DISHES.map((dish) => String(house.done('set-dish', dish).dish));
  return { house, piece, ids };
}
const gramsOf = (house: TestHouse, piece: string) => house.store.projections.piece(piece).state.grams;
const seatsNow = (house: TestHouse) =>
  partiesView(house).parties[0]!.next.map(({ dish, seats }) => [dish, ...seats.map((each) => each.dish)]);

describe('the cook’s choice', () => {
  it('is laid out pale to rich; a course goes to all seats at one touch, each has what suits it, and what it had it has no more', () => {
    const { house, piece, ids } = counter();
    const [raw, grilled, sesame] = ids as [string, string, string];
    const courses = [grilled, raw].join();
    const { party, courses: laid } = house.done('set-party', { name: 'Seats 1 and 2', seats: 2, courses });
    expect(laid).to.deep.equal([raw, grilled]);
    house.done('set-seat', { party, seat: 2, noRaw: true });
    // The one cooked dish is its own course: nothing is left to stand in for the raw one.
    expect(seatsNow(house)).to.deep.equal([
      [raw, raw, null],
      [grilled, grilled, grilled]
    ]);
    expect(house.act('send-course', { party, course: 1 })).to.include({ ok: false, code: 'party.nothing-suits' });
    const before = gramsOf(house, piece);
    expect(house.done('send-course', { party, course: 1, without: true })).to.include({ course: 1, plates: 1 });
    expect(house.done('send-course', { party, course: 2 })).to.include({ course: 2, plates: 2 });
    expect(before - gramsOf(house, piece)).to.be.closeTo(60 + 160, 0.01);
    expect(house.act('send-course', { party, course: 3 })).to.include({ code: 'record.not-allowed-now' });
    expect(sesame).to.be.a('string');
    house.done('close-party', { party });
    expect(partiesView(house).parties).to.deep.equal([]);
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
    house.close();
  });
  it('a course goes once, whoever sends it; the pace runs from when the one before it went', () => {
    const { house, ids } = counter();
    const { party } = house.done('set-party', { name: 'Seats', seats: 1, courses: ids.join(), pace: 10 });
    house.clock.moveTo(house.clock.now() + HOUR / 2, true);
    house.done('send-course', { party, course: 1 });
    expect(house.act('send-course', { party, course: 1 })).to.include({ code: 'record.not-allowed-now' });
    const [next] = partiesView(house).parties[0]!.next;
    expect(next!.due - house.clock.now()).to.equal(HOUR / 6);
    house.close();
  });
  it('nobody with an allergy has what holds it, may hold it, or is not known', () => {
    const { house, ids } = counter();
    const [raw, , sesame] = ids as [string, string, string];
    const { party } = house.done('set-party', { name: 'Seats', seats: 2, courses: sesame });
    house.done('set-seat', { party, seat: 1, avoid: 'sesame' });
    expect(seatsNow(house)).to.deep.equal([[sesame, raw, sesame]]);
    // The board may carry it: that is enough.
    house.done('set-seat', { party, seat: 1, avoid: 'sesame, mollusc' });
    expect(seatsNow(house)).to.deep.equal([[sesame, null, sesame]]);
    house.close();
  });
  it('all plates of a course or none: where the fish does not reach for all seats nobody is served', () => {
    const { house, piece, ids } = counter('0.6 kg');
    const { party } = house.done('set-party', { name: 'Hall', seats: 12, courses: ids[0]! });
    const before = gramsOf(house, piece);
    expect(house.act('send-course', { party, course: 1 }).ok).to.equal(false);
    expect(gramsOf(house, piece)).to.equal(before);
    house.close();
  });
  it('refuses a party without courses, a dish there is not, a seat it does not have, an allergen on no list', () => {
    const { house, ids } = counter();
    const [raw] = ids as [string];
    const set = (more: object) => house.act('set-party', { name: 'X', seats: 2, courses: raw, ...more });
    expect(set({ courses: '' })).to.include({ code: 'form.incomplete' });
    expect(set({ courses: 'nothing' })).to.include({ code: 'recipe.unknown' });
    expect(set({ seats: 41 }).ok).to.equal(false);
    const { party } = house.done('set-party', { name: 'X', seats: 2, courses: raw });
    expect(house.act('set-seat', { party, seat: 3 })).to.include({ code: 'form.value-unknown' });
    expect(house.act('set-seat', { party, seat: 1, avoid: 'stone' })).to.include({ code: 'form.value-unknown' });
    expect(house.act('set-seat', { party: 'y', seat: 1 })).to.include({ code: 'form.value-unknown' });
    house.close();
  });
});
