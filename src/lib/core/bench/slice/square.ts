import { EmberError, inRange } from '../../errors.ts';
import { checkBlock, measureAt, volumeOf, type Block } from './block.ts';

/**
 * A side or a loin squared into blocks of one height and width. It lies on the board with its thick edge straight; blocks are cut
 * along it in straight rows, the first beside the thick edge, and where it stands high enough, one above the other. Lengths in mm.
 */

export interface SquareOrder {
  /** As it lies there, its skin and dark strip still on it. */
  readonly side: Block;
  /** g/mm³. */
  readonly density: number;
  /** What is shaved off below for the skin, mm; 0 where it is off. */
  readonly skin: number;
  /** What is cut away along the thick edge for the dark muscle, mm; 0 for none. */
  readonly dark: number;
  /** Wanted of every block. */
  readonly height: number;
  readonly width: number;
  /** A shorter one is no block. */
  readonly least: number;
}

/** A block in a side: which row from the thick edge and which layer from the board, from 0; from where to where along it. */
export interface Squared {
  readonly row: number;
  readonly layer: number;
  readonly from: number;
  readonly to: number;
  readonly grams: number;
}
/** What is lost by squaring, by name. */
export const LOSSES = ['skin', 'dark', 'belly', 'head', 'tail', 'shavings'] as const;
export type Loss = (typeof LOSSES)[number];
export interface SquareOut {
  readonly blocks: readonly Squared[];
  /** In blocks, g. */
  readonly grams: number;
  readonly losses: Readonly<Record<Loss, number>>;
  readonly wholeGrams: number;
  /** No blocks of this height weigh more, however they are laid in straight rows of any width: all that stands high enough. g */
  readonly boundGrams: number;
}

export const SQUARE_MM = {
  skin: { min: 0, max: 8 },
  dark: { min: 0, max: 120 },
  height: { min: 8, max: 120 },
  width: { min: 15, max: 250 },
  least: { min: 10, max: 500 }
} as const;

/** Nodes of Gauss and Legendre over 0 to 1; panels a straight stretch is summed by. */
const NODES: readonly (readonly [node: number, weight: number])[] = [
  [0.5 - Math.sqrt(0.15), 5 / 18],
  [0.5, 8 / 18],
  [0.5 + Math.sqrt(0.15), 5 / 18]
];
const PANELS = 24;
/** What is one place but for binary fractions, mm. */
const SAW = 1e-7;

/** Where a t² + b t + c crosses nothing between 0 and 1. */
function roots(a: number, b: number, c: number): number[] {
  const inside = (t: number) => t > 0 && t < 1;
  if (Math.abs(a) < 1e-12) return b === 0 ? [] : [-c / b].filter(inside);
  const under = b * b - 4 * a * c;
  if (under < 0) return [];
  // Of the two ways to write a root the one that does not cancel.
  const q = -0.5 * (b + (b < 0 ? -1 : 1) * Math.sqrt(under));
  return [q / a, ...(q === 0 ? [] : [c / q])].filter(inside);
}

class Side {
  readonly order: SquareOrder;
  readonly #stretches: readonly (readonly [number, number])[];
  constructor(order: SquareOrder) {
    this.order = order;
    const { length, heights, widths } = order.side;
    const places = [...new Set([0, ...heights.map(({ at }) => at), ...widths.map(({ at }) => at), length])].sort(
      (a, b) => a - b
    );
    this.#stretches = places.slice(1).map((to, index) => [places[index]!, to] as const);
  }
  height = (x: number): number => measureAt(this.order.side.heights, x);
  width = (x: number): number => measureAt(this.order.side.widths, x);

