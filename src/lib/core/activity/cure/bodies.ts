import { z } from 'zod';
import { SCHOOL_IDS, STAGE_IDS } from './lists.ts';
import { CURE_PACKS, cureSet } from './plan.ts';
import { CURE_STEP_CODES } from './lists.ts';
import { kind, second, third, type Kinds } from '../../record/kind.ts';
import { recorded } from '../../record/recorded.ts';
import { finite, typedValue, pins, band, warmthPoint } from '../../record/values.ts';

/** What can happen to a piece in a cure. A shape is never edited once shipped: a new version is added and the old one upcast. */

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

/** The fish a forecast was computed for, so that it can be computed again. */
const cureSubject = z.object({
  grams: finite,
  fat: z.enum(['lean', 'mid', 'rich']),
  thawed: z.boolean(),
  profile: z.object({ lengthMm: finite, points: z.array(z.object({ at: finite, mm: finite })) }).nullable(),
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
  /** What was set, and of which fish. Null for cures of the first version: they are shown, and nothing is computed again. */
  set: recorded(cureSet).nullable(),
  subject: cureSubject.nullable(),
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

/** Version 2 kept what was set as the model took it: said again field by field, as it would have been typed. */
export const cureStartedFrom2 = (body: unknown) => {
  const { settings, ...rest } = body as { settings: OlderSettings | null };
  if (settings === null) return { ...rest, set: null, subject: null };
  const said = (si: number, factor: number, unit: string) => ({ si, unit, typed: `${si / factor} ${unit}` });
  const percent = (value: number) => said(value, 0.01, '%');
  const orNull = <Value, Said>(value: Value | null | undefined, say: (value: Value) => Said) =>
    value === null || value === undefined ? null : say(value);
  const { grams, fat, thawed, profile, parameters, ...set } = settings;
  return {
    ...rest,
    set: {
      method: set.method,
      thickness: said(set.thicknessMm, 1, 'mm'),
      thin: orNull(set.thinMm, (mm) => said(mm, 1, 'mm')),
      faces: set.faces,
      celsius: said(set.celsius, 1, 'C'),
      salt: percent(set.salt),
      sugar: percent(set.sugar),
      parts: '',
      rateMeans: '',
      hours: said(set.hours * 3600, 3600, 'h'),
      rest: said(set.restHours * 3600, 3600, 'h'),
      target: percent(set.target),
      dosing: set.dosing,
      liquid: set.drains ? 'drained' : 'kept',
      bathTimes: set.bathTimes ?? null,
      changes: set.changes ?? null,
      presalt: orNull(set.presalt, percent),
      presaltMinutes: set.presaltMinutes ?? null,
      pasteWater: orNull(set.pasteWater, percent),
      flat: false
    },
    subject: { grams, fat, thawed, profile, parameters }
  };
};
/** Settings that were amended while version 2 was in use. */
export const curePatched = ({ settings, ...rest }: Record<string, unknown>): Record<string, unknown> => {
  if (settings === undefined) return rest;
  const { set, subject } = cureStartedFrom2({ settings });
  return { set, subject, ...rest };
};
/** What version 2 kept. */
interface OlderSettings {
  readonly method: string;
  readonly grams: number;
  readonly thicknessMm: number;
  readonly thinMm: number | null;
  readonly profile: object | null;
  readonly faces: 1 | 2;
  readonly celsius: number;
  readonly fat: string;
  readonly thawed: boolean;
  readonly salt: number;
  readonly sugar: number;
  readonly hours: number;
  readonly target: number;
  readonly restHours: number;
  readonly dosing: string;
  readonly drains: boolean;
  readonly bathTimes?: number;
  readonly changes?: number;
  readonly presalt?: number;
  readonly presaltMinutes?: number;
  readonly pasteWater?: number;
  readonly parameters: object;
}

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

/** Whether forecasts lean on what this house weighed and measured. */
export const learningSet = z.object({ cure: z.boolean() });

export const kinds = {
  'cure.started': { ...third(cureStarted, cureStartedFrom1, cureStartedFrom2), patched: curePatched },
  'cure.changed': kind(cureChanged),
  'cure.stepped': kind(cureStepped),
  'cure.ended': second(cureEnded, cureEndedFrom1),
  'learning.set': kind(learningSet, false)
} satisfies Kinds;
