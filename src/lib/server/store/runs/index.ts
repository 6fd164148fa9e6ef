import type { LotState } from '../../../core/record/lot.ts';
import type { PieceState } from '../../../core/record/piece.ts';
import type { Db } from '../open.ts';
import { openAgings } from './agings.ts';
import { openBoards } from './boards.ts';
import { openCures } from './cures.ts';
import { openPaces } from './paces.ts';

/** The finished runs of every activity that learns from them. */
export function openRuns(db: Db) {
  const [boards, cures, paces, agings] = [openBoards(db), openCures(db), openPaces(db), openAgings(db)];
  const all = [boards, cures, paces, agings].map(({ table }) => table);
  const drop = (piece: string) => all.forEach((each) => each.drop(piece));
  return {
    boards,
    cures,
    paces,
    agings,
    drop,
    put(piece: PieceState, lot: LotState): void {
      drop(piece.id);
      for (const each of all) each.put(piece, lot);
    },
    tables: all.flatMap(({ tables }) => tables)
  };
}
