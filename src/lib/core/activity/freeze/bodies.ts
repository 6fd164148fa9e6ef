import { z } from 'zod';
import { freezeSet } from './plan.ts';
import { grown, kind, second, type Kinds } from '../../record/kind.ts';
import { recorded } from '../../record/recorded.ts';
import { finite, typedValue, pins, band } from '../../record/values.ts';

/** What can happen to a piece in a freezer. A shape is never edited once shipped: a new version is added and the old one upcast. */

export const freezeStarted = z.object({
  ...recorded(freezeSet).shape,
  /** How many were reckoned to lie on each other. */
  stack: z.number().int().min(1).max(40),
  coreArrival: band.nullable(),
  /** Everything that went in together, g. */
  loadGrams: finite.nullable(),
  pins
});

/** Version 3 is this one with its fields in another order; each was spelled by hand. */
export const freezeStartedFrom3 = (body: unknown) => body;

/** Version 2 did not ask how they lie: reckoned as each alone. */
export const freezeStartedFrom2 = (body: unknown) => ({ lie: 'unknown', stack: 1, ...(body as object) });

export const freezeStartedFrom1 = (body: unknown) => ({
  shape: 'slab',
  coreSensor: '',
  loadGrams: null,
  ...(body as object)
});

export const freezeRead = z.object({ reading: typedValue, probe: z.enum(['core', 'air']) });

/** The forecast made anew with the air as it was read: from here the slow bound is this one. */
export const freezeReplanned = z.object({ air: typedValue, coreArrival: band.nullable(), cause: z.string(), pins });

/** What the readings proved at the release, by the clock and the accuracy that counted then. */
export const release = z.object({
  cycle: z.string(),
  clock: z.enum(['air', 'core']),
  accuracy: z.enum(['plain', 'strict']),
  satisfiedAt: finite.nullable(),
  heldSeconds: finite,
  gaps: z.number().int(),
  excursions: z.number().int(),
  /** Loggers it leaned on, and how many of their readings. */
  sensors: z.array(z.object({ sensor: z.string(), readings: z.number().int() }))
});

export const freezeEnded = z.object({ note: z.string(), place: z.string(), release: release.nullable() });

export const freezeEndedFrom1 = (body: unknown) => ({ place: '', release: null, ...(body as object) });

export const kinds = {
  'freeze.started': grown(freezeStarted, [freezeStartedFrom1, freezeStartedFrom2, freezeStartedFrom3]),
  'freeze.read': kind(freezeRead),
  'freeze.replanned': kind(freezeReplanned),
  'freeze.ended': second(freezeEnded, freezeEndedFrom1)
} satisfies Kinds;
