import { EmberError } from '../../core/errors.ts';
import { evenness, handBias, type HandBias } from '../../core/bench/slice/evenness.ts';
import type { StyleId } from '../../core/activity/slice/lists.ts';
import type { Room } from '../room.ts';

/** Weighings that are looked at: of a few months. */
const MOST = 400;
const DAY = 86_400_000;
/** How far back a picture of a hand goes. */
const WEEKS = 12;

interface Weighing {
  readonly at: number;
  /** Whoever cut them. */
  readonly by: string;
  readonly style: StyleId;
  /** Of one slice each, in the order of cutting, g. */
  readonly weights: readonly number[];
  readonly aim: number;
  /** What they were cut for: less, where a hand is known to cut heavy. g */
  readonly cut: number;
}

/** Slices that were weighed, as their entries stand now, the newest first. */
function weighings(room: Room): Weighing[] {
  return room.store.record.list({ kind: 'slices.weighed', limit: MOST }).flatMap((event): Weighing[] => {
    if (event.kind !== 'slices.weighed') return [];
    const state = readState(room, event.subject.slice('piece:'.length));
    const stands = state?.weighed.find(({ seq }) => seq === event.seq);
    if (!state?.lifted || !stands) return [];
    const { weights, per, aimGrams: aim, cutGrams: cut, style } = stands;
    return [{ at: stands.at, by: state.lifted.by, style, weights: weights.map((grams) => grams / per), aim, cut }];
  });
}

/** How a person's hand is out, by cut, from all slices that were weighed after they cut them; none where nothing was. */
export function handOf(room: Room, person: string): Partial<Record<StyleId, HandBias>> {
  const own = weighings(room).filter(({ by }) => by === person);
  return Object.fromEntries(
    [...new Set(own.map(({ style }) => style))].flatMap((style) => {
      const sessions = own.filter((each) => each.style === style).map(({ weights, cut }) => ({ weights, aim: cut }));
      const bias = handBias(sessions);
      return bias ? [[style, bias]] : [];
    })
  );
}

/** One weighing in the picture of a hand. */
export interface HandMark {
  readonly at: number;
  readonly style: StyleId;
  readonly slices: number;
  /** How far the mean is off what was wanted, as a share of it; scatter, null for one slice; share of slices in tolerance. */
  readonly bias: number;
  readonly spread: number | null;
  readonly inTolerance: number;
}
export interface HandWeeks {
  readonly person: string;
  readonly marks: readonly HandMark[];
}

/** A mark a weighing for each person over the last weeks, the oldest first; whoever weighed most lately comes first. */
export function handWeeks(room: Room): { readonly from: number; readonly to: number; readonly hands: HandWeeks[] } {
  const to = room.clock.now();
  const from = to - WEEKS * 7 * DAY;
  const marks = new Map<string, HandMark[]>();
  for (const { at, by, style, weights, aim } of weighings(room)) {
    if (at < from) continue;
    const { bias, spread, inTolerance } = evenness(weights, aim);
    const mark = { at, style, slices: weights.length, bias, spread, inTolerance };
    marks.set(by, [mark, ...(marks.get(by) ?? [])]);
  }
  return { from, to, hands: [...marks].map(([person, all]) => ({ person, marks: all })) };
}

/** A piece as it stands; nothing where its making was undone, or where there is no such piece. */
function readState(room: Room, piece: string) {
  if (room.store.record.versionOf(`piece:${piece}`) === 0) return null;
  try {
    return room.store.projections.piece(piece).state;
  } catch (error) {
    if (error instanceof EmberError && error.code === 'record.not-found') return null;
    throw error;
  }
}
