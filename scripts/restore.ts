/** `npm run restore -- file`: puts a copy in the place of the record, once it verifies. Stop the app first. */
import { restore } from '../src/lib/server/store/backup.ts';
import { databaseFile, stamp } from './paths.ts';

const from = process.argv[2];
if (!from) {
  console.error('Say which copy: npm run restore -- data/house/backups/ember-tide-….db');
  process.exit(1);
}
const aside = `${databaseFile}.before-${stamp()}`;
const head = await restore(from, databaseFile, aside, Date.now());
console.log(`Restored. The record ends with entry ${head.seq}, ${head.hash}. What stood there is kept as ${aside}.`);
