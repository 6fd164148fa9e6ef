import { expect } from 'chai';
import { formInput } from '../../src/lib/server/forms.ts';
import { CHAR } from '../../src/lib/server/examples.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { timeAt } from '../../src/lib/words/say.ts';
import { clockTime, wallInput } from '../../src/lib/words/say.ts';
import { heard } from '../speaking.ts';
import { charHouse, HOUR, openTestHouse, type TestHouse } from './house.ts';

/** The clocks go back in Europe at one in the morning by UTC: 02:30 comes twice, an hour apart. */
const NIGHT = Date.UTC(2026, 9, 25);

describe('the zone of a house', () => {
  const at = charHouse();
  const settings = { name: 'New', profile: 'us-fc', dayEndsHour: 4, currency: 'EUR', warnMinutes: 60 };
  const rest = { rawShareOfIceDays: 0.5, dateMarkDays: 7 };
  // An instant passes for a zone where days are reckoned; no clock on a screen can show it.
  const NONE = ['9999-12-31T23:59:59Z', '2026-03-09T12:00+01:00[Europe/Oslo]', 'Middle-earth/Shire', ' '];
  it('is one that clocks know, at its setting and where it is put right', () => {
    for (const zone of NONE) {
      const answer = at.house.act('set-house', { ...settings, ...rest, zone });
      expect(!answer.ok && answer.fields.map(({ field }) => field), zone).to.deep.equal(['zone']);
    }
    at.house.done('set-house', { ...settings, ...rest, zone: 'Europe/Oslo' });
    const { seq } = at.house.store.record.list({ kind: 'house.set' })[0]!;
    for (const zone of NONE) {
      const answer = at.house.act('amend-entry', { seq, patch: { zone }, reason: 'moved' });
      expect(answer.ok, `mended to ${zone}`).to.equal(false);
    }
    expect(at.house.store.projections.currentHouse().zone).to.equal('Europe/Oslo');
  });
  it('a house that was set to none before says its times in UTC', () => {
    heard({ zone: NONE[0]! }, () => {
      expect(clockTime(Date.UTC(2026, 2, 9, 12))).to.equal('12:00');
      expect(wallInput(Date.UTC(2026, 2, 9, 12))).to.equal('2026-03-09T12:00');
    });
    expect(timeAt(Date.UTC(2026, 2, 9, 12), NONE[0]!)).to.equal('9 Mar, 12:00');
  });
});

describe('a deed in the hour that comes twice', () => {
  let house: TestHouse;
  let piece: string;
  beforeEach(() => {
    house = openTestHouse();
    house.done('set-house', {
      name: 'The Ebb Counter',
      profile: 'us-fc',
      zone: 'Europe/Oslo',
      dayEndsHour: 4,
      currency: 'USD',
      warnMinutes: 60,
      rawShareOfIceDays: 0.5,
      dateMarkDays: 7
    });
    house.clock.moveTo(NIGHT - 6 * HOUR, true);
    piece = String(house.done('receive-lot', { ...CHAR, caughtOn: '2026-10-22' }).piece);
    house.clock.moveTo(NIGHT + 9 * HOUR, true);
  });
  afterEach(() => house.close());
  const read = (at: string) => house.act('read-cold', { piece, reading: '3 °C', at });

  it('is not written down before somebody says which hour it was', () => {
    const answer = read('2026-10-25T02:30');
    expect(answer.ok).to.equal(false);
    if (answer.ok) return;
    expect(answer.code).to.equal('time.exists-twice');
    expect(answer.details.candidates).to.deep.equal(['2026-10-25T02:30+02:00', '2026-10-25T02:30+01:00']);
  });

  it('is written at the hour that was said, from a form and from a program', () => {
    const form = new FormData();
    form.set('at', '2026-10-25T02:30');
    form.set('at:offset', '+01:00');
    const second = formInput(form).at!;
    expect(second).to.equal('2026-10-25T02:30+01:00');
    expect(read(second).ok).to.equal(true);
    expect(read('2026-10-25T02:30+02:00').ok).to.equal(true);
    const at = house.store.record
      .eventsOf(`piece:${piece}`)
      .filter(({ kind }) => kind === 'cold.read')
      .map(({ happened }) => happened);
    expect(at[1]! - at[0]!).to.equal(HOUR);
  });

  it('a time that the clocks jump over is refused', () => {
    house.clock.moveTo(Date.UTC(2027, 2, 28, 12), true);
    const answer = read('2027-03-28T02:30');
    expect(answer.ok ? '' : answer.code).to.equal('time.does-not-exist');
  });
});

