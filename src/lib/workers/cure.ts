import { wrap, type Remote } from 'comlink';
import type { CureBand, CureResult, CureSettings } from '../core/bench/cure/plan.ts';
import type { Answered, CureDoor } from './cure.worker.ts';

/** The cure's simulation off the main thread. A newer question ends an unfinished band: the thread is replaced. */
export function openCureWorker() {
  let worker: Worker | null = null;
  let door: Remote<CureDoor> | null = null;
  let banding = false;

  function ready(): Remote<CureDoor> {
    if (banding) end();
    if (!door) {
      worker = new Worker(new URL('./cure.worker.ts', import.meta.url), { type: 'module' });
      door = wrap<CureDoor>(worker);
    }
    return door;
  }
  function end() {
    worker?.terminate();
    worker = null;
    door = null;
    banding = false;
  }
  return {
    cure: (settings: CureSettings) => ready().cure(settings) as Promise<Answered<CureResult>>,
    async band(settings: CureSettings): Promise<Answered<CureBand>> {
      const asked = ready();
      banding = true;
      const answer = await asked.band(settings);
      if (asked === door) banding = false;
      return answer;
    },
    end
  };
}
export type CureWorker = ReturnType<typeof openCureWorker>;
