import { DAY, HOUR } from '../../measure/spans.ts';
import type { FindingCode } from '../../codes/finding.ts';
import {
  ASSUMED_HOLDING_CELSIUS,
  iceDaysSpent,
  rateAt,
  stretchesOf,
  whenIceDaysSpent,
  type SpoilageTrack,
  type Stretch
} from '../../fish/freshness.ts';
import { dateMarkEnd } from '../../rules/clocks.ts';
import {
  ALL_ROUTES,
  freezerRuns,
  reason,
  wasFrozenBefore,
  type Hazard,
  type JudgeContext
} from '../../rules/context.ts';
import { notPrepared } from '../../bench/age/looks.ts';
import { SPENT_LIQUID } from '../acid/bodies.ts';
import { acidNow, type AcidRun } from '../acid/fold.ts';
import { type AgeRun } from '../age/fold.ts';
import { cureNow } from '../cure/fold.ts';
import type { Cited } from '../../codes/profile.ts';
import { RAW_ROUTES, type Reason, type Route } from '../../codes/window.ts';
import { readInstant } from '../../measure/day.ts';
import { loggedRates } from '../../rules/stays.ts';

/** Whole and gutted fish are not yet ready to eat: their date mark begins when the knife opens them. */
const UNOPENED = new Set(['whole', 'gutted', 'live']);

function preparedAt(context: JudgeContext): number | null {
  const firstOpened = context.chain.find((piece) => !UNOPENED.has(piece.made.form));
  const cureBegun = context.chain.flatMap((piece) => piece.cures)[0];
  const acidBegun = context.chain.flatMap((piece) => piece.acids)[0];
  // What arrived frozen, or thawed before it came, is dated from the door on, whole or not.
  const { frozen, previouslyFrozen, at } = context.lot.received;
  const thawed = frozen || previouslyFrozen === 'yes' ? at : undefined;
  // Whole fish on the rack is not yet ready to eat; a house may date it from there all the same.
  const hung = context.house.ageing.dayOneAtHanging ? context.chain.flatMap((piece) => piece.ages)[0] : undefined;
  const times = [firstOpened?.made.at, cureBegun?.at, acidBegun?.at, hung?.at, thawed].filter(
    (time): time is number => time !== undefined
  );
  return times.length > 0 ? Math.min(...times) : null;
}

/**
 * When a mark ends: frozen time is not counted, but for fish whose mark had ended before it went into the freezer. Null while it
 * stands still in one.
 */
function markEnd(context: JudgeContext, prepared: number, days: number): { end: number | null; frozenDays: number } {
  const { house } = context;
  let frozenSeconds = 0;
  let frozenDays = 0;
  let end = dateMarkEnd(prepared, days, 0, house);
  for (const { from, to } of context.frozen) {
    if (to <= prepared) continue;
    if (end <= from) break;
    if (to === Infinity) return { end: null, frozenDays };
    frozenSeconds += (to - Math.max(from, prepared)) / 1000;
    frozenDays = Math.floor(frozenSeconds / 86_400);
    end = dateMarkEnd(prepared, days, frozenSeconds, house);
  }
  return { end, frozenDays };
}

/** The date mark on what is ready to eat. */
export const dateMark: Hazard = (context) => {
  const prepared = preparedAt(context);
  if (prepared === null) return [];
  const { profile, house } = context;
  const days = Math.min(profile.dateMark.days, house.dateMarkDays);
  const routes = profile.dateMark.closes === 'all' ? ALL_ROUTES : RAW_ROUTES;
  const { end, frozenDays } = markEnd(context, prepared, days);
  if (end === null) {
    return [
      reason(context, 'date-mark', 'date-mark.paused', { kind: 'pass' }, profile.dateMark, {
        routes,
        seen: { days, preparedAt: prepared }
      })
    ];
  }
  return [
    reason(context, 'date-mark', 'date-mark.day', { kind: 'closes', at: end }, profile.dateMark, {
      routes,
      seen: { days, preparedAt: prepared, frozenDays }
    })
  ];
};

const ICE = {
  rule: 'days on ice',
  citation: "Huss (1995), FAO Fisheries Technical Paper 348; the share for raw service is the house's",
  from: 'house' as const
};

/** Ice days spent and left, as the freshness clock of a piece reads. */
export interface FreshnessClock {
  readonly track: SpoilageTrack;
  readonly stretches: readonly Stretch[];
  readonly iceDays: number;
  readonly share: number;
  readonly basis: 'catch' | 'inspection' | 'both' | 'door';
  readonly rawUntil: number | null;
  readonly until: number | null;
}

/** The days on ice of a piece, counted in full, and with its days in a controlled cabinet left to the cabinet's own rules. */
function iceClocks(
  context: JudgeContext
): { readonly whole: FreshnessClock; readonly besideRack: FreshnessClock } | null {
  const whole = iceClock(context, []);
  if (whole === null) return null;
  const racks = controlledRacks(context, whole);
  if (racks.length === 0) return { whole, besideRack: whole };
  // Hours on the rack are the rack's: before and after them the days on ice run on where they stood.
  const hung = racks.map((run) => ({ from: run.at, to: run.ended?.at ?? Infinity }));
  return { whole, besideRack: iceClock(context, hung) ?? whole };
}

