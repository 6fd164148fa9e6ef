import { z } from 'zod';
import { toldBesides } from '../cure/bodies.ts';
import { kind, second, type Kinds } from '../../record/kind.ts';
import { finite, typedValue, pins, tablet } from '../../record/values.ts';

/** What can happen at service: a tray out of the cold, a plate, the bin. A shape is never edited once shipped: a new version is added and the old one upcast. */

export const holdStarted = z.object({
  control: z.enum(['4h', '6h']),
  label: z.string(),
  startCore: typedValue,
  discardAt: finite,
  pins,
  tablet
});

export const holdRead = z.object({ reading: typedValue });

export const served = z.object({
  mass: typedValue,
  dish: z.string(),
  route: z.string(),
  /** Declared with it, and the notice that stood on the card. */
  allergens: z.array(z.string()),
  ...toldBesides,
  notice: z.string(),
  pins,
  tablet
});

export const servedFrom1 = (body: unknown) => ({ allergens: [], notice: '', ...(body as object) });

export const discarded = z.object({ reason: z.string(), mass: typedValue.nullable(), tablet });

export const kinds = {
  'hold.started': kind(holdStarted),
  'hold.read': kind(holdRead),
  'piece.served': second(served, servedFrom1),
  'piece.discarded': kind(discarded)
} satisfies Kinds;
