import { EmberError } from '../../core/errors.ts';
import type { RecordEvent } from '../../core/record/events.ts';
import type { Lineage } from '../../core/rules/verdict.ts';
import type { RecordStore } from './record.ts';

/** Ways back from one piece to its lots that are kept apart when it is judged. More is a batch nobody can answer for. */
export const MOST_LINEAGES = 200;

/** Ways back from pieces to their lots, read from the record. */
export function openLineages(record: RecordStore) {
  /** Entries read once while one change is told to many pieces of one family. */
  const reading = (kept = new Map<string, readonly RecordEvent[]>()) => {
    return (subject: string): readonly RecordEvent[] => {
      const known = kept.get(subject);
      if (known) return known;
      const events = record.eventsOf(subject);
      kept.set(subject, events);
      return events;
    };
  };

  /** The lineages of a piece: the events of each way back from it to a lot. */
  function lineages(pieceId: string, eventsOf = reading()): Lineage[] {
    const out: Lineage[] = [];
    const walk = (id: string, below: Lineage['pieces']): void => {
      const events = eventsOf(`piece:${id}`);
      const made = events.find((event) => event.kind === 'piece.made');
      if (!made || made.kind !== 'piece.made') throw new EmberError('record.not-found', { field: 'piece', seen: id });
      if (below.some((seen) => seen.id === id)) {
        throw new EmberError('record.body-invalid', { field: 'parents', seen: id });
      }
      const pieces = [{ id, events }, ...below];
      if (made.body.parents.length > 0) return made.body.parents.forEach((parent) => walk(parent, pieces));
      if (out.length >= MOST_LINEAGES) {
        throw new EmberError('record.too-many-strands', { field: 'parents', max: MOST_LINEAGES, seen: pieceId });
      }
      out.push({ lot: eventsOf(`lot:${made.body.lot}`), lotId: made.body.lot, pieces });
    };
    walk(pieceId, []);
    return out;
  }

  return { reading, lineages };
}
