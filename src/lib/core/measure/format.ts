import { fromBase, type UnitPreferences } from './units.ts';

/**
 * Figures as a cook would say them: rounded to what a hand can act on. Nothing here is stored.
 */

function trim(value: number, decimals: number): string {
  // toFixed never shows "-0".
  const text = value.toFixed(decimals);
  return Number(text) === 0 ? (0).toFixed(decimals) : text;
}

/**
 * @param grams mass in g
 * @example
 * formatMass(1417.5, { mass: 'oz', temperature: 'C', length: 'mm', volume: 'ml' }) // => '3 lb 2 oz'
 */
export function formatMass(grams: number, preferences: Pick<UnitPreferences, 'mass'>): string {
  if (preferences.mass === 'oz') {
    const ounces = fromBase('mass', 'oz', grams);
    if (Math.abs(ounces) < 16) return `${trim(ounces, Math.abs(ounces) < 4 ? 2 : 1)} oz`;
    const whole = Math.round(ounces);
    const pounds = Math.trunc(whole / 16);
    const left = Math.abs(whole % 16);
    return left === 0 ? `${pounds} lb` : `${pounds} lb ${left} oz`;
  }
  const size = Math.abs(grams);
  if (size >= 1000) return `${trim(grams / 1000, size >= 10000 ? 1 : 2)} kg`;
  return `${trim(grams, size < 10 ? 1 : 0)} g`;
}

/**
 * A computed weight written as a person would type it, so that it can be kept like one.
 *
 * @param grams mass in g
 * @example
 * massText(850.04) // => '850 g'
 */
export const massText = (grams: number): string =>
  grams >= 10_000 ? `${Math.round(grams) / 1000} kg` : `${Math.round(grams * 10) / 10} g`;

/**
 * @param celsius temperature in °C
 * @example
 * formatTemperature(-20, { temperature: 'F' }) // => '-4.0 °F'
 */
export function formatTemperature(celsius: number, preferences: Pick<UnitPreferences, 'temperature'>): string {
  return preferences.temperature === 'F'
    ? `${trim(fromBase('temperature', 'F', celsius), 1)} °F`
    : `${trim(celsius, 1)} °C`;
}

/**
 * @param mm length in mm
 * @example
 * formatLength(25.4, { length: 'in' }) // => '1.00 in'
 */
export function formatLength(mm: number, preferences: Pick<UnitPreferences, 'length'>): string {
  if (preferences.length === 'in') return `${trim(mm / 25.4, 2)} in`;
  return `${trim(mm, mm < 10 ? 1 : 0)} mm`;
}

/**
 * A length of time in its two largest units.
 *
 * @param seconds duration in s
 * @example
 * formatDuration(51600) // => '14 h 20 min'
 */
export function formatDuration(seconds: number): string {
  const sign = seconds < 0 ? '-' : '';
  const total = Math.round(Math.abs(seconds));
  if (total < 60) return `${sign}${total} s`;
  const minutes = Math.round(total / 60);
  if (minutes < 60) return `${sign}${minutes} min`;
  const hours = Math.floor(minutes / 60);
  if (hours < 72) {
    const left = minutes % 60;
    return left ? `${sign}${hours} h ${left} min` : `${sign}${hours} h`;
  }
  const days = Math.floor(hours / 24);
  const leftHours = hours % 24;
  return leftHours ? `${sign}${days} d ${leftHours} h` : `${sign}${days} d`;
}

/**
 * @param fraction share, 0 to 1
 * @example
 * formatPercent(0.0264, 1) // => '2.6 %'
 */
export function formatPercent(fraction: number, decimals = 1): string {
  return `${trim(fraction * 100, decimals)} %`;
}
