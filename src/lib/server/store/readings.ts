import { DAY } from '../../core/measure/spans.ts';
import { EmberError } from '../../core/errors.ts';
import { NO_READINGS, between, inOrder, indexAt, joined, type Series } from '../../core/log/series.ts';
import type { BodyOf } from '../../core/record/events.ts';
import { businessDay, businessDayEnd, type HouseTime } from '../../core/measure/day.ts';
import { sha256, type Db } from './open.ts';
import { pack, unpack, unpackedLast } from './packing.ts';

/** A chunk is a business day at most; those of the first version say their span two days too wide on either side. ms */
const LONGEST_CHUNK_MS = 5 * DAY;

export interface Origin {
  readonly source: BodyOf<'readings.stored'>['source'];
  readonly origin: string;
  readonly clockOffsetSeconds: number;
}
/** A chunk that is ready to be kept: what the chain will say of it, and its bytes. */
export interface Chunk {
  readonly body: BodyOf<'readings.stored'>;
  readonly packed: Buffer;
  /** When the first of them came, ms; null: all come as it is kept. */
  readonly came: number | null;
}

/**
 * Cuts readings into the business days they belong to; packed, and ready to be kept.
 *
 * @param came when each was received, ms; left out where all come now
 */
export function chunksOf(
  sensor: string,
  series: Series,
  house: HouseTime,
  origin: Origin,
  came?: Float64Array
): Chunk[] {
  const out: Chunk[] = [];
  let first = 0;
  while (first < series.length) {
    const day = businessDay(series.at[first]!, house);
    const end = businessDayEnd(day, house);
    const next = Math.max(first + 1, indexAt(series, end));
    const part = {
      length: next - first,
      at: series.at.subarray(first, next),
      celsius: series.celsius.subarray(first, next),
      fahrenheit: series.fahrenheit.subarray(first, next)
    };
    const partCame = came?.subarray(first, next);
    const packed = pack(part, partCame);
    let [min, max] = [Infinity, -Infinity];
    for (const value of part.celsius) {
      if (value < min) min = value;
      if (value > max) max = value;
    }
    out.push({
      packed,
      came: partCame ? partCame.reduce((a, b) => Math.min(a, b)) : null,
      body: {
        sensor,
        day,
        count: part.length,
        minCelsius: min,
        maxCelsius: max,
        contentHash: sha256(packed),
        from: part.at[0]!,
        to: part.at[part.length - 1]!,
        ...origin
      }
    });
    first = next;
  }
  return out;
}

interface TailRow {
  at: number;
  celsius: number;
  fahrenheit: number;
  received: number;
  origin: string;
}
const tailSeries = (rows: readonly TailRow[]): Series =>
  rows.length === 0
    ? NO_READINGS
    : inOrder(
        Float64Array.from(rows, ({ at }) => at),
        Float64Array.from(rows, ({ celsius }) => celsius),
        Uint8Array.from(rows, ({ fahrenheit }) => fahrenheit),
        rows.length
      );

