import { wrap } from 'comlink';
import type { Answered } from './answered.ts';

interface Door<Settings, Result, Band> {
  solve(settings: Settings): Answered<Result>;
  band(settings: Settings): Answered<Band>;
}

/**
 * A bench's simulation off the main thread: one thread answers at once and keeps what it has worked out, another draws the
 * band. A newer question ends an unfinished band by ending its thread.
 */
export function openBenchWorker<Settings, Result, Band>(make: () => Worker) {
  type Open = Door<Settings, Result, Band>;
  function thread() {
    let worker: Worker | null = null;
    let door: Open | null = null;
    return {
      door(): Open {
        if (!door) {
          worker = make();
          door = wrap<Open>(worker) as unknown as Open;
        }
        return door;
      },
      end() {
        worker?.terminate();
        worker = null;
        door = null;
      }
    };
  }
  const solver = thread();
  const drawer = thread();
  let drawing = 0;
  return {
    async solve(settings: Settings): Promise<Answered<Result>> {
      if (drawing > 0) drawer.end();
      drawing = 0;
      return solver.door().solve(settings);
    },
    async band(settings: Settings): Promise<Answered<Band>> {
      drawing++;
      const answer = await drawer.door().band(settings);
      drawing = Math.max(0, drawing - 1);
      return answer;
    },
    /** Ends an unfinished band. */
    stop(): void {
      drawer.end();
      drawing = 0;
    },
    end(): void {
      solver.end();
      drawer.end();
    }
  };
}
