import { mayBegin } from '../core/record/occupation.ts';
import type { Store } from './store/store.ts';

/** What of a lot would go back now, and what went already, g; and what stays behind because the house put work into it. */
export function returnable(store: Store, lot: string) {
  const { piecesOfLot, relations } = store.projections;
  const here = piecesOfLot(lot).filter(({ state }) => !state.gone && relations.lotsOf(state.id).length === 1);
  const went = relations
    .flowOf([lot])
    .filter((piece) => piece.lot === lot)
    .flatMap(({ moves }) => moves)
    .reduce((sum, move) => sum + (move.kind === 'returned' ? move.grams : 0), 0);
  const goes = here.filter(({ state }) => mayBegin(state, 'send-back'));
  return {
    grams: went + goes.reduce((sum, { state }) => sum + state.grams, 0),
    stays: here.filter((each) => !goes.includes(each)).map(({ state: { id, made } }) => ({ id, name: made.name }))
  };
}
