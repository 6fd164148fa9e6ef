import type { BodyOf, RecordEvent } from '../../record/events.ts';
import { asReading, stamp, type Reading, type Stamped } from '../../record/stamped.ts';
import { lastSeqOf, viewed, type ViewOptions } from '../../record/view.ts';

/** A tub of dressed rice, as its entries leave it. */
export interface TubState {
  readonly id: string;
  readonly name: string;
  readonly madeAt: number;
  readonly made: Stamped & BodyOf<'tub.made'>;
  /** As it cooled, in order. */
  readonly readings: readonly Reading[];
  readonly binned: (Stamped & BodyOf<'tub.binned'>) | null;
  readonly live: boolean;
  readonly lastSeq: number;
}

/** What a tub is, from its events. Null where it had not been made. */
export function foldTub(id: string, events: readonly RecordEvent[], options: ViewOptions = {}): TubState | null {
  let made: TubState['made'] | null = null;
  let binned: TubState['binned'] = null;
  const readings: Reading[] = [];
  for (const event of viewed(events, options)) {
    if (event.kind === 'tub.made') made = { ...stamp(event), ...event.body };
    else if (event.kind === 'tub.read') readings.push(asReading(event, event.body.reading));
    else if (event.kind === 'tub.binned') binned ??= { ...stamp(event), ...event.body };
  }
  if (!made) return null;
  const { name, at: madeAt } = made;
  return { id, name, madeAt, made, readings, binned, live: binned === null, lastSeq: lastSeqOf(events) };
}
