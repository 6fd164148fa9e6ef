import Database from 'better-sqlite3';
import { expect } from 'chai';
import { copyFileSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import fc from 'fast-check';
import { seedDemo } from '../../src/lib/server/demo/house.ts';
import { copyDemo } from './demo.ts';
import { openDatabase, sha256 } from '../../src/lib/server/store/open.ts';
import { backUp, restore } from '../../src/lib/server/store/backup.ts';
import { digestOf, rulesDigest } from '../../src/lib/server/store/rules-digest.ts';
import { pack, unpack } from '../../src/lib/server/store/packing.ts';
import { seriesOf } from '../../src/lib/core/log/series.ts';
import { openStore, type Store } from '../../src/lib/server/store/store.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { ledgerCsv, ledgerJsonLines } from '../../src/lib/server/views/ledger-export.ts';
import { ledgerTeller } from '../../src/lib/server/views/ledger.ts';
import { canonical } from '../../src/lib/core/record/canonical.ts';
import { IS_LONG } from '../runs.ts';
import { CHAR, FEED, HOUR, NOON, openTestHouse, scratch } from './house.ts';

describe('the record on disk', () => {
  let folder: ReturnType<typeof scratch>;
  beforeEach(() => (folder = scratch()));
  afterEach(() => folder.clear());
  const file = () => join(folder.path, 'ember-tide.db');

  it('is opened as it has to be: WAL, full synchronisation, foreign keys, strict tables', () => {
    const db = openDatabase(file());
    expect(db.pragma('journal_mode', { simple: true })).to.equal('wal');
    expect(db.pragma('synchronous', { simple: true })).to.equal(2);
    expect(db.pragma('foreign_keys', { simple: true })).to.equal(1);
    const tables = db
      .prepare(
        `SELECT name, strict FROM pragma_table_list WHERE schema = 'main' AND type = 'table' AND name NOT LIKE 'sqlite_%'`
      )
      .all() as { name: string; strict: number }[];
    expect(tables.length).to.be.greaterThan(5);
    tables.forEach(({ name, strict }) => expect(strict, name).to.equal(1));
    db.close();
  });
  it('cannot be changed or shortened through SQL', () => {
    const house = openTestHouse(file());
    expect(() => house.store.db.exec(`UPDATE events SET actor = 'x'`)).to.throw(/append-only/);
    expect(() => house.store.db.exec('DELETE FROM events')).to.throw(/append-only/);
    house.close();
  });
  it('no SQL of the house reads the clock', () => {
    const folderOfSql = join(import.meta.dirname, '..', '..', 'src', 'lib', 'server', 'store', 'migrations');
    const files = readdirSync(folderOfSql);
    expect(files.length).to.be.greaterThan(0);
    for (const name of files) {
      expect(readFileSync(join(folderOfSql, name), 'utf8')).to.not.match(
        /CURRENT_TIME|CURRENT_DATE|'now'|unixepoch\(\)/i
      );
    }
  });

  /** A copy of a demo house whose ledger somebody went at with a file editor. */
  function tampered(sql: string): string | null {
    copyDemo(file());
    const db = new Database(file());
    const guards = db.prepare(`SELECT name, sql FROM sqlite_master WHERE type = 'trigger'`).all() as {
      name: string;
      sql: string;
    }[];
    for (const { name } of guards) db.exec(`DROP TRIGGER ${name}`);
    db.exec(`PRAGMA foreign_keys = OFF; ${sql}`);
    // Whoever is at it with care puts them back.
    for (const guard of guards) db.exec(guard.sql);
    db.close();
    const store = openStore(file());
    const result = verify(store, NOON);
    store.close();
    return result.trouble;
  }
  it('verifies when nobody touched it', () => expect(tampered('')).to.equal(null));
  it('names the first entry whose body was changed', () => {
    expect(tampered(`UPDATE events SET body = replace(body, '7.4 C', '3.4 C') WHERE body LIKE '%7.4 C%'`)).to.match(
      /^entry \d+ is not what was written/
    );
  });
  it('names an entry whose time was moved', () => {
    expect(tampered('UPDATE events SET happened = happened + 1 WHERE seq = 20')).to.match(/^entry 20 /);
  });
  it('names an entry that is missing', () => {
    expect(tampered('DELETE FROM events WHERE seq = 15')).to.equal('entry 15 is missing (next is 16)');
  });
  it('notices a log that was cut off and signed anew from its own numbers', () => {
    expect(
      tampered(`DELETE FROM events WHERE seq > 40; DELETE FROM pieces; DELETE FROM lots; DELETE FROM reading_chunks;`)
    ).to.match(/projection|differs/);
  });
  it('notices a cut-off log by a head noted outside', () => {
    const house = openTestHouse(file());
    house.done('set-house', {
      name: 'H',
      profile: 'eu',
      zone: 'UTC',
      dayEndsHour: 4,
      currency: 'EUR',
      warnMinutes: 60,
      rawShareOfIceDays: 0.4,
      dateMarkDays: 5
    });
    const { seq, hash } = house.store.record.head();
    expect(verify(house.store, NOON, { seq, hash }).ok).to.equal(true);
    expect(verify(house.store, NOON, { seq: seq + 1, hash }).trouble).to.match(/cut off/);
    expect(verify(house.store, NOON, { seq, hash: 'ff' }).ok).to.equal(false);
    house.close();
  });
  it('notices a projection that drifted from the record, and a rebuild mends it', () => {
    copyDemo(file());
    const store = openStore(file());
    store.db.exec(`UPDATE pieces SET windows = '[]' WHERE id = (SELECT min(id) FROM pieces)`);
    expect(verify(store, NOON).trouble).to.match(/^projection pieces /);
    store.projections.rebuild(NOON);
    expect(verify(store, NOON)).to.include({ ok: true, trouble: null });
    store.close();
  });

  it('verifies, and is rebuilt to the same, however much later that is asked', () => {
    copyDemo(file());
    const store = openStore(file());
    const kept = store.projections.dump();
    for (const days of [20, 36, 400]) {
      const when = NOON + days * 24 * HOUR;
      expect(verify(store, when).trouble, `after ${days} days`).to.equal(null);
    }
    store.projections.rebuild(NOON + 400 * 24 * HOUR);
    expect(store.projections.dump()).to.deep.equal(kept);
    store.close();
  });
  it('a backup taken in use verifies, restores, and ends with the noted head', async () => {
    const house = openTestHouse(file());
    house.done('receive-lot', CHAR);
    const copy = join(folder.path, 'copies', 'one.db');
    const head = await backUp(house.store, copy, NOON);
    expect(house.store.record.list({ limit: 1 })[0]!.kind).to.equal('backup.made');
    house.done('receive-lot', { ...CHAR, mass: '3 kg' });
    house.close();
    const aside = join(folder.path, 'aside.db');
    const restored = await restore(copy, file(), aside, NOON);
    expect(restored).to.include({ seq: head.seq, hash: head.hash });
    const store = openStore(file());
    expect(store.record.head()).to.include({ seq: head.seq, hash: head.hash });
    expect(store.projections.lots()).to.have.length(1);
    expect(verify(store, NOON, head).ok).to.equal(true);
    store.close();
    const before = openStore(aside, { readonly: true });
    expect(before.projections.lots()).to.have.length(2);
    before.close();
  });
  it('what other rules judged is judged anew at the next start, and nothing is where they are the same', () => {
    const house = openTestHouse(file());
    const { piece } = house.done('receive-lot', CHAR) as { piece: string };
    house.close();
    const stale = (digest: number) => {
      const db = new Database(file());
      db.prepare('UPDATE pieces SET missing = ? WHERE id = ?').run('["stale"]', piece);
      db.prepare('UPDATE projection_shape SET shape = ?').run(digest);
      db.close();
      const store = openStore(file());
      const { missing } = store.projections.piece(piece);
      store.close();
      return missing.includes('stale');
    };
    expect([stale(rulesDigest() - 1), stale(7), stale(rulesDigest())]).to.deep.equal([false, false, true]);
  });
  it('any edit of what is computed gives another digest; what is only shown gives none', () => {
    const write = (path: string, text: string) => {
      mkdirSync(dirname(join(folder.path, path)), { recursive: true });
      writeFileSync(join(folder.path, path), text);
      return digestOf(folder.path);
    };
    mkdirSync(join(folder.path, 'core'), { recursive: true });
    write('server/store/relations.ts', 'b');
    const first = write('core/rules/a.ts', 'limit = 4');
    expect(Number.isSafeInteger(first)).to.equal(true);
    expect(write('words/a.ts', 'four hours')).to.equal(first);
    expect(write('core/rules/a.ts', 'limit = 5')).to.not.equal(first);
    expect(write('core/rules/a.ts', 'limit = 4')).to.equal(first);
    expect(write('server/store/relations.ts', 'c')).to.not.equal(first);
  });
  it('a damaged backup is not put in the place of a good record', async () => {
    const house = openTestHouse(file());
    house.done('receive-lot', CHAR);
    house.close();
    const bad = join(folder.path, 'bad.db');
    copyFileSync(file(), bad);
    const db = new Database(bad);
    db.exec(`DROP TRIGGER events_are_never_changed; UPDATE events SET actor = 'p9' WHERE seq = 2;`);
    db.close();
    let code = '';
    await restore(bad, file(), join(folder.path, 'aside.db'), NOON).catch(
      (error: { code: string }) => (code = error.code)
    );
    expect(code).to.equal('record.body-invalid');
    const store = openStore(file());
    expect(verify(store, NOON).ok).to.equal(true);
    store.close();
  });
});

describe('packed readings', () => {
  it('come back to a hundredth of a degree, in order', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(
          fc.record({
            at: fc.integer({ min: 0, max: 4e12 }),
            celsius: fc.integer({ min: -9000, max: 6000 }).map((n) => n / 100)
          }),
          {
            selector: ({ at }) => at
          }
        ),
        (readings) => {
          // A chunk is a business day at most: instants within it.
          const day = readings.map((each) => ({ ...each, at: each.at % 90_000_000 }));
          const series = seriesOf(day);
          const back = unpack(pack(series));
          expect([...back.at]).to.deep.equal([...series.at]);
          expect([...back.celsius]).to.deep.equal([...series.celsius]);
        }
      )
    );
  });
  it('stand in the chain by their hash: a changed byte is noticed', () => {
    const house = openTestHouse();
    house.done('set-sensor', { name: 'Chest' });
    house.done('store-readings', {
      sensor: 'Chest',
      log: '2026-03-09T08:00, -22.4\n2026-03-09T09:00, -22.1\n2026-03-08T02:00; -23'
    });
    expect(house.store.readings.day('chest', '2026-03-09')).to.have.length(2);
    expect(house.store.readings.days().map(({ day }) => day)).to.deep.equal(['2026-03-07', '2026-03-09']);
    expect(verify(house.store, NOON).ok).to.equal(true);
    house.store.db.exec(`UPDATE reading_chunks SET packed = zeroblob(24) WHERE day = '2026-03-09'`);
    expect(verify(house.store, NOON).trouble).to.match(/readings of chest on 2026-03-09/);
    house.close();
  });
  it('a line that cannot be read is named, and nothing of the log is kept', () => {
    const house = openTestHouse();
    house.done('set-sensor', { name: 'Chest' });
    const answer = house.act('store-readings', {
      sensor: 'Chest',
      log: '2026-03-09T08:00, -22.4\n2026-03-09T09:00, warm'
    });
    expect(answer).to.include({ ok: false, code: 'quantity.out-of-range' });
    expect((answer as unknown as { details: { field: string } }).details.field).to.equal('line 2');
    expect(house.store.readings.days()).to.deep.equal([]);
    house.close();
  });
});

