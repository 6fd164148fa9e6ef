import { atOrBelow, type FreezeCycle, type ScaleLimit } from '../../codes/profile.ts';
import type { FreezeReading } from '../../activity/freeze/fold.ts';
import { between, type Series } from '../../log/series.ts';

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
  /** A silence longer than this between two logged readings is unknown, s. */
  readonly loggedGapSeconds?: number;
  /** When the piece went in; ms. */
  readonly startedAt: number;
  /** When it came out; ms. What was read later does not speak of it. */
  readonly endedAt?: number;
  /** The model's slow bound for the core's arrival, in s after `startedAt`; null: by air alone the core never counts. */
  readonly slowArrivalSeconds: number | null;
  /**
   * Air the slow bound was computed with, °C. While the air reads warmer than this by more than AIR_TOLERANCE the bound does
   * not run: a core that was forecast at -25 °C has not arrived in air of -21.
   */
  readonly plannedAirCelsius?: number;
  /** The model's fast bound of the core's arrival, s: for less than that in warmer air it cannot have become solid there. */
  readonly fastArrivalSeconds?: number | null;
  /** It went in solid, or nobody knows that it did not: frozen elsewhere, it is not "frozen solid in air of -35 °C" here. */
  readonly startsSolid?: boolean;
}
/** How much warmer than planned the air may read before the forecast of the core's arrival no longer runs, °C. */
export const AIR_TOLERANCE_CELSIUS = 1;
/** Longest believable silence of a logger where the profile names none, s. */
export const DEFAULT_LOGGED_GAP_SECONDS = 2 * 3600;

