import { Temporal } from 'temporal-polyfill';
import { checkZone } from '../measure/day.ts';

/** How a logger writes its times. */
export const TIME_ORDERS = ['iso', 'dmy', 'mdy', 'unix', 'unix-ms'] as const;
export type TimeOrder = (typeof TIME_ORDERS)[number];

/** A time as it stands in a file: the figures on the wall, and the offset where one is written with them. */
export interface WrittenTime {
  /** The figures read as if they were UTC; ms. An instant already where `offsetMinutes` is 0. */
  readonly wall: number;
  /** Null: no zone is written. */
  readonly offsetMinutes: number | null;
}

const ISO =
  /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?:[T ]+(\d{1,2}):(\d{2})(?::(\d{2})(?:[.,](\d{1,6}))?)?)?\s*(Z|UTC|[+-]\d{2}:?\d{2})?$/i;
const LOCAL =
  /^(\d{1,2})[-/.](\d{1,2})[-/.](\d{4}|\d{2})(?:[T, ]+(\d{1,2}):(\d{2})(?::(\d{2})(?:[.,](\d{1,6}))?)?\s*([AP])?\.?M?\.?)?\s*(Z|UTC|[+-]\d{2}:?\d{2})?$/i;

const offsetOf = (text: string | undefined): number | null => {
  if (!text) return null;
  if (/^(z|utc)$/i.test(text)) return 0;
  const [, sign, hours, minutes] = /^([+-])(\d{2}):?(\d{2})$/.exec(text)!;
  return (sign === '-' ? -1 : 1) * (Number(hours) * 60 + Number(minutes));
};

function wallOf(
  [year, month, day, hour = '0', minute = '0', second = '0', fraction = '']: readonly (string | undefined)[],
  half?: string
) {
  let hours = Number(hour);
  if (half) hours = (hours % 12) + (half.toLowerCase() === 'p' ? 12 : 0);
  const milli = fraction === '' ? 0 : Math.round(Number(`0.${fraction}`) * 1000);
  const years = Number(year) < 100 ? 2000 + Number(year) : Number(year);
  const wall = Date.UTC(years, Number(month) - 1, Number(day), hours, Number(minute), Number(second), milli);
  const back = new Date(wall);
  const holds =
    back.getUTCMonth() === Number(month) - 1 && back.getUTCDate() === Number(day) && hours < 24 && Number(minute) < 60;
  return holds ? wall : null;
}

const MARKS = '0000-00-00T00:00:00.000';
const FIGURE = 48;
/** The day read last, and its midnight: a log stays in one day for hundreds of rows. */
let lastDay = '';
let lastMidnight = 0;

/**
 * The wall figures of the common case, "2026-03-12T18:00:00Z" with or without its seconds and its Z, read digit by digit: half a
 * million times over. NaN for any other, which is then read the long way.
 */
export function quickIso(text: string): number {
  const length = text.charCodeAt(text.length - 1) === 90 ? text.length - 1 : text.length;
  // Minutes, seconds, or thousandths.
  if (length !== 16 && length !== 19 && length !== 23) return NaN;
  const isSameDay = lastDay !== '' && text.startsWith(lastDay);
  for (let index = isSameDay ? 10 : 0; index < length; index++) {
    const code = text.charCodeAt(index);
    const mark = MARKS.charCodeAt(index);
    if (mark === FIGURE ? code < 48 || code > 57 : code !== mark && !(index === 10 && code === 32)) return NaN;
  }
  const two = (at: number) => (text.charCodeAt(at) - 48) * 10 + text.charCodeAt(at + 1) - 48;
  if (!isSameDay) {
    const month = two(5);
    const day = two(8);
    if (month < 1 || month > 12 || day < 1 || day > 28) return NaN;
    lastMidnight = Date.UTC(two(0) * 100 + two(2), month - 1, day);
    lastDay = text.slice(0, 10);
  }
  const hour = two(11);
  const minute = two(14);
  const second = length > 16 ? two(17) : 0;
  const milli = length > 19 ? two(20) * 10 + text.charCodeAt(22) - 48 : 0;
  if (hour > 23 || minute > 59 || second > 59) return NaN;
  return lastMidnight + ((hour * 60 + minute) * 60 + second) * 1000 + milli;
}

/**
 * Reads a time as loggers write it. Null where it is none.
 *
 * @example
 * writtenTime('13/03/2026 06:15 PM', 'dmy')?.wall // => Date.UTC(2026, 2, 13, 18, 15)
 */
export function writtenTime(text: string, order: TimeOrder): WrittenTime | null {
  const trimmed = text.trim();
  if (order === 'iso') {
    const quick = quickIso(trimmed);
    if (!Number.isNaN(quick)) return { wall: quick, offsetMinutes: trimmed.endsWith('Z') ? 0 : null };
    const match = ISO.exec(trimmed);
    if (!match) return null;
    const wall = wallOf(match.slice(1, 8));
    return wall === null ? null : { wall, offsetMinutes: offsetOf(match[8]) };
  }
  if (order === 'unix' || order === 'unix-ms') {
    if (!/^\d{9,14}(?:\.\d+)?$/.test(trimmed)) return null;
    return { wall: Math.round(Number(trimmed) * (order === 'unix' ? 1000 : 1)), offsetMinutes: 0 };
  }
  const match = LOCAL.exec(trimmed);
  if (!match) return null;
  const [, first, second, year, ...rest] = match;
  const [day, month] = order === 'dmy' ? [first, second] : [second, first];
  const wall = wallOf([year, month, day, ...rest.slice(0, 4)], rest[4]);
  return wall === null ? null : { wall, offsetMinutes: offsetOf(rest[5]) };
}

/**
 * Instants a wall time may mean in a zone: one as a rule, none in the hour that spring leaves out, two in the hour that autumn
 * repeats. Zones change their offset on a quarter of an hour, so each quarter is looked up once.
 *
 * @throws EmberError `time.zone-unknown`
 */
export function wallReader(zone: string): (wall: number) => readonly number[] {
  checkZone(zone);
  const quarter = 900_000;
  const known = new Map<number, readonly number[]>();
  const offsetsAt = (wall: number): readonly number[] => {
    const plain = Temporal.Instant.fromEpochMilliseconds(wall).toZonedDateTimeISO('UTC').toPlainDateTime();
    const both = (['earlier', 'later'] as const).map((disambiguation) =>
      plain.toZonedDateTime(zone, { disambiguation })
    );
    const real = both.filter((each) => each.toPlainDateTime().equals(plain));
    return [...new Set(real.map((each) => each.epochMilliseconds - wall))].sort((a, b) => a - b);
  };
  return (wall) => {
    const key = Math.floor(wall / quarter);
    let offsets = known.get(key);
    if (!offsets) {
      offsets = offsetsAt(key * quarter);
      known.set(key, offsets);
    }
    return offsets.map((offset) => wall + offset);
  };
}

/**
 * Orders in which every one of these texts reads as a time: more than one where no day is past the twelfth.
 *
 * @example
 * ordersFitting(['13/03/2026 10:00', '14/03/2026 10:00']) // => ['dmy']
 */
export const ordersFitting = (texts: readonly string[]): TimeOrder[] =>
  texts.length === 0 ? [] : TIME_ORDERS.filter((order) => texts.every((text) => writtenTime(text, order) !== null));
