import { UNIDENTIFIED } from '../../../core/activity/receive/bodies.ts';
import type { LotState } from '../../../core/record/lot.ts';
import type { PieceState } from '../../../core/record/piece.ts';

/** Finished runs of one activity, kept beside the pieces to be read by the hundred. Rebuilt with them. */
export interface RunTable {
  /** Takes off what is kept of a piece. */
  drop(piece: string): void;
  /** Keeps the finished runs of a piece; what was kept of it was dropped before. */
  put(piece: PieceState, lot: LotState): void;
  /** Its tables, each with what names a row of it. */
  readonly tables: readonly (readonly [table: string, key: string])[];
}

/** The species runs are learned by; one nobody settled is none of those it may be. */
export const speciesOf = (lot: LotState): string => (lot.species.length === 1 ? lot.species[0]! : UNIDENTIFIED);
