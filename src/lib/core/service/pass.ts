import { EmberError, inRange } from '../errors.ts';
import type { StyleId } from '../activity/slice/lists.ts';

/** What the pass works out: which pieces a plate of a dish comes from, and how many plates of it there are. Time in ms, weight in g. */

/** A piece that may be served now by the route of the dish: nothing else is stock. */
export interface Stock {
  readonly id: string;
  /** Every species it may be; several where nobody told them apart, or where it is mixed. */
  readonly species: readonly string[];
  /** The cut it was sliced by; an empty text for what is no slices. */
  readonly style: StyleId | '';
  /** What one slice weighs; null for what is not counted. */
  readonly gramsEach: number | null;
  readonly grams: number;
  /** When its tray has to be binned; null where it stands on none. */
  readonly tray: number | null;
  /** When the route's window closes; null where nothing closes it. */
  readonly closes: number | null;
  /** It lies whole in the cold, and is cut to order. */
  readonly isBlock?: boolean;
  /** What the card of the dish says of its fish is not true of it: it is taken last, and asked about. */
  readonly untrue?: boolean;
}

/** Fish on one portion of a dish: one of these species, the first that is there, cut so, so many pieces or grams. */
export interface Wanted {
  readonly species: readonly string[];
  readonly style: StyleId | '';
  readonly count: number | null;
  readonly grams: number;
}

/** What one plate takes of one piece. */
export interface Share {
  readonly piece: string;
  readonly line: number;
  readonly grams: number;
  readonly count: number | null;
}
export interface Plate {
  readonly shares: readonly Share[];
  /** The line that cannot be filled; null where all can. */
  readonly short: number | null;
  /** For each line the species it is of; null where there is none. */
  readonly species: readonly (string | null)[];
  /** A line is of another fish than the first it names, or of one of which the card is not true. */
  readonly instead: boolean;
  /** Pieces of which the card is not true. */
  readonly untrue: readonly string[];
}

/** A piece weighs what a scale says: a smear less than a slice is a slice all the same, as a share of it; and g for what is not counted. */
const SMEAR_SHARE = 0.05;
const SMEAR_GRAMS = 0.5;
const MOST_PLATES = 99;
/** More plates than this are no one touch. */
export const MOST_AT_ONCE = 12;
/** So many plates are few: the pass and the sheet before service say so. */
export const FEW_PLATES = 3;

const endOf = ({ tray, closes }: Stock): number => Math.min(tray ?? Infinity, closes ?? Infinity);
/** What has to go first: trays before all, and of both what ends soonest. */
const bySoonest = (a: Stock, b: Stock): number =>
  Number(b.tray !== null) - Number(a.tray !== null) || endOf(a) - endOf(b) || (a.id < b.id ? -1 : 1);

/** Whether a piece is surely of a species: one that may be another is not. */
const isOf = (stock: Stock, species: string): boolean => stock.species.length === 1 && stock.species[0] === species;

function fillFrom(want: Wanted, line: number, stocks: readonly Stock[], left: Map<string, number>): Share[] | null {
  const shares: Share[] = [];
  let need = want.count ?? want.grams;
  for (const stock of stocks) {
    const there = left.get(stock.id)!;
    if (want.count === null) {
      const grams = Math.min(need, there);
      if (grams < SMEAR_GRAMS) continue;
      shares.push({ piece: stock.id, line, grams, count: null });
      need -= grams;
    } else {
      const each = stock.gramsEach;
      // What nobody counted has no pieces to give.
      if (each === null || each <= 0) continue;
      const count = Math.min(need, Math.floor(there / each + SMEAR_SHARE));
      if (count < 1) continue;
      shares.push({ piece: stock.id, line, grams: Math.min(there, count * each), count });
      need -= count;
    }
    if (need < (want.count === null ? SMEAR_GRAMS : 1)) return shares;
  }
  return null;
}

