import { EmberError, inRange } from '../../errors.ts';
import { depthAt, type DepthPoint } from '../breakdown/depth.ts';

/**
 * The block that lies under the knife, as a ruler finds it: how high and how wide it is along its length, a slanted end, a thin
 * edge. Lengths in mm, angles in degrees, volumes in mm³.
 */

/** A measure at a place along the block, mm. */
export type Station = DepthPoint;
/** A measure at a place, straight between the stations; past the last of them it stays as it is there. */
export const measureAt = depthAt;

export interface Block {
  /** Along the board, from its head end, mm. */
  readonly length: number;
  /** Standing on the board, from end to end; straight between the stations. */
  readonly heights: readonly Station[];
  /** Across the block, likewise. */
  readonly widths: readonly Station[];
  /** Height at its thin edge as a share of that at its thick one; 1 for a squared block. */
  readonly edge: number;
}
/** The blade: where it meets the board on the near edge, how it leans, how it is turned on the board. */
export interface Blade {
  /** From the head end, mm. */
  readonly at: number;
  /** From the board, degrees; 90 is straight down. It leans towards the tail. */
  readonly angle: number;
  /** Out of square to the length, degrees; 0 is square. */
  readonly skew: number;
}

/** What a ruler may say of a block. */
export const BLOCK_MM = {
  length: { min: 5, max: 1000 },
  height: { min: 3, max: 200 },
  width: { min: 5, max: 400 }
} as const;
/** Share of its height that the thin edge of a block may have. */
export const EDGE = { min: 0.05, max: 1 } as const;

const radians = (degrees: number) => (degrees * Math.PI) / 180;
/** 1 / tan, and nothing at all where the blade stands upright. */
export const cotangent = (degrees: number): number => (degrees === 90 ? 0 : 1 / Math.tan(radians(degrees)));

/** Weights and nodes of Gauss and Legendre over 0 to 1: three are exact to the fifth power. */
const GAUSS_3: readonly (readonly [node: number, weight: number])[] = [
  [0.5 - Math.sqrt(0.15), 5 / 18],
  [0.5, 8 / 18],
  [0.5 + Math.sqrt(0.15), 5 / 18]
];
/** Lines along the block by which an edge or a turned blade is reckoned. */
const LINES = 12;
const ACROSS: readonly number[] = Array.from({ length: LINES }, (_, index) => (index + 0.5) / LINES);

function checkStations(stations: readonly Station[], length: number, field: 'height' | 'width'): void {
  if (stations.length === 0) throw new EmberError('form.incomplete', { field });
  stations.forEach(({ at, mm }, index) => {
    inRange(at, { field, unit: 'mm', min: 0, max: length });
    // A slanted end comes down to the board.
    const least = field === 'height' && (index === 0 || index === stations.length - 1) ? 0 : BLOCK_MM[field].min;
    inRange(mm, {
      field,
      unit: 'mm',
      min: stations.length > 1 ? least : BLOCK_MM[field].min,
      max: BLOCK_MM[field].max
    });
    if (index > 0 && at <= stations[index - 1]!.at) {
      throw new EmberError('form.value-unknown', { field, seen: `${at} mm` });
    }
  });
}

/** @throws EmberError `quantity.out-of-range`, `form.incomplete`, `form.value-unknown` naming the field, its unit and the range */
export function checkBlock({ length, heights, widths, edge }: Block): void {
  inRange(length, { field: 'length', unit: 'mm', ...BLOCK_MM.length });
  checkStations(heights, length, 'height');
  checkStations(widths, length, 'width');
  inRange(edge, { field: 'edge', unit: '', ...EDGE });
}

/** A squared block of one height and one width. */
export const evenBlock = (length: number, height: number, width: number): Block => ({
  length,
  heights: [{ at: 0, mm: height }],
  widths: [{ at: 0, mm: width }],
  edge: 1
});

/** The same block, with its ends slanted: the top begins so much further in than the foot, mm. */
export function slanted(block: Block, head: number, tail: number): Block {
  const { length, heights } = block;
  if (head === 0 && tail === 0) return block;
  inRange(head, { field: 'slantHead', unit: 'mm', min: 0, max: length / 2 });
  inRange(tail, { field: 'slantTail', unit: 'mm', min: 0, max: length / 2 - 1 });
  const from = head;
  const to = length - tail;
  const between = heights.filter(({ at }) => at > from && at < to);
  return {
    ...block,
    heights: [
      ...(head > 0 ? [{ at: 0, mm: 0 }] : []),
      { at: from, mm: measureAt(heights, from) },
      ...between,
      { at: to, mm: measureAt(heights, to) },
      ...(tail > 0 ? [{ at: length, mm: 0 }] : [])
    ]
  };
}

/** The same block, turned end for end. */
export const turned = ({ length, heights, widths, edge }: Block): Block => {
  const flip = (stations: readonly Station[]) => [...stations].reverse().map(({ at, mm }) => ({ at: length - at, mm }));
  return { length, heights: flip(heights), widths: flip(widths), edge };
};

