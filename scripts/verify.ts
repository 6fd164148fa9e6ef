/**
 * `npm run verify [-- seq hash]`: checks the chain, the signed heads, the packed readings and the projections, on a copy in
 * memory: the house may go on meanwhile. Without a head it is held against the note that stands beside the record.
 */
import { existsSync } from 'node:fs';
import { readHead } from '../src/lib/server/store/head-note.ts';
import { openSeal } from '../src/lib/server/store/seal.ts';
import { openStore } from '../src/lib/server/store/store.ts';
import { verify } from '../src/lib/server/store/verify.ts';
import { databaseFile, ownRecord, seal } from './paths.ts';
import { told } from './told.ts';

const [seq, hash] = process.argv.slice(2);
await told(() => {
  // Note and seal are read before the copy is taken: what is written in between may only make the copy longer.
  const own = existsSync(seal) ? openSeal(seal) : undefined;
  const noted = seq && hash ? { seq: Number(seq), hash } : (readHead(databaseFile) ?? undefined);
  const store = openStore(ownRecord(), { inMemory: true, seal: own });
  const result = verify(store, Date.now(), noted);
  store.close();
  console.log(
    result.ok
      ? `The ledger holds: ${result.events} entries, head ${result.head.hash}.`
      : `The ledger does NOT hold after entry ${result.head.seq}: ${result.trouble}.`
  );
  process.exitCode = result.ok ? 0 : 1;
});
