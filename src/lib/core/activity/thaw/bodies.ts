import { z } from 'zod';
import { recorded } from '../../record/recorded.ts';
import { thawSet } from './plan.ts';
import { kind, type Kinds } from '../../record/kind.ts';
import { finite, typedValue, pins, band } from '../../record/values.ts';

/** What can happen to a piece that thaws. A shape is never edited once shipped: a new version is added and the old one upcast. */

export const thawStarted = z.object({
  ...recorded(thawSet).shape,
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
