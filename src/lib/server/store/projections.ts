import { EmberError } from '../../core/errors.ts';
import {
  foldHouse,
  foldLot,
  subjectId,
  type HouseState,
  type LotState,
  type PieceState
} from '../../core/record/state.ts';
import { pieceClock, type PieceClock } from '../../core/rules/piece-clock.ts';
import { foldLineage, judge, type Lineage } from '../../core/rules/verdict.ts';
import type { RouteWindow } from '../../core/rules/window.ts';
import type { ProjectedPiece } from '../../core/service/hands.ts';
import type { Db } from './open.ts';
import type { RecordStore } from './record.ts';

interface PieceRow {
  id: string;
  lot: string;
  parent: string | null;
  live: number;
  state: string;
  windows: string;
  missing: string;
  clock: string;
  seq: number;
}

/** Lots and pieces as screens read them, kept in step by refolding whatever subject an event touched. */
export function openProjections(db: Db, record: RecordStore) {
  const putLot = db.prepare<[string, string, number]>(
    `INSERT INTO lots (id, state, seq) VALUES (?, ?, ?)
     ON CONFLICT (id) DO UPDATE SET state = excluded.state, seq = excluded.seq`
  );
  const putPiece = db.prepare<PieceRow>(
    `INSERT INTO pieces (id, lot, parent, live, state, windows, missing, clock, seq)
     VALUES (@id, @lot, @parent, @live, @state, @windows, @missing, @clock, @seq)
     ON CONFLICT (id) DO UPDATE SET lot = excluded.lot, parent = excluded.parent, live = excluded.live,
       state = excluded.state, windows = excluded.windows, missing = excluded.missing, clock = excluded.clock,
       seq = excluded.seq`
  );
  const dropLot = db.prepare<[string]>('DELETE FROM lots WHERE id = ?');
  const dropPiece = db.prepare<[string]>('DELETE FROM pieces WHERE id = ?');
  const lotRow = db.prepare<[string], { state: string }>('SELECT state FROM lots WHERE id = ?');
  const lotRows = db.prepare<[], { state: string }>('SELECT state FROM lots ORDER BY seq DESC');
  const pieceRow = db.prepare<[string], PieceRow>('SELECT * FROM pieces WHERE id = ?');
  const rootsOf = db.prepare<[string], { id: string }>(
    'SELECT id FROM pieces WHERE lot = ? AND parent IS NULL ORDER BY id'
  );
  const childrenOf = db.prepare<[string], { id: string }>('SELECT id FROM pieces WHERE parent = ? ORDER BY id');
  const inLot = db.prepare<[string], PieceRow>('SELECT * FROM pieces WHERE lot = ? ORDER BY id');
  const liveRows = db.prepare<[], PieceRow & { lotState: string }>(
    `SELECT pieces.*, lots.state AS lotState FROM pieces JOIN lots ON lots.id = pieces.lot WHERE live = 1 ORDER BY pieces.id`
  );
  const allRoots = db.prepare<[], { id: string }>('SELECT id FROM pieces WHERE parent IS NULL ORDER BY id');

  const house = (at = Infinity, knownAt = Infinity): HouseState => foldHouse(record.eventsOf('house'), { at, knownAt });
  let houseNow: HouseState | null = null;
  const currentHouse = (): HouseState => (houseNow ??= house());

  /** The events of a piece, its ancestors and its lot. */
  function lineage(pieceId: string): Lineage {
    const pieces: { id: string; events: ReturnType<RecordStore['eventsOf']> }[] = [];
    let next: string | undefined = pieceId;
    let lotId = '';
    while (next) {
      const events = record.eventsOf(`piece:${next}`);
      const made = events.find((event) => event.kind === 'piece.made');
      if (!made || made.kind !== 'piece.made') throw new EmberError('record.not-found', { field: 'piece', seen: next });
      if (pieces.some((seen) => seen.id === next))
        throw new EmberError('record.body-invalid', { field: 'parents', seen: next });
      pieces.unshift({ id: next, events });
      lotId = made.body.lot;
      next = made.body.parents[0];
    }
    return { lot: record.eventsOf(`lot:${lotId}`), lotId, pieces };
  }

  function projectPiece(id: string, at: number): void {
    try {
      const folded = foldLineage(lineage(id), at, at);
      const piece = folded.chain.at(-1)!;
      const input = { ...folded, house: currentHouse(), at, knownAt: at };
      const { windows, reasons } = judge(input);
      // What is missing for a route that is shut for ever is nobody's errand.
      const hopeful = new Set(windows.filter((window) => !window.never).map((window) => window.route));
      const missing = reasons
        .filter(({ effect, routes }) => effect.kind === 'missing' && routes.some((route) => hopeful.has(route)))
        .map(({ code }) => code);
      putPiece.run({
        id,
        lot: folded.lot.id,
        parent: piece.made.parents[0] ?? null,
        live: piece.gone ? 0 : 1,
        state: JSON.stringify(piece),
        windows: JSON.stringify(windows.map(({ state: _, ...window }) => window)),
        missing: JSON.stringify(missing),
        clock: JSON.stringify(pieceClock(input, reasons)),
        seq: piece.lastSeq
      });
    } catch (error) {
      // Its making, or its lot's receipt, was voided: there is no such piece (any more).
      if (!(error instanceof EmberError) || error.code !== 'record.not-found') throw error;
      dropPiece.run(id);
    }
    for (const child of childrenOf.all(id)) projectPiece(child.id, at);
  }

  function projectLot(id: string, at: number): void {
    const lot = foldLot(id, record.eventsOf(`lot:${id}`), { at, knownAt: at });
    if (lot) putLot.run(id, JSON.stringify(lot), lot.lastSeq);
    for (const root of rootsOf.all(id)) projectPiece(root.id, at);
    if (!lot) dropLot.run(id);
  }

  const unpack = (row: PieceRow, lot: LotState): ProjectedPiece => ({
    state: JSON.parse(row.state) as PieceState,
    lot,
    windows: JSON.parse(row.windows) as RouteWindow[],
    missing: JSON.parse(row.missing) as string[],
    clock: JSON.parse(row.clock) as PieceClock | null
  });
  const lotById = (id: string): LotState => {
    const row = lotRow.get(id);
    if (!row) throw new EmberError('record.not-found', { field: 'lot', seen: id });
    return JSON.parse(row.state) as LotState;
  };

  return {
    house,
    currentHouse,
    lineage,
    /** Brings every projection that a subject feeds into step. Call inside the transaction that appended to it. */
    refold(subject: string, at: number): void {
      if (subject === 'house') {
        houseNow = null;
        for (const root of allRoots.all()) projectPiece(root.id, at);
      } else if (subject.startsWith('lot:')) projectLot(subjectId(subject, 'lot'), at);
      else if (subject.startsWith('piece:')) projectPiece(subjectId(subject, 'piece'), at);
    },
    /** A rolled-back transaction may have left a house behind that never was. */
    forgetCached(): void {
      houseNow = null;
    },
    lot: lotById,
    lots: (): LotState[] => lotRows.all().map((row) => JSON.parse(row.state) as LotState),
    piece(id: string): ProjectedPiece & { children: string[] } {
      const row = pieceRow.get(id);
      if (!row) throw new EmberError('record.not-found', { field: 'piece', seen: id });
      return { ...unpack(row, lotById(row.lot)), children: childrenOf.all(id).map((child) => child.id) };
    },
    piecesOfLot: (lot: string) => inLot.all(lot).map((row) => unpack(row, lotById(lot))),
    livePieces: (): ProjectedPiece[] => liveRows.all().map((row) => unpack(row, JSON.parse(row.lotState) as LotState)),
    /** All rows in one text, to compare a rebuilt table with the kept one. */
    dump(): { table: string; id: string; text: string }[] {
      const lots = db.prepare<[], { id: string; state: string; seq: number }>('SELECT * FROM lots ORDER BY id').all();
      const pieces = db.prepare<[], PieceRow>('SELECT * FROM pieces ORDER BY id').all();
      return [
        ...lots.map((row) => ({ table: 'lots', id: row.id, text: JSON.stringify(row) })),
        ...pieces.map((row) => ({ table: 'pieces', id: row.id, text: JSON.stringify(row) }))
      ];
    },
    /** Empties and rebuilds every projection from the record alone. */
    rebuild(now: number): void {
      // A clock set back must not make what is on record look as if it had not happened yet.
      const at = Math.max(now, record.head().recorded);
      db.transaction(() => {
        db.exec('DELETE FROM pieces; DELETE FROM lots;');
        houseNow = null;
        const subjects = db
          .prepare<[], { subject: string }>('SELECT subject FROM events GROUP BY subject ORDER BY min(seq)')
          .all();
        for (const { subject } of subjects) if (subject.startsWith('lot:')) this.refold(subject, at);
        for (const { subject } of subjects) if (subject.startsWith('piece:')) this.refold(subject, at);
      })();
    }
  };
}

export type Projections = ReturnType<typeof openProjections>;
