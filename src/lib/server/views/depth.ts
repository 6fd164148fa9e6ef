import { planDepth } from '../../core/bench/breakdown/depth.ts';
import type { Typed } from '../../core/measure/parse.ts';
import type { z } from 'zod';
import type { Room } from '../room.ts';
import { costOfPiece, costsOf } from '../facts/costs.ts';
import { depthPoints, type depthFields } from '../plans/depth.ts';

/** The depth of a piece as typed so far, and what an even cure would take; in grams, and in money where it is known. */
export function depthPreview(room: Room, input: z.infer<typeof depthFields> & { wanted: Typed | null }) {
  const { state, lot } = room.store.projections.piece(input.piece);
  const plan = planDepth(depthPoints(input), Math.max(1, state.grams), input.wanted?.si ?? null);
  const perGram = costOfPiece(costsOf(room, lot.id), state.id)?.perGram ?? null;
  return { ...plan, trimCents: perGram === null ? null : Math.round(perGram * plan.trim.grams) };
}
