import type { Interval } from '../../../log/holding.ts';
import { clipped, secondsIn, union } from '../../../log/holding.ts';
import { ALL_ROUTES, reason, type Hazard, type JudgeContext } from '../../../rules/context.ts';
import { atOrBelow, type ScaleLimit } from '../../../codes/profile.ts';
import { budgetEnd, isLasting, warmSpells, wasAbove, type BudgetEnd } from '../../../rules/warmth.ts';
import type { WarmCause, WarmSpell } from '../../../rules/warm-spell.ts';
import { RAW_ROUTES, type Reason, type Route } from '../../../codes/window.ts';
import { controlOf, isMonitored } from '../../tray/hazard.ts';

/** What stood warm so far, of how much, and when the rest runs out. */
export interface WarmClock {
  readonly budgetSeconds: number;
  readonly isHot: boolean;
  readonly spells: readonly WarmSpell[];
  /** When the budget is used up, and when it is used up twice over. */
  readonly once: BudgetEnd;
  readonly twice: BudgetEnd;
  /** From when on it counts as unread; null for never. ms */
  readonly readBy: number | null;
  /** Spent by the moment asked about, s. */
  readonly spentSeconds: number;
  /** Entries its spells lean on. */
  readonly evidence: readonly number[];
}

const colder = (a: ScaleLimit, b: ScaleLimit): ScaleLimit => (a.c <= b.c ? a : b);

/**
 * Trays under the four-hour clock count like any time out of the cold, but for one alone: its four hours are its own. A
 * monitored six-hour tray is not cut.
 */
function onTrays(context: JudgeContext, before: readonly WarmSpell[]): WarmSpell[] {
  const trays = context.chain
    .flatMap((piece) => piece.holds)
    .filter((hold) => !isMonitored(hold, controlOf(context.profile, hold)));
  return trays.flatMap((hold): WarmSpell[] => {
    const isAlone = trays.length === 1 && secondsIn(clipped(union(before), -Infinity, hold.at)) === 0;
    return isAlone ? [] : [{ from: hold.at, to: Infinity, cause: 'tray', seq: hold.seq }];
  });
}

/** Live goods outside rule books with a figure for them live as warm as they like, until they are opened. */
const livesUntil = ({ profile, chain }: JudgeContext): number =>
  profile.receiveLive.limit === null
    ? (chain.find(({ made }) => made.form !== 'live')?.made.at ?? Infinity)
    : -Infinity;

/** The cumulative clock of a piece: nothing cold gives any of it back. */
export function warmClock(context: JudgeContext): WarmClock {
  const { warmClock: rule, coldHold } = context.profile;
  const from = livesUntil(context);
  const since = (spells: readonly WarmSpell[]) =>
    from === -Infinity
      ? spells
      : spells.flatMap((spell) => (spell.to > from ? [{ ...spell, from: Math.max(from, spell.from) }] : []));
  const limit = colder(rule.above, coldHold);
  const others = since(warmSpells(context, { limit, isStrict: false }));
  const trays = onTrays(context, others);
  const isHot = from !== Infinity && wasAbove(context, rule.hot, { trays: trays.length > 0 });
  const budgetSeconds = isHot ? rule.secondsIfHot : rule.seconds;
  const spells = [...others, ...trays];
  const readBy = Math.min(...spells.filter(isLasting).map(({ from }) => from), Infinity);
  return {
    budgetSeconds,
    isHot,
    spells,
    once: budgetEnd(spells, budgetSeconds),
    twice: budgetEnd(spells, 2 * budgetSeconds),
    readBy: Number.isFinite(readBy) ? readBy : null,
    spentSeconds: spentBy(spells, context.at),
    evidence: [...new Set(spells.map(({ seq }) => seq))].filter((seq) => seq > 0)
  };
}

/** Seconds of it that are spent by a moment. */
export const spentBy = (spells: readonly Interval[], at: number): number =>
  secondsIn(clipped(union(spells), -Infinity, at).filter(({ from, to }) => to > from));

/** The cause that took most of it by a moment. */
function mainCause(spells: readonly WarmSpell[], at: number): WarmCause | '' {
  const totals = new Map<WarmCause, number>();
  for (const { from, to, cause } of spells)
    totals.set(cause, (totals.get(cause) ?? 0) + Math.max(0, Math.min(to, at) - from));
  return [...totals].sort((a, b) => b[1] - a[1])[0]?.[0] ?? '';
}

/** What a budget says of some routes: within, running out, spent, or to be read before a moment. */
function findings(
  context: JudgeContext,
  clock: WarmClock,
  { closes, readBy }: BudgetEnd,
  routes: readonly Route[],
  isPan = false
): Reason[] {
  const out: Reason[] = [];
  if (isPan && closes === null && readBy === null) return out;
  const { warmClock: rule } = context.profile;
  const seen = {
    spentSeconds: clock.spentSeconds,
    budgetSeconds: clock.budgetSeconds * (isPan ? 2 : 1),
    aboveC: rule.above.c,
    hot: clock.isHot,
    silentHours: rule.silenceSeconds / 3600
  };
  const { evidence } = clock;
  if (closes !== null) {
    const state = closes <= context.at ? 'clock.spent' : 'clock.running';
    out.push(
      reason(context, 'temperature', isPan ? 'clock.pan' : state, { kind: 'closes', at: closes }, rule, {
        routes,
        evidence,
        seen: { ...seen, cause: mainCause(clock.spells, Math.max(closes, context.at)) },
        wouldChange: closes <= context.at ? null : 'read-it-cold'
      })
    );
  }
  if (readBy !== null) {
    const isSilence = !clock.spells.some(
      (spell) => isLasting(spell) && spell.cause !== 'silence' && spell.from <= readBy
    );
    out.push(
      reason(
        context,
        'temperature',
        isPan ? 'clock.pan-read-by' : isSilence ? 'clock.read-by' : 'clock.warm-unread',
        { kind: 'read-by', at: readBy },
        rule,
        {
          routes,
          evidence,
          seen: { ...seen, readBy: clock.readBy },
          wouldChange: 'read-it-cold'
        }
      )
    );
  }
  if (out.length === 0 && !isPan) {
    out.push(reason(context, 'temperature', 'clock.within', { kind: 'pass' }, rule, { routes, evidence, seen }));
  }
  return out;
}

/**
 * Time out of temperature, one ledger for the life of a piece: warm readings, warm logs, boards, moves, thaws, baths, trays,
 * places nobody listed and silences, added up. Spent, it closes the raw routes; cooked too for histamine kinds, for the others
 * once it is spent twice over.
 */
export const holding: Hazard = (context) => {
  const clock = warmClock(context);
  const isHistamine = context.species.hazards.includes('histamine');
  const out = findings(context, clock, clock.once, isHistamine ? ALL_ROUTES : RAW_ROUTES);
  if (!isHistamine) out.push(...findings(context, clock, clock.twice, ['cooked'], true));
  const warn = context.profile.coldWarn;
  const last = context.points.at(-1);
  if (warn && last && !atOrBelow({ celsius: last.celsius, unit: last.unit ?? 'C' }, warn)) {
    out.push(
      reason(context, 'temperature', 'temperature.warmer-than-ice', { kind: 'pass' }, warn, {
        routes: ALL_ROUTES,
        evidence: [last.seq],
        seen: { celsius: last.celsius, limitC: warn.c }
      })
    );
  }
  return out;
};
