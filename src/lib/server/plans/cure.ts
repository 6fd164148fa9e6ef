import { HOUR } from '../../core/measure/spans.ts';
import { cure, cureBand, type CureSettings } from '../../core/bench/cure/plan.ts';
import type { Stage } from '../../core/bench/cure/programme.ts';
import { cureSettings, settingsOnRecord, type CureSubject } from '../../core/bench/cure/settings.ts';
import type { CureSet } from '../../core/activity/cure/plan.ts';
import { UNIDENTIFIED } from '../../core/activity/receive/bodies.ts';
import type { BodyOf } from '../../core/record/events.ts';
import { parametersFor } from '../facts/cure-learning.ts';
import { speciesOfLot } from '../facts/lot-species.ts';
import type { Store } from '../store/store.ts';

/** The fish a cure is computed for: what lies there, and what is known of its kind in this house. */
export function cureSubject(store: Store, piece: string): CureSubject {
  const { state, lot } = store.projections.piece(piece);
  // A fish nobody could name is taken as neither lean nor rich.
  const species = speciesOfLot(lot, store.projections.currentHouse());
  const fat = species?.fat ?? 'mid';
  const { depth } = state;
  return {
    grams: state.grams,
    fat,
    thawed:
      lot.received.frozen || lot.received.previouslyFrozen === 'yes' || state.freezes.some((run) => run.ended !== null),
    profile: depth ? { lengthMm: depth.lengthMm, points: depth.points } : null,
    parameters: parametersFor(store, species?.id ?? UNIDENTIFIED, fat)
  };
}

/** The core's settings for a cure of this piece, from what a person set. */
export const cureSettingsFor = (store: Store, { piece, ...set }: CureSet & { readonly piece: string }): CureSettings =>
  cureSettings(set, cureSubject(store, piece));

/** A forecast as the ledger keeps it. */
export function forecastBody(settings: CureSettings, startedAt: number) {
  const result = cure(settings);
  const { draws: _, ...band } = cureBand(settings);
  const reaches = result.middleReachesHours;
  return {
    result,
    forecast: {
      ...band,
      middleReachesAt: reaches === null ? null : startedAt + reaches * HOUR,
      waterActivity: result.meanWaterActivity
    }
  };
}

/** Readings of a place while something lay in it are kept by the hour. */
const EVERY_MS = HOUR;
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
  const settings = settingsOnRecord(run.plan);
  return settings && { ...settings, stages, logged: warmthOf(store, run.plan.place, run.at, now) };
}
