import type { AcidResult, AcidSettings } from '../../core/bench/acid/plan.ts';

export type Sectioned = Pick<AcidResult, 'course' | 'shape' | 'halfMm' | 'fourierPerSecond'>;

/** The section of a piece as it is drawn: across and up, mm. A slice lies flat; a fillet on its skin has acid from above alone. */
export function sectionSize(
  { shape, halfMm }: Pick<AcidResult, 'shape' | 'halfMm'>,
  faces: 1 | 2
): { width: number; height: number } {
  const halves = shape.halves.map((half) => half * halfMm);
  if (shape.kind === 'slab')
    return { width: 6 * halfMm * (faces === 1 ? 0.5 : 1), height: faces === 1 ? halfMm : 2 * halfMm };
  return { width: 2 * Math.min(halves[0]!, 6 * halfMm), height: 2 * Math.min(halves[1] ?? halves[0]!, 6 * halfMm) };
}

/** The picture that stands nearest to a moment. */
export function pictureAt(
  { course, fourierPerSecond }: Pick<Sectioned, 'course' | 'fourierPerSecond'>,
  seconds: number
) {
  const wanted = seconds * fourierPerSecond;
  return course.pictures.reduce((best, each) =>
    Math.abs(each.fourier - wanted) < Math.abs(best.fourier - wanted) ? each : best
  );
}

/**
 * Turned share at a place of the section.
 *
 * @param across 0 at its left edge, 1 at its right
 * @param up 0 at its top, 1 at its bottom
 * @param rim share of the half-thickness that has turned, for a flat piece: a slab needs no picture
 */
export function turnedAt(
  { course, shape }: Pick<Sectioned, 'course' | 'shape'>,
  turned: Float32Array,
  rim: number,
  faces: 1 | 2,
  across: number,
  up: number
): number {
  if (shape.kind === 'slab') {
    const depth = faces === 1 ? up : 1 - Math.abs(2 * up - 1);
    // Half a hundredth of blur, so that the front is a line and not a staircase.
    return Math.max(0, Math.min(1, 0.5 + (rim - depth) / 0.02));
  }
  const { columns, rows } = course;
  // Between the middles of four cells: a front is a line, not a staircase.
  const place = (share: number, count: number): [number, number, number] => {
    const at = Math.max(0, Math.min(count - 1, Math.abs(2 * share - 1) * count - 0.5));
    const low = Math.floor(at);
    return [low, Math.min(count - 1, low + 1), at - low];
  };
  const [left, right, aside] = place(across, columns);
  const [near, far, along] = place(up, rows);
  const row = (index: number) =>
    turned[index * columns + left]! * (1 - aside) + turned[index * columns + right]! * aside;
  return row(near) * (1 - along) + row(far) * along;
}

const RAW = [221, 150, 133] as const;
const TURNED = [250, 242, 231] as const;

/** Paints the section at a moment: rosy where it is raw, white where it has turned. */
export function paintSection(
  pixels: Uint8ClampedArray,
  width: number,
  height: number,
  shown: Sectioned,
  rim: number,
  seconds: number,
  faces: 1 | 2
): void {
  const { turned } = pictureAt(shown, seconds);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const share = turnedAt(shown, turned, rim, faces, (x + 0.5) / width, (y + 0.5) / height);
      const at = (y * width + x) * 4;
      for (let channel = 0; channel < 3; channel++) {
        pixels[at + channel] = RAW[channel]! + (TURNED[channel]! - RAW[channel]!) * share;
      }
      pixels[at + 3] = 255;
    }
  }
}

/** Width of the raw middle that a touch on the section marks, mm: twice its distance from the middle line. */
export function rawFromTouch(
  { shape, halfMm }: Pick<AcidResult, 'shape' | 'halfMm'>,
  faces: 1 | 2,
  across: number,
  up: number
): number {
  if (shape.kind === 'slab') return faces === 1 ? (1 - up) * halfMm : Math.abs(2 * up - 1) * 2 * halfMm;
  const { width, height } = sectionSize({ shape, halfMm }, faces);
  // The smaller way across is the one that is measured.
  return width <= height ? Math.abs(2 * across - 1) * width : Math.abs(2 * up - 1) * height;
}

export const liquidText = (liquid: AcidSettings['liquid']): string =>
  liquid.map(({ what, id, ml }) => `${what === 'sour' ? id : what} ${ml}`).join(', ');
