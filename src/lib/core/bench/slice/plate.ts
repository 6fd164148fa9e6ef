import type { Arrangement } from '../../activity/slice/plate.ts';
import { EmberError, inRange } from '../../errors.ts';

/**
 * Slices laid on a round plate: each is seen from above as the rectangle it covers, and the arrangement is solved for how far one
 * may lie over the next. Lengths in mm, angles in degrees anticlockwise from the right; the middle of the plate is 0, 0.
 */

/** A slice as it is cut: its face, and how thick. */
export interface Laid {
  /** By the order of cutting, from 1. */
  readonly number: number;
  /** Longer and shorter side of its face. */
  readonly long: number;
  readonly short: number;
  readonly thick: number;
  readonly grams: number;
}
/** A slice where it lies: its middle, how it is turned, and what it covers along and across that turn. */
export interface Placed {
  readonly number: number;
  readonly x: number;
  readonly y: number;
  readonly turn: number;
  readonly along: number;
  readonly across: number;
}
export interface Plate {
  readonly placed: readonly Placed[];
  /** As many of these as the plate takes so. */
  readonly most: number;
  readonly fits: boolean;
  /** How much of a slice lies under the next, as a share of what it covers in that direction; null where none does. */
  readonly overlap: number | null;
  readonly grams: number;
}

/** Share of its width that a plate's rim and the air beside it take on each side (check: plates differ). */
export const RIM_SHARE = 0.08;
/** A slice lies over the next by a third of its length, and by no more than a half. */
const OVERLAP = 1 / 3;
const MOST_OVERLAP = 1 / 2;
/** How a leaning slice stands on the board, and the air between two rows, mm (check). */
const LEAN = 60;
const BETWEEN_ROWS = 8;
/** Cut strips lie loosely: so much of a mound is fish; it holds at so steep a slope (check). */
const PACKING = 0.55;
const SLOPE = 40;
/** g/mm³, near enough for a heap. */
const FLESH = 1.05e-3;

const sine = (degrees: number) => Math.sin((degrees * Math.PI) / 180);
const cosine = (degrees: number) => Math.cos((degrees * Math.PI) / 180);
const SAW = 1e-9;

/** What a row or a ring goes by: the largest of its slices, so that none runs over the rim. */
export interface Size {
  readonly long: number;
  readonly short: number;
  readonly thick: number;
}
export const largest = (slices: readonly Laid[]): Size => ({
  long: Math.max(...slices.map(({ long }) => long)),
  short: Math.max(...slices.map(({ short }) => short)),
  thick: Math.max(...slices.map(({ thick }) => thick))
});

/** A line of places: how many it takes at the closest, and where they lie for a number. */
export interface Line {
  readonly most: number;
  place(count: number): { readonly at: readonly Omit<Placed, 'number'>[]; readonly overlap: number };
}

/** Slices along a straight row at a height on the plate, each over the next. */
export function rowAt(y: number, radius: number, { covers, deep, step, least, turn }: RowWay): Line {
  const room = 2 * Math.sqrt(Math.max(0, radius ** 2 - (Math.abs(y) + deep / 2) ** 2));
  const most = room < covers ? 0 : 1 + Math.floor((room - covers) / least + SAW);
  return {
    most,
    place: (count) => {
      const each = count === 1 ? step : Math.min(step, Math.max(least, (room - covers) / (count - 1)));
      const from = -((count - 1) * each) / 2;
      const at = Array.from({ length: count }, (_, index) => ({
        x: turn * (from + index * each),
        y,
        turn: 0,
        along: covers,
        across: deep
      }));
      return { at, overlap: 1 - each / covers };
    }
  };
}
export interface RowWay {
  /** What a slice covers along the row, and how deep the row is. */
  readonly covers: number;
  readonly deep: number;
  /** From one to the next, and at the closest. */
  readonly step: number;
  readonly least: number;
  /** 1 to the right, -1 for a left-handed eater. */
  readonly turn: 1 | -1;
}
/** How a row of slices goes on: flat, each over the next; leaning, each on the one before; or cubes side by side. */
export function wayOf(arrangement: 'row' | 'leaning' | 'block', { long, short, thick }: Size, left: boolean): RowWay {
  const turn = left ? -1 : 1;
  switch (arrangement) {
    case 'row':
      return { covers: short, deep: long, step: short * (1 - OVERLAP), least: short * (1 - MOST_OVERLAP), turn };
    case 'leaning': {
      // From above a leaning slice covers its shadow; the next one leans on it, its own thickness further.
      const step = thick / sine(LEAN);
      return { covers: short * cosine(LEAN) + thick * sine(LEAN), deep: long, step, least: step, turn };
    }
    case 'block':
      return { covers: long, deep: long, step: long, least: long, turn };
  }
}
/** One row through the middle, or two, or three: each a way to lay them, until a row has no room. */
function rowsOf(radius: number, way: RowWay): Line[][] {
  const apart = way.deep + BETWEEN_ROWS;
  const ways: Line[][] = [];
  for (let count = 1; ; count++) {
    const rows = Array.from({ length: count }, (_, index) => rowAt((index - (count - 1) / 2) * apart, radius, way));
    if (rows.some(({ most }) => most === 0)) return ways;
    ways.push(rows);
  }
}

