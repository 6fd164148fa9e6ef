import { HOUR } from '../../core/measure/spans.ts';
import { randomUUID } from 'node:crypto';
import { createWriteStream, mkdirSync, openSync, readSync, closeSync, rmSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { EmberError } from '../../core/errors.ts';
import { guessLog, type LogMapping } from '../../core/log/csv.ts';
import type { ImportJob } from '../../core/log/import-job.ts';
import type { Clock } from '../clock.ts';
import type { Executor } from '../operations/execute.ts';
import type { Store } from '../store/store.ts';
import { remembered, sample, settled } from './mapping.ts';
import { runImport, type Held } from './run.ts';
import type { ImportOrder } from './worker.ts';
import { notNow } from '../operations/not-now.ts';

/** Largest file of a logger, bytes. */
export const LOG_BYTES = 200_000_000;
const HEAD_BYTES = 64 * 1024;
/** A file nobody took in, or asked after, for this long is forgotten. */
const LEFT_LYING_MS = 12 * HOUR;

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

/** Writes what comes into a file, and hands back its size in bytes. @throws EmberError `file.too-large`, `file.empty` */
async function putDown(body: ReadableStream<Uint8Array>, file: string): Promise<number> {
  let size = 0;
  const measure = new Transform({
    transform(part: Buffer, _, next) {
      size += part.length;
      next(size > LOG_BYTES ? new EmberError('file.too-large', { field: 'file', max: LOG_BYTES }) : null, part);
    }
  });
  await pipeline(Readable.fromWeb(body as never), measure, createWriteStream(file));
  if (statSync(file).size === 0) throw new EmberError('file.empty', { field: 'file' });
  return size;
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

  function start(id: string, asked: LogMapping, actor: string): ImportJob {
    const job = found(id);
    if (job.state !== 'ready') throw notNow('import', 'import-not-ready');
    const { store, clock, executor } = app();
    const house = store.projections.currentHouse();
    const mapping = settled(house, asked, guessLog(job.lines));
    const order: ImportOrder = {
      file: job.file,
      mapping,
      now: clock.now(),
      house: { zone: house.zone, dayEndsHour: house.dayEndsHour },
      gapMs: store.projections.logs.gapMs(),
      origin: { source: 'import', origin: job.name, clockOffsetSeconds: mapping.clockOffsetSeconds }
    };
    stops.set(id, runImport(executor, job, order, mapping, actor));
    return open(job);
  }
  const stops = new Map<string, () => void>();
  return {
    /** Takes a file in and looks at its first lines. */
    async take(name: string, body: ReadableStream<Uint8Array> | null) {
      if (!body) throw new EmberError('file.empty', { field: 'file' });
      tidy();
      mkdirSync(folder(), { recursive: true });
      const id = randomUUID();
      const file = join(folder(), `${id}.csv`);
      try {
        const size = await putDown(body, file);
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
        const before = remembered(app().store.record, house, guess.headings);
        return { job: open(job), ...guess, mapping: before ?? guess.mapping, remembered: before !== null };
      } catch (error) {
        rmSync(file, { force: true });
        throw error;
      }
    },
    job: (id: string): ImportJob => open(found(id)),
    sample: (id: string, mapping: LogMapping) => sample(found(id).lines, mapping, app().clock.now()),
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
