import { MINUTE } from '../measure/spans.ts';
import { surfaceShare } from '../fish/surface.ts';
import { ASSUMED_HOLDING_CELSIUS } from '../fish/freshness.ts';
import { clipped, union, type Interval } from '../log/holding.ts';
import { indexAt } from '../log/series.ts';
import type { HouseState } from '../record/house.ts';
import type { PieceState } from '../record/piece.ts';
import { pointsAbove, type LogPoint } from './clocks.ts';
import type { JudgeContext } from './context.ts';
import { spansOut, type Span } from './out-of-cold.ts';
import { atOrBelow, type ScaleLimit } from '../codes/profile.ts';
import { staysOf } from './stays.ts';
import type { WarmSpell } from './warm-spell.ts';

/** A core read within this of leaving the cold, or of coming back, speaks for that moment; the house's figure (check). ms */
const NEARBY_MS = 15 * MINUTE;
/** Air of a kitchen whose fish nobody read, °C; the warmest that still leaves the longer budget. */
const KITCHEN_CELSIUS = 21.1;
/** Slow bound of heat into fish that lies in still air or on a board, W/m²K (check). */
const STILL_AIR = 10;
/** A door or a defrost lifts the air for this long at the most before it counts; the house's figure (check). ms */
const DOOR_MS = 30 * MINUTE;
/** Fish whose thickness nobody gave is taken as this thin, mm: it warms sooner. */
const THIN_MM = 10;

/**
 * From when on a place counts as cold for what came there at a moment: at once where it stood on the house's list then, from the
 * day it was listed where it was listed later. Listing it takes nothing back. ms; Infinity for never
 */
export function coldFrom({ coldSpans }: Pick<HouseState, 'coldSpans'>, name: string, at: number): number {
  const spans = coldSpans.filter((span) => span.name === name);
  if (spans.some(({ from, to }) => from <= at && at < (to ?? Infinity))) return at;
  return Math.min(...spans.map(({ from }) => from).filter((from) => from > at), Infinity);
}

const minuteOf = (at: number): number => Math.floor(at / MINUTE);

/** Readings of one minute are one: the warmest of them, so that none written beside it takes anything back. In order of time. */
export function byMinute<Point extends LogPoint>(points: readonly Point[]): readonly Point[] {
  let isPlain = true;
  let before = -Infinity;
  for (const { at } of points) {
    const minute = minuteOf(at);
    if (minute <= before) {
      isPlain = false;
      break;
    }
    before = minute;
  }
  // Recorded in order as a rule, minutes apart: then there is nothing to do.
  if (isPlain) return points;
  const sorted = [...points].sort((a, b) => a.at - b.at || a.celsius - b.celsius);
  const out: Point[] = [];
  for (const point of sorted) {
    const last = out.at(-1);
    if (!last || minuteOf(last.at) !== minuteOf(point.at)) out.push(point);
    else if (point.celsius >= last.celsius) out[out.length - 1] = { ...point, at: last.at };
  }
  return out;
}

/** Every core that was read of a piece and of what it was cut from: at the door, in the cold, on boards, in runs. */
export function corePoints({ lot, chain, stays, profile }: Pick<JudgeContext, 'lot' | 'chain' | 'stays' | 'profile'>) {
  const out: (LogPoint & { readonly seq: number })[] = [];
  const add = (at: number, core: { si: number; unit: string } | null | undefined, seq: number) => {
    if (core) out.push({ at, celsius: core.si, unit: core.unit, seq });
  };
  const { received } = lot;
  add(received.at, received.core ?? received.air, received.seq);
  // What came alive was read by its air: the first cold air of the place it was put in answers for it.
  const answer = received.core ? null : firstColdAir(stays, profile.coldHold);
  if (answer) out.push(answer);
  for (const piece of chain) {
    for (const run of piece.freezes) {
      add(run.at, run.plan.startCore, run.seq);
      for (const reading of run.readings) if (reading.probe === 'core') out.push(reading);
    }
    for (const run of piece.thaws) {
      add(run.at, run.plan.startCore, run.seq);
      if (run.ended) add(run.ended.at, run.ended.core, run.ended.seq);
    }
    for (const run of piece.cures)
      for (const { seconds, celsius } of run.ended?.warmth ?? [])
        out.push({ at: run.at + seconds * 1000, celsius, unit: 'C', seq: run.seq });
    for (const hold of piece.holds) add(hold.at, hold.plan.startCore, hold.seq);
    for (const reading of piece.readings) out.push(reading);
    for (const span of piece.outs) {
      add(span.from, span.startCore, span.seq);
      if (span.to !== null) add(span.to, span.core, span.backSeq ?? span.seq);
    }
    // A move tells a core of its own also where it ends no time out.
    if (piece.place) add(piece.place.at, piece.place.core, piece.place.seq);
  }
  return byMinute(out);
}
/** The first reading at or below a limit of the air round a piece. */
function firstColdAir(stays: JudgeContext['stays'], limit: ScaleLimit) {
  for (const { stay, from, to, log } of stays) {
    const { series } = log;
    for (let index = indexAt(series, from); index < series.length && series.at[index]! <= to; index++) {
      const reading = { celsius: series.celsius[index]!, unit: series.fahrenheit[index] ? 'F' : 'C' };
      if (atOrBelow(reading, limit)) return { ...reading, at: series.at[index]!, seq: stay.seq };
    }
  }
  return null;
}
type CorePoint = ReturnType<typeof corePoints>[number];

