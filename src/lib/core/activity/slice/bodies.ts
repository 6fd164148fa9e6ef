import { z } from 'zod';
import { kind, type Kinds } from '../../record/kind.ts';
import { recorded } from '../../record/recorded.ts';
import { finite } from '../../record/values.ts';
import { sliceSet } from './plan.ts';

/** What can happen under the slicing knife. A shape is never edited once shipped: a new version is added and the old one upcast. */

const { angle: _, ...told } = recorded(sliceSet).shape;

export const sliced = z.object({
  ...told,
  angleDegrees: finite,
  pieces: z.number().int(),
  pieceGrams: finite,
  offcutGrams: finite
});

export const kinds = {
  'piece.sliced': kind(sliced)
} satisfies Kinds;
