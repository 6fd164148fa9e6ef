import { z } from 'zod';
import { DOSINGS, SCHOOL_IDS, STAGE_IDS } from '../bench/cure/programme.ts';
import { recipeBody } from '../bench/cure/recipe.ts';
import { CURE_STEP_CODES } from '../bench/cure/steps.ts';
import { speciesShape } from '../fish/kinds.ts';
import { KILLINGS } from '../fish/rigor.ts';
import { DOCUMENT_KINDS } from '../rules/documents.ts';
import { SHEET_IDS } from '../inspect/sheets.ts';

/** The shapes of what can happen. A shape is never edited once shipped: a new version is added and the old one upcast. */

const finite = z.number().finite();
export const typedValue = z.object({ si: finite, unit: z.string(), typed: z.string() });

/** Versions of everything a decision leaned on. */
export const pins = z.object({ profile: z.string(), catalogue: z.string(), model: z.string() });

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

export const PAPERS = [
  'feed-statement',
  'freezing-statement',
  'area-document',
  'chill-record',
  'shellfish-tag',
  'licence',
  'supplier-letter',
  'histamine-test',
  'authority',
  'other'
] as const;
export const evidenceAttached = z.object({
  type: z.enum(PAPERS),
  issuer: z.string(),
  reference: z.string(),
  issuedOn: z.string().nullable(),
  expiresOn: z.string().nullable(),
  formulatedFeed: z.boolean(),
  /** It says how the fish were raised, not only how they were fed. */
  raised: z.boolean(),
  fromEmbryos: z.boolean(),
  noHazardVerified: z.boolean(),
  areaCleared: z.boolean(),
  frozenAt: typedValue.nullable(),
  frozenFor: typedValue.nullable(),
  solidAt35: z.boolean(),
  /** Days the freezing began and ended by the paper. */
  frozenFrom: z.string().nullable(),
  frozenTo: z.string().nullable(),
  /** Whom and what it speaks of, where it says so: an empty text or null where it does not. */
  species: z.string(),
  form: z.string(),
  supplier: z.string(),
  mass: typedValue.nullable(),
  count: z.number().int().nullable(),
  /** A shellfish tag: the dealer's certification number, day and waters of harvest. */
  dealer: z.string(),
  harvestedOn: z.string().nullable(),
  harvestArea: z.string(),
  /** Warmest on the way, by a supplier's letter. */
  transit: typedValue.nullable(),
  /** Findings that a document of the authority opens, by code. */
  covers: z.array(z.string()),
  /** The paper itself, kept by its hash. */
  file: z.object({ hash: z.string(), type: z.string(), name: z.string(), bytes: z.number().int() }).nullable(),
  note: z.string()
});

export const evidenceFrom1 = (body: unknown) => ({ frozenFrom: null, frozenTo: null, file: null, ...(body as object) });
/** What papers of the second version say of none of these is not known. */
export const UNSAID = {
  raised: false,
  species: '',
  form: '',
  supplier: '',
  mass: null,
  count: null,
  dealer: '',
  harvestedOn: null,
  harvestArea: '',
  transit: null,
  covers: [] as string[]
};
export const evidenceFrom2 = (body: unknown) => ({ ...UNSAID, ...(body as object) });

/** The last of a container of shellfish was served: from this day its tag is kept. */
export const tagClosed = z.object({ evidence: z.number().int(), lastServedOn: z.string(), keepUntil: z.string() });

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

/** What a part is for, as a rule; an empty text where nobody said. */
export const USES = ['', 'raw', 'cure', 'acid', 'sear', 'cook', 'mince', 'stock', 'crisp', 'roe', 'other'] as const;
/** The first grade bears the cost; a by-product is credited at its own value. */
export const GRADES = ['prime', 'by-product'] as const;

