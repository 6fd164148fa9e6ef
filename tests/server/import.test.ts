import { expect } from 'chai';
import Database from 'better-sqlite3';
import { existsSync, mkdirSync, readdirSync, writeFileSync, copyFileSync } from 'node:fs';
import { join } from 'node:path';
import { openImports, type Imports } from '../../src/lib/server/import/jobs.ts';
import { closeUnfinished } from '../../src/lib/server/import/keep.ts';
import type { Executor } from '../../src/lib/server/operations/execute.ts';
import type { LogMapping } from '../../src/lib/core/log/csv.ts';
import { migrate, sha256 } from '../../src/lib/server/store/open.ts';
import { openStore } from '../../src/lib/server/store/store.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { eventually } from '../patience.ts';
import { troubleOf } from '../trouble.ts';
import { CHAR, HOUR, NOON, openTestHouse, scratch, type TestHouse } from './house.ts';

const stream = (text: string) => new Response(text).body;
/** Eight days of a messy logger: semicolons, decimal commas, local times, a gap, and rows that are none. */
function messy(): string {
  const lines = ['Logger 88-1203', 'Date;Time;Chest °C;Door', ''];
  const pad = (value: number) => String(value).padStart(2, '0');
  for (let minute = 0; minute < 8 * 1440; minute += 5) {
    const at = new Date(NOON - 8 * 86_400_000 + minute * 60_000);
    if (minute > 4000 && minute < 4200) continue;
    const figure = minute === 2000 ? '85,0' : (-24 - (minute % 50) / 100).toFixed(2).replace('.', ',');
    lines.push(
      `${pad(at.getUTCDate())}.${pad(at.getUTCMonth() + 1)}.${at.getUTCFullYear()};${pad(at.getUTCHours())}:${pad(at.getUTCMinutes())}:00;${figure};shut`
    );
  }
  const noise = ['battery low', '32.03.2026;10:00:00;-24,0;shut'];
  const rows = [...lines.slice(0, 20), ...noise, ...lines.slice(20, 40), ...lines.slice(30)];
  return rows.join('\r\n');
}

