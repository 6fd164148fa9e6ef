import { randomUUID } from 'node:crypto';
import { createWriteStream, existsSync, mkdirSync, openSync, readSync, closeSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { pathToFileURL } from 'node:url';
import { Worker } from 'node:worker_threads';
import { z } from 'zod';
import { EmberError, type ErrorCode, type ErrorDetails } from '../../core/errors.ts';
import { bare, DELIMITERS, guessLog, logReader, type LogGuess, type LogMapping } from '../../core/log/csv.ts';
import { TIME_ORDERS, wallReader } from '../../core/log/times.ts';
import type { ImportJob } from '../../core/log/import-job.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { Clock } from '../clock.ts';
import type { Executor } from '../operations/execute.ts';
import type { Store } from '../store/store.ts';
import { chunksOf, sensorNamed, unpack, type Chunk } from '../store/readings.ts';
import { sha256 } from '../store/open.ts';
import { draft } from '../store/record.ts';
import type { ImportOrder } from './worker.ts';

/** Largest file of a logger, bytes. */
export const LOG_BYTES = 200_000_000;
const HEAD_BYTES = 64 * 1024;
const SAMPLE_ROWS = 40;
/** A file nobody took in, or asked after, for this long is forgotten. */
const LEFT_LYING_MS = 12 * 3600_000;

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

type Held = ImportJob & {
  readonly file: string;
  readonly lines: readonly string[];
  readonly takenAt: number;
  worker: Worker | null;
};

/** The worker as it was bundled beside the built server, or as it stands in the sources. */
function startWorker(workerData: ImportOrder): Worker {
  const resourceLimits = { maxOldGenerationSizeMb: 384 };
  const source = join(import.meta.dirname, 'worker.ts');
  if (!existsSync(source)) {
    const built = process.env.EMBER_TIDE_IMPORT_WORKER ?? join(process.cwd(), 'build', 'workers', 'import.js');
    return new Worker(built, { workerData, resourceLimits });
  }
  // A thread does not take the loader of its parent along: it is told of TypeScript first.
  const script = `import('tsx/esm/api').then(({ register }) => (register(), import(${JSON.stringify(pathToFileURL(source).href)})))`;
  return new Worker(script, { eval: true, workerData, resourceLimits });
}

/** The subject under which a mapping for these headings is found again. */
const loggerSubject = (headings: readonly string[]) =>
  `logger:${sha256(headings.join('\n').toLowerCase()).slice(0, 16)}`;

function headOf(file: string): string[] {
  const handle = openSync(file, 'r');
  try {
    const buffer = Buffer.alloc(HEAD_BYTES);
    const length = readSync(handle, buffer, 0, HEAD_BYTES, 0);
    const lines = buffer.subarray(0, length).toString('utf8').split(/\r?\n/);
    // The last line of a cut head may be half a line.
    return length === HEAD_BYTES ? lines.slice(0, -1) : lines;
  } finally {
    closeSync(handle);
  }
}

/** The part of the house that a file needs. */
export interface ImportHouse {
  readonly config: { readonly dataFolder: string };
  readonly store: Store;
  readonly clock: Clock;
  readonly executor: Executor;
}

/** Files of loggers on their way in. They live in memory: what is kept of them stands in the ledger. */
export function openImports(app: () => ImportHouse) {
  const jobs = new Map<string, Held>();
  const folder = () => join(app().config.dataFolder, 'imports');

  function found(id: string): Held {
    const job = jobs.get(id);
    if (!job) throw new EmberError('record.not-found', { field: 'import', seen: id });
    return job;
  }
  const open = ({ file: _, lines: __, worker: ___, takenAt: ____, ...job }: Held): ImportJob => job;
  let isSwept = false;
  /** Files that were looked at and left lying go, and what a crash left behind. */
  function tidy(): void {
    if (!isSwept) rmSync(folder(), { recursive: true, force: true });
    isSwept = true;
    for (const [id, job] of jobs) {
      if (app().clock.now() - job.takenAt < LEFT_LYING_MS || job.worker) continue;
      rmSync(job.file, { force: true });
      jobs.delete(id);
      stops.delete(id);
    }
  }

  function remembered(house: HouseState, headings: readonly string[]): LogMapping | null {
    const last = app()
      .store.record.eventsOf(loggerSubject(headings))
      .filter((event) => event.kind === 'log.imported')
      .at(-1);
    if (!last || last.kind !== 'log.imported') return null;
    const { mapping } = last.body;
    return { ...logMapping.parse(mapping), values: mapping.values.filter(({ sensor }) => house.sensors[sensor]) };
  }

  /** Checks what a person said of the columns. */
  function settled(house: HouseState, asked: LogMapping, guess: LogGuess): LogMapping {
    if (asked.values.length === 0) throw new EmberError('form.incomplete', { field: 'sensor' });
    if (asked.zone !== '') wallReader(asked.zone);
    else if (guess.asks.includes('zone')) throw new EmberError('log.zone-needed', { field: 'zone' });
    const values = asked.values.map((value) => ({ ...value, sensor: sensorNamed(house.sensors, value.sensor).id }));
    const twice = values.find(({ sensor }, index) => values.findIndex((other) => other.sensor === sensor) !== index);
    if (twice) throw new EmberError('form.value-unknown', { field: 'sensor', seen: twice.sensor, taken: true });
    return { ...asked, values };
  }

  /** Reads the first rows as the mapping says; nothing is kept. */
  function sample(job: Held, mapping: LogMapping) {
    const { clock } = app();
    return job.lines
      .map((line, index) => ({ line, row: index + 1 }))
      .slice(mapping.skip)
      .filter(({ line }) => line.trim() !== '')
      .slice(0, SAMPLE_ROWS)
      .map(({ line, row }) => {
        const cells = line.split(mapping.delimiter).map(bare);
        try {
          const reader = logReader(mapping, clock.now());
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

  /** Keeps a few chunks in one short transaction; what was known before is left out. */
  function keep(job: Held, chunks: readonly Chunk[], actor: string): void {
    app().executor.write(actor, ({ store, house, now }) => {
      const events = chunks.flatMap(({ body, packed, came }) => {
        const put = (chunk: Chunk) =>
          draft('readings.stored', `sensor:${body.sensor}`, now, store.readings.keep(chunk, now));
        if (!store.readings.hasAny(body.sensor, body.from!, body.to!)) {
          job.kept += body.count;
          return [put({ body, packed, came })];
        }
        const series = unpack(packed);
        const news = store.readings.news(body.sensor, series);
        job.known += series.length - news.length;
        job.kept += news.length;
        const { source, origin, clockOffsetSeconds } = body;
        return chunksOf(body.sensor, news, house, { source, origin, clockOffsetSeconds }).map(put);
      });
      return { events, places: [], result: null };
    });
  }

  /** Says in the ledger what became of the file, and judges anew what lay in the places it speaks of. */
  function conclude(job: Held, mapping: LogMapping, contentHash: string, actor: string, stopped: boolean): void {
    const { report } = job;
    if (!report) return;
    const guess = guessLog(job.lines);
    app().executor.write(actor, ({ house, now }) => ({
      events: [
        draft('log.imported', loggerSubject(guess.headings), now, {
          file: job.name,
          bytes: job.size,
          contentHash,
          mapping: { ...mapping, values: mapping.values.map((value) => ({ ...value })) },
          ...report,
          stopped
        }),
        ...Object.entries(report.counts)
          .filter(([cause]) => cause === 'future' || cause === 'broken-probe' || cause === 'before-sensor')
          .map(([cause, count]) => {
            const sensor = mapping.values[0]!.sensor;
            return draft('readings.quarantined', `sensor:${sensor}`, now, {
              sensor,
              place: house.sensors[sensor]?.place ?? '',
              cause,
              count,
              source: 'import',
              origin: job.name,
              examples: report.troubles
                .filter(({ code }) => code === cause)
                .slice(0, 5)
                .map(({ row, seen }) => `row ${row}: ${seen}`)
            });
          })
      ],
      places: [
        ...new Set(mapping.values.map(({ sensor }) => house.sensors[sensor]?.place ?? '').filter((name) => name !== ''))
      ],
      result: null
    }));
  }

  function start(id: string, asked: LogMapping, actor: string): ImportJob {
    const job = found(id);
    if (job.state !== 'ready') throw new EmberError('record.not-allowed-now', { field: 'import', seen: job.state });
    const { store, clock } = app();
    const house = store.projections.currentHouse();
    const mapping = settled(house, asked, guessLog(job.lines));
    const workerData: ImportOrder = {
      file: job.file,
      mapping,
      now: clock.now(),
      house: { zone: house.zone, dayEndsHour: house.dayEndsHour },
      gapMs: store.projections.logs.gapMs(),
      origin: { source: 'import', origin: job.name, clockOffsetSeconds: mapping.clockOffsetSeconds }
    };
    const worker = startWorker(workerData);
    job.worker = worker;
    job.state = 'reading';
    let contentHash = '';
    const end = (state: ImportJob['state'], trouble: ImportJob['trouble'] = null) => {
      if (job.worker !== worker) return;
      job.worker = null;
      try {
        if (job.kept > 0 || state === 'done') conclude(job, mapping, contentHash, actor, state !== 'done');
        job.state = state;
        job.trouble = trouble;
      } catch (error) {
        failed(job, error);
      }
      void worker.terminate();
      rmSync(job.file, { force: true });
    };
    worker.on('message', (message: { kind: string } & Record<string, unknown>) => {
      if (job.worker !== worker) return;
      try {
        switch (message.kind) {
          case 'progress':
            job.rows = Number(message.rows);
            job.bytes = Number(message.bytes);
            break;
          case 'report':
            job.report = message.report as NonNullable<ImportJob['report']>;
            job.rows = job.report.rows;
            job.bytes = job.size;
            contentHash = String(message.contentHash);
            if (job.report.sensors.every(({ taken }) => taken === 0)) {
              end('failed', { code: 'log.nothing-taken', details: { field: 'file', seen: job.rows } });
              break;
            }
            job.state = 'keeping';
            worker.postMessage('on');
            break;
          case 'chunks':
            keep(
              job,
              (message.chunks as Chunk[]).map(({ body, packed }) => ({
                body,
                packed: Buffer.from(packed),
                came: null
              })),
              actor
            );
            // Whoever waits for an answer of the house comes first.
            setImmediate(() => job.worker === worker && worker.postMessage('on'));
            break;
          case 'done':
            end('done');
            break;
          case 'failed':
            end('failed', { code: message.code as ErrorCode, details: message.details as ErrorDetails });
            break;
        }
      } catch (error) {
        const known = error instanceof EmberError;
        if (!known) console.error(error);
        end(
          'failed',
          known ? error : { code: 'log.unreadable', details: { field: 'file', seen: 'it could not be kept' } }
        );
      }
    });
    worker.on('error', (error) => {
      end('failed', { code: 'log.unreadable', details: { field: 'file', seen: error.message } });
    });
    stops.set(id, () => end('stopped'));
    return open(job);
  }
  const stops = new Map<string, () => void>();
  function failed(job: Held, error: unknown) {
    job.state = 'failed';
    job.trouble =
      error instanceof EmberError ? error : { code: 'log.unreadable', details: { seen: (error as Error).message } };
  }

  return {
    /** Takes a file in and looks at its first lines. */
    async take(name: string, body: ReadableStream<Uint8Array> | null) {
      if (!body) throw new EmberError('file.empty', { field: 'file' });
      tidy();
      mkdirSync(folder(), { recursive: true });
      const id = randomUUID();
      const file = join(folder(), `${id}.csv`);
      let size = 0;
      const measure = new Transform({
        transform(part: Buffer, _, next) {
          size += part.length;
          next(size > LOG_BYTES ? new EmberError('file.too-large', { field: 'file', max: LOG_BYTES }) : null, part);
        }
      });
      try {
        await pipeline(Readable.fromWeb(body as never), measure, createWriteStream(file));
        if (statSync(file).size === 0) throw new EmberError('file.empty', { field: 'file' });
        const lines = headOf(file);
        const job: Held = {
          id,
          name: name.slice(0, 120) || 'log.csv',
          size,
          file,
          lines,
          worker: null,
          takenAt: app().clock.now(),
          state: 'ready',
          bytes: 0,
          rows: 0,
          kept: 0,
          known: 0,
          report: null,
          trouble: null
        };
        const guess = guessLog(lines);
        jobs.set(id, job);
        const house = app().store.projections.currentHouse();
        const before = remembered(house, guess.headings);
        return { job: open(job), ...guess, mapping: before ?? guess.mapping, remembered: before !== null };
      } catch (error) {
        rmSync(file, { force: true });
        throw error;
      }
    },
    job: (id: string): ImportJob => open(found(id)),
    sample: (id: string, mapping: LogMapping) => sample(found(id), mapping),
    start,
    /** Stops a file on its way in, or forgets one that was never begun. What was kept of it stays, and the ledger says so. */
    stop(id: string): ImportJob {
      const job = found(id);
      stops.get(id)?.();
      stops.delete(id);
      if (job.state === 'ready') {
        job.state = 'stopped';
        rmSync(job.file, { force: true });
      }
      return open(job);
    },
    close(): void {
      for (const stop of stops.values()) stop();
      for (const job of jobs.values()) rmSync(job.file, { force: true });
      jobs.clear();
    }
  };
}
export type Imports = ReturnType<typeof openImports>;
