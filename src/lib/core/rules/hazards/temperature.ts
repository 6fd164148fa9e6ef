import { clipped, secondsIn, union, type Interval } from '../../log/holding.ts';
import { pointsAbove, WARM_READING_GRACE_SECONDS, warmLoss } from '../../service/clocks.ts';
import { ALL_ROUTES, papers, reason, wasFrozenBefore, type Hazard, type JudgeContext } from '../context.ts';
import { atOrBelow, type ScaleLimit } from '../profile.ts';
import { warmAir } from '../stays.ts';
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

/** Cold holding: warm readings, or a warm log, that nothing cold answered in time. */
export const holding: Hazard = (context) => {
  const { profile, readings } = context;
  const limit = profile.coldHold;
  const out: Reason[] = [];
  // A reading in the other scale may lie a rounding away from the limit, no more.
  const loss = context.warmest < limit.c - 0.5 ? null : warmLoss(readings, limit);
  if (loss) {
    const warm = readings.find((reading) => reading.at === loss.warmAt)!;
    out.push(
      reason(context, 'temperature', 'temperature.held-warm', { kind: 'closes', at: loss.closes }, limit, {
        routes: ALL_ROUTES,
        evidence: [warm.seq],
        seen: { celsius: warm.celsius, typed: warm.typed, limitC: limit.c, warmAt: loss.warmAt },
        wouldChange: 'cold-reading-in-time'
      })
    );
  }
  const air = context.stays.length === 0 ? null : warmAirLoss(context, limit);
  if (air) {
    out.push(
      reason(context, 'temperature', 'temperature.log-warm', { kind: 'closes', at: air.closes }, limit, {
        routes: ALL_ROUTES,
        evidence: [air.stay.stay.seq, ...air.stay.log.seqs.slice(-1)],
        seen: { place: air.stay.stay.place, limitC: limit.c, warmAt: air.from, ongoing: air.ongoing },
        wouldChange: 'cold-reading-in-time'
      })
    );
  }
  return out;
};

/** The first stretch of warm air that lasted longer than is forgiven, with no cold core read in between; null for none. */
function warmAirLoss(context: JudgeContext, limit: ScaleLimit) {
  const grace = WARM_READING_GRACE_SECONDS * 1000;
  const cold = context.readings.filter((reading) => atOrBelow(reading, limit)).map(({ at }) => at);
  for (const stay of context.stays) {
    for (const { from, to } of clipped(stay.log.above(limit), stay.from, stay.to)) {
      const answers = cold.filter((at) => at > from && at <= to);
      let since = from;
      for (const answer of [...answers, Infinity]) {
        const end = Math.min(answer, to);
        // Warm to its last word, and the piece is still there: it is warm until somebody says otherwise.
        if (end - since > grace) return { closes: since + grace, from: since, stay, ongoing: to === Infinity };
        if (answer >= to) break;
        since = answer;
      }
    }
  }
  return null;
}

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
  const thawed = context.chain
    .flatMap((piece) => piece.thaws)
    .reduce((sum, run) => sum + (run.ended?.warmSeconds ?? 0), 0);
  const hot = warmest > rule.hot.c || (context.stays.length > 0 && warmAir(context.stays, rule.hot).length > 0);
  const wasFrozen = wasFrozenBefore(context);
  const budget = wasFrozen
    ? hot
      ? rule.secondsIfFrozenAndHot
      : rule.secondsIfFrozen
    : hot
      ? rule.secondsIfHot
      : rule.seconds;
  const byHand = warmest > rule.above.c ? pointsAbove(points, rule.above.c) : [];
  // A minute that a log and a probe both call warm is one minute.
  const warm = context.stays.length === 0 ? byHand : union([...byHand, ...warmAir(context.stays, rule.above)]);
  // On a tray the fish is taken as warm from its first minute out of the cold, for all the time it may stay there.
  const onTrays = holds.reduce((sum, hold) => sum + (hold.plan.discardAt - hold.at) / 1000, 0);
  const spent = secondsIn(clipped(warm, -Infinity, context.at)) + onTrays + thawed;
  const runsOut = spentAt(warm, budget - onTrays - thawed);
  const evidence = [chilled.seq, ...context.readings.map(({ seq }) => seq)];
  const seen = { spentSeconds: spent, budgetSeconds: budget, aboveC: rule.above.c };
  if (spent <= budget && runsOut === null) {
    return [
      reason(context, 'histamine', 'histamine.within-budget', { kind: 'pass' }, rule, {
        routes: ALL_ROUTES,
        evidence,
        seen
      })
    ];
  }
  return [
    reason(
      context,
      'histamine',
      spent <= budget ? 'histamine.budget-running' : 'histamine.budget-spent',
      { kind: 'closes', at: runsOut ?? lot.received.at },
      rule,
      {
        routes: ALL_ROUTES,
        evidence,
        seen
      }
    )
  ];
};

/** When warm stretches had used a budget up, ms; null where they alone did not. */
export function spentAt(warm: readonly Interval[], budget: number): number | null {
  if (budget < 0) return null;
  let left = budget * 1000;
  for (const { from, to } of warm) {
    if (to - from > left) return from + left;
    left -= to - from;
  }
  return null;
}

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
