import { inRange } from '../../core/errors.ts';
import type { BodyOf } from '../../core/record/events.ts';
import { sha256, type Db } from './open.ts';

export interface SensorReading {
  /** ms */
  readonly at: number;
  readonly celsius: number;
}

const BYTES = 12;

/** Packs readings as 8 bytes of time (ms) and 4 of hundredths of a degree each, little-endian, ascending in time. */
export function pack(readings: readonly SensorReading[]): Buffer {
  const sorted = [...readings].sort((a, b) => a.at - b.at);
  const buffer = Buffer.alloc(sorted.length * BYTES);
  sorted.forEach(({ at, celsius }, index) => {
    inRange(celsius, { field: 'celsius', unit: '°C', min: -200, max: 200 });
    buffer.writeDoubleLE(at, index * BYTES);
    buffer.writeInt32LE(Math.round(celsius * 100), index * BYTES + 8);
  });
  return buffer;
}

/** The readings of a packed day. */
export function unpack(packed: Buffer): SensorReading[] {
  return Array.from({ length: packed.length / BYTES }, (_, index) => ({
    at: packed.readDoubleLE(index * BYTES),
    celsius: packed.readInt32LE(index * BYTES + 8) / 100
  }));
}

/** Dense readings live here; the chain holds one entry a sensor-day with the hash of these bytes. */
export function openReadings(db: Db) {
  const put = db.prepare<[string, string, Buffer, number, number, number, string]>(
    `INSERT INTO reading_days (sensor, day, packed, count, min_celsius, max_celsius, hash) VALUES (?, ?, ?, ?, ?, ?, ?)
     ON CONFLICT (sensor, day) DO UPDATE SET packed = excluded.packed, count = excluded.count,
       min_celsius = excluded.min_celsius, max_celsius = excluded.max_celsius, hash = excluded.hash`
  );
  const get = db.prepare<[string, string], { packed: Buffer }>(
    'SELECT packed FROM reading_days WHERE sensor = ? AND day = ?'
  );
  const all = db.prepare<[], { sensor: string; day: string; packed: Buffer; hash: string }>(
    'SELECT sensor, day, packed, hash FROM reading_days ORDER BY sensor, day'
  );
  const noted = db.prepare<[], { body: string }>(`SELECT body FROM events WHERE kind = 'readings.stored' ORDER BY seq`);
  return {
    /** Adds readings to a sensor's day; a second reading of the same instant is dropped. Returns what the chain records. */
    add(sensor: string, day: string, readings: readonly SensorReading[]): BodyOf<'readings.stored'> {
      const before = this.day(sensor, day);
      const merged = new Map([...before, ...readings].map((reading) => [reading.at, reading]));
      const packed = pack([...merged.values()]);
      const temperatures = unpack(packed).map(({ celsius }) => celsius);
      const body = {
        sensor,
        day,
        count: merged.size,
        minCelsius: Math.min(...temperatures),
        maxCelsius: Math.max(...temperatures),
        contentHash: sha256(packed)
      };
      put.run(sensor, day, packed, body.count, body.minCelsius, body.maxCelsius, body.contentHash);
      return body;
    },
    day: (sensor: string, day: string): SensorReading[] => {
      const row = get.get(sensor, day);
      return row ? unpack(row.packed) : [];
    },
    days: (): { sensor: string; day: string }[] => all.all().map(({ sensor, day }) => ({ sensor, day })),
    /** The first sensor-day whose bytes are not what the chain says; null when all hold. */
    check(): string | null {
      const expected = new Map<string, string>();
      for (const { body } of noted.iterate()) {
        const stored = JSON.parse(body) as BodyOf<'readings.stored'>;
        expected.set(`${stored.sensor} ${stored.day}`, stored.contentHash);
      }
      for (const { sensor, day, packed } of all.iterate()) {
        const hash = expected.get(`${sensor} ${day}`);
        expected.delete(`${sensor} ${day}`);
        if (hash !== sha256(packed)) return `readings of ${sensor} on ${day} are not what was recorded`;
      }
      const lost = expected.keys().next().value;
      return lost ? `readings of ${lost} are recorded but gone` : null;
    }
  };
}
