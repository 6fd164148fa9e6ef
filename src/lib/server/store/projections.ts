import { BUCKET_MS } from '../../core/log/holding.ts';
import { EmberError } from '../../core/errors.ts';
import { indexAt } from '../../core/log/series.ts';
import { foldHouse, type HouseState } from '../../core/record/house.ts';
import type { HouseSettings } from '../../core/activity/house/fold.ts';
import { canonical } from '../../core/record/canonical.ts';
import { foldLot } from '../../core/record/lot.ts';
import { subjectId } from '../../core/record/view.ts';
import { pieceClock } from '../../core/rules/piece-clock.ts';
import { foldLineages, judge, type JudgeInput } from '../../core/rules/verdict.ts';
import { massFlow } from '../../core/bench/breakdown/mass.ts';
import type { EventKind, RecordEvent } from '../../core/record/events.ts';
import type { Db } from './open.ts';
import { staysOf } from '../../core/rules/stays.ts';
import { openLineages } from './lineages.ts';
import { openOwed } from './owed.ts';
import { openLogs, type Logs } from './logs.ts';
import {
  dumpOf,
  projectionReader,
  projectionStatements,
  type PieceRow,
  type ProjectionStatements
} from './piece-rows.ts';
import type { Readings } from './readings.ts';
import type { RecordStore } from './record.ts';
import { openSubjects } from './subjects.ts';
import { flowRowOf, openRelations, type Relations } from './relations.ts';
import { openRuns } from './runs/index.ts';

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
  'sauce.noted',
  'dish.set',
  'dish.noted',
  'dish.off',
  'party.set',
  'party.sent',
  'learning.set',
  'rack.set',
  'knife.set',
  'knife.sharpened',
  'style.set',
  'cut.set',
  'sauce.set',
  'service.set'
];

/** Settings that are for the eye alone. */
const FOR_THE_EYE = ['name', 'units', 'currency', 'warnMinutes'] as const satisfies readonly (keyof HouseSettings)[];

/** Whether two states of a house that differ by its settings alone give the same windows. */
function judgesAlike(before: HouseState, after: HouseState): boolean {
  const judging = ({ lastSeq: _, ...house }: HouseState) =>
    canonical({ ...house, ...Object.fromEntries(FOR_THE_EYE.map((key) => [key, null])) });
  return judging(before) === judging(after);
}

/** The row of a piece: its state, its windows and its clock as they are judged at a moment, and its weights. */
function rowOf(inputs: readonly [JudgeInput, ...JudgeInput[]], events: readonly RecordEvent[], at: number): PieceRow {
  const [{ lot, chain }] = inputs;
  const piece = chain.at(-1)!;
  // What is gone is not told of readings any more: no window of it opens or closes by them.
  const judged = piece.gone ? inputs.map((input) => ({ ...input, logs: undefined })) : inputs;
  const { windows, reasons } = judge(judged);
  // What is missing for a route that is shut for ever is nobody's errand.
  const hopeful = new Set(windows.filter((window) => !window.never).map((window) => window.route));
  const missing = reasons
    .filter(({ effect, routes }) => effect.kind === 'missing' && routes.some((route) => hopeful.has(route)))
    .map(({ code }) => code);
  return {
    id: piece.id,
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
      flowRowOf(piece, massFlow(events, at, piece.gone?.how === 'returned' ? piece.gone.stamp.at : null)?.moves ?? [])
    )
  };
}

/** Places a piece and what it came from lay in, each with the moment the last of it was over there; Infinity while it lasts. */
function placesOf(inputs: readonly JudgeInput[]): Map<string, number> {
  const out = new Map<string, number>();
  const add = (place: string, to: number) => out.set(place, Math.max(out.get(place) ?? -Infinity, to));
  for (const { chain } of inputs) {
    for (const { place, to } of staysOf(chain)) add(place, to ?? Infinity);
    for (const { plan, ended } of chain.flatMap(({ freezes }) => freezes)) {
      if (out.has(plan.place)) add(plan.place, ended?.at ?? Infinity);
    }
  }
  return out;
}

/**
 * A reading moves what is said of the time since the one before it, and of the few hours that are told as one with that: what had
 * left its place before them is not touched. ms
 */
const TOUCHES_MS = 2 * BUCKET_MS;

