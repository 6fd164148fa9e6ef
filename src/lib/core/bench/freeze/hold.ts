import { atOrBelow, type FreezeCycle, type ScaleLimit } from '../../codes/profile.ts';

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

/** One reading, as the judge takes it. */
export interface Point {
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

type Excursion = { -readonly [Key in keyof HoldExcursion]: HoldExcursion[Key] };

/** The hold of one cycle: takes readings in order of time, one after the other, and says at the end what they prove. */
export class Hold {
  readonly #cycle: FreezeCycle;
  readonly #options: ComplianceOptions;
  /** Added to every reading, °C. */
  readonly #added: number;
  readonly #handGapMs: number;
  readonly #loggedGapMs: number;
  readonly #slowMs: number;
  /** Air above this is warmer than the forecast of the arrival was made for, °C. */
  readonly #tooWarmForPlan: number;
  readonly #witness: ReturnType<typeof solidWitness> | null;

  readonly #gaps: { from: number; to: number }[] = [];
  readonly #excursions: Excursion[] = [];
  readonly #evidence = new Set<number>();
  #solid: boolean;
  #airAtSolid = false;
  /** Frozen solid in that air once, as the rule asks: should it have thawed since, it froze there again. */
  #frozeHere = false;
  #coldSince: number;
  /** Time since then in which the air was warmer than the forecast took it to be, ms. */
  #paused = 0;
  #warmAir: number | null = null;
  /** When the air last read above the hold, while it has not read cold since; ms. */
  #airAbove: number | null = null;
  #holdFrom: number | null = null;
  /** The last core read cold, ms; null while none, or after a warm one. */
  #coldCore: { at: number; hand: boolean } | null = null;
  /** Warm air over a core that was read cold: nothing counts until the core is read again. */
  #inDoubt = false;
  #last: number | null = null;
  #lastHand = false;
  #lastSeq = 0;
  #satisfiedAt: number | null = null;
  /** s */
  #held = 0;
  #warm: Excursion | null = null;

  constructor(cycle: FreezeCycle, options: ComplianceOptions) {
    this.#cycle = cycle;
    this.#options = options;
    this.#added = options.accuracy === 'strict' ? (options.accuracyCelsius ?? DEFAULT_ACCURACY_CELSIUS) : 0;
    this.#handGapMs = options.handGapShare * cycle.holdSeconds * 1000;
    this.#loggedGapMs = Math.min(this.#handGapMs, (options.loggedGapSeconds ?? DEFAULT_LOGGED_GAP_SECONDS) * 1000);
    this.#slowMs = options.slowArrivalSeconds === null ? Infinity : options.slowArrivalSeconds * 1000;
    this.#tooWarmForPlan =
      options.plannedAirCelsius === undefined ? Infinity : options.plannedAirCelsius + AIR_TOLERANCE_CELSIUS;
    this.#witness = cycle.solidAt ? solidWitness(options) : null;
    this.#solid = cycle.solidAt === undefined;
    this.#coldSince = options.startedAt;
  }

