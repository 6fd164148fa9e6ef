import { evenDepth, fullProfile } from '../core/bench/breakdown/depth.ts';
import { EmberError } from '../core/errors.ts';
import type { Typed } from '../core/measure/parse.ts';
import type { z } from 'zod';
import type { App } from './app.ts';
import { costOfPiece, costsOf } from './costs.ts';
import { depthPoints, type depthFields } from './operations/pieces.ts';

/** The depth of a piece as typed so far, and what an even cure would take; in grams, and in money where it is known. */
export function depthPreview(app: App, input: z.infer<typeof depthFields> & { wanted: Typed | null }) {
  const { state, lot } = app.store.projections.piece(input.piece);
  const profile = depthPoints(input);
  if (profile.points.length < 2) throw new EmberError('form.incomplete', { field: 'points' });
  const sorted = profile.points.map(({ mm }) => mm).sort((a, b) => a - b);
  // Where nobody says what depth is wanted: that of the middle, which costs the least on both ends.
  const wanted = input.wanted?.si ?? sorted[Math.floor(sorted.length / 2)]!;
  const even = evenDepth(profile, Math.max(1, state.grams), wanted);
  const perGram = costOfPiece(costsOf(app, lot.id), state.id)?.perGram ?? null;
  return {
    wanted,
    points: fullProfile(profile),
    lengthMm: profile.lengthMm,
    grams: state.grams,
    ...even,
    trimCents: perGram === null ? null : Math.round(perGram * even.trim.grams)
  };
}
export type DepthPreview = ReturnType<typeof depthPreview>;
