import { EmberError } from '../../core/errors.ts';
import { foldHouse, type HouseState } from '../../core/record/house.ts';
import { foldLot, type LotState } from '../../core/record/lot.ts';
import { type PieceState } from '../../core/record/piece.ts';
import { subjectId } from '../../core/record/view.ts';
import { pieceClock, type PieceClock } from '../../core/rules/piece-clock.ts';
import { foldLineages, judge, type Lineage } from '../../core/rules/verdict.ts';
import { massFlow } from '../../core/bench/breakdown/mass.ts';
import type { EventKind, RecordEvent } from '../../core/record/events.ts';
import type { RouteWindow } from '../../core/codes/window.ts';
import type { ProjectedPiece } from '../../core/service/hands.ts';
import type { Db } from './open.ts';
import { staysOf } from '../../core/rules/stays.ts';
import { openLogs } from './logs.ts';
import type { Readings } from './readings.ts';
import type { RecordStore } from './record.ts';
import { openSubjects } from './subjects.ts';
import { flowRowOf, openRelations } from './relations.ts';
import { openRuns } from './runs/index.ts';

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
  made: number;
  made_seq: number;
  flow: string;
}

/** A new entry, as far as it decides who has to be told of it. */
export type NewEntry = Pick<RecordEvent, 'kind' | 'happened' | 'seq'>;

/** Settings of the house that no verdict leans on: nothing is judged again for them. */
const NO_VERDICT: readonly EventKind[] = [
  'device.keyed',
  'device.revoked',
  'template.set',
  'kitchen.set',
  'notice.set',
  'sheet.set',
  'recipe.set',
  'recipe.noted',
  'learning.set',
  'rack.set',
  'sauce.set',
  'service.set'
];

/** Ways back from one piece to its lots that are kept apart when it is judged. More is a batch nobody can answer for. */
export const MOST_LINEAGES = 200;

