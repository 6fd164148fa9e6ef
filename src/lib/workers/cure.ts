import type { CureBand, CureResult, CureSettings } from '../core/bench/cure/plan.ts';
import { openBenchWorker } from './open.ts';

export const openCureWorker = () =>
  openBenchWorker<CureSettings, CureResult, CureBand>(
    () => new Worker(new URL('./cure.worker.ts', import.meta.url), { type: 'module' })
  );
