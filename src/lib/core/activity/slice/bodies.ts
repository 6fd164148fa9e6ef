import { z } from 'zod';
import { kind, type Kinds } from '../../record/kind.ts';
import { finite, typedValue } from '../../record/values.ts';

/** What can happen under the slicing knife. A shape is never edited once shipped: a new version is added and the old one upcast. */

export const sliced = z.object({
  cut: z.enum(['straight', 'oblique']),
  length: typedValue,
  height: typedValue,
  width: typedValue,
  thickness: typedValue,
  angleDegrees: finite,
  pieces: z.number().int(),
  pieceGrams: finite,
  offcutGrams: finite
});

export const kinds = {
  'piece.sliced': kind(sliced)
} satisfies Kinds;