export const pieceMade = z.object({
  code: z.string(),
  /** The lot it came from; of a batch from several lots, that of its first parent. */
  lot: z.string(),
  parents: z.array(z.string()),
  name: z.string(),
  form: z.enum(FORMS),
  grams: finite,
  mass: typedValue,
  thicknessMm: finite.nullable(),
  /** Which part of its cut map it is; an empty text for none. */
  part: z.string(),
  use: z.enum(USES),
  grade: z.enum(GRADES),
  /** Value of a by-product for a kilogram, in the house's currency. */
  creditPerKg: finite.nullable(),
  /** The opening of the board it was cut on; null where it was taken off no board. */
  board: z.number().int().nullable()
});
/** A piece that is no part of any cut map. */
export const NO_CUT = { part: '', use: '', grade: 'prime', creditPerKg: null, board: null } as const;
export const pieceMadeFrom1 = (body: unknown) => ({ ...NO_CUT, ...(body as object) });

/** A piece is put on the board: from here its time out of the cold runs. */
export const boardOpened = z.object({
  map: z.string(),
  school: z.string(),
  /** The house's division of a side, where one is followed. */
  template: z.string(),
  grams: finite,
  core: typedValue.nullable(),
  /** Verification interval of the scale, g: what the balance may be out by follows from it. */
  scaleInterval: finite,
  /** Share of it that should be usable, as forecast before the knife. */
  expected: z.object({ low: finite, likely: finite, high: finite }).nullable(),
  pins
});
export const WASTES = [
  'viscera',
  'gills',
  'scales',
  'head',
  'frame',
  'fins',
  'skin',
  'shell',
  'bones',
  'blood-line',
  'trim',
  'liquor',
  'drip',
  'other'
] as const;
export const pieceWasted = z.object({ what: z.enum(WASTES), mass: typedValue, note: z.string() });
export const boardClosed = z.object({
  /** Grams of the piece itself that stay, uncut. */
  remains: finite,
  /** Input less parts, waste, drip and what remains; negative where the parts weigh more. g */
  gap: finite,
  tolerance: finite,
  /** Why more is missing than the scale can be out by; an empty text where it is not. */
  gapReason: z.string(),
  secondsOut: finite,
  note: z.string()
});
/** Into a place: a drawer, a rack, a box. What was out of the cold is back in it, where the place is cold. */
export const pieceMoved = z.object({
  place: z.string(),
  cold: z.boolean(),
  core: typedValue.nullable(),
  /** How long it had been out of the cold, s. */
  secondsOut: finite
});
export const REWEIGH_CAUSES = ['drip', 'drying', 'scale', 'uptake', 'other'] as const;
export const pieceReweighed = z.object({
  mass: typedValue,
  before: finite,
  cause: z.enum(REWEIGH_CAUSES),
  note: z.string()
});
/** Thickness along a piece: points from its thick end, for an even cure and for the slowest point of a freeze. */
export const pieceProfiled = z.object({
  lengthMm: finite,
  points: z.array(z.object({ at: finite, mm: finite })),
  note: z.string()
});
export const labelPrinted = z.object({ size: z.string(), printer: z.string(), job: z.string(), copies: finite });

/** Stands on the parent when a piece leaves it, so that its own weight falls without reading its children. */
export const pieceGave = z.object({ child: z.string(), grams: finite, part: z.string(), grade: z.enum(GRADES) });
export const pieceGaveFrom1 = (body: unknown) => ({ part: '', grade: 'prime', ...(body as object) });

