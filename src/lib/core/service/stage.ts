import { isFrozen } from '../record/frozen.ts';
import type { LotState } from '../record/lot.ts';
import { occupantsOf, type Occupant } from '../record/occupation.ts';
import type { PieceState } from '../record/piece.ts';

/** Where a piece stands in the day: in what it is, or as what it lies there. */
export type Stage = Occupant | 'frozen' | 'whole' | 'cut';

const UNCUT: ReadonlySet<string> = new Set(['whole', 'gutted', 'live']);

/** The stage of a piece; of two things it is in at once, the one that has it in hand. */
export function stageOf(state: PieceState, lot: LotState): Stage {
  const [within] = occupantsOf(state);
  if (within) return within;
  if (isFrozen(state, lot)) return 'frozen';
  return UNCUT.has(state.made.form) ? 'whole' : 'cut';
}
