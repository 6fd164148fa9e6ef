import { patchNow, type RecordEvent } from './events.ts';

type Amendment = Extract<RecordEvent, { kind: 'entry.amended' }>;

/** An entry typed wrong is mended by the same person within this, with the right figure. ms */
export const OWN_CORRECTION_MS = 10 * 60_000;
/** A bin or a serve is undone by the same person within this, with nothing since. ms */
export const OWN_UNDO_MS = 2 * 60_000;

/**
 * The events as they stand after amendments, in order of (happened, sequence). Amendments are themselves entries and may
 * be amended or voided by later ones; nothing is removed from the record, only from this view of it.
 *
 * @param events the events of one subject (any order)
 * @param knownAt only what was on record by then counts; ms
 * @param without amendments that are left out of the view, by sequence
 */
export function effectiveEvents(
  events: readonly RecordEvent[],
  knownAt = Infinity,
  without?: ReadonlySet<number>
): RecordEvent[] {
  const known = events.filter((event) => event.recorded <= knownAt && !without?.has(event.seq));
  const kinds = new Map(known.map(({ seq, kind }) => [seq, kind]));
  const voided = new Set<number>();
  const patches = new Map<number, { patch: Record<string, unknown>; happened: number | null; by: number[] }>();
  // Latest first: an amendment that was itself voided must not act.
  for (const event of [...known].sort((a, b) => b.seq - a.seq)) {
    if (event.kind !== 'entry.amended' || voided.has(event.seq)) continue;
    const { amends, happened } = event.body;
    const kind = kinds.get(amends);
    const patch = kind ? patchNow(kind, event.body.patch) : event.body.patch;
    if (event.body.void) voided.add(amends);
    else {
      const later = patches.get(amends);
      patches.set(amends, {
        patch: { ...patch, ...later?.patch },
        happened: later?.happened ?? happened,
        by: [event.seq, ...(later?.by ?? [])]
      });
    }
  }
  return known
    .filter((event) => event.kind !== 'entry.amended' && !voided.has(event.seq))
    .map((event) => {
      const change = patches.get(event.seq);
      if (!change) return event;
      return {
        ...event,
        happened: change.happened ?? event.happened,
        body: { ...(event.body as object), ...change.patch },
        amendedBy: change.by,
        was: event.body
      } as unknown as RecordEvent;
    })
    .sort((a, b) => a.happened - b.happened || a.seq - b.seq);
}

/** Kinds of entries that Undo takes back whole. */
export const UNDOABLE = ['piece.discarded', 'piece.served', 'hold.started'] as const;
type Undoable = Extract<RecordEvent, { kind: (typeof UNDOABLE)[number] }>;
const isUndoable = (event: RecordEvent): event is Undoable => (UNDOABLE as readonly string[]).includes(event.kind);

/**
 * A bin, a serve or a tray that is taken back: by the same person on the same tablet at once, with nothing since; or by a second
 * person.
 */
function isUndo(original: RecordEvent, amendment: Amendment, events: readonly RecordEvent[]): boolean {
  if (amendment.actor !== original.actor) return amendment.body.reason.trim() !== '';
  const since = events.some(
    ({ seq, kind }) => seq > original.seq && seq < amendment.seq && kind !== 'entry.amended' && kind !== 'label.printed'
  );
  const tablet = isUndoable(original) ? original.body.tablet : undefined;
  return amendment.recorded - original.recorded <= OWN_UNDO_MS && tablet === amendment.body.tablet && !since;
}

/** What says that a lot went back: there is no way back from it. */
const isReturn = (event: RecordEvent): boolean =>
  event.kind === 'lot.returned' ||
  ((event.kind === 'lot.received' || event.kind === 'lot.inspected') && event.body.decision === 'send-back');

/**
 * Whether an amendment may take away what stood before it. A figure typed wrong: the same person within ten minutes, later a
 * second person with a reason. Striking out alone takes nothing away, but for a bin, a serve or a tray taken back in time.
 * Never: a return to the supplier, and a tray whose time was up.
 */
function isWarranted(amendment: Amendment, events: readonly RecordEvent[]): boolean {
  const original = events.find(({ seq }) => seq === amendment.body.amends);
  if (!original || original.kind === 'entry.amended') return false;
  const { body } = amendment;
  if (isReturn(original)) return false;
  if (original.kind === 'hold.started' && amendment.recorded >= original.body.discardAt) return false;
  if (body.void) {
    return isUndoable(original) && isUndo(original, amendment, events);
  }
  if (amendment.actor === original.actor) return amendment.recorded - original.recorded <= OWN_CORRECTION_MS;
  return body.reason.trim() !== '';
}

