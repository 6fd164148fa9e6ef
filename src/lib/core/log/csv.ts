import { EmberError, type ErrorCode } from '../errors.ts';
import { POWER_ON_CELSIUS, quarantineOf, type Quarantine } from './excursions.ts';
import { inOrder, type Series } from './series.ts';
import { ordersFitting, quickIso, wallReader, writtenTime, type TimeOrder } from './times.ts';

/** How the CSV of a logger is to be read. Columns are counted from 0. */
export interface LogMapping {
  readonly delimiter: string;
  /** Lines above the first reading: a heading, and whatever a logger says of itself. */
  readonly skip: number;
  readonly time: number;
  /** A column with the day, where the time stands alone in its own. */
  readonly day: number | null;
  readonly order: TimeOrder;
  /** Zone of times written without one; an empty text where nobody said. */
  readonly zone: string;
  readonly decimal: '.' | ',';
  readonly values: readonly { readonly column: number; readonly sensor: string; readonly unit: 'C' | 'F' }[];
  /** Added to every time: how far the logger's clock was behind the true one, s. */
  readonly clockOffsetSeconds: number;
}

/** What is guessed of a file from its first lines; what could not be settled has to be asked. */
export interface LogGuess {
  readonly mapping: LogMapping;
  readonly headings: readonly string[];
  readonly asks: readonly ('order' | 'zone' | 'time' | 'values')[];
  /** Orders that fit, where there are several. */
  readonly orders: readonly TimeOrder[];
}

export const DELIMITERS = [',', ';', '\t', '|'] as const;

/** The delimiter that makes the same number of cells of most of the lines, and of equal ones the most cells. */
export function delimiterOf(lines: readonly string[]): string {
  const score = (delimiter: string) => {
    const counts = lines.map((line) => line.split(delimiter).length);
    const most = Math.max(...counts);
    return most < 2 ? 0 : counts.filter((count) => count === most).length * 100 + Math.min(most, 50);
  };
  return [...DELIMITERS].reduce((best, each) => (score(each) > score(best) ? each : best));
}

const NUMBER = /^[+-]?\d+(?:[.,]\d+)?\s*(?:°?\s*[CF])?$/i;
const looksLikeTime = (text: string) => ordersFitting([text]).length > 0;
const CLOCK = /^\d{1,2}:\d{2}(?::\d{2})?(?:\s*[AP]\.?M\.?)?$/i;

/**
 * Guesses how a logger's file is to be read.
 *
 * @param lines its first lines, as text
 * @throws EmberError `log.unreadable` where no line holds a time and a figure
 */
