import { expect } from 'chai';
import Database from 'better-sqlite3';
import { cpSync, mkdirSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { migrate, openDatabase } from '../../src/lib/server/store/open.ts';
import { openStore } from '../../src/lib/server/store/store.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { troubleOf } from '../trouble.ts';
import { copyDemo } from './demo.ts';
import { NOON, openTestHouse, scratch } from './house.ts';

const MIGRATIONS = join(import.meta.dirname, '../../src/lib/server/store/migrations');
const NAMES = readdirSync(MIGRATIONS).sort();
/** What a version has no table for yet, and so cannot hold: papers before the second, chunks of
 * readings before the fourth, what signings vouch for names with before the ninth. */
const HOLDS_PAPERS = 2;
const HOLDS_READINGS = 4;
const HOLDS_SALTS = 9;

describe('a record of every earlier version', () => {
  let folder: ReturnType<typeof scratch>;
  let demo: string;
  before(() => {
    folder = scratch();
    demo = join(folder.path, 'demo.db');
    copyDemo(demo);
  });
  after(() => folder.clear());

  /** The demo house as far as a version could hold it, in that version's tables. */
  function ofVersion(version: number): string {
    const upTo = join(folder.path, `migrations-${version}`);
    mkdirSync(upTo);
    for (const name of NAMES.slice(0, version)) cpSync(join(MIGRATIONS, name), join(upTo, name));
    const file = join(folder.path, `version-${version}.db`);
    openDatabase(file, { migrations: upTo }).close();
    const db = new Database(file);
    db.prepare('ATTACH ? AS demo').run(demo);
    const first = (kind: string, where = '1') =>
      (
        db.prepare(`SELECT min(seq) AS seq FROM demo.events WHERE kind = ? AND ${where}`).get(kind) as {
          seq: number;
        }
      ).seq;
    const ends = [
      ...(version < HOLDS_PAPERS ? [first('evidence.attached', `body LIKE '%"hash"%'`)] : []),
      ...(version < HOLDS_READINGS ? [first('readings.stored')] : []),
      ...(version < HOLDS_SALTS ? [first('day.signed')] : [])
    ];
    db.prepare('INSERT INTO events SELECT * FROM demo.events WHERE seq < ?').run(Math.min(1e9, ...ends));
    db.exec('INSERT INTO people (id, name, joined, forgotten) SELECT id, name, joined, forgotten FROM demo.people');
    if (version >= HOLDS_SALTS)
      db.exec('UPDATE people SET salt = (SELECT salt FROM demo.people AS own WHERE own.id = people.id)');
    if (version >= HOLDS_PAPERS) db.exec('INSERT INTO files SELECT * FROM demo.files');
    if (version >= HOLDS_READINGS) {
      db.exec(`INSERT INTO reading_chunks SELECT * FROM demo.reading_chunks;
        INSERT INTO reading_tail SELECT * FROM demo.reading_tail`);
    }
    db.close();
    return file;
  }

  for (const [index, name] of NAMES.entries()) {
    it(`${name}: opens, verifies, and takes the next entry`, () => {
      const file = ofVersion(index + 1);
      const store = openStore(file);
      expect(store.db.pragma('user_version', { simple: true })).to.equal(NAMES.length);
      const head = store.record.head();
      expect(head.seq).to.be.greaterThan(20);
      expect(verify(store, NOON).trouble).to.equal(null);
      expect(store.projections.lots().length).to.be.greaterThan(0);
      store.close();
      const house = openTestHouse(file);
      house.clock.moveTo(head.recorded + 1, true);
      expect(house.act('join-person', { name: 'Una' }).ok).to.equal(true);
      expect(verify(house.store, NOON).trouble).to.equal(null);
      house.close();
    });
  }
  it('one of a later version is left as it is, and so is one whose migration breaks in the middle', () => {
    const later = openDatabase(join(folder.path, 'later.db'));
    later.pragma(`user_version = ${NAMES.length + 1}`);
    expect(troubleOf(() => migrate(later)).code).to.equal('store.newer');
    later.pragma('user_version = 2');
    const tables = later.prepare(`SELECT sql FROM sqlite_master ORDER BY name`).all();
    expect(() => migrate(later)).to.throw(/already exists|duplicate/);
    expect(later.pragma('user_version', { simple: true })).to.equal(2);
    expect(later.prepare(`SELECT sql FROM sqlite_master ORDER BY name`).all()).to.deep.equal(tables);
    later.close();
  });
});
