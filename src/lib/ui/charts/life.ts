import { scaleLinear } from 'd3';

/** Geometry of a piece's life as a picture: one line from the door to the plate. */

/** As far ahead as it is drawn, as a share of what is behind: what comes next is near. */
const AHEAD = 0.3;
/** Moments nearer to each other than a finger is wide stand as one, px. */
export const FINGER = 40;

export interface LifeFrame {
  readonly from: number;
  readonly to: number;
  readonly x: (at: number) => number;
}

/**
 * The time that is shown: from the first entry to now and a little on, or to the end of what is gone.
 *
 * @param at moments of its entries, ms
 * @param until when its last window closes that has an end; null where none has
 */
export function lifeFrame(
  at: readonly number[],
  now: number,
  gone: number | null,
  until: number | null,
  width: number
): LifeFrame {
  const from = Math.min(...at, now);
  const lived = Math.max((gone ?? now) - from, 3_600_000);
  const ahead = now + Math.max(lived * AHEAD, Math.min((until ?? now) - now, lived) * 1.08);
  const to = gone === null ? ahead : gone + lived * 0.06;
  const scale = scaleLinear()
    .domain([from, to])
    .range([FINGER / 2, width - FINGER / 2]);
  return { from, to, x: (moment) => scale(Math.min(Math.max(moment, from), to)) };
}

/** Moments that stand together, the oldest first. */
export interface Cluster<Moment> {
  readonly x: number;
  readonly moments: readonly Moment[];
}
/** Moments as a finger can touch them: those that lie closer together than it is wide are one, with their number. */
export function clustered<Moment extends { readonly happened: number }>(
  moments: readonly Moment[],
  of: LifeFrame
): Cluster<Moment>[] {
  const out: { first: number; x: number; moments: Moment[] }[] = [];
  for (const moment of [...moments].sort((a, b) => a.happened - b.happened)) {
    const x = of.x(moment.happened);
    const last = out.at(-1);
    if (last && x - last.first < FINGER) {
      last.moments.push(moment);
      last.x = (last.first + x) / 2;
    } else out.push({ first: x, x, moments: [moment] });
  }
  return out.map(({ x, moments: each }) => ({ x, moments: each }));
}
