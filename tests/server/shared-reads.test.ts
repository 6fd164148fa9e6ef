import { join } from 'node:path';
import Database from 'better-sqlite3';
import { expect } from 'chai';
import fc from 'fast-check';
import { foldPiece } from '../../src/lib/core/record/piece.ts';
import { liveBody, takeReadings } from '../../src/lib/server/operations/live-readings.ts';
import { draft } from '../../src/lib/server/store/record.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { runs } from '../runs.ts';
import { KEY, coldHouse } from './cold-house.ts';
import { CHAR, HOUR, NOON, charHouse, openTestHouse, scratch } from './house.ts';

describe('what is read once and shared', () => {
  const at = charHouse();
  const subject = () => `piece:${at.piece}`;

  it('gives the same entries again, and nobody can change them for others', () => {
    const { record } = at.house.store;
    const events = record.eventsOf(subject());
    expect(record.eventsOf(subject())).to.equal(events);
    expect(() => (events as unknown[]).pop()).to.throw(TypeError);
    expect(() => ((events[0]!.body as { form?: string }).form = 'side')).to.throw(TypeError);
    const piece = foldPiece(at.piece, events)!;
    expect(foldPiece(at.piece, events)).to.equal(piece);
    expect(() => ((piece as { grams: number }).grams = 1)).to.throw(TypeError);
    expect(foldPiece(at.piece, events, { at: events[0]!.happened - 1 })).to.equal(null);
  });
  it('knows a new entry at once, and forgets one that was rolled back', () => {
    const { record, transact } = at.house.store;
    const before = record.eventsOf(subject()).length;
    const read = draft('cold.read', subject(), NOON, { reading: { si: 9, unit: 'C', typed: '9 C' }, place: '' });
    const inVain = () =>
      transact(() => {
        record.append([read], 'p1', NOON);
        expect(record.eventsOf(subject())).to.have.length(before + 1);
        throw new Error('in vain');
      });
    expect(inVain).to.throw('in vain');
    expect(record.eventsOf(subject())).to.have.length(before);
    at.house.done('read-cold', { piece: at.piece, reading: '3 C' });
    expect(record.eventsOf(subject())).to.have.length(before + 1);
  });
  it('a time that was put right counts, whatever was kept before', () => {
    const { house, piece } = at;
    house.clock.moveTo(NOON + 5 * HOUR, true);
    const told = () => house.store.projections.piece(piece).state;
    house.done('read-cold', { piece, reading: '3 C' });
    const { seq } = house.store.record.head();
    const read = () => told().readings.find((each) => each.seq === seq)!.at;
    expect(read()).to.equal(NOON + 5 * HOUR);
    house.done('amend-entry', {
      seq,
      happened: new Date(NOON + 4 * HOUR).toISOString(),
      reason: 'read an hour sooner'
    });
    expect(read()).to.equal(NOON + 4 * HOUR);
    // As of a moment between the two, it had happened already.
    const events = house.store.record.eventsOf(subject());
    const asOf = (hours: number) =>
      foldPiece(piece, events, { at: NOON + hours * HOUR })!.readings.map((each) => each.at);
    expect(asOf(4.5)).to.include(NOON + 4 * HOUR);
    expect(asOf(3.5)).to.not.include(NOON + 4 * HOUR);
  });
});

describe('what lives here', () => {
  const folder = scratch();
  const file = join(folder.path, 'ledger.sqlite');
  const house = openTestHouse(file);
  after(() => {
    house.close();
    folder.clear();
  });
  const { store } = house;
  const grams = () => store.projections.livePieces().map(({ state }) => state.grams);

  it('is read once, and again as soon as anybody wrote: this hand, this hand in vain, another', () => {
    const piece = String(house.done('receive-lot', CHAR).piece);
    const before = store.projections.livePieces();
    expect(store.projections.livePieces()).to.equal(before);
    const [first] = grams();
    const halve = store.db.prepare(`UPDATE pieces SET state = json_set(state, '$.grams', ?)`);
    const inVain = () =>
      store.transact(() => {
        halve.run(first! / 2);
        expect(grams()).to.deep.equal([first! / 2]);
        throw new Error('in vain');
      });
    expect(inVain).to.throw('in vain');
    expect(grams()).to.deep.equal([first]);

    const other = new Database(file);
    other.prepare(`UPDATE pieces SET state = json_set(state, '$.grams', ?)`).run(first! / 4);
    other.close();
    expect(grams()).to.deep.equal([first! / 4]);
    halve.run(first);
    house.done('discard-piece', { piece, reason: 'dropped on the floor', all: true });
    expect(grams()).to.deep.equal([]);
  });
});

