import { expect } from 'chai';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { DATABASE_FILE } from '../../src/lib/server/store/open.ts';
import { oneIn } from '../runs.ts';
import { PLACES } from '../../src/lib/ui/places.ts';
import { clear, closePages, openHouse, signIn, visit, type RunningHouse } from './harness.ts';
import { watch } from './watch.ts';

const FIXTURE = join(import.meta.dirname, '../fixtures/house-2026-11.db.gz');

describe('a ledger made by an earlier version, in a browser', () => {
  let house: RunningHouse;
  const data = mkdtempSync(join(tmpdir(), 'ember-tide-before-'));
  before(async () => {
    writeFileSync(join(data, DATABASE_FILE), gunzipSync(readFileSync(FIXTURE)));
    // The hour of its last entry: an evening with runs of every kind going on.
    house = await openHouse({ EMBER_TIDE_DATA: data, EMBER_TIDE_FROZEN_AT: '2026-11-27T21:10:00Z' });
  });
  after(async () => {
    await closePages();
    await house.close();
    clear(data);
  });

  it('opens on every screen, and every piece and lot of it has its page', async () => {
    const ask = async <Answer>(path: string) => (await (await fetch(`${house.url}/api/v1/${path}`)).json()) as Answer;
    const { pieces } = await ask<{ pieces: { id: string }[] }>('now');
    const { lots } = await ask<{ lots: { id: string }[] }>('lots');
    expect([pieces.length > 25, lots.length > 10]).to.deep.equal([true, true]);
    // Their pages as the server makes them; what scripts add is the same for any ledger.
    for (const path of oneIn(4, [...pieces.map(({ id }) => `/piece/${id}`), ...lots.map(({ id }) => `/lot/${id}`)])) {
      const answer = await fetch(house.url + path);
      expect(answer.status, path).to.equal(200);
      expect(await answer.text(), path).to.not.match(/undefined|NaN|\[object/);
    }
    const watched = await watch();
    await signIn(watched.page, house.url, 'p1');
    for (const { path } of oneIn(3, PLACES)) {
      await visit(watched.page, house.url + path);
      expect(await watched.page.textContent('main'), path).to.not.match(/undefined|NaN|\[object/);
    }
    watched.quiet();
    await watched.close();
  });
});
