import { stateAt, type WindowState } from '../../core/codes/window.ts';
import { EmberError } from '../../core/errors.ts';
import {
  hindranceOf,
  mayBegin,
  occupantsOf,
  STEP_IDS,
  type Hindrance,
  type Step
} from '../../core/record/occupation.ts';
import { isFrozen } from '../../core/record/frozen.ts';
import { stageOf } from '../../core/service/stage.ts';
import type { Room } from '../room.ts';

/** What can be served soonest, and shuts soonest, comes first. */
const RAW_ORDER: readonly WindowState[] = ['ebbing', 'open', 'locked', 'not-cleared', 'closed', 'never'];

/** Pieces to pick from at a bench: everything in the house, its raw window with it, those whose window is open first. */
export function pieceChoices(room: Room) {
  const now = room.clock.now();
  const warn = room.store.projections.currentHouse().warnMinutes * 60;
  return room.store.projections
    .livePieces()
    .map(({ state, lot, windows }) => ({
      id: state.id,
      name: state.made.name,
      species: lot.received.species,
      supplier: lot.received.supplier,
      form: state.made.form,
      grams: state.grams,
      thicknessMm: state.made.thicknessMm,
      seq: state.lastSeq,
      raw: stateAt(
        windows.find(({ route }) => route === 'raw')!,
        now,
        warn
      ),
      isFrozen: isFrozen(state, lot),
      in: occupantsOf(state),
      may: STEP_IDS.filter((step) => mayBegin(state, step)),
      depth: state.depth,
      place: state.stays.at(-1)?.to === null ? state.stays.at(-1)!.place : '',
      stage: stageOf(state, lot)
    }))
    .sort((a, b) => RAW_ORDER.indexOf(a.raw) - RAW_ORDER.indexOf(b.raw));
}
/** Pieces that a bench does not take, by what keeps them from it: a line, and no list. */
export interface LeftOut {
  readonly why: Hindrance | null;
  readonly count: number;
}
/** A piece that was asked for at a bench that cannot take it. */
export interface AwayPiece {
  readonly id: string;
  readonly name: string;
  /** What keeps each of the steps of the bench from beginning; null where its form alone does. */
  readonly why: Hindrance | null;
}

/**
 * What lies on a bench: the pieces it can take, and the one that was asked for. Asked for a piece it cannot take, no other takes
 * its place.
 *
 * @param asked by its id; the first of them where none was
 * @param step what the bench begins with
 */
export function atBench<Choice extends Pick<PieceChoice, 'id'>>(
  room: Room,
  asked: string | null,
  step: Step,
  pieces: readonly Choice[]
): { readonly chosen: string | null; readonly away: AwayPiece | null; readonly left: readonly LeftOut[] } {
  const left = leftOut(room, step, pieces);
  return { ...chosenOf(room, asked, step, pieces), left };
}

function leftOut(room: Room, step: Step, pieces: readonly Pick<PieceChoice, 'id'>[]): LeftOut[] {
  const here = new Set(pieces.map(({ id }) => id));
  const found = new Map<string, { why: Hindrance | null; count: number }>();
  for (const { state } of room.store.projections.livePieces()) {
    if (here.has(state.id)) continue;
    const why = hindranceOf(state, step);
    const key = why ? JSON.stringify(why) : '';
    found.set(key, { why, count: (found.get(key)?.count ?? 0) + 1 });
  }
  return [...found.values()].sort((a, b) => b.count - a.count);
}

function chosenOf<Choice extends Pick<PieceChoice, 'id'>>(
  room: Room,
  asked: string | null,
  step: Step,
  pieces: readonly Choice[]
): { readonly chosen: string | null; readonly away: AwayPiece | null } {
  const id = asked ?? pieces[0]?.id ?? null;
  if (id === null || pieces.some((piece) => piece.id === id)) return { chosen: id, away: null };
  if (room.store.record.versionOf(`piece:${id}`) === 0) return { chosen: null, away: null };
  try {
    const { state } = room.store.projections.piece(id);
    return { chosen: null, away: { id, name: state.made.name, why: hindranceOf(state, step) } };
  } catch (error) {
    // Its making was undone: there is no such piece.
    if (error instanceof EmberError && error.code === 'record.not-found') return { chosen: null, away: null };
    throw error;
  }
}

export type PieceChoice = ReturnType<typeof pieceChoices>[number];
