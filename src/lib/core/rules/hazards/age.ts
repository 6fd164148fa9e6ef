import { ASSUMED_HOLDING_CELSIUS, eatingLifeSeconds } from '../../fish/freshness.ts';
import { dateMarkEnd } from '../../service/clocks.ts';
import { ALL_ROUTES, frozenSeconds, inFreezer, reason, type Hazard, type JudgeContext } from '../context.ts';
import { RAW_ROUTES, type Reason } from '../window.ts';
import { readInstant } from '../../service/day.ts';

/** Whole and gutted fish are not yet ready to eat: their date mark begins when the knife opens them. */
const UNOPENED = new Set(['whole', 'gutted', 'live']);

function preparedAt(context: JudgeContext): number | null {
  const firstOpened = context.chain.find((piece) => !UNOPENED.has(piece.made.form));
  const cureBegun = context.chain.flatMap((piece) => piece.cures)[0];
  // What arrived frozen thaws from the door on, whole or not.
  const thawed = context.lot.received.frozen ? context.lot.received.at : undefined;
  const times = [firstOpened?.made.at, cureBegun?.at, thawed].filter((time): time is number => time !== undefined);
  return times.length > 0 ? Math.min(...times) : null;
}

/** The date mark on what is ready to eat. */
export const dateMark: Hazard = (context) => {
  const prepared = preparedAt(context);
  if (prepared === null) return [];
  const { profile, house } = context;
  const days = Math.min(profile.dateMark.days, house.dateMarkDays);
  if (inFreezer(context)) {
    return [
      reason(context, 'date-mark', 'date-mark.paused', { kind: 'pass' }, profile.dateMark, {
        routes: ALL_ROUTES,
        seen: { days, preparedAt: prepared }
      })
    ];
  }
  const frozen = frozenSeconds(context, prepared);
  return [
    reason(
      context,
      'date-mark',
      'date-mark.day',
      { kind: 'closes', at: dateMarkEnd(prepared, days, frozen, house) },
      profile.dateMark,
      { routes: ALL_ROUTES, seen: { days, preparedAt: prepared, frozenDays: Math.floor(frozen / 86400) } }
    )
  ];
};

const ICE = {
  rule: 'days on ice',
  citation: "Huss (1995), FAO Fisheries Technical Paper 348; the share for raw service is the house's",
  from: 'house' as const
};

/**
 * Eating quality: raw service uses the first part of the species' days on ice, the pan all of them. What arrives alive is
 * served raw as long as it keeps: its days are days of life, counted in full (check).
 */
export const freshness: Hazard = (context) => {
  const { species, lot, house } = context;
  const { caughtOn, frozen, form } = lot.received;
  // Arrived frozen: time on ice before freezing is the supplier's and not known; the date mark from its arrival rules.
  if (frozen) return [];
  const evidence = [lot.received.seq];
  const alive = form === 'live';
  const share = alive ? 1 : house.rawShareOfIceDays;
  const lasts = (part: number) => eatingLifeSeconds(species.iceDays, part, ASSUMED_HOLDING_CELSIUS, species.climate);
  // Without a day of catch the pan's days are counted from the door, which is late: so a day of catch is asked for too.
  const from = caughtOn ? readInstant(caughtOn, house.zone, 'caughtOn') : lot.received.at;
  const paused = frozenSeconds(context, from);
  const seen = { iceDays: species.iceDays, share, celsius: ASSUMED_HOLDING_CELSIUS, caughtOn: caughtOn ?? '', alive };
  const standing = inFreezer(context)
    ? reason(context, 'freshness', 'freshness.paused', { kind: 'pass' }, ICE, { routes: ALL_ROUTES })
    : null;
  const eating =
    standing ??
    reason(
      context,
      'freshness',
      'freshness.eating-life',
      { kind: 'closes', at: from + (lasts(1) + paused) * 1000 },
      ICE,
      { routes: ['cooked'], evidence, seen }
    );
  if (!caughtOn) {
    return [
      reason(context, 'freshness', 'freshness.no-catch-date', { kind: 'missing' }, ICE, {
        evidence,
        wouldChange: 'catch-date'
      }),
      eating
    ];
  }
  if (standing) return [standing];
  const cured = context.chain.some((piece) => piece.cures.length > 0);
  return [
    reason(
      context,
      'freshness',
      'freshness.raw-share',
      { kind: 'closes', at: from + (lasts(share) + paused) * 1000 },
      ICE,
      { routes: RAW_ROUTES.filter((route) => route !== 'cured' || !cured), evidence, seen }
    ),
    eating
  ];
};

/** What has been done to it, and whether any of it is left. */
export const handling: Hazard = (context) => {
  const { piece, profile } = context;
  const out: Reason[] = [];
  const cures = context.chain.flatMap((link) => link.cures);
  const cited = {
    rule: 'house record',
    citation: 'What the ledger of this house says was done',
    from: 'house' as const
  };
  const cure = cures.at(-1);
  if (cure) {
    out.push(
      reason(context, 'handling', 'handling.cured', { kind: 'closes', at: cure.at }, cited, {
        routes: ['raw'],
        evidence: [cure.seq]
      }),
      reason(
        context,
        'handling',
        cure.ended ? 'handling.cure-ended' : 'handling.cure-running',
        { kind: 'opens', at: cure.ended?.at ?? cure.plan.dueAt, needsProof: !cure.ended },
        cited,
        {
          // While it lies in its cure it is on no other plate either.
          routes: ['cured', 'acid', 'seared'],
          evidence: [cure.seq, ...(cure.ended ? [cure.ended.seq] : [])],
          seen: { method: cure.plan.method, hours: cure.plan.hours },
          wouldChange: cure.ended ? null : 'end-the-cure'
        }
      )
    );
  }
  if (piece.gone) {
    out.push(
      reason(context, 'handling', `handling.${piece.gone.how}`, { kind: 'closes', at: piece.gone.stamp.at }, cited, {
        routes: ALL_ROUTES,
        evidence: [piece.gone.stamp.seq]
      })
    );
  }
  const discardedAncestor = context.chain.slice(0, -1).find((link) => link.gone?.how === 'discarded');
  if (discardedAncestor?.gone) {
    out.push(
      reason(
        context,
        'handling',
        'handling.parent-discarded',
        { kind: 'closes', at: discardedAncestor.gone.stamp.at },
        profile.dateMark,
        {
          routes: ALL_ROUTES,
          evidence: [discardedAncestor.gone.stamp.seq]
        }
      )
    );
  }
  return out;
};
