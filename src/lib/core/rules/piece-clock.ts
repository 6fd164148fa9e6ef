import { iceDaysSpent, type Stretch } from '../fish/freshness.ts';
import { freshnessClock } from './hazards/age.ts';
import { contextsOf, type JudgeInput } from './verdict.ts';
import type { FreshnessClock } from './hazards/age.ts';
import type { Reason } from './window.ts';

/** What a piece's clocks use up, kept as change-points so that any later moment can be read off them. */
export interface PieceClock {
  readonly iceDays: number;
  /** Share of them for raw service. */
  readonly share: number;
  readonly spentBefore: number;
  readonly stretches: readonly (Omit<Stretch, 'to'> & { readonly to: number | null })[];
  /** Warm hours spent of their budget, 0 to 1; null where the fish has no such budget. */
  readonly warm: number | null;
}

/** The freshness clock that runs out first, of all strands of a batch and all candidates; null where none is known. */
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
      .filter(({ code }) => code.startsWith('histamine.') && code.includes('budget'))
      .map(({ seen }) => ({ spentSeconds: Number(seen.spentSeconds), budgetSeconds: Number(seen.budgetSeconds) }))
      .sort((a, b) => b.spentSeconds / b.budgetSeconds - a.spentSeconds / a.budgetSeconds)[0] ?? null
  );
}

/** The clock of a piece. Null for what arrived frozen. */
export function pieceClock(inputs: readonly JudgeInput[], reasons: readonly Reason[]): PieceClock | null {
  const fresh = soonestClock(inputs);
  if (!fresh) return null;
  const budget = warmBudget(reasons);
  return {
    iceDays: fresh.iceDays,
    share: fresh.share,
    spentBefore: fresh.track.spentBefore,
    // JSON knows no infinity: an open end is null.
    stretches: fresh.stretches.map(({ from, to, rate }) => ({ from, to: Number.isFinite(to) ? to : null, rate })),
    warm: budget && budget.spentSeconds / Math.max(1, budget.budgetSeconds)
  };
}

/**
 * The share of its days on ice a piece has spent by a moment, 0 to 1 and beyond.
 *
 * @param at ms
 */
export function spentShare(clock: PieceClock, at: number): number {
  const stretches = clock.stretches.map((each) => ({ ...each, to: each.to ?? Infinity }));
  return iceDaysSpent({ spentBefore: clock.spentBefore }, at, stretches) / clock.iceDays;
}
