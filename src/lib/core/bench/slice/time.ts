/** Getting a block onto the board and squaring up, and one slice laid aside, s: where nobody said when it left the cold (check). */
const SETTLING = 120;
const EACH = 6;

/**
 * How long a block lies out of the cold while it is sliced, where nobody took the time: silence is not cold.
 *
 * @param slices how many were cut
 * @returns s
 * @example
 * knifeSeconds(30) // => 300
 */
export const knifeSeconds = (slices: number): number => SETTLING + EACH * Math.max(0, slices);
