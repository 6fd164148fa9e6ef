import { z } from 'zod';
import { kind, second, third, type Kinds } from '../../record/kind.ts';
import { finite, typedValue, pins, band } from '../../record/values.ts';

/** What can happen to a piece in a freezer. A shape is never edited once shipped: a new version is added and the old one upcast. */

export const AIR_CLASS_IDS = ['still', 'fan', 'blast', 'plate', 'bath'] as const;

export const PACKING_IDS = ['bare', 'film', 'boxed'] as const;

export const SHAPE_IDS = ['slab', 'cylinder', 'sphere'] as const;

/** How a load lies: each alone with air round it, on each other in one block, or nobody said. */
export const LIE_IDS = ['apart', 'stacked', 'unknown'] as const;

export const freezeStarted = z.object({
  place: z.string(),
  air: typedValue,
  airClass: z.enum(AIR_CLASS_IDS),
  packing: z.enum(PACKING_IDS),
  thickness: typedValue,
  startCore: typedValue,
  cycle: z.string(),
  coreArrival: band.nullable(),
  shape: z.enum(SHAPE_IDS),
  /** The probe of a logger that stands in the core of this load; an empty text for none. */
  coreSensor: z.string(),
  /** Everything that went in together, g. */
  loadGrams: finite.nullable(),
  lie: z.enum(LIE_IDS),
  /** How many were reckoned to lie on each other. */
  stack: z.number().int().min(1).max(40),
  pins
});

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
  'freeze.started': third(freezeStarted, freezeStartedFrom1, freezeStartedFrom2),
  'freeze.read': kind(freezeRead),
  'freeze.replanned': kind(freezeReplanned),
  'freeze.ended': second(freezeEnded, freezeEndedFrom1)
} satisfies Kinds;
