import { area, curveLinear, line, scaleLinear, type ScaleLinear } from 'd3';
import { DEFAULT_LOGGED_GAP_SECONDS } from '../../core/bench/freeze/hold.ts';
import type { Bin } from '../../core/log/series.ts';

const BELIEVED_MS = DEFAULT_LOGGED_GAP_SECONDS * 1000;

export interface Track {
  readonly name: string;
  readonly kind: 'air' | 'core';
  readonly bins: readonly Bin[];
}
export interface Curve {
  readonly name: string;
  readonly kind: 'planned' | 'read';
  readonly points: readonly { readonly at: number; readonly core: number }[];
}
export interface Dot {
  readonly at: number;
  readonly celsius: number;
  readonly probe: 'core' | 'air';
}

export interface Frame {
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly bottom: number;
}

/** The span of temperatures a log needs, with room above and below; the limit is always in sight. °C */
export function spanOf(
  tracks: readonly Track[],
  curves: readonly Curve[],
  dots: readonly Dot[],
  limit: number
): [number, number] {
  let [low, high] = [limit - 3, limit + 3];
  const see = (value: number) => {
    low = Math.min(low, value);
    high = Math.max(high, value);
  };
  for (const { bins } of tracks) for (const { min, max } of bins) [min, max].forEach(see);
  for (const { points } of curves) for (const { core } of points) see(core);
  for (const { celsius } of dots) see(celsius);
  const room = (high - low) * 0.06;
  return [low - room, high + room];
}

export const scales = (
  frame: Frame,
  [from, to]: readonly [number, number],
  [low, high]: readonly [number, number]
): { x: ScaleLinear<number, number>; y: ScaleLinear<number, number> } => ({
  x: scaleLinear([from, to], [frame.left, frame.width - 8]),
  y: scaleLinear([low, high], [frame.height - frame.bottom, 8])
});

/** Bins that follow each other without a silence that is not believed: across such a one nothing is known, and nothing is drawn. */
export function stretches(bins: readonly Bin[]): Bin[][] {
  const out: Bin[][] = [];
  for (const bin of bins) {
    const last = out.at(-1)?.at(-1);
    if (last && bin.from - last.to <= Math.max(BELIEVED_MS, bin.to - bin.from)) out.at(-1)!.push(bin);
    else out.push([bin]);
  }
  return out;
}

type Scales = ReturnType<typeof scales>;
const middle = ({ from, to }: Bin) => (from + to) / 2;

/** Between the least and the most of each bin: no extreme is lost however much time a pixel stands for. */
export const bandPath = (bins: readonly Bin[], { x, y }: Scales): string =>
  stretches(bins)
    .map(
      (run) =>
        area<Bin>()
          .x((bin) => x(middle(bin)))
          .y0((bin) => y(bin.min) + 0.6)
          .y1((bin) => y(bin.max) - 0.6)
          .curve(curveLinear)(
          run.length === 1
            ? [
                { ...run[0]!, to: run[0]!.from },
                { ...run[0]!, from: run[0]!.to }
              ]
            : run
        ) ?? ''
    )
    .join('');

export const meanPath = (bins: readonly Bin[], { x, y }: Scales): string =>
  stretches(bins)
    .map(
      (run) =>
        line<Bin>()
          .x((bin) => x(middle(bin)))
          .y((bin) => y(bin.mean))(run) ?? ''
    )
    .join('');

export const curvePath = (points: Curve['points'], { x, y }: Scales): string =>
  line<Curve['points'][number]>()
    .x(({ at }) => x(at))
    .y(({ core }) => y(core))(points as Curve['points'][number][]) ?? '';

/** A window on the whole, moved or widened, never out of it and never narrower than ten minutes. ms */
export function moved(
  [from, to]: readonly [number, number],
  [first, last]: readonly [number, number],
  { shift = 0, zoom = 1 }: { shift?: number; zoom?: number }
): [number, number] {
  const width = Math.min(last - first, Math.max(600_000, (to - from) * zoom));
  const centre = (from + to) / 2 + shift * (to - from);
  const start = Math.min(Math.max(first, centre - width / 2), last - width);
  return [start, start + width];
}
