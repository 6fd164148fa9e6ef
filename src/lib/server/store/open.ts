import Database from 'better-sqlite3';
import { createHash } from 'node:crypto';
import { chmodSync, mkdirSync, readFileSync, readdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { EmberError } from '../../core/errors.ts';

export type Db = Database.Database;
export const DATABASE_FILE = 'ember-tide.db';

export interface OpenOptions {
  readonly readonly?: boolean;
  /** A copy of the file in memory: whatever is done to it leaves the file as it is. */
  readonly inMemory?: boolean;
  /** Highest number of pages, to test what a full disk does. */
  readonly maxPages?: number;
  /** Folder of numbered .sql files. */
  readonly migrations?: string;
}

/** The bundler replaces this call by the files themselves; where nothing is bundled it throws, and they are read from disk. */
function bundled(): Record<string, string> | null {
  try {
    return import.meta.glob('./migrations/*.sql', { query: '?raw', import: 'default', eager: true }) as Record<
      string,
      string
    >;
  } catch {
    return null;
  }
}
const bundledMigrations = bundled();

function migrationFiles(folder?: string): { name: string; sql: string }[] {
  const named =
    folder === undefined && bundledMigrations
      ? Object.entries(bundledMigrations).map(([path, sql]) => ({ name: path.split('/').at(-1)!, sql }))
      : readdirSync(folder ?? join(import.meta.dirname, 'migrations'))
          .filter((name) => name.endsWith('.sql'))
          .map((name) => ({
            name,
            sql: readFileSync(join(folder ?? join(import.meta.dirname, 'migrations'), name), 'utf8')
          }));
  return named.sort((a, b) => a.name.localeCompare(b.name));
}

const numberOf = (name: string): number => Number(name.slice(0, 3));

/**
 * Applies the numbered migrations that have not been applied, each in one transaction.
 *
 * @throws EmberError `store.newer` where a later version of the program wrote the record
 */
export function migrate(db: Db, folder?: string): void {
  const applied = db.pragma('user_version', { simple: true }) as number;
  const files = migrationFiles(folder);
  if (applied > numberOf(files.at(-1)!.name)) throw new EmberError('store.newer', { seen: db.name });
  for (const { name, sql } of files) {
    const number = numberOf(name);
    if (number <= applied) continue;
    db.transaction(() => {
      db.exec(sql);
      db.pragma(`user_version = ${number}`);
    })();
  }
}

/** Where nothing is kept on a disk. */
export const IN_MEMORY = ':memory:';

/**
 * Opens (and makes, if need be) the record: write-ahead log, full synchronisation, foreign keys on. Nobody else on the machine
 * may read its folder or its files.
 *
 * @param file path of the database; ':memory:' for a throw-away one
 * @throws EmberError `store.newer`, `store.damaged`, `store.read-only`
 */
export function openDatabase(file: string, options: OpenOptions = {}): Db {
  let db: Db | null = null;
  try {
    if (options.inMemory) return prepared((db = copyInMemory(file)), IN_MEMORY, options);
    if (file !== IN_MEMORY && !options.readonly) mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
    db = new Database(file, { readonly: options.readonly ?? false });
    return prepared(db, file, options);
  } catch (error) {
    db?.close();
    throw storeTrouble(error, file);
  }
}

/** Bytes of a database's head that say it keeps a write-ahead log, which nothing in memory has. */
const JOURNAL_BYTES = [18, 19];
const WITHOUT_LOG = 1;

function copyInMemory(file: string): Db {
  const source = new Database(file, { readonly: true });
  try {
    const bytes = source.serialize();
    for (const at of JOURNAL_BYTES) bytes[at] = WITHOUT_LOG;
    return new Database(bytes);
  } finally {
    source.close();
  }
}

/** Its write-ahead log and shared memory take the rights of the file they belong to. */
function prepared(db: Db, file: string, options: OpenOptions): Db {
  if (!options.readonly) {
    if (file !== IN_MEMORY) chmodSync(file, 0o600);
    db.pragma('journal_mode = WAL');
    db.pragma('synchronous = FULL');
  }
  db.pragma('foreign_keys = ON');
  // What is deleted (a forgotten name) is overwritten, not left in a free page.
  db.pragma('secure_delete = ON');
  db.pragma('busy_timeout = 4000');
  if (!options.readonly) migrate(db, options.migrations);
  if (options.maxPages) db.pragma(`max_page_count = ${options.maxPages}`);
  return db;
}

const FULL = /^(SQLITE_FULL|SQLITE_IOERR.*|ENOSPC|EDQUOT)$/;
const READ_ONLY = /^(SQLITE_READONLY.*|SQLITE_CANTOPEN.*|SQLITE_PERM|EROFS|EACCES|EPERM)$/;
const DAMAGED = /^(SQLITE_NOTADB|SQLITE_CORRUPT.*)$/;

/**
 * Turns what SQLite and the disk say of a full, a read-only or a damaged file into words of the registry; passes anything
 * else on.
 */
export function storeTrouble(error: unknown, file = ''): unknown {
  const code = (error as { code?: string }).code ?? '';
  const seen = file || code;
  if (FULL.test(code)) return new EmberError('store.full', { seen });
  if (READ_ONLY.test(code)) return new EmberError('store.read-only', { seen });
  if (DAMAGED.test(code)) return new EmberError('store.damaged', { seen });
  return error;
}

export const sha256 = (data: string | Uint8Array): string => createHash('sha256').update(data).digest('hex');
