import { EmberError } from '../errors.ts';
import type { RecordEvent } from './events.ts';

/** What begins something that later entries of its family go on with, and what ends it, by the last word of the kind. */
const BEGINS = new Set(['started', 'opened', 'made']);
const ENDS = new Set(['ended', 'closed', 'binned', 'discarded']);

const familyOf = ({ kind }: RecordEvent): string => kind.split('.')[0]!;
const begins = ({ kind }: RecordEvent): boolean => BEGINS.has(kind.split('.')[1]!);
const ends = ({ kind }: RecordEvent): boolean => ENDS.has(kind.split('.')[1]!);
const bySeq = (a: RecordEvent, b: RecordEvent) => a.seq - b.seq;

/** The entries of one run of a family that an entry belongs to: from what began it to what ended it. */
function runOf(events: readonly RecordEvent[], moved: RecordEvent): RecordEvent[] {
  const family = events.filter((each) => familyOf(each) === familyOf(moved)).sort(bySeq);
  const at = family.indexOf(moved);
  const first = family.findLastIndex((each, index) => index <= at && begins(each));
  const after = family.findIndex((each, index) => index > Math.max(first, 0) && begins(each));
  const run = family.slice(Math.max(first, 0), after === -1 ? undefined : after);
  const last = run.findIndex(ends);
  return last === -1 ? run : run.slice(0, last + 1);
}

/**
 * Holds an entry whose time is corrected to the life of what it is about: nothing happens to a piece before it was made or after
 * it was binned, nor in a run before it was begun or after it was ended; and what makes, begins, ends or bins is not moved past
 * what happened in between.
 *
 * @param events the entries of its subject as they stand with the correction
 * @param seq the entry whose time was moved
 * @throws EmberError `time.out-of-order`
 */
export function checkMoved(events: readonly RecordEvent[], seq: number): void {
  const moved = events.find((event) => event.seq === seq);
  if (!moved) return;
  const life = [...events].sort(bySeq);
  const bin = life.find((each) => each.kind === 'piece.discarded' && each.seq >= seq);
  const run = runOf(life, moved);
  for (const { from, to, all } of [
    { from: life[0], to: bin, all: life },
    { from: run.find(begins), to: run.find(ends), all: run }
  ]) {
    const within = all.filter((each) => each.seq > (from?.seq ?? 0) && each.seq < (to?.seq ?? Infinity));
    // What is moved lies between the two; where it is one of them, all that lay between them still does.
    const held = moved === from || moved === to ? [...within, ...(from && to ? [from, to] : [])] : [moved];
    const tooEarly = from && held.some((each) => each.happened < from.happened);
    const tooLate = to && held.some((each) => each.happened > to.happened);
    // What was out of order before, at the other end, is not this correction's doing.
    if ((tooEarly && moved !== to) || (tooLate && moved !== from) || (from && to && from.happened > to.happened)) {
      throw new EmberError('time.out-of-order', { field: 'happened' });
    }
  }
}
