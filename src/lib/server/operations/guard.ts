import { EmberError } from '../../core/errors.ts';
import { hindranceOf, running, type Occupant, type Run, type Step } from '../../core/record/occupation.ts';
import { type PieceState } from '../../core/record/piece.ts';
import type { ProjectedPiece } from '../../core/service/hands.ts';
import type { Store } from '../store/store.ts';
import { notNow } from './not-now.ts';

type Found = ProjectedPiece & { children: string[]; lots: string[] };

/**
 * A piece with which a step may begin now.
 *
 * @throws EmberError `record.not-allowed-now` with what it is in, or not in
 */
export function pieceForStep(store: Store, id: string, step: Step): Found {
  const found = store.projections.piece(id);
  const hindrance = hindranceOf(found.state, step);
  if (hindrance) throw notNow('piece', 'hindered', { hindrance });
  return found;
}

/**
 * The run that goes on now, of all runs of one kind.
 *
 * @throws EmberError `record.not-allowed-now` where none does
 */
export function ongoing<One extends Run>(runs: readonly One[], occupant: Occupant): One {
  const run = running(runs);
  if (run) return run;
  throw notNow('piece', 'hindered', { hindrance: { kind: 'not-in', occupant } });
}

/** Nothing happens to a piece before it was made, nor before what was last weighed on its board. */
export function after(state: PieceState, at: number, text: string | undefined): number {
  const board = running(state.boards);
  if (at < state.made.at || (board && at < board.at)) {
    throw new EmberError('time.out-of-order', { field: 'at', seen: text ?? 'now' });
  }
  return at;
}