/** Lots and pieces as screens read them, kept in step by refolding whatever subject an event touched. */
export function openProjections(db: Db, record: RecordStore, readings: Readings) {
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
  const relations = openRelations(db);
  const runs = openRuns(db);
  const subjects = openSubjects(db, record);
  const putPlace = db.prepare<[string, string]>('INSERT OR IGNORE INTO piece_places (place, piece) VALUES (?, ?)');
  const dropPlaces = db.prepare<[string]>('DELETE FROM piece_places WHERE piece = ?');
  const inPlace = db.prepare<[string], { piece: string }>(
    `SELECT piece FROM piece_places JOIN pieces ON pieces.id = piece_places.piece
     WHERE piece_places.place = ? AND pieces.live = 1 ORDER BY piece`
  );
  const dropLot = db.prepare<[string]>('DELETE FROM lots WHERE id = ?');
  const dropPiece = db.prepare<[string]>('DELETE FROM pieces WHERE id = ?');
  const lotRow = db.prepare<[string], { state: string }>('SELECT state FROM lots WHERE id = ?');
  const lotRows = db.prepare<[], { state: string }>('SELECT state FROM lots ORDER BY seq DESC');
  const pieceRow = db.prepare<[string], PieceRow>('SELECT * FROM pieces WHERE id = ?');
  const inLot = db.prepare<[string], PieceRow>(
    `SELECT pieces.* FROM piece_lots JOIN pieces ON pieces.id = piece_lots.piece
     WHERE piece_lots.lot = ? ORDER BY pieces.made_seq`
  );
  const liveRows = db.prepare<[], PieceRow & { lotState: string }>(
    `SELECT pieces.*, lots.state AS lotState FROM pieces JOIN lots ON lots.id = pieces.lot WHERE live = 1 ORDER BY pieces.id`
  );
  const allPieces = db.prepare<[], { id: string }>('SELECT id FROM pieces ORDER BY id');

  const house = (at = Infinity, knownAt = Infinity): HouseState => foldHouse(record.eventsOf('house'), { at, knownAt });
  let houseNow: HouseState | null = null;
  const currentHouse = (): HouseState => (houseNow ??= house());
  const logs = openLogs(record, readings, currentHouse);

  /** Entries read once while one change is told to many pieces of one family. */
  const reading = (kept = new Map<string, readonly RecordEvent[]>()) => {
    return (subject: string): readonly RecordEvent[] => {
      const known = kept.get(subject);
      if (known) return known;
      const events = record.eventsOf(subject);
      kept.set(subject, events);
      return events;
    };
  };

  /** The lineages of a piece: the events of each way back from it to a lot. */
  function lineages(pieceId: string, eventsOf = reading()): Lineage[] {
    const out: Lineage[] = [];
    const walk = (id: string, below: Lineage['pieces']): void => {
      const events = eventsOf(`piece:${id}`);
      const made = events.find((event) => event.kind === 'piece.made');
      if (!made || made.kind !== 'piece.made') throw new EmberError('record.not-found', { field: 'piece', seen: id });
      if (below.some((seen) => seen.id === id)) {
        throw new EmberError('record.body-invalid', { field: 'parents', seen: id });
      }
      const pieces = [{ id, events }, ...below];
      if (made.body.parents.length > 0) return made.body.parents.forEach((parent) => walk(parent, pieces));
      if (out.length >= MOST_LINEAGES) {
        throw new EmberError('record.too-many-strands', { field: 'parents', max: MOST_LINEAGES, seen: pieceId });
      }
      out.push({ lot: eventsOf(`lot:${made.body.lot}`), lotId: made.body.lot, pieces });
    };
    walk(pieceId, []);
    return out;
  }

  function projectPiece(id: string, at: number, eventsOf = reading()): void {
    try {
      const ways = lineages(id, eventsOf);
      // What a piece is tied to is known even while it, or its lot, is voided: who brings it back finds it by that.
      relations.put(id, ways);
      const inputs = foldLineages(ways, { house: currentHouse(), at, knownAt: at, logs: logs.book(at, at) });
      const [{ lot, chain }] = inputs;
      dropPlaces.run(id);
      for (const input of inputs) for (const { place } of staysOf(input.chain)) putPlace.run(place, id);
      const piece = chain.at(-1)!;
      // What is gone is not told of readings any more: no window of it opens or closes by them.
      const judged = piece.gone ? inputs.map((input) => ({ ...input, logs: undefined })) : inputs;
      const { windows, reasons } = judge(judged);
      // What is missing for a route that is shut for ever is nobody's errand.
      const hopeful = new Set(windows.filter((window) => !window.never).map((window) => window.route));
      const missing = reasons
        .filter(({ effect, routes }) => effect.kind === 'missing' && routes.some((route) => hopeful.has(route)))
        .map(({ code }) => code);
      putPiece.run({
        id,
        lot: lot.id,
        parent: piece.made.parents[0] ?? null,
        live: piece.gone ? 0 : 1,
        state: JSON.stringify(piece),
        windows: JSON.stringify(windows.map(({ state: _, ...window }) => window)),
        missing: JSON.stringify([...new Set(missing)]),
        clock: JSON.stringify(pieceClock(judged)),
        seq: piece.lastSeq,
        made: piece.made.at,
        made_seq: piece.made.seq,
        flow: JSON.stringify(
          flowRowOf(
            piece,
            massFlow(eventsOf(`piece:${id}`), at, piece.gone?.how === 'returned' ? piece.gone.stamp.at : null)?.moves ??
              []
          )
        )
      });
      runs.put(piece, lot);
    } catch (error) {
      // Its making, or its lot's receipt, was voided: there is no such piece (any more).
      if (!(error instanceof EmberError) || error.code !== 'record.not-found') throw error;
      dropPiece.run(id);
      dropPlaces.run(id);
      runs.drop(id);
    }
  }

  /** A piece and everything that came from it and is touched: what left it before anything new happened is not. */
  function projectFamily(id: string, at: number, told: readonly NewEntry[] | null): void {
    const eventsOf = reading();
    const done = new Set<string>();
    const earliest = told?.reduce(
      (first, event) =>
        event.happened < first.happened || (event.happened === first.happened && event.seq < first.seq) ? event : first,
      told[0]!
    );
    const all = !earliest || told!.some(({ kind }) => kind === 'entry.amended');
    const walk = (piece: string) => {
      if (done.has(piece)) return;
      done.add(piece);
      projectPiece(piece, at, eventsOf);
      for (const child of relations.childrenOf(piece)) {
        const untouched =
          !all &&
          child.made !== null &&
          (child.made < earliest.happened || (child.made === earliest.happened && child.made_seq! < earliest.seq));
        if (!untouched) walk(child.id);
      }
    };
    walk(id);
  }

  function projectLot(id: string, at: number): void {
    const eventsOf = reading();
    const lot = foldLot(id, eventsOf(`lot:${id}`), { at, knownAt: at });
    if (lot) putLot.run(id, JSON.stringify(lot), lot.lastSeq);
    for (const piece of relations.piecesOf(id)) projectPiece(piece, at, eventsOf);
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
    lineages: (pieceId: string) => lineages(pieceId),
    /**
     * Brings every projection that a subject feeds into step. Call inside the transaction that appended to it.
     *
     * @param told the new entries of the subject; all that stems from it is done anew where they are left out
     */
    refold(subject: string, at: number, told: readonly NewEntry[] | null = null): void {
      if (subject === 'house') {
        houseNow = null;
        if (told?.every(({ kind }) => NO_VERDICT.includes(kind))) return;
        const eventsOf = reading();
        for (const { id } of allPieces.all()) projectPiece(id, at, eventsOf);
        // A place that is called otherwise is so wherever it is named.
        if (!told || told.some(({ kind }) => kind === 'place.set')) {
          for (const { kind, state } of subjects.all()) subjects.refold(`${kind.kind}:${state.id}`, at);
        }
      } else if (subjects.refold(subject, at)) return;
      else if (subject.startsWith('lot:')) projectLot(subjectId(subject, 'lot'), at);
      else if (subject.startsWith('piece:')) projectFamily(subjectId(subject, 'piece'), at, told);
    },
    logs,
    /** Pieces still here that lie, or lay, in a place. */
    piecesIn: (place: string): string[] => inPlace.all(place).map(({ piece }) => piece),
    /** Judges anew whatever lay in these places: a sensor spoke of them. Call inside the transaction that kept its readings. */
    rejudgeIn(places: readonly string[], at: number): void {
      const eventsOf = reading();
      const told = new Set(places.flatMap((place) => inPlace.all(place).map(({ piece }) => piece)));
      for (const id of told) projectPiece(id, at, eventsOf);
    },
    /** A rolled-back transaction may have left a house, or readings, behind that never were. */
    forgetCached(): void {
      houseNow = null;
      readings.forgetCached();
    },
    lot: lotById,
    lots: (): LotState[] => lotRows.all().map((row) => JSON.parse(row.state) as LotState),
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
    relations,
    runs,
    subjects,
    livePieces: (): ProjectedPiece[] => liveRows.all().map((row) => unpack(row, JSON.parse(row.lotState) as LotState)),
    /** All rows in one text, to compare a rebuilt table with the kept one. */
    dump(): { table: string; id: string; text: string }[] {
      const lots = db.prepare<[], { id: string; state: string; seq: number }>('SELECT * FROM lots ORDER BY id').all();
      const pieces = db.prepare<[], PieceRow>('SELECT * FROM pieces ORDER BY id').all();
      return [
        ...lots.map((row) => ({ table: 'lots', id: row.id, text: JSON.stringify(row) })),
        ...pieces.map((row) => ({ table: 'pieces', id: row.id, text: JSON.stringify(row) })),
        ...[...relations.tables, ...runs.tables].flatMap(([table, key]) =>
          db
            .prepare<[], { id: string }>(`SELECT ${key} AS id, * FROM ${table} ORDER BY 1`)
            .all()
            .map((row) => ({ table, id: String(row.id), text: JSON.stringify(row) }))
        ),
        ...subjects.dump()
      ];
    },
    /** Empties and rebuilds every projection from the record alone. */
    rebuild(now: number): void {
      // A clock set back must not make what is on record look as if it had not happened yet.
      const at = Math.max(now, record.head().recorded);
      db.transaction(() => {
        db.exec(
          `DELETE FROM pieces; DELETE FROM lots; DELETE FROM piece_places; ${subjects.emptied} ${[...relations.tables, ...runs.tables].map(([table]) => `DELETE FROM ${table};`).join(' ')}`
        );
        houseNow = null;
        const all = db
          .prepare<[], { subject: string }>('SELECT subject FROM events GROUP BY subject ORDER BY min(seq)')
          .all();
        for (const { subject } of all) if (subject.startsWith('lot:')) this.refold(subject, at);
        for (const { subject } of all) if (subject.startsWith('piece:')) this.refold(subject, at);
        for (const { subject } of all) subjects.refold(subject, at);
      })();
    }
  };
}

export type Projections = ReturnType<typeof openProjections>;
