import { DAY, HOUR, MINUTE } from '../../core/measure/spans.ts';
import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { quarantineOf } from '../../core/log/excursions.ts';
import { seriesOf, type LogReading } from '../../core/log/series.ts';
import type { Device } from '../../core/activity/cold/fold.ts';
import type { HouseState } from '../../core/record/house.ts';
import { businessDay } from '../../core/measure/day.ts';
import { FUTURE_TOLERANCE_MS } from '../input/instant.ts';
import type { Executor } from './execute.ts';
import { sealed } from './cold.ts';
import { sha256, type Db } from '../store/open.ts';
import { draft, type Draft } from '../store/record.ts';
import type { Store } from '../store/store.ts';

/** Most readings a logger may send at once: a week of minutes. */
export const MOST_AT_ONCE = 10_080;

const reading = z.object({
  sensor: z.string().min(1).max(60),
  at: z.iso.datetime({ offset: true }),
  celsius: z.number().optional(),
  fahrenheit: z.number().optional()
});
export const liveBody = z.object({
  /** What the logger's own clock shows as it sends. */
  clock: z.iso.datetime({ offset: true }).optional(),
  readings: z.array(reading).min(1).max(MOST_AT_ONCE)
});

/** The logger a key belongs to. @throws EmberError `device.key-unknown`, `device.key-revoked` */
export function deviceOf(house: Pick<HouseState, 'devices'>, key: string): Device {
  const keyHash = sha256(key);
  const found = Object.values(house.devices).find((device) => device.keyHash === keyHash);
  if (!found) throw new EmberError('device.key-unknown', { field: 'key' });
  if (found.revoked) throw new EmberError('device.key-revoked', { field: 'key', seen: found.name });
  return found;
}

/** How often the ledger is told of readings that keep being refused for one cause. */
const TELL_AGAIN_MS = HOUR;
const MOST_EXAMPLES = 5;

interface Refused {
  readonly sensor: string;
  readonly place: string;
  readonly cause: string;
  readonly example: string;
  /** What the logger called the sensor. */
  readonly said: string;
}

/** Counts what was not believed; the ledger is told at once the first time, then by the hour, with all that came between. */
function quarantine(db: Db, refused: readonly Refused[], origin: string, now: number): Draft[] {
  const get = db.prepare<[string, string], { count: number; examples: string; told: number }>(
    'SELECT count, examples, told FROM quarantine_tail WHERE sensor = ? AND cause = ?'
  );
  const put = db.prepare<[string, string, string, string, number, string, number]>(
    `INSERT OR REPLACE INTO quarantine_tail (sensor, cause, place, origin, count, examples, told) VALUES (?, ?, ?, ?, ?, ?, ?)`
  );
  const by = new Map<string, Refused[]>();
  for (const each of refused) {
    const key = `${each.sensor}|${each.cause}`;
    const own = by.get(key) ?? [];
    own.push(each);
    by.set(key, own);
  }
  const out: Draft[] = [];
  for (const rows of by.values()) {
    const { sensor, cause, place } = rows[0]!;
    const before = get.get(sensor, cause);
    const count = (before?.count ?? 0) + rows.length;
    const examples = [...(JSON.parse(before?.examples ?? '[]') as string[]), ...rows.map(({ example }) => example)];
    const tell = !before || now - before.told >= TELL_AGAIN_MS;
    if (tell) {
      out.push(
        draft('readings.quarantined', `sensor:${sensor}`, now, {
          sensor,
          place,
          cause,
          count,
          source: 'live',
          origin,
          examples: examples.slice(0, MOST_EXAMPLES)
        })
      );
    }
    const left = tell ? [0, '[]', now] : [count, JSON.stringify(examples.slice(0, MOST_EXAMPLES)), before.told];
    put.run(sensor, cause, place, origin, ...(left as [number, string, number]));
  }
  return out;
}

/** A sensor's waiting readings are sealed when their business day is over, or there is a day's worth of them. */
const MOST_WAITING = 1500;

function dueForSeal(store: Store, house: HouseState, sensors: readonly string[], now: number): string[] {
  return sensors.filter((sensor) => {
    const { first, count } = store.readings.tailSpan(sensor);
    return first !== null && (count >= MOST_WAITING || businessDay(first, house) !== businessDay(now, house));
  });
}

/** Readings of a logger are believed up to this age: what is older comes as a file, looked at by somebody. ms */
const OLDEST_MS = 35 * DAY;
/** A clock that is further off than a wrong zone, and a wrong date, ever put it is not put right by what it shows. ms */
const MOST_OFF_MS = 2 * DAY;
/** Readings a minute that a logger may keep up, and how many it may catch up with at once: four weeks of minutes. */
export const MOST_A_MINUTE = 600;
const MOST_TO_CATCH_UP = 4 * MOST_AT_ONCE;

/** How much each logger may still send, by house: a pail that fills by the minute. */
const pails = new WeakMap<Executor, Map<string, { left: number; at: number }>>();

