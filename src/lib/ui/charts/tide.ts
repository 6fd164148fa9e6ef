import { DAY, HOUR } from '../../core/measure/spans.ts';
import { area, curveMonotoneX, scaleLinear } from 'd3';
import type { RouteWindow } from '../../core/codes/window.ts';

/** Geometry of the tide chart: plain functions, so that the server can draw it and a test can read it. */

export const SPANS = [
  { id: 'tonight', hours: 14, back: 3, lines: 7 },
  { id: 'days', hours: 78, back: 18, lines: 13 },
  { id: 'week', hours: 180, back: 40, lines: 8 },
  { id: 'fortnight', hours: 340, back: 170, lines: 15 }
] as const;
export type SpanId = (typeof SPANS)[number]['id'];

export interface TideFrame {
  readonly from: number;
  readonly to: number;
  readonly x: (at: number) => number;
  /** The time under a place on the chart, ms. */
  readonly invert: (x: number) => number;
}

/** The stretch of time shown, and its scale. */
export function frame(now: number, span: SpanId, shiftHours: number, left: number, right: number): TideFrame {
  const { hours, back } = SPANS.find(({ id }) => id === span)!;
  const from = now + (shiftHours - back) * HOUR;
  const to = from + hours * HOUR;
  const scale = scaleLinear().domain([from, to]).range([left, right]);
  return { from, to, x: (at) => scale(at), invert: (x) => scale.invert(x) };
}

/**
 * The water of one route's window in a row, from the making of the piece: rises as it opens, stands, ebbs over the warning time, and is gone.
 *
 * @returns an SVG path, or '' where there is no water in sight
 */
export function water(
  window: RouteWindow,
  madeAt: number,
  of: TideFrame,
  top: number,
  bottom: number,
  warnSeconds: number
): string {
  if (window.never || window.missing) return '';
  // Nothing is open before there is a piece.
  const begins = Math.max(window.opens ?? -Infinity, madeAt);
  const opens = Math.max(begins, of.from - DAY);
  const closes = Math.min(window.closes ?? Infinity, of.to + DAY);
  if (closes <= opens || closes <= of.from || opens >= of.to) return '';
  const span = closes - opens;
  // It fills over a tenth of what is seen at most, so that a wide view does not turn it into a step.
  const fill = begins < of.from ? 0 : Math.min(span / 3, (of.to - of.from) / 40);
  const ebb = window.closes === null ? 0 : Math.min(span / 2, warnSeconds * 1000 * 2);
  const level = (share: number) => bottom - (bottom - top) * share;
  const points: [number, number][] = [
    [opens, begins < of.from ? 1 : 0.04],
    [opens + fill, 1],
    [Math.max(opens + fill, closes - ebb), 1],
    [closes, window.closes === null ? 1 : 0.04]
  ];
  const clamp = (at: number) => Math.min(Math.max(of.x(at), of.x(of.from) - 4), of.x(of.to) + 4);
  return (
    area<[number, number]>()
      .x(([at]) => clamp(at))
      .y0(bottom)
      .y1(([, share]) => level(share))
      .curve(curveMonotoneX)(points) ?? ''
  );
}
