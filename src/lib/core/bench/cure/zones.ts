import { inRange } from '../../errors.ts';
import { depthAt, fullProfile, type DepthProfile } from '../breakdown/depth.ts';

/** A stretch of a piece along its length, taken as one thickness. */
export interface CureZone {
  /** From the head end, mm. */
  readonly from: number;
  readonly to: number;
  readonly mm: number;
  /** Of the piece's weight, 0 to 1. */
  readonly share: number;
}

export const MOST_ZONES = 12;
/** A piece whose length nobody measured is drawn this long for each millimetre of its depth. */
const LENGTHS_PER_DEPTH = 8;
/** Flesh thinner than this is skin and fringe: salt is through it in minutes. mm */
const THINNEST = 1;

/**
 * Thickness zones of a piece: twelve of one length where its depth was measured or two ends are known, one where it is even.
 * The piece is taken as one width, so that its weight goes as the area of its long section.
 *
 * @param thickMm thick end, mm
 * @param thinMm thin end, mm; null where it is even
 * @param profile as measured along it; it is scaled so that its thickest is `thickMm`
 * @throws EmberError `quantity.out-of-range` naming the field
 * @example
 * cureZones(30, 10, null).length // => 12
 */
export function cureZones(
  thickMm: number,
  thinMm: number | null,
  profile: DepthProfile | null,
  count = MOST_ZONES
): CureZone[] {
  const thick = inRange(thickMm, { field: 'thickness', unit: 'mm', min: 2, max: 150 });
  if (thinMm !== null) inRange(thinMm, { field: 'thin', unit: 'mm', min: THINNEST, max: thick });
  if (!profile && (thinMm === null || thinMm === thick)) {
    return [{ from: 0, to: thick * LENGTHS_PER_DEPTH, mm: thick, share: 1 }];
  }
  const lengthMm = profile?.lengthMm ?? thick * LENGTHS_PER_DEPTH;
  const points = profile
    ? fullProfile(profile)
    : [
        { at: 0, mm: thick },
        { at: lengthMm, mm: thinMm! }
      ];
  const scale = thick / Math.max(...points.map(({ mm }) => mm));
  const zones = Array.from({ length: count }, (_, index) => {
    const from = (lengthMm * index) / count;
    const to = (lengthMm * (index + 1)) / count;
    // Ten places across a zone: a thickness measured between two of its ends is not lost.
    const depths = Array.from({ length: 10 }, (_, tenth) => depthAt(points, from + ((tenth + 0.5) / 10) * (to - from)));
    const mm = Math.max(THINNEST, (scale * depths.reduce((sum, each) => sum + each, 0)) / 10);
    return { from, to, mm };
  });
  const whole = zones.reduce((sum, { mm }) => sum + mm, 0);
  return zones.map((zone) => ({ ...zone, share: zone.mm / whole }));
}

/** The zone salt needs longest for. */
export const thickestZone = (zones: readonly CureZone[]): number =>
  zones.reduce((best, { mm }, index) => (mm > zones[best]!.mm ? index : best), 0);
export const thinnestZone = (zones: readonly CureZone[]): number =>
  zones.reduce((best, { mm }, index) => (mm < zones[best]!.mm ? index : best), 0);
