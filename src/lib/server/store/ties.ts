import { UNIDENTIFIED } from '../../core/activity/receive/bodies.ts';
import type { LotState } from '../../core/record/lot.ts';
import type { PieceState } from '../../core/record/piece.ts';
import type { Movement } from '../../core/bench/breakdown/mass.ts';
import type { Lineage } from '../../core/rules/verdict.ts';
import type { Db } from './open.ts';

export interface BoardRow {
  seq: number;
  piece: string;
  lot: string;
  species: string;
  supplier: string;
  form: string;
  map: string;
  hand: string;
  closed: number;
  input: number;
  usable: number;
  by_product: number;
  waste: number;
  drip: number;
  gap: number;
}
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
  readonly moves: readonly Movement[];
}

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

export interface AgingRow {
  readonly seq: number;
  readonly piece: string;
  readonly ended: number;
  /** JSON of the `AgeRun`. */
  readonly run: string;
  readonly told: number;
}

type FlowText = { readonly id: string; readonly lot: string; readonly flow: string };
const unpackFlow = ({ id, lot, flow }: FlowText): FlowRow => ({ id, lot, ...(JSON.parse(flow) as Sketch) });
type Sketch = Omit<FlowRow, 'id' | 'lot'>;

/** What is kept of a piece to be read by the thousand. */
export const sketchOf = ({ made, grams, gone }: PieceState, moves: readonly Movement[]): Sketch => ({
  name: made.name,
  grade: made.grade,
  use: made.use,
  part: made.part,
  creditPerKg: made.creditPerKg,
  grams: made.mass.si,
  left: grams,
  gone: gone?.how ?? null,
  moves
});

