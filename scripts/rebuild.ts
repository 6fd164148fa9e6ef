/** `npm run rebuild`: makes every projection anew from the record. */
import { openStore } from '../src/lib/server/store/store.ts';
import { databaseFile } from './paths.ts';

const store = openStore(databaseFile);
store.projections.rebuild(Date.now());
console.log(`Rebuilt ${store.projections.dump().length} rows from ${store.record.head().seq} entries.`);
store.close();
