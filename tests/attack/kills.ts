import { spawn, type ChildProcess } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import type { Chance } from '../../src/lib/core/random.ts';
import { openStore } from '../../src/lib/server/store/store.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { readHead } from '../../src/lib/server/store/head-note.ts';
import { openHouse, type RunningHouse } from '../browser/harness.ts';

const root = join(import.meta.dirname, '..', '..');
const WRITERS = 6;
const EVENING = '2026-03-13T20:10:00Z';
const FIXTURE = join(root, 'tests/fixtures/house-2026-11.db.gz');
const demoEnv = (data: string) => ({
  EMBER_TIDE_MODE: 'demo',
  EMBER_TIDE_FROZEN_AT: EVENING,
  EMBER_TIDE_DATA: data
});

/** A house that is being attacked: its folder, and every entry it has answered for. */
export interface Target {
  readonly folder: string;
  readonly acknowledged: Set<number>;
}
const database = (folder: string) => join(folder, 'ember-tide.db');

async function killed(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const gone = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGKILL');
  await gone;
}
const after = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Writes without pause until the line breaks; what was answered is kept. */
async function write(url: string, acknowledged: Set<number>, who: string, isOver: () => boolean): Promise<void> {
  for (let count = 0; !isOver(); count++) {
    try {
      const answer = await fetch(`${url}/api/v1/operations/read-cold`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'x-ember-person': 'p1', 'idempotency-key': `${who}-${count}` },
        body: JSON.stringify({ piece: 'TUR-0313-1-A', reading: `${(1 + (count % 20) / 10).toFixed(1)} C` })
      });
      if (answer.ok) acknowledged.add(((await answer.json()) as { seq: number }).seq);
      else await answer.arrayBuffer();
    } catch {
      return;
    }
  }
}

/** A logger's file of a few days, on its way in. */
async function takeIn({ url }: RunningHouse, days: number): Promise<void> {
  const from = Date.parse(EVENING) - days * 86_400_000;
  const rows = Array.from(
    { length: days * 288 },
    (_, index) => `${new Date(from + index * 300_000).toISOString()},${(1 + (index % 30) / 10).toFixed(1)}`
  );
  const headers = { 'x-ember-person': 'p1', 'content-type': 'text/csv' };
  const body = ['time,air', ...rows].join('\n');
  try {
    const taken = await fetch(`${url}/api/v1/imports?name=attack.csv`, { method: 'POST', headers, body });
    const { job, mapping } = (await taken.json()) as { job: { id: string }; mapping: { values: object[] } };
    const values = [{ column: 1, sensor: 'Drawer 1 air', unit: 'C' }];
    await fetch(`${url}/api/v1/imports/${job.id}`, {
      method: 'POST',
      headers: { ...headers, 'content-type': 'application/json' },
      body: JSON.stringify({ ...mapping, values })
    });
  } catch {
    // It was killed in the middle: that is what it is for.
  }
}

const tool = (name: string, folder: string, ...args: string[]): ChildProcess =>
  spawn(process.execPath, ['--import', 'tsx', join('scripts', `${name}.ts`), ...args], {
    cwd: root,
    env: { ...process.env, EMBER_TIDE_DATA: folder },
    stdio: 'ignore'
  });
/** Lets a tool work for some while, and kills it. */
async function cutShort(child: ChildProcess, ms: number): Promise<void> {
  await Promise.race([after(ms), new Promise((resolve) => child.once('exit', resolve))]);
  await killed(child);
}

/** What is wrong with the folder once everything is dead: null where all that was answered is there, and holds. */
export function troubleIn({ folder, acknowledged }: Target): string | null {
  const store = openStore(database(folder), { inMemory: true });
  try {
    const there = new Set([...store.record.iterate()].map(({ seq }) => seq));
    const lost = [...acknowledged].filter((seq) => !there.has(seq));
    if (lost.length > 0) return `${lost.length} answered entries are gone: ${lost.slice(0, 5).join(', ')}`;
    return verify(store, store.record.head().recorded, readHead(database(folder)) ?? undefined).trouble;
  } finally {
    store.close();
  }
}

/** Starts it once more, as whoever finds it would, and stops it: what was cut off is finished or cleaned up by that. */
async function settled(folder: string): Promise<void> {
  const house = await openHouse({ ...demoEnv(folder), SHUTDOWN_TIMEOUT: '1' });
  await house.close();
}

