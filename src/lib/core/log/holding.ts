import { HOUR } from '../measure/spans.ts';
import { atOrBelow, type ScaleLimit } from '../codes/profile.ts';
import { ASSUMED_HOLDING_CELSIUS, rateAt, type Stretch } from '../fish/freshness.ts';
import type { Species } from '../fish/species.ts';
import type { FreezeReading } from '../activity/freeze/fold.ts';
import { HAND_SILENCE_MS, isByHand, patience, type Series } from './series.ts';

export interface Interval {
  readonly from: number;
  readonly to: number;
}

const isAbove = (series: Series, index: number, limit: ScaleLimit) =>
  !atOrBelow({ celsius: series.celsius[index]!, unit: series.fahrenheit[index] ? 'F' : 'C' }, limit);

/**
 * When a log stands above a limit. Between two logged readings each crossing lies on the straight line; a reading written by hand
 * stands until the next one. Unknown is not cold: warmth that a silence follows lasts until the next reading, and without one
 * for ever; a warm reading after a silence counts for as long before it as a silence would have been believed.
 *
 * @param gapMs longest believable silence, ms
 * @returns ascending, not touching; ms, an end that nothing has said yet as Infinity
 */
export function intervalsAbove(series: Series, limit: ScaleLimit, gapMs: number): Interval[] {
  const out: { from: number; to: number }[] = [];
  const add = (from: number, to: number) => {
    const last = out.at(-1);
    if (last && last.to >= from) last.to = Math.max(last.to, to);
    else out.push({ from, to });
  };
  let before = false;
  for (let index = 0; index < series.length; index++) {
    const above = isAbove(series, index, limit);
    const moment = series.at[index]!;
    const start = index > 0 ? series.at[index - 1]! : -Infinity;
    const isStep = isByHand(series, index) || isByHand(series, index - 1);
    const isSilence = moment - start > patience(series, index, gapMs);
    if (before && (above || isSilence || isStep)) add(start, moment);
    else if (above && isSilence && !isByHand(series, index)) add(Math.max(start, moment - gapMs), moment);
    else if (above !== before && !isSilence && !isStep) {
      const [low, high] = [series.celsius[index - 1]!, series.celsius[index]!];
      const share = Math.min(1, Math.max(0, (limit.c - low) / (high - low)));
      const crossing = start + share * (moment - start);
      add(above ? crossing : start, above ? moment : crossing);
    } else if (above) add(moment, moment);
    before = above;
  }
  if (before) add(series.at[series.length - 1]!, Infinity);
  return out;
}

/** Both lists in one, overlaps once. */
export function union(intervals: readonly Interval[]): Interval[] {
  const out: { from: number; to: number }[] = [];
  for (const { from, to } of [...intervals].sort((a, b) => a.from - b.from)) {
    const last = out.at(-1);
    if (last && last.to >= from) last.to = Math.max(last.to, to);
    else out.push({ from, to });
  }
  return out;
}

/** The parts of intervals inside a span. */
export const clipped = (intervals: readonly Interval[], from: number, to: number): Interval[] =>
  intervals
    .filter((each) => each.to >= from && each.from <= to)
    .map((each) => ({ from: Math.max(each.from, from), to: Math.min(each.to, to) }));

export const secondsIn = (intervals: readonly Interval[]): number =>
  intervals.reduce((sum, { from, to }) => sum + (to - from) / 1000, 0);

/** A log is told to the spoilage clock in pieces this long: its integral is exact, its hundreds of readings are not carried about. */
export const BUCKET_MS = 3 * HOUR;
/** A piece ends sooner where the rate has moved by more than this share: what is said of its middle is then as near as that. */
const BUCKET_SHARE = 0.1;

/** What a silence leaves standing: the warmth before it for half a day, the warmth after it for as long as silence is believed. */
function silentStretches(from: number, to: number, before: number, after: number, assumed: number, gapMs: number) {
  const out: Stretch[] = [];
  const add = (start: number, end: number, rate: number) => {
    if (end > start && rate > assumed) out.push({ from: start, to: end, rate });
  };
  const stands = before > assumed ? Math.min(to, from + HAND_SILENCE_MS) : from;
  const back = after > assumed ? Math.max(from, to - gapMs) : to;
  add(from, Math.min(stands, back), before);
  add(back, stands, Math.max(before, after));
  add(Math.max(stands, back), to, after);
  return out;
}

/**
 * The rate of spoilage a log speaks for, a few hours at a time: each stretch carries the mean of the rate over the readings in it, so
 * that its integral is that of the log (trapezoid on the rate; the warmer of two where one was written by hand). Into silences only
 * warmth reaches. Below -3 °C the rate is that of -3 °C, the end of the model's range.
 * Source of the rate: Huss (1995), FAO Fisheries Technical Paper 348.
 *
 * @returns ascending, not overlapping
 */
