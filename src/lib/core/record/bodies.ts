import { z } from 'zod';

/** The shapes of what can happen. A shape is never edited once shipped: a new version is added and the old one upcast. */

const finite = z.number().finite();
export const typedValue = z.object({ si: finite, unit: z.string(), typed: z.string() });

/** Versions of everything a decision leaned on. */
export const pins = z.object({ profile: z.string(), catalogue: z.string(), model: z.string() });

export const FORMS = ['whole', 'gutted', 'fillet', 'loin', 'block', 'shucked', 'live', 'roe', 'portion'] as const;
export const DECISIONS = ['accept', 'cooked-only', 'hold-freeze', 'send-back'] as const;
export const FARM_SYSTEMS = ['net-pen-open-water', 'land-based', 'pond', 'other'] as const;

export const lotReceived = z.object({
  code: z.string(),
  species: z.string(),
  form: z.enum(FORMS),
  source: z.enum(['wild', 'farmed', 'unknown']),
  farmSystem: z.enum(FARM_SYSTEMS).nullable(),
  water: z.enum(['sea', 'fresh', 'brackish', 'unknown']),
  area: z.string(),
  supplier: z.string(),
  supplierLot: z.string(),
  commercial: z.enum(['yes', 'no', 'unknown']),
  caughtOn: z.string().nullable(),
  mass: typedValue,
  thickness: typedValue.nullable(),
  core: typedValue.nullable(),
  frozen: z.boolean(),
  pricePerKg: finite.nullable(),
  currency: z.string(),
  claim: z.string(),
  decision: z.enum(DECISIONS),
  reason: z.string(),
  pins
});

export const evidenceAttached = z.object({
  type: z.enum(['feed-statement', 'freezing-statement', 'area-document', 'chill-record', 'shellfish-tag', 'other']),
  issuer: z.string(),
  reference: z.string(),
  issuedOn: z.string().nullable(),
  expiresOn: z.string().nullable(),
  formulatedFeed: z.boolean(),
  fromEmbryos: z.boolean(),
  noHazardVerified: z.boolean(),
  areaCleared: z.boolean(),
  frozenAt: typedValue.nullable(),
  frozenFor: typedValue.nullable(),
  solidAt35: z.boolean(),
  note: z.string()
});

export const pieceMade = z.object({
  code: z.string(),
  lot: z.string(),
  parents: z.array(z.string()),
  name: z.string(),
  form: z.enum(FORMS),
  grams: finite,
  mass: typedValue,
  thicknessMm: finite.nullable()
});

/** Stands on the parent when a piece leaves it, so that its own weight falls without reading its children. */
export const pieceGave = z.object({ child: z.string(), grams: finite });

export const freezeStarted = z.object({
  place: z.string(),
  air: typedValue,
  airClass: z.enum(['still', 'fan', 'blast']),
  packing: z.enum(['bare', 'film', 'boxed']),
  thickness: typedValue,
  startCore: typedValue,
  cycle: z.string(),
  coreArrival: z.object({ low: finite, likely: finite, high: finite }).nullable(),
  pins
});
export const freezeRead = z.object({ reading: typedValue, probe: z.enum(['core', 'air']) });
export const freezeEnded = z.object({ note: z.string() });

const band = z.object({ low: finite, likely: finite, high: finite });
export const cureStarted = z.object({
  method: z.enum(['cover', 'weighed']),
  grams: finite,
  thickness: typedValue,
  faces: z.union([z.literal(1), z.literal(2)]),
  celsius: finite,
  saltGrams: finite,
  sugarGrams: finite,
  hours: finite,
  target: finite,
  forecast: z.object({
    meanSaltPercent: band,
    middleSaltPercent: band,
    surfaceWps: band,
    gramsAfter: band,
    middleReachesAt: finite.nullable()
  }),
  dueAt: finite,
  pins
});
export const cureEnded = z.object({ massAfter: typedValue.nullable(), note: z.string() });

export const sliced = z.object({
  cut: z.enum(['straight', 'oblique']),
  length: typedValue,
  height: typedValue,
  width: typedValue,
  thickness: typedValue,
  angleDegrees: finite,
  pieces: z.number().int(),
  pieceGrams: finite,
  offcutGrams: finite
});

export const coldRead = z.object({ reading: typedValue, place: z.string() });
export const holdStarted = z.object({
  control: z.enum(['4h', '6h']),
  label: z.string(),
  startCore: typedValue,
  discardAt: finite,
  pins
});
export const holdRead = z.object({ reading: typedValue });
export const served = z.object({ mass: typedValue, dish: z.string(), route: z.string(), pins });
export const discarded = z.object({ reason: z.string(), mass: typedValue.nullable() });

export const houseSet = z.object({
  name: z.string(),
  profile: z.string(),
  zone: z.string(),
  dayEndsHour: finite,
  units: z.object({
    mass: z.enum(['g', 'oz']),
    temperature: z.enum(['C', 'F']),
    length: z.enum(['mm', 'in']),
    volume: z.enum(['ml', 'floz'])
  }),
  currency: z.string(),
  countFromCore: z.boolean(),
  strictAccuracy: z.boolean(),
  warnMinutes: finite,
  rawShareOfIceDays: finite,
  dateMarkDays: finite
});

export const personJoined = z.object({});
export const personForgotten = z.object({ reason: z.string() });
export const daySigned = z.object({
  day: z.string(),
  headSeq: z.number().int(),
  headHash: z.string(),
  note: z.string()
});
export const backupMade = z.object({ headSeq: z.number().int(), headHash: z.string(), file: z.string() });
export const clockBehind = z.object({ behindSeconds: finite });
export const readingsStored = z.object({
  sensor: z.string(),
  day: z.string(),
  count: z.number().int(),
  minCelsius: finite,
  maxCelsius: finite,
  contentHash: z.string()
});

export const amended = z.object({
  amends: z.number().int(),
  void: z.boolean(),
  happened: finite.nullable(),
  patch: z.record(z.string(), z.unknown()),
  reason: z.string(),
  /** Routes whose window this amendment widened: such a one is an override, owned by who recorded it. */
  widens: z.array(z.string())
});
