import { DAY, MINUTE } from './spans.ts';

/**
 * The moments at which a clock on the wall shows a time: one; two on the night the clocks go back; none where they jump
 * over it. Works with any clock that tells the wall time of a moment, so that a browser needs no calendar of its own.
 *
 * @param wall "2026-03-14T18:30"
 * @param wallOf the wall time of a moment, in the same form
 * @returns moments in ms, the earlier first; none for what is no time
 * @example
 * wallReadings('2026-03-14T18:30', (at) => new Date(at).toISOString().slice(0, 16)) // => [Date.UTC(2026, 2, 14, 18, 30)]
 */
export function wallReadings(wall: string, wallOf: (at: number) => string): number[] {
  const asIfUtc = Date.parse(`${wall}Z`);
  if (Number.isNaN(asIfUtc)) return [];
  // A change of clocks moves them by less than a day: the offsets on both sides of it are all there are.
  const offsets = [asIfUtc - DAY, asIfUtc + DAY].map((at) => {
    const minute = Math.floor(at / MINUTE) * MINUTE;
    return Date.parse(`${wallOf(minute)}Z`) - minute;
  });
  return [...new Set(offsets)]
    .map((offset) => asIfUtc - offset)
    .filter((at) => wallOf(at) === wall)
    .sort((a, b) => a - b);
}

/**
 * How far a wall is ahead of UTC at a moment, as an instant writes it.
 *
 * @example
 * offsetText('2026-03-14T18:30', Date.UTC(2026, 2, 14, 17, 30)) // => '+01:00'
 */
export function offsetText(wall: string, at: number): string {
  const minutes = Math.round((Date.parse(`${wall}Z`) - at) / MINUTE);
  const two = (value: number) => String(value).padStart(2, '0');
  return `${minutes < 0 ? '-' : '+'}${two(Math.floor(Math.abs(minutes) / 60))}:${two(Math.abs(minutes) % 60)}`;
}
