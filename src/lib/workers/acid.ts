import type { AcidBand, AcidResult, AcidSettings } from '../core/bench/acid/plan.ts';
import type { AcidThrough } from '../core/bench/acid/through.ts';
import { openBenchWorker } from './open.ts';

/** What two hundred draws say of a plan, and what would get there where it does not. */
export type AcidOutlook = AcidBand & { readonly through: AcidThrough | null };

export const openAcidWorker = () =>
  openBenchWorker<AcidSettings, AcidResult, AcidOutlook>(
    () => new Worker(new URL('./acid.worker.ts', import.meta.url), { type: 'module' })
  );
