import type { Db } from '../open.ts';
import { speciesOf, type RunTable } from './run.ts';

/** How fast acid went in runs that were cut open. */
export function openPaces(db: Db) {
  const put = db.prepare<{ seq: number; piece: string; species: string; at: number; pace: number }>(
    'INSERT INTO acid_paces (seq, piece, species, at, pace) VALUES (@seq, @piece, @species, @at, @pace)'
  );
  const drop = db.prepare<[string]>('DELETE FROM acid_paces WHERE piece = ?');
  const rows = db.prepare<[string, number], { pace: number }>(
    'SELECT pace FROM acid_paces WHERE species = ? ORDER BY at DESC, seq DESC LIMIT ?'
  );
  const table: RunTable = {
    drop: (piece) => void drop.run(piece),
    put(piece, lot) {
      for (const { seq, checks } of piece.acids) {
        const last = checks.at(-1);
        if (last) put.run({ seq, piece: piece.id, species: speciesOf(lot), at: last.at, pace: last.pace });
      }
    },
    tables: [['acid_paces', 'seq']]
  };
  return {
    table,
    /** Of the last runs of a species, against the shipped figure. */
    of: (species: string, limit: number): number[] => rows.all(species, limit).map(({ pace }) => pace)
  };
}
