import { DAY, HOUR, MINUTE } from '../../core/measure/spans.ts';

const STEPS = [
  1,
  5,
  15,
  30,
  60,
  120,
  180,
  360,
  720,
  1440,
  2 * 1440,
  3 * 1440,
  4 * 1440,
  7 * 1440,
  14 * 1440,
  28 * 1440
].map((min) => min * MINUTE);

/**
 * Round times on the wall of the house between two moments, at most so many: a tablet that stands in another zone does not
 * move them.
 *
 * @param wallOf the wall time of a moment as "2026-03-14T18:30"
 * @returns the moments, and whether they are days
 */
export function wallTicks(
  [from, to]: readonly [number, number],
  most: number,
  wallOf: (at: number) => string
): { readonly at: readonly number[]; readonly days: boolean } {
  const step = STEPS.find((each) => (to - from) / each <= Math.max(1, most)) ?? STEPS.at(-1)!;
  // Offsets from UTC are whole quarters of an hour.
  const base = Math.min(step, 15 * MINUTE);
  const isRound = (at: number) => {
    const [hour, minute] = wallOf(at).slice(11).split(':').map(Number);
    return ((hour! * 60 + minute!) * MINUTE) % Math.min(step, DAY) === 0;
  };
  const at: number[] = [];
  for (let here = Math.ceil(from / base) * base; here < to;) {
    if (!isRound(here)) here += base;
    else {
      at.push(here);
      // A day on which the clocks change may be two hours short of its length.
      here += step >= DAY ? step - 2 * HOUR : step;
    }
  }
  return { at, days: step >= DAY };
}
