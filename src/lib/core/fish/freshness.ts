import { inRange } from '../errors.ts';
import type { Species } from './species.ts';

/**
 * Spoilage relative to melting ice. Temperate fish: square root model, RRS = (1 + 0.1 T)^2 for -3 to 15 °C;
 * tropical fish: RRS = exp(0.12 T). Source: Huss (1995), FAO Fisheries Technical Paper 348, section 6.
 *
 * @param celsius temperature of the fish, -3 to 15 °C
 * @returns days on ice spent for each day at that temperature
 * @throws EmberError outside the model's range
 * @example
 * relativeSpoilage(5, 'temperate') // => 2.25
 */
export function relativeSpoilage(celsius: number, climate: Species['climate']): number {
  const t = inRange(celsius, { field: 'temperature', unit: '°C', min: -3, max: 15 });
  return climate === 'tropical' ? Math.exp(0.12 * t) : (1 + 0.1 * t) ** 2;
}

/**
 * The share of a species' ice days in which the house serves it raw. Raw service uses the first third to the first
 * half of the eating life; the shipped value is the house's to tighten.
 */
export const DEFAULT_RAW_SHARE_OF_ICE_DAYS = 0.5;

/** Temperature assumed between readings for a piece kept in the house's cold drawers, shown as an assumption. °C. */
export const ASSUMED_HOLDING_CELSIUS = 2;

/**
 * How long from catch until a share of the eating life is spent at one steady temperature.
 *
 * @param iceDays days on ice to the end of eating quality
 * @param share share of them, 0 to 1
 * @param celsius steady temperature
 * @returns seconds
 * @example
 * eatingLifeSeconds(14, 0.5, 0, 'temperate') / 86400 // => 7
 */
export function eatingLifeSeconds(
  iceDays: number,
  share: number,
  celsius: number,
  climate: Species['climate']
): number {
  inRange(iceDays, { field: 'iceDays', unit: 'd', min: 0.5, max: 60 });
  inRange(share, { field: 'share', unit: '', min: 0, max: 1 });
  return (iceDays * share * 86400) / relativeSpoilage(celsius, climate);
}
