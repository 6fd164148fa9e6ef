import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { EmberError } from '../src/lib/core/errors.ts';
import { sealFileOf } from '../src/lib/server/store/seal.ts';
import { DATABASE_FILE } from '../src/lib/server/store/open.ts';

/** Where the house's record lives: EMBER_TIDE_DATA, else the production folder. */
export const dataFolder = process.env.EMBER_TIDE_DATA ?? join(import.meta.dirname, '..', 'data', 'house');
export const databaseFile = join(dataFolder, DATABASE_FILE);
/** Where the house's seal lies. */
export const seal = process.env.EMBER_TIDE_SEAL ?? sealFileOf(databaseFile);
/** The record that is there. A tool makes none where a folder is mistyped. @throws EmberError `record.not-found` */
export function ownRecord(): string {
  if (!existsSync(databaseFile)) throw new EmberError('record.not-found', { field: 'file', seen: databaseFile });
  return databaseFile;
}
/** A name for a file, from the time: 2026-03-13T201000. */
export const stamp = () => new Date().toISOString().replace(/[:.]/g, '').slice(0, 17);
