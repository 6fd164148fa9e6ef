import { expect } from 'chai';
import fc from 'fast-check';
import { EVENT_KINDS, type BodyOf } from '../../src/lib/core/record/events.ts';
import { draft } from '../../src/lib/server/store/record.ts';
import { liveBody, MOST_A_MINUTE, MOST_AT_ONCE, takeReadings } from '../../src/lib/server/operations/live-readings.ts';
import { coldPlaces, freezeRunView, placeLogView } from '../../src/lib/server/views/cold.ts';
import { pieceView } from '../../src/lib/server/views/piece.ts';
import { pack, unpack } from '../../src/lib/server/store/packing.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { seriesOf } from '../../src/lib/core/log/series.ts';
import { troubleOf } from '../trouble.ts';
import { CHAR, FEED, HOUR, NOON } from './house.ts';
import { INTO_CHEST, MINUTE, KEY, HALIBUT, open } from './cold-house.ts';

describe('a logger that sends', () => {
  it('is turned away without a key and with one that was taken back, and neither writes a line', () => {
    const { app, house, at } = open();
    const readings = Array.from({ length: MOST_AT_ONCE }, (_, index) => ({
      sensor: `Nobody ${index}`,
      at: at(0),
      celsius: 2
    }));
    const body = liveBody.parse({ readings });
    expect(troubleOf(() => takeReadings(app, 'somebody-elses-key-0000', body)).code).to.equal('device.key-unknown');
    house.done('revoke-device', { device: 'logger', reason: 'lost on the quay' });
    const { seq } = house.store.record.head();
    expect(troubleOf(() => takeReadings(app, KEY, body)).code).to.equal('device.key-revoked');
    expect(house.store.record.head().seq).to.equal(seq);
    expect(coldPlaces(app).waiting).to.deep.equal([]);
  });
  it('sends for its own sensors alone; a new key makes the old one worth nothing', () => {
    const { app, house, at } = open();
    house.done('set-sensor', { name: 'Other air', place: 'Drawer' });
    const one = (sensor: string) => liveBody.parse({ readings: [{ sensor, at: at(0), celsius: 2 }] });
    expect(takeReadings(app, KEY, one('Other air')).refused).to.deep.include({
      sensor: 'Other air',
      cause: 'not-its-own',
      example: `Other air: ${at(0)} 2 °C`
    });
    expect(house.store.readings.span('other-air').count).to.equal(0);
    const { key } = house.done('key-device', { name: 'Logger', sensors: 'Other air' });
    expect(troubleOf(() => takeReadings(app, KEY, one('Other air'))).code).to.equal('device.key-unknown');
    expect(takeReadings(app, String(key), one('Other air')).taken).to.equal(1);
    const sensors = (given: string) => house.act('key-device', { name: 'Logger', sensors: given });
    expect(sensors('')).to.include({ ok: false, code: 'form.incomplete' });
    expect(sensors('Nobody')).to.include({ ok: false, code: 'sensor.unknown' });
  });
  it('a key of before keys were tied still sends for every sensor', () => {
    const { app, house, at } = open();
    house.done('set-sensor', { name: 'Other air', place: 'Drawer' });
    const { devices } = house.store.projections.currentHouse();
    const from1 = EVENT_KINDS['device.keyed'].upcasts[0]!({
      id: 'logger',
      name: 'Logger',
      keyHash: devices.logger!.keyHash
    });
    house.store.transact(() => {
      house.store.record.append([draft('device.keyed', 'house', NOON, from1 as BodyOf<'device.keyed'>)], 'p1', NOON);
      house.store.projections.refold('house', NOON);
    });
    const sent = liveBody.parse({ readings: [{ sensor: 'Other air', at: at(0), celsius: 2 }] });
    expect(takeReadings(app, KEY, sent).taken).to.equal(1);
  });
  it('names nobody has given, clocks days off and what is weeks old are one line each, however many they are', () => {
    const { app, house, at } = open();
    const many = (sensor: (index: number) => string, hours: number) =>
      Array.from({ length: 3000 }, (_, index) => ({ sensor: sensor(index), at: at(hours - index / 60), celsius: 2 }));
    const told = () =>
      house.store.record
        .list({ kind: 'readings.quarantined', limit: 5000 })
        .map(({ body }) => body as { cause: string; count: number; sensor: string });
    takeReadings(app, KEY, liveBody.parse({ readings: many((index) => `Nobody ${index}`, 0) }));
    takeReadings(app, KEY, liveBody.parse({ clock: at(-24 * 900), readings: many(() => 'Drawer air', -24 * 900) }));
    takeReadings(app, KEY, liveBody.parse({ readings: many(() => 'Drawer air', -24 * 36) }));
    expect(told().map(({ cause, count, sensor }) => [cause, count, sensor])).to.deep.equal([
      ['too-old', 3000, 'drawer-air'],
      ['clock-off', 3000, 'logger'],
      ['sensor-unknown', 3000, 'logger']
    ]);
    expect(house.store.readings.span('drawer-air').count).to.equal(0);
  });
  it('a flood is refused and is a line an hour; a logger that catches up after weeks is none', () => {
    const { app, house, at } = open();
    const send = () =>
      takeReadings(
        app,
        KEY,
        liveBody.parse({
          readings: Array.from({ length: MOST_AT_ONCE }, (_, index) => ({
            sensor: 'Drawer air',
            at: at(-index / 60),
            celsius: 2
          }))
        })
      );
    for (let weeks = 0; weeks < 4; weeks++) send();
    const { seq } = house.store.record.head();
    for (let more = 0; more < 20; more++) expect(troubleOf(send).code).to.equal('device.too-many');
    const [entry, ...others] = house.store.record.list({ kind: 'readings.quarantined' });
    expect(others).to.deep.equal([]);
    expect(entry!.body).to.include({ cause: 'flood', sensor: 'logger' });
    expect(house.store.record.head().seq).to.equal(seq + 1);
    house.clock.moveTo(NOON + (MOST_AT_ONCE / MOST_A_MINUTE) * MINUTE, true);
    expect(send().known).to.be.greaterThan(0);
  });
  it('each reading is taken, known already, or refused with its cause; none is dropped in silence', () => {
    const { app, at } = open();
    const one = (sensor: string, hours: number, more: object) => ({ sensor, at: at(hours), ...more });
    const body = liveBody.parse({
      readings: [
        one('Drawer air', -1, { celsius: 2 }),
        one('drawer-air', -0.5, { fahrenheit: 36 }),
        one('Drawer air', -1, { celsius: 2 }),
        one('Nobody', 0, { celsius: 2 }),
        one('Drawer air', 0, { celsius: 85 }),
        one('Drawer air', 1, { celsius: 2 }),
        one('Drawer air', -0.2, {})
      ]
    });
    const answer = takeReadings(app, KEY, body);
    expect(answer).to.include({ taken: 2, known: 1, clockOffsetSeconds: 0 });
    expect(answer.refused.map(({ cause }) => cause)).to.deep.equal([
      'sensor-unknown',
      'broken-probe',
      'future',
      'no-value'
    ]);
    expect(answer.taken + answer.known + answer.refused.length).to.equal(7);
    // Sent again after a lost answer, nothing is new.
    expect(takeReadings(app, KEY, body)).to.include({ taken: 0, known: 3 });
  });
  it('tells the ledger of what is refused once, and then by the hour with all that came between', () => {
    const { app, house, at } = open();
    const broken = (hours: number) =>
      takeReadings(app, KEY, liveBody.parse({ readings: [{ sensor: 'Drawer air', at: at(hours), celsius: 85 }] }));
    const told = () =>
      house.store.record
        .list({ kind: 'readings.quarantined', limit: 50 })
        .map(({ body }) => (body as { count: number }).count);
    for (let minute = 0; minute < 130; minute++) {
      house.clock.moveTo(NOON + minute * MINUTE, true);
      broken(minute / 60);
    }
    expect(told().sort((a, b) => a - b)).to.deep.equal([1, 60, 60]);
    expect(coldPlaces(app).waiting).to.deep.include({
      sensor: 'Drawer air',
      cause: 'broken-probe',
      place: 'Drawer',
      count: 9
    });
  });
  it('a clock that is off is put right by what it shows as it sends, and the answer says so', () => {
    const { app, house, at } = open();
    const answer = takeReadings(
      app,
      KEY,
      liveBody.parse({ clock: at(-3), readings: [{ sensor: 'Drawer air', at: at(-3.5), celsius: 2 }] })
    );
    expect(answer).to.include({ taken: 1, clockOffsetSeconds: 3 * 3600 });
    expect(house.store.readings.span('drawer-air').first).to.equal(NOON - 0.5 * HOUR);
  });
  it('what was warm once is so for good, however long the piece lies there, and whenever it is asked', () => {
    const { house, send, at } = open();
    const piece = String(house.done('receive-lot', HALIBUT).piece);
    house.done('move-piece', { piece, place: 'Drawer', at: at(0) });
    send('Drawer air', 0, 30, (hours) => (hours > 2 && hours < 9 ? 21 : 2));
    const judged = () => JSON.stringify(house.store.projections.piece(piece).windows);
    const then = judged();
    for (const days of [34, 36, 70, 400]) {
      const when = NOON + days * 24 * HOUR;
      expect(verify(house.store, when).trouble, `asked after ${days} days`).to.equal(null);
      house.store.projections.rebuild(when);
      expect(judged(), `judged anew after ${days} days`).to.equal(then);
    }
  });
  it('what it sent is sealed into the chain by the day, and verifies', () => {
    const { house, send } = open();
    send('Chest air', 0, 30, -25);
    send('Chest air', 30.2, 31, -25);
    expect(house.store.readings.tailSpan('chest-air').count).to.be.lessThan(10);
    expect(house.store.record.list({ kind: 'readings.stored', limit: 9 })).to.have.length(2);
    expect(verify(house.store, house.clock.now())).to.include({ ok: true, trouble: null });
  });
});