/** What ties pieces together: parents, lots, and what each board and each cure came to. Rebuilt with the pieces. */
export function openTies(db: Db) {
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
  const putBoard = db.prepare<BoardRow>(
    `INSERT OR REPLACE INTO boards (seq, piece, lot, species, supplier, form, map, hand, closed, input, usable, by_product,
       waste, drip, gap)
     VALUES (@seq, @piece, @lot, @species, @supplier, @form, @map, @hand, @closed, @input, @usable, @by_product, @waste,
       @drip, @gap)`
  );
  const boardsOf = db.prepare<[string], { seq: number }>('SELECT seq FROM boards WHERE piece = ?');
  const dropBoard = db.prepare<[number]>('DELETE FROM boards WHERE seq = ?');
  const dropParts = db.prepare<[number]>('DELETE FROM board_parts WHERE board = ?');
  const putPart = db.prepare<[number, string, number]>('INSERT INTO board_parts (board, part, grams) VALUES (?, ?, ?)');
  const putCure = db.prepare<CureRow>(
    `INSERT INTO cures (seq, piece, species, started, ended, run, told)
     VALUES (@seq, @piece, @species, @started, @ended, @run, @told)`
  );
  const dropCures = db.prepare<[string]>('DELETE FROM cures WHERE piece = ?');
  const putPace = db.prepare<{ seq: number; piece: string; species: string; at: number; pace: number }>(
    'INSERT INTO acid_paces (seq, piece, species, at, pace) VALUES (@seq, @piece, @species, @at, @pace)'
  );
  const dropPaces = db.prepare<[string]>('DELETE FROM acid_paces WHERE piece = ?');
  const paces = db.prepare<[string, number], { pace: number }>(
    'SELECT pace FROM acid_paces WHERE species = ? ORDER BY at DESC, seq DESC LIMIT ?'
  );
  const cureRows = db.prepare<[number], CureRow>('SELECT * FROM cures ORDER BY ended DESC, seq DESC LIMIT ?');
  const cureVersion = db.prepare<[], { last: number; count: number }>(
    'SELECT COALESCE(max(told), 0) AS last, count(*) AS count FROM cures'
  );
  const putAging = db.prepare<AgingRow>(
    'INSERT INTO agings (seq, piece, ended, run, told) VALUES (@seq, @piece, @ended, @run, @told)'
  );
  const dropAgings = db.prepare<[string]>('DELETE FROM agings WHERE piece = ?');
  const agingRows = db.prepare<[number], AgingRow>('SELECT * FROM agings ORDER BY ended DESC, seq DESC LIMIT ?');
  const agingVersion = db.prepare<[], { last: number; count: number }>(
    'SELECT COALESCE(max(told), 0) AS last, count(*) AS count FROM agings'
  );
  const OF_LOTS = '(SELECT piece FROM piece_lots WHERE lot IN (SELECT value FROM json_each(?)))';
  const flowOfLots = db.prepare<[string], FlowText>(
    `SELECT id, lot, flow FROM pieces WHERE id IN ${OF_LOTS} ORDER BY made_seq, id`
  );
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
  const parentsOf = db.prepare<[string], { child: string; parent: string }>(
    `SELECT child, parent FROM piece_parents WHERE child IN ${OF_LOTS} ORDER BY child, parent`
  );
  const shares = db.prepare<[string, string], { share: number; supplier: string }>(
    `SELECT usable / input AS share, supplier FROM boards
     WHERE species = ? AND form = ? AND input > 0 AND usable <= input * 1.2 ORDER BY closed DESC LIMIT 400`
  );
  const wanted = `input > 0 AND (@species = '' OR species = @species) AND (@form = '' OR form = @form)`;
  type Asked = { species: string; form: string };
  const asking = (from: string, key: string, grams: string) =>
    db
      .prepare<Asked, [key: string, share: number]>(
        `SELECT ${key}, ${grams} / input FROM ${from} WHERE ${wanted} ORDER BY closed`
      )
      .raw();
  const history = {
    species: asking('boards', 'species', 'usable'),
    supplier: asking('boards', 'supplier', 'usable'),
    hand: asking('boards', 'hand', 'usable'),
    part: asking('boards CROSS JOIN board_parts ON board = seq', 'part', 'grams')
  };
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
    put(id: string, ways: readonly Lineage[]): void {
      dropParents.run(id);
      dropLots.run(id);
      for (const { lotId, pieces: way } of ways) {
        const parent = way.at(-2);
        if (parent) putParent.run(id, parent.id);
        putLot.run(lotId, id);
      }
    },
    dropRuns(id: string): void {
      dropCures.run(id);
      dropPaces.run(id);
      dropAgings.run(id);
      for (const { seq } of boardsOf.all(id)) {
        dropBoard.run(seq);
        dropParts.run(seq);
      }
    },
    putRuns(piece: PieceState, lot: LotState): void {
      this.dropRuns(piece.id);
      for (const board of piece.boards) {
        if (!board.ended) continue;
        putBoard.run({
          seq: board.seq,
          piece: piece.id,
          lot: lot.id,
          species: lot.species.length === 1 ? lot.species[0]! : UNIDENTIFIED,
          supplier: lot.received.supplier,
          form: piece.made.form,
          map: board.plan.map,
          hand: board.ended.by,
          closed: board.ended.at,
          input: board.plan.grams - board.ended.remains,
          usable: board.parts - board.byProduct,
          by_product: board.byProduct,
          waste: board.waste,
          drip: board.drip,
          gap: board.ended.gap
        });
        for (const [part, grams] of Object.entries(board.byPart)) putPart.run(board.seq, part, grams);
      }
      const species = lot.species.length === 1 ? lot.species[0]! : UNIDENTIFIED;
      for (const cure of piece.cures) {
        if (!cure.ended) continue;
        const { seq, at: started, ended } = cure;
        const run = JSON.stringify(cure);
        putCure.run({ seq, piece: piece.id, species, started, ended: ended.at, run, told: piece.lastSeq });
      }
      for (const aging of piece.ages) {
        const { seq, ended } = aging;
        if (!ended) continue;
        putAging.run({ seq, piece: piece.id, ended: ended.at, run: JSON.stringify(aging), told: piece.lastSeq });
      }
      for (const { seq, checks } of piece.acids) {
        const last = checks.at(-1);
        if (last) putPace.run({ seq, piece: piece.id, species, at: last.at, pace: last.pace });
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
    /** Usable shares of the newest boards of a species in a form. */
    sharesOf: (species: string, form: string) => shares.all(species, form),
    /** Key and share of every board, or of every part, oldest first. */
    history: (by: keyof typeof history, species: string, form: string) => history[by].all({ species, form }),
    /** Changes whenever a piece of these lots does. */
    versionOf: (ofLots: readonly string[]): string => {
      const { seq, count } = version.get(JSON.stringify(ofLots))!;
      return `${seq} ${count}`;
    },
    /** How fast acid went in the last runs of a species that were cut open, against the shipped figure. */
    pacesOf: (species: string, limit: number): number[] => paces.all(species, limit).map(({ pace }) => pace),
    /** Finished cures, newest first. */
    curesOf: (limit: number): CureRow[] => cureRows.all(limit),
    /** Changes whenever a finished cure does. */
    cureVersion: (): string => {
      const { last, count } = cureVersion.get()!;
      return `${last} ${count}`;
    },
    /** Finished hangings, newest first. */
    agingsOf: (limit: number): AgingRow[] => agingRows.all(limit),
    /** Changes whenever a finished hanging does. */
    agingVersion: (): string => {
      const { last, count } = agingVersion.get()!;
      return `${last} ${count}`;
    },
    countOf: (lot: string, live = false): number => (live ? countLive : countOf).get(lot)!.count,
    page: (lot: string, live: boolean, limit: number, offset: number): string[] =>
      page.all({ lot, live: live ? 1 : 0, limit, offset }).map(({ id }) => id),
    emptied:
      'DELETE FROM piece_parents; DELETE FROM piece_lots; DELETE FROM boards; DELETE FROM board_parts; DELETE FROM cures; DELETE FROM acid_paces; DELETE FROM agings;',
    dump(): { table: string; id: string; text: string }[] {
      const out: { table: string; id: string; text: string }[] = [];
      for (const [table, key] of [
        ['piece_parents', `child || ' ' || parent`],
        ['piece_lots', `lot || ' ' || piece`],
        ['boards', 'seq'],
        ['cures', 'seq'],
        ['acid_paces', 'seq'],
        ['agings', 'seq'],
        ['board_parts', `board || ' ' || part`]
      ] as const) {
        const rows = db.prepare<[], { id: string }>(`SELECT ${key} AS id, * FROM ${table} ORDER BY 1`).all();
        out.push(...rows.map((row) => ({ table, id: String(row.id), text: JSON.stringify(row) })));
      }
      return out;
    }
  };
}
export type Ties = ReturnType<typeof openTies>;
