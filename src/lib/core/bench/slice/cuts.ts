import { EmberError, inRange } from '../../errors.ts';
import {
  checkBlock,
  cotangent,
  faces,
  measureAt,
  turned,
  volumeBehind,
  volumeOf,
  type Blade,
  type Block
} from './block.ts';

/** A block cut into slices, one after the other: where the blade stands for each, what it weighs, what is left over. */

/** What a slice is to be: so heavy, or so thick. */
export type Aim = { readonly by: 'weight'; readonly grams: number } | { readonly by: 'thickness'; readonly mm: number };

/** How the knife is held for a row of slices. */
export interface Way {
  /** From the board, degrees. */
  readonly angle: number;
  /** Out of square, degrees. */
  readonly skew: number;
  /** As flat as the blade may be laid while the block thins, degrees; the angle itself where it stays. */
  readonly flattest: number;
  /** A slice of this style is no thinner and no thicker, mm. */
  readonly least: number;
  readonly most: number;
  /** Edge of a cube: each slice is cut twice more. False for slices. */
  readonly cubes: boolean;
}
/** A row of like slices: so many, or as many as there are. */
export interface Row {
  readonly aim: Aim;
  readonly way: Way;
  readonly count: number | null;
}

export interface Slice {
  /** Of which row, from 0. */
  readonly row: number;
  /** Its face on the side it is begun from, and the other. */
  readonly from: Blade;
  readonly to: Blade;
  /** At right angles to the blade, half-way up, mm. */
  readonly thickness: number;
  /** Longer side of its face, as it is cut, mm. */
  readonly face: number;
  /** What it weighs as a whole; of cubes, the slab they are cut from. g */
  readonly slabGrams: number;
  /** Pieces it gives: one, or the cubes of a slab. */
  readonly pieces: number;
  readonly gramsEach: number;
}
/** Why a row ends before its number. */
export type RowEnd = 'done' | 'block-ends' | 'too-thick' | 'too-short';
export interface RowOut {
  readonly slices: number;
  readonly pieces: number;
  readonly grams: number;
  readonly ended: RowEnd;
  /** Slices that weigh more than was wanted, because no thinner one holds together. */
  readonly heavy: number;
  /** Where none weighs what is wanted: the heaviest that this style gives here, g; null elsewhere. */
  readonly mostGrams: number | null;
}
export interface CutList {
  readonly slices: readonly Slice[];
  readonly rows: readonly RowOut[];
  readonly pieces: number;
  /** In pieces, g. */
  readonly grams: number;
  /** What no row took: wedges at the ends and between rows, what cubes leave of their slabs, the rest of the block. g */
  readonly offcutGrams: number;
  /** The stringy end that is kept back, g. */
  readonly tailGrams: number;
  readonly blockGrams: number;
}

export interface CutOrder {
  readonly block: Block;
  /** g/mm³. */
  readonly density: number;
  readonly rows: readonly Row[];
  /** Which end is cut first. */
  readonly first: 'head' | 'tail';
  /** So much of the tail is not sliced, mm. */
  readonly tail: number;
}

/** More slices than a block ever gave: a row of such thin ones is refused and not drawn. */
const MOST_SLICES = 2000;
/** A place on the block, told to a thousandth of this, mm. */
const CLOSE = 1e-3;
const sine = (degrees: number) => Math.sin((degrees * Math.PI) / 180);
/** What is one face but for the saw-tooth of binary fractions, mm. */
const SAW = 1e-7;

/** A rising function set to a value between two places, by halving the better half; to a hundred-thousandth of a millimetre. */
function solve(rising: (at: number) => number, wanted: number, from: number, to: number): number {
  let [low, high] = [from, to];
  let [under, over] = [rising(low) - wanted, rising(high) - wanted];
  if (under >= 0) return low;
  if (over <= 0) return high;
  for (let step = 0; step < 60 && high - low > CLOSE / 100; step++) {
    // False position meets a nearly straight line in a few steps; every third is a plain halving, so that it never crawls.
    const guess = step % 3 === 2 ? (low + high) / 2 : low + ((high - low) * -under) / (over - under);
    const value = rising(guess) - wanted;
    if (Math.abs(value) < 1e-9) return guess;
    if (value < 0) [low, under] = [guess, value];
    else [high, over] = [guess, value];
  }
  return (low + high) / 2;
}

