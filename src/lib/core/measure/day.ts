import { Temporal } from 'temporal-polyfill';
import { EmberError, inRange } from '../errors.ts';
import type { Instant } from './units.ts';
import { offsetText, wallReadings } from './wall.ts';

/** Where the house stands in time: its zone, and the hour at which its business day ends. */
export interface HouseTime {
  /** IANA zone, for instance Europe/Oslo. */
  readonly zone: string;
  /** Hour of the clock at which a business day ends, 0 to 12; 4 means that 03:59 still belongs to yesterday. */
  readonly dayEndsHour: number;
}

/**
 * Remembers what a pure function of a zone, an hour and a key has answered; forgets all of it before it grows large. Its keys are not
 * put together into one: a text made anew costs more than finding it.
 */
function remembered<Key, Answer>(most = 4000) {
  const known = new Map<string, Map<number, Map<Key, Answer>>>();
  let size = 0;
  return (zone: string, hour: number, key: Key, answer: () => Answer): Answer => {
    const before = known.get(zone)?.get(hour)?.get(key);
    if (before !== undefined) return before;
    const found = answer();
    if (size++ >= most) {
      known.clear();
      size = 1;
    }
    const ofZone = known.get(zone) ?? new Map<number, Map<Key, Answer>>();
    const ofHour = ofZone.get(hour) ?? new Map<Key, Answer>();
    known.set(zone, ofZone.set(hour, ofHour.set(key, found)));
    return found;
  };
}
// Calendar sums are slow in bulk, and a kitchen asks for the same few days over and over.
const knownDays = remembered<number, string>();
const knownEnds = remembered<string, Instant>();
const knownSums = remembered<string, string>();
const knownTimes = remembered<string, Instant>();
const knownInstants = remembered<string, Instant>();
/** Zones change their offset, and days end, only on a quarter of an hour. */
const QUARTER_MS = 900_000;

function zoned(at: Instant, zone: string): Temporal.ZonedDateTime {
  try {
    return Temporal.Instant.fromEpochMilliseconds(Math.floor(at)).toZonedDateTimeISO(zone);
  } catch {
    throw new EmberError('time.zone-unknown', { field: 'zone', seen: zone });
  }
}

/**
 * Whether a text is a time zone. An instant written out passes for one where days are reckoned, and for none where a clock is shown:
 * a house that was set to it could not show a page any more.
 *
 * @throws EmberError `time.zone-unknown`
 * @example
 * checkZone('Europe/Oslo') // => undefined
 */
export function checkZone(zone: string): void {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
  } catch {
    throw new EmberError('time.zone-unknown', { field: 'zone', seen: zone });
  }
  zoned(0, zone);
}

/**
 * The business day an instant belongs to, as an ISO date.
 *
 * @throws EmberError `time.zone-unknown`
 * @example
 * businessDay(Date.UTC(2026, 2, 14, 2, 30), { zone: 'UTC', dayEndsHour: 4 }) // => '2026-03-13'
 */
export function businessDay(at: Instant, house: HouseTime): string {
  const quarter = Math.floor(at / QUARTER_MS);
  return knownDays(house.zone, house.dayEndsHour, quarter, () => {
    inRange(house.dayEndsHour, { field: 'dayEndsHour', unit: 'h', min: 0, max: 12 });
    // Wall-clock subtraction: on the night the clocks change, the day still ends at the same figure on the wall.
    return zoned(quarter * QUARTER_MS, house.zone)
      .toPlainDateTime()
      .subtract({ hours: house.dayEndsHour })
      .toPlainDate()
      .toString();
  });
}

/**
 * The instant at which a business day ends: the closing hour on the following calendar day. On a repeated autumn hour
 * the earlier one is taken, so that a limit never grows by a change of clocks.
 *
 * @param day ISO date
 * @example
 * businessDayEnd('2026-03-13', { zone: 'UTC', dayEndsHour: 4 }) // => Date.UTC(2026, 2, 14, 4)
 */
export function businessDayEnd(day: string, house: HouseTime): Instant {
  return knownEnds(house.zone, house.dayEndsHour, day, () =>
    wallTime(addDays(day, 1), house.dayEndsHour, 0, house.zone)
  );
}

