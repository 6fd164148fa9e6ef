import { EmberError, inRange } from '../../errors.ts';
import type { Arrangement } from '../../activity/slice/plate.ts';
import {
  byTaste,
  checkLaid,
  largest,
  moundOf,
  RIM_SHARE,
  rowAt,
  wayOf,
  type Laid,
  type Placed,
  type Tasted
} from './plate.ts';

/** Slices of one fish that share a plate with others. */
export interface Kind {
  readonly slices: readonly Laid[];
  readonly tasted: Tasted;
  /** How they are laid; what is laid round a plate alone lies in a row beside others. */
  readonly arrangement: Arrangement;
}
export interface KindPlaced {
  /** Which of the kinds as they were told. */
  readonly kind: number;
  readonly placed: readonly Placed[];
  /** As many of it lie on this plate beside the others, in one row or two. */
  readonly most: number;
  readonly grams: number;
}
export interface Together {
  /** In the order in which they are eaten: the top row first. */
  readonly kinds: readonly KindPlaced[];
  readonly fits: boolean;
  readonly grams: number;
}

/** Air between two rows, mm, and rows a kind may take (check). */
const BETWEEN = 8;
const MOST_ROWS = 2;
export const MOST_KINDS = 4;

/** One row of a kind on the plate: how deep it is, how many it takes at a height, and where they lie. */
interface Row {
  readonly deep: number;
  at(y: number): { readonly most: number; place(count: number): readonly Omit<Placed, 'number'>[] };
}
function rowOf({ slices, arrangement }: Kind, count: number, radius: number, left: boolean): Row {
  const size = largest(slices);
  if (arrangement === 'mound') {
    const [heap] = moundOf(radius, size, Math.max(...slices.map(({ grams }) => grams)));
    const lie = (many: number) => heap?.place(many).at ?? [];
    const own = Math.hypot(size.long, size.short) / 2;
    const reach = own + Math.max(0, ...lie(count).map(({ x, y }) => Math.hypot(x, y)));
    return {
      deep: 2 * reach,
      // A heap lies in the middle of its row, and on the plate with all its edge.
      at: (y) => ({
        most: heap && Math.abs(y) + reach <= radius ? heap.most : 0,
        place: (many) => lie(many).map((each) => ({ ...each, y: each.y + y }))
      })
    };
  }
  const way = wayOf(arrangement === 'leaning' || arrangement === 'block' ? arrangement : 'row', size, left);
  return {
    deep: way.deep,
    at: (y) => {
      const line = rowAt(y, radius, way);
      return { most: line.most, place: (many) => line.place(many).at };
    }
  };
}

/** All ways to give each kind one row or two, the fewest rows first. */
function splits(kinds: readonly Kind[]): number[][] {
  let ways: number[][] = [[]];
  for (const { arrangement } of kinds) {
    const most = arrangement === 'mound' ? 1 : MOST_ROWS;
    ways = ways.flatMap((way) => Array.from({ length: most }, (_, rows) => [...way, rows + 1]));
  }
  const total = (way: readonly number[]) => way.reduce((sum, rows) => sum + rows, 0);
  return ways.sort((a, b) => total(a) - total(b));
}

/** Rows from the top of the plate down, in their order, with all of them in its middle. */
function lay(
  kinds: readonly Kind[],
  rows: readonly number[],
  radius: number,
  left: boolean
): Omit<KindPlaced, 'kind'>[] {
  const each = kinds.map((kind, index) => ({
    kind,
    row: rowOf(kind, kind.slices.length, radius, left),
    rows: rows[index]!
  }));
  const deep = each.reduce((sum, { row, rows: many }) => sum + many * (row.deep + BETWEEN), -BETWEEN);
  let y = deep / 2;
  return each.map(({ kind, row, rows: many }) => {
    const lines = Array.from({ length: many }, () => {
      const line = row.at(y - row.deep / 2);
      y -= row.deep + BETWEEN;
      return line;
    });
    const most = lines.reduce((sum, line) => sum + line.most, 0);
    let left = Math.min(kind.slices.length, most);
    let number = 0;
    const placed = lines.flatMap((line, index) => {
      // Two rows are about as long.
      const here = Math.min(
        line.most,
        Math.max(Math.ceil(left / (lines.length - index)), left - (lines[index + 1]?.most ?? 0))
      );
      left -= here;
      return line.place(here).map((spot) => ({ ...spot, number: kind.slices[number++]!.number }));
    });
    return { placed, most, grams: kind.slices.slice(0, placed.length).reduce((sum, { grams }) => sum + grams, 0) };
  });
}

/**
 * Slices of several fish on one plate: a row of each, or two, in the order in which they are eaten (lean and pale before rich, what is
 * sharp last; of alike ones as they were told). Every slice lies within the rim and in no row of another; where they are too many it
 * says how many of each lie there.
 *
 * @param plate across, over its rim, mm
 * @throws EmberError `quantity.out-of-range`, `form.incomplete` for none, or a kind without slices, `form.too-many`
 */
export function layTogether(
  told: readonly Kind[],
  { plate, left = false }: { readonly plate: number; readonly left?: boolean }
): Together {
  inRange(plate, { field: 'plate', unit: 'mm', min: 80, max: 600 });
  if (told.length === 0) throw new EmberError('form.incomplete', { field: 'pieces' });
  if (told.length > MOST_KINDS)
    throw new EmberError('form.too-many', { field: 'pieces', max: MOST_KINDS, seen: told.length });
  for (const { slices } of told) checkLaid(slices);
  const radius = (plate / 2) * (1 - 2 * RIM_SHARE);
  const order = told.map((_, index) => index).sort((a, b) => byTaste(told[a]!.tasted, told[b]!.tasted) || a - b);
  const kinds = order.map((index) => told[index]!);
  let best: { laid: Omit<KindPlaced, 'kind'>[]; on: number } | null = null;
  for (const rows of splits(kinds)) {
    const laid = lay(kinds, rows, radius, left);
    const on = laid.reduce((sum, { placed }) => sum + placed.length, 0);
    if (!best || on > best.on) best = { laid, on };
  }
  const all = told.reduce((sum, { slices }) => sum + slices.length, 0);
  return {
    kinds: best!.laid.map((each, index) => ({ ...each, kind: order[index]! })),
    fits: best!.on === all,
    grams: best!.laid.reduce((sum, { grams }) => sum + grams, 0)
  };
}
