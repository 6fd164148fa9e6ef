import { expect } from 'chai';
import fc from 'fast-check';
import type { App } from '../../src/lib/server/app.ts';
import { excursionsIn } from '../../src/lib/server/facts/excursions.ts';
import { liveBody, takeReadings } from '../../src/lib/server/operations/live-readings.ts';
import { coldPlaces, freezeRunView, freezingRecord, placeLogView, placeView } from '../../src/lib/server/views/cold.ts';
import { pieceView } from '../../src/lib/server/views/piece.ts';
import { nowView } from '../../src/lib/server/views/now.ts';
import { chunksOf, pack, unpack } from '../../src/lib/server/store/readings.ts';
import { draft } from '../../src/lib/server/store/record.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { seriesOf, type LogReading } from '../../src/lib/core/log/series.ts';
import { troubleOf } from '../core/measure.test.ts';
import { CHAR, FEED, HOUR, NOON, openTestHouse, type TestHouse } from './house.ts';

const MINUTE = 60_000;
const KEY = 'a-key-that-is-long-enough';
const HALIBUT = {
  species: 'halibut',
  form: 'block',
  source: 'wild',
  water: 'sea',
  commercial: 'yes',
  supplier: 'Kelda Bay Boats',
  caughtOn: '2026-03-09',
  mass: '900 g',
  thickness: '30 mm',
  core: '1 C'
};

/** A house with a drawer and two freezers, their sensors, and a logger with a key. */
function coldHouse() {
  const house = openTestHouse();
  const app = { ...house, config: { mode: 'test' }, movable: house.clock, readOnly: false } as unknown as App;
  house.done('set-place', { name: 'Drawer', kind: 'drawer' });
  house.done('set-place', { name: 'Chest', kind: 'freezer', setPoint: '-25 C', litres: 200 });
  house.done('set-sensor', { name: 'Drawer air', place: 'Drawer', accuracy: 0.3 });
  house.done('set-sensor', { name: 'Chest air', place: 'Chest' });
  house.done('set-sensor', { name: 'Core probe', place: 'Chest', probe: 'core' });
  house.done('key-device', { name: 'Logger', key: KEY });
  const at = (hours: number) => new Date(NOON + hours * HOUR).toISOString();
  /** Sends a reading every ten minutes from one hour to another, with the clock at the last. */
  const send = (sensor: string, from: number, to: number, figure: number | ((hours: number) => number)) => {
    const readings = [];
    for (let minute = Math.round(from * 60); minute <= Math.round(to * 60); minute += 10) {
      const celsius = typeof figure === 'number' ? figure : figure(minute / 60);
      readings.push({ sensor, at: at(minute / 60), celsius });
    }
    if (house.clock.now() < NOON + to * HOUR) house.clock.moveTo(NOON + to * HOUR, true);
    return takeReadings(app, KEY, liveBody.parse({ readings }));
  };
  const route = (piece: string, of = 'raw', when?: number, known?: number) => {
    const view = pieceView(app, piece, when, known);
    return view.verdict.windows.find(({ route: each }) => each === of)!;
  };
  return { house, app, at, send, route };
}
const opened: TestHouse[] = [];
const open = () => {
  const made = coldHouse();
  opened.push(made.house);
  return made;
};
afterEach(() => opened.splice(0).forEach((house) => house.close()));