  /**
   * Places at which the side, above its skin, is just `up` high at `across` from its thick edge, or just so wide; with both ends
   * of every straight stretch. Between two neighbours it is either high and wide enough all along, or nowhere.
   */
  #places(up: number, across: number): number[] {
    const { edge } = this.order.side;
    const found: number[] = [];
    for (const [from, to] of this.#stretches) {
      const [h0, h1, w0, w1] = [this.height(from), this.height(to), this.width(from), this.width(to)];
      const [dh, dw] = [h1 - h0, w1 - w0];
      const tall = up + this.order.skin;
      // H (W - (1 - e) y) = tall W, with H and W straight along the stretch.
      const thin = (1 - edge) * across;
      const high = roots(dh * dw, h0 * dw + dh * (w0 - thin) - tall * dw, h0 * (w0 - thin) - tall * w0);
      const wide = roots(0, dw, w0 - across);
      found.push(from, ...[...high, ...wide].map((t) => from + t * (to - from)), to);
    }
    return [...new Set(found)].sort((a, b) => a - b);
  }
  #holds(x: number, up: number, across: number): boolean {
    const wide = this.width(x);
    const { edge } = this.order.side;
    return wide >= across - SAW && this.height(x) * (1 - ((1 - edge) * across) / wide) - this.order.skin >= up - SAW;
  }
  /** Stretches along which a block that reaches so high and so far across lies inside. */
  inside(up: number, across: number): (readonly [number, number])[] {
    const places = this.#places(up, across);
    const out: [number, number][] = [];
    for (let index = 1; index < places.length; index++) {
      const [from, to] = [places[index - 1]!, places[index]!];
      if (!this.#holds((from + to) / 2, up, across)) continue;
      const last = out.at(-1);
      // Two that meet are one, unless the side is notched where they do.
      if (last && last[1] === from && this.#holds(from, up, across)) last[1] = to;
      else out.push([from, to]);
    }
    return out;
  }

  /** Flesh above the skin between two places along and two across, mm³. */
  flesh(from: number, to: number, near: number, far: (width: number) => number): number {
    return this.#sum(from, to, (x) => {
      const wide = this.width(x);
      return this.#column(x, Math.min(near, wide), Math.min(far(wide), wide));
    });
  }
  /** A function summed along the side, stretch by stretch. */
  #sum(from: number, to: number, of: (x: number) => number, more: readonly number[] = []): number {
    const places = [
      ...new Set([from, ...this.#stretches.map(([start]) => start), ...more, to].filter((x) => x >= from && x <= to))
    ].sort((a, b) => a - b);
    let sum = 0;
    for (let index = 1; index < places.length; index++) {
      const [start, end] = [places[index - 1]!, places[index]!];
      const step = (end - start) / PANELS;
      for (let panel = 0; panel < PANELS; panel++) {
        for (const [node, weight] of NODES) sum += weight * step * of(start + (panel + node) * step);
      }
    }
    return sum;
  }
  /** Height above the skin summed across, straight from the thick edge to the thin one and nowhere below nothing. mm² */
  #column(x: number, near: number, far: number): number {
    const rise = this.height(x) - this.order.skin;
    const fall = (this.height(x) * (1 - this.order.side.edge)) / this.width(x);
    const end = fall > 0 ? Math.min(far, rise / fall) : rise > 0 ? far : near;
    return end > near ? rise * (end - near) - (fall * (end * end - near * near)) / 2 : 0;
  }
  /** All that stands at least so high beside the dark strip, in whole heights, mm³. */
  standing(): number {
    const { side, height, dark, skin } = this.order;
    const most = Math.max(...side.heights.map(({ mm }) => mm));
    let sum = 0;
    for (let up = height; up <= most - skin + SAW; up += height) {
      const across = (x: number) => {
        const rise = this.height(x) - skin - up;
        const fall = (this.height(x) * (1 - side.edge)) / this.width(x);
        const far = rise < -SAW ? 0 : fall > 0 ? Math.min(this.width(x), rise / fall) : this.width(x);
        return height * Math.max(0, far - dark);
      };
      sum += this.#sum(0, side.length, across, [
        ...this.#places(up, dark),
        ...this.#places(up, 0),
        // Where it stands so high right to its thin edge.
        ...this.#stretches.flatMap(([from, to]) =>
          roots(0, (this.height(to) - this.height(from)) * side.edge, this.height(from) * side.edge - skin - up).map(
            (t) => from + t * (to - from)
          )
        )
      ]);
    }
    return sum;
  }
}

