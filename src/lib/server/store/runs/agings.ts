import type { Db } from '../open.ts';
import type { RunTable } from './run.ts';

export interface AgingRow {
  readonly seq: number;
  readonly piece: string;
  readonly ended: number;
  /** JSON of the `AgeRun`. */
  readonly run: string;
  readonly told: number;
}

/** Finished hangings, to learn from. */
export function openAgings(db: Db) {
  const put = db.prepare<AgingRow>(
    'INSERT INTO agings (seq, piece, ended, run, told) VALUES (@seq, @piece, @ended, @run, @told)'
  );
  const drop = db.prepare<[string]>('DELETE FROM agings WHERE piece = ?');
  const rows = db.prepare<[number], AgingRow>('SELECT * FROM agings ORDER BY ended DESC, seq DESC LIMIT ?');
  const version = db.prepare<[], { last: number; count: number }>(
    'SELECT COALESCE(max(told), 0) AS last, count(*) AS count FROM agings'
  );
  const table: RunTable = {
    drop: (piece) => void drop.run(piece),
    put(piece) {
      for (const aging of piece.ages) {
        const { seq, ended } = aging;
        if (!ended) continue;
        put.run({ seq, piece: piece.id, ended: ended.at, run: JSON.stringify(aging), told: piece.lastSeq });
      }
    },
    tables: [['agings', 'seq']]
  };
  return {
    table,
    /** Newest first. */
    newest: (limit: number): AgingRow[] => rows.all(limit),
    /** Changes whenever a finished hanging does. */
    version: (): string => {
      const { last, count } = version.get()!;
      return `${last} ${count}`;
    }
  };
}
