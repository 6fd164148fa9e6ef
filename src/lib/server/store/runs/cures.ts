import type { Db } from '../open.ts';
import { speciesOf, type RunTable } from './run.ts';

export interface CureRow {
  readonly seq: number;
  readonly piece: string;
  readonly species: string;
  readonly started: number;
  readonly ended: number;
  /** JSON of the `CureRun`. */
  readonly run: string;
  /** The newest entry of its piece. */
  readonly told: number;
}

/** Finished cures, to learn from. */
export function openCures(db: Db) {
  const put = db.prepare<CureRow>(
    `INSERT INTO cures (seq, piece, species, started, ended, run, told)
     VALUES (@seq, @piece, @species, @started, @ended, @run, @told)`
  );
  const drop = db.prepare<[string]>('DELETE FROM cures WHERE piece = ?');
  const rows = db.prepare<[number], CureRow>('SELECT * FROM cures ORDER BY ended DESC, seq DESC LIMIT ?');
  const version = db.prepare<[], { last: number; count: number }>(
    'SELECT COALESCE(max(told), 0) AS last, count(*) AS count FROM cures'
  );
  const table: RunTable = {
    drop: (piece) => void drop.run(piece),
    put(piece, lot) {
      for (const cure of piece.cures) {
        if (!cure.ended) continue;
        const { seq, at: started, ended } = cure;
        const [species, run] = [speciesOf(lot), JSON.stringify(cure)];
        put.run({ seq, piece: piece.id, species, started, ended: ended.at, run, told: piece.lastSeq });
      }
    },
    tables: [['cures', 'seq']]
  };
  return {
    table,
    /** Newest first. */
    newest: (limit: number): CureRow[] => rows.all(limit),
    /** Changes whenever a finished cure does. */
    version: (): string => {
      const { last, count } = version.get()!;
      return `${last} ${count}`;
    }
  };
}
