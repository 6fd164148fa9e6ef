import { secondsAbove, warmLoss } from '../../service/clocks.ts';
import { ALL_ROUTES, papers, reason, wasFrozenBefore, type Hazard } from '../context.ts';
import { atOrBelow } from '../profile.ts';
import type { Reason } from '../window.ts';

/** Temperature at the door. */
export const arrival: Hazard = (context) => {
  const { received } = context.lot;
  const limit = received.frozen ? context.profile.receiveFrozen : context.profile.receiveCold;
  const evidence = [received.seq];
  // Live shellfish travel under their own programme: cool air, not a core temperature.
  if (received.form === 'live') return [];
  if (!received.core) {
    return [
      reason(context, 'temperature', 'temperature.not-taken', { kind: 'missing' }, limit, {
        routes: ALL_ROUTES,
        evidence,
        wouldChange: 'take-core-temperature'
      })
    ];
  }
  const { si: celsius, unit, typed } = received.core;
  const seen = { celsius, typed, limitC: limit.c, limitF: limit.f };
  if (!atOrBelow({ celsius, unit }, limit)) {
    return [
      reason(context, 'temperature', 'temperature.arrived-warm', { kind: 'missing' }, limit, {
        routes: ALL_ROUTES,
        evidence,
        seen,
        wouldChange: 'send-back-or-answer-for'
      })
    ];
  }
  return [
    reason(context, 'temperature', 'temperature.arrived-cold', { kind: 'pass' }, limit, {
      routes: ALL_ROUTES,
      evidence,
      seen
    })
  ];
};

/** Cold holding: warm readings that no cold one answered in time. */
export const holding: Hazard = (context) => {
  const { profile } = context;
  const { readings } = context;
  // A reading in the other scale may lie a rounding away from the limit, no more.
  if (context.warmest < profile.coldHold.c - 0.5) return [];
  const loss = warmLoss(readings, profile.coldHold);
  if (!loss) return [];
  const warm = readings.find((reading) => reading.at === loss.warmAt)!;
  return [
    reason(context, 'temperature', 'temperature.held-warm', { kind: 'closes', at: loss.closes }, profile.coldHold, {
      routes: ALL_ROUTES,
      evidence: [warm.seq],
      seen: { celsius: warm.celsius, typed: warm.typed, limitC: profile.coldHold.c, warmAt: loss.warmAt },
      wouldChange: 'cold-reading-in-time'
    })
  ];
};

/** Histamine families: a chill record from the boat, and a budget of warm hours that nothing gives back. */
export const histamine: Hazard = (context) => {
  const { species, lot, profile } = context;
  if (!species.hazards.includes('histamine')) return [];
  const rule = profile.histamine;
  const chilled = papers(context, 'chill-record').valid[0];
  if (!chilled) {
    return [
      reason(context, 'histamine', 'histamine.no-chill-record', { kind: 'missing' }, rule, {
        routes: ALL_ROUTES,
        wouldChange: 'chill-record'
      })
    ];
  }
  const core = lot.received.core;
  // The door comes before every reading of what came through it.
  const points = core ? [{ at: lot.received.at, celsius: core.si }, ...context.readings] : context.readings;
  const holds = context.chain.flatMap((piece) => piece.holds);
  const warmest = Math.max(context.warmest, core?.si ?? -Infinity);
  const hot = warmest > rule.hot.c;
  const wasFrozen = wasFrozenBefore(context);
  const budget = wasFrozen
    ? hot
      ? rule.secondsIfFrozenAndHot
      : rule.secondsIfFrozen
    : hot
      ? rule.secondsIfHot
      : rule.seconds;
  const logged = warmest > rule.above.c ? secondsAbove(points, rule.above.c) : 0;
  // On a tray the fish is taken as warm from its first minute out of the cold, for all the time it may stay there.
  const onTrays = holds.reduce((sum, hold) => sum + (hold.plan.discardAt - hold.at) / 1000, 0);
  const spent = logged + onTrays;
  const evidence = [chilled.seq, ...context.readings.map(({ seq }) => seq)];
  const seen = { spentSeconds: spent, budgetSeconds: budget, aboveC: rule.above.c };
  if (spent <= budget) {
    const out: Reason[] = [
      reason(context, 'histamine', 'histamine.within-budget', { kind: 'pass' }, rule, {
        routes: ALL_ROUTES,
        evidence,
        seen
      })
    ];
    return out;
  }
  const closes = points.find((_, index) => secondsAbove(points.slice(0, index + 1), rule.above.c) > budget)?.at;
  return [
    reason(context, 'histamine', 'histamine.budget-spent', { kind: 'closes', at: closes ?? lot.received.at }, rule, {
      routes: ALL_ROUTES,
      evidence,
      seen
    })
  ];
};

/** Time as the control: a tray once out is discarded at its time, and does not go back. */
export const timeControl: Hazard = (context) => {
  const out: Reason[] = [];
  for (const hold of context.chain.flatMap((piece) => piece.holds)) {
    const control =
      context.profile.timeControls.find(({ id }) => id === hold.plan.control) ?? context.profile.timeControls[0];
    if (!control) continue;
    const ceiling = control.ceiling;
    const over = ceiling ? hold.readings.find((reading) => !atOrBelow(reading, ceiling)) : undefined;
    // A tray on the longer clock that passes its ceiling falls back to nothing: it is discarded then.
    const closes = Math.min(hold.plan.discardAt, hold.at + control.seconds * 1000, over?.at ?? Infinity);
    out.push(
      reason(
        context,
        'time-control',
        over ? 'time-control.too-warm' : 'time-control.tray',
        { kind: 'closes', at: closes },
        control,
        {
          routes: ALL_ROUTES,
          evidence: [hold.seq, ...(over ? [over.seq] : [])],
          seen: { label: hold.plan.label, hours: control.seconds / 3600, startedAt: hold.at }
        }
      )
    );
  }
  return out;
};

/** Shellfish: only with the tag that says from which waters. */
export const shellfish: Hazard = (context) => {
  const { species, lot, profile } = context;
  if (species.group !== 'mollusc' && !(species.group === 'scallop' && lot.received.form === 'live')) return [];
  const tag = papers(context, 'shellfish-tag').valid[0];
  return [
    tag
      ? reason(context, 'shellfish', 'shellfish.tagged', { kind: 'pass' }, profile.shellfishTag, {
          routes: ALL_ROUTES,
          evidence: [tag.seq],
          seen: { issuer: tag.issuer, reference: tag.reference, keepDays: profile.shellfishTag.keepDays }
        })
      : reason(context, 'shellfish', 'shellfish.no-tag', { kind: 'missing' }, profile.shellfishTag, {
          routes: ALL_ROUTES,
          evidence: [lot.received.seq],
          wouldChange: 'shellfish-tag'
        })
  ];
};
