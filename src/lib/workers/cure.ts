import { wrap, type Remote } from 'comlink';
import type { CureInput } from '../core/bench/cure/plan.ts';
import type { CureDoor } from './cure.worker.ts';

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
    cure: (input: CureInput) => ready().cure(input),
    async band(input: CureInput) {
      const asked = ready();
      banding = true;
      const answer = await asked.band(input);
      if (asked === door) banding = false;
      return answer;
    },
    end
  };
}