describe('a logger that sends', () => {
  it('is turned away without a key, and named in the ledger with one that was taken back', () => {
    const { app, house, at } = open();
    const body = liveBody.parse({ readings: [{ sensor: 'Drawer air', at: at(0), celsius: 2 }] });
    expect(troubleOf(() => takeReadings(app, 'somebody-elses-key-0000', body)).code).to.equal('device.key-unknown');
    house.done('revoke-device', { device: 'logger', reason: 'lost on the quay' });
    expect(troubleOf(() => takeReadings(app, KEY, body)).code).to.equal('device.key-revoked');
    const [entry] = house.store.record.list({ kind: 'readings.quarantined', limit: 5 });
    expect(entry!.body).to.include({ cause: 'key-revoked', count: 1 });
    expect(excursionsIn(house.store, NOON).map(({ kind, cause }) => [kind, cause])).to.deep.equal([
      ['quarantine', 'key-revoked']
    ]);
    expect(house.store.readings.span('drawer-air').count).to.equal(0);
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
      sensor: 'drawer-air',
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
    house.done('start-freeze', {
      piece: 'HAL-0309-1-A',
      place: 'Chest',
      air: '-25 C',
      airClass: 'fan',
      packing: 'bare',
      thickness: '30 mm',
      startCore: '1 C',
      cycle: 'us-168h'
    });
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

describe('excursions', () => {
  const warmDrawer = () => {
    const made = open();
    made.house.done('receive-lot', CHAR);
    made.house.done('move-piece', { piece: 'ARC-0309-1-A', place: 'Drawer' });
    made.send('Drawer air', 0, 1, 2);
    made.send('Drawer air', 1.2, 2.2, 9);
    return made;
  };
  const close = (house: TestHouse, from: number, more: object = {}) =>
    house.act('close-excursion', {
      place: 'Drawer',
      kind: 'warm',
      from,
      action: 'core-checked',
      note: 'core 2 °C',
      ...more
    });
  it('are in Now, with what lies there; one that lasts cannot be closed', () => {
    const { house, app } = warmDrawer();
    const [found] = nowView(app).excursions;
    expect(found).to.include({ place: 'Drawer', kind: 'warm', to: null, peak: 9, pieces: 1 });
    expect(close(house, found!.from)).to.include({ ok: false, code: 'record.not-allowed-now' });
  });
  it('are closed by name with what was done, once, and stay in the record', () => {
    const { house, app, send } = warmDrawer();
    send('Drawer air', 2.4, 3, 2);
    const [found] = nowView(app).excursions;
    expect(found!.to).to.be.closeTo(NOON + 2.3 * HOUR, 0.1 * HOUR);
    expect(close(house, found!.from, { note: '' })).to.include({ ok: false });
    expect(close(house, found!.from)).to.include({ ok: true });
    expect(nowView(app).excursions).to.deep.equal([]);
    expect(close(house, found!.from)).to.include({ ok: false, code: 'excursion.unknown' });
    const kept = placeView(app, 'drawer').excursions[0]!;
    expect(kept.closed).to.include({ by: 'p1', action: 'core-checked', note: 'core 2 °C' });
    expect(kept.closed!.pieces).to.deep.equal(['ARC-0309-1-A']);
  });
  it('an unknown one is refused by name', () => {
    const { house } = warmDrawer();
    expect(close(house, NOON - 99 * HOUR)).to.include({ ok: false, code: 'excursion.unknown' });
  });
  it('a logger that fell silent is one, until it speaks; a sensor that was taken away is none', () => {
    const { house, app, send } = open();
    send('Drawer air', 0, 1, 2);
    house.clock.moveTo(NOON + 4 * HOUR, true);
    expect(nowView(app).excursions.map(({ kind, to }) => [kind, to])).to.deep.equal([['silent', null]]);
    send('Drawer air', 4, 4.5, 2);
    expect(nowView(app).excursions.map(({ kind, to }) => [kind, (to! - NOON) / HOUR])).to.deep.equal([['silent', 4]]);
    house.clock.moveTo(NOON + 9 * HOUR, true);
    house.done('set-sensor', { name: 'Drawer air', withdraw: true });
    expect(nowView(app).excursions.some(({ to }) => to === null)).to.equal(false);
  });
  it('a fridge that somebody read warm is one, though no sensor stands in it', () => {
    const { house, app } = open();
    house.done('set-place', { name: 'Back fridge', kind: 'fridge' });
    house.done('read-place', { place: 'Back fridge', reading: '9 C' });
    house.clock.moveTo(NOON + HOUR, true);
    expect(nowView(app).excursions.map(({ place, kind }) => [place, kind])).to.deep.equal([['Back fridge', 'warm']]);
  });
});

describe('a freezer run by its log', () => {
  const START_FREEZE = {
    piece: 'HAL-0309-1-A',
    place: 'Chest',
    air: '-25 C',
    airClass: 'fan',
    packing: 'bare',
    thickness: '30 mm',
    startCore: '1 C',
    cycle: 'us-168h',
    coreSensor: 'core-probe'
  };
  it('runs through an excursion to its release, and its record is kept 90 days beyond the last service', () => {
    const { house, app, send, route } = open();
    house.done('receive-lot', HALIBUT);
    house.done('start-freeze', START_FREEZE);
    const core = (hours: number) => (hours < 3 ? 1 - 8 * hours : hours > 30 && hours < 31 ? -18 : -23);
    send('Chest air', 0, 50, (at) => (at > 30 && at < 31 ? -11 : -25));
    send('Core probe', 0, 50, core);
    expect(route('HAL-0309-1-A').state).to.equal('locked');
    const [hold] = nowView(app).excursions.filter(({ kind }) => kind === 'hold');
    expect(hold).to.include({ place: 'Chest', pieces: 1, limit: -20, peak: -11 });
    house.done('close-excursion', {
      place: 'Chest',
      kind: 'hold',
      from: hold!.from,
      action: 'defrost',
      note: 'its own defrost'
    });
    send('Chest air', 50.2, 200, -25);
    send('Core probe', 50.2, 200, core);
    const view = freezeRunView(app, 'HAL-0309-1-A')!;
    const counts = view.ways.find(({ clock, accuracy }) => clock === 'core' && accuracy === 'plain')!.result;
    // From the first cold reading after the defrost on, at hour 31.
    expect((counts.satisfiedAt! - NOON) / HOUR).to.be.closeTo(31 + 168, 0.2);
    const done = house.done('end-freeze', { piece: 'HAL-0309-1-A', place: 'Drawer' }) as { release: object };
    expect(done.release).to.include({ cycle: 'us-168h', clock: 'core', accuracy: 'plain', excursions: 1 });
    expect(house.store.readings.tailSpan('chest-air').count).to.equal(0);
    expect(route('HAL-0309-1-A').state).to.equal('open');

    expect(freezingRecord(app, 'HAL-0309-1-A')).to.include({ keepUntil: null, keepDays: 90 });
    const serve = (grams: string) =>
      house.done('serve-piece', { piece: 'HAL-0309-1-A', route: 'raw', mass: grams, dish: 'Slices' });
    serve('100 g');
    const first = freezingRecord(app, 'HAL-0309-1-A').keepUntil!;
    house.clock.moveTo(house.clock.now() + 24 * HOUR, true);
    serve('100 g');
    const second = freezingRecord(app, 'HAL-0309-1-A').keepUntil!;
    expect(Date.parse(second) - Date.parse(first)).to.equal(24 * HOUR);
    expect(Date.parse(first) - Date.parse('2026-03-17')).to.equal(90 * 24 * HOUR);
    expect(verify(house.store, house.clock.now())).to.include({ ok: true, trouble: null });
  });
  it('several pieces go in together; a probe that is none is refused', () => {
    const { house } = open();
    house.done('receive-lot', HALIBUT);
    house.done('receive-lot', HALIBUT);
    expect(house.act('start-freeze', { ...START_FREEZE, coreSensor: 'chest-air' })).to.include({
      code: 'sensor.unknown'
    });
    const { pieces } = house.done('start-freeze', { ...START_FREEZE, others: 'HAL-0309-2-A' }) as { pieces: string[] };
    expect(pieces).to.deep.equal(['HAL-0309-1-A', 'HAL-0309-2-A']);
    const other = house.store.projections.piece('HAL-0309-2-A').state.freezes[0]!;
    // Nobody said how they lie: reckoned as one block, not as if the air went between.
    expect(other.plan).to.include({
      loadGrams: 1800,
      place: 'Chest',
      coreSensor: 'core-probe',
      lie: 'unknown',
      stack: 2
    });
  });
  it('packs that lie apart are each their own, stacked ones say how many', () => {
    const { house } = open();
    house.done('receive-lot', HALIBUT);
    house.done('receive-lot', HALIBUT);
    const start = { ...START_FREEZE, coreSensor: '' };
    expect(house.act('start-freeze', { ...start, lie: 'stacked' })).to.deep.include({
      code: 'form.incomplete',
      details: { field: 'stack' }
    });
    expect(house.act('start-freeze', { ...start, lie: 'stacked', stack: 41 })).to.include({ ok: false });
    const arrival = (answer: Record<string, unknown>) => (answer.coreArrival as { high: number }).high;
    const stacked = arrival(house.done('start-freeze', { ...start, lie: 'stacked', stack: 4 }));
    const apart = arrival(house.done('start-freeze', { ...start, piece: 'HAL-0309-2-A', lie: 'apart' }));
    expect(stacked).to.be.greaterThan(4 * apart);
  });
  it('air that is warmer than planned stops the forecast until it is made anew', () => {
    const { house, app, send } = open();
    house.done('receive-lot', HALIBUT);
    house.done('start-freeze', { ...START_FREEZE, coreSensor: '' });
    send('Chest air', 0, 30, -22);
    expect(freezeRunView(app, 'HAL-0309-1-A')!.results[0]!.holdFrom).to.equal(null);
    house.done('replan-freeze', { piece: 'HAL-0309-1-A', air: '-22 C', cause: 'lid iced up' });
    const { holdFrom } = freezeRunView(app, 'HAL-0309-1-A')!.results[0]!;
    expect((holdFrom! - NOON) / HOUR).to.be.within(2, 20);
  });
});

describe('thawing', () => {
  const frozen = () => {
    const made = open();
    made.house.done('receive-lot', { ...HALIBUT, frozen: true, core: '-20 C' });
    return made;
  };
  const THAW = {
    piece: 'HAL-0309-1-A',
    place: 'Drawer',
    method: 'cold',
    medium: '3 C',
    packing: 'film',
    thickness: '30 mm',
    startCore: '-20 C'
  };
  it('a closed pack without oxygen is refused in the cold, unless somebody answers for it', () => {
    const { house, app } = frozen();
    expect(house.act('start-thaw', { ...THAW, pack: 'closed' })).to.include({ ok: false, code: 'thaw.in-closed-pack' });
    house.done('start-thaw', { ...THAW, pack: 'closed', own: true });
    expect(pieceView(app, 'HAL-0309-1-A').verdict.reasons.map(({ code }) => code)).to.include('thaw.closed-pack');
  });
  it('weighs its drip, lies where it thaws, and cannot thaw twice', () => {
    const { house } = frozen();
    house.done('start-thaw', THAW);
    expect(house.act('start-thaw', THAW)).to.include({ ok: false, code: 'record.not-allowed-now' });
    house.clock.moveTo(NOON + 14 * HOUR, true);
    expect(house.act('end-thaw', { piece: 'HAL-0309-1-A', massAfter: '400 g' }).ok).to.equal(false);
    expect(house.done('end-thaw', { piece: 'HAL-0309-1-A', core: '1 C', massAfter: '880 g' })).to.include({ drip: 20 });
    const { state } = house.store.projections.piece('HAL-0309-1-A');
    expect(state.grams).to.equal(880);
    expect(state.stays.at(-1)).to.include({ place: 'Drawer', to: null });
    expect(house.act('start-thaw', THAW)).to.include({ ok: false, code: 'record.not-allowed-now' });
  });
  it('under warm water spends warm hours by the forecast; fish that is not frozen does not thaw', () => {
    const { house } = frozen();
    house.done('start-thaw', { ...THAW, method: 'water', medium: '18 C' });
    house.clock.moveTo(NOON + 2 * HOUR, true);
    const { warmSeconds } = house.done('end-thaw', { piece: 'HAL-0309-1-A', core: '6 C' }) as { warmSeconds: number };
    expect(warmSeconds).to.be.within(3600, 2 * 3600);
    house.done('receive-lot', HALIBUT);
    expect(house.act('start-thaw', { ...THAW, piece: 'HAL-0309-2-A' })).to.include({ code: 'record.not-allowed-now' });
  });
  it('a piece in a freezer comes out of it with the same entry, and what was proven is written down', () => {
    const { house } = open();
    house.done('receive-lot', HALIBUT);
    house.done('start-freeze', {
      piece: 'HAL-0309-1-A',
      place: 'Chest',
      air: '-25 C',
      thickness: '30 mm',
      startCore: '1 C',
      cycle: 'us-168h'
    });
    house.clock.moveTo(NOON + 10 * HOUR, true);
    house.done('start-thaw', THAW);
    const [run] = house.store.projections.piece('HAL-0309-1-A').state.freezes;
    expect(run!.ended!.release).to.include({ satisfiedAt: null, heldSeconds: 0 });
  });
});

describe('a year of a sensor', () => {
  it('is seen whole, and no extreme of it is lost', () => {
    const { house, app } = open();
    const readings: LogReading[] = [];
    for (let at = NOON - 365 * 24 * HOUR; at <= NOON; at += 10 * MINUTE) readings.push({ at, celsius: -25 });
    readings[20_000] = { ...readings[20_000]!, celsius: -3.7 };
    house.executor.write('test', ({ store, house: settings, now }) => ({
      events: chunksOf('chest-air', seriesOf(readings), settings, {
        source: 'import',
        origin: 'x',
        clockOffsetSeconds: 0
      }).map((chunk) => draft('readings.stored', 'sensor:chest-air', now, store.readings.keep(chunk, now))),
      places: ['Chest'],
      result: null
    }));
    const { bins, readings: count } = placeLogView(app, { id: 'chest', points: 200 });
    expect(count).to.equal(readings.length);
    expect(bins).to.have.length(200);
    expect(Math.max(...bins.map(({ max }) => max))).to.equal(-3.7);
    const { at } = readings[20_000]!;
    const close = placeLogView(app, { id: 'chest', from: at - HOUR, to: at + HOUR, points: 100 });
    expect(close.readings).to.equal(13);
    expect(troubleOf(() => placeLogView(app, { id: 'chest', from: at, to: at - 1, points: 100 })).code).to.equal(
      'time.out-of-order'
    );
    expect(troubleOf(() => placeLogView(app, { id: 'moon', points: 100 })).code).to.equal('place.unknown');
  });
});
