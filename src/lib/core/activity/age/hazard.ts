import { DAY, HOUR } from '../../measure/spans.ts';
import { notPrepared } from '../../bench/age/looks.ts';
import { HANGING_PH, HISTAMINE_AGEING, WET_ACTIVITY } from '../../bench/age/parameters.ts';
import { daysToTenfold, ROP_HOURS } from '../../bench/cure/guards.ts';
import { clipped, union } from '../../log/holding.ts';
import { HAND_SILENCE_MS, indexAt, patience } from '../../log/series.ts';
import type { AgeRun } from './fold.ts';
import { ALL_ROUTES, papers, reason, type Hazard, type JudgeContext } from '../../rules/context.ts';
import type { Cited, ScaleLimit } from '../../codes/profile.ts';
import { warmAir } from '../../rules/stays.ts';
import { RAW_ROUTES, type Reason, type Route } from '../../codes/window.ts';
import { PACK } from '../cure/hazard.ts';
import { spentAt } from '../../rules/warmth.ts';

/** A cabinet without a logger is read once a day, and a little late; the house's habit (check). */
const READ_BY_HAND_MS = 26 * HOUR;

const RULES: Cited = {
  rule: 'ageing rules of the house',
  citation:
    'Longest days, warmth and inspection of the ageing cabinet are the house’s; whole fish is not yet ready to eat',
  from: 'house'
};

const HISTAMINE_DAYS: Cited = {
  rule: 'histamine kinds on the rack',
  citation:
    "Seven days at or below 2 °C without a test on file: the house's figure, after FDA Fish and Fishery Products Hazards and Controls Guidance, ch. 7",
  check: true,
  from: 'house'
};
const LISTERIA: Cited = {
  rule: 'growth estimate',
  citation: 'Mejlholm and Dalgaard (2009), J. Food Prot. 72, at aw 0.99 and pH 6.4: an estimate, never a permission',
  check: true
};

/**
 * What was heard of the air round a piece while it hung: the first silence longer than is believed, or, while it hangs, from when
 * on it will have been silent for too long.
 */
function silence(context: JudgeContext, run: AgeRun, strict: boolean) {
  const to = run.ended?.at ?? Infinity;
  const heard: { at: number; believed: number }[] = [];
  for (const stay of context.stays) {
    const { series, gapMs } = stay.log;
    const [start, end] = [Math.max(stay.from, run.at), Math.min(stay.to, to)];
    for (let index = Math.max(0, indexAt(series, start)); index < series.length; index++) {
      const at = series.at[index]!;
      if (at > end) break;
      if (at >= start) heard.push({ at, believed: strict ? patience(series, index, gapMs) : READ_BY_HAND_MS });
    }
  }
  for (const { at } of context.readings)
    if (at >= run.at && at <= to) heard.push({ at, believed: strict ? HAND_SILENCE_MS : READ_BY_HAND_MS });
  heard.sort((a, b) => a.at - b.at);
  let last = run.at;
  for (const { at, believed } of heard) {
    if (at - last > believed) return { from: last, to: at, due: null };
    last = at;
  }
  const believed = strict ? HAND_SILENCE_MS : READ_BY_HAND_MS;
  if (to === Infinity) return { from: last, to, due: last + believed };
  return to - last > believed ? { from: last, to, due: null } : null;
}

/** True for what is no histamine kind, and for one whose method has a test on file. */
const tested = (context: JudgeContext): boolean =>
  !context.species.hazards.includes('histamine') || papers(context, 'histamine-test').valid.length > 0;

/** The cabinet: warm for too long, or unread. */
function cabinet(context: JudgeContext, run: AgeRun): Reason[] {
  const { house, species } = context;
  const { warmHours } = house.ageing;
  const limitCelsius = tested(context)
    ? house.ageing.limitCelsius
    : Math.min(house.ageing.limitCelsius, HISTAMINE_AGEING.limitCelsius);
  const end = run.ended?.at ?? Infinity;
  const limit: ScaleLimit = { c: limitCelsius, f: (limitCelsius * 9) / 5 + 32 };
  const warm = union(clipped(warmAir(context.stays, limit), run.at, end));
  const over = spentAt(warm, warmHours * 3600);
  const isHistamine = species.hazards.includes('histamine');
  const quiet = silence(context, run, isHistamine);
  const out: Reason[] = [];
  if (over !== null) {
    out.push(
      reason(context, 'ageing', 'ageing.cabinet-warm', { kind: 'closes', at: over }, RULES, {
        routes: ALL_ROUTES,
        evidence: [run.seq],
        seen: { place: run.place, limitC: limitCelsius, hours: warmHours, warmAt: warm[0]!.from }
      })
    );
  }
  const routes = isHistamine ? ALL_ROUTES : RAW_ROUTES;
  const evidence = [run.seq];
  if (quiet && quiet.due === null) {
    out.push(
      reason(
        context,
        'ageing',
        isHistamine ? 'ageing.histamine-unread' : 'ageing.cabinet-unread',
        { kind: 'missing' },
        RULES,
        {
          routes,
          evidence,
          seen: { place: run.place, from: quiet.from, hours: Math.round((quiet.to - quiet.from) / HOUR) },
          wouldChange: 'read-the-cabinet'
        }
      )
    );
  } else if (quiet) {
    out.push(
      reason(context, 'ageing', 'ageing.read-on', { kind: 'read-by', at: quiet.due! }, RULES, {
        routes,
        evidence,
        seen: { place: run.place, heard: quiet.from, hours: Math.round((quiet.due! - quiet.from) / HOUR) },
        wouldChange: 'read-the-cabinet'
      })
    );
  }
  if (isHistamine) {
    out.push(
      reason(context, 'ageing', 'ageing.histamine', { kind: 'pass' }, context.profile.histamine, {
        routes: ALL_ROUTES,
        evidence,
        seen: { place: run.place }
      })
    );
  }
  return out;
}