function fill(wants: readonly Wanted[], stock: readonly Stock[], left: Map<string, number>): Plate {
  const shares: Share[] = [];
  const species: (string | null)[] = [];
  let short: number | null = null;
  let instead = false;
  const bent = new Set(stock.filter(({ untrue }) => untrue).map(({ id }) => id));
  for (const [line, want] of wants.entries()) {
    let found: Share[] | null = null;
    let of: string | null = null;
    // All that the card is true of goes before what it is not true of.
    for (const [each, mayBend] of [false, true].flatMap((may) => want.species.map((one) => [one, may] as const))) {
      if (mayBend && bent.size === 0) break;
      const fits = stock.filter(
        (one) => isOf(one, each) && (mayBend || !bent.has(one.id)) && (want.style === '' || one.style === want.style)
      );
      found = fillFrom(want, line, [...fits].sort(bySoonest), left);
      of = found ? each : null;
      if (found) break;
    }
    species.push(of);
    if (!found) {
      short ??= line;
      continue;
    }
    instead ||= of !== want.species[0] || found.some(({ piece }) => bent.has(piece));
    // Two lines may want the same piece.
    for (const { piece, grams } of found) left.set(piece, left.get(piece)! - grams);
    shares.push(...found);
  }
  const untrue = [...new Set(shares.map(({ piece }) => piece).filter((piece) => bent.has(piece)))];
  return { shares, short, species, instead, untrue };
}

function checked(wants: readonly Wanted[], stock: readonly Stock[]): Map<string, number> {
  if (wants.length === 0) throw new EmberError('form.incomplete', { field: 'lines' });
  for (const { count, grams, species } of wants) {
    if (species.length === 0) throw new EmberError('form.incomplete', { field: 'species' });
    inRange(grams, { field: 'grams', unit: 'g', min: 0.1, max: 5000 });
    if (count !== null) inRange(count, { field: 'count', unit: '', min: 1, max: 100 });
  }
  for (const { grams } of stock) inRange(grams, { field: 'grams', unit: 'g', min: 0, max: 500_000 });
  return new Map(stock.map(({ id, grams }) => [id, grams]));
}

/**
 * From which pieces one plate comes: of each line the first species that there is enough of, trays and what ends soonest first. A line
 * is never of two species; what nobody told apart is no species; what nobody counted gives no pieces; what the card is not true of comes last.
 *
 * @throws EmberError `form.incomplete` for a dish without fish or a line without species, `quantity.out-of-range`
 */
export const plateFrom = (wants: readonly Wanted[], stock: readonly Stock[]): Plate =>
  fill(wants, stock, checked(wants, stock));

export interface Left {
  /** Plates as the dish names them, and with another fish instead besides. */
  readonly plates: number;
  readonly instead: number;
  /** When the first of what the next plate takes has to be gone; null where nothing closes it. */
  readonly until: number | null;
  /** What makes it go then: its tray's clock, or the window it is served in. */
  readonly by: 'tray' | 'window' | null;
  /** The line that ends it, and for each line the species of the next plate. */
  readonly short: number | null;
  readonly species: readonly (string | null)[];
  /** Pieces the next plate comes from, and those of them the card is not true of. */
  readonly pieces: readonly string[];
  readonly untrue: readonly string[];
}

/**
 * How many plates there are, one after another as they would be taken.
 *
 * @throws EmberError as {@link plateFrom}
 */
export function platesLeft(wants: readonly Wanted[], stock: readonly Stock[]): Left {
  const left = checked(wants, stock);
  const byId = new Map(stock.map((each) => [each.id, each]));
  let [plates, instead] = [0, 0];
  let first: Plate | null = null;
  let plate = fill(wants, stock, left);
  for (; plate.short === null && plates + instead < MOST_PLATES; plate = fill(wants, stock, left)) {
    first ??= plate;
    if (plate.instead) instead++;
    else plates++;
  }
  const taken = (first?.shares ?? []).map(({ piece }) => byId.get(piece)!);
  const until = Math.min(Infinity, ...taken.map(endOf));
  const isTray = taken.some((each) => each.tray === until && endOf(each) === until);
  return {
    plates,
    instead,
    until: Number.isFinite(until) ? until : null,
    by: !Number.isFinite(until) ? null : isTray ? 'tray' : 'window',
    short: plate.short,
    species: (first ?? plate).species,
    pieces: [...new Set((first?.shares ?? []).map(({ piece }) => piece))],
    untrue: first?.untrue ?? []
  };
}
