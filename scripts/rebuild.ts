/** `npm run rebuild`: makes every projection anew from the record. Stop the app first. */
import { lockFolder } from '../src/lib/server/store/lock.ts';
import { openStore } from '../src/lib/server/store/store.ts';
import { dataFolder, ownRecord } from './paths.ts';
import { told } from './told.ts';

await told(() => {
  const unlock = lockFolder(dataFolder);
  try {
    const store = openStore(ownRecord());
    store.projections.rebuild(Date.now());
    console.log(`Rebuilt ${store.projections.dump().length} rows from ${store.record.head().seq} entries.`);
    store.close();
  } finally {
    unlock();
  }
});