describe('packed readings that came one by one', () => {
  it('remember when each came', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 1400 }), { minLength: 1, maxLength: 40 }),
        fc.nat(1500),
        (minutes, by) => {
          const series = seriesOf(minutes.map((minute) => ({ at: NOON + minute * MINUTE, celsius: minute / 100 })));
          const came = Float64Array.from(series.at, (at) => at + 30_000);
          const packed = pack(series, came);
          const known = NOON + by * MINUTE;
          expect([...unpack(packed, known).at]).to.deep.equal([...series.at].filter((at) => at + 30_000 <= known));
          expect([...unpack(packed).celsius]).to.deep.equal([...series.celsius]);
        }
      )
    );
  });
  it('a verdict asked again for what was known then is the same after they are sealed', () => {
    const { house, send, route, app } = open();
    house.done('receive-lot', HALIBUT);
    house.done('start-freeze', INTO_CHEST);
    const asked: { when: number; told: string }[] = [];
    for (let hours = 2; hours <= 60; hours += 2) {
      send('Chest air', hours - 2, hours, (at) => (at > 20 && at < 23 ? -12 : -25));
      const when = house.clock.now();
      asked.push({ when, told: JSON.stringify(route('HAL-0309-1-A', 'raw', when, when)) });
    }
    const sealedChunks = house.store.record.list({ kind: 'readings.stored', limit: 99 }).length;
    expect(sealedChunks).to.be.greaterThan(1);
    for (const { when, told } of asked) {
      expect(JSON.stringify(route('HAL-0309-1-A', 'raw', when, when)), new Date(when).toISOString()).to.equal(told);
    }
    expect(freezeRunView(app, 'HAL-0309-1-A')!.results[0]!.excursions).to.have.length(1);
  });
});

