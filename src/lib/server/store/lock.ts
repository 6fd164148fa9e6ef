import Database from 'better-sqlite3';
import { chmodSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { EmberError } from '../../core/errors.ts';

export const LOCK_FILE = 'ember-tide.lock';

/**
 * Takes the folder of a house for this process alone. The lock is the operating system's on an open file: it goes with the
 * process however that ends, so that nobody ever has to remove one by hand.
 *
 * @returns gives it back
 * @throws EmberError `store.in-use` where another process has it
 */
export function lockFolder(folder: string): () => void {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const file = join(folder, LOCK_FILE);
  const db = new Database(file, { timeout: 0 });
  try {
    chmodSync(file, 0o600);
    db.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    db.close();
    if ((error as { code?: string }).code?.startsWith('SQLITE_BUSY')) {
      throw new EmberError('store.in-use', { seen: folder });
    }
    throw error;
  }
  return () => db.close();
}