/** Slices round a ring, each over the next; an open fan where they do not go all round. */
function ringAt(middle: number, along: number, across: number, first: number): Line {
  const round = 2 * Math.PI * middle;
  const least = along * (1 - MOST_OVERLAP);
  return {
    most: middle < across / 2 ? 0 : Math.floor(round / least + SAW),
    place: (count) => {
      const wanted = along * (1 - OVERLAP);
      const each = Math.min(wanted, round / count);
      const step = (360 * each) / round;
      const isWhole = each < wanted || (count + 0.5) * wanted > round;
      const turned = isWhole ? 360 / count : step;
      const from = first - (isWhole ? 0 : ((count - 1) * turned) / 2);
      const at = Array.from({ length: count }, (_, index) => {
        const angle = from + index * turned;
        return { x: middle * cosine(angle), y: middle * sine(angle), turn: angle + 90, along, across };
      });
      return { at, overlap: Math.max(0, 1 - (turned * round) / 360 / along) };
    }
  };
}
/** Rings from the rim inwards: slices lie along them, or stand out from the middle. */
function ringsOf(radius: number, size: Size, way: 'along' | 'out', inward: number): Line[] {
  const [along, across] = way === 'along' ? [size.long, size.short] : [size.short, size.long];
  // Its outer corners touch the rim.
  let middle = Math.sqrt(Math.max(0, radius ** 2 - (along / 2) ** 2)) - across / 2;
  const rings: Line[] = [];
  for (let ring = 0; middle >= across / 2 && rings.length < 8; ring++) {
    // Each ring begins between two of the one outside it.
    rings.push(ringAt(middle, along, across, 90 + ring * 17));
    middle -= across * inward;
  }
  return rings;
}

/** Cubes in a square, a second layer between the first. */
function blockOf(radius: number, edge: number): Line[] {
  const side = Math.floor((radius * Math.SQRT2) / edge + SAW);
  const layer = (width: number): Line => ({
    most: width ** 2,
    place: (count) => {
      const wide = Math.min(width, Math.ceil(Math.sqrt(count)));
      const rows = Math.ceil(count / wide);
      const at = Array.from({ length: count }, (_, index) => ({
        x: ((index % wide) - (wide - 1) / 2) * edge,
        y: ((rows - 1) / 2 - Math.floor(index / wide)) * edge,
        turn: 0,
        along: edge,
        across: edge
      }));
      return { at, overlap: 0 };
    }
  });
  return side < 1 ? [] : [layer(side), ...(side > 1 ? [layer(side - 1)] : [])];
}

/** The angle between neighbours of a heap that is laid evenly (the golden one). */
const GOLDEN = 180 * (3 - Math.sqrt(5));
/** Strips dropped into a heap as high as it holds. */
export function moundOf(radius: number, { long, short }: Size, grams: number): Line[] {
  // Half its diagonal: it lies there at any turn.
  const own = Math.hypot(long, short) / 2;
  const room = radius - own;
  if (room <= 0) return [];
  // A cone of that slope: its volume is π r³ tan / 3.
  const footFor = (count: number) =>
    Math.cbrt((3 * ((count * grams) / FLESH / PACKING)) / (Math.PI * Math.tan((SLOPE * Math.PI) / 180)));
  const most = Math.floor(
    (((radius ** 3 * Math.PI * Math.tan((SLOPE * Math.PI) / 180)) / 3) * PACKING * FLESH) / grams
  );
  return [
    {
      most,
      place: (count) => {
        const foot = Math.min(room, Math.max(0, footFor(count) - own));
        const at = Array.from({ length: count }, (_, index) => {
          const out = foot * Math.sqrt((index + 0.5) / count);
          return {
            x: out * cosine(index * GOLDEN),
            y: out * sine(index * GOLDEN),
            turn: (index * GOLDEN * 2) % 180,
            along: long,
            across: short
          };
        });
        return { at, overlap: 0 };
      }
    }
  ];
}

/** Every way to lay them so: what holds them with the fewest lines is taken. */
function waysFor(arrangement: Arrangement, radius: number, slices: readonly Laid[], left: boolean): Line[][] {
  const size = largest(slices);
  switch (arrangement) {
    case 'row':
    case 'leaning':
      return rowsOf(radius, wayOf(arrangement, size, left));
    case 'fan':
      return [ringsOf(radius, size, 'along', 1 - OVERLAP)];
    case 'spokes':
      return [ringsOf(radius, size, 'out', 1 - OVERLAP)];
    case 'flower':
      return [ringsOf(radius, size, 'out', 1 / 2)];
    case 'mound':
      return [moundOf(radius, size, Math.max(...slices.map(({ grams }) => grams)))];
    case 'block':
      return [blockOf(radius, size.long)];
  }
}