/** The places where the block changes, from end to end. */
const breaks = ({ length, heights, widths }: Block): number[] =>
  [...new Set([0, ...heights.map(({ at }) => at), ...widths.map(({ at }) => at), length])].sort((a, b) => a - b);

/** How high the block stands on a line along it, as a share of its height; 0 is the near edge, 1 the far one. */
const lineHeight = (edge: number, across: number): number => 1 - (1 - edge) * across;

interface Ends {
  readonly height: number;
  readonly width: number;
  /** How high above the board the blade is; what lies higher is behind it. */
  readonly blade: number;
}

/** Flesh behind the blade along one line of the block, over a stretch on which all is straight, mm³ for a block that is one line. */
function behindOn(from: number, to: number, start: Ends, end: Ends, share: number): number {
  const at = (t: number, name: keyof Ends) => start[name] + (end[name] - start[name]) * t;
  // Straight lines cross once at the most: between the crossings the flesh is a product of straight lines, summed exactly.
  const cross = (a: number, b: number) => (a < 0 !== b < 0 && a !== b ? [a / (a - b)] : []);
  const cuts = [
    0,
    ...[
      ...cross(start.blade, end.blade),
      ...cross(start.blade - start.height * share, end.blade - end.height * share)
    ].sort((a, b) => a - b),
    1
  ];
  let sum = 0;
  for (let index = 1; index < cuts.length; index++) {
    const [t0, t1] = [cuts[index - 1]!, cuts[index]!];
    if (t1 <= t0) continue;
    for (const [node, weight] of GAUSS_3) {
      const t = t0 + (t1 - t0) * node;
      const flesh = Math.max(0, at(t, 'height') * share - Math.max(0, at(t, 'blade')));
      sum += weight * (t1 - t0) * at(t, 'width') * flesh;
    }
  }
  return sum * (to - from);
}

/**
 * Flesh between the head end and the blade: height and width each straight between their stations, multiplied, and summed exactly
 * (plane geometry; the edge and a turned blade by twelve lines along the block).
 *
 * @returns mm³
 * @example
 * volumeBehind(evenBlock(180, 30, 70), { at: 6, angle: 90, skew: 0 }) // => 12600
 * @example
 * volumeBehind(evenBlock(180, 30, 70), { at: 1000, angle: 40, skew: 0 }) // => 378000
 */
export function volumeBehind(block: Block, { at, angle, skew }: Blade): number {
  const isPlain = block.edge === 1 && skew === 0;
  const lines = isPlain ? [0] : ACROSS;
  const steep = angle === 90 ? null : Math.tan(radians(angle));
  const turn = Math.tan(radians(skew));
  const places = breaks(block);
  let sum = 0;
  for (const line of lines) {
    const share = isPlain ? 1 : lineHeight(block.edge, line);
    const foot = (x: number, width: number) => at + line * width * turn - x;
    for (let index = 1; index < places.length; index++) {
      const [from, to] = [places[index - 1]!, places[index]!];
      const ends = [from, to].map((x) => {
        const width = measureAt(block.widths, x);
        const height = measureAt(block.heights, x);
        // An upright blade has all before it above the board and all behind it below: as steep as the sum can tell.
        return { height, width, blade: steep === null ? -foot(x, width) : -foot(x, width) * steep };
      });
      const [start, end] = ends as [Ends, Ends];
      sum += steep === null ? upright(from, to, start, end, share) : behindOn(from, to, start, end, share);
    }
  }
  return sum / lines.length;
}

/** The same for an upright blade: all that lies on its head side. */
function upright(from: number, to: number, start: Ends, end: Ends, share: number): number {
  const part = start.blade >= 0 ? 0 : end.blade <= 0 ? 1 : start.blade / (start.blade - end.blade);
  if (part <= 0) return 0;
  const at = (t: number, name: 'height' | 'width') => start[name] + (end[name] - start[name]) * t;
  return (
    GAUSS_3.reduce(
      (sum, [node, weight]) => sum + weight * at(node * part, 'height') * share * at(node * part, 'width'),
      0
    ) *
    part *
    (to - from)
  );
}

/** All of it, mm³. */
export const volumeOf = (block: Block): number =>
  volumeBehind(block, { at: block.length * 2 + 1000, angle: 90, skew: 0 });

/**
 * The first and the last place of the blade at which it cuts a whole face, from the board to the top, on both edges; null where
 * the block is too short for one.
 *
 * @param end where what is sliced ends, mm from the head end; all of it where left out
 */
export function faces(
  block: Block,
  angle: number,
  skew: number,
  end: number = block.length
): { readonly from: number; readonly to: number } | null {
  const turn = Math.tan(radians(skew));
  const lean = measureAt(block.heights, end) * cotangent(angle);
  const from = Math.max(0, -measureAt(block.widths, 0) * turn);
  const to = end - Math.max(lean, measureAt(block.widths, end) * turn + lean * block.edge);
  return to > from ? { from, to } : null;
}
