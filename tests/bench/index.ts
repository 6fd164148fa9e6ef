/** `npm run bench`: speed as ratios and budgets, measured in one run and printed as a table. Nothing here is a test. */
import Database from 'better-sqlite3';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import type { App } from '../../src/lib/server/app.ts';
import { nowView } from '../../src/lib/server/views/now.ts';
import { sha256 } from '../../src/lib/server/store/open.ts';
import { draft } from '../../src/lib/server/store/record.ts';
import { searchSpecies } from '../../src/lib/core/fish/search.ts';
import { SPECIES } from '../../src/lib/core/fish/species.ts';
import { foldLineage, judge } from '../../src/lib/core/rules/verdict.ts';
import {
  celsius,
  event,
  freezeEnd,
  freezeStart,
  HOUR,
  HOUSE,
  lineageOf,
  paper,
  readEvery,
  START
} from '../core/build.ts';
import { CHAR, FEED, openTestHouse } from '../server/house.ts';
import { ageRows } from './age.ts';
import { breakdownRows } from './breakdown.ts';
import { coldRows, importRows } from './cold.ts';
import { acidRows, cureRows } from './cure.ts';
import { dragRows } from './drag.ts';
import { sliceRows } from './slice.ts';

interface Row {
  what: string;
  measured: string;
  budget: string;
  ok: boolean;
}
const rows: Row[] = [];
const add = (what: string, value: number, budget: number, unit: string) =>
  rows.push({
    what,
    measured: `${value.toFixed(value < 10 ? 2 : 0)} ${unit}`,
    budget: `${budget} ${unit}`,
    ok: value <= budget
  });

