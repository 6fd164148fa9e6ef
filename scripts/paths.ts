import { join } from 'node:path';
import { DATABASE_FILE } from '../src/lib/server/store/open.ts';

/** Where the house's record lives: EMBER_TIDE_DATA, else the production folder. */
export const dataFolder = process.env.EMBER_TIDE_DATA ?? join(import.meta.dirname, '..', 'data', 'house');
export const databaseFile = join(dataFolder, DATABASE_FILE);
/** A name for a file, from the time: 2026-03-13T201000. */
export const stamp = () => new Date().toISOString().replace(/[:.]/g, '').slice(0, 17);
