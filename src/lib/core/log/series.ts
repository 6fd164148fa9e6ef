import { HOUR } from '../measure/spans.ts';
import { EmberError } from '../errors.ts';

/**
 * Readings of one sensor, or of a place, as columns: a year of minutes is half a million of them, and an object each would be
 * more work than judging them.
 */
export interface Series {
  readonly length: number;
  /** ms, ascending, no instant twice */
  readonly at: Float64Array;
  /** °C */
  readonly celsius: Float64Array;
  /** 1 where it was read in °F: it is compared in its own scale. */
  readonly fahrenheit: Uint8Array;
  /** 1 where somebody read it and wrote it down; left out where a logger wrote all of it. */
  readonly byHand?: Uint8Array;
}

export const NO_READINGS: Series = {
  length: 0,
  at: new Float64Array(0),
  celsius: new Float64Array(0),
  fahrenheit: new Uint8Array(0)
};

export interface LogReading {
  /** ms */
  readonly at: number;
  readonly celsius: number;
  readonly unit?: string;
}

/**
 * Columns from readings in any order. Of two readings of one instant the warmer counts.
 *
 * @throws EmberError `number.not-finite`
 * @example
 * seriesOf([{ at: 60000, celsius: -20 }, { at: 0, celsius: -21 }, { at: 0, celsius: -19 }]).celsius[0] // => -19
 */
export function seriesOf(readings: readonly LogReading[]): Series {
  const at = Float64Array.from(readings, (each) => each.at);
  const celsius = Float64Array.from(readings, (each) => each.celsius);
  const fahrenheit = Uint8Array.from(readings, (each) => (each.unit === 'F' ? 1 : 0));
  return inOrder(at, celsius, fahrenheit, readings.length);
}

/**
 * Puts columns in order and drops what is there twice; of one instant the warmer stays.
 *
 * @param length how many of each column count; the rest is spare room
 * @throws EmberError `number.not-finite`
 */
export function inOrder(at: Float64Array, celsius: Float64Array, fahrenheit: Uint8Array, length: number): Series {
  let sorted = true;
  for (let index = 0; index < length; index++) {
    if (!Number.isFinite(at[index]!) || !Number.isFinite(celsius[index]!)) {
      throw new EmberError('number.not-finite', { field: 'readings', seen: `${at[index]}, ${celsius[index]}` });
    }
    if (index > 0 && at[index - 1]! >= at[index]!) sorted = false;
  }
  if (sorted) {
    return {
      length,
      at: at.subarray(0, length),
      celsius: celsius.subarray(0, length),
      fahrenheit: fahrenheit.subarray(0, length)
    };
  }
  const order = Uint32Array.from({ length }, (_, index) => index);
  order.sort((a, b) => at[a]! - at[b]! || celsius[a]! - celsius[b]!);
  const outAt = new Float64Array(length);
  const outCelsius = new Float64Array(length);
  const outFahrenheit = new Uint8Array(length);
  let count = 0;
  for (const index of order) {
    // The warmer of one instant comes last, and overwrites.
    if (count > 0 && outAt[count - 1] === at[index]) count--;
    outAt[count] = at[index]!;
    outCelsius[count] = celsius[index]!;
    outFahrenheit[count] = fahrenheit[index]!;
    count++;
  }
  return {
    length: count,
    at: outAt.subarray(0, count),
    celsius: outCelsius.subarray(0, count),
    fahrenheit: outFahrenheit.subarray(0, count)
  };
}

/** Between a reading written by hand and the next one a longer silence is believed: half a day, as of a core reading. ms */
export const HAND_SILENCE_MS = 12 * HOUR;

export const isByHand = ({ byHand }: Series, index: number): boolean => byHand?.[index] === 1;

/**
 * How long a silence before a reading is believed, ms.
 *
 * @param gapMs longest believable silence of a logger, ms
 */
export const patience = (series: Series, index: number, gapMs: number): number =>
  isByHand(series, index) || isByHand(series, index - 1) ? Math.max(gapMs, HAND_SILENCE_MS) : gapMs;

/** A logger's readings with those written by hand among them. Of one instant the warmer counts. */
export function withHand(logged: Series, hand: Series): Series {
  if (hand.length === 0) return logged;
  const all = joined([logged, hand]);
  const written = new Set(hand.at);
  const byLogger = new Set<number>();
  for (let index = 0; index < logged.length; index++)
    if (written.has(logged.at[index]!)) byLogger.add(logged.at[index]!);
  return { ...all, byHand: Uint8Array.from(all.at, (at) => (written.has(at) && !byLogger.has(at) ? 1 : 0)) };
}

/** Index of the first reading at or after a moment. */
export function indexAt(series: Series, moment: number): number {
  let low = 0;
  let high = series.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (series.at[middle]! < moment) low = middle + 1;
    else high = middle;
  }
  return low;
}