describe('a logger’s file', () => {
  let house: TestHouse;
  let imports: Imports;
  let folder: ReturnType<typeof scratch>;
  beforeEach(() => {
    house = openTestHouse();
    folder = scratch();
    house.done('set-place', { name: 'Chest', kind: 'freezer' });
    house.done('set-sensor', { name: 'Chest air', place: 'Chest' });
    const { store, clock, executor } = house;
    imports = openImports(() => ({ config: { dataFolder: folder.path }, store, clock, executor }));
  });
  afterEach(() => {
    imports.close();
    house.close();
    folder.clear();
  });
  const isOn = (id: string) => ['reading', 'keeping'].includes(imports.job(id).state);
  const ended = (id: string) => eventually(() => !isOn(id) && imports.job(id), 'the end of the import');
  const answered = (mapping: LogMapping): LogMapping => ({
    ...mapping,
    zone: 'UTC',
    values: mapping.values.map((value) => ({ ...value, sensor: 'Chest air' }))
  });
  const takeIn = async (text: string, name = 'chest.csv') => {
    const { job, mapping } = await imports.take(name, stream(text));
    imports.start(job.id, answered(mapping), 'p1');
    return ended(job.id);
  };

  it('is guessed, previewed, taken in a thread of its own, and told in the ledger row by row', async () => {
    const text = messy();
    const { job, mapping, asks, remembered } = await imports.take('chest.csv', stream(text));
    // No day is past the twelfth: both orders fit.
    expect(asks).to.deep.equal(['order', 'zone']);
    expect(remembered).to.equal(false);
    expect(mapping).to.deep.include({ delimiter: ';', skip: 3, day: 0, time: 1, order: 'dmy', decimal: ',' });
    const rows = imports.sample(job.id, answered(mapping));
    expect(rows[0]).to.deep.include({ row: 4, values: [-24], at: NOON - 8 * 86_400_000 });
    expect(rows.find(({ cells }) => cells[0] === 'battery low')!.troubles[0]!.code).to.equal('time.unreadable');

    imports.start(job.id, answered(mapping), 'p1');
    const done = await ended(job.id);
    expect(done.state).to.equal('done');
    const { report } = done;
    expect(report!.counts).to.deep.equal({ 'time.unreadable': 2, 'broken-probe': 1 });
    const lines = text.split('\r\n');
    expect(
      report!.troubles.map(({ row }) => lines[row - 1]).filter((line) => line!.startsWith('battery'))
    ).to.have.length(1);
    expect(report!.sensors[0]).to.include({ sensor: 'chest-air', duplicates: 10, gaps: 1 });
    expect(done.kept).to.equal(report!.sensors[0]!.taken);
    expect(house.store.readings.span('chest-air').count).to.equal(done.kept);
    const [entry] = house.store.record.list({ kind: 'log.imported', limit: 1 });
    expect(entry!.body).to.deep.include({ file: 'chest.csv', contentHash: sha256(text), stopped: false });
    expect(house.store.record.list({ kind: 'readings.quarantined', limit: 1 })[0]!.body).to.include({
      cause: 'broken-probe',
      count: 1
    });
    expect(verify(house.store, NOON)).to.include({ ok: true, trouble: null });
    expect(readdirSync(join(folder.path, 'imports'))).to.deep.equal([]);
  });
  it('taken in twice brings nothing new, and its mapping is remembered by its headings', async () => {
    const first = await takeIn(messy());
    const { job, mapping, remembered } = await imports.take('again.csv', stream(messy()));
    expect(remembered).to.equal(true);
    expect(mapping).to.deep.include({ zone: 'UTC' });
    expect(mapping.values[0]!.sensor).to.equal('chest-air');
    imports.start(job.id, mapping, 'p1');
    const second = await ended(job.id);
    expect(second).to.include({ state: 'done', kept: 0, known: first.kept });
  });
  it('a time without a zone, a sensor nobody knows and one named twice are refused before anything is read', async () => {
    const { job, mapping } = await imports.take('x.csv', stream(messy()));
    const refused = (more: Partial<LogMapping>) =>
      troubleOf(() => imports.start(job.id, { ...answered(mapping), ...more }, 'p1')).code;
    expect(refused({ zone: '' })).to.equal('log.zone-needed');
    expect(refused({ zone: 'Moon/Base' })).to.equal('time.zone-unknown');
    expect(refused({ values: [] })).to.equal('form.incomplete');
    expect(refused({ values: [{ column: 2, sensor: 'nobody', unit: 'C' }] })).to.equal('sensor.unknown');
    const [value] = answered(mapping).values;
    expect(refused({ values: [value!, { ...value!, column: 3 }] })).to.equal('form.value-unknown');
    expect(imports.job(job.id).state).to.equal('ready');
  });
  it('a file of nothing but noise is kept nowhere', async () => {
    expect(await imports.take('x.csv', stream('hello\nthere')).catch((error: { code: string }) => error.code)).to.equal(
      'log.unreadable'
    );
    expect(await imports.take('x.csv', stream('')).catch((error: { code: string }) => error.code)).to.equal(
      'file.empty'
    );
    const noise = await takeIn(`time;Chest °C\n2026-03-01T10:00:00;-20\n`.replace('2026', '2036'));
    expect(noise).to.include({ state: 'failed', kept: 0 });
    expect(noise.trouble!.code).to.equal('log.nothing-taken');
    expect(readdirSync(join(folder.path, 'imports'))).to.deep.equal([]);
  });
  it('stopped in the middle, it says what was kept, and the rest can be taken in later', async () => {
    const rows = ['time,C'];
    for (let minute = 0; minute < 60_000; minute++)
      rows.push(`${new Date(NOON - minute * 60_000).toISOString()},-24.0`);
    const { job, mapping } = await imports.take('long.csv', stream(rows.join('\n')));
    imports.start(job.id, answered(mapping), 'p1');
    await eventually(() => imports.job(job.id).kept > 0 || !isOn(job.id), 'the first rows');
    const stopped = imports.stop(job.id);
    expect(stopped.state).to.equal('stopped');
    expect(stopped.kept).to.be.within(1, 59_999);
    expect(house.store.record.list({ kind: 'log.imported', limit: 1 })[0]!.body).to.include({ stopped: true });
    expect(house.store.readings.span('chest-air').count).to.equal(stopped.kept);
    const rest = await takeIn(rows.join('\n'));
    expect(rest.known).to.equal(stopped.kept);
    expect(rest.kept + rest.known).to.equal(60_000);
    expect(verify(house.store, NOON)).to.include({ ok: true, trouble: null });
  });
  it('the house killed in the middle, it is named and closed at the next start, and what lay in the warm is judged by it', async () => {
    house.close();
    const file = join(folder.path, 'ember-tide.db');
    house = openTestHouse(file);
    house.done('set-place', { name: 'Drawer', kind: 'fridge' });
    house.done('set-sensor', { name: 'Drawer air', place: 'Drawer' });
    const piece = String(house.done('receive-lot', CHAR).piece);
    house.done('move-piece', { piece, place: 'Drawer' });
    const judged = () => JSON.stringify(house.store.projections.piece(piece).windows);
    house.clock.moveTo(NOON + 40 * HOUR, true);
    const warm = Array.from(
      { length: 35 * 12 },
      (_, index) => `${new Date(NOON + HOUR + index * 300_000).toISOString()},21.0`
    );
    // All that is written after the first readings never is: as if the machine had lost its power there.
    let writes = 0;
    const cutOff: Executor = {
      ...house.executor,
      write: (actor, work) => {
        if (++writes > 1) throw new Error('no power');
        return house.executor.write(actor, work);
      }
    };
    const { store, clock } = house;
    imports = openImports(() => ({ config: { dataFolder: folder.path }, store, clock, executor: cutOff }));
    const { job, mapping } = await imports.take('drawer.csv', stream(['time,air', ...warm].join('\n')));
    imports.start(job.id, { ...mapping, values: [{ column: 1, sensor: 'Drawer air', unit: 'C' }] }, 'p1');
    await ended(job.id);
    const kept = store.readings.span('drawer-air').count;
    expect(kept).to.be.greaterThan(0);
    expect(store.record.list({ kind: 'log.imported' })).to.deep.equal([]);
    expect(verify(store, clock.now()).trouble, 'it is stale').to.match(/projection/);
    const stale = judged();
    house.close();

    house = openTestHouse(file);
    house.clock.moveTo(NOON + 41 * HOUR, true);
    closeUnfinished(house.executor, house.store);
    const [entry] = house.store.record.list({ kind: 'log.imported' });
    expect(entry).to.deep.include({ actor: 'p1' });
    expect(entry!.body).to.deep.include({ file: 'drawer.csv', stopped: true });
    expect(judged()).to.not.equal(stale);
    expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
    const seq = house.store.record.head().seq;
    closeUnfinished(house.executor, house.store);
    expect(house.store.record.head().seq, 'closed once').to.equal(seq);
    const again = openImports(() => ({
      config: { dataFolder: folder.path },
      store: house.store,
      clock: house.clock,
      executor: house.executor
    }));
    imports = again;
    const next = await again.take('drawer.csv', stream(['time,air', ...warm].join('\n')));
    expect(next.remembered, 'how it was read').to.equal(true);
    again.start(next.job.id, next.mapping, 'p1');
    const whole = await ended(next.job.id);
    expect(whole).to.include({ state: 'done', known: kept, kept: warm.length - kept });
  });
  it('what a crash left behind goes with the next file', async () => {
    mkdirSync(join(folder.path, 'imports'), { recursive: true });
    writeFileSync(join(folder.path, 'imports', 'left.csv'), 'x');
    await imports.take('x.csv', stream(messy()));
    expect(existsSync(join(folder.path, 'imports', 'left.csv'))).to.equal(false);
  });
});

