import { EmberError } from '../errors.ts';
import { heaviestOf } from '../fish/heaviest.ts';

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
 * @param ofOne what no single fish of it weighs more than, g: of a box of sardines each is as thick as one sardine; null where nobody knows
 * @returns mm, to the millimetre
 * @throws EmberError `quantity.out-of-range`
 * @example
 * usualThickness('fillet', 900) // => 27
 * @example
 * usualThickness('roe', 900) // => null
 * @example
 * usualThickness('whole', 25_000, 100) // => 23
 */
export function usualThickness(form: string, grams: number, ofOne: number | null = null): number | null {
  if (!(grams > 0) || !Number.isFinite(grams)) {
    throw new EmberError('quantity.out-of-range', { field: 'mass', unit: 'g', min: 0, seen: grams });
  }
  const cubes = CUBES[form];
  return cubes === undefined
    ? null
    : Math.max(2, Math.round(Math.cbrt(Math.min(grams, ofOne ?? grams) / FLESH / cubes)));
}

/**
 * What no single fish of a lot weighs more than: its weight by its count, and the heaviest of its kind.
 *
 * @param lot what came: its weight in g, how many where somebody counted, and its species
 * @returns g; null where neither is known
 * @example
 * weightOfOne({ mass: { si: 25_000 }, count: null, species: 'sardine' }) // => 500
 */
export function weightOfOne(lot: {
  readonly mass: { readonly si: number };
  readonly count: number | null;
  readonly species: string;
}): number | null {
  const counted = lot.count === null ? null : lot.mass.si / lot.count;
  const heaviest = heaviestOf(lot.species);
  return counted === null || heaviest === null ? (counted ?? heaviest) : Math.min(counted, heaviest);
}
