import { inRange } from '../../errors.ts';
import { FLESH_DENSITY, FROZEN_DENSITY } from '../../fish/flesh.ts';

/**
 * Thermal properties of fish, scaled with its water from the figures for 76 % water: densities 1055 and 1000 kg/m³, heat
 * capacities 3600 and 1900 J/(kg K), latent heat 228 kJ/kg, conductivity 1.5 W/(m K) frozen and 0.5 unfrozen. Heat capacity by
 * the shares of water and dry matter, latent heat by the water that freezes (Pham 1986; ASHRAE Handbook, Refrigeration,
 * thermal properties of foods).
 */
export interface FishThermal {
  /** Initial freezing point, °C. */
  readonly freezing: number;
  /** Volumetric heat capacities, J/(m³ K). */
  readonly unfrozen: number;
  readonly frozen: number;
  /** Volumetric latent heat, J/m³. */
  readonly latent: number;
  /** W/(m K) */
  readonly kUnfrozen: number;
  readonly kFrozen: number;
}

/** Water share of flesh the figures of the method are given for. */
export const STANDARD_WATER = 0.76;

/**
 * @param water share of the flesh, by mass: 0.5 to 0.9
 * @example
 * Math.round(fishThermal(0.76).latent / 1e6) // => 228
 */
export function fishThermal(water = STANDARD_WATER): FishThermal {
  const share = inRange(water, { field: 'water', unit: '', min: 0.5, max: 0.9 }) / STANDARD_WATER;
  return {
    freezing: -1,
    unfrozen: FLESH_DENSITY * (3600 + 2430 * (water - STANDARD_WATER)),
    frozen: FROZEN_DENSITY * (1900 + 630 * (water - STANDARD_WATER)),
    latent: 228e6 * share,
    kUnfrozen: 0.5,
    kFrozen: 0.4 + 1.1 * share
  };
}

/**
 * Heat content above that of fish at its freezing point, still liquid: J/m³. Below it the share of ice is 1 - Tf/T.
 *
 * @param celsius -90 to 60
 */
export function enthalpy(celsius: number, fish: FishThermal): number {
  const { freezing, unfrozen, frozen, latent } = fish;
  if (celsius >= freezing) return unfrozen * (celsius - freezing);
  return frozen * (celsius - freezing) - latent * (1 - freezing / celsius);
}

/** Heat a kilogram gives between two temperatures, J: each part of it by the density it is in. */
export function heatOfKilogram(from: number, to: number, fish: FishThermal): number {
  const above = (celsius: number) => {
    const heat = enthalpy(celsius, fish);
    return heat >= 0 ? heat / FLESH_DENSITY : heat / FROZEN_DENSITY;
  };
  return above(from) - above(to);
}

/** Temperature of a heat content, °C: the inverse of `enthalpy`. */
export function temperature(heat: number, fish: FishThermal): number {
  const { freezing, unfrozen, frozen, latent } = fish;
  if (heat >= 0) return freezing + heat / unfrozen;
  const b = frozen * freezing + latent + heat;
  return (b - Math.sqrt(b * b - 4 * frozen * latent * freezing)) / (2 * frozen);
}

/** How the temperature follows the heat content there, K m³/J. */
export function temperatureSlope(heat: number, celsius: number, fish: FishThermal): number {
  if (heat >= 0) return 1 / fish.unfrozen;
  const b = fish.frozen * fish.freezing + fish.latent + heat;
  return celsius / (2 * fish.frozen * celsius - b);
}

/** Share of the freezable water that is ice, 0 to 1. */
export const iceShare = (celsius: number, fish: FishThermal): number =>
  celsius >= fish.freezing ? 0 : 1 - fish.freezing / celsius;