export function rateStretches(series: Series, climate: Species['climate'], gapMs: number): Stretch[] {
  const out: Stretch[] = [];
  const assumed = rateAt(ASSUMED_HOLDING_CELSIUS, climate);
  const rate = (index: number) => rateAt(Math.max(-3, series.celsius[index]!), climate);
  let from = 0;
  let end = 0;
  let first = 0;
  let integral = 0;
  const close = () => {
    if (end > from) out.push({ from, to: end, rate: integral / (end - from) });
    integral = 0;
  };
  if (series.length > 0) {
    from = end = series.at[0]!;
    first = rate(0);
    out.push(...silentStretches(-Infinity, from, 0, rate(0), assumed, gapMs));
  }
  for (let index = 1; index < series.length; index++) {
    const [start, to] = [series.at[index - 1]!, series.at[index]!];
    const [before, after] = [rate(index - 1), rate(index)];
    if (to - start > patience(series, index, gapMs)) {
      close();
      out.push(...silentStretches(start, to, before, after, assumed, gapMs));
      from = end = to;
      first = after;
      continue;
    }
    // By the clock, not from where the log begins: the same hours make the same figures in a longer log.
    if (
      Math.floor(start / BUCKET_MS) !== Math.floor(from / BUCKET_MS) ||
      Math.abs(after - first) > BUCKET_SHARE * first
    ) {
      close();
      from = start;
      first = before;
    }
    const isStep = isByHand(series, index) || isByHand(series, index - 1);
    integral += (isStep ? Math.max(before, after) : (before + after) / 2) * (to - start);
    end = to;
  }
  close();
  if (series.length > 0) {
    out.push(...silentStretches(end, Infinity, rate(series.length - 1), 0, assumed, gapMs));
  }
  return out;
}

function spokenIn(series: Series, silenceMs: number): Interval[] {
  const out: { from: number; to: number }[] = [];
  for (const at of series.at) {
    const last = out.at(-1);
    if (last && at - last.to <= silenceMs) last.to = at;
    else out.push({ from: at, to: at });
  }
  return out;
}

/** What is known of the air of a place, ready to be asked by everything that lay in it. Answers are worked out once. */
export interface PlaceLog {
  /** What loggers say, and what was read and written down. */
  readonly series: Series;
  /** What loggers say alone: whether they are silent is a question of its own. */
  readonly logged: Series;
  /** Entries of the ledger that keep these readings; none for what is not yet sealed. */
  readonly seqs: readonly number[];
  readonly gapMs: number;
  above(limit: ScaleLimit): readonly Interval[];
  /** Stretches in which it was never silent for longer than this, ms: from a first reading to a last one. */
  heard(silenceMs: number): readonly Interval[];
  rates(climate: Species['climate']): readonly Stretch[];
}

export function placeLog(
  series: Series,
  gapMs: number,
  seqs: readonly number[] = [],
  logged: Series = series
): PlaceLog {
  const above = new Map<string, readonly Interval[]>();
  const heardKept = new Map<string, readonly Interval[]>();
  const rates = new Map<string, readonly Stretch[]>();
  const kept = <Value>(book: Map<string, Value>, key: string, work: () => Value): Value => {
    const known = book.get(key);
    if (known !== undefined) return known;
    const made = work();
    book.set(key, made);
    return made;
  };
  return {
    series,
    logged,
    seqs,
    gapMs,
    heard: (silenceMs) => kept(heardKept, String(silenceMs), () => spokenIn(series, silenceMs)),
    above: (limit) => kept(above, `${limit.c} ${limit.f}`, () => intervalsAbove(series, limit, gapMs)),
    rates: (climate) => kept(rates, climate, () => rateStretches(series, climate, gapMs))
  };
}

/** What loggers and hands say of one freezer run. */
export interface RunLog {
  readonly air: Series;
  readonly core: Series;
  /** The place's own thermometer, read and written down while the run lasted. */
  readonly hand: readonly FreezeReading[];
  /** Accuracy of the worst of its sensors, ± °C; null where none is on record. */
  readonly accuracy: number | null;
  readonly seq: number;
}

/** Where logs are asked for. The record answers in the house, a table in tests. */
export interface LogBook {
  /**
   * The air of a place in the last weeks, by its name; null where no sensor spoke of it in them.
   *
   * @param since as far back as this at least, ms
   */
  place(name: string, since?: number): PlaceLog | null;
  /** What was read of a place, and of a probe in a core, in a span of time; null for nothing. ms */
  run(place: string, coreSensor: string, from: number, to: number): RunLog | null;
}
export const NO_LOGS: LogBook = { place: () => null, run: () => null };
