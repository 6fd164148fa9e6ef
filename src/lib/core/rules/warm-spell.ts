import type { Interval } from '../log/holding.ts';

/** What made a stretch of time warm, or nobody's knowledge. */
export type WarmCause = 'reading' | 'log' | 'out' | 'place' | 'thaw' | 'bath' | 'silence' | 'tray';
export interface WarmSpell extends Interval {
  readonly cause: WarmCause;
  /** Entry it leans on; 0 for none. */
  readonly seq: number;
}
