import { z } from 'zod';
import { AIR_CLASS_IDS } from '../freeze/lists.ts';
import { kind, second, type Kinds } from '../../record/kind.ts';
import { finite, typedValue } from '../../record/values.ts';

/** What can happen to the cold: places, sensors, readings, excursions. A shape is never edited once shipped: a new version is added and the old one upcast. */

export const coldRead = z.object({ reading: typedValue, place: z.string() });

export const PLACE_KINDS = [
  'drawer',
  'rack',
  'box',
  'fridge',
  'freezer',
  'blast',
  'cabinet',
  'display',
  'bench'
] as const;

export const placeSet = z.object({
  id: z.string(),
  name: z.string(),
  kind: z.enum(PLACE_KINDS),
  cold: z.boolean(),
  setPoint: typedValue.nullable(),
  airClass: z.enum(AIR_CLASS_IDS),
  litres: finite.nullable(),
  /** Heat its machine carries off, W. */
  watts: finite.nullable(),
  /** Air above this is an excursion; the profile's limit for its kind where the house names none. */
  warnAbove: typedValue.nullable(),
  /** How long a door or a defrost may lift it, min. */
  graceMinutes: finite,
  withdrawn: z.boolean()
});

/** A place nobody said more of. */
export const PLAIN_PLACE = {
  setPoint: null,
  airClass: 'still',
  litres: null,
  watts: null,
  warnAbove: null,
  graceMinutes: 30
} as const;

export const placeSetFrom1 = (body: unknown) => ({ ...PLAIN_PLACE, ...(body as object) });

export const sensorSet = z.object({
  id: z.string(),
  name: z.string(),
  /** Name of the place whose air it reads, or in which its probe stands; an empty text for none yet. */
  place: z.string(),
  probe: z.enum(['air', 'core']),
  /** ± °C */
  accuracy: finite,
  calibratedOn: z.string().nullable(),
  withdrawn: z.boolean()
});

/**
 * A logger that may send readings of some sensors: its key is kept as a hash alone. Null: of every sensor, as all did in the
 * first version.
 */
export const deviceKeyed = z.object({
  id: z.string(),
  name: z.string(),
  keyHash: z.string(),
  sensors: z.array(z.string()).nullable()
});
const deviceKeyedFrom1 = (body: unknown) => ({ ...(body as object), sensors: null });

export const deviceRevoked = z.object({ id: z.string(), reason: z.string() });

/** The air of a place, read off its thermometer and written down. */
export const placeRead = z.object({ place: z.string(), reading: typedValue });

export const EXCURSION_KINDS = ['warm', 'silent', 'hold', 'quarantine'] as const;

export const CORRECTIVE = [
  'moved',
  'core-checked',
  'discarded',
  'hold-restarted',
  'door-closed',
  'defrost',
  'sensor-mended',
  'machine-mended',
  'cooked',
  'other'
] as const;

export const excursionClosed = z.object({
  place: z.string(),
  kind: z.enum(EXCURSION_KINDS),
  from: finite,
  to: finite.nullable(),
  peak: finite.nullable(),
  pieces: z.array(z.string()),
  action: z.enum(CORRECTIVE),
  note: z.string()
});

export const READING_SOURCES = ['hand', 'import', 'live'] as const;

export const readingsStored = z.object({
  sensor: z.string(),
  day: z.string(),
  count: z.number().int(),
  minCelsius: finite,
  maxCelsius: finite,
  contentHash: z.string(),
  /** First and last reading, ms; null in entries of the first version. */
  from: finite.nullable(),
  to: finite.nullable(),
  source: z.enum(READING_SOURCES),
  /** File or device they came from. */
  origin: z.string(),
  /** Added to the times as they came: how far the device's clock was behind, s. */
  clockOffsetSeconds: finite
});

export const readingsStoredFrom1 = (body: unknown) => ({
  from: null,
  to: null,
  source: 'hand',
  origin: '',
  clockOffsetSeconds: 0,
  ...(body as object)
});

/** Readings that came and are not believed: kept apart, counted, and named. */
export const readingsQuarantined = z.object({
  sensor: z.string(),
  place: z.string(),
  cause: z.string(),
  count: z.number().int(),
  source: z.enum(READING_SOURCES),
  origin: z.string(),
  /** As they came, a few of them. */
  examples: z.array(z.string())
});

/** What a logger's file brought, and how its columns were read. */
export const logImported = z.object({
  file: z.string(),
  bytes: finite,
  contentHash: z.string(),
  mapping: z.object({
    delimiter: z.string(),
    skip: z.number().int(),
    time: z.number().int(),
    day: z.number().int().nullable(),
    order: z.string(),
    zone: z.string(),
    decimal: z.enum(['.', ',']),
    values: z.array(z.object({ column: z.number().int(), sensor: z.string(), unit: z.enum(['C', 'F']) })),
    clockOffsetSeconds: finite
  }),
  rows: z.number().int(),
  sensors: z.array(
    z.object({
      sensor: z.string(),
      taken: z.number().int(),
      duplicates: z.number().int(),
      conflicts: z.number().int(),
      from: finite.nullable(),
      to: finite.nullable(),
      gaps: z.number().int()
    })
  ),
  counts: z.record(z.string(), z.number().int()),
  troubles: z.array(z.object({ row: z.number().int(), code: z.string(), seen: z.string() })),
  unsorted: z.number().int(),
  repeatedHour: z.number().int(),
  /** Stopped by a person before all of it was kept. */
  stopped: z.boolean()
});

export const kinds = {
  'cold.read': kind(coldRead),
  'place.set': second(placeSet, placeSetFrom1, false),
  'sensor.set': kind(sensorSet, false),
  'device.keyed': second(deviceKeyed, deviceKeyedFrom1, false),
  'device.revoked': kind(deviceRevoked, false),
  'place.read': kind(placeRead),
  'excursion.closed': kind(excursionClosed),
  'readings.stored': second(readingsStored, readingsStoredFrom1, false),
  'readings.quarantined': kind(readingsQuarantined, false),
  'log.imported': kind(logImported, false)
} satisfies Kinds;
