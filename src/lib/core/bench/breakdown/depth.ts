import { EmberError, inRange } from '../../errors.ts';

export interface DepthPoint {
  /** Along the piece from its head end, mm. */
  readonly at: number;
  readonly mm: number;
}
export interface DepthProfile {
  readonly lengthMm: number;
  readonly points: readonly DepthPoint[];
}

/** Points in order, from end to end: the first and the last measured thickness reach to the ends. */
export function fullProfile({ lengthMm, points }: DepthProfile): DepthPoint[] {
  inRange(lengthMm, { field: 'length', unit: 'mm', min: 10, max: 3000 });
  if (points.length < 2) throw new EmberError('form.incomplete', { field: 'points' });
  const sorted = [...points].sort((a, b) => a.at - b.at);
  for (const { at, mm } of sorted) {
    inRange(at, { field: 'points', unit: 'mm', min: 0, max: lengthMm });
    inRange(mm, { field: 'thickness', unit: 'mm', min: 1, max: 400 });
  }
  if (sorted.some((point, index) => point.at === sorted[index + 1]?.at)) {
    throw new EmberError('form.value-unknown', { field: 'points', seen: 'two thicknesses at one place' });
  }
  const first = sorted[0]!;
  const last = sorted.at(-1)!;
  return [
    ...(first.at > 0 ? [{ at: 0, mm: first.mm }] : []),
    ...sorted,
    ...(last.at < lengthMm ? [{ at: lengthMm, mm: last.mm }] : [])
  ];
}

/** The thickest of a measured profile, mm: what the slowest middle of a freeze or a cure goes by. Null without a profile. */
export const thickest = (profile: { readonly points: readonly DepthPoint[] } | null): number | null =>
  profile && profile.points.length > 0 ? Math.max(...profile.points.map(({ mm }) => mm)) : null;

/** Thickness at a place, straight between the points, mm. */
export function depthAt(points: readonly DepthPoint[], at: number): number {
  let before = points[0]!;
  for (const point of points) {
    if (point.at >= at) {
      const span = point.at - before.at;
      return span === 0 ? point.mm : before.mm + ((point.mm - before.mm) * (at - before.at)) / span;
    }
    before = point;
  }
  return before.mm;
}

const STATIONS = 240;
const stationsOf = (lengthMm: number): number[] =>
  Array.from({ length: STATIONS + 1 }, (_, index) => (lengthMm * index) / STATIONS);

/** Area under a line of thicknesses at even stations, by trapezes. mm2 */
const area = (values: readonly number[], step: number): number =>
  values.reduce((sum, value, index) => sum + (index > 0 ? ((value + values[index - 1]!) / 2) * step : 0), 0);

export interface EvenDepth {
  /** Thickest and thinnest, mm. */
  readonly most: number;
  readonly least: number;
  /** How many times longer salt needs to the middle of the thickest than of the thinnest: as the square of the depth. */
  readonly timesLonger: number;
  /** Shaved down to the depth asked for. */
  readonly trim: { readonly grams: number; readonly share: number; readonly timesLonger: number };
  /** Thin end turned under at a line; null where no fold stays within the depth. */
  readonly fold: { readonly atMm: number; readonly underMm: number; readonly timesLonger: number } | null;
  /** Thin end cut away to be cured apart, where it is thinner than a share of the depth. */
  readonly cutOff: { readonly atMm: number; readonly grams: number; readonly timesLonger: number } | null;
}

/** A thin end below this share of the wanted depth is better folded or cured apart. House's rule of thumb; check. */
const THIN_SHARE = 0.6;

const longer = (values: readonly number[]) => (Math.max(...values) / Math.min(...values)) ** 2;

/**
 * What it takes to make a piece cure evenly: shave the thick end, fold the thin end under, or cut it off, and what each
 * costs in grams. The piece is taken as one width, so that grams go as the area of its long section; time to the middle goes
 * as the square of the depth, as in diffusion from both faces (Crank 1975, The Mathematics of Diffusion, 4.3).
 *
 * @param grams what the piece weighs
 * @param wantedMm the depth it should have
 * @throws EmberError `form.incomplete`, `quantity.out-of-range`
 * @example
 * evenDepth({ lengthMm: 300, points: [{ at: 0, mm: 30 }, { at: 300, mm: 10 }] }, 800, 30).timesLonger // => 9
 */
export function evenDepth(profile: DepthProfile, grams: number, wantedMm: number): EvenDepth {
  const points = fullProfile(profile);
  inRange(grams, { field: 'mass', unit: 'g', min: 1, max: 500_000 });
  inRange(wantedMm, { field: 'thickness', unit: 'mm', min: 2, max: 400 });
  const { lengthMm } = profile;
  const stations = stationsOf(lengthMm);
  const step = lengthMm / STATIONS;
  const depths = stations.map((at) => depthAt(points, at));
  const whole = area(depths, step);
  const share =
    area(
      depths.map((mm) => Math.max(0, mm - wantedMm)),
      step
    ) / whole;
  const shaved = depths.map((mm) => Math.min(mm, wantedMm));

  const thinFromEnd = depths.at(-1)! < depths[0]!;
  const along = thinFromEnd ? shaved : [...shaved].reverse();
  const place = (index: number) => (thinFromEnd ? stations[index]! : lengthMm - stations[index]!);
  const cut = along.findIndex(
    (mm, index) => index > 0 && along.slice(index).every((each) => each < wantedMm * THIN_SHARE) && mm > 0
  );
  return {
    most: Math.max(...depths),
    least: Math.min(...depths),
    timesLonger: longer(depths),
    trim: { grams: grams * share, share, timesLonger: longer(shaved) },
    fold: bestFold(along, wantedMm, step, place),
    cutOff:
      cut > 0
        ? {
            atMm: place(cut),
            grams: (grams * area(along.slice(cut), step)) / whole,
            timesLonger: longer(along.slice(0, cut + 1))
          }
        : null
  };
}

export interface DepthPlan extends EvenDepth {
  readonly wanted: number;
  readonly points: readonly DepthPoint[];
  readonly lengthMm: number;
  readonly grams: number;
}

/**
 * The same for a depth that nobody has chosen yet: that of the middle of what was measured, which costs least at both ends.
 *
 * @param wantedMm null where nobody said
 * @throws EmberError `form.incomplete`, `quantity.out-of-range`
 */
export function planDepth(profile: DepthProfile, grams: number, wantedMm: number | null): DepthPlan {
  const points = fullProfile(profile);
  const sorted = profile.points.map(({ mm }) => mm).sort((a, b) => a - b);
  const wanted = wantedMm ?? sorted[Math.floor(sorted.length / 2)]!;
  return { wanted, points, lengthMm: profile.lengthMm, grams, ...evenDepth(profile, grams, wanted) };
}

/** The line at which folding the thin end under leaves the piece most even and nowhere deeper than a tenth over the wish. */
function bestFold(
  along: readonly number[],
  wantedMm: number,
  step: number,
  place: (index: number) => number
): EvenDepth['fold'] {
  let best: EvenDepth['fold'] = null;
  for (let line = Math.ceil(STATIONS / 2) + 1; line < STATIONS; line++) {
    const under = STATIONS - line;
    const folded = along.slice(0, line + 1).map((mm, index) => {
      const mirror = 2 * line - index;
      return mirror <= STATIONS ? mm + along[mirror]! : mm;
    });
    if (Math.max(...folded) > wantedMm * 1.1) continue;
    const times = longer(folded);
    if (times < (best?.timesLonger ?? longer(along)) - 1e-9) {
      best = { atMm: place(line), underMm: under * step, timesLonger: times };
    }
  }
  return best;
}
