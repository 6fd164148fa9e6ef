import { EmberError } from '../../core/errors.ts';
import type { RouteWindow } from '../../core/codes/window.ts';
import type { GoneHow } from '../../core/record/occupation.ts';
import type { LotState } from '../../core/record/lot.ts';
import type { PieceState } from '../../core/record/piece.ts';
import type { PieceClock } from '../../core/rules/piece-clock.ts';
import type { ProjectedPiece } from '../../core/service/hands.ts';
import { frozenDeep } from '../../core/record/frozen-deep.ts';
import type { Db } from './open.ts';
import type { Relations } from './relations.ts';

export interface PieceRow {
  id: string;
  lot: string;
  parent: string | null;
  live: number;
  state: string;
  windows: string;
  missing: string;
  clock: string;
  seq: number;
  made: number;
  made_seq: number;
  flow: string;
}

/** As much of a piece as it is found by, whether it is still here or not. */
export interface NamedPiece {
  readonly id: string;
  readonly lot: string;
  readonly name: string;
  readonly supplier: string;
  /** Where it lies; an empty text where nobody said, or where it lies no more. */
  readonly place: string;
  readonly gone: GoneHow | null;
}

/** Everything that is asked of the tables of lots and pieces. */
export function projectionStatements(db: Db) {
  const putLot = db.prepare<[string, string, number]>(
    `INSERT INTO lots (id, state, seq) VALUES (?, ?, ?)
     ON CONFLICT (id) DO UPDATE SET state = excluded.state, seq = excluded.seq`
  );
  const putPiece = db.prepare<PieceRow>(
    `INSERT INTO pieces (id, lot, parent, live, state, windows, missing, clock, seq, made, made_seq, flow)
     VALUES (@id, @lot, @parent, @live, @state, @windows, @missing, @clock, @seq, @made, @made_seq, @flow)
     ON CONFLICT (id) DO UPDATE SET lot = excluded.lot, parent = excluded.parent, live = excluded.live,
       state = excluded.state, windows = excluded.windows, missing = excluded.missing, clock = excluded.clock,
       seq = excluded.seq, made = excluded.made, made_seq = excluded.made_seq, flow = excluded.flow`
  );
  const putPlace = db.prepare<[string, string, number | null]>(
    'INSERT INTO piece_places (place, piece, until) VALUES (?, ?, ?)'
  );
  const dropPlaces = db.prepare<[string]>('DELETE FROM piece_places WHERE piece = ?');
  const inPlace = db.prepare<[string, number], { piece: string }>(
    `SELECT piece FROM piece_places JOIN pieces ON pieces.id = piece_places.piece
     WHERE piece_places.place = ? AND pieces.live = 1 AND (until IS NULL OR until >= ?) ORDER BY piece`
  );
  const dropLot = db.prepare<[string]>('DELETE FROM lots WHERE id = ?');
  const dropPiece = db.prepare<[string]>('DELETE FROM pieces WHERE id = ?');
  const lotRow = db.prepare<[string], { state: string }>('SELECT state FROM lots WHERE id = ?');
  const lotRows = db.prepare<[], { id: string; state: string }>('SELECT id, state FROM lots ORDER BY seq DESC');
  const pieceRow = db.prepare<[string], PieceRow>('SELECT * FROM pieces WHERE id = ?');
  const inLot = db.prepare<[string], PieceRow>(
    `SELECT pieces.* FROM piece_lots JOIN pieces ON pieces.id = piece_lots.piece
     WHERE piece_lots.lot = ? ORDER BY pieces.made_seq`
  );
  const liveRows = db.prepare<[], PieceRow & { lotState: string }>(
    `SELECT pieces.*, lots.state AS lotState FROM pieces JOIN lots ON lots.id = pieces.lot WHERE live = 1 ORDER BY pieces.id`
  );
  const allPieces = db.prepare<[], { id: string; live: number }>('SELECT id, live FROM pieces ORDER BY id');
  const namedRows = db.prepare<[], NamedPiece & { left: number | null }>(
    `SELECT pieces.id, pieces.lot, json_extract(pieces.state, '$.made.name') AS name,
       json_extract(pieces.state, '$.gone.how') AS gone, json_extract(lots.state, '$.received.supplier') AS supplier,
       coalesce(json_extract(pieces.state, '$.stays[#-1].place'), '') AS place,
       json_extract(pieces.state, '$.stays[#-1].to') AS left
     FROM pieces JOIN lots ON lots.id = pieces.lot ORDER BY pieces.made_seq DESC`
  );

  return {
    putLot,
    putPiece,
    putPlace,
    dropPlaces,
    inPlace,
    dropLot,
    dropPiece,
    lotRow,
    lotRows,
    pieceRow,
    inLot,
    liveRows,
    allPieces,
    namedRows
  };
}

