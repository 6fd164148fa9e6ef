import { rulesDigest } from './rules-digest.ts';
import type { Db } from './open.ts';

/** So many are judged at a time, while nobody waits for longer than a few milliseconds. */
const AT_ONCE = 6;
/** Between two such parts whoever asks is answered. ms */
const PAUSE_MS = 4;

/**
 * Pieces that are gone, and are judged by the house's new rules after whoever changed them was answered: no screen warns of them. While
 * any is owed the record says so itself: a house that is killed in the middle is judged anew when it is next opened.
 *
 * @param judge writes the row of a piece, as it is known at a moment
 * @param gone all pieces that are gone
 */
export function openOwed(
  db: Db,
  judge: (pieces: readonly string[], at: number) => void,
  gone: () => readonly string[]
) {
  const shape = db.prepare<[], { shape: number }>('SELECT shape FROM projection_shape');
  const owed = new Set<string>();
  let knownAt = -Infinity;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const put = (value: number) => db.prepare<[number]>('UPDATE projection_shape SET shape = ?').run(value);

  function part(most: number): void {
    const some = [...owed].slice(0, most);
    judge(some, knownAt);
    for (const id of some) owed.delete(id);
    if (owed.size === 0) put(rulesDigest());
  }
  function goOn(): void {
    timer = undefined;
    if (!db.open || owed.size === 0) return;
    if (tried(() => db.transaction(part).immediate(AT_ONCE))) wait();
  }
  /** A full disk stops no reader, and no server: what is owed stays so, and is tried again with the next that asks, or opens the house. */
  function tried(work: () => void): boolean {
    try {
      work();
      return true;
    } catch {
      return false;
    }
  }
  function wait(): void {
    if (owed.size > 0) timer ??= setTimeout(goOn, PAUSE_MS).unref();
  }

  /** Judges all of them now. */
  function settle(): void {
    if (owed.size === 0) return;
    if (db.inTransaction) part(owed.size);
    else db.transaction(part).immediate(owed.size);
  }

  return {
    /** They wait from now on. Call inside the transaction that changed the rules. */
    put(ids: readonly string[], at: number): void {
      if (ids.length === 0) return;
      for (const id of ids) owed.add(id);
      knownAt = Math.max(knownAt, at);
      put(0);
      wait();
    },
    has: (id: string): boolean => owed.has(id),
    settle,
    /** Judges all of them now, as somebody asks for one; where that cannot be done, it is shown as it was. */
    offer: (): boolean => tried(settle),
    /** After a transaction that was taken back: what it had judged is owed again, what it had put is not. */
    afterRollback(): void {
      owed.clear();
      if (shape.get()?.shape === 0) for (const id of gone()) owed.add(id);
      wait();
    },
    /** Everything was judged anew. */
    clear: (): void => owed.clear()
  };
}