/**
 * The freshness clock of a piece: from its day of catch, or from an inspection that read its age off the fish; where both
 * are there the older reading counts. Null for what arrived frozen: its days on ice are the supplier's and unknown.
 */
export const freshnessClock = (context: JudgeContext): FreshnessClock | null => iceClocks(context)?.besideRack ?? null;

/** On its way, °C: on ice as somebody said, or on none that anybody knows of; the house's figures (check). */
const ICED_CELSIUS = 0;
const NOT_ICED_CELSIUS = 4;

/** Days on ice that were spent before the door, unless the core at the door says that it was warmer than that. */
function daysBefore({ lot, species }: JudgeContext, caught: number): number {
  const { at, ice } = lot.received;
  const core = lot.received.core ?? lot.received.air;
  const onIce = ice === 'plenty' || ice === 'some' || ice === 'slurry';
  const celsius = Math.max(onIce ? ICED_CELSIUS : NOT_ICED_CELSIUS, core?.si ?? -Infinity);
  return (Math.max(0, at - caught) / DAY) * rateAt(celsius, species.climate);
}

function iceClock(
  context: JudgeContext,
  onRack: readonly { readonly from: number; readonly to: number }[]
): FreshnessClock | null {
  const { species, lot, house } = context;
  const { caughtOn, form } = lot.received;
  if (wasFrozenBefore(context)) return null;
  const alive = form === 'live';
  // What arrives alive is served raw as long as it keeps: its days are days of life, counted in full (check).
  const share = alive ? 1 : house.rawShareOfIceDays;
  const { core, at: arrived } = lot.received;
  const readings = core ? [{ at: arrived, celsius: core.si }, ...context.readings] : context.readings;
  const logged = context.stays.length > 0 ? loggedRates(context.stays, species.climate) : [];
  const trackFrom = (from: number, spentBefore: number): SpoilageTrack => ({
    from,
    spentBefore,
    climate: species.climate,
    assumedCelsius: ASSUMED_HOLDING_CELSIUS,
    readings,
    ...(logged.length > 0 ? { logged } : {}),
    pauses: [...freezerRuns(context, from), ...onRack].sort((a, b) => a.from - b.from)
  });
  // Without a day of catch the days are counted from the door, which is late: raw service asks for one or the other.
  const caught = caughtOn ? readInstant(caughtOn, house.zone, 'caughtOn') : null;
  const counted = trackFrom(arrived, caught === null ? 0 : daysBefore(context, caught));
  // Every sheet speaks, and the oldest age it reads (the slow end of its band) where no day of catch is known.
  const seen = lot.inspections.map((sheet) =>
    trackFrom(sheet.at, caught === null ? sheet.iceDays.high : sheet.iceDays.likely)
  );
  const clock = (track: SpoilageTrack, basis: FreshnessClock['basis']): FreshnessClock => {
    const stretches = stretchesOf(track);
    return {
      track,
      stretches,
      iceDays: species.iceDays,
      share,
      basis,
      rawUntil: whenIceDaysSpent(track, species.iceDays * share, stretches),
      until: whenIceDaysSpent(track, species.iceDays, stretches)
    };
  };
  if (seen.length === 0) return clock(counted, caught === null ? 'door' : 'catch');
  const all = [counted, ...seen].map((track) => clock(track, caught === null ? 'inspection' : 'both'));
  return all.reduce((worst, each) => ((each.rawUntil ?? Infinity) < (worst.rawUntil ?? Infinity) ? each : worst));
}

/** Eating quality: raw service uses the first part of the species' days on ice, the pan all of them. */
export const freshness: Hazard = (context) => {
  const clocks = iceClocks(context);
  if (!clocks) return [];
  const { whole, besideRack: clock } = clocks;
  const { lot } = context;
  const { caughtOn, form } = lot.received;
  const evidence = [lot.received.seq, ...lot.inspections.map((sheet) => sheet.seq)];
  const seen = {
    iceDays: clock.iceDays,
    share: clock.share,
    celsius: ASSUMED_HOLDING_CELSIUS,
    caughtOn: caughtOn ?? '',
    alive: form === 'live',
    basis: clock.basis,
    spentDays: Math.round(iceDaysSpent(clock.track, context.at, clock.stretches) * 100) / 100
  };
  const closing = (code: FindingCode, at: number | null, routes: readonly Route[]) =>
    // What was past its days before it went into a freezer stays past them there.
    at === null
      ? reason(context, 'freshness', 'freshness.paused', { kind: 'pass' }, ICE, { routes, evidence, seen })
      : reason(context, 'freshness', code, { kind: 'closes', at }, ICE, { routes, evidence, seen });
  // The rack's own days stand for the raw share alone: for the pan every day of its life counts, hung or not.
  const eating = closing('freshness.eating-life', whole.until, ['cooked']);
  const rack = controlledRacks(context, clock).at(-1);
  const aged = rack
    ? [
        reason(context, 'freshness', 'freshness.aged', { kind: 'pass' }, AGED, {
          routes: ALL_ROUTES,
          evidence: [...evidence, rack.seq],
          seen: { ...seen, hung: rack.at }
        })
      ]
    : [];
  if (rack && !rack.ended) return [...aged, eating];
  if (clock.basis === 'door') {
    return [
      reason(context, 'freshness', 'freshness.no-catch-date', { kind: 'missing' }, ICE, {
        evidence,
        wouldChange: 'catch-date'
      }),
      eating
    ];
  }
  return [...aged, closing('freshness.raw-share', clock.rawUntil, RAW_ROUTES), eating];
};

