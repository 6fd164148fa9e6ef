import { guessLog, type LogMapping } from '../../core/log/csv.ts';
import type { ImportJob } from '../../core/log/import-job.ts';
import type { Executor } from '../operations/execute.ts';
import { chunksOf, type Chunk } from '../store/readings.ts';
import { unpack } from '../store/packing.ts';
import { draft } from '../store/record.ts';
import type { Store } from '../store/store.ts';
import type { BodyOf } from '../../core/record/events.ts';
import type { HouseState } from '../../core/record/house.ts';
import { loggerSubject } from './mapping.ts';

/** A file on its way in, as far as what is kept of it is written into it. */
export type Kept = ImportJob & { readonly lines: readonly string[] };

/** What is said of a file once nothing more of it comes. */
export interface Ending {
  readonly mapping: LogMapping;
  readonly contentHash: string;
  readonly stopped: boolean;
}
/** Rows named as examples of what was set apart. */
const EXAMPLES = 5;
const SET_APART = ['future', 'broken-probe', 'before-sensor'];

/** The entries that close a file, and the places whose pieces its readings speak of. */
function closing(house: HouseState, job: Kept, { mapping, contentHash, stopped }: Ending, now: number) {
  const report = job.report!;
  const placeOf = (sensor: string) => house.sensors[sensor]?.place ?? '';
  return {
    events: [
      draft('log.imported', loggerSubject(guessLog(job.lines).headings), now, {
        file: job.name,
        bytes: job.size,
        contentHash,
        mapping: { ...mapping, values: mapping.values.map((value) => ({ ...value })) },
        ...report,
        stopped
      }),
      ...Object.entries(report.counts)
        .filter(([cause]) => SET_APART.includes(cause))
        .map(([cause, count]) => {
          const sensor = mapping.values[0]!.sensor;
          return draft('readings.quarantined', `sensor:${sensor}`, now, {
            sensor,
            place: placeOf(sensor),
            cause: cause as BodyOf<'readings.quarantined'>['cause'],
            count,
            source: 'import',
            origin: job.name,
            examples: report.troubles
              .filter(({ code }) => code === cause)
              .slice(0, EXAMPLES)
              .map(({ row, seen }) => `row ${row}: ${seen}`)
          });
        })
    ],
    places: [...new Set(mapping.values.map(({ sensor }) => placeOf(sensor)).filter((name) => name !== ''))]
  };
}

/**
 * Keeps a few chunks in one short transaction; what was known before is left out. With the first of them it is noted how the file
 * is closed should the house stop in the middle: its readings are on record then, and no piece is judged by them yet.
 */
export function keep(
  executor: Executor,
  job: Kept,
  chunks: readonly Chunk[],
  { actor, ...ending }: Omit<Ending, 'stopped'> & { readonly actor: string }
): void {
  executor.write(actor, ({ store, house, now }) => {
    if (!store.unfinished.has(job.id)) {
      store.unfinished.put(job.id, { actor, ...closing(house, job, { ...ending, stopped: true }, now) }, now);
    }
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
  { actor, ...ending }: Ending & { readonly actor: string }
): void {
  if (!job.report) return;
  executor.write(actor, ({ store, house, now }) => {
    store.unfinished.drop(job.id);
    return { ...closing(house, job, ending, now), result: null };
  });
}

/** Closes files that the house stopped in the middle of: each is named in the ledger, and given again it goes on where it was. */
export function closeUnfinished(executor: Executor, store: Store): void {
  for (const { id, closing: kept } of store.unfinished.list()) {
    executor.write(kept.actor, ({ now }) => {
      store.unfinished.drop(id);
      return { events: kept.events.map((each) => ({ ...each, happened: now })), places: kept.places, result: null };
    });
  }
}
