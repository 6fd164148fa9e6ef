import { z } from 'zod';
import { partsOf, rateOf } from '../../core/bench/cure/brine.ts';
import { cure, cureBand, type CureSettings } from '../../core/bench/cure/plan.ts';
import { parametersOf } from '../../core/bench/cure/parameters.ts';
import { dosingOf, type Stage } from '../../core/bench/cure/programme.ts';
import { DOSINGS, SCHOOL_IDS } from '../../core/activity/cure/lists.ts';
import { UNIDENTIFIED } from '../../core/activity/receive/bodies.ts';
import type { BodyOf } from '../../core/record/events.ts';
import { speciesOfLot } from '../facts/lot-species.ts';
import { optionalNumeric, optionalQuantity, numeric, pieceId, quantity, shortText, ticked } from '../input/fields.ts';
import type { Store } from '../store/store.ts';
import { parametersFor } from '../facts/cure-learning.ts';

const CONCENTRATION = { min: 0, max: 4 };

/** What a cook sets of a cure, as it is written. Ranges are those of the core, which knows the school. */
export const curePlan = z.object({
  piece: pieceId,
  method: z.enum(SCHOOL_IDS),
  thickness: quantity('length', { min: 0, max: 400 }).describe('thick end'),
  thin: optionalQuantity('length', { min: 0, max: 400 }).describe('thin end; the measured depth where left out'),
  faces: numeric(1, 2).transform((value): 1 | 2 => (value >= 2 ? 2 : 1)),
  celsius: quantity('temperature', { min: -40, max: 60 }),
  salt: quantity('concentration', CONCENTRATION).describe(
    'of the fish (cover, film), in the finished piece (weighed), of the liquid (brine, marinade), in the fish (desalting)'
  ),
  sugar: optionalQuantity('concentration', CONCENTRATION),
  parts: shortText(20).describe('cover: salt to sugar, such as 2:1; then sugar need not be said'),
  rateMeans: z
    .union([z.literal(''), z.enum(['salt', 'mix'])])
    .default('')
    .describe('cover with parts: what the rate is of'),
  hours: quantity('duration', { min: 0, max: 400 * 3600 }),
  rest: optionalQuantity('duration', { min: 0, max: 400 * 3600 }),
  target: quantity('concentration', { min: 0, max: 1 }),
  dosing: z.union([z.literal(''), z.enum(DOSINGS)]).default(''),
  liquid: z.union([z.literal(''), z.enum(['kept', 'drained'])]).default(''),
  bathTimes: optionalNumeric(0, 1000).describe('liquid by the fish’s weight'),
  changes: optionalNumeric(0, 100),
  presalt: optionalQuantity('concentration', CONCENTRATION),
  presaltMinutes: optionalNumeric(0, 10_000),
  pasteWater: optionalQuantity('concentration', CONCENTRATION),
  flat: ticked.describe('take it as even, whatever its measured depth says')
});
export type CurePlan = z.infer<typeof curePlan>;

/** Salt and sugar laid on: by two rates, or by one and a ratio. */
function doseOf(input: CurePlan): { salt: number; sugar: number } {
  const sugar = input.sugar?.si ?? 0;
  if (input.method !== 'cover' || input.parts === '') return { salt: input.salt.si, sugar };
  const [salt, sweet] = partsOf(input.parts);
  return rateOf(input.salt.si, salt, sweet, input.rateMeans === 'mix' ? 'mix' : 'salt');
}

