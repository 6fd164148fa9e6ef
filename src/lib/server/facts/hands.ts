import { EmberError } from '../../core/errors.ts';
import { handBias, type HandBias, type Session } from '../../core/bench/slice/evenness.ts';
import type { StyleId } from '../../core/activity/slice/lists.ts';
import type { Room } from '../room.ts';

/** Weighings that are looked at: of a few months. */
const MOST = 400;

/** How a person's hand is out, by cut, from all slices that were weighed after they cut them; none where nothing was. */
export function handOf(room: Room, person: string): Partial<Record<StyleId, HandBias>> {
  const sessions = new Map<StyleId, Session[]>();
  for (const event of room.store.record.list({ kind: 'slices.weighed', limit: MOST })) {
    if (event.kind !== 'slices.weighed') continue;
    const piece = event.subject.slice('piece:'.length);
    if (room.store.record.versionOf(`piece:${piece}`) === 0) continue;
    const { state } = readState(room, piece);
    // Whoever cut them; and as the entry stands now, should it have been put right.
    if (state?.lifted?.by !== person) continue;
    const stands = state.weighed.find(({ seq }) => seq === event.seq);
    if (!stands) continue;
    const { weights, per, cutGrams, style } = stands;
    sessions.set(style, [
      ...(sessions.get(style) ?? []),
      { weights: weights.map((grams) => grams / per), aim: cutGrams }
    ]);
  }
  return Object.fromEntries(
    [...sessions].flatMap(([style, all]) => {
      const bias = handBias(all);
      return bias ? [[style, bias]] : [];
    })
  );
}

/** A piece as it stands; nothing where its making was undone. */
function readState(room: Room, piece: string) {
  try {
    return { state: room.store.projections.piece(piece).state };
  } catch (error) {
    if (error instanceof EmberError && error.code === 'record.not-found') return { state: null };
    throw error;
  }
}
