import { copyFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { seedDemo } from '../../src/lib/server/demo/house.ts';
import { openStore } from '../../src/lib/server/store/store.ts';
import { NOON, scratch } from './house.ts';

let seeded: string | undefined;

/** The demo house of that noon in a file; made once, as making it runs every cure and acid course in it. */
function seededFile(): string {
  if (seeded !== undefined) return seeded;
  const { path } = scratch();
  process.once('exit', () => rmSync(path, { recursive: true, force: true }));
  seeded = join(path, 'demo.db');
  const store = openStore(seeded);
  seedDemo(store, NOON);
  // All of it in the one file, so that a copy of the file is a copy of the house.
  store.db.pragma('wal_checkpoint(TRUNCATE)');
  store.close();
  return seeded;
}

/** Puts a copy of the demo house where a test wants it. */
export const copyDemo = (to: string): void => copyFileSync(seededFile(), to);