export type ProjectionStatements = ReturnType<typeof projectionStatements>;

/** Columns of rows kept as values: of a few thousand pieces. */
const MOST_READY = 10_000;

/**
 * Rows as values, read once for as long as their text is the same: a page asks for everything in the house, and most of it lies as
 * it lay. What is handed out is shared, and frozen.
 */
function openReader() {
  const known = new Map<string, { readonly text: string; readonly value: unknown }>();
  return <Value>(column: string, id: string, text: string): Value => {
    const key = `${column} ${id}`;
    const kept = known.get(key);
    if (kept?.text === text) return kept.value as Value;
    const value = frozenDeep(JSON.parse(text) as Value);
    known.set(key, { text, value });
    if (known.size > MOST_READY) known.delete(known.keys().next().value!);
    return value;
  };
}

/**
 * What was asked of the tables, kept for as long as nobody wrote: neither this connection (its own count of rows) nor another (what
 * SQLite says of the file). In the middle of a transaction nothing is kept, for it may yet be taken back.
 */
function keptWhileUnwritten<Value>(db: Db, ask: () => Value): () => Value {
  const own = db.prepare<[], number>('SELECT total_changes()').pluck();
  const others = db.prepare<[], number>('SELECT data_version FROM pragma_data_version').pluck();
  let kept: { readonly stamp: string; readonly value: Value } | null = null;
  return () => {
    const stamp = `${own.get()} ${others.get()}`;
    if (kept?.stamp === stamp) return kept.value;
    const value = ask();
    if (!db.inTransaction) kept = { stamp, value };
    return value;
  };
}

/** Lots and pieces as they were last projected. */
export function projectionReader(
  db: Db,
  { lotRow, lotRows, pieceRow, inLot, liveRows, namedRows }: ProjectionStatements,
  relations: Pick<Relations, 'childrenOf' | 'lotsOf'>
) {
  const read = openReader();
  const unpack = (row: PieceRow, lot: LotState): ProjectedPiece => ({
    state: read<PieceState>('state', row.id, row.state),
    lot,
    windows: read<RouteWindow[]>('windows', row.id, row.windows),
    missing: read<string[]>('missing', row.id, row.missing),
    clock: read<PieceClock | null>('clock', row.id, row.clock)
  });
  const lotById = (id: string): LotState => {
    const row = lotRow.get(id);
    if (!row) throw new EmberError('record.not-found', { field: 'lot', seen: id });
    return read<LotState>('lot', id, row.state);
  };

  return {
    lot: lotById,
    lots: (): LotState[] => lotRows.all().map(({ id, state }) => read<LotState>('lot', id, state)),
    piece(id: string): ProjectedPiece & { children: string[]; lots: string[] } {
      const row = pieceRow.get(id);
      if (!row) throw new EmberError('record.not-found', { field: 'piece', seen: id });
      return {
        ...unpack(row, lotById(row.lot)),
        children: relations.childrenOf(id).flatMap((child) => (child.made === null ? [] : [child.id])),
        lots: relations.lotsOf(id)
      };
    },
    piecesOfLot(lot: string): ProjectedPiece[] {
      const lots = new Map([[lot, lotById(lot)]]);
      return inLot.all(lot).map((row) => {
        if (!lots.has(row.lot)) lots.set(row.lot, lotById(row.lot));
        return unpack(row, lots.get(row.lot)!);
      });
    },
    /** Every piece there is or was, newest first. */
    named: (): NamedPiece[] =>
      namedRows.all().map(({ left, place, ...row }) => ({ ...row, place: left === null ? place : '' })),
    livePieces: keptWhileUnwritten(db, (): readonly ProjectedPiece[] =>
      Object.freeze(liveRows.all().map((row) => unpack(row, read<LotState>('lot', row.lot, row.lotState))))
    )
  };
}

/** All rows of lots, pieces and the tables beside them in one text. */
export function dumpOf(db: Db, tables: readonly (readonly [string, string])[]) {
  const lots = db.prepare<[], { id: string; state: string; seq: number }>('SELECT * FROM lots ORDER BY id').all();
  const pieces = db.prepare<[], PieceRow>('SELECT * FROM pieces ORDER BY id').all();
  return [
    ...lots.map((row) => ({ table: 'lots', id: row.id, text: JSON.stringify(row) })),
    ...pieces.map((row) => ({ table: 'pieces', id: row.id, text: JSON.stringify(row) })),
    ...tables.flatMap(([table, key]) =>
      db
        .prepare<[], { id: string }>(`SELECT ${key} AS id, * FROM ${table} ORDER BY 1`)
        .all()
        .map((row) => ({ table, id: String(row.id), text: JSON.stringify(row) }))
    )
  ];
}
