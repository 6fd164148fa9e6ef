import type { AcidBand, AcidResult, AcidSettings } from '../core/bench/acid/plan.ts';
import { openBenchWorker } from './open.ts';

export const openAcidWorker = () =>
  openBenchWorker<AcidSettings, AcidResult, AcidBand>(
    () => new Worker(new URL('./acid.worker.ts', import.meta.url), { type: 'module' })
  );
