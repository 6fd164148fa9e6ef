import { EmberError, inRange } from '../../errors.ts';
import { type SaltKind } from '../../activity/cure/lists.ts';

/** Strength by weight, %, and density at 20 °C, g/ml. CRC Handbook of Chemistry and Physics, aqueous sodium chloride. */
const DENSITY: readonly (readonly [number, number])[] = [
  [0, 0.9982],
  [1, 1.0053],
  [5, 1.034],
  [10, 1.0707],
  [15, 1.1085],
  [20, 1.1478],
  [26, 1.1972],
  [26.5, 1.2014]
];
/** 100 degrees of the salometer: 26.395 % by weight at 60 °F (US Bureau of Standards scale). */
const FULL_PERCENT = 26.395;

export interface BrineFigures {
  /** Salt by weight of the brine, 0 to 1. */
  readonly strength: number;
  readonly gramsPerLitreOfWater: number;
  readonly gramsPerKilogram: number;
  readonly salometer: number;
  /** g/ml at 20 °C */
  readonly density: number;
}

/**
 * One brine in every way cooks write it.
 *
 * @param strength salt by weight of the brine, 0 to 0.26395
 * @throws EmberError `quantity.out-of-range`
 * @example
 * brineFigures(0.1).gramsPerLitreOfWater.toFixed(1) // => '110.9'
 */
export function brineFigures(strength: number): BrineFigures {
  const percent = inRange(strength * 100, { field: 'salt', unit: '%', min: 0, max: FULL_PERCENT + 0.01 });
  const after = Math.max(
    1,
    DENSITY.findIndex(([at]) => at >= percent)
  );
  const [from, low] = DENSITY[after - 1]!;
  const [to, high] = DENSITY[after]!;
  return {
    strength,
    // A litre of water weighs 998.2 g at 20 °C.
    gramsPerLitreOfWater: (998.2 * percent) / (100 - percent),
    gramsPerKilogram: 10 * percent,
    salometer: (100 * percent) / FULL_PERCENT,
    density: low + ((high - low) * (percent - from)) / (to - from)
  };
}

/** g per ml as it lies in a spoon; typical, each brand its own: weigh a level spoon of yours (check). */
export const BULK_DENSITY: Record<SaltKind, number> = { fine: 1.2, coarse: 1.0, flake: 0.65 };

/**
 * Millilitres by which a weight of salt is measured with a spoon: a makeshift, good to a fifth at best.
 *
 * @param density g per ml as weighed from a level measure
 * @example
 * saltVolume(13, 0.65) // => 20
 */
export const saltVolume = (grams: number, density: number): number =>
  inRange(grams, { field: 'grams', unit: 'g', min: 0, max: 50000 }) /
  inRange(density, { field: 'density', unit: 'g/ml', min: 0.3, max: 1.6 });

/** What a rate and a ratio of salt to sugar come to, read either way; shares of the fish's weight. */
export interface RateReading {
  readonly salt: number;
  readonly sugar: number;
}

/**
 * "8 per cent, two to one" is salt at 8 % with half as much sugar, or a mix of both at 8 %: cooks mean either.
 *
 * @param rate share of the fish's weight
 * @param saltParts parts of salt
 * @param sugarParts parts of sugar
 * @example
 * rateOf(0.06, 2, 1, 'mix') // => { salt: 0.04, sugar: 0.02 }
 */
export function rateOf(rate: number, saltParts: number, sugarParts: number, means: 'salt' | 'mix'): RateReading {
  inRange(rate, { field: 'salt', unit: '', min: 0, max: 4 });
  inRange(saltParts, { field: 'parts', unit: '', min: 0.01, max: 100 });
  inRange(sugarParts, { field: 'parts', unit: '', min: 0, max: 100 });
  const salt = means === 'salt' ? rate : (rate * saltParts) / (saltParts + sugarParts);
  return { salt, sugar: (salt * sugarParts) / saltParts };
}

const RATIO = /^\s*(\d+(?:[.,]\d+)?)\s*[:/]\s*(\d+(?:[.,]\d+)?)\s*$/;

/**
 * "2:1" as parts of salt and of sugar.
 *
 * @throws EmberError `form.value-unknown`
 * @example
 * partsOf('2:1') // => [2, 1]
 */
export function partsOf(text: string): [salt: number, sugar: number] {
  const match = RATIO.exec(text);
  if (!match) throw new EmberError('form.value-unknown', { field: 'parts', seen: text });
  return [Number(match[1]!.replace(',', '.')), Number(match[2]!.replace(',', '.'))];
}
