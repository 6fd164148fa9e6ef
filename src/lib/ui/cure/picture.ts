import { interpolateRgb, rgb, scaleLinear } from 'd3';
import type { CureResult } from '../../core/bench/cure/plan.ts';

/** Pale flesh, then water, then deep: salt by weight from none to the most of a picture. */
const TONES = ['#f3ddd2', '#8fb9cb', '#17455f'];
const STEPS = 256;

let table: Uint8ClampedArray | null = null;
/** The scale as 256 colours, red green blue. */
function tones(): Uint8ClampedArray {
  if (table) return table;
  const scale = scaleLinear<string>()
    .domain([0, 0.35 * (STEPS - 1), STEPS - 1])
    .range(TONES)
    .interpolate(interpolateRgb);
  const made = new Uint8ClampedArray(STEPS * 3);
  for (let step = 0; step < STEPS; step++) {
    const { r, g, b } = rgb(scale(step));
    made.set([r, g, b], step * 3);
  }
  return (table = made);
}
export const toneAt = (percent: number, most: number): string => {
  const step = Math.max(0, Math.min(STEPS - 1, Math.round((percent / most) * (STEPS - 1))));
  const [r, g, b] = tones().subarray(step * 3, step * 3 + 3);
  return `rgb(${r} ${g} ${b})`;
};

export type Pictured = Pick<CureResult, 'picture' | 'layers' | 'zones'>;

/** Zone to the left of a place along the piece, and how far towards the next one it lies. */
function between(zones: Pictured['zones'], share: number): [left: number, towards: number] {
  const at = share * zones.length - 0.5;
  const left = Math.max(0, Math.min(zones.length - 1, Math.floor(at)));
  return [left, Math.max(0, Math.min(1, at - left))];
}

/** Thickness at a place along the piece, as a share of its thickest. */
export function thicknessShare(zones: Pictured['zones'], share: number): number {
  const most = zones.reduce((more, { mm }) => Math.max(more, mm), 0);
  const [left, towards] = between(zones, share);
  const next = Math.min(zones.length - 1, left + 1);
  const inside = zones[left]!.mm * (1 - towards) + zones[next]!.mm * towards;
  return inside / most;
}

/** Salt in one layer at a place along the piece, %. */
export function saltAt({ picture, layers, zones }: Pictured, frame: number, share: number, depth: number): number {
  const [left, towards] = between(zones, share);
  const next = Math.min(zones.length - 1, left + 1);
  const at = Math.max(0, Math.min(layers - 1, depth * layers - 0.5));
  const low = Math.floor(at);
  const high = Math.min(layers - 1, low + 1);
  const from = frame * zones.length * layers;
  const in_ = (zone: number) => {
    const base = from + zone * layers;
    return picture[base + low]! + (picture[base + high]! - picture[base + low]!) * (at - low);
  };
  return in_(left) * (1 - towards) + in_(next) * towards;
}

/**
 * Paints the piece cut along its length: salt by place and depth at one moment. What lies outside it stays clear.
 *
 * @param pixels red, green, blue and alpha, row by row
 */
export function paint(
  pixels: Uint8ClampedArray,
  width: number,
  height: number,
  shown: Pictured,
  frame: number,
  faces: 1 | 2,
  most: number
): void {
  const colours = tones();
  pixels.fill(0);
  const { picture, layers, zones } = shown;
  const thickest = Math.max(...zones.map(({ mm }) => mm));
  const from = frame * zones.length * layers;
  // Salt down one column, layer by layer: what lies between two zones is blended once, not for every pixel.
  const column = new Float32Array(layers);
  for (let x = 0; x < width; x++) {
    const [left, towards] = between(zones, (x + 0.5) / width);
    const next = Math.min(zones.length - 1, left + 1);
    for (let layer = 0; layer < layers; layer++) {
      const here = picture[from + left * layers + layer]!;
      column[layer] = here + (picture[from + next * layers + layer]! - here) * towards;
    }
    const thick = ((zones[left]!.mm * (1 - towards) + zones[next]!.mm * towards) / thickest) * height;
    const top = height - thick;
    for (let y = Math.max(0, Math.floor(top)); y < height; y++) {
      const down = Math.max(0, Math.min(1, (y + 0.5 - top) / thick));
      const place = (faces === 2 ? Math.min(down, 1 - down) * 2 : down) * layers - 0.5;
      const inside = Math.max(0, Math.min(layers - 1, place));
      const low = inside | 0;
      const value = column[low]!;
      const salt = value + (column[Math.min(layers - 1, low + 1)]! - value) * (inside - low);
      const step = Math.max(0, Math.min(STEPS - 1, Math.round((salt / most) * (STEPS - 1)))) * 3;
      const at = (y * width + x) * 4;
      pixels[at] = colours[step]!;
      pixels[at + 1] = colours[step + 1]!;
      pixels[at + 2] = colours[step + 2]!;
      pixels[at + 3] = 255;
    }
  }
}

export interface Line {
  /** Along the piece, 0 to 1. */
  readonly share: number;
  /** From the open face inwards, 0 to 1; null where the whole depth is on one side of the mark. */
  readonly depth: number | null;
}

/** Down to which depth a wanted share of salt has come, along the piece. */
export function frontOf(shown: Pictured, frame: number, target: number, stations = 48): Line[] {
  return Array.from({ length: stations + 1 }, (_, index) => {
    const share = index / stations;
    const above = (depth: number) => saltAt(shown, frame, share, depth) >= target;
    const [face, middle] = [above(0), above(1)];
    if (face === middle) return { share, depth: null };
    let [low, high] = [0, 1];
    for (let turn = 0; turn < 12; turn++) {
      const half = (low + high) / 2;
      if (above(half) === face) low = half;
      else high = half;
    }
    return { share, depth: (low + high) / 2 };
  });
}