describe('the ledger taken out', () => {
  const house = openTestHouse();
  house.done('receive-lot', { ...CHAR, supplier: '=cmd()' });
  house.done('attach-evidence', { lot: 'ARC-0309-1', ...FEED });
  it('as JSON Lines can be checked without the house', () => {
    const lines = [...ledgerJsonLines(house.store)].join('').trim().split('\n');
    expect(lines).to.have.length(house.store.record.head().seq);
    let prev = '';
    for (const line of lines) {
      const { envelope, hash } = JSON.parse(line) as { envelope: { prev: string }; hash: string };
      expect(envelope.prev).to.equal(prev);
      expect(sha256(canonical(envelope))).to.equal(hash);
      prev = hash;
    }
  });
  it('as CSV has a row an entry and starts no formula in a spreadsheet', () => {
    const csv = [...ledgerCsv(house.store)].join('');
    expect(csv.split('\n')[0]).to.contain('seq,happened,recorded');
    expect(csv).to.not.match(/(^|,)=cmd/m);
    expect(csv).to.contain('Ada');
  });
  it('tells whose name was forgotten by the id, and never as the house', () => {
    const forgetful = openTestHouse();
    forgetful.done('receive-lot', { ...CHAR });
    const [received] = forgetful.store.record.list({ kind: 'lot.received' });
    expect(ledgerTeller(forgetful)(received!).line).to.match(/^Ada\b.* received /);
    forgetful.store.people.forget(received!.actor, received!.recorded);
    const { who, line } = ledgerTeller(forgetful)(received!);
    expect(who).to.equal(received!.actor);
    expect(line.startsWith(`${received!.actor} received `), line).to.equal(true);
    expect(ledgerTeller(forgetful)({ ...received!, actor: 'nobody' }).who).to.equal('The house');
  });
});

