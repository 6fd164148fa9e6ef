import { expect } from 'chai';
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readdirSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { IS_LONG } from '../runs.ts';
import { clear, closePages, openDemo, openHouse, signIn, visit, type RunningHouse } from './harness.ts';
import { seededChance } from '../../src/lib/core/random.ts';
import { WAYS } from '../attack/kills.ts';
import { send, watch } from './watch.ts';

interface Health {
  readonly ok: boolean;
  readonly seq: number;
  readonly entriesLost: number;
}
async function health(house: RunningHouse): Promise<Health & { readonly status: number }> {
  const answer = await fetch(`${house.url}/healthz`);
  return { ...((await answer.json()) as Health), status: answer.status };
}
async function killed(house: RunningHouse): Promise<void> {
  const gone = new Promise((resolve) => house.process.once('exit', resolve));
  house.process.kill('SIGKILL');
  await gone;
}
const again = (house: RunningHouse, env: Record<string, string> = {}) =>
  openHouse({
    EMBER_TIDE_MODE: 'demo',
    EMBER_TIDE_FROZEN_AT: '2026-03-13T20:10:00Z',
    EMBER_TIDE_DATA: house.data,
    ...env
  });
/** What a server that does not start says, and that it shows nobody its insides. */
async function refusal(start: Promise<RunningHouse>): Promise<string> {
  const said = await start.then(
    async (house) => {
      await house.close();
      return 'it started';
    },
    (error: Error) => error.message
  );
  expect(said).to.match(/^the server ended with 1/);
  expect(said).to.not.match(/^\s+at /m);
  return said;
}

describe('a house that is killed, opened twice, cut or lost', () => {
  it('a taken port is said in words', async () => {
    const taken = createServer().listen(0, '127.0.0.1');
    await once(taken, 'listening');
    const { port } = taken.address() as AddressInfo;
    expect(await refusal(openHouse({ PORT: String(port) }))).to.contain(`Port ${port} is taken`);
    taken.close();
  });
  it('has one server at a time; killed, it gives way at once to the next; a cut log is said until somebody answers for it', async () => {
    const demo = await openDemo();
    try {
      expect(await refusal(again(demo))).to.contain('Another Ember Tide has the folder');
      // Written after the last time the log was folded in: all of it stands in the log alone.
      for (const name of ['Bo', 'Ida']) {
        const answer = await fetch(`${demo.url}/api/v1/operations/join-person`, {
          method: 'POST',
          headers: { 'content-type': 'application/json', 'x-ember-person': 'p1' },
          body: JSON.stringify({ name })
        });
        expect(answer.status).to.equal(200);
      }
      const before = await health(demo);
      expect(before).to.include({ ok: true, status: 200, entriesLost: 0 });
      await killed(demo);
      const next = await again(demo);
      expect(await health(next)).to.include({ ok: true, status: 200, seq: before.seq });
      await killed(next);
      truncateSync(join(demo.data, 'ember-tide.db-wal'), 0);

      const shorter = await again(demo);
      const hurt = await health(shorter);
      expect(hurt).to.include({ ok: false, status: 503 });
      expect(hurt.entriesLost).to.be.greaterThan(0);
      expect(hurt.seq + hurt.entriesLost).to.equal(before.seq);
      const { page, close } = await watch();
      await signIn(page, shorter.url, 'p1');
      await visit(page, shorter.url);
      await page.click('[role="alert"] a[href="/ledger#loss"]');
      await send(page, 'confirm-loss', { reason: 'power cut, no copy' });
      await page.waitForSelector('#loss', { state: 'detached' });
      expect(await page.textContent('main')).to.contain('power cut, no copy');
      await close();
      expect(await health(shorter)).to.include({ ok: true, status: 200, seq: hurt.seq + 1 });
      await shorter.close();
    } finally {
      await closePages();
      await demo.close();
    }
  });

  it('a demo house that was cut off in the making is made whole at the next start', async () => {
    const data = mkdtempSync(join(tmpdir(), 'ember-tide-cut-'));
    const env = {
      ...process.env,
      PORT: '0',
      EMBER_TIDE_MODE: 'demo',
      EMBER_TIDE_FROZEN_AT: '2026-03-13T20:10:00Z',
      EMBER_TIDE_DATA: data
    };
    const child = spawn(process.execPath, ['scripts/serve.mjs'], { env, stdio: 'ignore' });
    const gone = new Promise((resolve) => child.once('exit', resolve));
    // In the middle of the making: the record is there, the house is not.
    while (!readdirSync(data).includes('ember-tide.db')) await new Promise((resolve) => setTimeout(resolve, 20));
    await new Promise((resolve) => setTimeout(resolve, 400));
    child.kill('SIGKILL');
    await gone;
    const demo = await openDemo();
    const house = await openHouse({ ...env, EMBER_TIDE_DATA: data } as Record<string, string>);
    expect((await health(house)).seq).to.equal((await health(demo)).seq);
    await house.close();
    await demo.close();
    clear(data);
  });

  // Its thousand kills are the attack's (`npm run attack`); one of each stands here in the long run.
  const longIt = IS_LONG ? it : () => undefined;
  longIt(
    'killed while a file comes in, while it is restored, while an older record is brought up: all that was answered is there',
    async function () {
      this.timeout(180_000);
      const data = mkdtempSync(join(tmpdir(), 'ember-tide-kills-'));
      const folder = join(data, 'house');
      // The same each time: `npm run attack` takes others.
      const seed = 0.31;
      const chance = seededChance(seed);
      try {
        await (
          await openHouse({
            EMBER_TIDE_MODE: 'demo',
            EMBER_TIDE_FROZEN_AT: '2026-03-13T20:10:00Z',
            EMBER_TIDE_DATA: folder
          })
        ).close();
        const target = { folder, acknowledged: new Set<number>() };
        for (const way of ['importing', 'restoring', 'migrating']) {
          expect(await WAYS[way]!(target, chance, 1), `${way}, seed ${seed}`).to.equal(null);
        }
      } finally {
        rmSync(data, { recursive: true, force: true });
      }
    }
  );
  it('a record that is gone, damaged or somewhere else is said in a sentence, and nothing is made in its place', async () => {
    const demo = await openDemo();
    await demo.process.kill('SIGTERM');
    await new Promise((resolve) => demo.process.once('exit', resolve));
    const file = join(demo.data, 'ember-tide.db');
    for (const ending of ['-wal', '-shm']) rmSync(file + ending, { force: true });
    writeFileSync(file, 'a shopping list where the record should be, long enough to be read. '.repeat(20));
    expect(await refusal(again(demo))).to.contain('is damaged');
    rmSync(file);
    expect(await refusal(again(demo))).to.contain('it is gone or empty');
    const elsewhere = join(demo.data, 'huose');
    expect(await refusal(again(demo, { EMBER_TIDE_MODE: 'production', EMBER_TIDE_DATA: elsewhere }))).to.contain(
      'There is no folder'
    );
    expect(readdirSync(demo.data)).to.not.include.members(['huose', 'ember-tide.db']);
    await demo.close();
  });
});
