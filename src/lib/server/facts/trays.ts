import type { OnTray } from '../../core/activity/tray/filling.ts';
import type { Room } from '../room.ts';
import type { Store } from '../store/store.ts';

/** Names of trays used of late, the newest first. */
export const trayLabels = (room: Room): string[] =>
  [
    ...new Set(
      room.store.record
        .list({ kind: 'hold.started', limit: 40 })
        .flatMap((event) => (event.kind === 'hold.started' ? [event.body.label] : []))
    )
  ].slice(0, 6);

const named = (label: string) => label.trim().toLowerCase();
/** What stands on a tray now: since when, and when it is binned. */
export const onTray = ({ projections }: Store, label: string): OnTray[] =>
  projections.livePieces().flatMap(({ state }) => {
    const hold = state.holds.at(-1);
    return hold && named(hold.plan.label) === named(label) ? [{ at: hold.at, discardAt: hold.plan.discardAt }] : [];
  });

/** A tray as the pass draws it: what stands on it, and its clock. */
export interface TrayOut {
  readonly label: string;
  readonly at: number;
  readonly discardAt: number;
  readonly pieces: readonly {
    readonly id: string;
    readonly name: string;
    readonly grams: number;
    readonly count: number | null;
  }[];
}
/** Trays out of the cold, the first to be binned first. */
export function traysOut({ projections }: Store): TrayOut[] {
  const trays = new Map<string, TrayOut>();
  for (const { state } of projections.livePieces()) {
    const hold = state.holds.at(-1);
    if (!hold) continue;
    const { label, discardAt } = hold.plan;
    const each = state.lifted?.what === 'slices' ? state.lifted.gramsEach : null;
    const piece = {
      id: state.id,
      name: state.made.name,
      grams: state.grams,
      count: each === null || each <= 0 ? null : Math.round(state.grams / each)
    };
    const before = trays.get(named(label));
    trays.set(named(label), {
      label: before && before.at <= hold.at ? before.label : label,
      at: Math.min(hold.at, before?.at ?? Infinity),
      discardAt: Math.min(discardAt, before?.discardAt ?? Infinity),
      pieces: [...(before?.pieces ?? []), piece]
    });
  }
  return [...trays.values()].sort((a, b) => a.discardAt - b.discardAt);
}
