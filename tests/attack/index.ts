/**
 * `npm run attack [-- kills requests seed]`: the built server killed while it writes, imports, is backed up, restored, rebuilt, migrated and
 * first started; sent what nobody in a kitchen sends; its folder gone at with a file editor. Ends with 1 where anything was lost,
 * broke or was not noticed. A thousand kills and a hundred thousand requests take about two hours.
 */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { seededChance } from '../../src/lib/core/random.ts';
import { openHouse } from '../browser/harness.ts';
import { attacks, troubleWith } from './fuzz.ts';
import { WAYS } from './kills.ts';

const [kills = 1000, requests = 100_000, seed = 0.42] = process.argv.slice(2).map(Number);
const EVERY = { kills: 25, requests: 2000 };
const said: string[] = [];
function trouble(text: string): void {
  said.push(text);
  console.error(`  TROUBLE: ${text}`);
}
const data = mkdtempSync(join(tmpdir(), 'ember-tide-attack-'));
const folder = join(data, 'house');
const demo = { EMBER_TIDE_MODE: 'demo', EMBER_TIDE_FROZEN_AT: '2026-03-13T20:10:00Z', EMBER_TIDE_DATA: folder };

console.log(`attack: ${kills} kills, ${requests} requests, seed ${seed}`);
await (await openHouse(demo)).close();
const chance = seededChance(seed);
const target = { folder, acknowledged: new Set<number>() };
const ways = Object.entries(WAYS);
const tally = new Map<string, number>();
for (let round = 0; round < kills; round++) {
  // Every other round is the plain case; the rest take turns.
  const [name, way] = round % 2 === 0 ? ways[0]! : ways[1 + (((round - 1) / 2) % (ways.length - 1))]!;
  const found = await way(target, chance, round);
  tally.set(name, (tally.get(name) ?? 0) + 1);
  if (found) trouble(`killed while ${name}, round ${round}: ${found}`);
  if ((round + 1) % EVERY.kills === 0) {
    console.log(`  ${round + 1} kills, ${target.acknowledged.size} entries answered for, ${said.length} troubles`);
  }
}
console.log(`kills: ${[...tally].map(([name, count]) => `${count} while ${name}`).join(', ')}`);

const house = await openHouse(demo);
const { paths } = (await (await fetch(`${house.url}/api/v1/openapi.json`)).json()) as { paths: Record<string, object> };
const queries = Object.entries(paths)
  .filter(([path, methods]) => 'get' in methods && !/stream|scale/.test(path))
  .map(([path]) => path.replace(/^\/api\/v1/, ''));
const stream = attacks(seed, queries);
for (let sent = 0; sent < requests; sent++) {
  const found = await troubleWith(house.url, stream.next().value);
  if (found) trouble(found);
  if ((sent + 1) % EVERY.requests === 0) console.log(`  ${sent + 1} requests, ${said.length} troubles`);
}
const health = (await (await fetch(`${house.url}/healthz`)).json()) as { ok: boolean; seq: number };
console.log(`requests: ${requests}; the house is ${health.ok ? 'well' : 'not well'}, entry ${health.seq}`);
if (/Error|^\s+at /m.test(house.log())) trouble(`the server wrote of an error: ${house.log().slice(0, 400)}`);
await house.close();

const files = ['seal', 'standing', 'store'].map((name) => join('tests', 'server', `${name}.test.ts`));
const tampered = spawnSync(
  process.execPath,
  [
    'node_modules/mocha/bin/mocha.js',
    '--no-config',
    '--import=tsx',
    '--timeout',
    '120000',
    '--reporter',
    'dot',
    ...files
  ],
  { stdio: 'inherit' }
);
if (tampered.status !== 0) trouble('the tamper table');
for (const each of [data]) rmSync(each, { recursive: true, force: true });
console.log(
  said.length === 0
    ? 'attack: nothing was lost, nothing broke, everything was noticed'
    : `attack: ${said.length} troubles`
);
process.exit(said.length === 0 ? 0 : 1);