describe('a reading judges what it can speak of', () => {
  it('and what had left its place long before is not touched', () => {
    const { house, app, send } = coldHouse();
    house.done('set-place', { name: 'Shelf', kind: 'drawer' });
    const piece = String(house.done('receive-lot', CHAR).piece);
    house.done('move-piece', { piece, place: 'Drawer' });
    send('Drawer air', 0, 4, 2);
    house.done('move-piece', { piece, place: 'Shelf' });
    send('Drawer air', 4, 30, 2);
    const count = () => house.store.db.prepare<[], { n: number }>('SELECT total_changes() AS n').get()!.n;
    const costs = (hours: number) => {
      const before = count();
      const sent = { sensor: 'Drawer air', at: new Date(NOON + hours * HOUR).toISOString(), celsius: 9 };
      expect(takeReadings(app, KEY, liveBody.parse({ readings: [sent] })).taken).to.equal(1);
      return count() - before;
    };
    house.clock.moveTo(NOON + 31 * HOUR, true);
    costs(30.8);
    const late = costs(30.9);
    // A reading that comes late and speaks of the time it lay there costs the judging of it.
    expect(costs(3.95)).to.be.greaterThan(late);
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
  });
  it('whatever comes, how late and from where: every row is as if it were judged anew', () => {
    const steps = fc.array(
      fc.record({
        wait: fc.double({ min: 0.1, max: 15, noNaN: true }),
        late: fc.double({ min: 0, max: 40, noNaN: true }),
        celsius: fc.constantFrom(1, 2, 4.5, 9, 21),
        what: fc.constantFrom('drawer', 'drawer', 'shelf', 'hand', 'move', 'late')
      }),
      { minLength: 5, maxLength: 25 }
    );
    // What the last word of a place leaves standing, a piece that is moved in takes up at that very moment.
    const step = (what: 'drawer' | 'move' | 'shelf', celsius: 1 | 4.5 = 1) => ({ wait: 0.1, late: 0, celsius, what });
    const MOVED_IN = [step('drawer'), step('drawer', 4.5), step('move'), step('shelf')];
    fc.assert(
      fc.property(steps, (all) => {
        const { house, app } = coldHouse();
        house.done('set-place', { name: 'Shelf', kind: 'drawer' });
        house.done('set-sensor', { name: 'Shelf air', place: 'Shelf' });
        house.done('key-device', { name: 'Other', sensors: 'Shelf air' });
        const piece = String(house.done('receive-lot', CHAR).piece);
        let now = NOON;
        let place = '';
        for (const { wait, late, celsius, what } of all) {
          now += Math.round(wait * 60) * 60_000;
          house.clock.moveTo(now, true);
          const sends = (sensor: string, key: string, back: number) =>
            takeReadings(
              app,
              key,
              liveBody.parse({ readings: [{ sensor, at: new Date(now - back * HOUR).toISOString(), celsius }] })
            );
          if (what === 'drawer') sends('Drawer air', KEY, 0);
          else if (what === 'late') sends('Drawer air', KEY, late);
          else if (what === 'shelf') sends('Shelf air', 'a-key-nobody-guesses-2', 0);
          else if (what === 'hand') house.done('read-place', { place: 'drawer', reading: `${celsius} C` });
          else {
            place = place === 'Drawer' ? 'Shelf' : 'Drawer';
            house.done('move-piece', { piece, place });
          }
        }
        const { trouble } = verify(house.store, now);
        house.close();
        expect(trouble).to.equal(null);
      }),
      { ...runs(200), examples: [[MOVED_IN]] }
    );
  });
});

describe('the house set', () => {
  it('judges anew where a rule moves, and leaves everything where it is called otherwise', () => {
    const house = openTestHouse();
    house.done('receive-lot', CHAR);
    const { projections, db } = house.store;
    const count = () => db.prepare<[], { n: number }>('SELECT total_changes() AS n').get()!.n;
    const settings = {
      name: 'New house',
      profile: 'us-fc',
      zone: 'UTC',
      dayEndsHour: 4,
      currency: 'EUR',
      countFromCore: true,
      warnMinutes: 120,
      rawShareOfIceDays: 0.5,
      dateMarkDays: 7
    };
    const costs = (more: object) => {
      const before = count();
      house.done('set-house', { ...settings, ...more });
      return count() - before;
    };
    costs({});
    const name = costs({ name: 'The Ebb Counter', currency: 'USD', warnMinutes: 60 });
    expect(projections.currentHouse().name).to.equal('The Ebb Counter');
    expect(costs({ profile: 'eu' })).to.be.greaterThan(name);
    expect(verify(house.store, NOON).trouble).to.equal(null);
    house.close();
  });
});
