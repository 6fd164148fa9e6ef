import { atOrBelow, type FreezeCycle } from '../../codes/profile.ts';
import type { FreezeReading } from '../../activity/freeze/fold.ts';
import { between, type Series } from '../../log/series.ts';
import { Hold, type ComplianceOptions, type CycleResult, type Point } from './hold.ts';

/**
 * Readings since the start in order of time; at the same minute the warmer one counts, so it is met last and can end the
 * hold. They are recorded in order as a rule, and then nothing is copied.
 */
function inOrder(readings: readonly FreezeReading[], startedAt: number): readonly FreezeReading[] {
  let sorted = readings.length === 0 || readings[0]!.at >= startedAt;
  for (let index = 1; sorted && index < readings.length; index++) {
    const [a, b] = [readings[index - 1]!, readings[index]!];
    sorted = a.at < b.at || (a.at === b.at && a.celsius <= b.celsius);
  }
  if (sorted) return readings;
  return readings.filter((reading) => reading.at >= startedAt).sort((a, b) => a.at - b.at || a.celsius - b.celsius);
}

/** What loggers say of a run: the air of its freezer, and a probe in its core where one was put there. */
export interface LoggedEvidence {
  readonly air: Series;
  readonly core: Series;
  /** Entry of the ledger that keeps them, for the evidence. */
  readonly seq: number;
}

/** Walks three lists in order of time, so that none has to be copied into one; of one instant the warmer comes last. */
function walk(hand: readonly FreezeReading[], logged: LoggedEvidence, take: (point: Point) => boolean, until: number) {
  const { air, core } = logged;
  let [h, a, c] = [0, 0, 0];
  const point: Point = { at: 0, celsius: 0, unit: 'C', probe: 'air', seq: logged.seq, hand: false };
  for (;;) {
    const handAt = h < hand.length ? hand[h]!.at : Infinity;
    const airAt = a < air.length ? air.at[a]! : Infinity;
    const coreAt = c < core.length ? core.at[c]! : Infinity;
    const at = Math.min(handAt, airAt, coreAt);
    if (at === Infinity || at > until) return;
    const handIs = handAt === at ? hand[h]!.celsius : Infinity;
    const airIs = airAt === at ? air.celsius[a]! : Infinity;
    const coreIs = coreAt === at ? core.celsius[c]! : Infinity;
    const least = Math.min(handIs, airIs, coreIs);
    point.at = at;
    point.celsius = least;
    if (handIs === least) {
      const reading = hand[h++]!;
      point.unit = reading.unit;
      point.probe = reading.probe;
      point.seq = reading.seq;
      point.hand = true;
    } else {
      const fromAir = airIs === least;
      const series = fromAir ? air : core;
      point.unit = series.fahrenheit[fromAir ? a++ : c++] ? 'F' : 'C';
      point.probe = fromAir ? 'air' : 'core';
      point.seq = logged.seq;
      point.hand = false;
    }
    if (!take(point)) return;
  }
}

/**
 * Judges freezer readings against one cycle: those written by hand, and those of loggers. The hold is continuous: a reading
 * above the threshold, or a silence longer than the gap limit, starts it anew. The boundary is inclusive.
 *
 * Core readings outrank air readings. Counting from the core, an air reading opens the hold only after the model's slow
 * bound has passed since the piece went in (or since the last excursion); once open, either kind keeps it open.
 *
 * @param readings any order; duplicates are harmless
 * @param logged what loggers say of it, if any does
 * @returns one result; heldSeconds grows only as far as the last reading proves
 */
export function judgeCycle(
  readings: readonly FreezeReading[],
  cycle: FreezeCycle,
  options: ComplianceOptions,
  logged?: LoggedEvidence
): CycleResult {
  const sorted = inOrder(readings, options.startedAt);
  const judge = new Hold(cycle, options);
  const until = options.endedAt ?? Infinity;
  if (logged && logged.air.length + logged.core.length > 0) {
    const { air, core, seq } = logged;
    const since = (series: Series) => between(series, options.startedAt, until);
    walk(sorted, { air: since(air), core: since(core), seq }, (point) => judge.take(point), until);
    return judge.result();
  }
  const point: Point = { at: 0, celsius: 0, unit: 'C', probe: 'core', seq: 0, hand: true };
  for (const reading of sorted) {
    if (reading.at > until) break;
    point.at = reading.at;
    point.celsius = reading.celsius;
    point.unit = reading.unit;
    point.probe = reading.probe;
    point.seq = reading.seq;
    if (!judge.take(point)) break;
  }
  return judge.result();
}

/**
 * A supplier's statement (temperature, time, frozen solid at -35 °C or not) against a cycle.
 *
 * @example
 * statementMeets({ celsius: -20, unit: 'C' }, 604800, false, { id: 'x', hold: { c: -20, f: -4 }, holdSeconds: 604800, rule: '', citation: '' }) // => true
 */
export function statementMeets(
  temperature: { celsius: number; unit: string },
  seconds: number,
  solidAt35: boolean,
  cycle: FreezeCycle
): boolean {
  if (cycle.solidAt && !solidAt35) return false;
  return atOrBelow(temperature, cycle.hold) && seconds >= cycle.holdSeconds - 1e-6;
}
