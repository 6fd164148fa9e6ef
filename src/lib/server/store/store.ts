import { randomBytes } from 'node:crypto';
import { openFiles } from './files.ts';
import { openDatabase, sha256, type Db, type OpenOptions } from './open.ts';
import { openNotedHead, type NotedHead } from './noted-head.ts';
import { openProjections, type Projections } from './projections.ts';
import { sealOrNone, type Seal } from './seal.ts';
import { openReadings } from './readings.ts';
import { openRecord, type RecordStore } from './record.ts';
import { openUnfinished } from './unfinished.ts';
import { rulesDigest } from './rules-digest.ts';

export interface Person {
  readonly id: string;
  /** Null once forgotten. */
  readonly name: string | null;
}

export interface StoreOptions extends OpenOptions {
  /** The seal of the house, or where it lies; none is kept where it is left out. */
  readonly seal?: string | Seal;
}

export interface Store {
  readonly db: Db;
  readonly record: RecordStore;
  readonly projections: Projections;
  readonly readings: ReturnType<typeof openReadings>;
  readonly people: ReturnType<typeof openPeople>;
  readonly requests: ReturnType<typeof openRequests>;
  readonly files: ReturnType<typeof openFiles>;
  readonly noted: NotedHead;
  /** Null where none is kept: in memory, for reading, and for tools. */
  readonly seal: Seal | null;
  readonly unfinished: ReturnType<typeof openUnfinished>;
  /**
   * Does all of a piece of work or none of it, alone. Once it is on the disk, the newest entry is noted beside the record.
   * Within another piece of work it is part of that one.
   */
  transact<Result>(work: () => Result): Result;
  close(): void;
}

/** What a signing says of a name: nobody finds the name from it without the salt, which goes with the name. */
const vouchFor = (salt: string, name: string): string => sha256(`${salt} ${name}`);
const newSalt = (): string => randomBytes(16).toString('hex');

function openPeople(db: Db) {
  const hasSalt = db.prepare(`SELECT 1 FROM pragma_table_info('people') WHERE name = 'salt'`).get() !== undefined;
  const salt = hasSalt ? 'salt' : 'NULL AS salt';
  const put = db.prepare<[string, string, number]>('INSERT INTO people (id, name, joined) VALUES (?, ?, ?)');
  const forget = db.prepare<[number, string]>(
    `UPDATE people SET name = NULL, ${hasSalt ? 'salt = NULL, ' : ''}forgotten = ? WHERE id = ?`
  );
  const salted = db.prepare<[], { id: string; name: string; salt: string | null }>(
    `SELECT id, name, ${salt} FROM people WHERE name IS NOT NULL ORDER BY joined, id`
  );
  const putSalt = hasSalt ? db.prepare<[string, string]>('UPDATE people SET salt = ? WHERE id = ?') : null;
  // A name could be guessed back from the fingerprint of the request that brought it.
  const blur = db.prepare(`UPDATE requests SET fingerprint = '' WHERE operation = 'join-person'`);
  const all = db.prepare<[], Person>('SELECT id, name FROM people ORDER BY joined, id');
  const one = db.prepare<[string], Person>('SELECT id, name FROM people WHERE id = ?');
  return {
    add: (id: string, name: string, at: number) => void put.run(id, name, at),
    forget(id: string, at: number): void {
      forget.run(at, id);
      blur.run();
    },
    list: () => all.all(),
    get: (id: string): Person | null => one.get(id) ?? null,
    /** What a signing is to say of each name. Call inside its transaction: who has no salt yet gets one. */
    vouched: (): Record<string, string> =>
      Object.fromEntries(
        salted.all().map(({ id, name, salt: known }) => {
          const own = known ?? newSalt();
          if (known === null) putSalt?.run(own, id);
          return [id, vouchFor(own, name)];
        })
      ),
    /** The first person whose name is not the one that was vouched for; null while all are. */
    swapped: (signed: Readonly<Record<string, string>>): string | null =>
      salted
        .all()
        .find(({ id, name, salt: own }) => signed[id] !== undefined && signed[id] !== vouchFor(own ?? '', name))?.id ??
      null
  };
}

export interface SavedRequest {
  readonly key: string;
  readonly operation: string;
  readonly fingerprint: string;
  readonly input: string | null;
  readonly result: string;
  readonly at: number;
  /** Empty for what was asked before that was noted, and by nobody. */
  readonly actor: string;
}

function openRequests(db: Db) {
  const get = db.prepare<[string], SavedRequest>('SELECT * FROM requests WHERE key = ?');
  const put = db.prepare<SavedRequest>(
    `INSERT INTO requests (key, operation, fingerprint, input, result, at, actor)
     VALUES (@key, @operation, @fingerprint, @input, @result, @at, @actor)`
  );
  return {
    get: (key: string): SavedRequest | null => get.get(key) ?? null,
    put: (request: SavedRequest) => void put.run(request)
  };
}

/** Rebuilds projections that another version of the program wrote. */
function bringUpToDate(db: Db, record: RecordStore, projections: Projections): void {
  const kept = db.prepare<[], { shape: number }>('SELECT shape FROM projection_shape').get();
  const digest = rulesDigest();
  if (kept?.shape === digest) return;
  db.transaction(() => {
    projections.rebuild(record.head().recorded);
    db.prepare<[number]>('UPDATE projection_shape SET shape = ?').run(digest);
  })();
}

/** Opens everything that is kept, in one file. */
export function openStore(file: string, options: StoreOptions = {}): Store {
  const db = openDatabase(file, options);
  const record = openRecord(db);
  const readings = openReadings(db);
  const projections = openProjections(db, record, readings);
  if (!options.readonly) bringUpToDate(db, record, projections);
  const seal = options.seal === undefined || options.readonly ? null : sealOrNone(options.seal);
  const noted = openNotedHead(db, record, seal, options.readonly ?? false);
  noted.keepUp();
  return {
    db,
    noted,
    seal,
    unfinished: openUnfinished(db),
    transact<Result>(work: () => Result): Result {
      const result = db.transaction(work).immediate();
      if (!db.inTransaction) noted.keepUp();
      return result;
    },
    record,
    projections,
    readings,
    people: openPeople(db),
    requests: openRequests(db),
    files: openFiles(db),
    close() {
      if (db.open && !options.readonly) projections.offer();
      db.close();
    }
  };
}
