import type { RecordEvent } from './events.ts';

/**
 * The events as they stand after amendments, in order of (happened, sequence). Amendments are themselves entries and may
 * be amended or voided by later ones; nothing is removed from the record, only from this view of it.
 *
 * @param events the events of one subject (any order)
 * @param knownAt only what was on record by then counts; ms
 */
export function effectiveEvents(events: readonly RecordEvent[], knownAt = Infinity): RecordEvent[] {
  const known = events.filter((event) => event.recorded <= knownAt);
  const voided = new Set<number>();
  const patches = new Map<number, { patch: Record<string, unknown>; happened: number | null; by: number[] }>();
  // Latest first: an amendment that was itself voided must not act.
  for (const event of [...known].sort((a, b) => b.seq - a.seq)) {
    if (event.kind !== 'entry.amended' || voided.has(event.seq)) continue;
    const { amends, patch, happened } = event.body;
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
        amendedBy: change.by
      } as unknown as RecordEvent;
    })
    .sort((a, b) => a.happened - b.happened || a.seq - b.seq);
}

/** The amendments in force that widened a window: shown on the piece for ever. */
export function wideningAmendments(events: readonly RecordEvent[]) {
  return events.filter(
    (event): event is Extract<RecordEvent, { kind: 'entry.amended' }> =>
      event.kind === 'entry.amended' && event.body.widens.length > 0
  );
}
