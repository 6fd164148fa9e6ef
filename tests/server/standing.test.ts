import { expect } from 'chai';
import Database from 'better-sqlite3';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync
} from 'node:fs';
import { dirname, join } from 'node:path';
import { EmberError } from '../../src/lib/core/errors.ts';
import { openApp } from '../../src/lib/server/app.ts';
import { backUp, droppedBy, restore } from '../../src/lib/server/store/backup.ts';
import { settleFolder } from '../../src/lib/server/store/folder.ts';
import { headFileOf, noteHead, readHead } from '../../src/lib/server/store/head-note.ts';
import { lockFolder } from '../../src/lib/server/store/lock.ts';
import { openStore } from '../../src/lib/server/store/store.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { CHAR, HOUR, NOON, openTestHouse, scratch, type TestHouse } from './house.ts';

const codeOf = (work: () => unknown): string => {
  try {
    work();
    return 'done';
  } catch (error) {
    return error instanceof EmberError ? error.code : String(error);
  }
};
const refusedWith = async (work: Promise<unknown>): Promise<string> =>
  work.then(
    () => 'done',
    (error: EmberError) => error.code
  );

describe('the note of the last entry beside the record', () => {
  let folder: ReturnType<typeof scratch>;
  let file: string;
  let house: TestHouse;
  beforeEach(() => {
    folder = scratch();
    file = join(folder.path, 'first', 'ember-tide.db');
    house = openTestHouse(file);
    house.done('receive-lot', CHAR);
  });
  afterEach(() => {
    house.close();
    folder.clear();
  });

  /** The folder as a power cut, or somebody with a file manager, left it: the house is still open, so that its log is not folded in. */
  function left(change: (file: string) => void): string {
    const to = join(folder.path, `left-${readdirSync(folder.path).length}`, 'ember-tide.db');
    mkdirSync(dirname(to));
    for (const ending of ['', '-wal', '-head']) if (existsSync(file + ending)) copyFileSync(file + ending, to + ending);
    change(to);
    return to;
  }
  const codesIn = (at: string) => {
    const again = openTestHouse(at);
    const { loss } = again.store.noted;
    const answer = again.act('join-person', { name: 'Una' });
    const seen = { lost: (loss()?.noted.seq ?? 0) - (loss()?.found.seq ?? 0), code: answer.ok ? 'done' : answer.code };
    again.close();
    return seen;
  };

  it('says what the record says while nothing is wrong', () => {
    const { seq, hash } = house.store.record.head();
    expect(readHead(file)).to.deep.equal({ seq, hash });
    expect(codesIn(left(() => undefined))).to.deep.equal({ lost: 0, code: 'done' });
  });
  it('a log that was cut anywhere, or taken away, is noticed and nothing is written after it', () => {
    // All of the first entries in the file itself, the last in the log alone.
    house.store.db.pragma('wal_checkpoint(TRUNCATE)');
    for (let more = 0; more < 6; more++) house.done('receive-lot', { ...CHAR, mass: `${more + 1} kg` });
    const size = statSync(`${file}-wal`).size;
    const cuts = Array.from({ length: 12 }, (_, cut) => Math.floor((size * cut) / 12));
    const seen = cuts.map((cut) => codesIn(left((at) => truncateSync(`${at}-wal`, cut))));
    for (const [index, { lost, code }] of seen.entries()) {
      expect(code, `cut at ${cuts[index]} of ${size}`).to.equal('store.shortened');
      expect(lost).to.be.greaterThan(0);
    }
    expect(codesIn(left((at) => rmSync(`${at}-wal`))).code).to.equal('store.shortened');
    const middle = left((at) => {
      const bytes = readFileSync(`${at}-wal`);
      bytes.fill(0xff, size / 2, size / 2 + 64);
      writeFileSync(`${at}-wal`, bytes);
    });
    expect(codesIn(middle).code).to.equal('store.shortened');
  });
  it('an older copy laid over the record is noticed, and so is another house’s', async () => {
    const copy = join(folder.path, 'copy.db');
    await backUp(house.store, copy, NOON);
    house.done('receive-lot', { ...CHAR, mass: '3 kg' });
    const other = openTestHouse(join(folder.path, 'other.db'));
    for (let more = 0; more < 9; more++) other.done('receive-lot', { ...CHAR, mass: `${more + 1} kg` });
    other.close();
    for (const instead of [copy, join(folder.path, 'other.db')]) {
      const at = left((to) => {
        rmSync(`${to}-wal`, { force: true });
        copyFileSync(instead, to);
      });
      expect(codesIn(at).code, instead).to.equal('store.shortened');
    }
  });
  it('neither people nor loggers write to a shortened record; who says why goes on, and it stays said', () => {
    house.store.db.pragma('wal_checkpoint(TRUNCATE)');
    const kept = house.store.record.head();
    house.done('receive-lot', { ...CHAR, mass: '2 kg' });
    const lost = house.store.record.head().seq;
    const at = left((to) => rmSync(`${to}-wal`));
    const again = openTestHouse(at);
    const write = () => again.executor.write('system', () => ({ events: [], places: [], result: null }));
    expect(codeOf(write)).to.equal('store.shortened');
    expect(again.store.record.head().seq).to.equal(kept.seq);
    expect(again.act('confirm-loss', { reason: '' }).ok).to.equal(false);
    expect(again.done('confirm-loss', { reason: 'power cut' })).to.deep.equal({ noted: lost, found: kept.seq });
    expect(again.act('join-person', { name: 'Bo' }).ok).to.equal(true);
    expect(codeOf(write)).to.equal('done');
    again.close();
    expect(codesIn(at)).to.deep.equal({ lost: 0, code: 'done' });
  });
  it('killed after the entry that owns up and before the note follows it, nothing is asked again', () => {
    const { seq, hash } = house.store.record.head();
    const noted = { seq: seq + 3, hash: 'b'.repeat(64) };
    const at = left((to) => noteHead(to, noted));
    const again = openTestHouse(at);
    again.done('confirm-loss', { reason: 'power cut' });
    again.close();
    noteHead(at, noted);
    expect(hash).to.not.equal(noted.hash);
    expect(codesIn(at)).to.deep.equal({ lost: 0, code: 'done' });
  });
  it('a torn line of the note leaves the line before it; a note that cannot be read accuses nobody', () => {
    const torn = (from: number) =>
      left((at) => {
        const text = readFileSync(headFileOf(at), 'latin1');
        writeFileSync(headFileOf(at), text.slice(0, from) + '#'.repeat(8) + text.slice(from + 8), 'latin1');
      });
    for (const from of [4, 60, 116, 170]) expect(codesIn(torn(from)), String(from)).to.include({ code: 'done' });
    expect(codesIn(left((at) => writeFileSync(headFileOf(at), '')))).to.include({ code: 'done' });
  });
  it('a ledger of before there was a note gets one as it is opened', () => {
    const at = left((to) => rmSync(headFileOf(to)));
    openStore(at).close();
    expect(readHead(at)!.seq).to.equal(house.store.record.head().seq);
  });
  it('work that is taken back notes nothing, and work within work notes only what is on the disk', () => {
    const before = readHead(file);
    expect(() =>
      house.store.transact(() => {
        house.done('receive-lot', { ...CHAR, mass: '2 kg' });
        throw new Error('cut off');
      })
    ).to.throw('cut off');
    expect(readHead(file)).to.deep.equal(before);
    expect(house.store.record.head().seq).to.equal(before!.seq);
  });
});