/** Longest days on the rack, and how long what came off it keeps. */
function days(context: JudgeContext, run: AgeRun): Reason[] {
  const { ageing } = context.house;
  const most = run.plan.kind === 'whole' ? ageing.wholeDays : ageing.filletDays;
  const limit = run.at + most * DAY;
  const evidence = [run.seq, ...(run.ended ? [run.ended.seq] : [])];
  const seen = { days: most, kind: run.plan.kind, after: ageing.afterDays };
  const inTime = run.ended !== null && run.ended.at <= limit;
  const out = [
    inTime
      ? reason(context, 'ageing', 'ageing.within-maximum', { kind: 'pass' }, RULES, { evidence, seen })
      : reason(context, 'ageing', 'ageing.house-maximum', { kind: 'closes', at: limit }, RULES, {
          routes: ALL_ROUTES,
          evidence,
          seen
        })
  ];
  const shortest = run.at + HISTAMINE_AGEING.days * DAY;
  if (!tested(context) && (run.ended?.at ?? Infinity) > shortest) {
    out.push(
      reason(context, 'ageing', 'ageing.histamine-days', { kind: 'closes', at: shortest }, HISTAMINE_DAYS, {
        routes: ALL_ROUTES,
        evidence,
        seen: { days: HISTAMINE_AGEING.days, limitC: HISTAMINE_AGEING.limitCelsius }
      })
    );
  }
  const tenfold = daysToTenfold(Math.min(25, Math.max(-5, run.plan.celsius.si)), WET_ACTIVITY, HANGING_PH);
  out.push(
    reason(context, 'ageing', 'ageing.listeria', { kind: 'pass' }, LISTERIA, {
      evidence: [run.seq],
      seen: {
        celsius: run.plan.celsius.si,
        tenfoldDays: Number.isFinite(tenfold) ? Math.round(tenfold * 10) / 10 : 0,
        days: most
      }
    })
  );
  if (run.ended && inTime) {
    const closes = run.ended.at + ageing.afterDays * DAY;
    out.push(
      reason(context, 'ageing', 'ageing.after', { kind: 'closes', at: closes }, RULES, {
        routes: ALL_ROUTES,
        evidence,
        seen
      })
    );
  }
  return out;
}

/** Signs that took it off the rack. */
const stops = (context: JudgeContext, run: AgeRun): Reason[] =>
  run.looks.flatMap((look) =>
    look.stops.map(({ field, answer, routes }) =>
      reason(context, 'ageing', 'ageing.stopped', { kind: 'closes', at: look.at }, RULES, {
        routes: routes as Route[],
        evidence: [look.seq],
        seen: { field, answer }
      })
    )
  );

/** Air has to get at it: a bag round unfrozen fish is a reduced-oxygen pack. */
function pack(context: JudgeContext, run: AgeRun): Reason[] {
  if (run.plan.pack === 'open') return [];
  const limit = run.at + ROP_HOURS * HOUR;
  const opened = run.ended !== null && run.ended.at <= limit;
  return [
    reason(context, 'ageing', 'ageing.closed-pack', opened ? { kind: 'pass' } : { kind: 'closes', at: limit }, PACK, {
      routes: ALL_ROUTES,
      evidence: [run.seq],
      seen: { limit: ROP_HOURS }
    })
  ];
}

/** A house that is looser than what ships answers for it on every verdict it touches. */
function looser(context: JudgeContext, run: AgeRun): Reason[] {
  const { ageing } = context.house;
  if (ageing.looser.length === 0) return [];
  return [
    reason(context, 'ageing', 'ageing.rules-looser', { kind: 'pass' }, RULES, {
      routes: ALL_ROUTES,
      evidence: [ageing.seq, run.seq],
      seen: { fields: ageing.looser.join(', '), reason: ageing.reason }
    })
  ];
}

/** What hanging to age means for the piece, and for all that is cut from it. */
export const ageing: Hazard = (context) =>
  context.chain
    .flatMap((link) => link.ages)
    .flatMap((run) => {
      const left = notPrepared(run.plan.kind, run.plan.prepared);
      const evidence = [run.seq];
      const about =
        left.length > 0
          ? reason(context, 'ageing', 'ageing.not-prepared', { kind: 'pass' }, RULES, {
              evidence,
              seen: { left: left.join(', ') }
            })
          : reason(
              context,
              'ageing',
              run.plan.kind === 'whole' ? 'ageing.whole' : 'ageing.opened',
              { kind: 'pass' },
              context.profile.dateMark,
              { evidence, seen: { hung: run.at, early: context.house.ageing.dayOneAtHanging } }
            );
      return [
        about,
        ...looser(context, run),
        ...days(context, run),
        ...cabinet(context, run),
        ...stops(context, run),
        ...pack(context, run)
      ];
    });
