import { depthAt, fullProfile, type DepthProfile } from './depth.ts';
import type { CutTemplate } from '../../activity/board/fold.ts';

type TemplatePart = CutTemplate['parts'][number];

/**
 * Divisions of a salmonid side that houses use. From and to are shares of its length from the head end; the belly band is
 * the lower three tenths of its height, which are also the thinner ones.
 */
export const TEMPLATES: readonly CutTemplate[] = [
  {
    id: 'belly-line',
    name: 'Along the belly line',
    parts: [
      { id: 'loin', name: 'Back loin', from: 0, to: 0.78, band: 'back', use: 'raw' },
      { id: 'belly', name: 'Belly', from: 0, to: 0.7, band: 'belly', use: 'sear' },
      { id: 'tail', name: 'Tail', from: 0.78, to: 1, band: 'all', use: 'mince' }
    ]
  },
  {
    id: 'thirds',
    name: 'Thirds of the length',
    parts: [
      { id: 'head-third', name: 'Head third', from: 0, to: 0.34, band: 'all', use: 'cure' },
      { id: 'centre', name: 'Centre', from: 0.34, to: 0.67, band: 'all', use: 'raw' },
      { id: 'tail-third', name: 'Tail third', from: 0.67, to: 1, band: 'all', use: 'mince' }
    ]
  },
  {
    id: 'five-cuts',
    name: 'Five named cuts',
    parts: [
      { id: 'shoulder', name: 'Shoulder', from: 0, to: 0.22, band: 'back', use: 'cook' },
      { id: 'loin', name: 'Centre loin', from: 0.22, to: 0.76, band: 'back', use: 'raw' },
      { id: 'belly-front', name: 'Front belly', from: 0, to: 0.4, band: 'belly', use: 'sear' },
      { id: 'belly-back', name: 'Rear belly', from: 0.4, to: 0.76, band: 'belly', use: 'cure' },
      { id: 'tail', name: 'Tail', from: 0.76, to: 1, band: 'all', use: 'mince' }
    ]
  }
];

/** Share of a side's height that the belly band takes, and how thick it is there against the back. Drawn from no one fish. */
const BELLY_BAND = 0.3;
const BELLY_DEPTH = 0.55;

/** Height and thickness of a side along its length, as shares of the most: full at the shoulder, a third at the tail. */
const outline = (at: number) => ({ height: 1 - 0.62 * at ** 2.2, depth: 1 - 0.65 * at ** 1.6 });

/**
 * The share of a whole side's weight that lies in one cut, by the volume of a drawn side.
 *
 * @example
 * Math.round(sideShare({ id: 'x', name: 'x', from: 0, to: 1, band: 'all', use: 'raw' }) * 100) // => 100
 */
export function sideShare(part: TemplatePart): number {
  const steps = 200;
  let whole = 0;
  let mine = 0;
  for (let index = 0; index < steps; index++) {
    const at = (index + 0.5) / steps;
    const { height, depth } = outline(at);
    const belly = height * BELLY_BAND * depth * BELLY_DEPTH;
    const back = height * (1 - BELLY_BAND) * depth;
    whole += belly + back;
    if (at < part.from || at >= part.to) continue;
    mine += part.band === 'belly' ? belly : part.band === 'back' ? back : belly + back;
  }
  return mine / whole;
}

/** Parts of a division that lie over one another, as pairs of names; an empty list for a division that can be cut. */
export function overlaps(parts: readonly TemplatePart[]): [string, string][] {
  const out: [string, string][] = [];
  parts.forEach((a, index) => {
    for (const b of parts.slice(index + 1)) {
      const along = Math.min(a.to, b.to) - Math.max(a.from, b.from) > 1e-6;
      const across = a.band === 'all' || b.band === 'all' || a.band === b.band;
      if (along && across) out.push([a.name, b.name]);
    }
  });
  return out;
}

/**
 * How deep one cut of a side is along it, from what was measured of the side: its own stretch of that profile, of the belly as much
 * thinner as the drawn side has it there.
 *
 * @throws EmberError `quantity.out-of-range`, `form.incomplete`, `form.value-unknown` for a profile that is none
 * @example
 * depthOfCut({ lengthMm: 400, points: [{ at: 0, mm: 40 }, { at: 400, mm: 20 }] }, { id: 'x', name: 'x', from: 0.25, to: 0.75, band: 'back', use: 'raw' })
 * // => { lengthMm: 200, points: [{ at: 0, mm: 35 }, { at: 200, mm: 25 }] }
 */
export function depthOfCut(side: DepthProfile, { from, to, band }: TemplatePart): DepthProfile {
  const points = fullProfile(side);
  const [begin, end] = [from * side.lengthMm, to * side.lengthMm];
  const thin = band === 'belly' ? BELLY_DEPTH : 1;
  const inside = points.filter(({ at }) => at > begin && at < end).map(({ at }) => at);
  return {
    lengthMm: end - begin,
    points: [begin, ...inside, end].map((at) => ({ at: at - begin, mm: depthAt(points, at) * thin }))
  };
}
