import { openFiles } from './files.ts';
import { openDatabase, type Db, type OpenOptions } from './open.ts';
import { openNotedHead, type NotedHead } from './noted-head.ts';
import { openProjections, type Projections } from './projections.ts';
import { openReadings } from './readings.ts';
import { openRecord, type RecordStore } from './record.ts';
import { openUnfinished } from './unfinished.ts';
import { rulesDigest } from './rules-digest.ts';

export interface Person {
  readonly id: string;
  /** Null once forgotten. */
  readonly name: string | null;
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
  readonly unfinished: ReturnType<typeof openUnfinished>;
  /**
   * Does all of a piece of work or none of it, alone. Once it is on the disk, the newest entry is noted beside the record.
   * Within another piece of work it is part of that one.
   */
  transact<Result>(work: () => Result): Result;
  close(): void;
}

function openPeople(db: Db) {
  const put = db.prepare<[string, string, number]>('INSERT INTO people (id, name, joined) VALUES (?, ?, ?)');
  const forget = db.prepare<[number, string]>('UPDATE people SET name = NULL, forgotten = ? WHERE id = ?');
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
    get: (id: string): Person | null => one.get(id) ?? null
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
export function openStore(file: string, options: OpenOptions = {}): Store {
  const db = openDatabase(file, options);
  const record = openRecord(db);
  const readings = openReadings(db);
  const projections = openProjections(db, record, readings);
  if (!options.readonly) bringUpToDate(db, record, projections);
  const noted = openNotedHead(db, record, options.readonly ?? false);
  noted.keepUp();
  return {
    db,
    noted,
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
    close: () => db.close()
  };
}
