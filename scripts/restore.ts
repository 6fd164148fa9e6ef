/**
 * `npm run restore -- file`: puts a copy in the place of the record, once it verifies. Stop the app first. Where entries would
 * be left behind it lists them and does nothing, until it is told so: `-- file --drop-them`.
 */
import { droppedBy, restore } from '../src/lib/server/store/backup.ts';
import { openStore } from '../src/lib/server/store/store.ts';
import { ledgerTeller } from '../src/lib/server/views/ledger.ts';
import { databaseFile, seal, stamp } from './paths.ts';
import { told } from './told.ts';

/** Lines of a list that a person still reads. */
const MOST_LINES = 30;
const from = process.argv.slice(2).find((word) => !word.startsWith('--'));
const isAgreed = process.argv.includes('--drop-them');

/** What the record holds and the copy does not, as sentences; nothing where the record cannot be read. */
function dropped(copy: string): string[] {
  let seqs: number[];
  try {
    seqs = droppedBy(copy, databaseFile);
  } catch {
    return [];
  }
  if (seqs.length === 0) return [];
  const store = openStore(databaseFile, { readonly: true });
  const tell = ledgerTeller({ store });
  const lines = seqs.slice(0, MOST_LINES).map((seq) => {
    const entry = store.record.event(seq)!;
    return `  ${seq}  ${new Date(entry.happened).toISOString().slice(0, 16)}Z  ${tell(entry).line}`;
  });
  store.close();
  return [`${seqs.length} entries stand in the record and not in the copy:`, ...lines];
}

await told(async () => {
  if (!from) {
    console.error('Say which copy: npm run restore -- data/house/backups/ember-tide-….db');
    process.exitCode = 1;
    return;
  }
  const lines = dropped(from);
  if (lines.length > 0) console.log(lines.join('\n'));
  if (lines.length > 0 && !isAgreed) {
    console.error('Nothing was done. To go back to the copy all the same, add --drop-them.');
    process.exitCode = 1;
    return;
  }
  const aside = `${databaseFile}.before-${stamp()}`;
  const head = await restore(from, databaseFile, aside, Date.now(), seal);
  console.log(`Restored. The record ends with entry ${head.seq}, ${head.hash}. What stood there is kept as ${aside}.`);
});
