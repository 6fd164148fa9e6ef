import { expect } from 'chai';
import Database from 'better-sqlite3';
import { existsSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { openApp } from '../../src/lib/server/app.ts';
import { troubleOf } from '../trouble.ts';
import { canonicalEnvelope, type StoredEvent } from '../../src/lib/core/record/canonical.ts';
import { backUp, restore } from '../../src/lib/server/store/backup.ts';
import { sha256 } from '../../src/lib/server/store/open.ts';
import { openSeal } from '../../src/lib/server/store/seal.ts';
import { openStore } from '../../src/lib/server/store/store.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { CHAR, NOON, openTestHouse, scratch } from './house.ts';

describe('the seal beside the folder', () => {
  let folder: ReturnType<typeof scratch>;
  let file: string;
  let seal: string;
  beforeEach(() => {
    folder = scratch();
    file = join(folder.path, 'house', 'ember-tide.db');
    seal = join(folder.path, 'house.seal');
    const house = openTestHouse(file, { seal });
    house.done('receive-lot', CHAR);
    house.done('join-person', { name: 'Bo' });
    house.done('sign-day', { note: 'counted' });
    house.done('receive-lot', { ...CHAR, mass: '3 kg' });
    house.done('sign-day', { note: 'counted' });
    house.close();
  });
  afterEach(() => folder.clear());
  /** What somebody with a file editor, and the run of the folder alone, leaves; and what is said of it at the start and by verify. */
  function after(change: (db: Database.Database) => void, notes = true): { lost: boolean; trouble: string | null } {
    const db = new Database(file);
    change(db);
    db.close();
    if (!notes) rmSync(`${file}-head`);
    const store = openStore(file, { seal });
    const seen = { lost: store.noted.loss() !== null, trouble: verify(store, NOON).trouble };
    store.close();
    return seen;
  }
  const UNGUARDED =
    'DROP TRIGGER events_are_never_changed; DROP TRIGGER events_are_never_removed; PRAGMA foreign_keys = OFF;';
  const GUARDED = readFileSync(
    join(import.meta.dirname, '../../src/lib/server/store/migrations/001_record.sql'),
    'utf8'
  ).match(/CREATE TRIGGER[\s\S]*?END;/g)!;
  /** Writes the chain anew over what is there now, and puts the guards back: nothing in the folder contradicts itself. */
  function recomputed(db: Database.Database): void {
    const rows = db.prepare('SELECT * FROM events ORDER BY seq').all() as StoredEvent[];
    let prev = '';
    for (const row of rows) {
      const next = { ...row, prev };
      const hash = sha256(canonicalEnvelope(next));
      db.prepare('UPDATE events SET prev = ?, hash = ? WHERE seq = ?').run(prev, hash, row.seq);
      prev = hash;
    }
    for (const guard of GUARDED) db.exec(guard);
  }

  it('finds nothing where nothing was done', () => {
    expect(after(() => undefined)).to.deep.equal({ lost: false, trouble: null });
    expect(after(() => undefined, false)).to.deep.equal({ lost: false, trouble: null });
    expect(statSync(seal).mode & 0o077).to.equal(0);
  });
  it('a cut tail, with the note beside the record taken away as well', () => {
    const { lost, trouble } = after((db) => {
      db.exec(`${UNGUARDED} DELETE FROM events WHERE seq > 4;`);
      for (const guard of GUARDED) db.exec(guard);
    }, false);
    expect(lost).to.equal(true);
    expect(trouble).to.not.equal(null);
  });
  it('a chain that was computed anew over a changed entry', () => {
    const { lost } = after((db) => {
      db.exec(`${UNGUARDED} UPDATE events SET body = replace(body, '3 kg', '2 kg');`);
      recomputed(db);
    }, false);
    expect(lost).to.equal(true);
  });
  it('the same, with the seal’s word left as it was, by who holds the seal’s key in another place', () => {
    const { key } = JSON.parse(readFileSync(seal, 'utf8')) as { key: string };
    const { trouble } = after((db) => {
      db.exec(`${UNGUARDED} UPDATE events SET body = replace(body, '3 kg', '2 kg');`);
      recomputed(db);
      // The head in the seal is taken away as well: its key alone is left to tell.
      writeFileSync(seal, JSON.stringify({ key, since: 5, last: null }));
      db.exec(`DELETE FROM pieces; UPDATE projection_shape SET shape = 0;`);
    }, false);
    expect(trouble).to.match(/names a head|does not bear the house’s seal/);
  });
  it('the folder emptied, or taken away whole: no empty record is made in its place', () => {
    const start = () => openApp({ EMBER_TIDE_DATA: dirname(file), EMBER_TIDE_MODE: 'demo', EMBER_TIDE_SEAL: seal });
    rmSync(dirname(file), { recursive: true });
    expect(troubleOf(start).code).to.equal('store.gone');
    expect(existsSync(file)).to.equal(false);
  });
  it('two names that changed places', () => {
    const { trouble } = after((db) =>
      db.exec(`UPDATE people SET name = CASE id WHEN 'p1' THEN 'Bo' ELSE 'Ada' END WHERE id IN ('p1', 'p2')`)
    );
    expect(trouble).to.match(/^the name of p[12] is not the one that was signed/);
  });
  it('guards of the entries that were taken away, or do nothing any more', () => {
    expect(after((db) => db.exec('DROP TRIGGER events_are_never_removed')).trouble).to.match(
      /events_are_never_removed/
    );
    const toothless = after((db) =>
      db.exec(`CREATE TRIGGER events_are_never_removed BEFORE DELETE ON events WHEN 0 BEGIN
        SELECT RAISE(ABORT, 'the ledger is append-only'); END`)
    );
    expect(toothless.trouble).to.match(/events_are_never_removed/);
  });
  it('who was forgotten is not missed, and nothing that is kept leads back to the name', () => {
    const house = openTestHouse(file, { seal });
    house.done('forget-person', { person: 'p2', reason: 'left' });
    expect(verify(house.store, NOON).trouble).to.equal(null);
    const rows = house.store.db.prepare(`SELECT salt FROM people WHERE id = 'p2'`).get();
    expect(rows).to.deep.equal({ salt: null });
    house.close();
  });
  it('a restore, and a house that has no seal yet, are believed', async () => {
    const copy = join(folder.path, 'copy.db');
    const house = openTestHouse(file, { seal });
    await backUp(house.store, copy, NOON);
    house.done('sign-day', { note: 'again' });
    house.close();
    await restore(copy, file, join(folder.path, 'aside.db'), NOON, seal);
    expect(after(() => undefined)).to.deep.equal({ lost: false, trouble: null });
    rmSync(seal);
    expect(after(() => undefined)).to.deep.equal({ lost: false, trouble: null });
    expect(existsSync(seal)).to.equal(true);
  });
  it('the seal has its word on each signing of its own', () => {
    const own = openSeal(seal);
    const head = { seq: 9, hash: 'a'.repeat(64) };
    const word = own.word('2026-03-09', head);
    expect(own.holds(word, '2026-03-09', head)).to.equal(true);
    expect(own.holds(word, '2026-03-10', head)).to.equal(false);
    expect(own.holds(word, '2026-03-09', { ...head, seq: 8 })).to.equal(false);
    expect(openSeal(join(folder.path, 'other.seal')).holds(word, '2026-03-09', head)).to.equal(false);
  });
});
