import type { StoredEvent } from '../../core/record/canonical.ts';
import { readEvent, type BodyOf } from '../../core/record/events.ts';
import type { Db } from './open.ts';

type Correction = BodyOf<'clock.corrected'>;

/**
 * Entries as their times were put right. A row stays as it was written, for the chain; whoever reads it is told when it really
 * happened.
 */
export function openCorrections(db: Db) {
  const all = db.prepare<[], StoredEvent>(`SELECT * FROM events WHERE kind = 'clock.corrected' ORDER BY seq`);
  const last = db.prepare<[], { hash: string }>(
    `SELECT hash FROM events WHERE kind = 'clock.corrected' ORDER BY seq DESC LIMIT 1`
  );
  let kept: { readonly hash: string; readonly corrections: readonly Correction[] } = { hash: '', corrections: [] };
  /** Kept by the hash of the newest: one that was rolled back leaves nothing behind. */
  function corrections(): readonly Correction[] {
    const hash = last.get()?.hash ?? '';
    if (hash !== kept.hash) kept = { hash, corrections: all.all().map((row) => readEvent(row).body as Correction) };
    return kept.corrections;
  }
  return {
    corrected: (row: StoredEvent): StoredEvent =>
      corrections().reduce(
        (told, { fromSeq, toSeq, aheadMs }) =>
          row.seq < fromSeq || row.seq > toSeq
            ? told
            : { ...told, recorded: told.recorded - aheadMs, happened: told.happened - aheadMs },
        row
      ),
    /** Changes with each of them. */
    version: (): string => last.get()?.hash ?? ''
  };
}

export type Corrections = ReturnType<typeof openCorrections>;

/** Readings that a clock far ahead received came that much earlier, too: those after a moment of the right clock, ms. */
export function readingsEarlier(db: Db, after: number, aheadMs: number): void {
  const moved = { after, aheadMs };
  db.prepare<[typeof moved]>('UPDATE reading_chunks SET recorded = recorded - @aheadMs WHERE recorded > @after').run(
    moved
  );
  db.prepare<[typeof moved]>('UPDATE reading_tail SET received = received - @aheadMs WHERE received > @after').run(
    moved
  );
}
