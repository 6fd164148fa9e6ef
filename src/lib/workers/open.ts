import { wrap, type Remote } from 'comlink';
import type { Answered } from './answered.ts';

interface Door<Settings, Result, Band> {
  solve(settings: Settings): Answered<Result>;
  band(settings: Settings): Answered<Band>;
}

/** A bench's simulation off the main thread. A newer question ends an unfinished band: the thread is replaced. */
export function openBenchWorker<Settings, Result, Band>(make: () => Worker) {
  type Open = Door<Settings, Result, Band>;
  let worker: Worker | null = null;
  let door: Remote<Open> | null = null;
  let banding = false;

  function ready(): Open {
    if (banding) end();
    if (!door) {
      worker = make();
      door = wrap<Open>(worker);
    }
    return door as unknown as Open;
  }
  function end() {
    worker?.terminate();
    worker = null;
    door = null;
    banding = false;
  }
  return {
    solve: async (settings: Settings): Promise<Answered<Result>> => ready().solve(settings),
    async band(settings: Settings): Promise<Answered<Band>> {
      const asked = ready();
      banding = true;
      const answer = await asked.band(settings);
      if ((door as unknown) === asked) banding = false;
      return answer;
    },
    end
  };
}