describe('the demo house', () => {
  it('tells its whole ledger in sentences, with names and no codes', () => {
    const { path, clear } = scratch();
    copyDemo(join(path, 'demo.db'));
    const store = openStore(join(path, 'demo.db'));
    const tell = ledgerTeller({ store });
    const lines = [...store.record.iterate()].map((row) => {
      const entry = store.record.read(row);
      return { kind: entry.kind, line: tell(entry).line };
    });
    store.close();
    clear();
    for (const { kind, line } of lines) {
      expect(line, kind).to.match(/^\p{Lu}.{8,}[.”]$/u);
      expect(line, kind).to.not.match(/undefined|NaN|null|\[object|\{|\b[a-z]+-[a-z]+-[a-z]+\b/);
    }
    expect(new Set(lines.map(({ kind }) => kind)).size).to.be.greaterThan(30);
    expect(lines.map(({ line }) => line).join('\n')).to.match(
      /took Halibut \(HAL-\S+\) out of the freezer into Drawer 1: \d+ d( \d+ h)? proven, complete\./
    );
  });
  it('is the same from the same seed, follows its start, and has trouble of each kind in it', () => {
    const summary = (startedAt: number, seed?: number) => {
      const store = openStore(':memory:');
      seedDemo(store, startedAt, seed);
      return summaryOf(store, startedAt);
    };
    const summaryOf = (store: Store, startedAt: number) => {
      const states = store.projections
        .livePieces()
        .map(({ state, missing }) => `${state.made.name} ${state.grams} ${missing.join()}`);
      expect(verify(store, startedAt).ok).to.equal(true);
      store.close();
      return states;
    };
    const { path, clear } = scratch();
    copyDemo(join(path, 'demo.db'));
    const first = summaryOf(openStore(join(path, 'demo.db')), NOON);
    clear();
    expect(summary(NOON)).to.deep.equal(first);
    expect(summary(NOON, 0.1)).to.not.deep.equal(first);
    // Late in the evening of a day two months on.
    const all = summary(NOON + (60 * 24 + 11) * HOUR).join('\n');
    for (const kind of ['parasites.no-farm-paper', 'temperature.arrived-warm', 'shellfish.no-tag'])
      expect(all).to.contain(kind);
  });
  it('is made at any hour of the day: nothing in it is served or begun after its window', () => {
    for (const hours of IS_LONG ? [0, 4, 7, 14, 20, 23] : [7]) {
      const startedAt = NOON + (hours - 12) * HOUR;
      const store = openStore(':memory:');
      expect(() => seedDemo(store, startedAt), `at ${hours} UTC`).to.not.throw();
      expect(store.projections.livePieces().length, `at ${hours} UTC`).to.be.greaterThan(20);
      store.close();
    }
  });
});
