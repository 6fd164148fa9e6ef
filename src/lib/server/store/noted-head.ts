import { readHead, noteHead, renoteHead, type HeadNote } from './head-note.ts';
import { IN_MEMORY, type Db } from './open.ts';
import type { Seal } from './seal.ts';
import type { RecordStore } from './record.ts';

/** Entries that were answered for and are not in the record any more. */
export interface Loss {
  readonly noted: HeadNote;
  /** The last entry that is there. */
  readonly found: HeadNote;
}

/** The record held against the note beside it, and the seal outside its folder: a log that was cut, torn or swapped is noticed at the start. */
export function openNotedHead(db: Db, record: RecordStore, seal: Seal | null, readonly: boolean) {
  const ownedUp = db.prepare<[string], { known: number }>(
    `SELECT count(*) AS known FROM events WHERE kind = 'loss.confirmed' AND json_extract(body, '$.notedHash') = ?`
  );
  const headNow = (): HeadNote => ({ seq: record.head().seq, hash: record.head().hash });
  const file = db.name;
  const isKept = file !== IN_MEMORY && file !== '';
  const noted = isKept ? readHead(file) : null;
  const holds = ({ seq, hash }: HeadNote) => record.row(seq)?.hash === hash || ownedUp.get(hash)!.known > 0;
  // The newest of those that do not hold tells most.
  const missing = [noted, seal?.last() ?? null]
    .filter((each): each is HeadNote => each !== null && !holds(each))
    .sort((a, b) => b.seq - a.seq);
  let loss: Loss | null = missing[0] ? { noted: missing[0], found: headNow() } : null;
  let last = noted?.seq ?? 0;
  let isBehind = false;

  /** What is written is written: a note that cannot be made says so in the house's health, and undoes nothing. */
  function attempt(write: () => void): void {
    try {
      write();
      isBehind = false;
    } catch {
      isBehind = true;
    }
  }

  return {
    /** What the note knows of and the record does not; null where it holds. */
    loss: () => loss,
    /** Whether the newest entry could not be noted. */
    isBehind: () => isBehind,
    /** Notes the newest entry, where there is a newer one. */
    keepUp(): void {
      const head = headNow();
      if (!isKept || readonly || loss || head.seq <= last) return;
      const signed = record.list({ limit: 1 })[0]?.kind === 'day.signed';
      attempt(() => {
        noteHead(file, head);
        seal?.tell(head, signed ? head.seq : null);
      });
      last = head.seq;
    },
    /** Somebody has said, in the record, that it goes on without what is gone. */
    ownUp(): void {
      const head = headNow();
      loss = null;
      if (isKept && !readonly) {
        attempt(() => {
          renoteHead(file, head);
          seal?.tellAnew(head);
        });
      }
      last = head.seq;
    }
  };
}
export type NotedHead = ReturnType<typeof openNotedHead>;