const thicknessOf = (chain: readonly PieceState[]): number =>
  [...chain].reverse().find(({ made }) => made.thicknessMm !== null)?.made.thicknessMm ?? THIN_MM;

/** True where the face of it stays at or below a limit for so long in such air, by the slow bound of the model. */
function staysCold(from: number, air: number, milliseconds: number, limit: ScaleLimit, thicknessMm: number): boolean {
  if (from > limit.c) return false;
  if (air <= limit.c) return true;
  const share = surfaceShare(milliseconds / 1000, Math.min(2000, Math.max(0.1, thicknessMm)), STILL_AIR);
  return from + share * (air - from) <= limit.c;
}

/** A time out of the cold with cold cores at both ends, so short that its face stayed cold too, spends nothing. */
function isFree(span: Span, points: readonly CorePoint[], limit: ScaleLimit, thicknessMm: number): boolean {
  if (span.to === null) return false;
  const near = (moment: number, from: number, to: number) =>
    points.filter(({ at }) => at >= moment + from && at <= moment + to);
  const before = near(span.from, -NEARBY_MS, MINUTE).at(-1);
  const after = near(span.to, -MINUTE, NEARBY_MS)[0];
  if (!before || !after) return false;
  const all = points.filter(({ at }) => at >= before.at && at <= after.at);
  const isCold = (point: CorePoint) => atOrBelow(point, limit);
  const warmest = Math.max(before.celsius, after.celsius);
  return all.every(isCold) && staysCold(warmest, KITCHEN_CELSIUS, span.to - span.from, limit, thicknessMm);
}

/** Warmth by cores: the straight line between two of them, and after the last one until somebody says otherwise. */
function byCores(context: JudgeContext, points: readonly CorePoint[], limit: ScaleLimit): WarmSpell[] {
  const last = points.at(-1);
  // A reading in the other scale may lie a rounding away from the limit, no more.
  if (!last || context.warmest < limit.c - 0.5 || points.every((point) => atOrBelow(point, limit))) return [];
  const out: WarmSpell[] = [];
  const isWarm = (point: CorePoint) => !atOrBelow(point, limit);
  points.forEach((point, index) => {
    const before = points[index - 1];
    if (!before || (!isWarm(before) && !isWarm(point))) return;
    for (const { from, to } of pointsAbove([before, point], limit)) {
      // Fish that lay in air read as cold was cold until then: the line begins no earlier.
      const start = isWarm(before) ? from : Math.max(from, lastColdAir(context, before.at, point.at, limit));
      if (to > start) out.push({ from: start, to, cause: 'reading', seq: isWarm(point) ? point.seq : before.seq });
    }
  });
  if (isWarm(last)) out.push({ from: last.at, to: Infinity, cause: 'reading', seq: last.seq });
  return out;
}

/** The last moment between two at which a log read the air round it at or below a limit; the first of them for none. ms */
function lastColdAir({ stays }: JudgeContext, from: number, to: number, limit: ScaleLimit): number {
  let last = from;
  for (const { from: since, to: until, log } of stays) {
    const { series } = log;
    const end = Math.min(until, to);
    for (let index = indexAt(series, end + 1) - 1; index >= 0; index--) {
      const at = series.at[index]!;
      if (at < Math.max(since, last)) break;
      const reading = { celsius: series.celsius[index]!, unit: series.fahrenheit[index] ? 'F' : 'C' };
      if (at <= end && atOrBelow(reading, limit)) {
        last = at;
        break;
      }
    }
  }
  return last;
}

