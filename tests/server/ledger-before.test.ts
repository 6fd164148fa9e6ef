import { expect } from 'chai';
import { gunzipSync } from 'node:zlib';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { stateAt, type RouteWindow } from '../../src/lib/core/codes/window.ts';
import { openStore, type Store } from '../../src/lib/server/store/store.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { scratch } from './house.ts';

/** A house as an earlier version left it: its ledger, and what that version said of each piece. */
const FIXTURE = join(import.meta.dirname, '../fixtures/house-2026-11.db.gz');
const HEAD = { seq: 425, hash: 'c364d8601ca4bd09e30d0ad8df93d3a5fa9714be6843d7e49ea36c6a4e8629e9' };
const WARN = 7200;

interface Row {
  id: string;
  windows: string;
}

describe('a ledger made by an earlier version', () => {
  const folder = scratch();
  const file = join(folder.path, 'house.db');
  let said: Map<string, RouteWindow[]>;
  let store: Store;
  before(() => {
    writeFileSync(file, gunzipSync(readFileSync(FIXTURE)));
    const db = new Database(file, { readonly: true });
    const rows = db.prepare<[], Row>('SELECT id, windows FROM pieces WHERE live = 1').all();
    said = new Map(rows.map(({ id, windows }) => [id, JSON.parse(windows) as RouteWindow[]]));
    db.close();
    store = openStore(file);
  });
  after(() => {
    store.close();
    folder.clear();
  });

  it('opens and verifies, entry by entry, with the head it ended on', () => {
    const seen = verify(store, store.record.head().recorded, HEAD);
    expect(seen.trouble).to.equal(null);
    expect(seen.head).to.deep.equal(HEAD);
    expect(store.record.list({ limit: 5000 })).to.have.length(HEAD.seq);
  });
  it('is judged anew where the rules were mended, and nowhere opened that was shut', () => {
    const now = store.record.head().recorded;
    const shut = new Set(['closed', 'never', 'not-cleared', 'locked']);
    const changed: string[] = [];
    for (const { state, windows } of store.projections.livePieces()) {
      const was = said.get(state.id)!.map((window) => stateAt(window, now, WARN));
      const is = windows.map((window) => stateAt(window, now, WARN));
      was.forEach((each, index) => {
        if (shut.has(each)) expect(shut.has(is[index]!), `${state.id} ${windows[index]!.route}`).to.equal(true);
      });
      if (was.join() !== is.join()) changed.push(state.id);
    }
    expect(said.size).to.be.greaterThan(25);
    expect(changed.length).to.be.within(5, said.size);
  });
});
