import { mayBegin } from '../../core/record/occupation.ts';
import type { PieceState } from '../../core/record/piece.ts';
import type { Movement } from '../../core/bench/breakdown/mass.ts';
import type { Lineage } from '../../core/rules/verdict.ts';
import type { Db } from './open.ts';

/** A piece as the tree of its lot shows it, without its whole state. */
export interface FlowRow {
  readonly id: string;
  readonly lot: string;
  readonly name: string;
  readonly grade: string;
  readonly use: string;
  readonly part: string;
  readonly creditPerKg: number | null;
  readonly grams: number;
  readonly left: number;
  readonly gone: string | null;
  /** Were its lot sent back now, it would not go with it: the house has begun with it. */
  readonly staysBehind: boolean;
  readonly moves: readonly Movement[];
}

type FlowText = { readonly id: string; readonly lot: string; readonly flow: string };
const unpackFlow = ({ id, lot, flow }: FlowText): FlowRow => ({ id, lot, ...(JSON.parse(flow) as FlowBody) });
type FlowBody = Omit<FlowRow, 'id' | 'lot'>;

/** What is kept of a piece to be read by the thousand. */
export const flowRowOf = (piece: PieceState, moves: readonly Movement[]): FlowBody => {
  const { made, grams, gone } = piece;
  return {
    name: made.name,
    grade: made.grade,
    use: made.use,
    part: made.part,
    creditPerKg: made.creditPerKg,
    grams: made.mass.si,
    left: grams,
    gone: gone?.how ?? null,
    staysBehind: !mayBegin(piece, 'send-back'),
    moves
  };
};

const OF_LOTS = '(SELECT piece FROM piece_lots WHERE lot IN (SELECT value FROM json_each(?)))';

/** Everything that is asked of the tables of relations. */
const relationStatements = (db: Db) => ({
  putParent: db.prepare<[string, string]>('INSERT OR IGNORE INTO piece_parents (child, parent) VALUES (?, ?)'),
  putLot: db.prepare<[string, string]>('INSERT OR IGNORE INTO piece_lots (lot, piece) VALUES (?, ?)'),
  dropParents: db.prepare<[string]>('DELETE FROM piece_parents WHERE child = ?'),
  dropLots: db.prepare<[string]>('DELETE FROM piece_lots WHERE piece = ?'),
  children: db.prepare<[string], { id: string; made: number | null; made_seq: number | null }>(
    `SELECT piece_parents.child AS id, pieces.made AS made, pieces.made_seq AS made_seq
     FROM piece_parents LEFT JOIN pieces ON pieces.id = piece_parents.child WHERE piece_parents.parent = ? ORDER BY made_seq, child`
  ),
  lots: db.prepare<[string], { lot: string }>('SELECT lot FROM piece_lots WHERE piece = ? ORDER BY lot'),
  pieces: db.prepare<[string], { piece: string }>('SELECT piece FROM piece_lots WHERE lot = ? ORDER BY piece'),
  flowOfLots: db.prepare<[string], FlowText>(
    `SELECT id, lot, flow FROM pieces WHERE id IN ${OF_LOTS} ORDER BY made_seq, id`
  ),
  parentsOf: db.prepare<[string], { child: string; parent: string }>(
    `SELECT child, parent FROM piece_parents WHERE child IN ${OF_LOTS} ORDER BY child, parent`
  ),
  countOf: db.prepare<[string], { count: number }>(
    'SELECT count(*) AS count FROM piece_lots JOIN pieces ON pieces.id = piece_lots.piece WHERE piece_lots.lot = ?'
  ),
  page: db.prepare<{ lot: string; live: number; limit: number; offset: number }, { id: string }>(
    `SELECT pieces.id AS id FROM piece_lots JOIN pieces ON pieces.id = piece_lots.piece
     WHERE piece_lots.lot = @lot AND (@live = 0 OR pieces.live = 1) ORDER BY pieces.made_seq, pieces.id
     LIMIT @limit OFFSET @offset`
  ),
  version: db.prepare<[string], { seq: number; count: number }>(
    `SELECT COALESCE(max(pieces.seq), 0) AS seq, count(*) AS count FROM piece_lots
       JOIN pieces ON pieces.id = piece_lots.piece
     WHERE piece_lots.lot IN (SELECT value FROM json_each(?))`
  ),
  countLive: db.prepare<[string], { count: number }>(
    `SELECT count(*) AS count FROM piece_lots JOIN pieces ON pieces.id = piece_lots.piece
     WHERE piece_lots.lot = ? AND pieces.live = 1`
  ),
  // Lots that are tied to a lot by batches, and theirs.
  tiedLots: db.prepare<[string], { lot: string }>(
    `WITH RECURSIVE tied(lot) AS (
       VALUES (?)
       UNION
       SELECT other.lot FROM tied
         JOIN piece_lots AS mine ON mine.lot = tied.lot
         JOIN piece_lots AS other ON other.piece = mine.piece
     ) SELECT lot FROM tied ORDER BY lot`
  )
});

/** What relates pieces to each other: parents, lots, and how their weights flowed. Rebuilt with the pieces. */
export function openRelations(db: Db) {
  const sql = relationStatements(db);
  return {
    put(id: string, ways: readonly Lineage[]): void {
      sql.dropParents.run(id);
      sql.dropLots.run(id);
      for (const { lotId, pieces: way } of ways) {
        const parent = way.at(-2);
        if (parent) sql.putParent.run(id, parent.id);
        sql.putLot.run(lotId, id);
      }
    },
    childrenOf: (id: string) => sql.children.all(id),
    lotsOf: (id: string) => sql.lots.all(id).map(({ lot }) => lot),
    piecesOf: (lot: string) => sql.pieces.all(lot).map(({ piece }) => piece),
    tiedLots: (lot: string) => sql.tiedLots.all(lot).map(({ lot: id }) => id),
    flowOf: (ofLots: readonly string[]): FlowRow[] => sql.flowOfLots.all(JSON.stringify(ofLots)).map(unpackFlow),
    parentsIn(ofLots: readonly string[]): Map<string, string[]> {
      const out = new Map<string, string[]>();
      for (const { child, parent } of sql.parentsOf.all(JSON.stringify(ofLots))) {
        const known = out.get(child);
        if (known) known.push(parent);
        else out.set(child, [parent]);
      }
      return out;
    },
    /** Changes whenever a piece of these lots does. */
    versionOf: (ofLots: readonly string[]): string => {
      const { seq, count } = sql.version.get(JSON.stringify(ofLots))!;
      return `${seq} ${count}`;
    },
    countOf: (lot: string, live = false): number => (live ? sql.countLive : sql.countOf).get(lot)!.count,
    page: (lot: string, live: boolean, limit: number, offset: number): string[] =>
      sql.page.all({ lot, live: live ? 1 : 0, limit, offset }).map(({ id }) => id),
    tables: [
      ['piece_parents', `child || ' ' || parent`],
      ['piece_lots', `lot || ' ' || piece`]
    ] as const
  };
}
export type Ties = ReturnType<typeof openRelations>;
export type Relations = ReturnType<typeof openRelations>;