/** Warmth that broke a hold: from the first reading above to the last one before a hold began again. */
export interface HoldExcursion {
  readonly at: number;
  readonly celsius: number;
  readonly seq: number;
  readonly until: number;
  readonly peak: number;
  /** A cold reading has followed it. */
  readonly over: boolean;
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
  /** It was solid before the air of a cycle that freezes "until solid" came: that cycle cannot be shown from here. */
  readonly solidBefore: boolean;
  /** How much of the hold the readings prove, s. */
  readonly heldSeconds: number;
  readonly gaps: readonly { readonly from: number; readonly to: number }[];
  readonly excursions: readonly HoldExcursion[];
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

/** One reading, as the judge takes it. */
interface Point {
  at: number;
  celsius: number;
  unit: string;
  probe: 'core' | 'air';
  seq: number;
  /** Written by hand: a longer silence is believed between such. */
  hand: boolean;
}

/**
 * Whether fish became solid in air at or below a limit, as the cycles "until solid" ask. Fish that was solid when that air began does
 * not count. Where nobody read it, this product's convention (the rules name none): soft fish became solid in the air that was read,
 * unless it lay in warmer air for as long as the forecast's fast bound needs.
 */
function solidWitness({ startedAt, fastArrivalSeconds, startsSolid = false }: ComplianceOptions) {
  const fastMs = (fastArrivalSeconds ?? 0) * 1000;
  let soft = !startsSolid;
  /** Since when the air has been read too warm; undefined before the first reading since it was known soft. */
  let warmFrom: number | null | undefined;
  let softAt = startedAt;
  let warmMs = 0;
  return {
    get soft() {
      return soft;
    },
    core(at: number, isSolid: boolean, inCold: boolean) {
      if (isSolid && !inCold) soft = false;
      if (isSolid) return;
      soft = true;
      softAt = at;
      warmMs = 0;
      if (warmFrom !== null) warmFrom = warmFrom === undefined ? undefined : at;
    },
    air(at: number, isCold: boolean) {
      if (!isCold) warmFrom ??= warmFrom === undefined ? softAt : at;
      else {
        if (typeof warmFrom === 'number') warmMs += at - warmFrom;
        warmFrom = null;
        if (warmMs > 0 && warmMs >= fastMs) soft = false;
      }
    }
  };
}

/** Takes readings in order of time, one after the other, and says at the end what they prove. */
function holdJudge(cycle: FreezeCycle, options: ComplianceOptions) {
  const added = options.accuracy === 'strict' ? (options.accuracyCelsius ?? DEFAULT_ACCURACY_CELSIUS) : 0;
  const handGapMs = options.handGapShare * cycle.holdSeconds * 1000;
  const loggedGapMs = Math.min(handGapMs, (options.loggedGapSeconds ?? DEFAULT_LOGGED_GAP_SECONDS) * 1000);
  const slowMs = options.slowArrivalSeconds === null ? Infinity : options.slowArrivalSeconds * 1000;
  const tooWarmForPlan =
    options.plannedAirCelsius === undefined ? Infinity : options.plannedAirCelsius + AIR_TOLERANCE_CELSIUS;

  const gaps: { from: number; to: number }[] = [];
  const excursions: { -readonly [Key in keyof HoldExcursion]: HoldExcursion[Key] }[] = [];
  const evidence = new Set<number>();
  let solid = cycle.solidAt === undefined;
  let airAtSolid = false;
  const witness = cycle.solidAt ? solidWitness(options) : null;
  /** Frozen solid in that air once, as the rule asks: should it have thawed since, it froze there again. */
  let frozeHere = false;
  let coldSince = options.startedAt;
  /** Time since then in which the air was warmer than the forecast took it to be, ms. */
  let paused = 0;
  let warmAir: number | null = null;
  /** When the air last read above the hold, while it has not read cold since; ms. */
  let airAbove: number | null = null;
  let holdFrom: number | null = null;
  /** The last core read cold, ms; null while none, or after a warm one. */
  let coldCore: { at: number; hand: boolean } | null = null;
  /** Warm air over a core that was read cold: nothing counts until the core is read again. */
  let inDoubt = false;
  let last: number | null = null;
  let lastHand = false;
  let lastSeq = 0;
  let satisfiedAt: number | null = null;
  let held = 0;
  let warm: (typeof excursions)[number] | null = null;

  const restartArrival = (at: number) => {
    coldSince = at;
    paused = 0;
  };

  /** Whether a core was read cold so lately that a reading between could not have missed its warming. */
  const isFresh = (core: typeof coldCore, { at, hand }: Point): boolean =>
    core !== null && at - core.at <= (core.hand || hand ? handGapMs : loggedGapMs);
  const restart = (at: number) => {
    restartArrival(at);
    holdFrom = null;
    held = 0;
  };

  /** False where no later reading changes anything. */
  function take(reading: Point): boolean {
    const { at, probe } = reading;
    if (last !== null && at - last > (reading.hand || lastHand ? handGapMs : loggedGapMs)) {
      gaps.push({ from: last, to: at });
      if (satisfiedAt !== null) return false;
      // The fish may have thawed unseen: the core has to arrive again from here.
      restartArrival(at);
      warmAir = null;
      holdFrom = null;
      held = 0;
      warm = null;
      if (cycle.solidAt) solid = airAtSolid = false;
      coldCore = null;
      inDoubt = false;
    }
    last = at;
    lastHand = reading.hand;
    const isCold = atOrBelow(reading, cycle.hold, added);
    if (probe === 'air') {
      if (warmAir !== null) paused += at - Math.max(warmAir, coldSince);
      warmAir = reading.celsius > tooWarmForPlan ? at : null;
      airAbove = isCold ? null : at;
    }
    const proven = probe === 'core' || options.clock === 'air' || at - coldSince - paused >= slowMs;
    if (!solid && cycle.solidAt) {
      // Solid alone is not enough: the rule wants it frozen solid at this temperature, so the air must be proven there
      // (a core that cold proves it too).
      if (probe === 'air') {
        airAtSolid = atOrBelow(reading, cycle.solidAt, added);
        witness!.air(at, airAtSolid);
        if (!airAtSolid) restartArrival(at);
      } else {
        if (atOrBelow(reading, cycle.solidAt, added)) airAtSolid = true;
        const isSolid = atOrBelow(reading, SOLID_CORE);
        witness!.core(at, isSolid, airAtSolid);
        // Whatever the model says, the core is not there yet.
        if (!isSolid) restartArrival(at);
      }
      const coreSolid = probe === 'core' ? atOrBelow(reading, SOLID_CORE, added) : at - coldSince - paused >= slowMs;
      solid = airAtSolid && coreSolid && (frozeHere || witness!.soft);
      if (!solid) return true;
      frozeHere = true;
    }
    // The core outranks the air both ways: over a core read cold lately warm air breaks nothing by itself, and nothing counts
    // until the core is read cold again, in time. Where the air is the clock, the air decides.
    if (options.clock === 'core' && probe === 'air' && !isCold && holdFrom !== null && isFresh(coldCore, reading)) {
      inDoubt = true;
      return true;
    }
    if (probe === 'core') {
      const answers = inDoubt && isCold && isFresh(coldCore, reading);
      if (inDoubt && !answers) restart(at);
      coldCore = isCold ? { at, hand: reading.hand } : null;
      inDoubt = false;
      if (answers) airAbove = null;
    } else if (inDoubt) return true;
    if (!isCold) {
      // Warmth before the hold has begun is the fish still cooling, not an excursion.
      if (holdFrom !== null) {
        warm = { at, celsius: reading.celsius, seq: reading.seq, until: at, peak: reading.celsius, over: false };
        excursions.push(warm);
      } else if (warm) {
        warm.until = at;
        warm.over = false;
        warm.peak = Math.max(warm.peak, reading.celsius);
      }
      if (satisfiedAt !== null) return false;
      holdFrom = null;
      held = 0;
      // Any core that reads warm outranks the model's word that it has arrived, whether a hold has begun or not.
      restartArrival(at);
      if (cycle.solidAt && excursions.length > 0) solid = airAtSolid = false;
      return true;
    }
    // A core still cold in air that is too warm begins no hold: the rest of the piece is warming.
    if (airAbove !== null && at - airAbove <= loggedGapMs) return true;
    if (warm) warm.over = true;
    if (holdFrom === null) {
      if (!proven) return true;
      holdFrom = at;
      warm = null;
    }
    // What a logger just sent has no entry of its own yet.
    if (reading.seq > 0 && reading.seq !== lastSeq) {
      evidence.add(reading.seq);
      lastSeq = reading.seq;
    }
    held = (at - holdFrom) / 1000;
    if (satisfiedAt === null && held >= cycle.holdSeconds) satisfiedAt = holdFrom + cycle.holdSeconds * 1000;
    return true;
  }

  const isSolidBefore = () => witness !== null && !solid && !frozeHere && !witness.soft;
  const result = (): CycleResult => ({
    cycle,
    clock: options.clock,
    accuracy: options.accuracy,
    satisfiedAt,
    holdFrom,
    promisedFrom:
      Number.isFinite(slowMs) && !isSolidBefore()
        ? Math.max(coldSince + paused + slowMs, last ?? options.startedAt)
        : null,
    solidBefore: isSolidBefore(),
    heldSeconds: satisfiedAt !== null ? Math.max(held, cycle.holdSeconds) : held,
    gaps,
    excursions,
    evidence: [...evidence]
  });
  return { take, result };
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
  const judge = holdJudge(cycle, options);
  const until = options.endedAt ?? Infinity;
  if (logged && logged.air.length + logged.core.length > 0) {
    const { air, core, seq } = logged;
    const since = (series: Series) => between(series, options.startedAt, until);
    walk(sorted, { air: since(air), core: since(core), seq }, judge.take, until);
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
