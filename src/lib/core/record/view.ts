import { EmberError } from '../errors.ts';
import { effectiveEvents } from './amend.ts';
import type { RecordEvent } from './events.ts';

/** As of when, and of what was known by when, a record is read. */
export interface ViewOptions {
  /** Only what had happened by then; ms. */
  readonly at?: number;
  /** Only what was on record by then; ms. */
  readonly knownAt?: number;
  /** Only what stands before this entry, in order of (happened, sequence). */
  readonly before?: { readonly at: number; readonly seq: number };
  /** Amendments that are left out of the view, by sequence. */
  readonly without?: ReadonlySet<number>;
}

/** The entries a view shows, amended, in order of (happened, sequence). */
export function viewed(events: readonly RecordEvent[], options: ViewOptions): RecordEvent[] {
  const { at = Infinity, knownAt = Infinity, before, without } = options;
  return effectiveEvents(events, knownAt, without).filter(
    ({ happened, seq }) =>
      happened <= at && (!before || happened < before.at || (happened === before.at && seq < before.seq))
  );
}
export const lastSeqOf = (events: readonly RecordEvent[]): number =>
  events.reduce((last, event) => Math.max(last, event.seq), 0);

/**
 * Which part of a subject follows its kind: "piece:P-7K3Q" is the piece P-7K3Q.
 *
 * @throws EmberError `record.not-found`
 * @example
 * subjectId('piece:P-7K3Q', 'piece') // => 'P-7K3Q'
 */
export function subjectId(subject: string, kind: string): string {
  if (!subject.startsWith(`${kind}:`)) throw new EmberError('record.not-found', { field: kind, seen: subject });
  return subject.slice(kind.length + 1);
}