describe('the folder of a house', () => {
  let folder: ReturnType<typeof scratch>;
  let file: string;
  beforeEach(() => {
    folder = scratch();
    file = join(folder.path, 'ember-tide.db');
  });
  afterEach(() => folder.clear());
  const env = () => ({ EMBER_TIDE_DATA: folder.path, EMBER_TIDE_MODE: 'test' });
  const opened = (more: Record<string, string> = {}) => {
    const app = openApp({ ...env(), ...more });
    app.store.close();
    app.unlock();
  };
  const lots = (at: string) => {
    const store = openStore(at, { readonly: true });
    const { length } = store.projections.lots();
    store.close();
    return length;
  };
  async function twoHouses(): Promise<{ copy: string }> {
    const copy = join(folder.path, 'backups', 'one.db');
    const house = openTestHouse(file);
    house.done('receive-lot', CHAR);
    await backUp(house.store, copy, NOON);
    house.done('receive-lot', { ...CHAR, mass: '3 kg' });
    house.close();
    return { copy };
  }

  it('is one process’s alone: a second house, and a restore, are refused until it is given back', async () => {
    const { copy } = await twoHouses();
    const app = openApp(env());
    expect(codeOf(() => openApp(env()))).to.equal('store.in-use');
    const aside = join(folder.path, 'aside.db');
    expect(await refusedWith(restore(copy, file, aside, NOON))).to.equal('store.in-use');
    app.store.close();
    app.unlock();
    expect(await refusedWith(restore(copy, file, aside, NOON))).to.equal('done');
    opened();
  });
  it('may be read beside a house that is open', async () => {
    await twoHouses();
    const app = openApp(env());
    const reader = openApp({ ...env(), EMBER_TIDE_READONLY: '1' });
    expect(reader.readOnly).to.equal(true);
    reader.store.close();
    app.store.close();
    app.unlock();
  });
  it('a restore names what it would drop', async () => {
    const { copy } = await twoHouses();
    const store = openStore(file, { readonly: true });
    const kinds = droppedBy(copy, file).map((seq) => store.record.event(seq)!.kind);
    store.close();
    expect(kinds).to.deep.equal(['backup.made', 'lot.received', 'piece.made']);
    expect(droppedBy(copy, join(folder.path, 'none.db'))).to.deep.equal([]);
  });
  it('a restore cut off between any two of its steps is finished at the next start', async () => {
    const { copy } = await twoHouses();
    const fresh = `${file}.restoring`;
    const aside = `${file}.before`;
    const head = readHead(file)!;
    const copied = openStore(copy, { readonly: true });
    const plan = { fresh, setAside: aside, head: { seq: copied.record.head().seq, hash: copied.record.head().hash } };
    copied.close();
    expect(plan.head.seq).to.be.lessThan(head.seq);
    const whole = scratch();
    for (const name of ['ember-tide.db', 'ember-tide.db-head']) {
      copyFileSync(join(folder.path, name), join(whole.path, name));
    }
    const steps: ((base: string) => void)[] = [
      () => copyFileSync(copy, fresh),
      () => writeFileSync(join(folder.path, 'ember-tide.restore.json'), JSON.stringify(plan)),
      () => renameSync(`${file}-head`, `${aside}-head`),
      () => renameSync(file, aside),
      () => renameSync(fresh, file),
      () => noteHead(file, plan.head)
    ];
    for (let cut = 1; cut <= steps.length; cut++) {
      for (const name of readdirSync(folder.path)) {
        if (name !== 'backups') rmSync(join(folder.path, name), { force: true });
      }
      for (const name of readdirSync(whole.path)) copyFileSync(join(whole.path, name), join(folder.path, name));
      for (const step of steps.slice(0, cut)) step(file);
      settleFolder(folder.path);
      // Before it was written down what would happen, nothing had: the record is as it was.
      expect(lots(file), `cut after step ${cut}`).to.equal(cut === 1 ? 2 : 1);
      const store = openStore(file);
      expect(store.noted.loss(), `cut after step ${cut}`).to.equal(null);
      expect(verify(store, NOON).trouble).to.equal(null);
      store.close();
      expect(readdirSync(folder.path).filter((name) => /restor|partial/.test(name))).to.deep.equal([]);
      if (cut > 1) expect(lots(aside)).to.equal(2);
    }
    whole.clear();
  });
  it('an empty record is never put in the place of one that is gone', async () => {
    await twoHouses();
    rmSync(file);
    expect(codeOf(() => opened())).to.equal('store.gone');
    expect(codeOf(() => opened({ EMBER_TIDE_MODE: 'demo' }))).to.equal('store.gone');
    expect(existsSync(file)).to.equal(false);
    writeFileSync(file, '');
    expect(codeOf(() => opened())).to.equal('store.gone');
  });
  it('that was mistyped is not made; half a file, a foreign one and a later one are said to be so', () => {
    const none = join(folder.path, 'huose');
    expect(codeOf(() => opened({ EMBER_TIDE_MODE: 'production', EMBER_TIDE_DATA: none }))).to.equal('store.no-folder');
    expect(existsSync(none)).to.equal(false);
    writeFileSync(file, 'a shopping list, quite a long one, kept where the record should be. '.repeat(40));
    expect(codeOf(() => opened())).to.equal('store.damaged');
    rmSync(file);
    openTestHouse(file).close();
    const db = new Database(file);
    db.pragma('user_version = 900');
    db.close();
    expect(codeOf(() => opened())).to.equal('store.newer');
    expect(codeOf(() => lockFolder(folder.path)())).to.equal('done');
  });
  it('a record whose pages were overwritten is said to be damaged', () => {
    const house = openTestHouse(file);
    for (let more = 0; more < 9; more++) house.done('receive-lot', { ...CHAR, mass: `${more + 1} kg` });
    house.close();
    const bytes = readFileSync(file);
    bytes.fill(0xa5, 4096, bytes.length);
    writeFileSync(file, bytes);
    expect(codeOf(() => opened())).to.equal('store.damaged');
  });
  it('and its files are nobody else’s on the machine', () => {
    const within = join(folder.path, 'own');
    const app = openApp({ EMBER_TIDE_DATA: within, EMBER_TIDE_MODE: 'test' });
    app.executor.write('system', () => ({ events: [], places: [], result: null }));
    const modes = ['', ...readdirSync(within)].map(
      (name) => [name, statSync(join(within, name)).mode & 0o777] as const
    );
    expect(modes.length).to.be.greaterThan(3);
    for (const [name, mode] of modes) expect(mode & 0o077, name || 'the folder').to.equal(0);
    app.store.close();
    app.unlock();
  });
  it('an unbelievable clock stops loggers as it stops people', () => {
    const house = openTestHouse();
    house.clock.moveTo(NOON + 9 * 365 * 24 * HOUR, true);
    const write = () => house.executor.write('system', () => ({ events: [], places: [], result: null }));
    expect(codeOf(write)).to.equal('time.clock-ahead');
    house.close();
  });
});
