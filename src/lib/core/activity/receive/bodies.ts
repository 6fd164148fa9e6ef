import { z } from 'zod';
import { KILLINGS } from '../../fish/rigor.ts';
import { kind, third, type Kinds } from '../../record/kind.ts';
import { finite, typedValue, pins } from '../../record/values.ts';

/** What can happen to a lot at the door, and when it goes back. A shape is never edited once shipped: a new version is added and the old one upcast. */

export const FORMS = [
  'whole',
  'gutted',
  'fillet',
  'loin',
  'block',
  'shucked',
  'shell-on',
  'live',
  'roe',
  'portion'
] as const;

export const DECISIONS = ['accept', 'cooked-only', 'hold-freeze', 'send-back'] as const;

export const GEARS = [
  'unknown',
  'pole-or-handline',
  'longline',
  'gillnet',
  'trawl',
  'seine',
  'pot',
  'dredge',
  'by-hand',
  'farm-harvest'
] as const;

export const PRICE_UNITS = ['kg', 'lb', 'piece', 'case'] as const;

export const ICE = ['unknown', 'plenty', 'some', 'none', 'slurry'] as const;

export const PURPOSES = ['sale', 'own-table', 'training'] as const;

export const THREE = ['yes', 'no', 'unknown'] as const;

/** Round it when it came: open to the air, or packed without oxygen (a bag with the air pressed out counts). */
export const ARRIVAL_PACKS = ['unknown', 'none', 'closed'] as const;

/** The species of a lot that nobody could tell: judged as the worst of its candidates. */
export const UNIDENTIFIED = 'unidentified';

export const FARM_SYSTEMS = ['net-pen-open-water', 'land-based', 'pond', 'other'] as const;

export const lotReceived = z.object({
  code: z.string(),
  species: z.string(),
  /** What it may be, where the species is not settled. */
  candidates: z.array(z.string()),
  form: z.enum(FORMS),
  source: z.enum(['wild', 'farmed', 'unknown']),
  farmSystem: z.enum(FARM_SYSTEMS).nullable(),
  water: z.enum(['sea', 'fresh', 'brackish', 'unknown']),
  area: z.string(),
  /** FAO Major Fishing Area, or an empty text. */
  faoArea: z.string(),
  supplier: z.string(),
  supplierLot: z.string(),
  commercial: z.enum(THREE),
  purpose: z.enum(PURPOSES),
  /** Day, or day and hour, of catch or harvest. */
  caughtOn: z.string().nullable(),
  landedOn: z.string().nullable(),
  gear: z.enum(GEARS),
  killing: z.enum(KILLINGS),
  mass: typedValue,
  count: z.number().int().nullable(),
  cases: z.number().int().nullable(),
  thickness: typedValue.nullable(),
  core: typedValue.nullable(),
  /** Air round what came alive: of the truck or the crate. */
  air: typedValue.nullable(),
  pack: z.enum(ARRIVAL_PACKS),
  /** A time-temperature indicator on that pack, unchanged. */
  packIndicator: z.enum(THREE),
  ice: z.enum(ICE),
  /** It arrived frozen. */
  frozen: z.boolean(),
  /** It had been frozen and was thawed before it came. */
  previouslyFrozen: z.enum(THREE),
  /** Eggs taken out of the skein and rinsed. */
  roeRinsed: z.boolean(),
  price: z.object({ amount: finite, per: z.enum(PRICE_UNITS) }).nullable(),
  pricePerKg: finite.nullable(),
  currency: z.string(),
  claim: z.string(),
  decision: z.enum(DECISIONS),
  reason: z.string(),
  /** The delivery it came with; an empty text for none. */
  delivery: z.string(),
  pins
});

export const CREDITS = ['none', 'asked', 'agreed', 'refused'] as const;

/** A lot carried away by whoever brought it: the weight they took, who, and what was asked of them for it. */
export const lotReturned = z.object({
  mass: typedValue,
  to: z.string(),
  credit: z.enum(CREDITS),
  /** Money asked for, or agreed; null where nobody said. */
  amount: finite.nullable(),
  currency: z.string(),
  reason: z.string(),
  note: z.string()
});

/** Version 1 knew none of these. */
export const lotReceivedFrom1 = (body: unknown) => {
  const old = body as { pricePerKg: number | null };
  return {
    candidates: [],
    faoArea: '',
    purpose: 'sale',
    landedOn: null,
    gear: 'unknown',
    killing: 'unknown',
    count: null,
    cases: null,
    ice: 'unknown',
    previouslyFrozen: 'unknown',
    roeRinsed: false,
    price: old.pricePerKg === null ? null : { amount: old.pricePerKg, per: 'kg' },
    delivery: '',
    ...old
  };
};

/** Version 2 asked neither for the air round live goods nor for the pack. */
export const lotReceivedFrom2 = (body: unknown) => ({
  air: null,
  pack: 'unknown',
  packIndicator: 'unknown',
  ...(body as object)
});

export const deliveryOpened = z.object({
  code: z.string(),
  supplier: z.string(),
  reference: z.string(),
  vehicle: typedValue.nullable(),
  note: z.string()
});

export const deliveryClosed = z.object({ note: z.string(), lots: z.number().int() });

/** What a file of a delivery note brought, and how its columns were read. */
export const noteImported = z.object({
  file: z.string(),
  contentHash: z.string(),
  columns: z.record(z.string(), z.string()),
  delimiter: z.string(),
  decimal: z.string(),
  imported: z.number().int(),
  refused: z.array(z.object({ row: z.number().int(), codes: z.array(z.string()) })),
  lots: z.array(z.string())
});

export const kinds = {
  'lot.received': third(lotReceived, lotReceivedFrom1, lotReceivedFrom2),
  'lot.returned': kind(lotReturned),
  'delivery.opened': kind(deliveryOpened),
  'delivery.closed': kind(deliveryClosed, false),
  'note.imported': kind(noteImported, false)
} satisfies Kinds;
