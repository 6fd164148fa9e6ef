import { DAY } from '../core/measure/spans.ts';
import { formatDuration, formatLength, formatMass, formatTemperature } from '../core/measure/format.ts';
import { knownZone, said, speech, STRANGE } from './speech.ts';

/**
 * Figures, moments and spans as they are said to whom one speaks with: in the house's units, on its clock, in its language.
 */

const kept = new Map<string, unknown>();
/** An object of Intl is dear to make: one each for a language and its options. */
function keep<T>(key: string, make: (locale: string) => T): T {
  const { locale } = speech();
  // English made strange counts and tells the time as English does.
  const language = locale === STRANGE ? 'en-GB' : locale;
  const name = `${language} ${key}`;
  if (!kept.has(name)) kept.set(name, make(language));
  return kept.get(name) as T;
}
const clock = (options: Intl.DateTimeFormatOptions, zone: string): Intl.DateTimeFormat =>
  keep(
    `time ${zone} ${JSON.stringify(options)}`,
    (locale) => new Intl.DateTimeFormat(locale, { timeZone: zone, hourCycle: 'h23', ...options })
  );
const time = (options: Intl.DateTimeFormatOptions, at: number): string => clock(options, speech().zone).format(at);
const CLOCK = { hour: '2-digit', minute: '2-digit' } as const;

/** "20:10". */
export const clockTime = (at: number): string => time(CLOCK, at);
/** "Fri". */
export const dayName = said((at: number): string => time({ weekday: 'short' }, at));
/** "Fri 20:10". */
export const dayTime = said((at: number): string => time({ weekday: 'short', ...CLOCK }, at));
/** "Fri 13 Mar". */
export const shortDay = said((at: number): string => time({ weekday: 'short', day: 'numeric', month: 'short' }, at));
/** "Fri 13 Mar, 20:10". */
export const dayAndTime = said((at: number): string =>
  time({ weekday: 'short', day: 'numeric', month: 'short', ...CLOCK }, at)
);
/** "13 Mar, 20:10", on the clock of a house that is named, as paper says it. */
export const timeAt = said((at: number, zone: string): string =>
  clock({ day: 'numeric', month: 'short', ...CLOCK }, knownZone(zone)).format(at)
);
/** "13 Mar 2026". */
export const dayOfYear = said((at: number): string => time({ day: 'numeric', month: 'short', year: 'numeric' }, at));
/**
 * A day of the calendar, which has no zone: "Fri 13 Mar 2026". What is no day is told as it is written.
 *
 * @param date as YYYY-MM-DD
 */
export const day = said((date: string): string => {
  const at = Date.parse(`${date.slice(0, 10)}T00:00Z`);
  if (Number.isNaN(at)) return date;
  return keep(
    'day',
    (locale) =>
      new Intl.DateTimeFormat(locale, {
        timeZone: 'UTC',
        weekday: 'short',
        day: 'numeric',
        month: 'short',
        year: 'numeric'
      })
  ).format(at);
});
/** A day of the calendar where there is little room: "13 Mar 2026". As {@link day} otherwise. */
export const shortDate = said((date: string): string => {
  const at = Date.parse(`${date.slice(0, 10)}T00:00Z`);
  if (Number.isNaN(at)) return date;
  return keep(
    'short date',
    (locale) => new Intl.DateTimeFormat(locale, { timeZone: 'UTC', day: 'numeric', month: 'short', year: 'numeric' })
  ).format(at);
});
const dayKey = (at: number) => time({ year: 'numeric', month: '2-digit', day: '2-digit' }, at);

/** A moment as a cook says it: the time today, the weekday within six days, else the date. */
export const moment = said((at: number, now: number): string => {
  if (dayKey(at) === dayKey(now)) return clockTime(at);
  if (Math.abs(at - now) < 6 * DAY) return `${time({ weekday: 'short' }, at)} ${clockTime(at)}`;
  return time({ day: 'numeric', month: 'short' }, at);
});