  /** False where no later reading changes anything. */
  take(reading: Point): boolean {
    const { at, probe } = reading;
    if (
      this.#last !== null &&
      at - this.#last > (reading.hand || this.#lastHand ? this.#handGapMs : this.#loggedGapMs)
    ) {
      this.#gaps.push({ from: this.#last, to: at });
      if (this.#satisfiedAt !== null) return false;
      this.#afterSilence(at);
    }
    this.#last = at;
    this.#lastHand = reading.hand;
    const isCold = atOrBelow(reading, this.#cycle.hold, this.#added);
    if (probe === 'air') this.#hearAir(reading, isCold);
    const proven = probe === 'core' || this.#options.clock === 'air' || this.#hasArrived(at);
    if (!this.#solid && this.#cycle.solidAt && !this.#freezes(reading, this.#cycle.solidAt)) return true;
    // The core outranks the air both ways: over a core read cold lately warm air breaks nothing by itself, and nothing counts
    // until the core is read cold again, in time. Where the air is the clock, the air decides.
    if (
      this.#options.clock === 'core' &&
      probe === 'air' &&
      !isCold &&
      this.#holdFrom !== null &&
      this.#isFresh(reading)
    ) {
      this.#inDoubt = true;
      return true;
    }
    if (probe === 'core') this.#hearCore(reading, isCold);
    else if (this.#inDoubt) return true;
    return isCold ? this.#counts(reading, proven) : this.#breaks(reading);
  }

  result(): CycleResult {
    const cycle = this.#cycle;
    const solidBefore = this.#witness !== null && !this.#solid && !this.#frozeHere && !this.#witness.soft;
    return {
      cycle,
      clock: this.#options.clock,
      accuracy: this.#options.accuracy,
      satisfiedAt: this.#satisfiedAt,
      holdFrom: this.#holdFrom,
      promisedFrom:
        Number.isFinite(this.#slowMs) && !solidBefore
          ? Math.max(this.#coldSince + this.#paused + this.#slowMs, this.#last ?? this.#options.startedAt)
          : null,
      solidBefore,
      heldSeconds: this.#satisfiedAt !== null ? Math.max(this.#held, cycle.holdSeconds) : this.#held,
      gaps: this.#gaps,
      excursions: this.#excursions,
      evidence: [...this.#evidence]
    };
  }

  #restartArrival(at: number): void {
    this.#coldSince = at;
    this.#paused = 0;
  }
  #restartHold(): void {
    this.#holdFrom = null;
    this.#held = 0;
  }
  /** By the slow bound of the forecast, in air as cold as it took it to be. */
  #hasArrived(at: number): boolean {
    return at - this.#coldSince - this.#paused >= this.#slowMs;
  }
  /** Whether a core was read cold so lately that a reading between could not have missed its warming. */
  #isFresh({ at, hand }: Point): boolean {
    const core = this.#coldCore;
    return core !== null && at - core.at <= (core.hand || hand ? this.#handGapMs : this.#loggedGapMs);
  }

  /** The fish may have thawed unseen: the core has to arrive again from here. */
  #afterSilence(at: number): void {
    this.#restartArrival(at);
    this.#warmAir = null;
    this.#restartHold();
    this.#warm = null;
    if (this.#cycle.solidAt) this.#solid = this.#airAtSolid = false;
    this.#coldCore = null;
    this.#inDoubt = false;
  }

  #hearAir({ at, celsius }: Point, isCold: boolean): void {
    if (this.#warmAir !== null) this.#paused += at - Math.max(this.#warmAir, this.#coldSince);
    this.#warmAir = celsius > this.#tooWarmForPlan ? at : null;
    this.#airAbove = isCold ? null : at;
  }

  /**
   * Whether it is frozen solid in the air that the cycle asks for. Solid alone is not enough: the air must be proven there (a core that cold
   * proves it too).
   */
  #freezes(reading: Point, limit: ScaleLimit): boolean {
    const { at, probe } = reading;
    const witness = this.#witness!;
    if (probe === 'air') {
      this.#airAtSolid = atOrBelow(reading, limit, this.#added);
      witness.air(at, this.#airAtSolid);
      if (!this.#airAtSolid) this.#restartArrival(at);
    } else {
      if (atOrBelow(reading, limit, this.#added)) this.#airAtSolid = true;
      const isSolid = atOrBelow(reading, SOLID_CORE);
      witness.core(at, isSolid, this.#airAtSolid);
      // Whatever the model says, the core is not there yet.
      if (!isSolid) this.#restartArrival(at);
    }
    const coreSolid = probe === 'core' ? atOrBelow(reading, SOLID_CORE, this.#added) : this.#hasArrived(at);
    this.#solid = this.#airAtSolid && coreSolid && (this.#frozeHere || witness.soft);
    if (this.#solid) this.#frozeHere = true;
    return this.#solid;
  }

  /** A core that is read answers what warm air left in doubt: cold and in time the hold stands, else it begins anew. */
  #hearCore(reading: Point, isCold: boolean): void {
    const answers = this.#inDoubt && isCold && this.#isFresh(reading);
    if (this.#inDoubt && !answers) {
      this.#restartArrival(reading.at);
      this.#restartHold();
    }
    this.#coldCore = isCold ? { at: reading.at, hand: reading.hand } : null;
    this.#inDoubt = false;
    if (answers) this.#airAbove = null;
  }

  /** A reading above the hold. False where the hold was complete before. */
  #breaks({ at, celsius, seq }: Point): boolean {
    // Warmth before the hold has begun is the fish still cooling, not an excursion.
    if (this.#holdFrom !== null) {
      this.#warm = { at, celsius, seq, until: at, peak: celsius, over: false };
      this.#excursions.push(this.#warm);
    } else if (this.#warm) {
      this.#warm.until = at;
      this.#warm.over = false;
      this.#warm.peak = Math.max(this.#warm.peak, celsius);
    }
    if (this.#satisfiedAt !== null) return false;
    this.#restartHold();
    // Any core that reads warm outranks the model's word that it has arrived, whether a hold has begun or not.
    this.#restartArrival(at);
    if (this.#cycle.solidAt && this.#excursions.length > 0) this.#solid = this.#airAtSolid = false;
    return true;
  }

  /** A reading at or below the hold. */
  #counts({ at, seq }: Point, proven: boolean): boolean {
    // A core still cold in air that is too warm begins no hold: the rest of the piece is warming.
    if (this.#airAbove !== null && at - this.#airAbove <= this.#loggedGapMs) return true;
    if (this.#warm) this.#warm.over = true;
    if (this.#holdFrom === null) {
      if (!proven) return true;
      this.#holdFrom = at;
      this.#warm = null;
    }
    // What a logger just sent has no entry of its own yet.
    if (seq > 0 && seq !== this.#lastSeq) {
      this.#evidence.add(seq);
      this.#lastSeq = seq;
    }
    this.#held = (at - this.#holdFrom) / 1000;
    const { holdSeconds } = this.#cycle;
    if (this.#satisfiedAt === null && this.#held >= holdSeconds)
      this.#satisfiedAt = this.#holdFrom + holdSeconds * 1000;
    return true;
  }
}
