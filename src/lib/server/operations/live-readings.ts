import { HOUR } from '../../core/measure/spans.ts';
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
    by.set(key, [...(by.get(key) ?? []), each]);
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

/**
 * Takes what a logger sends. A reading that cannot be true is kept apart and named in the answer and in the ledger; a logger
 * whose clock is off is corrected by what its clock showed as it sent, and the correction is said.
 *
 * @throws EmberError `device.key-unknown`, `device.key-revoked`
 */
export function takeReadings(
  app: { readonly store: Store; readonly executor: Executor },
  key: string,
  body: z.infer<typeof liveBody>
) {
  let device: Device;
  try {
    device = deviceOf(app.store.projections.currentHouse(), key);
  } catch (error) {
    if (error instanceof EmberError && error.code === 'device.key-revoked') {
      const name = String(error.details.seen);
      app.executor.write(`device:${name}`, ({ store, now }) => ({
        events: quarantine(
          store.db,
          body.readings.map((each) => ({
            sensor: each.sensor,
            place: '',
            cause: 'key-revoked',
            example: `${each.at} from ${name}`
          })),
          name,
          now
        ),
        places: [],
        result: null
      }));
    }
    throw error;
  }
  return app.executor.write(`device:${device.id}`, ({ store, house, now }) => {
    const skew = body.clock === undefined ? 0 : now - Date.parse(body.clock);
    const offset = Math.abs(skew) > FUTURE_TOLERANCE_MS ? skew : 0;
    const taken = new Map<string, LogReading[]>();
    const refused: Refused[] = [];
    const sensors = new Map(
      Object.values(house.sensors).flatMap((sensor) => [
        [sensor.name.toLowerCase(), sensor] as const,
        [sensor.id, sensor] as const
      ])
    );
    for (const each of body.readings) {
      const sensor = sensors.get(each.sensor.trim().toLowerCase());
      const unit = each.fahrenheit === undefined ? 'C' : 'F';
      const value = each.fahrenheit ?? each.celsius;
      const celsius = unit === 'F' ? ((value! - 32) * 5) / 9 : value;
      const at = Date.parse(each.at) + offset;
      const example = `${each.at} ${value ?? 'nothing'} °${unit}`;
      const refuse = (cause: string) =>
        refused.push({ sensor: sensor?.id ?? each.sensor, place: sensor?.place ?? '', cause, example });
      if (!sensor) refuse('sensor-unknown');
      else if (celsius === undefined || !Number.isFinite(celsius)) refuse('no-value');
      else {
        const apart = quarantineOf(at, celsius, now, FUTURE_TOLERANCE_MS);
        if (apart) refuse(apart);
        else {
          if (!taken.has(sensor.id)) taken.set(sensor.id, []);
          taken.get(sensor.id)!.push({ at: Math.min(at, now), celsius, unit });
        }
      }
    }
    const seals = sealed(store, dueForSeal(store, house, [...taken.keys()], now), house, now);
    let kept = 0;
    const places = new Set<string>();
    for (const [sensor, readings] of taken) {
      const news = store.readings.news(sensor, seriesOf(readings));
      store.readings.putTail(sensor, news, now, device.id);
      kept += news.length;
      const { place } = house.sensors[sensor]!;
      if (news.length > 0 && place !== '') places.add(place);
    }
    const count = [...taken.values()].reduce((sum, { length }) => sum + length, 0);
    return {
      events: [...seals, ...quarantine(store.db, refused, device.id, now)],
      places: [...places],
      result: {
        device: device.id,
        taken: kept,
        known: count - kept,
        clockOffsetSeconds: Math.round(offset / 1000),
        refused: refused.map(({ sensor, cause, example }) => ({ sensor, cause, example }))
      }
    };
  });
}