const band = z.object({ low: finite, likely: finite, high: finite });
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
export const cureStage = z.object({
  id: z.enum(STAGE_IDS),
  seconds: finite,
  contact: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('laid'), salt: finite, sugar: finite, drains: z.boolean() }),
    z.object({ kind: z.literal('bath'), times: finite, salt: finite, sugar: finite, water: finite }),
    z.object({ kind: z.literal('closed'), keep: z.boolean() }),
    z.object({ kind: z.literal('again') })
  ]),
  open: z.boolean().optional()
});
const warmthPoint = z.object({ seconds: finite, celsius: finite });
/** Everything a forecast was computed from, so that it can be computed again. */
export const cureSettings = z.object({
  method: z.enum(SCHOOL_IDS),
  grams: finite,
  thicknessMm: finite,
  thinMm: finite.nullable(),
  profile: z.object({ lengthMm: finite, points: z.array(z.object({ at: finite, mm: finite })) }).nullable(),
  faces: z.union([z.literal(1), z.literal(2)]),
  celsius: finite,
  fat: z.enum(['lean', 'mid', 'rich']),
  thawed: z.boolean(),
  salt: finite,
  sugar: finite,
  hours: finite,
  target: finite,
  restHours: finite,
  dosing: z.enum(DOSINGS),
  drains: z.boolean(),
  bathTimes: finite.optional(),
  changes: finite.optional(),
  presalt: finite.optional(),
  presaltMinutes: finite.optional(),
  pasteWater: finite.optional(),
  parameters: z.object({
    diffusivity: band,
    mostLoss: band,
    runs: z.number().int(),
    from: z.enum(['shipped', 'fat-class', 'species'])
  })
});
const cureStep = z.object({ id: z.string(), code: z.enum(CURE_STEP_CODES), seconds: finite });
const cureForecast = z.object({
  meanSaltPercent: band,
  middleSaltPercent: band,
  surfaceWps: band,
  gramsAfter: band,
  middleReachesAt: finite.nullable(),
  /** Lowest anywhere in it; null in forecasts of the first version. */
  leastWps: band.nullable(),
  waterActivity: finite.nullable()
});
/** Whether air can get at it while it cures: a bag with the air pressed out counts as closed. */
export const CURE_PACKS = ['open', 'closed'] as const;
/** Told apart from what is in it: what may be, and of what nobody said what it holds. Older entries knew neither. */
export const toldBesides = {
  mayHold: z.array(z.string()).optional(),
  unsaid: z.array(z.string()).optional()
};
export const cureStarted = z.object({
  method: z.enum(SCHOOL_IDS),
  grams: finite,
  thickness: typedValue,
  faces: z.union([z.literal(1), z.literal(2)]),
  celsius: finite,
  saltGrams: finite,
  sugarGrams: finite,
  hours: finite,
  target: finite,
  forecast: cureForecast,
  dueAt: finite,
  /** Null for cures of the first version: they are shown, and nothing is computed again from them. */
  settings: cureSettings.nullable(),
  stages: z.array(cureStage),
  steps: z.array(cureStep),
  /** Where it lies; an empty text where nobody said. */
  place: z.string(),
  pack: z.enum(CURE_PACKS),
  turned: z.boolean(),
  pressed: z.boolean(),
  recipe: z.object({ id: z.string(), name: z.string(), version: z.number().int() }).nullable(),
  /** What the cure puts on the fish and has to be told with it. */
  allergens: z.array(z.string()),
  ...toldBesides,
  /** The service it has to be ready for, ms. */
  readyBy: finite.nullable(),
  pins
});
const olderForecast = (forecast: object) => ({ leastWps: null, waterActivity: null, ...forecast });
export const cureStartedFrom1 = (body: unknown) => {
  const old = body as { forecast: object };
  return {
    settings: null,
    stages: [],
    steps: [],
    place: '',
    pack: 'open',
    turned: false,
    pressed: false,
    recipe: null,
    allergens: [],
    readyBy: null,
    ...old,
    forecast: olderForecast(old.forecast)
  };
};
export const CURE_CHANGES = ['pause', 'resume', 'left'] as const;
/** Paused, taken up again, or given more or less time: the whole programme as it is from here, and its forecast made anew. */
export const cureChanged = z.object({
  change: z.enum(CURE_CHANGES),
  /** Of the stage it was in, from that moment on, h; null for a pause. */
  hours: finite.nullable(),
  stages: z.array(cureStage),
  steps: z.array(cureStep),
  forecast: cureForecast,
  dueAt: finite,
  note: z.string(),
  pins
});
/** A step of a running cure was done. */
export const cureStepped = z.object({ step: z.string(), code: z.enum(CURE_STEP_CODES), note: z.string() });
export const SALT_TASTES = ['unknown', 'low', 'right', 'high'] as const;
export const cureEnded = z.object({
  massAfter: typedValue.nullable(),
  note: z.string(),
  /** How good it was, 1 to 5. */
  taste: z.number().int().nullable(),
  saltTaste: z.enum(SALT_TASTES),
  /** Read off a salt meter, share by weight, and where its probe stood. */
  salt: z.object({ reading: typedValue, where: z.enum(['mean', 'middle', 'surface']) }).nullable(),
  place: z.string(),
  /** The programme as it was really run, and the air of the place meanwhile. */
  stages: z.array(cureStage),
  warmth: z.array(warmthPoint)
});
export const cureEndedFrom1 = (body: unknown) => ({
  taste: null,
  saltTaste: 'unknown',
  salt: null,
  place: '',
  stages: [],
  warmth: [],
  ...(body as object)
});

