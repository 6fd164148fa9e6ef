import Database from 'better-sqlite3';
import { createHash } from 'node:crypto';
import { mkdirSync, readFileSync, readdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { EmberError } from '../../core/errors.ts';

export type Db = Database.Database;
export const DATABASE_FILE = 'ember-tide.db';

export interface OpenOptions {
  readonly readonly?: boolean;
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

/** Applies the numbered migrations that have not been applied, each in one transaction. */
export function migrate(db: Db, folder?: string): void {
  const applied = db.pragma('user_version', { simple: true }) as number;
  for (const { name, sql } of migrationFiles(folder)) {
    const number = Number(name.slice(0, 3));
    if (number <= applied) continue;
    db.transaction(() => {
      db.exec(sql);
      db.pragma(`user_version = ${number}`);
    })();
  }
}

/**
 * Opens (and makes, if need be) the record: write-ahead log, full synchronisation, foreign keys on.
 *
 * @param file path of the database; ':memory:' for a throw-away one
 */
export function openDatabase(file: string, options: OpenOptions = {}): Db {
  if (file !== ':memory:' && !options.readonly) mkdirSync(dirname(file), { recursive: true });
  const db = new Database(file, { readonly: options.readonly ?? false });
  if (!options.readonly) {
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

/** Turns what SQLite says of a full or read-only file into words of the registry; passes anything else on. */
export function storeTrouble(error: unknown): unknown {
  const code = (error as { code?: string }).code ?? '';
  if (code === 'SQLITE_FULL' || code.startsWith('SQLITE_IOERR')) return new EmberError('store.full', { seen: code });
  if (code.startsWith('SQLITE_READONLY') || code === 'SQLITE_CANTOPEN' || code === 'SQLITE_PERM') {
    return new EmberError('store.read-only', { seen: code });
  }
  return error;
}

export const sha256 = (data: string | Uint8Array): string => createHash('sha256').update(data).digest('hex');
