import type { CureBand, CureResult, CureSettings } from '../core/bench/cure/plan.ts';
import type { CureThrough } from '../core/bench/cure/through.ts';
import { openBenchWorker } from './open.ts';

/** What two hundred draws say of a plan, and the plan in one line. */
export type CureOutlook = CureBand & { readonly through: CureThrough };

export const openCureWorker = () =>
  openBenchWorker<CureSettings, CureResult, CureOutlook>(
    () => new Worker(new URL('./cure.worker.ts', import.meta.url), { type: 'module' })
  );
