import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { bare, DELIMITERS, logReader, type LogGuess, type LogMapping } from '../../core/log/csv.ts';
import { TIME_ORDERS, wallReader } from '../../core/log/times.ts';
import type { HouseState } from '../../core/record/house.ts';
import { sha256 } from '../store/open.ts';
import { sensorNamed } from '../store/readings.ts';
import type { RecordStore } from '../store/record.ts';

const SAMPLE_ROWS = 40;

export const logMapping = z.object({
  delimiter: z.enum(DELIMITERS),
  skip: z.number().int().min(0).max(200),
  time: z.number().int().min(0).max(200),
  day: z.number().int().min(0).max(200).nullable(),
  order: z.enum(TIME_ORDERS),
  zone: z.string().max(60),
  decimal: z.enum(['.', ',']),
  values: z
    .array(z.object({ column: z.number().int().min(0).max(200), sensor: z.string().max(60), unit: z.enum(['C', 'F']) }))
    .max(20),
  clockOffsetSeconds: z
    .number()
    .min(-400 * 86_400)
    .max(400 * 86_400)
});

/** The subject under which a mapping for these headings is found again. */
export const loggerSubject = (headings: readonly string[]) =>
  `logger:${sha256(headings.join('\n').toLowerCase()).slice(0, 16)}`;

/** How a file with these headings was read the last time; null for the first. */
export function remembered(record: RecordStore, house: HouseState, headings: readonly string[]): LogMapping | null {
  const last = record
    .eventsOf(loggerSubject(headings))
    .filter((event) => event.kind === 'log.imported')
    .at(-1);
  if (!last || last.kind !== 'log.imported') return null;
  const { mapping } = last.body;
  return { ...logMapping.parse(mapping), values: mapping.values.filter(({ sensor }) => house.sensors[sensor]) };
}

/** Checks what a person said of the columns. */
export function settled(house: HouseState, asked: LogMapping, guess: LogGuess): LogMapping {
  if (asked.values.length === 0) throw new EmberError('form.incomplete', { field: 'sensor' });
  if (asked.zone !== '') wallReader(asked.zone);
  else if (guess.asks.includes('zone')) throw new EmberError('log.zone-needed', { field: 'zone' });
  const values = asked.values.map((value) => ({ ...value, sensor: sensorNamed(house.sensors, value.sensor).id }));
  const twice = values.find(({ sensor }, index) => values.findIndex((other) => other.sensor === sensor) !== index);
  if (twice) throw new EmberError('form.value-unknown', { field: 'sensor', seen: twice.sensor, taken: true });
  return { ...asked, values };
}

/** Reads the first rows as the mapping says; nothing is kept. */
export function sample(lines: readonly string[], mapping: LogMapping, now: number) {
  return lines
    .map((line, index) => ({ line, row: index + 1 }))
    .slice(mapping.skip)
    .filter(({ line }) => line.trim() !== '')
    .slice(0, SAMPLE_ROWS)
    .map(({ line, row }) => {
      const cells = line.split(mapping.delimiter).map(bare);
      try {
        const reader = logReader(mapping, now);
        reader.take(cells, row);
        const { sensors, troubles } = reader.done();
        return {
          row,
          cells,
          at: sensors.find(({ series }) => series.length > 0)?.series.at[0] ?? null,
          values: sensors.map(({ series }) => (series.length > 0 ? series.celsius[0]! : null)),
          troubles
        };
      } catch (error) {
        if (!(error instanceof EmberError)) throw error;
        const trouble = { row, code: error.code, seen: String(error.details.seen ?? '') };
        return { row, cells, at: null, values: mapping.values.map(() => null), troubles: [trouble] };
      }
    });
}