/** Everything that is asked of the tables of readings. */
function readingStatements(db: Db) {
  const put = db.prepare<[string, string, Buffer, number, number, number, number, number, string, number]>(
    `INSERT INTO reading_chunks (sensor, day, packed, count, from_at, to_at, min_celsius, max_celsius, hash, recorded)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`
  );
  const chunks = db.prepare<[{ sensor: string; from: number; to: number; by: number }], { id: number; packed: Buffer }>(
    `SELECT id, packed FROM reading_chunks WHERE sensor = @sensor AND from_at >= @from - ${LONGEST_CHUNK_MS}
       AND from_at <= @to AND to_at >= @from AND recorded <= @by ORDER BY from_at`
  );
  const ofDay = db.prepare<[string, string], { packed: Buffer }>(
    'SELECT packed FROM reading_chunks WHERE sensor = ? AND day = ? ORDER BY id'
  );
  const all = db.prepare<[], { sensor: string; day: string; packed: Buffer; hash: string }>(
    'SELECT sensor, day, packed, hash FROM reading_chunks ORDER BY id'
  );
  const listed = db.prepare<[], { sensor: string; day: string; count: number }>(
    'SELECT sensor, day, sum(count) AS count FROM reading_chunks GROUP BY sensor, day ORDER BY sensor, day'
  );
  const span = db.prepare<[string], { first: number | null; last: number | null; count: number }>(
    'SELECT min(from_at) AS first, max(to_at) AS last, COALESCE(sum(count), 0) AS count FROM reading_chunks WHERE sensor = ?'
  );
  const noted = db.prepare<[], { body: string; version: number }>(
    `SELECT body, version FROM events WHERE kind = 'readings.stored' ORDER BY seq`
  );
  const putTail = db.prepare<[string, number, number, number, number, string]>(
    `INSERT INTO reading_tail (sensor, at, celsius, fahrenheit, received, origin) VALUES (?, ?, ?, ?, ?, ?)
     ON CONFLICT (sensor, at) DO UPDATE SET celsius = max(celsius, excluded.celsius)`
  );
  const tail = db.prepare<[string, number, number, number], TailRow>(
    'SELECT * FROM reading_tail WHERE sensor = ? AND at >= ? AND at <= ? AND received <= ? ORDER BY at'
  );
  const dropTail = db.prepare<[string]>('DELETE FROM reading_tail WHERE sensor = ?');
  const tailSpan = db.prepare<[string], { first: number | null; last: number | null; count: number }>(
    'SELECT min(at) AS first, max(at) AS last, count(*) AS count FROM reading_tail WHERE sensor = ?'
  );
  const any = db.prepare<[{ sensor: string; from: number; to: number }], { known: number }>(
    `SELECT EXISTS (SELECT 1 FROM reading_chunks
       WHERE sensor = @sensor AND from_at >= @from - ${LONGEST_CHUNK_MS} AND from_at <= @to AND to_at >= @from)
       OR EXISTS (SELECT 1 FROM reading_tail WHERE sensor = @sensor AND at >= @from AND at <= @to) AS known`
  );
  return {
    put,
    chunks,
    ofDay,
    all,
    listed,
    span,
    noted,
    putTail,
    tail,
    dropTail,
    tailSpan,
    any
  };
}

/** What of a series was not there before, instant by instant. */
function newsOf(series: Series, before: Series): Series {
  if (before.length === 0) return series;
  const at = new Float64Array(series.length);
  const celsius = new Float64Array(series.length);
  const fahrenheit = new Uint8Array(series.length);
  let count = 0;
  let known = 0;
  for (let index = 0; index < series.length; index++) {
    while (known < before.length && before.at[known]! < series.at[index]!) known++;
    const same = known < before.length && before.at[known] === series.at[index];
    // Kept figures are rounded to a thousandth.
    if (same && before.celsius[known]! >= series.celsius[index]! - 0.001) continue;
    at[count] = series.at[index]!;
    celsius[count] = series.celsius[index]!;
    fahrenheit[count++] = series.fahrenheit[index]!;
  }
  return inOrder(at, celsius, fahrenheit, count);
}

/** The first kept chunk whose bytes are not what the chain noted, said in a sentence; null when all hold. */
function firstBroken(
  noted: Iterable<{ body: string; version: number }>,
  kept: Iterable<{ sensor: string; day: string; packed: Buffer }>
): string | null {
  const expected = new Map<string, string>();
  for (const { body, version } of noted) {
    const { sensor, day, contentHash } = JSON.parse(body) as BodyOf<'readings.stored'>;
    // In the first version a day was kept whole, and a later entry took the place of an earlier one.
    expected.set(version === 1 ? `${sensor} ${day}` : `${sensor} ${day} ${contentHash}`, contentHash);
  }
  for (const { sensor, day, packed } of kept) {
    const hash = sha256(packed);
    const key = expected.has(`${sensor} ${day} ${hash}`) ? `${sensor} ${day} ${hash}` : `${sensor} ${day}`;
    const known = expected.get(key);
    expected.delete(key);
    if (known !== hash) return `readings of ${sensor} on ${day} are not what was recorded`;
  }
  const lost = expected.keys().next().value;
  return lost ? `readings of ${lost} are recorded but gone` : null;
}