/** One way of being killed: does its work for a while, and leaves nothing running. */
type Way = (target: Target, chance: Chance, round: number) => Promise<string | null>;

async function whileServing(target: Target, ms: number, meanwhile: (house: RunningHouse) => Promise<unknown>) {
  const house = await openHouse(demoEnv(target.folder));
  let isOver = false;
  const writers = Array.from({ length: WRITERS }, (_, index) =>
    write(house.url, target.acknowledged, `${house.url}-${index}`, () => isOver)
  );
  const other = meanwhile(house);
  await after(ms);
  await killed(house.process);
  isOver = true;
  await Promise.all([...writers, other]);
}

/** A copy of the house: what would drop what was answered is done to it instead. */
function copied({ folder }: Target): Target {
  const to = `${folder}-copy`;
  for (const each of [to, `${to}.seal`]) rmSync(each, { recursive: true, force: true });
  cpSync(folder, to, { recursive: true });
  return { folder: to, acknowledged: new Set() };
}

export const WAYS: Readonly<Record<string, Way>> = {
  async writing(target, chance) {
    await whileServing(target, chance.uniform(20, 700), async () => undefined);
    return troubleIn(target);
  },
  async importing(target, chance, round) {
    await whileServing(target, chance.uniform(100, 900), (house) => takeIn(house, 1 + (round % 4)));
    await settled(target.folder);
    return troubleIn(target);
  },
  async 'backing up'(target, chance) {
    await whileServing(target, chance.uniform(600, 1500), () =>
      cutShort(tool('backup', target.folder), chance.uniform(500, 1400))
    );
    await settled(target.folder);
    const left = join(target.folder, 'backups');
    const half = existsSync(left) ? readdirSync(left).filter((name) => name.includes('partial')) : [];
    return half.length > 0 ? `half a backup is left: ${half[0]}` : troubleIn(target);
  },
  async restoring(target, chance) {
    const copy = copied(target);
    const from = join(copy.folder, 'earlier.db');
    const source = openStore(database(copy.folder));
    await source.db.backup(from);
    const kept = source.record.head().seq;
    source.close();
    await whileServing(copy, 150, async () => undefined);
    const full = Math.max(kept, ...copy.acknowledged);
    await cutShort(tool('restore', copy.folder, from, '--drop-them'), chance.uniform(500, 1500));
    await settled(copy.folder);
    const store = openStore(database(copy.folder), { inMemory: true });
    const { seq } = store.record.head();
    store.close();
    const isWhole = seq === kept || seq >= full;
    return isWhole
      ? troubleIn({ ...copy, acknowledged: new Set() })
      : `neither the old nor the new: ${seq} of ${kept}, ${full}`;
  },
  async rebuilding(target, chance) {
    await cutShort(tool('rebuild', target.folder), chance.uniform(400, 2000));
    return troubleIn(target);
  },
  async migrating(target, chance) {
    const folder = `${target.folder}-older`;
    for (const each of [folder, `${folder}.seal`]) rmSync(each, { recursive: true, force: true });
    mkdirSync(folder);
    writeFileSync(database(folder), gunzipSync(readFileSync(FIXTURE)));
    const env = { ...process.env, PORT: '0', ...demoEnv(folder) };
    await cutShort(
      spawn(process.execPath, ['scripts/serve.mjs'], { cwd: root, env, stdio: 'ignore' }),
      chance.uniform(200, 1800)
    );
    await settled(folder);
    return troubleIn({ folder, acknowledged: new Set() });
  },
  async 'starting for the first time'(target, chance) {
    const folder = `${target.folder}-first`;
    for (const each of [folder, `${folder}.seal`]) rmSync(each, { recursive: true, force: true });
    const env = { ...process.env, PORT: '0', ...demoEnv(folder) };
    await cutShort(
      spawn(process.execPath, ['scripts/serve.mjs'], { cwd: root, env, stdio: 'ignore' }),
      chance.uniform(300, 6000)
    );
    await settled(folder);
    const store = openStore(database(folder), { inMemory: true });
    const { seq } = store.record.head();
    store.close();
    return seq < 100 ? `a demo house of ${seq} entries` : troubleIn({ folder, acknowledged: new Set() });
  }
};