/** Whether a logger sends more than loggers read. */
function floods(executor: Executor, device: Device, count: number, now: number): boolean {
  const own = pails.get(executor) ?? new Map<string, { left: number; at: number }>();
  pails.set(executor, own);
  const { left, at } = own.get(device.id) ?? { left: MOST_TO_CATCH_UP, at: now };
  const filled = Math.min(MOST_TO_CATCH_UP, left + (Math.max(0, now - at) / MINUTE) * MOST_A_MINUTE);
  const isOver = count > filled;
  own.set(device.id, { left: isOver ? filled : filled - count, at: now });
  return isOver;
}

/** A house as far as a logger needs it. */
interface Receiver {
  readonly store: Store;
  readonly executor: Executor;
}
type Sent = z.infer<typeof liveBody>;

/** Reads each reading, and sorts what is believed from what is not. */
function sorted(house: HouseState, device: Device, { clock, readings }: Sent, now: number) {
  const skew = clock === undefined ? 0 : now - Date.parse(clock);
  const isOff = Math.abs(skew) > MOST_OFF_MS;
  const offset = Math.abs(skew) > FUTURE_TOLERANCE_MS && !isOff ? skew : 0;
  const taken = new Map<string, LogReading[]>();
  const refused: Refused[] = [];
  const sensors = new Map(
    Object.values(house.sensors).flatMap((sensor) => [
      [sensor.name.toLowerCase(), sensor] as const,
      [sensor.id, sensor] as const
    ])
  );
  for (const each of readings) {
    const sensor = sensors.get(each.sensor.trim().toLowerCase());
    const unit = each.fahrenheit === undefined ? 'C' : 'F';
    const value = each.fahrenheit ?? each.celsius;
    const celsius = unit === 'F' ? ((value! - 32) * 5) / 9 : value;
    const at = Date.parse(each.at) + offset;
    const example = `${each.at} ${value ?? 'nothing'} °${unit}`;
    const refuse = (cause: string) =>
      refused.push({ sensor: sensor!.id, place: sensor!.place, cause, example, said: each.sensor });
    // What speaks of no sensor of the house, or of one that is another's, is the logger's fault: one line whatever it calls them.
    const refuseLogger = (cause: string) =>
      refused.push({ sensor: device.id, place: '', cause, example: `${each.sensor}: ${example}`, said: each.sensor });
    if (!sensor) refuseLogger('sensor-unknown');
    else if (device.sensors && !device.sensors.includes(sensor.id)) refuseLogger('not-its-own');
    else if (isOff) refuseLogger('clock-off');
    else if (celsius === undefined || !Number.isFinite(celsius)) refuse('no-value');
    else {
      const apart = quarantineOf(at, celsius, now, FUTURE_TOLERANCE_MS, OLDEST_MS);
      if (apart) refuse(apart);
      else {
        const own = taken.get(sensor.id) ?? [];
        own.push({ at: Math.min(at, now), celsius, unit });
        taken.set(sensor.id, own);
      }
    }
  }
  return { taken, refused, offset };
}

/** Tells the ledger of a flood, an hour's in a line, and refuses it. */
function refuseFlood({ executor }: Receiver, device: Device, count: number): never {
  executor.write(`device:${device.id}`, ({ store, now }) => {
    const flood = Array.from({ length: count }, () => ({
      sensor: device.id,
      place: '',
      cause: 'flood',
      example: `${count} at once from ${device.name}`,
      said: device.name
    }));
    return { events: quarantine(store.db, flood, device.id, now), places: [], result: null };
  });
  throw new EmberError('device.too-many', { field: 'readings', seen: device.name, max: MOST_A_MINUTE });
}

/**
 * Takes what a logger sends. A reading that cannot be true is kept apart and named in the answer and in the ledger; a logger
 * whose clock is off is corrected by what its clock showed as it sent, and the correction is said. A key that is not known, or was
 * taken back, writes nothing at all.
 *
 * @throws EmberError `device.key-unknown`, `device.key-revoked`, `device.too-many`
 */
export function takeReadings(app: Receiver, key: string, body: Sent) {
  const device = deviceOf(app.store.projections.currentHouse(), key);
  if (floods(app.executor, device, body.readings.length, app.executor.now())) {
    refuseFlood(app, device, body.readings.length);
  }
  return app.executor.write(`device:${device.id}`, ({ store, house, now }) => {
    const { taken, refused, offset } = sorted(house, device, body, now);
    const seals = sealed(store, dueForSeal(store, house, [...taken.keys()], now), house, now);
    let kept = 0;
    let since = Infinity;
    const places = new Set<string>();
    for (const [sensor, readings] of taken) {
      const news = store.readings.news(sensor, seriesOf(readings));
      store.readings.putTail(sensor, news, now, device.id);
      kept += news.length;
      if (news.length > 0) since = Math.min(since, news.at[0]!);
      const { place } = house.sensors[sensor]!;
      if (news.length > 0 && place !== '') places.add(place);
    }
    const count = [...taken.values()].reduce((sum, { length }) => sum + length, 0);
    return {
      events: [...seals, ...quarantine(store.db, refused, device.id, now)],
      places: [...places],
      since,
      result: {
        device: device.id,
        taken: kept,
        known: count - kept,
        clockOffsetSeconds: Math.round(offset / 1000),
        refused: refused.map(({ said, cause, example }) => ({ sensor: said, cause, example }))
      }
    };
  });
}