function checkOrder({ side, density, ...sizes }: SquareOrder): void {
  checkBlock(side);
  inRange(density, { field: 'density', unit: 'g/mm³', min: 0.0005, max: 0.002 });
  const fields = { skin: 'skin', dark: 'dark', height: 'wantHeight', width: 'wantWidth', least: 'least' } as const;
  for (const name of ['skin', 'dark', 'height', 'width', 'least'] as const) {
    inRange(sizes[name], { field: fields[name], unit: 'mm', ...SQUARE_MM[name] });
  }
}

/**
 * The largest blocks of a height and width that lie in a side. Height falls, or stays, from the thick edge to the thin one, so
 * that a row moved towards the thick edge never gets shorter: rows that begin there, one beside the other, are the longest there
 * are, and each is found by solving where the side gets too low or too narrow. Turned or uneven rows are not looked at; the bound
 * says what they could give at the very most.
 *
 * @throws EmberError `quantity.out-of-range`, `form.incomplete`, `form.value-unknown` naming the field, its unit and the range
 */
export function square(order: SquareOrder): SquareOut {
  checkOrder(order);
  const { side: block, density, dark, height, width, least } = order;
  const side = new Side(order);
  const blocks: Squared[] = [];
  for (let row = 0; dark + (row + 1) * width <= Math.max(...block.widths.map(({ mm }) => mm)) + SAW; row++) {
    for (let layer = 0; ; layer++) {
      const held = side.inside((layer + 1) * height, dark + (row + 1) * width);
      if (held.length === 0) break;
      for (const [from, to] of held) {
        if (to - from < least) continue;
        blocks.push({ row, layer, from, to, grams: density * (to - from) * height * width });
      }
    }
  }
  const grams = blocks.reduce((sum, each) => sum + each.grams, 0);
  return {
    blocks,
    grams,
    losses: lossesOf(order, side, blocks, grams),
    wholeGrams: density * volumeOf(block),
    boundGrams: Math.max(grams, density * side.standing())
  };
}

function lossesOf(
  { side: { length }, side, density, dark, width }: SquareOrder,
  shape: Side,
  blocks: readonly Squared[],
  grams: number
): Record<Loss, number> {
  const all = (near: number, far: (wide: number) => number) => density * shape.flesh(0, length, near, far);
  const toEdge = (wide: number) => wide;
  const fleshed = all(0, toEdge);
  const darkGrams = all(0, () => dark);
  const first = blocks.length === 0 ? length : Math.min(...blocks.map(({ from }) => from));
  const last = blocks.length === 0 ? length : Math.max(...blocks.map(({ to }) => to));
  const across = dark + (Math.max(-1, ...blocks.map(({ row }) => row)) + 1) * width;
  const [head, tail, belly] = [
    density * shape.flesh(0, first, dark, toEdge),
    density * shape.flesh(last, length, dark, toEdge),
    density * shape.flesh(first, last, across, toEdge)
  ];
  return {
    skin: Math.max(0, density * volumeOf(side) - fleshed),
    dark: darkGrams,
    belly,
    head,
    tail,
    shavings: Math.max(0, fleshed - darkGrams - head - tail - belly - grams)
  };
}

export interface Lower {
  readonly height: number;
  readonly grams: number;
}
/** Heights that are looked at beside the one that was wanted: so much lower at the most, as a share of it. */
const LOWER = 0.6;

/**
 * The height a little under the one that was wanted at which most of a side lies in blocks, in whole mm; null where none gives
 * noticeably more, which is a twentieth of the side.
 *
 * @throws EmberError as {@link square}
 */
export function lowerThatGives(order: SquareOrder): Lower | null {
  const asked = square(order);
  let best = { height: order.height, grams: asked.grams };
  for (
    let height = Math.ceil(order.height) - 1;
    height >= Math.max(SQUARE_MM.height.min, order.height * LOWER);
    height--
  ) {
    const { grams } = square({ ...order, height });
    if (grams > best.grams + 1e-6) best = { height, grams };
  }
  return best.grams > asked.grams + asked.wholeGrams / 20 ? best : null;
}

/** @throws EmberError `slice.no-block` where no block lies in it */
export function squareOrThrow(order: SquareOrder): SquareOut {
  const out = square(order);
  if (out.blocks.length === 0) throw new EmberError('slice.no-block', { field: 'wantHeight' });
  return out;
}