/** Dense readings live here; the chain holds one entry a chunk with the hash of its bytes. */
export function openReadings(db: Db) {
  const { put, chunks, ofDay, all, listed, span, noted, putTail, tail, dropTail, tailSpan, any } =
    readingStatements(db);
  const versions = new Map<string, number>();
  const unpacked = unpackedLast();
  const touched = (sensor: string) => void versions.set(sensor, (versions.get(sensor) ?? 0) + 1);

  return {
    /** Keeps a chunk. Its entry has to be appended in the same transaction. */
    keep({ body, packed, came }: Chunk, recorded: number): BodyOf<'readings.stored'> {
      put.run(
        body.sensor,
        body.day,
        packed,
        body.count,
        body.from!,
        body.to!,
        body.minCelsius,
        body.maxCelsius,
        body.contentHash,
        came ?? recorded
      );
      touched(body.sensor);
      return body;
    },
    /** Whether anything of a span may be kept already. */
    hasAny: (sensor: string, from: number, to: number): boolean => any.get({ sensor, from, to })!.known === 1,
    /** What of a series is not yet kept: the same instant with the same or a warmer figure is nothing new. */
    news(sensor: string, series: Series): Series {
      if (series.length === 0) return series;
      return newsOf(series, this.between(sensor, series.at[0]!, series.at[series.length - 1]!));
    },
    /** Readings that a logger just sent; sealed into a chunk later. */
    putTail(sensor: string, series: Series, received: number, origin: string): void {
      for (let index = 0; index < series.length; index++) {
        putTail.run(sensor, series.at[index]!, series.celsius[index]!, series.fahrenheit[index]!, received, origin);
      }
      touched(sensor);
    },
    /** The readings not yet sealed, taken out to be kept as chunks. */
    takeTail(sensor: string): { series: Series; came: Float64Array; origin: string } {
      const rows = tail.all(sensor, -1e15, 1e15, 1e15);
      dropTail.run(sensor);
      touched(sensor);
      // The rows stand in order and none of them twice, so that the columns keep step.
      const came = Float64Array.from(rows, ({ received }) => received);
      return { series: tailSeries(rows), came, origin: rows.at(-1)?.origin ?? '' };
    },
    tailSpan: (sensor: string) => tailSpan.get(sensor)!,
    /**
     * Readings of a sensor from a moment to another; of one instant the warmer.
     *
     * @param known only what was there by then, ms
     */
    between(sensor: string, from: number, to: number, known = Infinity): Series {
      const by = Math.min(known, 1e15);
      const [start, end] = [Math.max(from, -1e15), Math.min(to, 1e15)];
      const parts = chunks.all({ sensor, from: start, to: end, by }).map((chunk) => unpacked.seriesIn(chunk, known));
      parts.push(tailSeries(tail.all(sensor, start, end, by)));
      return between(joined(parts), from, to);
    },
    day: (sensor: string, day: string): { at: number; celsius: number }[] => {
      const series = joined(ofDay.all(sensor, day).map(({ packed }) => unpack(packed)));
      return Array.from({ length: series.length }, (_, index) => ({
        at: series.at[index]!,
        celsius: series.celsius[index]!
      }));
    },
    days: (): { sensor: string; day: string; count: number }[] => listed.all(),
    /** First and last reading of a sensor, and how many there are. */
    span(sensor: string): { first: number | null; last: number | null; count: number } {
      const [kept, waiting] = [span.get(sensor)!, tailSpan.get(sensor)!];
      const times = (values: (number | null)[]) => values.filter((value): value is number => value !== null);
      const firsts = times([kept.first, waiting.first]);
      const lasts = times([kept.last, waiting.last]);
      return {
        first: firsts.length > 0 ? Math.min(...firsts) : null,
        last: lasts.length > 0 ? Math.max(...lasts) : null,
        count: kept.count + waiting.count
      };
    },
    /** Changes whenever a sensor's readings do. */
    versionOf: (sensor: string): number => versions.get(sensor) ?? 0,
    /** A rolled-back transaction may have left readings behind that never were. */
    forgetCached(): void {
      unpacked.clear();
      for (const sensor of versions.keys()) touched(sensor);
    },
    /** The first chunk whose bytes are not what the chain says; null when all hold. */
    check: (): string | null => firstBroken(noted.iterate(), all.iterate())
  };
}
export type Readings = ReturnType<typeof openReadings>;

/** The sensor a name stands for in the books of the house. @throws EmberError `sensor.unknown` */
export function sensorNamed<Known extends { id: string; name: string }>(
  sensors: Readonly<Record<string, Known>>,
  name: string
): Known {
  const wanted = name.trim().toLowerCase();
  const found = sensors[name] ?? Object.values(sensors).find((each) => each.name.toLowerCase() === wanted);
  if (!found) throw new EmberError('sensor.unknown', { field: 'sensor', seen: name });
  return found;
}
