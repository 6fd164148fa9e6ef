import { DAY } from '../core/measure/spans.ts';
import { formatDuration, formatLength, formatMass, formatTemperature } from '../core/measure/format.ts';
import type { UnitPreferences } from '../core/measure/units.ts';

export interface HouseFormat {
  readonly zone: string;
  readonly units: UnitPreferences;
}

const formatters = new Map<string, Intl.DateTimeFormat>();
function formatter(zone: string, options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = zone + JSON.stringify(options);
  let found = formatters.get(key);
  if (!found) {
    found = new Intl.DateTimeFormat('en-GB', { timeZone: zone, hourCycle: 'h23', ...options });
    formatters.set(key, found);
  }
  return found;
}

export const clockTime = (at: number, zone: string) =>
  formatter(zone, { hour: '2-digit', minute: '2-digit' }).format(at);
export const dayName = (at: number, zone: string) => formatter(zone, { weekday: 'short' }).format(at);
export const dayAndTime = (at: number, zone: string) =>
  formatter(zone, { weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' }).format(at);
const dayKey = (at: number, zone: string) =>
  formatter(zone, { year: 'numeric', month: '2-digit', day: '2-digit' }).format(at);

/** A moment as a cook says it: the time today, the weekday within six days, else the date. */
export function moment(at: number, now: number, zone: string): string {
  if (dayKey(at, zone) === dayKey(now, zone)) return clockTime(at, zone);
  if (Math.abs(at - now) < 6 * DAY) return `${dayName(at, zone)} ${clockTime(at, zone)}`;
  return formatter(zone, { day: 'numeric', month: 'short' }).format(at);
}

/** "in 35 min", "2 h late". */
export function until(at: number, now: number): string {
  const exact = Math.abs(at - now) / 1000;
  // The further off, the coarser: nobody acts on the minutes of tomorrow.
  const grain = exact > 2 * 86_400 ? 86_400 : exact > 3 * 3600 ? 3600 : 60;
  const said = exact < 60 ? formatDuration(exact) : formatDuration(Math.max(1, Math.round(exact / grain)) * grain);
  return at >= now ? `in ${said}` : `${said} late`;
}

/** The wall time that a datetime-local field wants. */
export function wallInput(at: number, zone: string): string {
  const parts = Object.fromEntries(
    formatter(zone, { year: 'numeric', month: '2-digit', day: '2-digit', hour: '2-digit', minute: '2-digit' })
      .formatToParts(at)
      .map(({ type, value }) => [type, value])
  );
  return `${parts.year}-${parts.month}-${parts.day}T${parts.hour}:${parts.minute}`;
}

export { formatDuration, formatLength, formatMass, formatTemperature };

/** Grams as the scale shows them, or in the house's unit. */
export const weighed = (grams: number, units: UnitPreferences) =>
  units.mass === 'g' ? `${Number(grams.toFixed(2))} g` : formatMass(grams, units);
