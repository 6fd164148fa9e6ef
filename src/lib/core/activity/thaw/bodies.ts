import { z } from 'zod';
import { PACKING_IDS, SHAPE_IDS } from '../freeze/bodies.ts';
import { kind, type Kinds } from '../../record/kind.ts';
import { finite, typedValue, pins, band } from '../../record/values.ts';

/** What can happen to a piece that thaws. A shape is never edited once shipped: a new version is added and the old one upcast. */

export const THAW_METHOD_IDS = ['cold', 'water'] as const;

/** Reduced-oxygen packed: no, or opened for the thaw, or left closed. */
export const PACK_STATES = ['none', 'opened', 'closed'] as const;

export const thawStarted = z.object({
  method: z.enum(THAW_METHOD_IDS),
  place: z.string(),
  medium: typedValue,
  packing: z.enum(PACKING_IDS),
  shape: z.enum(SHAPE_IDS),
  pack: z.enum(PACK_STATES),
  thickness: typedValue,
  startCore: typedValue,
  forecast: band.nullable(),
  /** By the forecast the surface is above the limit of ready-to-eat fish from then on, s after the start; null: never. */
  surfaceWarmFrom: finite.nullable(),
  grams: finite,
  pins
});

/** What it spent above the cold-holding limit counts against the budget of warm hours, s. */
export const thawEnded = z.object({
  core: typedValue.nullable(),
  warmSeconds: finite,
  drip: finite.nullable(),
  note: z.string()
});

export const kinds = {
  'thaw.started': kind(thawStarted),
  'thaw.ended': kind(thawEnded)
} satisfies Kinds;