export function guessLog(lines: readonly string[]): LogGuess {
  const filled = lines.filter((line) => line.trim() !== '');
  const delimiter = delimiterOf(filled);
  const table = lines.map((line) =>
    line
      .replace(/^\ufeff/, '')
      .split(delimiter)
      .map(bare)
  );
  const isData = (cells: readonly string[]) =>
    cells.length > 1 &&
    cells.some(looksLikeTime) &&
    (cells.some((cell) => NUMBER.test(cell) && !/^\d{9,}$/.test(cell)) || cells.some((cell) => cell === ''));
  const skip = table.findIndex(isData);
  if (skip < 0) throw new EmberError('log.unreadable', { field: 'file', seen: filled[0]?.slice(0, 60) ?? '' });
  const data = table.slice(skip).filter(isData);
  const width = Math.max(...data.map((cells) => cells.length));
  const headings = Array.from({ length: width }, (_, index) => table[skip - 1]?.[index] || `column ${index + 1}`);
  const column = (index: number) => data.map((cells) => cells[index] ?? '').filter((cell) => cell !== '');
  const indices = headings.map((_, index) => index);
  const day = indices.find((index) => column(index).length > 0 && column(index).every(looksLikeTime)) ?? 0;
  const clock = indices.find((index) => column(index).length > 0 && column(index).every((cell) => CLOCK.test(cell)));
  const orders = ordersFitting(column(day));
  const values = indices.filter(
    (index) =>
      index !== day &&
      index !== clock &&
      column(index).length > 0 &&
      column(index).every((cell) => NUMBER.test(cell)) &&
      !/^(no|nr|index|#|row|humid|rh|batt|volt)/i.test(headings[index]!)
  );
  const cells = values.flatMap((index) => column(index));
  const decimal = delimiter !== ',' && cells.some((cell) => cell.includes(',')) ? ',' : '.';
  const unitOf = (index: number): 'C' | 'F' =>
    /°\s*f|fahren|\(f\)|_f$|\bf$/i.test(headings[index]!) || column(index).some((cell) => /f$/i.test(cell)) ? 'F' : 'C';
  const zoned = column(day).every((cell) => {
    const read = writtenTime(cell, orders[0] ?? 'iso');
    return read !== null && read.offsetMinutes !== null;
  });
  return {
    headings,
    orders,
    mapping: {
      delimiter,
      skip,
      time: clock ?? day,
      day: clock === undefined ? null : day,
      order: orders[0] ?? 'iso',
      zone: '',
      decimal,
      values: values.map((index) => ({ column: index, sensor: '', unit: unitOf(index) })),
      clockOffsetSeconds: 0
    },
    asks: [
      ...(orders.length > 1 ? (['order'] as const) : []),
      ...(zoned && clock === undefined ? [] : (['zone'] as const)),
      ...(values.length === 0 ? (['values'] as const) : [])
    ]
  };
}

const isPlain = (code: number) => code > 32 && code < 127 && code !== 34;
/** A cell without its quotes and blanks. Most have neither, and are handed back as they are. */
export function bare(cell: string): string {
  if (cell === '' || (isPlain(cell.charCodeAt(0)) && isPlain(cell.charCodeAt(cell.length - 1)))) return cell;
  return cell
    .trim()
    .replace(/^"(.*)"$/, '$1')
    .trim();
}

/** Nothing but a sign, figures and one point: the common case, read without taking it apart. */
function isDigits(text: string): boolean {
  let figures = 0;
  let points = 0;
  for (let index = 0; index < text.length; index++) {
    const code = text.charCodeAt(index);
    if (code >= 48 && code <= 57) figures++;
    else if (code === 46) points++;
    else if (code !== 45 || index > 0) return false;
  }
  return figures > 0 && points <= 1 && text.charCodeAt(text.length - 1) !== 46 && text.charCodeAt(0) !== 46;
}

/**
 * A figure of a logger: "-20,4", "-4.0 °F". Null where it is none.
 *
 * @example
 * loggedFigure('-20,4 °C', ',') // => -20.4
 */
export function loggedFigure(text: string, decimal: '.' | ','): number | null {
  if (decimal === '.' && isDigits(text)) return Number(text);
  const plain = text
    .trim()
    .replace(/\u2212/g, '-')
    .replace(/\s*°?\s*[CF]$/i, '');
  if (plain === '' || (decimal === ',' ? plain.includes('.') : plain.includes(','))) return null;
  const value = Number(decimal === ',' ? plain.replace(',', '.') : plain);
  return Number.isFinite(value) ? value : null;
}

export interface RowTrouble {
  /** As counted in the file: its first line is 1. */
  readonly row: number;
  readonly code: ErrorCode | Quarantine;
  readonly seen: string;
}
export interface SensorTake {
  readonly sensor: string;
  readonly series: Series;
  /** The same instant and the same figure again. */
  readonly duplicates: number;
  /** The same instant with another figure: the warmer is kept. */
  readonly conflicts: number;
}
export interface LogReport {
  readonly rows: number;
  readonly sensors: readonly SensorTake[];
  readonly troubles: readonly RowTrouble[];
  /** How many of each, also beyond those listed. */
  readonly counts: Readonly<Record<string, number>>;
  /** Rows that stood before their time. */
  readonly unsorted: number;
  /** Rows in the hour that autumn repeats: taken as the file's order says. */
  readonly repeatedHour: number;
}

const MOST_LISTED = 200;
const toCelsius = (value: number, unit: 'C' | 'F') => (unit === 'F' ? ((value - 32) * 5) / 9 : value);

/** Grows as it is filled: half a million readings without half a million objects. */
function column() {
  let at = new Float64Array(4096);
  let celsius = new Float64Array(4096);
  let length = 0;
  return {
    push(moment: number, value: number) {
      if (length === at.length) {
        const [wider, warmer] = [new Float64Array(length * 2), new Float64Array(length * 2)];
        wider.set(at);
        warmer.set(celsius);
        [at, celsius] = [wider, warmer];
      }
      at[length] = moment;
      celsius[length++] = value;
    },
    done: (fahrenheit: boolean) => ({ at, celsius, length, scale: new Uint8Array(length).fill(fahrenheit ? 1 : 0) })
  };
}

/**
 * Takes the rows of a logger's file one after the other, and says at the end what came of them. What cannot be read, or cannot
 * be true, is counted and named by its row; nothing is dropped in silence.
 *
 * @param now nothing later than this has happened; ms
 * @throws EmberError `log.zone-needed` at the first time without a zone, where none is given; `time.zone-unknown`
 */
export function logReader(mapping: LogMapping, now: number, toleranceMs = 120_000) {
  const columns = mapping.values.map(() => column());
  const instants = mapping.zone === '' ? null : wallReader(mapping.zone);
  const troubles: RowTrouble[] = [];
  const counts: Record<string, number> = {};
  const shift = Math.round(mapping.clockOffsetSeconds * 1000);
  let rows = 0;
  let unsorted = 0;
  let repeatedHour = 0;
  let before = -Infinity;

  const trouble = (row: number, code: RowTrouble['code'], seen: string) => {
    counts[code] = (counts[code] ?? 0) + 1;
    if (troubles.length < MOST_LISTED) troubles.push({ row, code, seen: seen.slice(0, 60) });
  };

  const isIso = mapping.order === 'iso';
  function instant(text: string, row: number): number | null {
    if (isIso && text.charCodeAt(text.length - 1) === 90) {
      const quick = quickIso(text);
      if (!Number.isNaN(quick)) return quick;
    }
    const written = writtenTime(text, mapping.order);
    if (!written) {
      trouble(row, 'time.unreadable', text);
      return null;
    }
    if (written.offsetMinutes !== null) return written.wall - written.offsetMinutes * 60_000;
    if (!instants) throw new EmberError('log.zone-needed', { field: 'zone', seen: text });
    const candidates = instants(written.wall);
    if (candidates.length === 0) {
      trouble(row, 'time.does-not-exist', text);
      return null;
    }
    if (candidates.length === 1) return candidates[0]!;
    repeatedHour++;
    // The clock went back: a row that would stand before the one above it belongs to the second round.
    return candidates.find((each) => each + shift > before) ?? candidates[0]!;
  }

  return {
    /** @param row its number in the file, from 1 */
    take(cells: readonly string[], row: number): void {
      rows++;
      const clock = bare(cells[mapping.time] ?? '');
      const text = mapping.day === null ? clock : `${bare(cells[mapping.day] ?? '')} ${clock}`;
      const read = instant(text, row);
      if (read === null) return;
      const at = read + shift;
      if (at < before) unsorted++;
      else before = at;
      for (let which = 0; which < mapping.values.length; which++) {
        const { column: index, unit } = mapping.values[which]!;
        const cell = bare(cells[index] ?? '');
        const value = loggedFigure(cell, mapping.decimal);
        if (value === null) {
          trouble(row, cell === '' ? 'quantity.empty' : 'quantity.unreadable', cell);
          continue;
        }
        const celsius = unit === 'F' && value === 185 ? POWER_ON_CELSIUS : toCelsius(value, unit);
        const apart = quarantineOf(at, celsius, now, toleranceMs);
        if (apart) trouble(row, apart, `${text} ${cell}`);
        else columns[which]!.push(at, celsius);
      }
    },
    done(): LogReport {
      const sensors = mapping.values.map(({ sensor, unit }, which): SensorTake => {
        const { at, celsius, length, scale } = columns[which]!.done(unit === 'F');
        const series = inOrder(at, celsius, scale, length);
        const dropped = length - series.length;
        const conflicts = dropped === 0 ? 0 : countConflicts(at, celsius, length, series);
        return { sensor, series, duplicates: dropped - conflicts, conflicts };
      });
      return { rows, sensors, troubles, counts, unsorted, repeatedHour };
    }
  };
}

/** Readings that gave way to a warmer one of the same instant. */
function countConflicts(at: Float64Array, celsius: Float64Array, length: number, kept: Series): number {
  const by = new Map<number, number>();
  for (let index = 0; index < kept.length; index++) by.set(kept.at[index]!, kept.celsius[index]!);
  let conflicts = 0;
  for (let index = 0; index < length; index++) if (by.get(at[index]!) !== celsius[index]) conflicts++;
  return conflicts;
}
