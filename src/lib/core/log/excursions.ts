import type { ScaleLimit } from '../codes/profile.ts';
import type { PlaceLog } from './holding.ts';
import { HAND_SILENCE_MS, indexAt, silences, type Series } from './series.ts';

/** Something a place's log shows that somebody has to answer. */
export interface Excursion {
  readonly kind: 'warm' | 'silent';
  readonly from: number;
  /** Null while it lasts. */
  readonly to: number | null;
  /** Warmest reading of it, °C; null for a silence. */
  readonly peak: number | null;
}

export interface Watch {
  /** Above this the air is too warm. */
  readonly limit: ScaleLimit;
  /** Doors and defrosts: shorter than this is no excursion. ms */
  readonly graceMs: number;
  /** Now; ms. A log that has not spoken for longer than is believed is silent. */
  readonly until: number;
}

/**
 * Excursions of a place: above its limit for longer than the grace, or its loggers silent for longer than is believed. Warmth that
 * the last reading still showed lasts until something says otherwise.
 *
 * @returns in order of their beginning
 */
export function excursionsOf({ series, logged, gapMs, above }: PlaceLog, watch: Watch): Excursion[] {
  if (series.length === 0) return [];
  const { limit, graceMs, until } = watch;
  const warm = above(limit)
    .filter(({ from, to }) => Math.min(to, until) - from > graceMs)
    .map(({ from, to }): Excursion => {
      let peak = -Infinity;
      for (let index = indexAt(series, from); index < series.length && series.at[index]! <= to; index++) {
        peak = Math.max(peak, series.celsius[index]!);
      }
      return { kind: 'warm', from, to: to === Infinity ? null : to, peak };
    });
  const quiet: Excursion[] = silences(logged, gapMs).map(({ from, to }) => ({ kind: 'silent', from, to, peak: null }));
  const spoke = logged.length > 0 ? logged.at[logged.length - 1]! : Infinity;
  if (until - spoke > gapMs) quiet.push(...quietSince(series, spoke, until));
  return [...warm, ...quiet].sort((a, b) => a.from - b.from);
}

/**
 * A sensor that has fallen silent, from its last word on: the silence lasts until somebody reads the place, and can be answered then.
 * What was read stands for half a day; after that it is silent anew.
 */
function quietSince(series: Series, spoke: number, until: number): Excursion[] {
  const out: Excursion[] = [];
  let from = spoke;
  for (let index = indexAt(series, spoke); index < series.length; index++) {
    const read = series.at[index]!;
    if (read <= spoke) continue;
    if (from === spoke || read - from > HAND_SILENCE_MS) out.push({ kind: 'silent', from, to: read, peak: null });
    from = read;
  }
  if (from === spoke || until - from > HAND_SILENCE_MS) out.push({ kind: 'silent', from, to: null, peak: null });
  return out;
}

/** What cannot be a temperature of a cold place, or of a probe that works. */
export const PLAUSIBLE = { min: -90, max: 60 };
/** A common one-wire probe shows exactly this while it has not measured since power came back. °C */
export const POWER_ON_CELSIUS = 85;

export type Quarantine = 'future' | 'broken-probe' | 'before-sensor' | 'too-old';
/** A logger that has lost its clock counts from 1970 or 2000. ms */
const NO_LOGGER_BEFORE = Date.UTC(2001, 0, 1);
/**
 * Why a reading is kept apart; null for one that is taken.
 *
 * @param oldestMs the greatest age that is believed, ms
 */
export function quarantineOf(
  at: number,
  celsius: number,
  now: number,
  toleranceMs: number,
  oldestMs = Infinity
): Quarantine | null {
  if (celsius === POWER_ON_CELSIUS || celsius < PLAUSIBLE.min || celsius > PLAUSIBLE.max) return 'broken-probe';
  if (at > now + toleranceMs) return 'future';
  if (at < NO_LOGGER_BEFORE) return 'before-sensor';
  return now - at > oldestMs ? 'too-old' : null;
}