describe('a clock that is years ahead', () => {
  let house: TestHouse;
  beforeEach(() => (house = openTestHouse()));
  afterEach(() => house.close());
  const join = (name: string) => house.act('join-person', { name });
  const codeOf = (answer: ReturnType<typeof join>) => (answer.ok ? 'done' : answer.code);
  const DAYS = 24 * HOUR;

  it('writes nothing, and once it is set right the house goes on as if nothing had been', () => {
    const before = house.store.record.head();
    const right = house.clock.now();
    house.clock.moveTo(right + 9 * 365 * DAYS, true);
    expect(codeOf(join('Bo'))).to.equal('time.clock-ahead');
    expect(house.executor.clockAheadSeconds()).to.be.greaterThan(8 * 365 * 86_400);
    expect(house.store.record.head()).to.deep.equal(before);
    house.clock.moveTo(right + HOUR, true);
    expect(codeOf(join('Bo'))).to.equal('done');
    expect(house.store.record.head().recorded).to.equal(right + HOUR);
  });
  it('a house that was closed for so long says once that its clock is right', () => {
    house.clock.moveTo(house.clock.now() + 500 * DAYS, true);
    expect(codeOf(house.act('confirm-clock', { reason: '' }))).to.not.equal('done');
    expect(house.done('confirm-clock', { reason: 'closed over the winter' })).to.deep.equal({
      aheadSeconds: 500 * 86_400
    });
    expect(house.executor.clockAheadSeconds()).to.equal(0);
    expect(codeOf(join('Bo'))).to.equal('done');
  });
  it('entries of a year that was believed are put right by a name; the ledger goes on from now, and fish are as old as they are', () => {
    const right = house.clock.now();
    house.done('set-place', { name: 'Drawer', kind: 'drawer' });
    const before = house.store.record.head().seq;
    house.clock.moveTo(right + 500 * DAYS, true);
    house.done('confirm-clock', { reason: 'believed by mistake' });
    const piece = String(house.done('receive-lot', { ...CHAR, caughtOn: '2026-03-08' }).piece);
    house.clock.moveTo(house.clock.now() + HOUR, true);
    house.done('move-piece', { piece, place: 'Drawer' });
    const rows = [...house.store.record.iterate()].map(({ hash }) => hash);
    // Two days later somebody sets the clock.
    house.clock.moveTo(right + 2 * DAYS, true);
    const really = (hours: number, reason = 'a year ahead') =>
      house.act('correct-clock', { really: new Date(right + hours * HOUR).toISOString(), reason });
    const code = (answer: ReturnType<typeof really>) => (answer.ok ? 'done' : answer.code);
    expect(code(really(-1)), 'before what was written before').to.equal('time.out-of-order');
    expect(code(really(47.5)), 'the last would not have come yet').to.equal('time.out-of-order');
    expect(code(really(1, ''))).to.equal('form.incomplete');
    expect(house.executor.clockBehindSeconds()).to.be.greaterThan(400 * 86_400);
    expect(code(really(1))).to.equal('done');
    expect(house.executor.clockBehindSeconds()).to.equal(0);
    const { state } = house.store.projections.piece(piece);
    expect(state.made.at).to.equal(right + HOUR);
    expect(state.stays[0]!.from).to.equal(right + 2 * HOUR);
    // The chain is as it was written; what is read of it is put right, and holds.
    expect([...house.store.record.iterate()].map(({ hash }) => hash).slice(0, rows.length)).to.deep.equal(rows);
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
    house.store.projections.rebuild(house.clock.now());
    expect(house.store.projections.piece(piece).state.made.at).to.equal(right + HOUR);
    expect(house.store.record.event(before + 1)!.recorded).to.equal(right + HOUR);
    house.clock.moveTo(right + 2 * DAYS + HOUR, true);
    expect(codeOf(join('Bo'))).to.equal('done');
    expect(house.store.record.head().recorded).to.equal(right + 2 * DAYS + HOUR);
    expect(code(really(1)), 'there is nothing more to put right').to.equal('record.not-allowed-now');
  });
  it('a season away is believed', () => {
    house.clock.moveTo(house.clock.now() + 399 * DAYS, true);
    expect(codeOf(join('Bo'))).to.equal('done');
  });
});
