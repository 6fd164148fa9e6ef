import { rmSync } from 'node:fs';
import { join } from 'node:path';
import type { Worker } from 'node:worker_threads';
import { EmberError, type ErrorCode, type ErrorDetails } from '../../core/errors.ts';
import type { LogMapping } from '../../core/log/csv.ts';
import type { ImportJob } from '../../core/log/import-job.ts';
import type { Executor } from '../operations/execute.ts';
import type { Chunk } from '../store/readings.ts';
import { startThread } from '../threads.ts';
import { conclude, keep, type Kept } from './keep.ts';
import type { ImportOrder } from './worker.ts';

export type Held = Kept & {
  readonly file: string;
  readonly takenAt: number;
  worker: Worker | null;
};

/** What went wrong, put where whoever waits for the file reads it. */
function failed(job: Held, error: unknown) {
  job.state = 'failed';
  job.trouble =
    error instanceof EmberError ? error : { code: 'log.unreadable', details: { seen: (error as Error).message } };
}

/**
 * Reads a file in a thread of its own and keeps what it hands over, a few chunks at a time.
 *
 * @returns stops it where it is: what was kept stays, and the ledger says so
 */
export function runImport(
  executor: Executor,
  job: Held,
  order: ImportOrder,
  mapping: LogMapping,
  actor: string
): () => void {
  const worker = startThread(join(import.meta.dirname, 'worker.ts'), 'import', order);
  job.worker = worker;
  job.state = 'reading';
  let contentHash = '';
  const end = (state: ImportJob['state'], trouble: ImportJob['trouble'] = null) => {
    if (job.worker !== worker) return;
    job.worker = null;
    try {
      if (job.kept > 0 || state === 'done')
        conclude(executor, job, { mapping, contentHash, actor, stopped: state !== 'done' });
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
            executor,
            job,
            (message.chunks as Chunk[]).map(({ body, packed }) => ({
              body,
              packed: Buffer.from(packed),
              came: null
            })),
            { mapping, contentHash, actor }
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
  return () => end('stopped');
}