/** Warmth by the logs of places it lay in; a door opened for a moment is none where its face stayed cold. */
function byLogs(context: JudgeContext, limit: ScaleLimit, isStrict: boolean): WarmSpell[] {
  const thickness = thicknessOf(context.chain);
  return context.stays.flatMap(({ stay, from, to, log }) => {
    const grace = Object.values(context.house.places).find(({ name }) => name === stay.place)?.graceMinutes ?? 0;
    return clipped(log.above(limit), from, to).flatMap((spell): WarmSpell[] => {
      const lasts = spell.to - spell.from;
      if (lasts <= 0) return [];
      if (!isStrict && lasts <= Math.min(DOOR_MS, grace * MINUTE)) {
        let peak = limit.c;
        const { series } = log;
        for (let index = indexAt(series, spell.from); index < series.length && series.at[index]! <= spell.to; index++)
          peak = Math.max(peak, series.celsius[index]!);
        if (staysCold(Math.min(ASSUMED_HOLDING_CELSIUS, limit.c), peak, lasts, limit, thickness)) return [];
      }
      const told = { cause: 'log' as const, seq: stay.seq };
      if (spell.to < Infinity) return [{ ...spell, ...told }];
      // What was read is known; what its last word leaves standing is not.
      const heard = Math.max(spell.from, log.series.at[log.series.length - 1]!);
      return [
        ...(heard > spell.from ? [{ from: spell.from, to: heard, ...told }] : []),
        { from: heard, to: Infinity, ...told }
      ];
    });
  });
}

/** Baths that are warmer than the limit, and thaws whose face was. */
function byRuns({ chain }: JudgeContext, limit: ScaleLimit): WarmSpell[] {
  const out: WarmSpell[] = [];
  const isWarm = (celsius: number) => celsius > limit.c + 1e-9;
  for (const piece of chain) {
    // Most pieces never lie in a bath, and this is asked of every one of them.
    if (piece.acids.length + piece.cures.length + piece.ages.length + piece.thaws.length === 0) continue;
    const baths = [
      ...piece.acids.map(({ at, seq, ended, plan }) => ({ at, seq, ended, celsius: plan.set.celsius.si })),
      ...piece.cures.map(({ at, seq, ended, plan }) => ({ at, seq, ended, celsius: plan.celsius })),
      ...piece.ages.map(({ at, seq, ended, plan }) => ({ at, seq, ended, celsius: plan.celsius.si }))
    ];
    for (const { at, seq, ended, celsius } of baths)
      if (isWarm(celsius)) out.push({ from: at, to: ended?.at ?? Infinity, cause: 'bath', seq });
    for (const run of piece.thaws) {
      const { method, medium, surfaceWarmFrom } = run.plan;
      if (method === 'cold' && !isWarm(medium.si)) continue;
      const end = run.ended?.at ?? Infinity;
      // Cold air that is none: warm from the first minute, unless the forecast says when.
      const byForecast =
        surfaceWarmFrom === null ? (method === 'cold' ? run.at : end) : run.at + surfaceWarmFrom * 1000;
      const from = Math.min(byForecast, run.ended ? run.ended.at - run.ended.warmSeconds * 1000 : Infinity);
      if (end > from) out.push({ from, to: end, cause: 'thaw', seq: run.seq });
    }
  }
  return out;
}

/** Stays in places that nobody listed as cold: unknown is not cold. What lies in a run there is judged by the run. */
export function byPlaces({ chain, house }: Pick<JudgeContext, 'chain' | 'house'>): WarmSpell[] {
  const runs = chain.flatMap((piece) =>
    [...piece.acids, ...piece.cures, ...piece.ages].map(({ at, ended }) => ({ from: at, to: ended?.at ?? Infinity }))
  );
  return staysOf(chain).flatMap(({ place, how, from, to, seq }): WarmSpell[] => {
    if (how === 'freeze' || how === 'thaw') return [];
    const until = Math.min(to ?? Infinity, coldFrom(house, place, from));
    const since =
      how === 'put' ? from : Math.min(until, Math.max(from, ...runs.map((run) => (run.from <= from ? run.to : from))));
    return until > since ? [{ from: since, to: until, cause: 'place', seq }] : [];
  });
}

/** What is heard of a piece for a while: it lies frozen, or a log of its place speaks. */
function heardFor(context: SilenceContext, silenceMs: number): (Interval & { readonly seq: number })[] {
  const out: (Interval & { readonly seq: number })[] = context.frozen.map(({ from, to }) => ({ from, to, seq: 0 }));
  for (const { from, to, log, stay } of context.stays)
    for (const run of clipped(log.heard(silenceMs), from, to)) out.push({ ...run, seq: stay.seq });
  for (const hold of context.chain.flatMap((piece) => piece.holds))
    for (const { at, seq } of hold.readings) out.push({ from: at, to: at, seq });
  return out.sort((a, b) => a.from - b.from);
}

