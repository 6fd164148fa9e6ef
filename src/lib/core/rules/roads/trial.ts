import type { BodyOf, EventKind, RecordEvent } from '../../record/events.ts';
import type { RoadStep } from './steps.ts';

/** A reading this often keeps what lies in the cold from being unheard of, ms. */
export const READ_EVERY = 2 * 3_600_000;
/** What a step asks of the house; a figure of this product's own (check). */
export const COSTS = { paper: 3, fact: 3, freeze: 6, authority: 12, wait: 1, read: 1, other: 4 } as const;
/** A core that proves the usual hold, with room for its probe, °C. */
export const PROVING_CELSIUS = -21;

/** What one step does to the record: entries more, and an entry read otherwise. */
export interface Remedy {
  readonly step: RoadStep;
  readonly cost: number;
  readonly readyAt: number;
  readonly lot?: { readonly id: string; readonly event: RecordEvent };
  readonly piece?: readonly RecordEvent[];
  /** Out of the freezer, and thawed; ms. */
  readonly outFrom?: number;
  readonly softFrom?: number;
}

/** Writes entries as they would be written, each with a number past all that are. */
export type Writer = <Kind extends EventKind>(
  kind: Kind,
  subject: string,
  at: number,
  body: BodyOf<Kind>
) => RecordEvent;
const PAST_ALL = 1e9;
export function writer(): Writer {
  let written = 0;
  return (kind, subject, at, body) => {
    written += 1;
    const entry = { seq: PAST_ALL + written, happened: at, recorded: at, actor: 'nobody', subject, kind, body };
    return entry as unknown as RecordEvent;
  };
}

/** A fact of a lot that is written down later: a correction by a second person, with a reason. */
export const corrected = (
  write: Writer,
  lot: readonly RecordEvent[],
  at: number,
  patch: Partial<BodyOf<'lot.received'>>
): RecordEvent => {
  const { seq, subject } = lot.find(({ kind }) => kind === 'lot.received')!;
  return write('entry.amended', subject, at, {
    amends: seq,
    void: false,
    happened: null,
    patch,
    reason: 'asked after',
    widens: []
  });
};