const AGED = {
  rule: 'ageing rules of the house',
  citation:
    'In a controlled cabinet the house’s longest days and its daily look stand for the share of days on ice (check)',
  check: true,
  from: 'house' as const
};

/**
 * Hangings that stand for days on ice: of a fish prepared for it, in open air, hung while it might still be served raw. One that was
 * not prepared, or hung too late, is judged as any fish on ice.
 *
 * @param clock by which it was not too late
 */
function controlledRacks(context: JudgeContext, clock: FreshnessClock): AgeRun[] {
  if (clock.basis === 'door') return [];
  return context.chain
    .flatMap((piece) => piece.ages)
    .filter(({ at, plan }) => {
      const inTime = clock.rawUntil === null || clock.rawUntil >= at;
      return inTime && plan.pack === 'open' && notPrepared(plan.kind, plan.prepared).length === 0;
    });
}

/** Juice that raw fish lay in is used within the day after; the house's habit (check). */
const LIQUID_HOURS = 24;
const LIQUID = {
  rule: 'spent liquid',
  citation: 'What raw fish lay in carries what the fish carried; used within a day, as this house has it (check)',
  check: true,
  from: 'house' as const
};
const ACID = { rule: '3-402.11', citation: 'FDA Food Code 2022, 3-402.11: acid is no parasite destruction' };

/**
 * While it lies in its bath the acid window opens when its look may be there, by the forecast as the last piece cut open set it. What
 * somebody lifts sooner is theirs to judge: it lies in no bath any more.
 */
function inItsBath(context: JudgeContext, bath: AcidRun, cited: Cited): Reason {
  const { ready, past } = acidNow(bath);
  const evidence = [bath.seq, ...bath.checks.map(({ seq }) => seq)];
  const about = (seconds: number) => bath.at + seconds * 1000;
  const put = { routes: ['acid'] as const, evidence };
  if (!ready) return reason(context, 'handling', 'acid.runs-out', { kind: 'pass' }, cited, put);
  return reason(
    context,
    'handling',
    'acid.in-its-bath',
    { kind: 'opens', at: about(ready.low), needsProof: false },
    cited,
    {
      ...put,
      seen: {
        wanted: bath.plan.set.wanted,
        likelyAt: about(ready.likely),
        highAt: about(ready.high),
        pastAt: past ? about(past.likely) : ''
      }
    }
  );
}

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
        { kind: 'opens', at: cure.ended?.at ?? cureNow(cure).dueAt, needsProof: !cure.ended },
        cited,
        {
          // While it lies in its cure it is on no other plate either.
          routes: ['cured', 'acid', 'seared'],
          evidence: [cure.seq, ...(cure.ended ? [cure.ended.seq] : [])],
          seen: { method: cure.plan.method, hours: Math.round((cureNow(cure).dueAt - cure.at) / 360_000) / 10 },
          wouldChange: cure.ended ? null : 'end-the-cure'
        }
      )
    );
  }
  const acid = context.chain.flatMap((link) => link.acids).at(-1);
  if (acid) {
    const evidence = [acid.seq, ...(acid.ended ? [acid.ended.seq] : [])];
    out.push(
      // What acid has touched is on no raw and on no cured plate any more.
      reason(context, 'handling', 'handling.in-acid', { kind: 'closes', at: acid.at }, cited, {
        routes: ['raw', 'cured'],
        evidence: [acid.seq]
      }),
      reason(context, 'handling', 'acid.still-raw', { kind: 'pass' }, ACID, { routes: ['acid'], evidence })
    );
  }
  const bath = piece.acids.at(-1);
  if (bath && !bath.ended) out.push(inItsBath(context, bath, cited));
  const liquid = context.chain.find((link) => link.made.part === SPENT_LIQUID);
  if (liquid) {
    out.push(
      reason(
        context,
        'handling',
        'acid.spent-liquid',
        { kind: 'closes', at: liquid.made.at + LIQUID_HOURS * HOUR },
        LIQUID,
        { routes: ALL_ROUTES, evidence: [liquid.made.seq], seen: { hours: LIQUID_HOURS } }
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
