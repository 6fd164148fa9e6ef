import { EmberError } from '../../core/errors.ts';
import { saidInstant } from '../../core/measure/day.ts';
import type { HouseState } from '../../core/record/house.ts';

/** Skew between two devices that is not a lie, ms. */
export const FUTURE_TOLERANCE_MS = 2 * 60_000;

export function instantReader(house: HouseState, now: number) {
  return (text: string | undefined, field: string): number => {
    if (text === undefined || text.trim() === '') return now;
    const at = saidInstant(text, house.zone, field);
    if (at > now + FUTURE_TOLERANCE_MS) throw new EmberError('time.in-future', { field, seen: text });
    return Math.min(at, now);
  };
}
