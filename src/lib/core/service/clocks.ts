import { EmberError, inRange } from '../errors.ts';
import { atOrBelow, type ScaleLimit, type TimeControl } from '../rules/profile.ts';
import { addDays, businessDay, businessDayEnd, type HouseTime } from './day.ts';

/**
 * When a tray under time control must go.
 *
 * @param startedAt first removal from the cold, ms
 * @param start core reading at that moment
 * @throws EmberError `quantity.out-of-range` where the piece does not start cold enough
 */
export function discardTime(startedAt: number, start: { celsius: number; unit: string }, control: TimeControl): number {
  if (!atOrBelow(start, control.start)) {
    throw new EmberError('quantity.out-of-range', {
      field: 'startCore',
      unit: start.unit === 'F' ? '°F' : '°C',
      max: start.unit === 'F' ? control.start.f : control.start.c,
      seen: start.celsius
    });
  }
  return startedAt + control.seconds * 1000;
}

/**
 * The end of a date mark: the day of preparation or opening is day 1, whole days frozen do not count.
 *
 * @param preparedAt ms
 * @param days the mark's length, day 1 included
 * @param frozenSeconds time spent frozen since
 * @example
 * dateMarkEnd(Date.UTC(2026, 2, 1, 12), 7, 0, { zone: 'UTC', dayEndsHour: 4 }) // => Date.UTC(2026, 2, 8, 4)
 */
export function dateMarkEnd(preparedAt: number, days: number, frozenSeconds: number, house: HouseTime): number {
  inRange(days, { field: 'dateMarkDays', unit: 'd', min: 1, max: 60 });
  const wholeFrozenDays = Math.floor(frozenSeconds / 86400);
  const last = addDays(businessDay(preparedAt, house), days - 1 + wholeFrozenDays);
  return businessDayEnd(last, house);
}

export interface LogPoint {
  readonly at: number;
  readonly celsius: number;
}

/**
 * When a log stands above a limit, with the crossing computed exactly on the straight line between two readings.
 *
 * @param points ascending in time; ms and °C
 * @returns ascending; ms
 * @throws EmberError `time.out-of-order`
 */
export function pointsAbove(points: readonly LogPoint[], limitCelsius: number): { from: number; to: number }[] {
  const out: { from: number; to: number }[] = [];
  for (let index = 1; index < points.length; index++) {
    const a = points[index - 1]!;
    const b = points[index]!;
    if (b.at < a.at) throw new EmberError('time.out-of-order', { field: 'readings', seen: b.at });
    const aboveA = a.celsius > limitCelsius;
    const aboveB = b.celsius > limitCelsius;
    if (!aboveA && !aboveB) continue;
    const crossing = a.at + ((limitCelsius - a.celsius) / (b.celsius - a.celsius)) * (b.at - a.at);
    const [from, to] = aboveA && aboveB ? [a.at, b.at] : aboveA ? [a.at, crossing] : [crossing, b.at];
    const last = out.at(-1);
    if (last && last.to === from) last.to = to;
    else out.push({ from, to });
  }
  return out;
}

/**
 * Seconds a log spends above a limit.
 *
 * @param points ascending in time; ms and °C
 * @example
 * secondsAbove([{ at: 0, celsius: 0 }, { at: 3600000, celsius: 8 }], 4) // => 1800
 */
export const secondsAbove = (points: readonly LogPoint[], limitCelsius: number): number =>
  pointsAbove(points, limitCelsius).reduce((sum, { from, to }) => sum + (to - from) / 1000, 0);

/** How long a warm reading of a held piece may stand before the piece is lost for raw use, unless a cold one follows. */
export const WARM_READING_GRACE_SECONDS = 4 * 3600;

/**
 * When a held piece is lost to warmth: the first reading above the limit plus the grace, unless a reading at or below
 * the limit follows in time.
 *
 * @returns ms, or null where every warm reading was answered in time
 */
export function warmLoss(
  readings: readonly { at: number; celsius: number; unit: string }[],
  limit: ScaleLimit
): { readonly closes: number; readonly warmAt: number } | null {
  // As a rule nothing was ever warm, and there is nothing to put in order.
  if (readings.every((reading) => atOrBelow(reading, limit))) return null;
  const sorted = [...readings].sort((a, b) => a.at - b.at || a.celsius - b.celsius);
  let warmAt: number | null = null;
  for (const reading of sorted) {
    const cold = atOrBelow(reading, limit);
    if (warmAt !== null && reading.at - warmAt > WARM_READING_GRACE_SECONDS * 1000) break;
    if (cold) warmAt = null;
    else warmAt ??= reading.at;
  }
  return warmAt === null ? null : { closes: warmAt + WARM_READING_GRACE_SECONDS * 1000, warmAt };
}
