import { rigorGuide, rigorStage } from '../../core/fish/rigor.ts';
import { readInstant } from '../../core/measure/day.ts';
import { HOUR } from '../../core/measure/spans.ts';
import type { LotState } from '../../core/record/lot.ts';

/** How stiff a fish is by now, by the guide; null where nobody said how it was killed. */
export function rigorOf({ received }: LotState, zone: string, at: number) {
  const guide = rigorGuide(received.killing);
  // Only an hour of death says anything: a day alone is a whole band wide.
  if (!guide || !received.caughtOn?.includes('T') || received.frozen)
    return guide && { guide, hours: null, stage: null };
  const hours = (at - readInstant(received.caughtOn, zone, 'caughtOn')) / HOUR;
  return { guide, hours, stage: rigorStage(guide, hours) };
}