/** The core's settings for a cure of this piece, from what a person set. */
export function cureSettingsFor(store: Store, input: CurePlan): CureSettings {
  const { state, lot } = store.projections.piece(input.piece);
  // A fish nobody could name is taken as neither lean nor rich.
  const species = speciesOfLot(lot, store.projections.currentHouse());
  const fat = species?.fat ?? 'mid';
  const profile = input.flat || input.thin ? null : state.depth;
  const { presalt, presaltMinutes, pasteWater, bathTimes, changes } = input;
  return {
    method: input.method,
    grams: state.grams,
    thicknessMm: input.thickness.si,
    thinMm: input.thin?.si ?? null,
    profile: profile ? { lengthMm: profile.lengthMm, points: profile.points } : null,
    faces: input.faces,
    celsius: input.celsius.si,
    fat,
    thawed:
      lot.received.frozen || lot.received.previouslyFrozen === 'yes' || state.freezes.some((run) => run.ended !== null),
    ...doseOf(input),
    hours: input.hours.si / 3600,
    target: input.target.si,
    restHours: (input.rest?.si ?? 0) / 3600,
    drains: input.liquid === 'drained',
    ...(input.dosing === '' ? {} : { dosing: input.dosing }),
    ...(bathTimes === null ? {} : { bathTimes }),
    ...(changes === null ? {} : { changes: Math.round(changes) }),
    ...(presalt ? { presalt: presalt.si } : {}),
    ...(presaltMinutes === null ? {} : { presaltMinutes }),
    ...(pasteWater ? { pasteWater: pasteWater.si } : {}),
    parameters: parametersFor(store, species?.id ?? UNIDENTIFIED, fat)
  };
}

/** Settings as the ledger keeps them. */
export function settingsBody(settings: CureSettings): NonNullable<BodyOf<'cure.started'>['settings']> {
  const { stages: _, logged: __, parameters: ___, ...plain } = settings;
  return {
    ...plain,
    thinMm: settings.thinMm ?? null,
    profile: settings.profile ? { lengthMm: settings.profile.lengthMm, points: [...settings.profile.points] } : null,
    restHours: settings.restHours ?? 0,
    dosing: dosingOf(settings),
    drains: settings.drains ?? false,
    parameters: parametersOf(settings)
  };
}

/** A forecast as the ledger keeps it. */
export function forecastBody(settings: CureSettings, startedAt: number) {
  const result = cure(settings);
  const { draws: _, ...band } = cureBand(settings);
  const reaches = result.middleReachesHours;
  return {
    result,
    forecast: {
      ...band,
      middleReachesAt: reaches === null ? null : startedAt + reaches * 3600_000,
      waterActivity: result.meanWaterActivity
    }
  };
}

/** Readings of a place while something lay in it are kept by the hour. */
const EVERY_MS = 3600_000;
const MOST_POINTS = 240;

/** The air of a place from a moment on, an hour at a time, for the clock of a cure; nothing where no sensor spoke of it. */
export function warmthOf(
  store: Store,
  place: string,
  from: number,
  to: number
): { seconds: number; celsius: number }[] {
  if (place === '' || to <= from) return [];
  const log = store.projections.logs.book(to, to).place(place);
  if (!log) return [];
  const step = Math.max(EVERY_MS, (to - from) / MOST_POINTS);
  const sums = new Map<number, { sum: number; count: number }>();
  const { series } = log;
  for (let index = 0; index < series.length; index++) {
    const at = series.at[index]!;
    if (at < from || at > to) continue;
    const slot = Math.floor((at - from) / step);
    const known = sums.get(slot) ?? { sum: 0, count: 0 };
    sums.set(slot, { sum: known.sum + series.celsius[index]!, count: known.count + 1 });
  }
  return [...sums]
    .sort(([a], [b]) => a - b)
    .map(([slot, { sum, count }]) => ({ seconds: ((slot + 0.5) * step) / 1000, celsius: sum / count }));
}

/** What a place was on average in the last day, °C; null where no sensor spoke of it. */
export function recentMean(store: Store, place: string, now: number): number | null {
  const points = warmthOf(store, place, now - 24 * EVERY_MS, now);
  if (points.length === 0) return null;
  return points.reduce((sum, { celsius }) => sum + celsius, 0) / points.length;
}

/** How a running cure is simulated from here: its programme as it stands, and the air as it was read so far. */
export function runningSettings(
  store: Store,
  run: { readonly at: number; readonly plan: BodyOf<'cure.started'> },
  stages: readonly Stage[],
  now: number
): CureSettings | null {
  const { settings, place } = run.plan;
  if (!settings) return null;
  return { ...settings, stages, logged: warmthOf(store, place, run.at, now) };
}
