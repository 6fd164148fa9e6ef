import { stateAt } from '../../core/codes/window.ts';
import { mayBegin, occupantsOf, STEP_IDS } from '../../core/record/occupation.ts';
import { isFrozen } from '../../core/record/frozen.ts';
import type { Room } from '../room.ts';

/** Pieces to pick from at a bench: everything in the house, its raw window with it. */
export function pieceChoices(room: Room) {
  const now = room.clock.now();
  const warn = room.store.projections.currentHouse().warnMinutes * 60;
  return room.store.projections.livePieces().map(({ state, lot, windows }) => ({
    id: state.id,
    name: state.made.name,
    species: lot.received.species,
    form: state.made.form,
    grams: state.grams,
    thicknessMm: state.made.thicknessMm,
    seq: state.lastSeq,
    raw: stateAt(
      windows.find(({ route }) => route === 'raw')!,
      now,
      warn
    ),
    isFrozen: isFrozen(state, lot),
    in: occupantsOf(state),
    may: STEP_IDS.filter((step) => mayBegin(state, step)),
    depth: state.depth
  }));
}
export type PieceChoice = ReturnType<typeof pieceChoices>[number];
