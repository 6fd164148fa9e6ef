import { EmberError, inRange } from '../errors.ts';
import { atOrBelow, type ScaleLimit, type TimeControl } from '../codes/profile.ts';
import { addDays, businessDay, businessDayEnd, type HouseTime } from '../measure/day.ts';

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
  /** F where it was read in °F: it is compared with that scale's limit. */
  readonly unit?: string;
}

/** How far a reading lies above a limit, in its own scale's limit; 0 or less at or below it. °C */
const excess = ({ celsius, unit }: LogPoint, limit: ScaleLimit): number => {
  const over = unit === 'F' ? celsius - ((limit.f - 32) * 5) / 9 : celsius - limit.c;
  return Math.abs(over) < 1e-9 ? 0 : over;
};

/**
 * When a log stands above a limit, with the crossing computed exactly on the straight line between two readings.
 *
 * @param points ascending in time; ms and °C
 * @returns ascending; ms
 * @throws EmberError `time.out-of-order`
 */
export function pointsAbove(points: readonly LogPoint[], limit: ScaleLimit): { from: number; to: number }[] {
  const out: { from: number; to: number }[] = [];
  for (let index = 1; index < points.length; index++) {
    const a = points[index - 1]!;
    const b = points[index]!;
    if (b.at < a.at) throw new EmberError('time.out-of-order', { field: 'readings', seen: b.at });
    const [overA, overB] = [excess(a, limit), excess(b, limit)];
    if (overA <= 0 && overB <= 0) continue;
    const crossing = a.at + (overA / (overA - overB)) * (b.at - a.at);
    const [from, to] = overA > 0 && overB > 0 ? [a.at, b.at] : overA > 0 ? [a.at, crossing] : [crossing, b.at];
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
 * secondsAbove([{ at: 0, celsius: 0 }, { at: 3600000, celsius: 8 }], { c: 4, f: 39.2 }) // => 1800
 */
export const secondsAbove = (points: readonly LogPoint[], limit: ScaleLimit): number =>
  pointsAbove(points, limit).reduce((sum, { from, to }) => sum + (to - from) / 1000, 0);
