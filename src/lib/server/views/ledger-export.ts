import { stringify } from 'csv-stringify/sync';
import { canonicalEnvelope, type StoredEvent } from '../../core/record/canonical.ts';
import type { Store } from '../store/store.ts';
import { ledgerTeller } from './ledger.ts';

const COLUMNS = ['seq', 'happened', 'recorded', 'actor', 'name', 'kind', 'subject', 'line', 'body', 'hash'] as const;

function row(store: Store, event: StoredEvent, tell: ReturnType<typeof ledgerTeller>) {
  return {
    ...event,
    happened: new Date(event.happened).toISOString(),
    recorded: new Date(event.recorded).toISOString(),
    name: store.people.get(event.actor)?.name ?? '',
    line: tell(store.record.read(event)).line
  };
}

/** Entries told at a time: others are answered in between. */
const AT_A_TIME = 20;

/** All rows there are as it begins, some at a time. Entries are only ever added, so what comes later does not disturb it. */
function* rowsOf({ record }: Store): Generator<readonly StoredEvent[]> {
  const { seq: last } = record.head();
  for (let after = 0; after < last; after += AT_A_TIME) yield record.rows(after, Math.min(last, after + AT_A_TIME));
}

/**
 * The whole ledger as comma-separated values, in parts. Cells that a spreadsheet might run as a formula are marked as text.
 */
export function* ledgerCsv(store: Store): Generator<string> {
  const tell = ledgerTeller({ store });
  let isFirst = true;
  for (const rows of rowsOf(store)) {
    yield stringify(
      rows.map((event) => row(store, event, tell)),
      { header: isFirst, columns: [...COLUMNS], escape_formulas: true, bom: isFirst }
    );
    isFirst = false;
  }
}

/** The whole ledger as JSON Lines, in parts: the bytes that were hashed, and the hash, so that the chain can be checked elsewhere. */
export function* ledgerJsonLines(store: Store): Generator<string> {
  for (const rows of rowsOf(store)) {
    yield rows.map((event) => `{"envelope":${canonicalEnvelope(event)},"hash":"${event.hash}"}\n`).join('');
  }
}
