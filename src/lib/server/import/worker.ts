/**
 * Reads a logger's file in a thread of its own: streamed, row by row, then cut into packed business days that are handed over a
 * few at a time, each batch only when the last one is kept. The house goes on answering meanwhile.
 */
import { createHash } from 'node:crypto';
import { once } from 'node:events';
import { createReadStream } from 'node:fs';
import { parentPort, workerData } from 'node:worker_threads';
import { parse } from 'csv-parse';
import { EmberError } from '../../core/errors.ts';
import { logReader, type LogMapping } from '../../core/log/csv.ts';
import { silences } from '../../core/log/series.ts';
import type { HouseTime } from '../../core/measure/day.ts';
import { standBack } from '../stand-back.ts';
import { chunksOf, type Origin } from '../store/readings.ts';

export interface ImportOrder {
  readonly file: string;
  readonly mapping: LogMapping;
  readonly now: number;
  readonly house: HouseTime;
  readonly gapMs: number;
  readonly origin: Origin;
}

standBack();
const port = parentPort!;
const order = workerData as ImportOrder;
/** Chunks handed over at once: a few milliseconds of the house's time. */
const BATCH = 8;
const SAY_EVERY_ROWS = 20_000;

const kept = () => new Promise<void>((resolve) => port.once('message', () => resolve()));

async function read(): Promise<void> {
  const { mapping } = order;
  const reader = logReader(mapping, order.now);
  const hash = createHash('sha256');
  const source = createReadStream(order.file, { highWaterMark: 256 * 1024 });
  source.on('data', (part) => hash.update(part));
  const rows = source.pipe(
    parse({
      delimiter: mapping.delimiter,
      bom: true,
      relax_column_count: true,
      relax_quotes: true,
      from_line: mapping.skip + 1
    })
  );
  source.on('error', (error) => rows.destroy(error));
  let row = mapping.skip;
  // Row by row as they come: to await each of a million would take a third as long again.
  rows.on('data', (cells: string[]) => {
    row++;
    try {
      // Empty lines are counted, so that a row is found again in the file.
      if (cells.length > 1 || cells[0]!.trim() !== '') reader.take(cells, row);
    } catch (error) {
      rows.destroy(error as Error);
    }
    if (row % SAY_EVERY_ROWS === 0) port.postMessage({ kind: 'progress', rows: row, bytes: source.bytesRead });
  });
  await once(rows, 'end');
  const { sensors, ...report } = reader.done();
  const said = sensors.map(({ sensor, series, duplicates, conflicts }) => ({
    sensor,
    taken: series.length,
    duplicates,
    conflicts,
    from: series.length > 0 ? series.at[0]! : null,
    to: series.length > 0 ? series.at[series.length - 1]! : null,
    gaps: silences(series, order.gapMs).length
  }));
  port.postMessage({ kind: 'report', report: { ...report, sensors: said }, contentHash: hash.digest('hex') });
  await kept();
  for (const { sensor, series } of sensors) {
    const chunks = chunksOf(sensor, series, order.house, order.origin);
    for (let first = 0; first < chunks.length; first += BATCH) {
      const batch = chunks
        .slice(first, first + BATCH)
        .map(({ body, packed }) => ({ body, packed: new Uint8Array(packed) }));
      port.postMessage(
        { kind: 'chunks', chunks: batch },
        batch.map(({ packed }) => packed.buffer)
      );
      await kept();
    }
  }
  port.postMessage({ kind: 'done' });
}

read().catch((error: unknown) => {
  const known = error instanceof EmberError;
  port.postMessage({
    kind: 'failed',
    code: known ? error.code : 'log.unreadable',
    details: known ? error.details : { field: 'file', seen: (error as Error).message }
  });
});
