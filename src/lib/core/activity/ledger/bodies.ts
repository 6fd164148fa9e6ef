import { z } from 'zod';
import { kind, second, type Kinds } from '../../record/kind.ts';
import { finite, tablet } from '../../record/values.ts';

/** What happens to the ledger itself. A shape is never edited once shipped: a new version is added and the old one upcast. */

export const daySigned = z.object({
  day: z.string(),
  headSeq: z.number().int(),
  headHash: z.string(),
  note: z.string(),
  /** The word of the house's seal on that head; null where there is no seal. */
  seal: z.string().nullable(),
  /** What vouches for each name of that day, by person: nobody finds a name from it. */
  people: z.record(z.string(), z.string())
});
const daySignedFrom1 = (body: unknown) => ({ ...(body as object), seal: null, people: {} });

export const backupMade = z.object({ headSeq: z.number().int(), headHash: z.string(), file: z.string() });

export const clockBehind = z.object({ behindSeconds: finite });

/** A clock far ahead of the last entry, which somebody looked at and found right. */
export const clockConfirmed = z.object({ aheadSeconds: finite, reason: z.string() });

/**
 * Entries that a clock far ahead dated, and when the first of them really was: all of them are read as that much earlier.
 *
 * fromSeq, toSeq: the first and the last of them; aheadMs: how far ahead the clock was.
 */
export const clockCorrected = z.object({
  fromSeq: z.number().int(),
  toSeq: z.number().int(),
  aheadMs: finite,
  reason: z.string()
});

/** Entries that were noted beside the record and are gone from it, and who said that it goes on without them. */
export const lossConfirmed = z.object({
  notedSeq: z.number().int(),
  notedHash: z.string(),
  foundSeq: z.number().int(),
  foundHash: z.string(),
  reason: z.string()
});

export const amended = z.object({
  amends: z.number().int(),
  void: z.boolean(),
  happened: finite.nullable(),
  patch: z.record(z.string(), z.unknown()),
  reason: z.string(),
  /** Routes whose window this amendment widened: such a one is an override, owned by who recorded it. */
  widens: z.array(z.string()),
  tablet
});

export const kinds = {
  'day.signed': second(daySigned, daySignedFrom1, false),
  'backup.made': kind(backupMade, false),
  'clock.behind': kind(clockBehind, false),
  'clock.confirmed': kind(clockConfirmed, false),
  'clock.corrected': kind(clockCorrected, false),
  'loss.confirmed': kind(lossConfirmed, false),
  'entry.amended': kind(amended)
} satisfies Kinds;