describe('readings kept by an earlier version', () => {
  it('come along, verify, and are read as they were', () => {
    const folder = scratch();
    const before = join(folder.path, 'migrations');
    mkdirSync(before);
    const here = join(import.meta.dirname, '../../src/lib/server/store/migrations');
    for (const name of readdirSync(here).filter((each) => each < '004'))
      copyFileSync(join(here, name), join(before, name));
    const file = join(folder.path, 'old.db');
    const db = new Database(file);
    migrate(db, before);
    // Twelve bytes a reading: when as a double, then hundredths of a degree.
    const packed = Buffer.alloc(24);
    packed.writeDoubleLE(NOON, 0);
    packed.writeInt32LE(-2240, 8);
    packed.writeDoubleLE(NOON + 3600_000, 12);
    packed.writeInt32LE(-2210, 20);
    db.prepare(
      'INSERT INTO reading_days (sensor, day, packed, count, min_celsius, max_celsius, hash) VALUES (?, ?, ?, ?, ?, ?, ?)'
    ).run('Chest', '2026-03-09', packed, 2, -22.4, -22.1, sha256(packed));
    db.close();
    const store = openStore(file);
    const series = store.readings.between('Chest', NOON, NOON + 3600_000);
    expect([...series.celsius]).to.deep.equal([-22.4, -22.1]);
    // No entry of the ledger names it here, and that is noticed.
    expect(verify(store, NOON).trouble).to.match(/readings of Chest on 2026-03-09/);
    store.close();
    folder.clear();
  });
});
