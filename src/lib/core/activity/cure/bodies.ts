import { z } from 'zod';
import { DOSINGS, SCHOOL_IDS, STAGE_IDS } from './lists.ts';
import { recipeBody } from './recipe-body.ts';
import { CURE_STEP_CODES } from './lists.ts';
import { kind, second, type Kinds } from '../../record/kind.ts';
import { finite, typedValue, pins, band, warmthPoint } from '../../record/values.ts';

/** What can happen to a piece in a cure, and the house’s cure recipes. A shape is never edited once shipped: a new version is added and the old one upcast. */

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

export const kinds = {
  'cure.started': second(cureStarted, cureStartedFrom1),
  'cure.changed': kind(cureChanged),
  'cure.stepped': kind(cureStepped),
  'cure.ended': second(cureEnded, cureEndedFrom1),
  'recipe.set': kind(recipeSet, false),
  'recipe.noted': kind(recipeNoted, false),
  'learning.set': kind(learningSet, false)
} satisfies Kinds;
