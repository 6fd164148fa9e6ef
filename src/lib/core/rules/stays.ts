import { clipped, NO_LOGS, type Interval, type LogBook, type PlaceLog } from '../log/holding.ts';
import { patience } from '../log/series.ts';
import type { Stretch } from '../fish/freshness.ts';
import type { Species } from '../fish/species.ts';
import type { PieceState } from '../record/piece.ts';
import type { Stay } from '../record/slice.ts';
import type { ScaleLimit } from '../codes/profile.ts';

/**
 * Where a piece and its ancestors lay, in order. A piece that was not cut on a board lies where its parent lay until somebody
 * says otherwise; one that was is out until it is put somewhere.
 */
export function staysOf(chain: readonly PieceState[]): Stay[] {
  const out: Stay[] = [];
  chain.forEach((piece, index) => {
    const leftAt = chain[index + 1]?.made.at ?? null;
    const before = out.at(-1);
    if (index > 0 && before && before.to === piece.made.at && piece.made.board === null) {
      const parent = chain[index - 1]!.stays.at(-1);
      const stillThere = parent === undefined ? before.place : parent.to === null ? parent.place : null;
      const firstOwn = Math.min(piece.stays[0]?.from ?? Infinity, piece.outs[0]?.from ?? Infinity);
      const to = Number.isFinite(firstOwn) ? firstOwn : (piece.gone?.stamp.at ?? leftAt);
      if (stillThere) out.push({ seq: before.seq, place: stillThere, how: before.how, from: piece.made.at, to });
    }
    for (const stay of piece.stays) {
      const to = stay.to ?? leftAt;
      if (to === null || to > stay.from) out.push({ ...stay, to });
    }
  });
  return out;
}

/** A stay with what its place's log says of it. One that lasts has no end: what the log's last word leaves standing goes on. */
export interface LoggedStay {
  readonly stay: Stay;
  readonly from: number;
  readonly to: number;
  readonly log: PlaceLog;
}

/** The stays of a chain in places that a sensor speaks of, up to a moment. */
export function loggedStays(chain: readonly PieceState[], logs: LogBook, at: number): LoggedStay[] {
  if (logs === NO_LOGS || chain.every((piece) => piece.stays.length === 0)) return [];
  const out: LoggedStay[] = [];
  for (const stay of staysOf(chain)) {
    const to = stay.to ?? Infinity;
    // One that begins at this very moment counts: what the log's last word leaves standing does so from here on.
    if (to <= stay.from || at < stay.from) continue;
    const log = logs.place(stay.place, stay.from);
    if (log && log.series.length > 0) out.push({ stay, from: stay.from, to, log });
  }
  return out;
}

/** When the air round a piece stood above a limit while it lay there. */
export const warmAir = (stays: readonly LoggedStay[], limit: ScaleLimit): Interval[] =>
  stays.flatMap(({ from, to, log }) => clipped(log.above(limit), from, to));

/** The rates of spoilage that logs speak for, clipped to the stays; ascending. */
export function loggedRates(stays: readonly LoggedStay[], climate: Species['climate']): Stretch[] {
  return stays.flatMap(({ from, to, log }) =>
    log
      .rates(climate)
      .filter((each) => each.to > from && each.from < to)
      .map((each) => ({ from: Math.max(each.from, from), to: Math.min(each.to, to), rate: each.rate }))
  );
}

/** How much of a stay its log covers, s, and the warmest and the mean of it; null where no reading lies in it. */
export function coverOf({ from, to, log }: LoggedStay) {
  const { series, gapMs } = log;
  let seconds = 0;
  let sum = 0;
  let count = 0;
  let peak = -Infinity;
  for (let index = 0; index < series.length; index++) {
    const moment = series.at[index]!;
    if (moment < from || moment > to) continue;
    const value = series.celsius[index]!;
    sum += value;
    count++;
    peak = Math.max(peak, value);
    const before = index > 0 ? series.at[index - 1]! : moment;
    if (moment - before <= patience(series, index, gapMs)) seconds += (moment - Math.max(before, from)) / 1000;
  }
  return count === 0 ? null : { seconds, mean: sum / count, peak };
}
