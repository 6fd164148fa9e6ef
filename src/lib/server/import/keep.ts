import { guessLog, type LogMapping } from '../../core/log/csv.ts';
import type { ImportJob } from '../../core/log/import-job.ts';
import type { Executor } from '../operations/execute.ts';
import { chunksOf, unpack, type Chunk } from '../store/readings.ts';
import { draft } from '../store/record.ts';
import { loggerSubject } from './mapping.ts';

/** A file on its way in, as far as what is kept of it is written into it. */
export type Kept = ImportJob & { readonly lines: readonly string[] };

/** Keeps a few chunks in one short transaction; what was known before is left out. */
export function keep(executor: Executor, job: Kept, chunks: readonly Chunk[], actor: string): void {
  executor.write(actor, ({ store, house, now }) => {
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
export function conclude(
  executor: Executor,
  job: Kept,
  {
    mapping,
    contentHash,
    actor,
    stopped
  }: { mapping: LogMapping; contentHash: string; actor: string; stopped: boolean }
): void {
  const { report } = job;
  if (!report) return;
  const guess = guessLog(job.lines);
  executor.write(actor, ({ house, now }) => ({
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