describe('the air a piece lies in', () => {
  const withChar = () => {
    const made = open();
    made.house.done('receive-lot', CHAR);
    made.house.done('attach-evidence', { lot: 'ARC-0309-1', ...FEED });
    made.house.done('move-piece', { piece: 'ARC-0309-1-A', place: 'Drawer' });
    return made;
  };
  it('closes its windows when it was warm for too long, without anybody touching it', () => {
    const { house, send, route } = withChar();
    send('Drawer air', 0, 2, 2);
    expect(route('ARC-0309-1-A').state).to.equal('open');
    send('Drawer air', 2.2, 7, 8);
    expect(route('ARC-0309-1-A').state).to.equal('closed');
    // What the screens keep of it says so too.
    const [piece] = house.store.projections.livePieces();
    expect(piece!.windows.find(({ route: each }) => each === 'raw')!.closes).to.be.closeTo(
      NOON + 6.1 * HOUR,
      0.1 * HOUR
    );
    expect(verify(house.store, house.clock.now())).to.include({ ok: true, trouble: null });
  });
  it('a sensor that is taken off the list takes no warm hour with it', () => {
    const { house, send, route } = withChar();
    send('Drawer air', 0, 6, 8);
    expect(route('ARC-0309-1-A').state).to.equal('closed');
    house.done('set-sensor', { name: 'Drawer air', withdraw: true });
    expect(route('ARC-0309-1-A').state).to.equal('closed');
    house.done('set-place', { name: 'Drawer', kind: 'drawer', withdraw: true });
    expect(route('ARC-0309-1-A').state).to.equal('closed');
  });
  it('a sensor that moves speaks of each place while it stood there', () => {
    const { house, send, app } = withChar();
    send('Drawer air', 0, 2, 3);
    house.done('set-sensor', { name: 'Drawer air', place: 'Chest' });
    send('Drawer air', 2.2, 4, -20);
    const count = (id: string) => placeLogView(app, { id, points: 50 }).readings;
    expect(count('drawer')).to.equal(13);
    expect(house.store.projections.logs.air('Chest', NOON, NOON + 9 * HOUR).length).to.equal(11);
  });
  it('a thermometer read by hand counts like a logger, and its warmth stands until somebody reads it cold', () => {
    const { house, route, at } = withChar();
    house.clock.moveTo(NOON + 5 * HOUR, true);
    house.done('read-place', { place: 'Drawer', reading: '8 C', at: at(0.5) });
    expect(route('ARC-0309-1-A').state).to.equal('not-cleared');
    house.done('read-place', { place: 'Drawer', reading: '3 C', at: at(3) });
    expect(route('ARC-0309-1-A').state).to.equal('open');
  });
  it('a reading of a place that is amended judges anew what lies there, and one that opens a window has to be owned', () => {
    const { house, route, at } = withChar();
    house.clock.moveTo(NOON + 5 * HOUR, true);
    house.done('read-place', { place: 'Drawer', reading: '38 C', at: at(0.5) });
    const { seq } = house.store.record.head();
    const amend = (more: object) =>
      house.act('amend-entry', {
        seq,
        patch: { reading: { si: 3.8, unit: 'C', typed: '3.8 C' } },
        reason: 'a slip of the point',
        ...more
      });
    const kept = () => house.store.projections.livePieces()[0]!.windows.find(({ route: each }) => each === 'raw')!;
    const before = kept().closes!;
    expect(route('ARC-0309-1-A').state).to.equal('closed');
    expect(amend({})).to.include({ ok: false, code: 'record.widens-without-owner' });
    expect(kept().closes).to.equal(before);
    expect(amend({ ownWidening: true })).to.include({ ok: true });
    expect(route('ARC-0309-1-A').state).to.equal('open');
    expect(kept().closes).to.be.greaterThan(before);
    expect(verify(house.store, house.clock.now())).to.include({ ok: true, trouble: null });
  });
  it('the piece says where it lay, and what the log there says of that time', () => {
    const { send, app } = withChar();
    send('Drawer air', 0, 4, 3);
    const [stay] = pieceView(app, 'ARC-0309-1-A').clocks.where;
    expect(stay).to.include({ place: 'Drawer', to: null });
    expect(stay!.log).to.include({ mean: 3, peak: 3, seconds: 4 * 3600 });
  });
});