const turnOf = ({ skew }: Pick<Blade, 'skew'>) => Math.cos((skew * Math.PI) / 180);
/** How far the blade moves along the length for a thickness. */
const advance = (thickness: number, { angle, skew }: Pick<Blade, 'angle' | 'skew'>): number =>
  thickness / (sine(angle) * turnOf({ skew }));

class Knife {
  readonly #order: Pick<CutOrder, 'block' | 'density'>;
  constructor(order: Pick<CutOrder, 'block' | 'density'>) {
    this.#order = order;
  }
  /** g between the head end and the blade. */
  behind(blade: Blade): number {
    return this.#order.density * volumeBehind(this.#order.block, blade);
  }
  heightAt(at: number): number {
    return measureAt(this.#order.block.heights, Math.min(at, this.#order.block.length));
  }
  /** How high a face rises: the block is lower, or higher, where the blade comes out of it. mm */
  rises({ at, angle }: Blade): number {
    let height = this.heightAt(at);
    for (let step = 0; step < 4; step++) height = this.heightAt(at + height * cotangent(angle));
    return height;
  }
  /** The tallest that a face may be cut, mm. */
  tallest({ at, angle }: Blade): number {
    const { heights } = this.#order.block;
    const over = at + Math.max(...heights.map(({ mm }) => mm)) * cotangent(angle);
    const between = heights.filter((each) => each.at > at && each.at < over).map(({ mm }) => mm);
    return Math.max(this.heightAt(at), this.heightAt(over), ...between);
  }
  widest(): number {
    return Math.max(...this.#order.block.widths.map(({ mm }) => mm));
  }
  /** Thickness half-way up between two faces of one lean, or of two, mm. */
  thickness(from: Blade, to: Blade): number {
    const half = this.rises(from) / 2;
    const along = to.at + half * cotangent(to.angle) - (from.at + half * cotangent(from.angle));
    return along * sine((from.angle + to.angle) / 2) * turnOf(from);
  }

  /** The next face for a slice of a weight, with the lean as it is. */
  byWeight(from: Blade, grams: number, last: number): Blade {
    const before = this.behind(from);
    const at = solve((place) => this.behind({ ...from, at: place }) - before, grams, from.at, last);
    return { ...from, at };
  }
  /**
   * The next face for a slice of a weight and a thickness: the blade is laid flatter until the face is large enough, but by one
   * slice never so much that it would be a wedge, less than half as thick at the board.
   */
  byLean(from: Blade, grams: number, thickness: number, flattest: number): Blade {
    const before = this.behind(from);
    const half = this.rises(from) / 2;
    const along = (angle: number) => advance(thickness, { angle: (from.angle + angle) / 2, skew: from.skew });
    const laid = (down: number): Blade => {
      const angle = from.angle - down;
      return { ...from, angle, at: from.at + along(angle) + half * (cotangent(from.angle) - cotangent(angle)) };
    };
    const wedge = (down: number) => from.at + along(from.angle - down) / 2 - laid(down).at;
    const most = from.angle - flattest;
    const limit = wedge(most) <= 0 ? most : solve(wedge, 0, 0, most);
    return laid(solve((down) => this.behind(laid(down)) - before, grams, 0, limit));
  }
  /** Cubes of a slab: whole ones of its lowest and narrowest place. */
  cubes(from: Blade, to: Blade, edge: number): number {
    const { block } = this.#order;
    const ends = [from.at, to.at];
    const low = Math.min(...ends.map((at) => measureAt(block.heights, at))) * block.edge;
    const narrow = Math.min(...ends.map((at) => measureAt(block.widths, at)));
    return Math.floor(low / edge + SAW) * Math.floor(narrow / edge + SAW);
  }
}

/** Whether this face and all before it lie within what is sliced. */
interface Reach {
  readonly from: number;
  readonly to: number;
  /** Whether a blade that leans so still cuts a whole face there. */
  holds(blade: Blade): boolean;
}
function reachOf({ block, tail, first }: CutOrder, { angle, skew }: Way): Reach | null {
  const end = first === 'head' ? block.length - tail : block.length;
  const whole = faces(block, angle, skew, end);
  if (!whole) return null;
  const last = (blade: Blade) => (blade.angle === angle ? whole.to : (faces(block, blade.angle, skew, end)?.to ?? -1));
  return {
    from: whole.from + (first === 'tail' ? tail : 0),
    to: whole.to,
    holds: (blade) => blade.at <= last(blade) + SAW
  };
}

/** Where the next row may begin: beyond the last face of the one before, however differently it leans. */
function beginAfter(knife: Knife, last: Blade | null, way: Way, reach: Reach): Blade {
  const blade = { at: reach.from, angle: way.angle, skew: way.skew };
  if (!last) return blade;
  const lean = knife.tallest(last) * (cotangent(last.angle) - cotangent(way.angle));
  const turn = knife.widest() * (Math.tan((last.skew * Math.PI) / 180) - Math.tan((way.skew * Math.PI) / 180));
  return { ...blade, at: Math.max(reach.from, last.at + Math.max(0, lean) + Math.max(0, turn)) };
}

/** The heaviest slice of a style from a face on: as thick and as flat as it may be. */
function heaviest(knife: Knife, from: Blade, { way }: Row, reach: Reach): number {
  const laid = way.flattest < from.angle ? knife.byLean(from, Infinity, way.most, way.flattest) : from;
  const thick = { ...from, at: from.at + advance(way.most, from) };
  const weights = [laid, thick]
    .filter((blade) => reach.holds(blade))
    .map((to) => knife.behind(to) - knife.behind(from));
  return Math.max(0, ...weights);
}

interface Step {
  readonly to: Blade;
  readonly heavy: boolean;
  readonly ended: RowEnd | null;
}
function next(knife: Knife, from: Blade, { aim, way }: Row, reach: Reach): Step {
  const stays: Step = { to: from, heavy: false, ended: 'block-ends' };
  const room = (blade: Blade, heavy = false): Step => (reach.holds(blade) ? { to: blade, heavy, ended: null } : stays);
  const thin = (mm: number): Blade => ({ ...from, at: from.at + advance(mm, from) });
  if (aim.by === 'thickness') return room(thin(aim.mm));
  const weight = (blade: Blade) => knife.behind(blade) - knife.behind(from);
  // No thinner one holds together: it is as thin as may be, and heavier.
  if (weight(thin(way.least)) >= aim.grams) return room(thin(way.least), true);
  if (weight(thin(way.most)) >= aim.grams * (1 - 1e-6)) return room(knife.byWeight(from, aim.grams, thin(way.most).at));
  if (way.flattest < from.angle) {
    const flat = knife.byLean(from, aim.grams, way.most, way.flattest);
    if (weight(flat) >= aim.grams * (1 - 1e-6)) return room(flat);
  }
  return { ...stays, ended: reach.holds(thin(way.most)) ? 'too-thick' : 'block-ends' };
}

function cutRow(knife: Knife, order: CutOrder, index: number, after: Blade | null): { out: RowOut; slices: Slice[] } {
  const row = order.rows[index]!;
  // A cube's edge follows from its weight by the flesh alone.
  const { aim } = row;
  const sized: Row =
    row.way.cubes && aim.by === 'weight'
      ? { ...row, aim: { by: 'thickness', mm: Math.cbrt(aim.grams / order.density) } }
      : row;
  const slices: Slice[] = [];
  let heavy = 0;
  let pieces = 0;
  let ended: RowEnd = 'done';
  const reach = reachOf(order, row.way);
  let from = reach ? beginAfter(knife, after, row.way, reach) : null;
  if (!from || from.at > reach!.to) ended = 'too-short';
  while (from && ended === 'done' && (row.count === null || pieces < row.count)) {
    const step: Step = next(knife, from, sized, reach!);
    if (step.ended) {
      ended = slices.length === 0 && step.ended === 'block-ends' ? 'too-short' : step.ended;
      break;
    }
    const slabGrams = knife.behind(step.to) - knife.behind(from);
    const edge = sized.aim.by === 'thickness' ? sized.aim.mm : 0;
    const cubes = row.way.cubes ? knife.cubes(from, step.to, edge) : 1;
    if (cubes === 0) {
      ended = 'too-short';
      break;
    }
    const most = row.count === null ? cubes : Math.min(cubes, row.count - pieces);
    slices.push({
      row: index,
      from,
      to: step.to,
      thickness: row.way.cubes ? edge : knife.thickness(from, step.to),
      // At a slanted end the blade comes out where the top begins: there it is the other face that is seen.
      face: Math.max(knife.rises(from), knife.rises(step.to)) / sine(from.angle),
      slabGrams,
      pieces: most,
      gramsEach: row.way.cubes ? order.density * edge ** 3 : slabGrams
    });
    pieces += most;
    if (step.heavy) heavy++;
    if (slices.length > MOST_SLICES) throw new EmberError('form.too-many', { field: 'thickness', max: MOST_SLICES });
    from = step.to;
  }
  const grams = slices.reduce((sum, slice) => sum + slice.pieces * slice.gramsEach, 0);
  const mostGrams = ended === 'too-thick' && slices.length === 0 ? heaviest(knife, from!, row, reach!) : null;
  return { out: { slices: slices.length, pieces, grams, ended, heavy, mostGrams }, slices };
}

function checkRows({ rows, density, tail, block }: CutOrder): void {
  inRange(density, { field: 'density', unit: 'g/mm³', min: 0.0005, max: 0.002 });
  inRange(tail, { field: 'tail', unit: 'mm', min: 0, max: block.length });
  for (const { aim, way, count } of rows) {
    if (aim.by === 'weight') inRange(aim.grams, { field: 'grams', unit: 'g', min: 0.5, max: 500 });
    else inRange(aim.mm, { field: 'thickness', unit: 'mm', min: 0.5, max: 60 });
    inRange(way.angle, { field: 'angle', unit: '°', min: 15, max: 90 });
    inRange(way.flattest, { field: 'angle', unit: '°', min: 10, max: way.angle });
    inRange(way.skew, { field: 'grain', unit: '°', min: -45, max: 45 });
    if (count !== null) inRange(count, { field: 'count', unit: '', min: 1, max: MOST_SLICES });
  }
}

/**
 * A block cut by a list of rows, one after the other from one end. Of a slice by weight the face is moved until the flesh between
 * two faces weighs what is wanted (the block's height times its width, summed along it); while the block thins, the slice gets
 * thicker up to what its style bears, then the blade is laid flatter. No slice reaches past an end; all that is no slice is
 * off-cut. Plane geometry: straight, mass = ρ t H W; oblique at θ, mass = ρ t W H / sin θ, the blade moves t / sin θ along the board.
 *
 * @throws EmberError `quantity.out-of-range`, `form.incomplete`, `form.too-many` naming the field, its unit and the range
 */
export function cutList(asked: CutOrder): CutList {
  checkBlock(asked.block);
  checkRows(asked);
  const order = asked.first === 'head' ? asked : { ...asked, block: turned(asked.block) };
  const knife = new Knife(order);
  const blockGrams = order.density * volumeOf(order.block);
  const slices: Slice[] = [];
  const rows: RowOut[] = [];
  let last: Blade | null = null;
  for (let index = 0; index < order.rows.length; index++) {
    const { out, slices: cut } = cutRow(knife, order, index, last);
    rows.push(out);
    slices.push(...cut);
    last = cut.at(-1)?.to ?? last;
  }
  const grams = rows.reduce((sum, row) => sum + row.grams, 0);
  const at = order.first === 'head' ? order.block.length - order.tail : order.tail;
  const short = knife.behind({ at, angle: 90, skew: 0 });
  const tailGrams = order.tail === 0 ? 0 : order.first === 'head' ? blockGrams - short : short;
  return {
    slices,
    rows,
    pieces: rows.reduce((sum, row) => sum + row.pieces, 0),
    grams,
    offcutGrams: Math.max(0, blockGrams - grams - tailGrams),
    tailGrams,
    blockGrams
  };
}