/** Milliseconds of each call, sorted; the first calls warm the engine up and are left out. */
function times(count: number, warm: number, work: (index: number) => void): number[] {
  for (let index = 0; index < warm; index++) work(index);
  return Array.from({ length: count }, (_, index) => {
    const started = performance.now();
    work(warm + index);
    return performance.now() - started;
  }).sort((a, b) => a - b);
}
const at = (sorted: number[], share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;

cureRows(add, times, at);
acidRows(add, times, at);
ageRows(add, times, at);
sliceRows(add, times, at);

// A verdict from folded state: a thousand pieces with thirty events each, and twice as many.
const judged = (count: number) => {
  const states = Array.from({ length: count }, (_, index) => {
    const at = START + 300 * HOUR;
    const cold = Array.from({ length: 16 }, (__, hour) =>
      event('cold.read', 210 + hour * 4 + index / count, { reading: celsius(1 + (hour % 3)), place: 'Drawer' })
    );
    const lineage = lineageOf({
      lot: { species: index % 2 === 0 ? 'halibut' : 'atlantic-mackerel' },
      papers: [paper({ type: 'chill-record' })],
      events: [freezeStart(1), ...readEvery(4, 196, 16, -22), freezeEnd(201), ...cold]
    });
    return { ...foldLineage(lineage, at, at), house: HOUSE, at, knownAt: at };
  });
  return at(
    times(30, 10, () => states.forEach((state) => judge(state))),
    0.5
  );
};
const thousand = judged(1000);
add('1,000 pieces of 30 events judged from folded state', thousand, 50, 'ms');
add('twice the pieces over once: growth', judged(2000) / thousand, 2.6, 'x');
const names = SPECIES.flatMap(({ name, alsoCalled }) => [name, ...alsoCalled]);
add(
  'species search, worst of 400 names (a frame is 16.7 ms)',
  at(
    times(400, 40, (index) => searchSpecies(names[index % names.length]!.slice(0, 7))),
    1
  ),
  16.7,
  'ms'
);

const folder = mkdtempSync(join(tmpdir(), 'ember-tide-bench-'));
try {
  // A durable append against a bare insert of the same row with the same pragmas, turn by turn in one run.
  const house = openTestHouse(join(folder, 'ember-tide.db'));
  house.done('receive-lot', CHAR);
  const bare = new Database(join(folder, 'bare.db'));
  bare.pragma('journal_mode = WAL');
  bare.pragma('synchronous = FULL');
  bare.exec(
    'CREATE TABLE events (seq INTEGER PRIMARY KEY, happened INTEGER, recorded INTEGER, actor TEXT, kind TEXT, subject TEXT, version INTEGER, body TEXT, prev TEXT, hash TEXT) STRICT'
  );
  const insert = bare.prepare('INSERT INTO events VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)');
  const reading = { reading: { si: 2, unit: 'C', typed: '2 C' }, place: 'Drawer' };
  const body = JSON.stringify(reading);
  const hash = sha256('x');
  let row = 0;
  const bareTimes: number[] = [];
  const ownTimes: number[] = [];
  const append = house.store.db.transaction(() =>
    house.store.record.append([draft('cold.read', 'piece:bench', house.clock.now(), reading)], 'p1', house.clock.now())
  );
  for (let turn = 0; turn < 600; turn++) {
    let started = performance.now();
    insert.run(++row, 0, 0, 'p1', 'cold.read', 'piece:bench', 1, body, hash, hash);
    bareTimes.push(performance.now() - started);
    started = performance.now();
    append.immediate();
    ownTimes.push(performance.now() - started);
  }
  const median = (all: number[]) =>
    at(
      [...all.slice(100)].sort((a, b) => a - b),
      0.5
    );
  add('a durable append over a bare insert (median)', (median(ownTimes) - median(bareTimes)) * 1000, 150, 'µs');
  rows.push({
    what: '  as a ratio',
    measured: `${(median(ownTimes) / median(bareTimes)).toFixed(2)} x`,
    budget: 'no budget',
    ok: true
  });
  bare.close();

  // Now with 300 live pieces and 100,000 entries in the ledger.
  house.done('attach-evidence', { lot: 'ARC-0309-1', ...FEED });
  for (let count = 0; count < 299; count++) house.done('receive-lot', { ...CHAR, supplierLot: `n${count}` });
  const fill = house.store.db.transaction((left: number) => {
    const drafts = Array.from({ length: left }, () =>
      draft('cold.read', 'piece:elsewhere', house.clock.now(), reading)
    );
    house.store.record.append(drafts, 'p1', house.clock.now());
  });
  while (house.store.record.head().seq < 100_000) fill(Math.min(5000, 100_000 - house.store.record.head().seq));
  const app = { store: house.store, clock: house.clock } as unknown as App;
  const pieces = nowView(app).pieces.length;
  add(
    `Now's load: ${pieces} pieces, ${house.store.record.head().seq} entries (p95)`,
    at(
      times(60, 10, () => JSON.stringify(nowView(app))),
      0.95
    ),
    40,
    'ms'
  );
  house.close();
} finally {
  rmSync(folder, { recursive: true, force: true });
}

/** Every script the first visit of Now loads, by the build's own manifest. */
function firstLoadKilobytes(): number {
  const root = join(import.meta.dirname, '..', '..');
  const client = join(root, '.svelte-kit', 'output', 'client');
  const manifest = JSON.parse(readFileSync(join(client, '.vite', 'manifest.json'), 'utf8')) as Record<
    string,
    { file: string; imports?: string[] }
  >;
  const wanted = new Set<string>();
  const follow = (key: string) => {
    const chunk = manifest[key];
    if (!chunk || wanted.has(chunk.file)) return;
    wanted.add(chunk.file);
    chunk.imports?.forEach(follow);
  };
  // Node 0 is the layout, 1 the error page, 2 the first route: Now.
  for (const key of Object.keys(manifest))
    if (/client\/entry\.js$|client-optimized\/app\.js$|nodes\/[012]\.js$/.test(key)) follow(key);
  const bytes = [...wanted]
    .filter((file) => file.endsWith('.js'))
    .reduce((sum, file) => sum + gzipSync(readFileSync(join(client, file))).length, 0);
  return bytes / 1000;
}
breakdownRows(add, times, at);
coldRows(add, times, at);
await importRows(add, at);
await dragRows(add);

if (existsSync('.svelte-kit/output/client/.vite/manifest.json'))
  add("Now's first load of scripts, gzipped", firstLoadKilobytes(), 200, 'kB');
else console.log('No build here: run `npm run build` to measure the first load.');

console.table(
  Object.fromEntries(
    rows.map(({ what, measured, budget, ok }) => [what, { measured, budget, holds: ok ? 'yes' : 'NO' }])
  )
);
