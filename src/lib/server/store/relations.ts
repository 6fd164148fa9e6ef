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
function relationStatements(db: Db) {
  const putParent = db.prepare<[string, string]>('INSERT OR IGNORE INTO piece_parents (child, parent) VALUES (?, ?)');
  const putLot = db.prepare<[string, string]>('INSERT OR IGNORE INTO piece_lots (lot, piece) VALUES (?, ?)');
  const dropParents = db.prepare<[string]>('DELETE FROM piece_parents WHERE child = ?');
  const dropLots = db.prepare<[string]>('DELETE FROM piece_lots WHERE piece = ?');
  const children = db.prepare<[string], { id: string; made: number | null; made_seq: number | null }>(
    `SELECT piece_parents.child AS id, pieces.made AS made, pieces.made_seq AS made_seq
     FROM piece_parents LEFT JOIN pieces ON pieces.id = piece_parents.child WHERE piece_parents.parent = ? ORDER BY made_seq, child`
  );
  const lots = db.prepare<[string], { lot: string }>('SELECT lot FROM piece_lots WHERE piece = ? ORDER BY lot');
  const pieces = db.prepare<[string], { piece: string }>('SELECT piece FROM piece_lots WHERE lot = ? ORDER BY piece');
  const flowOfLots = db.prepare<[string], FlowText>(
    `SELECT id, lot, flow FROM pieces WHERE id IN ${OF_LOTS} ORDER BY made_seq, id`
  );
  const parentsOf = db.prepare<[string], { child: string; parent: string }>(
    `SELECT child, parent FROM piece_parents WHERE child IN ${OF_LOTS} ORDER BY child, parent`
  );
  const countOf = db.prepare<[string], { count: number }>(
    'SELECT count(*) AS count FROM piece_lots JOIN pieces ON pieces.id = piece_lots.piece WHERE piece_lots.lot = ?'
  );
  const page = db.prepare<{ lot: string; live: number; limit: number; offset: number }, { id: string }>(
    `SELECT pieces.id AS id FROM piece_lots JOIN pieces ON pieces.id = piece_lots.piece
     WHERE piece_lots.lot = @lot AND (@live = 0 OR pieces.live = 1) ORDER BY pieces.made_seq, pieces.id
     LIMIT @limit OFFSET @offset`
  );
  const version = db.prepare<[string], { seq: number; count: number }>(
    `SELECT COALESCE(max(pieces.seq), 0) AS seq, count(*) AS count FROM piece_lots
       JOIN pieces ON pieces.id = piece_lots.piece
     WHERE piece_lots.lot IN (SELECT value FROM json_each(?))`
  );
  const countLive = db.prepare<[string], { count: number }>(
    `SELECT count(*) AS count FROM piece_lots JOIN pieces ON pieces.id = piece_lots.piece
     WHERE piece_lots.lot = ? AND pieces.live = 1`
  );

  return {
    putParent,
    putLot,
    dropParents,
    dropLots,
    children,
    lots,
    pieces,
    flowOfLots,
    parentsOf,
    countOf,
    page,
    version,
    countLive
  };
}

/** What relates pieces to each other: parents, lots, and how their weights flowed. Rebuilt with the pieces. */
export function openRelations(db: Db) {
  const {
    putParent,
    putLot,
    dropParents,
    dropLots,
    children,
    lots,
    pieces,
    flowOfLots,
    parentsOf,
    countOf,
    page,
    version,
    countLive
  } = relationStatements(db);
  // Lots that are tied to a lot by batches, and theirs.
  const tiedLots = db.prepare<[string], { lot: string }>(
    `WITH RECURSIVE tied(lot) AS (
       VALUES (?)
       UNION
       SELECT other.lot FROM tied
         JOIN piece_lots AS mine ON mine.lot = tied.lot
         JOIN piece_lots AS other ON other.piece = mine.piece
     ) SELECT lot FROM tied ORDER BY lot`
  );
  return {
    put(id: string, ways: readonly Lineage[]): void {
      dropParents.run(id);
      dropLots.run(id);
      for (const { lotId, pieces: way } of ways) {
        const parent = way.at(-2);
        if (parent) putParent.run(id, parent.id);
        putLot.run(lotId, id);
      }
    },
    childrenOf: (id: string) => children.all(id),
    lotsOf: (id: string) => lots.all(id).map(({ lot }) => lot),
    piecesOf: (lot: string) => pieces.all(lot).map(({ piece }) => piece),
    tiedLots: (lot: string) => tiedLots.all(lot).map(({ lot: id }) => id),
    flowOf: (ofLots: readonly string[]): FlowRow[] => flowOfLots.all(JSON.stringify(ofLots)).map(unpackFlow),
    parentsIn(ofLots: readonly string[]): Map<string, string[]> {
      const out = new Map<string, string[]>();
      for (const { child, parent } of parentsOf.all(JSON.stringify(ofLots))) {
        const known = out.get(child);
        if (known) known.push(parent);
        else out.set(child, [parent]);
      }
      return out;
    },
    /** Changes whenever a piece of these lots does. */
    versionOf: (ofLots: readonly string[]): string => {
      const { seq, count } = version.get(JSON.stringify(ofLots))!;
      return `${seq} ${count}`;
    },
    countOf: (lot: string, live = false): number => (live ? countLive : countOf).get(lot)!.count,
    page: (lot: string, live: boolean, limit: number, offset: number): string[] =>
      page.all({ lot, live: live ? 1 : 0, limit, offset }).map(({ id }) => id),
    tables: [
      ['piece_parents', `child || ' ' || parent`],
      ['piece_lots', `lot || ' ' || piece`]
    ] as const
  };
}
export type Ties = ReturnType<typeof openRelations>;
export type Relations = ReturnType<typeof openRelations>;
