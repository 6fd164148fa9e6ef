import { expect } from 'chai';
import { freezeRunView, freezingRecord, placeLogView, placeView } from '../../src/lib/server/views/cold.ts';
import { pieceView } from '../../src/lib/server/views/piece.ts';
import { nowView } from '../../src/lib/server/views/now.ts';
import { chunksOf } from '../../src/lib/server/store/readings.ts';
import { draft } from '../../src/lib/server/store/record.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { seriesOf, type LogReading } from '../../src/lib/core/log/series.ts';
import { troubleOf } from '../trouble.ts';
import { CHAR, HOUR, NOON, type TestHouse } from './house.ts';
import { INTO_CHEST, MINUTE, HALIBUT, open } from './cold-house.ts';

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
  it('a sensor that fell silent is dealt with once somebody read the place, also while it stays silent', () => {
    const { house, app, send } = open();
    send('Drawer air', 0, 1, 2);
    house.clock.moveTo(NOON + 5 * HOUR, true);
    const silent = () => nowView(app).excursions.filter(({ kind }) => kind === 'silent');
    const [found] = silent();
    const answer = () =>
      close(house, found!.from, { kind: 'silent', action: 'sensor-mended', note: 'its battery; 2 °C by hand' });
    expect(answer()).to.include({ ok: false, code: 'record.not-allowed-now' });
    house.done('read-place', { place: 'drawer', reading: '2 C' });
    expect(answer().ok).to.equal(true);
    expect(silent()).to.deep.equal([]);
    // Half a day on nobody knows again.
    house.clock.moveTo(NOON + 18 * HOUR, true);
    expect(silent().map(({ from, to }) => [(from - NOON) / HOUR, to])).to.deep.equal([[5, null]]);
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
  const START_FREEZE = { ...INTO_CHEST, coreSensor: 'core-probe' };
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
