import type { SpeciesGroup } from '../fish/species.ts';

/** A limit as the rule prints it, in both scales. A reading is compared in its own scale. */
export interface ScaleLimit {
  readonly c: number;
  readonly f: number;
}

/** Where a number stands. */
export interface Cited {
  /** Short name of the paragraph, for instance "3-402.11(A)(1)". */
  readonly rule: string;
  readonly citation: string;
  /** Set where the number should be confirmed with the authority. */
  readonly check?: boolean;
  /** 'house' where the code leaves the number to the operator. */
  readonly from?: 'code' | 'house';
}

export interface FreezeCycle extends Cited {
  readonly id: string;
  readonly hold: ScaleLimit;
  readonly holdSeconds: number;
  /** Where set, the product must first be frozen solid at this air temperature before the hold is counted. */
  readonly solidAt?: ScaleLimit;
}

export interface TimeControl extends Cited {
  readonly id: '4h' | '6h';
  readonly seconds: number;
  readonly start: ScaleLimit;
  /** Or at or above this, for what is served hot; absent where the rule knows no such start. */
  readonly startHot?: ScaleLimit;
  /** Never above this while held; absent where no temperature is watched. */
  readonly ceiling?: ScaleLimit;
  /** Where a ceiling is to be watched and nobody read it, the tray ends after this, s. */
  readonly unreadSeconds?: number;
}

export interface RuleProfile {
  readonly id: string;
  readonly name: string;
  readonly edition: string;
  /** Version of this data file; stands on every verdict. */
  readonly version: string;
  readonly parasites: {
    readonly rule: Cited;
    readonly appliesTo: readonly SpeciesGroup[];
    readonly cycles: readonly FreezeCycle[];
    /** The clock the code names. The house may count from the core where the code names the air. */
    readonly clock: 'air' | 'core';
    /** Parasites the cycles do not clear. */
    readonly notClearing: readonly ('fluke' | 'tapeworm')[];
    readonly notClearingRule?: Cited;
    readonly exemptGroups: readonly {
      readonly group: SpeciesGroup;
      readonly rule: Cited;
      /** What must be on record of the lot for the exemption. */
      readonly needs?: 'roeRinsed';
    }[];
    readonly exemptSpecies: { readonly scientific: readonly string[]; readonly rule: Cited } | null;
    readonly aquaculture: {
      readonly rule: Cited;
      /** Ways of farming that qualify. */
      readonly systems: readonly FarmSystem[];
      /** What the statement has to say. */
      readonly needs: readonly FeedStatementPoint[];
    } | null;
    /** A spore parasite of one farmed genus with a cycle of its own. */
    readonly kudoa?: Cited & { readonly genus: string; readonly hold: ScaleLimit; readonly holdSeconds: number };
    /** Strict adds the sensor's accuracy to the reading, plain does not. */
    readonly accuracy: 'plain' | 'strict';
    /** Longest believable silence between logged readings, in s. */
    readonly loggedGapSeconds: number;
    /** For readings written by hand: longest silence as a share of the hold. */
    readonly handGapShare: number;
  };
  readonly receiveCold: ScaleLimit & Cited;
  /** Live shellfish: air round them; null where the rule knows no figure, only that they live. */
  readonly receiveLive: Cited & { readonly limit: ScaleLimit | null };
  readonly receiveFrozen: ScaleLimit & Cited;
  readonly coldHold: ScaleLimit & Cited;
  /** Colder than what closes anything: above it the verdict warns. */
  readonly coldWarn?: ScaleLimit & Cited;
  /** The house's cumulative clock: all that stood warmer, added up for the life of a piece. */
  readonly warmClock: Cited & {
    readonly above: ScaleLimit;
    readonly hot: ScaleLimit;
    readonly seconds: number;
    readonly secondsIfHot: number;
    /** Longest silence that is believed of what lies in the cold, s. */
    readonly silenceSeconds: number;
  };
  /** Routes it closes: all where the code writes it, the raw ones where the house does. */
  readonly dateMark: Cited & { readonly days: number; readonly closes: 'all' | 'raw' };
  readonly timeControls: readonly TimeControl[];
  readonly histamine: Cited & {
    readonly above: ScaleLimit;
    readonly hot: ScaleLimit;
    readonly seconds: number;
    readonly secondsIfHot: number;
    /** The same for fish that had been frozen before. */
    readonly secondsIfFrozen: number;
    readonly secondsIfFrozenAndHot: number;
  };
  readonly shellfishTag: Cited & { readonly keepDays: number };
  readonly commercialSource: Cited;
  readonly ciguatera: Cited;
  readonly poisons: Cited;
  /** Guests who are highly susceptible, and raw food. */
  readonly susceptible: Cited;
  readonly freezeRecords: Cited & { readonly keepDays: number };
  /** Set where this is a house's copy of another. */
  readonly house?: {
    readonly base: string;
    readonly reason: string;
    readonly by: string;
    readonly seq: number;
    readonly looser: readonly string[];
    /** Changes an older entry made that lie below the base's law, and do not act. */
    readonly refused: readonly string[];
  };
}

export type FarmSystem = 'net-pen-open-water' | 'land-based' | 'pond' | 'other';
export type FeedStatementPoint = 'formulatedFeed' | 'raised' | 'fromEmbryos' | 'noHazardVerified';

/**
 * True where a reading is at or below a limit, compared in the scale it was read in. The boundary is inclusive.
 *
 * @example
 * atOrBelow({ celsius: -20, unit: 'C' }, { c: -20, f: -4 }) // => true
 */
export function atOrBelow(
  reading: { readonly celsius: number; readonly unit?: string },
  limit: ScaleLimit,
  addCelsius = 0
): boolean {
  // A billionth of a degree absorbs the conversion's last bit, nothing a sensor could show.
  const slack = 1e-9;
  if (reading.unit === 'F') return (reading.celsius * 9) / 5 + 32 + (addCelsius * 9) / 5 <= limit.f + slack;
  return reading.celsius + addCelsius <= limit.c + slack;
}
