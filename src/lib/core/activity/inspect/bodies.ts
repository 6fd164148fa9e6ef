import { z } from 'zod';
import { DECISIONS } from '../receive/bodies.ts';
import { SHEET_IDS } from '../../inspect/sheets.ts';
import { kind, type Kinds } from '../../record/kind.ts';
import { finite, pins } from '../../record/values.ts';

/** What can be decided of a lot by looking at it, and what somebody answers for. A shape is never edited once shipped: a new version is added and the old one upcast. */

export const lotInspected = z.object({
  sheet: z.enum(SHEET_IDS),
  version: z.string(),
  answers: z.record(z.string(), z.number().int().nullable()),
  points: finite,
  most: finite,
  iceDays: z.object({ low: finite, likely: finite, high: finite }),
  recommended: z.enum(DECISIONS),
  decision: z.enum(DECISIONS),
  reason: z.string(),
  /** Set where the decision is looser than the one before: such a one is owned by who recorded it. */
  owned: z.boolean(),
  note: z.string(),
  pins
});

export const lotIdentified = z.object({
  species: z.string(),
  candidates: z.array(z.string()),
  marks: z.array(z.string()),
  note: z.string()
});

/** A person answers for what the rule book holds back. */
export const exceptionOwned = z.object({
  /** Code of the finding that is answered. */
  code: z.string(),
  routes: z.array(z.enum(['raw', 'cured', 'acid', 'seared', 'cooked'])),
  reason: z.string(),
  /** Ms; null without an end. */
  until: finite.nullable(),
  pins
});

export const exceptionWithdrawn = z.object({ exception: z.number().int(), reason: z.string() });

export const kinds = {
  'lot.inspected': kind(lotInspected),
  'lot.identified': kind(lotIdentified),
  'exception.owned': kind(exceptionOwned, false),
  'exception.withdrawn': kind(exceptionWithdrawn, false)
} satisfies Kinds;
