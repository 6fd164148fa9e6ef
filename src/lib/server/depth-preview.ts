import { planDepth } from '../core/bench/breakdown/depth.ts';
import type { Typed } from '../core/measure/parse.ts';
import type { z } from 'zod';
import type { App } from './app.ts';
import { costOfPiece, costsOf } from './costs.ts';
import { depthPoints, type depthFields } from './operations/pieces.ts';

/** The depth of a piece as typed so far, and what an even cure would take; in grams, and in money where it is known. */
export function depthPreview(app: App, input: z.infer<typeof depthFields> & { wanted: Typed | null }) {
  const { state, lot } = app.store.projections.piece(input.piece);
  const plan = planDepth(depthPoints(input), Math.max(1, state.grams), input.wanted?.si ?? null);
  const perGram = costOfPiece(costsOf(app, lot.id), state.id)?.perGram ?? null;
  return { ...plan, trimCents: perGram === null ? null : Math.round(perGram * plan.trim.grams) };
}
