import { area, line, scaleLinear } from 'd3';
import type { AgeForecast } from '../../core/bench/age/forecast.ts';

export interface Weight {
  readonly day: number;
  readonly grams: number;
  /** It does not go with the others. */
  readonly odd: boolean;
}
export interface ChartBox {
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}
export const CHART: ChartBox = { width: 620, height: 300, left: 62, right: 604, top: 16, bottom: 262 };

/** Everything the drawing of a fish's weights is made of: scales, the fan of the forecast, where the wanted weight lies. */
export function weightChart(
  curve: AgeForecast['curve'],
  weights: readonly Weight[],
  wantedGrams: number,
  box: ChartBox = CHART
) {
  const last = Math.max(curve.at(-1)?.day ?? 1, weights.at(-1)?.day ?? 0, 1);
  const all = [...curve.flatMap(({ low, high }) => [low, high]), ...weights.map(({ grams }) => grams), wantedGrams];
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const room = (most - least || most * 0.1) * 0.06;
  const x = scaleLinear([0, last], [box.left, box.right]);
  const y = scaleLinear([least - room, most + room], [box.bottom, box.top]);
  type Point = AgeForecast['curve'][number];
  return {
    x,
    y,
    days: x.ticks(Math.min(10, Math.ceil(last))).filter((day) => Number.isInteger(day)),
    fan: area<Point>(
      ({ day }) => x(day),
      ({ low }) => y(low),
      ({ high }) => y(high)
    )(curve as Point[])!,
    middle: line<Point>(
      ({ day }) => x(day),
      ({ likely }) => y(likely)
    )(curve as Point[])!,
    wanted: y(wantedGrams)
  };
}
