import type { OtherEnd, SliceOutcome, SliceSettings } from '../core/bench/slice/settings.ts';
import { openBenchWorker } from './open.ts';

export const openSliceWorker = () =>
  openBenchWorker<SliceSettings, SliceOutcome, OtherEnd>(
    () => new Worker(new URL('./slice.worker.ts', import.meta.url), { type: 'module' })
  );
