import { z } from 'zod';
import { linkedLine } from '../../ingredients/ingredient.ts';
import { kind, type Kinds } from '../../record/kind.ts';
import { finite, pins, typedValue } from '../../record/values.ts';

/** What can happen to a tub of dressed rice. A shape is never edited once shipped: a new version is added and the old one upcast. */

/** Dressed: from here its clock runs. Its end is written down with it, and nothing later moves it back. */
export const tubMade = z.object({
  name: z.string(),
  /** Dressed rice in it; null where nobody weighed it. */
  mass: typedValue.nullable(),
  place: z.string(),
  /** What its dressing is made of; empty where nobody said. */
  dressing: z.array(linkedLine),
  /** When it is to be binned, ms. */
  discardAt: finite,
  note: z.string(),
  pins
});
export const tubRead = z.object({ reading: typedValue, note: z.string() });
export const tubBinned = z.object({ mass: typedValue.nullable(), reason: z.string() });

export const kinds = {
  'tub.made': kind(tubMade, false),
  'tub.read': kind(tubRead),
  'tub.binned': kind(tubBinned, false)
} satisfies Kinds;
