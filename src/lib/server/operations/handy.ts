import { EmberError } from '../../core/errors.ts';
import { ageingNow, openBoard, type PieceState } from '../../core/record/state.ts';
import type { ProjectedPiece } from '../../core/service/hands.ts';
import type { Store } from '../store/store.ts';

type Found = ProjectedPiece & { children: string[]; lots: string[] };
const notNow = (seen: string) => new EmberError('record.not-allowed-now', { field: 'piece', seen });

/** A piece that hands can take up now: still here, and in nothing it would first have to come out of. */
export function handy(
  store: Store,
  id: string,
  {
    board = 'off',
    acid = 'off',
    age = 'off',
    cure = 'off',
    freezer = 'off',
    thaw = 'off'
  }: {
    board?: 'off' | 'on' | 'either';
    acid?: 'off' | 'either';
    age?: 'off' | 'either';
    cure?: 'off' | 'either';
    freezer?: 'off' | 'either';
    thaw?: 'off' | 'either';
  } = {}
): Found {
  const found = store.projections.piece(id);
  const { state } = found;
  if (state.gone) throw notNow(state.gone.how);
  const freeze = state.freezes.at(-1);
  if (freezer === 'off' && freeze && !freeze.ended) throw notNow('in a freezer');
  const thawing = state.thaws.at(-1);
  if (thaw === 'off' && thawing && !thawing.ended) throw notNow('thawing');
  const run = state.cures.at(-1);
  if (cure === 'off' && run && !run.ended) throw notNow('in a cure');
  const bath = state.acids.at(-1);
  if (acid === 'off' && bath && !bath.ended) throw notNow('in acid');
  if (age === 'off' && ageingNow(state)) throw notNow('on the ageing rack: take it off first');
  const open = openBoard(state);
  if (board === 'off' && open) throw notNow('on the board');
  if (board === 'on' && !open) throw notNow('not on the board');
  return found;
}

/** Nothing happens to a piece before it was made, nor before what was last weighed on its board. */
export function after(state: PieceState, at: number, text: string | undefined): number {
  const board = openBoard(state);
  if (at < state.made.at || (board && at < board.at)) {
    throw new EmberError('time.out-of-order', { field: 'at', seen: text ?? 'now' });
  }
  return at;
}
