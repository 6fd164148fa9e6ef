import { expect } from 'chai';
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { openStore } from '../../src/lib/server/store/store.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { IS_LONG } from '../runs.ts';
import { NOON, openTestHouse, scratch, CHAR } from './house.ts';
import { pack } from './packed.ts';

/** Some each day, each at another moment of the writing; a dozen in the long run. */
const KILLS = IS_LONG ? 12 : 4;

/** Lets a process of its own write without pause and kills it in the middle; what it had acknowledged is kept here. */
function killWhileWriting(writer: string, file: string, round: number): Promise<number[]> {
  return new Promise((resolve, reject) => {
    const child = spawn(process.execPath, [writer, file, String(round)], {
      stdio: ['ignore', 'pipe', 'inherit']
    });
    const acknowledged: number[] = [];
    let rest = '';
    child.stdout.on('data', (chunk: Buffer) => {
      const lines = (rest + chunk.toString()).split('\n');
      rest = lines.pop() ?? '';
      acknowledged.push(...lines.filter(Boolean).map(Number));
      // Each round dies a little later than the one before.
      if (acknowledged.length >= 3 + (round % 10) * 7) child.kill('SIGKILL');
    });
    child.on('error', reject);
    child.on('close', (_, signal) =>
      signal === 'SIGKILL' ? resolve(acknowledged) : reject(new Error(`ended by itself: ${signal}`))
    );
  });
}

describe('killed while writing', () => {
  it(`${KILLS} times: nothing that was acknowledged is lost, nothing is half there`, async function () {
    this.timeout(120_000);
    const folder = scratch();
    pack(['tests/server/kill-writer.ts'], folder.path);
    const writer = join(folder.path, 'kill-writer.mjs');
    const file = join(folder.path, 'ember-tide.db');
    const house = openTestHouse(file);
    house.done('receive-lot', CHAR);
    house.close();
    const acknowledged: number[] = [];
    // Two writers at a time also take turns at the lock.
    for (let round = 0; round < KILLS; round += 2) {
      const lists = await Promise.all([
        killWhileWriting(writer, file, round),
        killWhileWriting(writer, file, round + 1)
      ]);
      acknowledged.push(...lists.flat());
    }
    const store = openStore(file);
    expect(store.db.pragma('journal_mode', { simple: true })).to.equal('wal');
    expect(store.db.pragma('synchronous', { simple: true })).to.equal(2);
    expect(acknowledged.length).to.be.greaterThan(KILLS * 3);
    expect(new Set(acknowledged).size).to.equal(acknowledged.length);
    const there = new Set([...store.record.iterate()].map(({ seq }) => seq));
    expect(acknowledged.filter((seq) => !there.has(seq))).to.deep.equal([]);
    expect(verify(store, NOON).trouble).to.equal(null);
    store.close();
    folder.clear();
  });
});