/**
 * Adds whole days to a business day.
 *
 * @example
 * addDays('2026-02-27', 6) // => '2026-03-05'
 */
export function addDays(day: string, days: number): string {
  return knownSums('', days, day, () => Temporal.PlainDate.from(day).add({ days }).toString());
}

/**
 * A time on the wall of the house as an instant; a time that does not exist (spring) moves forward, one that exists twice
 * is taken early.
 *
 * @example
 * wallTime('2026-03-14', 18, 30, 'UTC') // => Date.UTC(2026, 2, 14, 18, 30)
 */
export function wallTime(day: string, hour: number, minute: number, zone: string): Instant {
  return knownTimes(zone, hour * 60 + minute, day, () => computedWallTime(day, hour, minute, zone));
}

function computedWallTime(day: string, hour: number, minute: number, zone: string): Instant {
  const plain = Temporal.PlainDate.from(day).toPlainDateTime({ hour, minute });
  try {
    const early = plain.toZonedDateTime(zone, { disambiguation: 'earlier' });
    // In the spring gap 'earlier' would land before the gap; the later reading is the one on the wall.
    const real = early.toPlainDateTime().equals(plain)
      ? early
      : plain.toZonedDateTime(zone, { disambiguation: 'later' });
    return real.epochMilliseconds;
  } catch {
    throw new EmberError('time.zone-unknown', { field: 'zone', seen: zone });
  }
}

/**
 * Reads an instant from what a form or an API sends: an ISO instant with an offset, or a wall time of the house
 * ("2026-03-14T18:30", "2026-03-14").
 *
 * @throws EmberError `time.unreadable`
 * @example
 * readInstant('2026-03-14T18:30', 'UTC') // => Date.UTC(2026, 2, 14, 18, 30)
 */
export function readInstant(text: string, zone: string, field?: string): Instant {
  return knownInstants(zone, 0, text, () => computedInstant(text.trim(), zone, text, field));
}

function computedInstant(trimmed: string, zone: string, text: string, field?: string): Instant {
  try {
    if (/(?:Z|[+-]\d{2}:?\d{2})$/.test(trimmed)) return Temporal.Instant.from(trimmed).epochMilliseconds;
    const plain = Temporal.PlainDateTime.from(trimmed);
    const base = wallTime(plain.toPlainDate().toString(), plain.hour, plain.minute, zone);
    return base + plain.second * 1000 + plain.millisecond;
  } catch (error) {
    if (error instanceof EmberError) throw error;
    throw new EmberError('time.unreadable', { field, seen: text });
  }
}

/**
 * An instant as somebody says it, read as {@link readInstant} does; but a time that the wall shows twice, or jumps over, is
 * asked about: an hour too early or too late shortens or lengthens what a fish has borne.
 *
 * @throws EmberError `time.exists-twice` with both instants as candidates, `time.does-not-exist`, `time.unreadable`
 * @example
 * saidInstant('2026-03-14T18:30', 'UTC') // => Date.UTC(2026, 2, 14, 18, 30)
 */
export function saidInstant(text: string, zone: string, field?: string): Instant {
  const at = readInstant(text, zone, field);
  const wall = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}/.exec(text.trim())?.[0];
  // A day is no time, and an instant with its offset is one.
  if (!wall || /(?:Z|[+-]\d{2}:?\d{2})$/.test(text.trim())) return at;
  const readings = wallReadings(wall, (moment) => wallText(moment, zone));
  if (readings.length === 0) throw new EmberError('time.does-not-exist', { field, seen: text });
  if (readings.length > 1) {
    const candidates = readings.map((moment) => `${wall}${offsetText(wall, moment)}`);
    throw new EmberError('time.exists-twice', { field, seen: text, candidates });
  }
  return at;
}

/**
 * An instant as the wall time a form shows.
 *
 * @example
 * wallText(Date.UTC(2026, 2, 14, 18, 30), 'UTC') // => '2026-03-14T18:30'
 */
export function wallText(at: Instant, zone: string): string {
  return zoned(at, zone).toPlainDateTime().toString({ smallestUnit: 'minute' });
}