type SilenceContext = Pick<JudgeContext, 'lot' | 'chain' | 'frozen' | 'stays' | 'points' | 'profile'>;

/** Silence beyond what is believed: from then on nobody knows that it was cold. */
export function silencesOf(context: SilenceContext): WarmSpell[] {
  const silenceMs = context.profile.warmClock.silenceSeconds * 1000;
  const { points, lot } = context;
  const spans = heardFor(context, silenceMs);
  const out: WarmSpell[] = [];
  let [last, lastSeq] = [lot.received.at, lot.received.seq];
  const hear = (from: number, to: number, seq: number) => {
    if (from - last > silenceMs) out.push({ from: last + silenceMs, to: from, cause: 'silence', seq: lastSeq });
    if (to > last) [last, lastSeq] = [to, seq];
  };
  // Both lists are in order: walked side by side, the earlier first.
  let next = 0;
  for (const { at, seq } of points) {
    while (next < spans.length && spans[next]!.from <= at) {
      hear(spans[next]!.from, spans[next]!.to, spans[next]!.seq);
      next++;
    }
    hear(at, at, seq);
  }
  for (; next < spans.length; next++) hear(spans[next]!.from, spans[next]!.to, spans[next]!.seq);
  hear(Infinity, Infinity, 0);
  return out;
}

export interface WarmthOptions {
  /** At or below it is cold. */
  readonly limit: ScaleLimit;
  /** Every stay out of the cold counts whole, whatever the model says of its face. */
  readonly isStrict: boolean;
}

/** Every stretch in which a piece, or what it was cut from, stood warmer than a limit, or nobody knows that it did not. */
export function warmSpells(context: JudgeContext, { limit, isStrict }: WarmthOptions): WarmSpell[] {
  const points = context.points;
  const thickness = thicknessOf(context.chain);
  const out: WarmSpell[] = [
    ...byCores(context, points, limit),
    ...(context.stays.length > 0 ? byLogs(context, limit, isStrict) : []),
    ...byRuns(context, limit),
    ...context.unlisted,
    ...context.silences
  ];
  for (const span of spansOut(context.chain)) {
    if (!isStrict && isFree(span, points, limit, thickness)) continue;
    const to = span.to ?? Infinity;
    if (to > span.from) out.push({ from: span.from, to, cause: 'out', seq: span.seq });
  }
  return out.sort((a, b) => a.from - b.from);
}

/** Whether any of it was read above a limit: by a core, by the air round it, or as the heat of a bath. */
export function wasAbove(context: JudgeContext, limit: ScaleLimit, { trays }: { trays: boolean }): boolean {
  const isHot = (point: LogPoint) => !atOrBelow(point, limit);
  const isHotTray = (piece: PieceState) => piece.holds.some((hold) => hold.readings.some(isHot));
  return (
    (context.warmest >= limit.c - 0.5 && context.points.some(isHot)) ||
    (trays && context.chain.some(isHotTray)) ||
    context.stays.some(({ from, to, log }) => clipped(log.above(limit), from, to).length > 0) ||
    byRuns(context, limit).some(({ cause }) => cause === 'bath')
  );
}

/** Where a budget ends: closed at a moment for good, or not to be believed from a moment on while nobody reads it. */
export interface BudgetEnd {
  /** By what is known, ms; null while nothing known uses it up. */
  readonly closes: number | null;
  /** By what nobody has read the end of, ms, where that comes first; null where it does not. */
  readonly readBy: number | null;
}

/**
 * What nobody has read the end of: a silence, a core or a log whose last word was warm. It spends, and it is not believed; but a
 * reading may still say what it was, so that nothing is closed by it for good.
 */
export const isLasting = ({ cause, to }: WarmSpell): boolean =>
  to === Infinity && (cause === 'silence' || cause === 'reading' || cause === 'log');

/**
 * When a budget is used up, by what is known and by what lasts.
 *
 * @param seconds the budget
 */
export function budgetEnd(spells: readonly WarmSpell[], seconds: number): BudgetEnd {
  const closes = spentAt(
    spells.filter((spell) => !isLasting(spell)),
    seconds
  );
  const all = spentAt(spells, seconds);
  return { closes, readBy: all !== null && (closes === null || all < closes) ? all : null };
}

/**
 * When warm stretches had used a budget up, ms; null where they alone did not. Overlaps count once.
 *
 * @param seconds the budget
 */
export function spentAt(warm: readonly Interval[], seconds: number): number | null {
  let left = seconds * 1000;
  for (const { from, to } of union(warm)) {
    if (to - from > left + 1e-6) return from + Math.max(0, left);
    left -= to - from;
  }
  return null;
}
