/** How a fish was killed, as far as anybody says. */
export const KILLINGS = [
  'unknown',
  'spiked-bled',
  'spiked',
  'bled',
  'struck',
  'ice-slurry',
  'died-in-gear',
  'alive'
] as const;
export type Killing = (typeof KILLINGS)[number];

export interface RigorGuide {
  /** Hours after death to the onset of stiffness, low and high. */
  readonly onset: readonly [number, number];
  /** Hours after death until it has passed. */
  readonly through: readonly [number, number];
}

/**
 * A guide to stiffness on ice by killing method: spiked and bled, onset 6-24 h, through 48-96 h; struggled, onset 1-6 h, through
 * 24-36 h. Warmer fish is faster. Bands only, after Huss (1995), FAO Fisheries Technical Paper 348, section 5 (check).
 *
 * @returns null where nobody says how it was killed, or where it is alive
 * @example
 * rigorGuide('spiked-bled').onset // => [6, 24]
 */
export function rigorGuide(killing: Killing): RigorGuide | null {
  if (killing === 'unknown' || killing === 'alive') return null;
  if (killing === 'spiked-bled' || killing === 'spiked') return { onset: [6, 24], through: [48, 96] };
  // Bled or struck at once lies between the two schools; the struggle before it decides, so the wide band is said.
  if (killing === 'bled' || killing === 'struck') return { onset: [2, 14], through: [30, 72] };
  return { onset: [1, 6], through: [24, 36] };
}

export type RigorStage = 'before' | 'setting' | 'stiff' | 'passing' | 'past';

/**
 * Where a fish stands by the guide.
 *
 * @param hours since death
 * @example
 * rigorStage({ onset: [6, 24], through: [48, 96] }, 30) // => 'stiff'
 */
export function rigorStage(guide: RigorGuide, hours: number): RigorStage {
  if (hours < guide.onset[0]) return 'before';
  if (hours < guide.onset[1]) return 'setting';
  if (hours < guide.through[0]) return 'stiff';
  return hours < guide.through[1] ? 'passing' : 'past';
}