/** How far off a moment is, ahead or behind: "35 min". */
export const away = (at: number, now: number): string => {
  const exact = Math.abs(at - now) / 1000;
  // The further off, the coarser: nobody acts on the minutes of tomorrow.
  const grain = exact > 2 * 86_400 ? 86_400 : exact > 3 * 3600 ? 3600 : 60;
  return exact < 60 ? formatDuration(exact) : formatDuration(Math.max(1, Math.round(exact / grain)) * grain);
};
const isNow = (at: number, now: number): boolean => Math.round(Math.abs(at - now) / 1000) === 0;
/** Of what is due: "in 35 min", "now", "2 h late". */
export const until = said((at: number, now: number): string => {
  if (isNow(at, now)) return 'now';
  return at >= now ? `in ${away(at, now)}` : `${away(at, now)} late`;
});
/** Of what happens by itself: "in 35 min", "2 h ago". */
export const since = said((at: number, now: number): string =>
  at >= now ? `in ${away(at, now)}` : `${away(at, now)} ago`
);

/** s: "3 h 20 min". */
export const span = (seconds: number): string => formatDuration(seconds);
/** g: "3.30 kg", or "7 lb 4 oz" where a house weighs so. */
export const mass = (grams: number): string => formatMass(grams, speech().units);
/** g, to the hundredth, as a fine scale shows it. */
export const weighed = (grams: number): string =>
  speech().units.mass === 'g' ? `${number(grams, 2)} g` : formatMass(grams, speech().units);
/** °C: "3.3 °C". */
export const temperature = (celsius: number): string => formatTemperature(celsius, speech().units);
/** mm: "22 mm". */
export const length = (mm: number): string => formatLength(mm, speech().units);

/** A figure to at most so many places. */
export const number = (value: number, most = 1): string =>
  keep(`most ${most}`, (locale) => new Intl.NumberFormat(locale, { maximumFractionDigits: most })).format(value);
/** A figure to just so many places. */
export const exactly = (value: number, places: number): string =>
  keep(
    `places ${places}`,
    (locale) => new Intl.NumberFormat(locale, { minimumFractionDigits: places, maximumFractionDigits: places })
  ).format(value);
/** A share of one in percent: to a tenth under ten, whole above. */
export const percent = (share: number): string => {
  const places = Math.abs(share) < 0.0995 ? 1 : 0;
  return `${exactly(share * 100, places)}\u00a0%`;
};

/** Per cent that were counted as such: a hundredth under one, a tenth under ten, whole above. */
export const points = (percent: number): string => {
  const size = Math.abs(percent);
  return `${exactly(percent, size < 0.995 ? 2 : size < 9.95 ? 1 : 0)}\u00a0%`;
};

/** Cents in the currency of the lot. */
export const money = (cents: number, currency: string): string => {
  const known = /^[A-Z]{3}$/.test(currency) ? currency : 'EUR';
  return keep(
    `money ${known}`,
    (locale) => new Intl.NumberFormat(locale, { style: 'currency', currency: known })
  ).format(cents / 100);
};

/** "salmon, turbot and char". */
export const list = said((items: readonly string[]): string =>
  keep('list', (locale) => new Intl.ListFormat(locale, { type: 'conjunction' })).format(items)
);

/** The form of a word that goes with a count: "1 piece", "3 pieces". */
export function plural(count: number, forms: { readonly one: string; readonly other: string }): string {
  const rule = keep('plural', (locale) => new Intl.PluralRules(locale)).select(count);
  return `${number(count, 0)} ${rule === 'one' ? forms.one : forms.other}`;
}
/** What a kilogram costs, from cents a gram. */
export const perKilo = said((centsPerGram: number | null, currency: string): string =>
  centsPerGram === null ? 'not known' : `${money(centsPerGram * 1000, currency)} / kg`
);

const WALL = { year: 'numeric', month: '2-digit', day: '2-digit', ...CLOCK } as const;
/** The wall time that a datetime-local field wants. */
export function wallInput(at: number): string {
  const { zone } = speech();
  const parts = Object.fromEntries(
    clock(WALL, zone)
      .formatToParts(at)
      .map(({ type, value }) => [type, value])
  );
  return `${parts.year}-${parts.month}-${parts.day}T${parts.hour}:${parts.minute}`;
}