/**
 * Readings from a moment to another, both included. Shares its columns with the whole.
 *
 * @example
 * between(seriesOf([{ at: 0, celsius: 1 }, { at: 5, celsius: 2 }, { at: 9, celsius: 3 }]), 1, 9).length // => 2
 */
export function between(series: Series, from: number, to: number): Series {
  const first = indexAt(series, from);
  let last = indexAt(series, to);
  while (last < series.length && series.at[last]! <= to) last++;
  if (first === 0 && last === series.length) return series;
  return {
    length: Math.max(0, last - first),
    at: series.at.subarray(first, last),
    celsius: series.celsius.subarray(first, last),
    fahrenheit: series.fahrenheit.subarray(first, last),
    ...(series.byHand ? { byHand: series.byHand.subarray(first, last) } : {})
  };
}

/** Several stretches of readings as one. Of one instant the warmer counts. */
export function joined(parts: readonly Series[]): Series {
  const full = parts.filter(({ length }) => length > 0);
  if (full.length <= 1) return full[0] ?? NO_READINGS;
  const length = full.reduce((sum, part) => sum + part.length, 0);
  const at = new Float64Array(length);
  const celsius = new Float64Array(length);
  const fahrenheit = new Uint8Array(length);
  let offset = 0;
  for (const part of full) {
    at.set(part.at, offset);
    celsius.set(part.celsius, offset);
    fahrenheit.set(part.fahrenheit, offset);
    offset += part.length;
  }
  return inOrder(at, celsius, fahrenheit, length);
}

/**
 * What several sensors of one place say together: at every reading of any of them, the warmest of what each said last. A
 * sensor speaks until its next reading, and at most for the longest silence that is believed; then the others speak alone.
 *
 * @param gapMs longest believable silence, ms
 */
export function warmest(sensors: readonly Series[], gapMs: number): Series {
  const speaking = sensors.filter(({ length }) => length > 0);
  if (speaking.length <= 1) return speaking[0] ?? NO_READINGS;
  const length = speaking.reduce((sum, each) => sum + each.length, 0);
  const at = new Float64Array(length);
  const celsius = new Float64Array(length);
  const fahrenheit = new Uint8Array(length);
  const next = speaking.map(() => 0);
  let count = 0;
  for (;;) {
    let moment = Infinity;
    speaking.forEach((each, index) => {
      if (next[index]! < each.length) moment = Math.min(moment, each.at[next[index]!]!);
    });
    if (moment === Infinity) break;
    let most = -Infinity;
    let scale = 0;
    speaking.forEach((each, index) => {
      if (next[index]! < each.length && each.at[next[index]!] === moment) next[index]!++;
      const last = next[index]! - 1;
      if (last >= 0 && moment - each.at[last]! <= gapMs && each.celsius[last]! > most) {
        most = each.celsius[last]!;
        scale = each.fahrenheit[last]!;
      }
    });
    at[count] = moment;
    celsius[count] = most;
    fahrenheit[count++] = scale;
  }
  return {
    length: count,
    at: at.subarray(0, count),
    celsius: celsius.subarray(0, count),
    fahrenheit: fahrenheit.subarray(0, count)
  };
}

export interface Bin {
  readonly from: number;
  readonly to: number;
  readonly min: number;
  readonly max: number;
  readonly mean: number;
  readonly count: number;
}

/**
 * A long log in few bins, none of whose extremes is lost. Bins without a reading are left out: a gap stays a gap.
 *
 * @param count how many bins, 1 to 5000
 */
export function binned(series: Series, from: number, to: number, count: number): Bin[] {
  const width = (to - from) / count;
  if (!(width > 0)) return [];
  const out: Bin[] = [];
  let index = indexAt(series, from);
  for (let bin = 0; bin < count; bin++) {
    const start = from + bin * width;
    const end = bin === count - 1 ? to : start + width;
    let min = Infinity;
    let max = -Infinity;
    let sum = 0;
    const first = index;
    while (index < series.length && (series.at[index]! < end || (bin === count - 1 && series.at[index]! <= end))) {
      const value = series.celsius[index++]!;
      if (value < min) min = value;
      if (value > max) max = value;
      sum += value;
    }
    if (index > first) out.push({ from: start, to: end, min, max, mean: sum / (index - first), count: index - first });
  }
  return out;
}

export interface Silence {
  readonly from: number;
  readonly to: number;
}
/** Silences longer than is believed, between readings; ms. */
export function silences(series: Series, gapMs: number): Silence[] {
  const out: Silence[] = [];
  for (let index = 1; index < series.length; index++) {
    if (series.at[index]! - series.at[index - 1]! > patience(series, index, gapMs)) {
      out.push({ from: series.at[index - 1]!, to: series.at[index]! });
    }
  }
  return out;
}
