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

/** One long cut, turned and wiped, s (check). */
const EACH_BLOCK = 45;
/**
 * How long a side lies out of the cold while it is skinned and squared, where nobody took the time.
 *
 * @param blocks how many came of it
 * @returns s
 * @example
 * squaringSeconds(4) // => 300
 */
export const squaringSeconds = (blocks: number): number => SETTLING + EACH_BLOCK * Math.max(0, blocks);
