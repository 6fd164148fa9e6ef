import type { ComplianceOptions } from '../../src/lib/core/bench/freeze/hold.ts';

/** A record read by its core, plainly; what a test wants otherwise is said. */
export const options = (more: Partial<ComplianceOptions> = {}): ComplianceOptions => ({
  clock: 'core',
  accuracy: 'plain',
  handGapShare: 0.25,
  startedAt: 0,
  slowArrivalSeconds: 6 * 3600,
  ...more
});
