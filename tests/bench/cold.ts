import { spawn } from 'node:child_process';
import { createWriteStream, existsSync, mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { once } from 'node:events';
import { openAsBlob } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { judgeCycle } from '../../src/lib/core/bench/freeze/compliance.ts';
import { forecast } from '../../src/lib/core/bench/freeze/forecast.ts';
import { seriesOf } from '../../src/lib/core/log/series.ts';
import { US_FC } from '../../src/lib/core/codes/profiles/us-fc.ts';
import { chunksOf } from '../../src/lib/server/store/readings.ts';
import { draft } from '../../src/lib/server/store/record.ts';
import { openTestHouse, NOON } from '../server/house.ts';

type Add = (what: string, value: number, budget: number, unit: string) => void;
type Times = (count: number, warm: number, work: (index: number) => void) => number[];
type At = (sorted: number[], share: number) => number;

const MINUTE = 60_000;

/** A year of a freezer at a reading a minute: judged as a hold, with the reading of it from its packed days. */
export function coldRows(add: Add, times: Times, at: At): void {
  const house = openTestHouse();
  house.done('set-place', { name: 'Chest', kind: 'freezer' });
  house.done('set-sensor', { name: 'Chest air', place: 'Chest' });
  const from = NOON - 365 * 1440 * MINUTE;
  const year = seriesOf(
    Array.from({ length: 525_600 }, (_, index) => ({
      at: from + index * MINUTE,
      // A defrost every eight hours keeps the hold from ever being complete: all of it has to be walked.
      celsius: index % 480 < 25 ? -15 : -25 - (index % 7) / 10
    }))
  );
  house.executor.write('bench', ({ store, house: settings, now }) => ({
    events: chunksOf('chest-air', year, settings, { source: 'import', origin: 'x', clockOffsetSeconds: 0 }).map(
      (chunk) => draft('readings.stored', 'sensor:chest-air', now, store.readings.keep(chunk, now))
    ),
    places: [],
    result: null
  }));
  const week = US_FC.parasites.cycles[0]!;
  const { readings } = house.store;
  add(
    'a year of minutes judged, reading it included (p95)',
    at(
      times(15, 4, () => {
        const air = readings.between('chest-air', from, NOON);
        const core = seriesOf([]);
        judgeCycle(
          [],
          week,
          { clock: 'air', accuracy: 'plain', handGapShare: 0.25, startedAt: from, slowArrivalSeconds: 0 },
          { air, core, seq: 1 }
        );
      }),
      0.95
    ),
    100,
    'ms'
  );
  add(
    'a forecast of a load: formula, simulation, both bands (median)',
    at(
      times(15, 4, () => {
        const plan = {
          thicknessMm: 40,
          shape: 'slab',
          startCelsius: 2,
          airCelsius: -25,
          airClass: 'still',
          packing: 'film'
        } as const;
        forecast({ ...plan, loadGrams: 4000, litres: 240, watts: 120 }, -20);
      }),
      0.5
    ),
    150,
    'ms'
  );
  house.close();
}

/** A file of a million rows, parsed alone and taken in by the built house, which goes on answering meanwhile. */
export async function importRows(add: Add, at: At): Promise<void> {
  const root = join(import.meta.dirname, '..', '..');
  if (!existsSync(join(root, 'build', 'workers', 'import.js'))) {
    console.log('No build here: run `npm run build` to measure an import.');
    return;
  }
  const folder = mkdtempSync(join(tmpdir(), 'ember-tide-import-'));
  const file = join(folder, 'million.csv');
  const out = createWriteStream(file);
  out.write('time,Chest C\n');
  for (let row = 0; row < 1_000_000; row++) {
    const stamp = new Date(NOON - (1_000_000 - row) * MINUTE).toISOString();
    if (!out.write(`${stamp},${(-24 - (row % 30) / 10).toFixed(1)}\n`)) await once(out, 'drain');
  }
  out.end();
  await once(out, 'finish');

  /** In a thread of its own, as new as the one that takes the file in. */
  const parseAlone = async () => {
    const script = `const { parse } = require('csv-parse');
      let count = 0;
      require('node:fs').createReadStream(${JSON.stringify(file)}, { highWaterMark: 262144 })
        .pipe(parse({ from_line: 2 })).on('data', () => count++).on('end', () => require('node:worker_threads').parentPort.postMessage(count));`;
    const started = performance.now();
    const [count] = (await once(new Worker(script, { eval: true }), 'message')) as [number];
    if (count !== 1_000_000) throw new Error(`parsed ${count}`);
    return performance.now() - started;
  };
  // Once before and once after, since a shared machine is not the same from one minute to the next.
  const before = await parseAlone();

  const server = spawn(process.execPath, ['scripts/serve.mjs'], {
    cwd: root,
    env: {
      ...process.env,
      PORT: '0',
      EMBER_TIDE_MODE: 'test',
      EMBER_TIDE_DATA: folder,
      EMBER_TIDE_FROZEN_AT: new Date(NOON).toISOString()
    },
    stdio: ['ignore', 'pipe', 'inherit']
  });
  try {
    let text = '';
    while (!/http:\/\/[\w.]+:\d+/.test(text)) text += String((await once(server.stdout, 'data'))[0]);
    const url = /http:\/\/[\w.]+:\d+/.exec(text)![0];
    const call = async (path: string, method: string, body?: unknown) => {
      const answer = await fetch(`${url}/api/v1/${path}`, {
        method,
        headers: { 'x-ember-person': 'p1', 'content-type': body instanceof Blob ? 'text/csv' : 'application/json' },
        body: body === undefined ? undefined : body instanceof Blob ? body : JSON.stringify(body)
      });
      if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
      return (await answer.json()) as {
        result: unknown;
        job: { id: string; state: string; kept: number };
        mapping: { values: object[] };
      };
    };
    await call('operations/join-person', 'POST', { name: 'Bench' });
    await call('operations/set-place', 'POST', { name: 'Chest', kind: 'freezer' });
    await call('operations/set-sensor', 'POST', { name: 'Chest air', place: 'Chest' });
    for (let count = 0; count < 40; count++) await call('now', 'GET');

    const { job, mapping } = await call('imports?name=million.csv', 'POST', await openAsBlob(file));
    // From "take it in" on; to look at the file first, all of it has to be sent, which is a step of its own.
    const started = performance.now();
    await call(`imports/${job.id}`, 'POST', {
      ...mapping,
      values: mapping.values.map((value) => ({ ...value, sensor: 'chest-air' }))
    });
    const waits: number[] = [];
    let state = 'reading';
    let kept = 0;
    while (state === 'reading' || state === 'keeping') {
      const asked = performance.now();
      await call('now', 'GET');
      waits.push(performance.now() - asked);
      if (waits.length % 4 === 0) {
        ({
          job: { state, kept }
        } = await call(`imports/${job.id}`, 'GET'));
      }
      await new Promise((resolve) => setTimeout(resolve, 60));
    }
    const took = performance.now() - started;
    if (state !== 'done' || kept !== 1_000_000) throw new Error(`the import ended ${state} with ${kept}`);
    const alone = (before + (await parseAlone())) / 2;
    const peak = Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))![1]) / 1024;
    console.log(
      `A million rows: parsed alone in ${(alone / 1000).toFixed(1)} s, taken in in ${(took / 1000).toFixed(1)} s, ${(statSync(join(folder, 'ember-tide.db')).size / 1e6).toFixed(0)} MB in the record.`
    );
    add('a million rows taken in, over parsing the same file alone', took / alone, 2, 'x');
    add('memory of the house at its most', peak, 400, 'MB');
    add(
      'the house answers meanwhile (p95)',
      at(
        waits.sort((a, b) => a - b),
        0.95
      ),
      150,
      'ms'
    );
  } finally {
    server.kill();
    await once(server, 'exit');
    rmSync(folder, { recursive: true, force: true });
  }
}