/** Writes the rows of lots and pieces: folded, judged, and tied to what they came from. */
function projector({
  statements,
  relations,
  runs,
  ways,
  judgedBy
}: {
  readonly statements: ProjectionStatements;
  readonly relations: Relations;
  readonly runs: ReturnType<typeof openRuns>;
  readonly ways: ReturnType<typeof openLineages>;
  readonly judgedBy: (at: number) => Parameters<typeof foldLineages>[1];
}) {
  const { putLot, putPiece, putPlace, dropPlaces, dropLot, dropPiece } = statements;
  const { reading, lineages } = ways;

  function projectPiece(id: string, at: number, eventsOf = reading()): void {
    try {
      const lines = lineages(id, eventsOf);
      // What a piece is tied to is known even while it, or its lot, is voided: who brings it back finds it by that.
      relations.put(id, lines);
      const inputs = foldLineages(lines, judgedBy(at));
      const [{ lot, chain }] = inputs;
      dropPlaces.run(id);
      for (const [place, until] of placesOf(inputs)) putPlace.run(place, id, until === Infinity ? null : until);
      const piece = chain.at(-1)!;
      putPiece.run(rowOf(inputs, eventsOf(`piece:${id}`), at));
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

  function projectPieces(ids: Iterable<string>, at: number): void {
    const eventsOf = reading();
    for (const id of ids) projectPiece(id, at, eventsOf);
  }

  return { projectPieces, projectFamily, projectLot };
}

/** From when on a stay may be touched by news of its place: the last that was heard of it before them stands until they came. */
function touchedSince(logs: Logs, place: string, at: number, since: number): number {
  if (since === -Infinity) return since;
  const series = logs.book(at, at).place(place)?.series;
  const before = series ? indexAt(series, since) - 1 : -1;
  return before < 0 ? -Infinity : series!.at[before]! - TOUCHES_MS;
}

/** The house as it is known now, folded once until something is said of it; as it was at another moment, anew. */
function keptHouse(record: RecordStore) {
  let now: HouseState | null = null;
  const currentHouse = (): HouseState => (now ??= foldHouse(record.eventsOf('house')));
  return {
    currentHouse,
    house: (at = Infinity, knownAt = Infinity): HouseState =>
      at === Infinity && knownAt >= record.head().recorded
        ? currentHouse()
        : foldHouse(record.eventsOf('house'), { at, knownAt }),
    /** @returns what was kept */
    forget(): HouseState | null {
      const before = now;
      now = null;
      return before;
    }
  };
}

/** Lots and pieces as screens read them, kept in step by refolding whatever subject an event touched. */
export function openProjections(db: Db, record: RecordStore, readings: Readings) {
  const statements = projectionStatements(db);
  const { inPlace, allPieces } = statements;
  const relations = openRelations(db);
  const runs = openRuns(db);
  const subjects = openSubjects(db, record);
  const reader = projectionReader(db, statements, relations);
  const ways = openLineages(record);
  const { lineages } = ways;
  const kept = keptHouse(record);
  const { currentHouse } = kept;
  const logs = openLogs(record, readings, currentHouse);

  const { projectPieces, projectFamily, projectLot } = projector({
    statements,
    relations,
    runs,
    ways,
    judgedBy: (at) => ({ house: currentHouse(), at, knownAt: at, logs: logs.book(at, at) })
  });

  const piecesThatAre = (here: 0 | 1) => allPieces.all().flatMap(({ id, live }) => (live === here ? [id] : []));
  const owed = openOwed(db, projectPieces, () => piecesThatAre(0));

  return {
    house: kept.house,
    currentHouse,
    lineages: (pieceId: string) => lineages(pieceId),
    /**
     * Brings every projection that a subject feeds into step. Call inside the transaction that appended to it.
     *
     * @param told the new entries of the subject; all that stems from it is done anew where they are left out
     */
    refold(subject: string, at: number, told: readonly NewEntry[] | null = null): void {
      if (subject === 'house') {
        const before = kept.forget();
        if (told?.every(({ kind }) => NO_VERDICT.includes(kind))) return;
        if (before && told?.every(({ kind }) => kind === 'house.set') && judgesAlike(before, currentHouse())) return;
        projectPieces(piecesThatAre(1), at);
        owed.put(piecesThatAre(0), at);
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
    piecesIn: (place: string): string[] => inPlace.all(place, -Infinity).map(({ piece }) => piece),
    /**
     * Judges anew whatever lay in these places: a sensor spoke of them. Call inside the transaction that kept its readings.
     *
     * @param since the earliest moment that anything new is said of, ms
     */
    rejudgeIn(places: readonly string[], at: number, since = -Infinity): void {
      const told = places.flatMap((place) =>
        inPlace.all(place, touchedSince(logs, place, at, since)).map(({ piece }) => piece)
      );
      projectPieces(new Set(told), at);
    },
    /** A rolled-back transaction may have left a house, or readings, behind that never were. */
    forgetCached(): void {
      kept.forget();
      readings.forgetCached();
      logs.forgetCached();
      owed.afterRollback();
    },
    ...settled(reader, owed),
    /** Judges now what is gone and waits for it. */
    settle: () => owed.settle(),
    offer: () => owed.offer(),
    relations,
    runs,
    subjects,
    /** All rows in one text, to compare a rebuilt table with the kept one. */
    dump(): ReturnType<typeof dumpOf> {
      owed.settle();
      return [...dumpOf(db, [...relations.tables, ...runs.tables]), ...subjects.dump()];
    },
    /** Empties and rebuilds every projection from the record alone. */
    rebuild(now: number): void {
      // A clock set back must not make what is on record look as if it had not happened yet.
      const at = Math.max(now, record.head().recorded);
      owed.clear();
      db.transaction(() => {
        db.exec(
          `DELETE FROM pieces; DELETE FROM lots; DELETE FROM piece_places; ${subjects.emptied} ${[...relations.tables, ...runs.tables].map(([table]) => `DELETE FROM ${table};`).join(' ')}`
        );
        kept.forget();
        const all = subjectsOf(db);
        for (const subject of all) if (subject.startsWith('lot:')) this.refold(subject, at);
        for (const subject of all) if (subject.startsWith('piece:')) this.refold(subject, at);
        for (const subject of all) subjects.refold(subject, at);
      })();
    }
  };
}

/** Every subject there is, in the order in which they came. */
const subjectsOf = (db: Db): string[] =>
  db
    .prepare<[], { subject: string }>('SELECT subject FROM events GROUP BY subject ORDER BY min(seq)')
    .all()
    .map(({ subject }) => subject);

/** What is read of a piece that is gone has been judged by the rules of now. */
const settled = (reader: ReturnType<typeof projectionReader>, owed: ReturnType<typeof openOwed>) => ({
  ...reader,
  piece(id: string) {
    if (owed.has(id)) owed.offer();
    return reader.piece(id);
  },
  piecesOfLot(lot: string) {
    owed.offer();
    return reader.piecesOfLot(lot);
  }
});

export type Projections = ReturnType<typeof openProjections>;