/** Shares a number out over lines: the first is filled at its ease, then the next; only what is left over makes them closer. */
function shared(count: number, lines: readonly Line[], arrangement: Arrangement): number[] {
  const isRows = arrangement === 'row' || arrangement === 'leaning';
  if (!isRows) {
    let left = count;
    return lines.map(({ most }) => {
      const here = Math.min(left, most);
      left -= here;
      return here;
    });
  }
  // Rows are evenly long: one slice to each in turn, from the middle out.
  const order = lines
    .map((_, index) => index)
    .sort((a, b) => Math.abs(a - (lines.length - 1) / 2) - Math.abs(b - (lines.length - 1) / 2));
  const counts = lines.map(() => 0);
  for (let left = count; left > 0;) {
    const open = order.filter((index) => counts[index]! < lines[index]!.most);
    if (open.length === 0) break;
    for (const index of open) {
      if (left === 0) break;
      counts[index]!++;
      left--;
    }
  }
  return counts;
}

/** @throws EmberError `quantity.out-of-range`, `form.incomplete` for no slice */
export function checkLaid(slices: readonly Laid[]): void {
  if (slices.length === 0) throw new EmberError('form.incomplete', { field: 'each' });
  for (const { long, short, thick, grams } of slices) {
    inRange(long, { field: 'height', unit: 'mm', min: 0.5, max: 1000 });
    inRange(short, { field: 'width', unit: 'mm', min: 0.5, max: long });
    inRange(thick, { field: 'thickness', unit: 'mm', min: 0.1, max: 200 });
    inRange(grams, { field: 'grams', unit: 'g', min: 0.01, max: 1000 });
  }
}

const roomOf = (lines: readonly Line[]): number => lines.reduce((sum, { most }) => sum + most, 0);

/**
 * Slices laid on a plate. Every one lies within the rim; where they are too many, as many as the plate takes are laid, and it says
 * how many that is.
 *
 * @param plate across, over its rim, mm
 * @param left for a left-handed eater: rows lean the other way
 * @throws EmberError `quantity.out-of-range`, `form.incomplete`
 */
export function layOut(
  slices: readonly Laid[],
  {
    arrangement,
    plate,
    left = false
  }: { readonly arrangement: Arrangement; readonly plate: number; readonly left?: boolean }
): Plate {
  inRange(plate, { field: 'plate', unit: 'mm', min: 80, max: 600 });
  checkLaid(slices);
  const radius = (plate / 2) * (1 - 2 * RIM_SHARE);
  const ways = waysFor(arrangement, radius, slices, left);
  const most = Math.max(0, ...ways.map(roomOf));
  const count = Math.min(slices.length, most);
  const lines = ways.find((way) => roomOf(way) >= count) ?? [];
  const counts = shared(count, lines, arrangement);
  const placed: Placed[] = [];
  const overlaps: number[] = [];
  lines.forEach((line, index) => {
    if (counts[index] === 0) return;
    const { at, overlap } = line.place(counts[index]!);
    overlaps.push(overlap);
    for (const each of at) placed.push({ ...each, number: slices[placed.length]!.number });
  });
  return {
    placed,
    most,
    fits: slices.length <= most,
    overlap: arrangement === 'mound' || arrangement === 'block' || overlaps.length === 0 ? null : Math.max(...overlaps),
    grams: slices.slice(0, placed.length).reduce((sum, { grams }) => sum + grams, 0)
  };
}

/** What of a slice its place on a plate goes by. */
export interface Cut {
  readonly face: number;
  readonly width: number;
  readonly thickness: number;
  readonly gramsEach: number;
  readonly pieces: number;
  readonly cubes: boolean;
}
/** The pieces of a cut list in the order of cutting, as they lie on a plate. */
export const laidOf = (cuts: readonly Cut[]): Laid[] =>
  cuts
    .flatMap(({ face, width, thickness, gramsEach, pieces, cubes }) => {
      const [long, short] = cubes ? [thickness, thickness] : [Math.max(face, width), Math.min(face, width)];
      return Array.from({ length: pieces }, () => ({ long, short, thick: thickness, grams: gramsEach }));
    })
    .map((each, index) => ({ ...each, number: index + 1 }));

/** A fish as the order of a plate goes by it. */
export interface Tasted {
  readonly fat: 'lean' | 'mid' | 'rich';
  /** Vinegared, in acid or strongly cured. */
  readonly sharp: boolean;
}
const FATS = ['lean', 'mid', 'rich'] as const;
/**
 * The order in which fish of several kinds are eaten off one plate: lean and pale before rich and dark, what is sharp last.
 *
 * @returns below nothing where the first comes first
 * @example
 * [{ fat: 'rich', sharp: false }, { fat: 'lean', sharp: true }, { fat: 'lean', sharp: false }].sort(byTaste).map(({ fat }) => fat)
 * // => ['lean', 'rich', 'lean']
 */
export const byTaste = (a: Tasted, b: Tasted): number =>
  Number(a.sharp) - Number(b.sharp) || FATS.indexOf(a.fat) - FATS.indexOf(b.fat);
