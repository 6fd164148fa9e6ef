import { iceDaysSpent, type Stretch } from '../fish/freshness.ts';
import { union } from '../log/holding.ts';
import { freshnessClock } from '../activity/piece/hazard.ts';
import { spentBy, warmClock, type WarmClock } from '../activity/cold/hazards/clock.ts';
import { contextsOf, type JudgeInput } from './verdict.ts';
import type { FreshnessClock } from '../activity/piece/hazard.ts';
import type { Reason } from '../codes/window.ts';

/** What a piece's clocks use up, kept as change-points so that any later moment can be read off them. */
export interface PieceClock {
  /** Days on ice; null for what arrived frozen. */
  readonly ice: {
    readonly days: number;
    /** Share of them for raw service. */
    readonly share: number;
    readonly spentBefore: number;
    readonly stretches: readonly (Omit<Stretch, 'to'> & { readonly to: number | null })[];
  } | null;
  /** Its time in the warm: what it may spend, s, and when it did, and will where nobody reads it. An open end is null; ms */
  readonly warm: {
    readonly budgetSeconds: number;
    readonly spells: readonly { readonly from: number; readonly to: number | null }[];
    /** From when on it counts as unread; null while nothing says when. */
    readonly readBy: number | null;
  };
}

/** The freshness clock that runs out first, of all lineages of a batch and all candidates; null where none is known. */
export const soonestClock = (inputs: readonly JudgeInput[]): FreshnessClock | null =>
  inputs
    .flatMap((input) => contextsOf(input))
    .map((context) => freshnessClock(context))
    .filter((clock) => clock !== null)
    .sort((a, b) => (a.rawUntil ?? Infinity) - (b.rawUntil ?? Infinity))[0] ?? null;

/** What is spent of the budget of warm hours, by what was found: of several the fullest. Null without such a budget. */
export function warmBudget(reasons: readonly Reason[]): { spentSeconds: number; budgetSeconds: number } | null {
  return (
    reasons
      .filter(({ hazard, seen }) => hazard === 'histamine' && seen.budgetSeconds !== undefined)
      .map(({ seen }) => ({ spentSeconds: Number(seen.spentSeconds), budgetSeconds: Number(seen.budgetSeconds) }))
      .sort((a, b) => b.spentSeconds / b.budgetSeconds - a.spentSeconds / a.budgetSeconds)[0] ?? null
  );
}

const open = (to: number) => (Number.isFinite(to) ? to : null);

const endOf = ({ once }: WarmClock): number => Math.min(once.closes ?? Infinity, once.readBy ?? Infinity);

/** The clock in the warm that runs out first, of all lineages of a batch and all candidates; null for none. */
export const soonestWarm = (inputs: readonly JudgeInput[]): WarmClock | null =>
  inputs
    .flatMap((input) => contextsOf(input))
    .map((context) => warmClock(context))
    .sort((a, b) => endOf(a) - endOf(b))[0] ?? null;

/** The clocks of a piece, without a moment in them: what they stand at is read off them later. */
export function pieceClock(inputs: readonly JudgeInput[]): PieceClock | null {
  const warm = soonestWarm(inputs);
  if (!warm) return null;
  const fresh = soonestClock(inputs);
  return {
    // JSON knows no infinity: an open end is null.
    ice: fresh && {
      days: fresh.iceDays,
      share: fresh.share,
      spentBefore: fresh.track.spentBefore,
      stretches: fresh.stretches.map(({ from, to, rate }) => ({ from, to: open(to), rate }))
    },
    warm: {
      budgetSeconds: warm.budgetSeconds,
      spells: union(warm.spells).map(({ from, to }) => ({ from, to: open(to) })),
      readBy: warm.readBy
    }
  };
}

/**
 * The share of its time in the warm a piece has spent by a moment, 0 to 1 and beyond.
 *
 * @param at ms
 */
export const warmShare = ({ warm }: PieceClock, at: number): number =>
  spentBy(
    warm.spells.map(({ from, to }) => ({ from, to: to ?? Infinity })),
    at
  ) / Math.max(1, warm.budgetSeconds);

/**
 * The share of its days on ice a piece has spent by a moment, 0 to 1 and beyond; null for what arrived frozen.
 *
 * @param at ms
 */
export function spentShare({ ice }: PieceClock, at: number): number | null {
  if (!ice) return null;
  const stretches = ice.stretches.map((each) => ({ ...each, to: each.to ?? Infinity }));
  return iceDaysSpent({ spentBefore: ice.spentBefore }, at, stretches) / ice.days;
}
