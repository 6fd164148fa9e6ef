import { DAY } from '../measure/spans.ts';
import { inRange } from '../errors.ts';
import type { Species } from './species.ts';

/**
 * Spoilage relative to melting ice. Temperate fish: square root model, RRS = (1 + 0.1 T)^2 for -3 to 15 °C;
 * tropical fish: RRS = exp(0.12 T). Source: Huss (1995), FAO Fisheries Technical Paper 348, section 6.
 *
 * @param celsius temperature of the fish, -3 to 15 °C
 * @returns days on ice spent for each day at that temperature
 * @throws EmberError outside the model's range
 * @example
 * relativeSpoilage(5, 'temperate') // => 2.25
 */
export function relativeSpoilage(celsius: number, climate: Species['climate']): number {
  const t = inRange(celsius, { field: 'temperature', unit: '°C', min: -3, max: 15 });
  return climate === 'tropical' ? Math.exp(0.12 * t) : (1 + 0.1 * t) ** 2;
}

/**
 * The share of a species' ice days in which the house serves it raw. Raw service uses the first third to the first
 * half of the eating life; the shipped value is the house's to tighten.
 */
export const DEFAULT_RAW_SHARE_OF_ICE_DAYS = 0.5;

/** Temperature assumed between readings for a piece kept in the house's cold drawers, shown as an assumption. °C. */
export const ASSUMED_HOLDING_CELSIUS = 2;

/**
 * How long from catch until a share of the eating life is spent at one steady temperature.
 *
 * @param iceDays days on ice to the end of eating quality
 * @param share share of them, 0 to 1
 * @param celsius steady temperature
 * @returns seconds
 * @example
 * eatingLifeSeconds(14, 0.5, 0, 'temperate') / 86400 // => 7
 */
export function eatingLifeSeconds(
  iceDays: number,
  share: number,
  celsius: number,
  climate: Species['climate']
): number {
  inRange(iceDays, { field: 'iceDays', unit: 'd', min: 0.5, max: 60 });
  inRange(share, { field: 'share', unit: '', min: 0, max: 1 });
  return (iceDays * share * 86400) / relativeSpoilage(celsius, climate);
}

/** A reading speaks for the piece until the next one, at most this long. s. */
export const READING_STANDS_SECONDS = 12 * 3600;

export interface SpoilageTrack {
  /** Catch, or the moment an inspection speaks of; ms. */
  readonly from: number;
  /** Ice days already spent at `from`. */
  readonly spentBefore: number;
  readonly climate: Species['climate'];
  /** What stands where no reading speaks; nothing colder is credited. °C */
  readonly assumedCelsius: number;
  /** Ascending in time; ms and °C. */
  readonly readings: readonly { readonly at: number; readonly celsius: number }[];
  /** What logs of the places it lay in speak for, ascending and not overlapping; nothing where left out. */
  readonly logged?: readonly Stretch[];
  /** Time in a freezer, when the clock stands still; ms, ascending, an open end as Infinity. */
  readonly pauses: readonly { readonly from: number; readonly to: number }[];
}

/** Beyond the model's 15 °C the same law is carried on: too fast rather than too slow. */
export const rateAt = (celsius: number, climate: Species['climate']) =>
  climate === 'tropical' ? Math.exp(0.12 * celsius) : (1 + 0.1 * celsius) ** 2;

export interface Stretch {
  readonly from: number;
  readonly to: number;
  /** Ice days a day. */
  readonly rate: number;
}

/** Stretches of one rate, in order; the last one has no end. Whoever asks a track twice makes them once. */
export function stretchesOf(track: SpoilageTrack): readonly Stretch[] {
  const { from, climate, assumedCelsius, readings, pauses, logged = [] } = track;
  const assumed = rateAt(assumedCelsius, climate);
  const stands = READING_STANDS_SECONDS * 1000;
  const warm: Stretch[] = [];
  for (let index = 0; index < readings.length; index++) {
    const { at, celsius } = readings[index]!;
    if (celsius <= assumedCelsius) continue;
    const to = Math.min(at + stands, readings[index + 1]?.at ?? Infinity);
    if (to > from && to > at) warm.push({ from: Math.max(at, from), to, rate: rateAt(celsius, climate) });
  }
  const out: Stretch[] = [];
  let at = from;
  let next = 0;
  let pause = 0;
  let logIndex = 0;
  // Walks from edge to edge: of a warm reading, of a log, of a freezer; the lists are in order and do not overlap themselves.
  while (at < Infinity) {
    while (next < warm.length && warm[next]!.to <= at) next++;
    while (pause < pauses.length && pauses[pause]!.to <= at) pause++;
    while (logIndex < logged.length && logged[logIndex]!.to <= at) logIndex++;
    const log = logged[logIndex];
    const inLog = log !== undefined && log.from <= at;
    const heat = warm[next];
    const cold = pauses[pause];
    const inHeat = heat !== undefined && heat.from <= at;
    const inCold = cold !== undefined && cold.from <= at;
    const to = Math.min(
      heat === undefined ? Infinity : inHeat ? heat.to : heat.from,
      cold === undefined ? Infinity : inCold ? cold.to : cold.from,
      log === undefined ? Infinity : inLog ? log.to : log.from
    );
    // A log speaks for the air, also where it is colder than what is assumed; a probe that read warmer is believed before it.
    const held = inLog ? log.rate : assumed;
    out.push({ from: at, to, rate: inCold ? 0 : inHeat ? Math.max(heat.rate, held) : held });
    at = to;
  }
  return out;
}

/**
 * Equivalent days on ice spent by a moment: the integral of the relative spoilage rate over every reading since, each
 * standing until the next for at most half a day and never credited below the assumed temperature.
 * Source of the rate: Huss (1995), FAO Fisheries Technical Paper 348.
 *
 * @returns days
 * @example
 * iceDaysSpent({ from: 0, spentBefore: 0, climate: 'temperate', assumedCelsius: 0, readings: [], pauses: [] }, 86400000) // => 1
 */
export function iceDaysSpent(
  track: Pick<SpoilageTrack, 'spentBefore'> & Partial<SpoilageTrack>,
  at: number,
  stretches: readonly Stretch[] = stretchesOf(track as SpoilageTrack)
): number {
  let spent = track.spentBefore;
  for (const { from, to, rate } of stretches) {
    if (from >= at) break;
    spent += ((Math.min(to, at) - from) / DAY) * rate;
  }
  return spent;
}

/**
 * When a number of equivalent days on ice will have been spent.
 *
 * @param days days on ice
 * @returns ms, or null while the clock stands still before it gets there
 * @example
 * whenIceDaysSpent({ from: 0, spentBefore: 0, climate: 'temperate', assumedCelsius: 0, readings: [], pauses: [] }, 7) / 86400000
 * // => 7
 */
export function whenIceDaysSpent(track: SpoilageTrack, days: number, stretches = stretchesOf(track)): number | null {
  inRange(days, { field: 'iceDays', unit: 'd', min: 0, max: 60 });
  let left = days - track.spentBefore;
  if (left <= 0) return track.from;
  for (const { from, to, rate } of stretches) {
    const most = rate === 0 ? 0 : ((to - from) / DAY) * rate;
    if (rate > 0 && most >= left) return from + (left / rate) * DAY;
    left -= most;
  }
  return null;
}
