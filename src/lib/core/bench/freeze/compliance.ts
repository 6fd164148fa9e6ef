import { atOrBelow, type FreezeCycle, type ScaleLimit } from '../../rules/profile.ts';
import type { FreezeReading } from '../../record/state.ts';

/**
 * When core is "frozen solid". The rules name no number: at or below -18 °C is this product's definition.
 */
export const SOLID_CORE: ScaleLimit = { c: -18, f: -0.4 };
/** Assumed accuracy of a probe whose own is not on record, ± °C. */
export const DEFAULT_ACCURACY_CELSIUS = 0.5;

export interface ComplianceOptions {
  /** The clock that opens the window. */
  readonly clock: 'air' | 'core';
  /** 'strict' adds the accuracy to every reading, 'plain' counts the reading. */
  readonly accuracy: 'plain' | 'strict';
  readonly accuracyCelsius?: number;
  /** A silence longer than this share of the hold is unknown, not cold (readings written by hand). */
  readonly handGapShare: number;
  /** When the piece went in; ms. */
  readonly startedAt: number;
  /** The model's slow bound for the core's arrival, in s after `startedAt`; null: by air alone the core never counts. */
  readonly slowArrivalSeconds: number | null;
}

export interface CycleResult {
  readonly cycle: FreezeCycle;
  readonly clock: 'air' | 'core';
  readonly accuracy: 'plain' | 'strict';
  /** When the hold was complete; ms. Null while it is not. */
  readonly satisfiedAt: number | null;
  /** When the hold now counted began; ms. */
  readonly holdFrom: number | null;
  /**
   * While no hold is running: the earliest it may be promised to begin by the slow bound, and never before the last
   * reading, which did not begin it; ms. Null: by the model, never.
   */
  readonly promisedFrom: number | null;
  /** How much of the hold the readings prove, s. */
  readonly heldSeconds: number;
  readonly gaps: readonly { readonly from: number; readonly to: number }[];
  readonly excursions: readonly { readonly at: number; readonly celsius: number; readonly seq: number }[];
  readonly evidence: readonly number[];
}

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

/**
 * Judges hand-written freezer readings against one cycle. The hold is continuous: a reading above the threshold, or a
 * silence longer than the gap limit, starts it anew. The boundary is inclusive.
 *
 * Core readings outrank air readings. Counting from the core, an air reading opens the hold only after the model's slow
 * bound has passed since the piece went in (or since the last excursion); once open, either kind keeps it open.
 *
 * @param readings any order; duplicates are harmless
 * @returns one result; heldSeconds grows only as far as the last reading proves
 */
export function judgeCycle(
  readings: readonly FreezeReading[],
  cycle: FreezeCycle,
  options: ComplianceOptions
): CycleResult {
  const added = options.accuracy === 'strict' ? (options.accuracyCelsius ?? DEFAULT_ACCURACY_CELSIUS) : 0;
  const gapMs = options.handGapShare * cycle.holdSeconds * 1000;
  const sorted = inOrder(readings, options.startedAt);
  const slowMs = options.slowArrivalSeconds === null ? Infinity : options.slowArrivalSeconds * 1000;

  const gaps: { from: number; to: number }[] = [];
  const excursions: { at: number; celsius: number; seq: number }[] = [];
  const evidence: number[] = [];
  let solid = cycle.solidAt === undefined;
  let airAtSolid = false;
  let coldSince = options.startedAt;
  let holdFrom: number | null = null;
  let last: number | null = null;
  let satisfiedAt: number | null = null;
  let held = 0;

  for (const reading of sorted) {
    if (last !== null && reading.at - last > gapMs) {
      gaps.push({ from: last, to: reading.at });
      // The fish may have thawed unseen: the core has to arrive again from here.
      coldSince = reading.at;
      holdFrom = null;
      held = 0;
      if (satisfiedAt === null && cycle.solidAt) solid = airAtSolid = false;
    }
    last = reading.at;
    const proven = reading.probe === 'core' || options.clock === 'air' || reading.at - coldSince >= slowMs;
    if (!solid && cycle.solidAt) {
      // Solid alone is not enough: the rule wants it frozen solid at this temperature, so the air must be proven there
      // (a core that cold proves it too).
      if (reading.probe === 'air') {
        airAtSolid = atOrBelow(reading, cycle.solidAt, added);
        if (!airAtSolid) coldSince = reading.at;
      } else if (atOrBelow(reading, cycle.solidAt, added)) airAtSolid = true;
      const coreSolid =
        reading.probe === 'core' ? atOrBelow(reading, SOLID_CORE, added) : reading.at - coldSince >= slowMs;
      solid = airAtSolid && coreSolid;
      if (!solid) continue;
    }
    if (!atOrBelow(reading, cycle.hold, added)) {
      // Warmth before the hold has begun is the fish still cooling, not an excursion.
      if (holdFrom !== null) excursions.push({ at: reading.at, celsius: reading.celsius, seq: reading.seq });
      if (satisfiedAt !== null) break;
      holdFrom = null;
      held = 0;
      if (reading.probe === 'air' || evidence.length > 0) coldSince = reading.at;
      if (cycle.solidAt && excursions.length > 0) solid = airAtSolid = false;
      continue;
    }
    if (holdFrom === null) {
      if (!proven) continue;
      holdFrom = reading.at;
    }
    evidence.push(reading.seq);
    held = (reading.at - holdFrom) / 1000;
    if (satisfiedAt === null && held >= cycle.holdSeconds) satisfiedAt = holdFrom + cycle.holdSeconds * 1000;
  }
  return {
    cycle,
    clock: options.clock,
    accuracy: options.accuracy,
    satisfiedAt,
    holdFrom,
    promisedFrom: Number.isFinite(slowMs) ? Math.max(coldSince + slowMs, last ?? options.startedAt) : null,
    heldSeconds: satisfiedAt !== null ? Math.max(held, cycle.holdSeconds) : held,
    gaps,
    excursions,
    evidence
  };
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
