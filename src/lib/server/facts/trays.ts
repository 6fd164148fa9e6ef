import type { Room } from '../room.ts';

/** Names of trays used of late, the newest first. */
export const trayLabels = (room: Room): string[] =>
  [
    ...new Set(
      room.store.record
        .list({ kind: 'hold.started', limit: 40 })
        .flatMap((event) => (event.kind === 'hold.started' ? [event.body.label] : []))
    )
  ].slice(0, 6);
