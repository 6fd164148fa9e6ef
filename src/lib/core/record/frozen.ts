import { running } from './occupation.ts';
import type { LotState } from './lot.ts';
import type { PieceState } from './piece.ts';

/** A piece that is frozen now: in a freezer, out of it and never thawed, or come frozen and not thawed yet. */
export function isFrozen(state: PieceState, lot: LotState): boolean {
  if (running(state.freezes)) return true;
  const run = state.freezes.at(-1);
  const thawed = state.thaws.at(-1);
  // Taken out without a thaw being written down, and worked on since: it has thawed, whatever the record lacks.
  const worked = state.slices.length + state.cures.length + state.acids.length + state.boards.length > 0;
  if (worked || state.made.mass.si - state.grams > 1) return false;
  if (run) return !thawed || thawed.at < run.at;
  return lot.received.frozen && !thawed;
}
