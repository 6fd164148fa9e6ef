import type { FindingCode } from '../../../codes/finding.ts';
import { ALL_ROUTES, papers, reason, wasFrozenBefore, type Hazard, type JudgeContext } from '../../../rules/context.ts';
import { atOrBelow } from '../../../codes/profile.ts';
import { budgetEnd, warmSpells, wasAbove } from '../../../rules/warmth.ts';
import type { Effect, Reason } from '../../../codes/window.ts';
import { spentBy } from './clock.ts';

/**
 * The paper that says it was chilled on its way: the vessel's own record, which binds the first receiver; from any other
 * supplier a letter on its own plan, with the warmest temperature in transit, at or below the limit.
 */
function chilledBy(context: JudgeContext) {
  const vessel = papers(context, 'chill-record').valid[0];
  if (vessel) return vessel;
  const { above } = context.profile.histamine;
  return papers(context, 'supplier-letter').valid.find(
    ({ transit }) => transit !== null && atOrBelow({ celsius: transit.si, unit: transit.unit }, above)
  );
}

/** Histamine families: a paper on the chill before the door, and a budget of warm hours that nothing gives back. */
export const histamine: Hazard = (context) => {
  const { species, lot, profile } = context;
  if (!species.hazards.includes('histamine')) return [];
  const rule = profile.histamine;
  const out: Reason[] = [];
  const chilled = chilledBy(context);
  if (!chilled) {
    out.push(
      reason(context, 'histamine', 'histamine.no-chill-record', { kind: 'missing' }, rule, {
        routes: ALL_ROUTES,
        wouldChange: 'chill-record'
      })
    );
  }
  const spells = [
    // Out of the cold it counts whole; and what nobody heard of is not cold either.
    ...warmSpells(context, { limit: rule.above, isStrict: true }),
    ...context.chain
      .flatMap((piece) => piece.holds)
      .map((hold) => ({ from: hold.at, to: Infinity, cause: 'tray' as const, seq: hold.seq }))
  ];
  const isHot = wasAbove(context, rule.hot, { trays: true });
  const wasFrozen = wasFrozenBefore(context);
  const budget = wasFrozen
    ? isHot
      ? rule.secondsIfFrozenAndHot
      : rule.secondsIfFrozen
    : isHot
      ? rule.secondsIfHot
      : rule.seconds;
  const { closes, readBy } = budgetEnd(spells, budget);
  const seen = { spentSeconds: spentBy(spells, context.at), budgetSeconds: budget, aboveC: rule.above.c };
  const evidence = [
    ...new Set([...(chilled ? [chilled.seq] : []), lot.received.seq, ...spells.map(({ seq }) => seq)])
  ].filter((seq) => seq > 0);
  const found = (code: FindingCode, effect: Effect) =>
    out.push(reason(context, 'histamine', code, effect, rule, { routes: ALL_ROUTES, evidence, seen }));
  if (closes !== null) {
    found(closes > context.at ? 'histamine.budget-running' : 'histamine.budget-spent', { kind: 'closes', at: closes });
  }
  // Within its budget for as long as somebody reads it.
  if (readBy !== null) found('histamine.read-by', { kind: 'read-by', at: readBy });
  if (closes === null && readBy === null) found('histamine.within-budget', { kind: 'pass' });
  return out;
};
