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

/**
 * It lay out of the cold to be cut to order, and went back: so long by the house's usual time, ms. A plate that is taken back was cut
 * all the same: what was spent stays spent.
 */
export const benched = z.object({ ms: finite, dish: z.string(), tablet });

export const servedFrom1 = (body: unknown) => ({ allergens: [], notice: '', ...(body as object) });

export const discarded = z.object({ reason: z.string(), mass: typedValue.nullable(), tablet });

/** What one seat of a party does not have. */
export const partySeat = z.object({
  /** Allergens by name. */
  avoid: z.array(z.string().max(40)).max(20),
  noRaw: z.boolean(),
  /** Species by id. */
  dislikes: z.array(z.string().max(60)).max(12)
});
/** A party that the cook chooses for: its courses in order, its seats, and its pace; written anew with each change. */
export const partySet = z.object({
  id: z.string(),
  name: z.string(),
  /** When the first course is to go, ms; and minutes from one to the next. */
  at: finite,
  paceMinutes: finite,
  /** Dishes of the book, in the order they are eaten. */
  courses: z.array(z.string().max(60)).min(1).max(24),
  seats: z.array(partySeat).min(1).max(40),
  /** It has eaten, or went home. */
  closed: z.boolean()
});
/** A course that went out: what each seat had; nothing at a seat that nothing suited. */
export const partySent = z.object({
  id: z.string(),
  name: z.string(),
  course: z.number().int(),
  dish: z.string(),
  seats: z.array(z.string().max(60).nullable()),
  tablet
});

export const kinds = {
  'hold.started': kind(holdStarted),
  'hold.read': kind(holdRead),
  'piece.benched': kind(benched, false),
  'piece.served': second(served, servedFrom1),
  'piece.discarded': kind(discarded),
  'party.set': kind(partySet, false),
  'party.sent': kind(partySent, false)
} satisfies Kinds;
