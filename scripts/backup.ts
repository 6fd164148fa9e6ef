/** `npm run backup [-- file]`: a copy of the record, also while the house is open. */
import { join } from 'node:path';
import { backUp } from '../src/lib/server/store/backup.ts';
import { openStore } from '../src/lib/server/store/store.ts';
import { dataFolder, ownRecord, stamp } from './paths.ts';
import { told } from './told.ts';

const to = process.argv[2] ?? join(dataFolder, 'backups', `ember-tide-${stamp()}.db`);
await told(async () => {
  const store = openStore(ownRecord());
  const head = await backUp(store, to, Date.now());
  store.close();
  console.log(`Copied to ${to}. It ends with entry ${head.seq}, ${head.hash}. Write those two down.`);
});
