import { inRange } from '../../errors.ts';
import { AREA_OF_KILOGRAM, WET_ACTIVITY, WET_LOSS } from './parameters.ts';

/** How a hanging fish loses water: at one rate while its face is wet, then ever more slowly. */
export interface Drying {
  /** Share of the start weight lost in a day while the face is wet. */
  readonly rate: number;
  /** Share lost if it hung for ever. */
  readonly most: number;
}

const AGE_LIMITS = {
  rate: { field: 'rate', unit: '1/day', min: 1e-5, max: 0.3 },
  most: { field: 'most', unit: '', min: 0.03, max: 0.8 },
  days: { field: 'days', unit: 'd', min: 0, max: 120 },
  celsius: { field: 'celsius', unit: '°C', min: -2, max: 15 },
  humidity: { field: 'humidity', unit: '', min: 0.3, max: 0.99 },
  grams: { field: 'mass', unit: 'g', min: 20, max: 200_000 }
} as const;
export { AGE_LIMITS };

/** The wet stage ends with the surface water, or with half of all there is to lose. */
const wetLoss = (most: number): number => Math.min(WET_LOSS, most / 2);

/** The law itself, for a fit that stands inside its own bounds: share lost after so many days. */
export function lossOf({ rate, most }: Drying, days: number): number {
  const wet = wetLoss(most);
  const turn = wet / rate;
  if (days <= turn) return rate * days;
  return most - (most - wet) * Math.exp((-rate * (days - turn)) / (most - wet));
}

/**
 * Share of the start weight lost after so many days: constant-rate drying of the wet face first, then
 * W(t) = W∞ + (W0 − W∞) e^(−kt), with k such that the rate has no jump where one becomes the other.
 *
 * @throws EmberError `quantity.out-of-range`
 * @example
 * lossAfter({ rate: 0.01, most: 0.3 }, 1) // => 0.01
 */
export function lossAfter(drying: Drying, days: number): number {
  inRange(drying.rate, AGE_LIMITS.rate);
  inRange(drying.most, AGE_LIMITS.most);
  return lossOf(drying, inRange(days, AGE_LIMITS.days));
}

/** The day a loss is reached; null where it never is. */
export function dayOfLoss({ rate, most }: Drying, loss: number): number | null {
  const wet = wetLoss(most);
  if (loss <= wet) return Math.max(0, loss) / rate;
  if (loss >= most) return null;
  return wet / rate - ((most - wet) / rate) * Math.log((most - loss) / (most - wet));
}

/** Pressure of saturated vapour over water, Pa (Magnus; Alduchov and Eskridge 1996). */
const saturation = (celsius: number): number => 610.94 * Math.exp((17.625 * celsius) / (celsius + 243.04));
const LATENT_HEAT = 2.5e6;
/** kg vapour for a W/K of heat transfer and a Pa: Lewis' relation with air of 2 °C, M / (R T ρ cp Le^(2/3)). */
const LEWIS = 0.018015 / (8.314 * 275 * 1.28 * 1005 * 0.9);

/**
 * Temperature of a wet face that dries into air: as cold as the water that leaves it makes it (a wet-bulb balance).
 *
 * @param humidity of the air, share
 */
export function faceCelsius(airCelsius: number, humidity: number): number {
  let [low, high] = [airCelsius - 15, airCelsius];
  for (let step = 0; step < 40; step++) {
    const middle = (low + high) / 2;
    const leaves = LEWIS * LATENT_HEAT * (WET_ACTIVITY * saturation(middle) - humidity * saturation(airCelsius));
    if (leaves > airCelsius - middle) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}

export interface CabinetAir {
  readonly celsius: number;
  readonly humidity: number;
}

/**
 * Share of its weight a fish loses in a day while its face is wet: rate = km A (aw psat(Tf) − RH psat(Ta)), with A about
 * 0.1 m² (m / 1 kg)^(2/3) for a whole fish.
 *
 * @param grams of the fish
 * @param air heat transfer of the cabinet's air, W/(m² K)
 * @param skin share of vapour its skin lets through; 1 for cut faces
 * @returns 1/day
 * @throws EmberError `quantity.out-of-range`
 */
export function wetRate(grams: number, { celsius, humidity }: CabinetAir, air: number, skin: number): number {
  const kilograms = inRange(grams, AGE_LIMITS.grams) / 1000;
  inRange(celsius, AGE_LIMITS.celsius);
  inRange(humidity, AGE_LIMITS.humidity);
  const area = AREA_OF_KILOGRAM * kilograms ** (2 / 3);
  const drop = WET_ACTIVITY * saturation(faceCelsius(celsius, humidity)) - humidity * saturation(celsius);
  return (Math.max(0, drop) * LEWIS * air * skin * area * 86_400) / kilograms;
}
