/** `npm run verify [-- seq hash]`: checks the chain, the signed heads, the packed readings and the projections. */
import { openStore } from '../src/lib/server/store/store.ts';
import { verify } from '../src/lib/server/store/verify.ts';
import { databaseFile } from './paths.ts';

const [seq, hash] = process.argv.slice(2);
const store = openStore(databaseFile);
const result = verify(store, Date.now(), seq && hash ? { seq: Number(seq), hash } : undefined);
store.close();
console.log(
  result.ok
    ? `The ledger holds: ${result.events} entries, head ${result.head.hash}.`
    : `The ledger does NOT hold after entry ${result.head.seq}: ${result.trouble}.`
);
process.exit(result.ok ? 0 : 1);
