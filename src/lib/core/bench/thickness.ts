import { EmberError } from '../errors.ts';

/** Flesh of fish, g a mm³ (1.05 kg a litre). */
const FLESH = 0.00105;

/**
 * How many cubes of its own thickness a piece is as large as, by its form: length by width by thickness of what is usually cut so.
 * The house's own measures of a few hundred pieces would be better; until then these are a guess at the middle (check).
 */
const CUBES: Readonly<Record<string, number>> = {
  // 12 : 4 : 1, tapering.
  fillet: 42,
  // 7 : 2.4 : 1.
  loin: 16,
  block: 16,
  // 3 : 2 : 1.
  portion: 6,
  // A body of 5.5 : 2 : 1, rounded.
  whole: 8,
  gutted: 8
};

/**
 * How thick a piece is as a rule, by its form and weight, until somebody lays a ruler on it; null where its form says nothing.
 *
 * @param form as it was received or cut
 * @param grams its weight
 * @returns mm, to the millimetre
 * @throws EmberError `quantity.out-of-range`
 * @example
 * usualThickness('fillet', 900) // => 27
 * @example
 * usualThickness('roe', 900) // => null
 */
export function usualThickness(form: string, grams: number): number | null {
  if (!(grams > 0) || !Number.isFinite(grams)) {
    throw new EmberError('quantity.out-of-range', { field: 'mass', unit: 'g', min: 0, seen: grams });
  }
  const cubes = CUBES[form];
  return cubes === undefined ? null : Math.max(2, Math.round(Math.cbrt(grams / FLESH / cubes)));
}
