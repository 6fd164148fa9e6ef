import type { LogGuess, LogMapping, RowTrouble } from '$lib/core/log/csv.ts';
import type { ImportJob } from '$lib/core/log/import-job.ts';

export interface SampleRow {
  readonly row: number;
  readonly cells: readonly string[];
  readonly at: number | null;
  readonly values: readonly (number | null)[];
  readonly troubles: readonly RowTrouble[];
}
type Taken = LogGuess & { job: ImportJob; remembered: boolean };

const FOLLOW_MS = 250;

/** A logger's file on its way in: handed over, looked at, read as the person says, followed, stopped. */
export function importing() {
  let file = $state.raw<Taken | null>(null);
  let mapping = $state.raw<LogMapping | null>(null);
  let rows = $state.raw<readonly SampleRow[]>([]);
  let job = $state.raw<ImportJob | null>(null);
  let trouble = $state('');
  let busy = $state(false);
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function call(path: string, method: string, body?: BodyInit): Promise<unknown> {
    const answer = await fetch(`/api/v1/imports${path}`, {
      method,
      body,
      // Said also of a file whose ending tells the browser nothing: a body without a type is no body to the server.
      headers: { 'content-type': typeof body === 'string' ? 'application/json' : 'text/csv' }
    });
    const said = await answer.json();
    trouble = answer.ok ? '' : String(said.detail);
    return answer.ok ? said : null;
  }
  const sample = async () => {
    if (!file || !mapping) return;
    const said = (await call(`/${file.job.id}`, 'PUT', JSON.stringify(mapping))) as { rows: SampleRow[] } | null;
    if (said) ({ rows } = said);
  };
  const follow = async () => {
    if (!job) return;
    const said = (await call(`/${job.id}`, 'GET')) as { job: ImportJob } | null;
    if (said) ({ job } = said);
    if (job && (job.state === 'reading' || job.state === 'keeping')) timer = setTimeout(() => void follow(), FOLLOW_MS);
  };

  return {
    get file() {
      return file;
    },
    get mapping() {
      return mapping;
    },
    get rows() {
      return rows;
    },
    get job() {
      return job;
    },
    get trouble() {
      return trouble;
    },
    get busy() {
      return busy;
    },
    async take(content: File | Blob, name: string) {
      busy = true;
      job = null;
      try {
        const said = (await call(`?name=${encodeURIComponent(name)}`, 'POST', content)) as Taken | null;
        file = said;
        mapping = said?.mapping ?? null;
        rows = [];
        await sample();
      } catch {
        trouble = 'The house did not answer; nothing was taken. Try once more.';
      } finally {
        busy = false;
      }
    },
    set(next: Partial<LogMapping>) {
      if (!mapping) return;
      mapping = { ...mapping, ...next };
      clearTimeout(timer);
      timer = setTimeout(() => void sample(), 120);
    },
    async start() {
      if (!file || !mapping || busy) return;
      busy = true;
      const said = (await call(`/${file.job.id}`, 'POST', JSON.stringify(mapping))) as { job: ImportJob } | null;
      busy = false;
      if (!said) return;
      ({ job } = said);
      await follow();
    },
    async stop() {
      if (!job) return;
      const said = (await call(`/${job.id}`, 'DELETE')) as { job: ImportJob } | null;
      if (said) ({ job } = said);
    },
    again() {
      clearTimeout(timer);
      file = null;
      mapping = null;
      job = null;
      rows = [];
      trouble = '';
    }
  };
}