/** A recipe of the house's own, or one that ships as the house has it: a new version each time, nothing is written over. */
export const recipeSet = z.object({
  id: z.string(),
  version: z.number().int(),
  recipe: recipeBody,
  reason: z.string(),
  withdrawn: z.boolean()
});
/** A taste correction kept as a note on one version. */
export const recipeNoted = z.object({ id: z.string(), version: z.number().int(), note: z.string() });
/** Whether forecasts lean on what this house weighed and measured. */
export const learningSet = z.object({ cure: z.boolean() });

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
/** Which tablet said it, as far as one is known; older entries and programs have none. */
const tablet = z.string().max(40).optional();

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
  dateMarkDays: finite,
  /** Guests who are highly susceptible are served here. */
  susceptibleGuests: z.boolean()
});
export const houseSetFrom1 = (body: unknown) => ({ susceptibleGuests: false, pufferLicence: '', ...(body as object) });
/** A licence was a number in the house once. A number alone opens nothing: the licence itself stands among the documents. */
export const houseSetFrom2 = (body: unknown) => {
  const { pufferLicence: _, ...rest } = body as Record<string, unknown>;
  return rest;
};

/** The house's word on a species: a whole entry added, or fields over the shipped one. */
export const speciesSet = z.object({
  id: z.string(),
  added: z.boolean(),
  fields: speciesShape.partial(),
  reason: z.string(),
  looser: z.array(z.string()),
  /** Takes the house's word back. */
  withdrawn: z.boolean()
});
/** A copy of a rule profile with some of its numbers changed. */
export const profileSet = z.object({
  id: z.string(),
  base: z.string(),
  name: z.string(),
  changes: z.record(z.string(), z.union([finite, z.boolean()])),
  reason: z.string(),
  looser: z.array(z.string())
});
export const sheetSet = z.object({
  id: z.enum(SHEET_IDS),
  changes: z.record(z.string(), z.object({ weight: finite, texts: z.array(z.string()) })),
  reason: z.string()
});
export const PLACE_KINDS = [
  'drawer',
  'rack',
  'box',
  'fridge',
  'freezer',
  'blast',
  'cabinet',
  'display',
  'bench'
] as const;
export const placeSet = z.object({
  id: z.string(),
  name: z.string(),
  kind: z.enum(PLACE_KINDS),
  cold: z.boolean(),
  setPoint: typedValue.nullable(),
  airClass: z.enum(AIR_CLASS_IDS),
  litres: finite.nullable(),
  /** Heat its machine carries off, W. */
  watts: finite.nullable(),
  /** Air above this is an excursion; the profile's limit for its kind where the house names none. */
  warnAbove: typedValue.nullable(),
  /** How long a door or a defrost may lift it, min. */
  graceMinutes: finite,
  withdrawn: z.boolean()
});
/** A place nobody said more of. */
export const PLAIN_PLACE = {
  setPoint: null,
  airClass: 'still',
  litres: null,
  watts: null,
  warnAbove: null,
  graceMinutes: 30
} as const;
export const placeSetFrom1 = (body: unknown) => ({ ...PLAIN_PLACE, ...(body as object) });
export const sensorSet = z.object({
  id: z.string(),
  name: z.string(),
  /** Name of the place whose air it reads, or in which its probe stands; an empty text for none yet. */
  place: z.string(),
  probe: z.enum(['air', 'core']),
  /** ± °C */
  accuracy: finite,
  calibratedOn: z.string().nullable(),
  withdrawn: z.boolean()
});
/** A logger that may send readings: its key is kept as a hash alone. */
export const deviceKeyed = z.object({ id: z.string(), name: z.string(), keyHash: z.string() });
export const deviceRevoked = z.object({ id: z.string(), reason: z.string() });
/** The air of a place, read off its thermometer and written down. */
export const placeRead = z.object({ place: z.string(), reading: typedValue });
export const EXCURSION_KINDS = ['warm', 'silent', 'hold', 'quarantine'] as const;
export const CORRECTIVE = [
  'moved',
  'core-checked',
  'discarded',
  'hold-restarted',
  'door-closed',
  'defrost',
  'sensor-mended',
  'machine-mended',
  'cooked',
  'other'
] as const;
export const excursionClosed = z.object({
  place: z.string(),
  kind: z.enum(EXCURSION_KINDS),
  from: finite,
  to: finite.nullable(),
  peak: finite.nullable(),
  pieces: z.array(z.string()),
  action: z.enum(CORRECTIVE),
  note: z.string()
});
/** One cut of a side: along its length from the head end, and which band of its height. Shares, 0 to 1. */
export const templatePart = z.object({
  id: z.string(),
  name: z.string(),
  from: finite,
  to: finite,
  band: z.enum(['all', 'back', 'belly']),
  use: z.enum(USES)
});
export const templateSet = z.object({
  id: z.string(),
  name: z.string(),
  parts: z.array(templatePart),
  withdrawn: z.boolean()
});
/** What by-products are worth for a kilogram, by use; and what a portion of each dish weighs. */
export const kitchenSet = z.object({
  credits: z.record(z.string(), finite),
  portions: z.array(
    z.object({ id: z.string(), name: z.string(), grams: finite, uses: z.array(z.enum(USES)), share: finite })
  ),
  scaleInterval: finite
});
/** A document the house holds of its authority, or one taken off its list. */
export const documentFiled = z.object({
  id: z.string(),
  kind: z.enum(DOCUMENT_KINDS),
  authority: z.string(),
  number: z.string(),
  covers: z.array(z.string()),
  species: z.array(z.string()),
  issuedOn: z.string(),
  expiresOn: z.string(),
  limits: z.string(),
  file: z.object({ hash: z.string(), type: z.string(), name: z.string(), bytes: z.number().int() }).nullable(),
  reason: z.string(),
  withdrawn: z.boolean()
});
export const noticeSet = z.object({ text: z.string(), reason: z.string() });

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
export const READING_SOURCES = ['hand', 'import', 'live'] as const;
export const readingsStored = z.object({
  sensor: z.string(),
  day: z.string(),
  count: z.number().int(),
  minCelsius: finite,
  maxCelsius: finite,
  contentHash: z.string(),
  /** First and last reading, ms; null in entries of the first version. */
  from: finite.nullable(),
  to: finite.nullable(),
  source: z.enum(READING_SOURCES),
  /** File or device they came from. */
  origin: z.string(),
  /** Added to the times as they came: how far the device's clock was behind, s. */
  clockOffsetSeconds: finite
});
export const readingsStoredFrom1 = (body: unknown) => ({
  from: null,
  to: null,
  source: 'hand',
  origin: '',
  clockOffsetSeconds: 0,
  ...(body as object)
});
/** Readings that came and are not believed: kept apart, counted, and named. */
export const readingsQuarantined = z.object({
  sensor: z.string(),
  place: z.string(),
  cause: z.string(),
  count: z.number().int(),
  source: z.enum(READING_SOURCES),
  origin: z.string(),
  /** As they came, a few of them. */
  examples: z.array(z.string())
});
/** What a logger's file brought, and how its columns were read. */
export const logImported = z.object({
  file: z.string(),
  bytes: finite,
  contentHash: z.string(),
  mapping: z.object({
    delimiter: z.string(),
    skip: z.number().int(),
    time: z.number().int(),
    day: z.number().int().nullable(),
    order: z.string(),
    zone: z.string(),
    decimal: z.enum(['.', ',']),
    values: z.array(z.object({ column: z.number().int(), sensor: z.string(), unit: z.enum(['C', 'F']) })),
    clockOffsetSeconds: finite
  }),
  rows: z.number().int(),
  sensors: z.array(
    z.object({
      sensor: z.string(),
      taken: z.number().int(),
      duplicates: z.number().int(),
      conflicts: z.number().int(),
      from: finite.nullable(),
      to: finite.nullable(),
      gaps: z.number().int()
    })
  ),
  counts: z.record(z.string(), z.number().int()),
  troubles: z.array(z.object({ row: z.number().int(), code: z.string(), seen: z.string() })),
  unsorted: z.number().int(),
  repeatedHour: z.number().int(),
  /** Stopped by a person before all of it was kept. */
  stopped: z.boolean()
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