/**
 * What keeps an amendment from taking anything away, so that it is refused before it is written: a bin, a serve or a tray that is
 * taken back too late or by nobody else; a return, and a tray whose time was up.
 *
 * @returns null where it may be written
 */
export function refusalOf(amendment: RecordEvent, events: readonly RecordEvent[]): 'second-person' | 'never' | null {
  if (amendment.kind !== 'entry.amended') return null;
  const original = events.find(({ seq }) => seq === amendment.body.amends);
  if (!original) return null;
  const { body } = amendment;
  if (original.kind === 'hold.started' && amendment.recorded >= original.body.discardAt) return 'never';
  if (isReturn(original) && (body.void || (body.patch.decision !== undefined && body.patch.decision !== 'send-back')))
    return 'never';
  return isUndoable(original) && body.void && !isUndo(original, amendment, events) ? 'second-person' : null;
}

/** Entries of weights and shapes: no rule that leaves no discretion leans on them. */
const NO_RULE: ReadonlySet<string> = new Set([
  'piece.gave',
  'piece.wasted',
  'piece.reweighed',
  'piece.profiled',
  'piece.dressed',
  'slices.weighed',
  'block.sized',
  'cure.stepped',
  'age.weighed',
  'acid.lifted'
]);

/**
 * Amendments that may not take away what stood before them, in order. They act all the same; but what the record said
 * without them is judged too, so that none of them ever opens what the law leaves to no name.
 */
export function unwarranted(events: readonly RecordEvent[], knownAt = Infinity): number[] {
  if (!events.some(({ kind }) => kind === 'entry.amended')) return [];
  const known = events.filter(({ recorded }) => recorded <= knownAt);
  return known
    .filter((event): event is Amendment => event.kind === 'entry.amended')
    .filter((event) => !NO_RULE.has(known.find(({ seq }) => seq === event.body.amends)?.kind ?? ''))
    .filter((event) => !isWarranted(event, known))
    .map(({ seq }) => seq)
    .sort((a, b) => a - b);
}

/**
 * What was left out for each reading of the record that still counts: before the first unwarranted amendment, before the
 * second, and so on. Warranted ones act in all of them.
 */
export const standingWithout = (unwarrantedSeqs: readonly number[]): ReadonlySet<number>[] =>
  unwarrantedSeqs.map((_, index) => new Set(unwarrantedSeqs.slice(index)));

/** Entries as they stand, and beside them what unwarranted amendments would have taken away. Each version once. */
export function versionsThatCount(events: readonly RecordEvent[], knownAt = Infinity): RecordEvent[] {
  const standing = effectiveEvents(events, knownAt);
  const struck = standingWithout(unwarranted(events, knownAt));
  if (struck.length === 0) return standing;
  const all = [standing, ...struck.map((without) => effectiveEvents(events, knownAt, without))].flat();
  return [...new Map(all.map((event) => [JSON.stringify([event.seq, event.happened, event.body]), event])).values()];
}

/** Bins and serves that a second person took back: said on the verdict for ever. */
export function undone(events: readonly RecordEvent[], knownAt = Infinity) {
  const known = events.filter(({ recorded }) => recorded <= knownAt);
  const voided = new Set(
    known.flatMap((event) => (event.kind === 'entry.amended' && event.body.void ? [event.body.amends] : []))
  );
  return known.flatMap((event) => {
    if (event.kind !== 'entry.amended' || !event.body.void || voided.has(event.seq)) return [];
    const original = known.find(({ seq }) => seq === event.body.amends);
    if (original?.kind !== 'piece.discarded' && original?.kind !== 'piece.served') return [];
    return [
      {
        seq: event.seq,
        at: event.happened,
        by: event.actor,
        of: original.seq,
        what: original.kind === 'piece.discarded' ? ('discarded' as const) : ('served' as const),
        reason: event.body.reason
      }
    ];
  });
}

/** The amendments in force that widened a window: shown on the piece for ever. */
export function wideningAmendments(events: readonly RecordEvent[]) {
  return events.filter((event): event is Amendment => event.kind === 'entry.amended' && event.body.widens.length > 0);
}
