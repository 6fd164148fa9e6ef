import type { SquareAnswer, SquareSettings } from '../core/bench/slice/settings.ts';
import type { Lower } from '../core/bench/slice/square.ts';
import { openBenchWorker } from './open.ts';

export const openSquareWorker = () =>
  openBenchWorker<SquareSettings, SquareAnswer, Lower | null>(
    () => new Worker(new URL('./square.worker.ts', import.meta.url), { type: 'module' })
  );
