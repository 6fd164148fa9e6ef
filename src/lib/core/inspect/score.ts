import { EmberError } from '../errors.ts';
import type { Sheet } from './sheets.ts';

export type Decision = 'accept' | 'cooked-only' | 'hold-freeze' | 'send-back';

/** Level seen for each attribute by its id; null where it could not be looked at. */
export type Answers = Readonly<Record<string, number | null>>;

export interface Inspection {
  /** Weighted demerit points of what was seen. */
  readonly points: number;
  /** The most that could have been given for what was seen. */
  readonly most: number;
  /** Equivalent days on ice: low, likely, high. Unseen attributes widen the high end only. */
  readonly iceDays: { readonly low: number; readonly likely: number; readonly high: number };
  /** Attributes that decide by themselves, with what they decide. */
  readonly settled: readonly { readonly attribute: string; readonly decision: 'cooked-only' | 'send-back' }[];
  readonly unseen: readonly string[];
}

/** Spread of the estimate: about an eighth of the life, half a day at least (quality index panels agree to 1-1.5 days in 12-15; check). */
const SPREAD_SHARE = 0.12;
const SPREAD_LEAST_DAYS = 0.5;

/**
 * Scores a sheet: demerit points as a share of the most possible, read as a share of the species' days on ice (the index
 * grows in proportion to days on ice: Bremner 1985; Martinsdottir et al. 2001).
 *
 * @param answers level by attribute id; null where not seen
 * @param iceDays the species' days on ice, d
 * @throws EmberError `form.incomplete` for an attribute without an answer, `form.value-unknown` for a level that is not there
 */
export function scoreSheet(sheet: Sheet, answers: Answers, iceDays: number): Inspection {
  let points = 0;
  let most = 0;
  let unseenMost = 0;
  const settled: Inspection['settled'][number][] = [];
  const unseen: string[] = [];
  for (const { id, weight, levels, optional } of sheet.attributes) {
    const answer = answers[id] ?? (optional ? null : answers[id]);
    if (answer === undefined) throw new EmberError('form.incomplete', { field: id });
    const top = Math.max(...levels.map((level) => level.points)) * weight;
    if (answer === null) {
      unseen.push(id);
      unseenMost += top;
      continue;
    }
    const level = levels[answer];
    if (!level) throw new EmberError('form.value-unknown', { field: id, seen: answer });
    points += level.points * weight;
    most += top;
    if (level.settles) settled.push({ attribute: id, decision: level.settles });
  }
  const spread = Math.max(SPREAD_LEAST_DAYS, iceDays * SPREAD_SHARE);
  const share = most > 0 ? points / most : 1;
  const worst = most + unseenMost > 0 ? (points + unseenMost) / (most + unseenMost) : 1;
  return {
    points,
    most,
    iceDays: {
      low: Math.max(0, share * iceDays - spread),
      likely: share * iceDays,
      high: worst * iceDays + spread
    },
    settled,
    unseen
  };
}

/** How good a lot looked, by its share of the worst points: first, second, third. The house's steps (check). */
export type Grade = 'first' | 'second' | 'third';
/**
 * The grade of a block by its sheet.
 *
 * @example
 * gradeOf({ points: 3, most: 30 }) // => 'first'
 */
export function gradeOf({ points, most }: Pick<Inspection, 'points' | 'most'>): Grade {
  const share = most > 0 ? points / most : 1;
  return share <= 0.15 ? 'first' : share <= 0.35 ? 'second' : 'third';
}

/**
 * What the sheet recommends; the person decides. Smell and the like settle it alone; else the days on ice against the part
 * of them the house serves raw; then the rule book's freezing.
 *
 * @param iceDays the species' days on ice, d
 * @param rawShare share of them for raw service, 0 to 1
 * @param needsFreezing whether the rule book opens raw only by a freezing
 */
export function recommend(seen: Inspection, iceDays: number, rawShare: number, needsFreezing: boolean): Decision {
  if (seen.settled.some(({ decision }) => decision === 'send-back')) return 'send-back';
  if (seen.iceDays.likely >= iceDays) return 'send-back';
  if (seen.settled.length > 0 || seen.iceDays.likely >= iceDays * rawShare) return 'cooked-only';
  // Most of it unseen is no ground to take it raw.
  if (seen.iceDays.high >= iceDays) return 'cooked-only';
  return needsFreezing ? 'hold-freeze' : 'accept';
}

/** How strict a decision is: a looser one than before has to be owned. */
export const STRICTNESS: Readonly<Record<Decision, number>> = {
  accept: 0,
  'hold-freeze': 1,
  'cooked-only': 2,
  'send-back': 3
};
