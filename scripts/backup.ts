/** `npm run backup [-- file]`: an online copy of the record. */
import { join } from 'node:path';
import { backUp } from '../src/lib/server/store/backup.ts';
import { openStore } from '../src/lib/server/store/store.ts';
import { dataFolder, databaseFile, stamp } from './paths.ts';

const to = process.argv[2] ?? join(dataFolder, 'backups', `ember-tide-${stamp()}.db`);
const store = openStore(databaseFile);
const head = await backUp(store, to, Date.now());
store.close();
console.log(`Copied to ${to}. It ends with entry ${head.seq}, ${head.hash}. Write those two down.`);
