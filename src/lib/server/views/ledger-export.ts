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

/** The whole ledger as comma-separated values. Cells that a spreadsheet might run as a formula are marked as text. */
export function ledgerCsv(store: Store): string {
  const tell = ledgerTeller({ store });
  const rows = [...store.record.iterate()].map((event) => row(store, event, tell));
  return stringify(rows, { header: true, columns: [...COLUMNS], escape_formulas: true, bom: true });
}

/** The whole ledger as JSON Lines: the bytes that were hashed, and the hash, so that the chain can be checked elsewhere. */
export function ledgerJsonLines(store: Store): string {
  return [...store.record.iterate()]
    .map((event) => `{"envelope":${canonicalEnvelope(event)},"hash":"${event.hash}"}\n`)
    .join('');
}
