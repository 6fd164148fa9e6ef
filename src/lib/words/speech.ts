import { DEFAULT_PREFERENCES, type UnitPreferences } from '../core/measure/units.ts';

/**
 * Whom the words are for: the language, the clock on the wall, the units. It is asked for when something is said and never
 * kept in a module, for a server speaks with many at once: the host says where to look (`speaksAs`).
 */

/** Languages there are: English, and English made strange, by which one sees what is not in the catalogue. */
export const LOCALES = ['en-GB', 'en-XA'] as const;
export type Locale = (typeof LOCALES)[number];
export const STRANGE: Locale = 'en-XA';

export interface Speech {
  readonly locale: Locale;
  /** IANA zone of the house. */
  readonly zone: string;
  readonly units: UnitPreferences;
}

/** What a message takes: a name, or a figure that was said already. */
export type Said = string | number;

const PLAIN: Speech = { locale: 'en-GB', zone: 'UTC', units: DEFAULT_PREFERENCES };
let source: () => Speech = () => PLAIN;

const zones = new Map<string, boolean>();
/** Whether clocks know a zone. A house could once be set to one they do not: it is told the time in UTC, and not nothing. */
function isZone(zone: string): boolean {
  const known = zones.get(zone);
  if (known !== undefined) return known;
  let is = true;
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
  } catch {
    is = false;
  }
  zones.set(zone, is);
  return is;
}

/** A zone as clocks know it: UTC for one they do not. */
export const knownZone = (zone: string): string => (isZone(zone) ? zone : PLAIN.zone);

/** Says once, for this host, where the speech of the moment is found. */
export function speaksAs(from: () => Speech | undefined): void {
  source = () => {
    const speech = from() ?? PLAIN;
    const zone = knownZone(speech.zone);
    return zone === speech.zone ? speech : { ...speech, zone };
  };
}

/** Whom one speaks with now. */
export const speech = (): Speech => source();

/**
 * The language somebody asked for, if it is spoken here.
 *
 * @example
 * localeOf('en-XA') // => 'en-XA'
 * @example
 * localeOf('tlh') // => 'en-GB'
 */
export const localeOf = (asked: string | null | undefined): Locale =>
  LOCALES.find((each) => each === asked) ?? PLAIN.locale;

const LETTERS: Readonly<Record<string, string>> = Object.fromEntries(
  [...'abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ'].map((letter, index) => [
    letter,
    [...'áƀçđéƒǧĥîĵķļɱñöƥɋŕšţûṽŵẋýžÅƁÇĐÉƑǦĤÎĴĶĻṀÑÖÞɊŔŠŢÛṼŴẊÝŽ'][index]!
  ])
);
const PADDING = ['ñöŵ', 'öñé', 'ţŵö', 'ţĥŕéé'];

/**
 * A text made strange: every letter with an accent, 40 % longer, in brackets: what a reader of the screen can tell from words that
 * were typed past the catalogue. What was strange already stays as it is.
 *
 * @example
 * strange('Move') // => '⟦Ṁöṽé ñöŵ⟧'
 * @example
 * strange(strange('Move')) // => '⟦Ṁöṽé ñöŵ⟧'
 */
export function strange(text: string): string {
  if (text.trim() === '') return text;
  const bare = text.replace(/[⟦⟧]/g, '');
  const said = bare.replace(/[A-Za-z]/g, (letter) => LETTERS[letter]!);
  // Its parts brought their length with them.
  if (bare !== text) return `⟦${said}⟧`;
  let padding = '';
  for (let word = 0; padding.length < bare.length * 0.4; word++) padding += ` ${PADDING[word % PADDING.length]}`;
  return `⟦${said}${padding}⟧`;
}

function madeStrange(value: unknown): unknown {
  if (typeof value === 'string') return strange(value);
  if (typeof value === 'function') {
    return (...given: unknown[]) => madeStrange((value as (...given: unknown[]) => unknown)(...given));
  }
  if (typeof value !== 'object' || value === null) return value;
  const proto: unknown = Object.getPrototypeOf(value);
  if (proto !== Object.prototype && !Array.isArray(value)) return value;
  return spoken(value);
}

const catalogues = new WeakMap<object, object>();
function spoken<T extends object>(english: T): T {
  let found = catalogues.get(english) as T | undefined;
  if (!found) {
    found = new Proxy(english, {
      get(target, key, receiver) {
        const value: unknown = Reflect.get(target, key, receiver);
        // What it has from its kind (of a list, its methods) says nothing, nor does what a choice stands for.
        const isText = Object.hasOwn(target, key) && key !== 'value' && key !== 'id';
        return isText && speech().locale === STRANGE ? madeStrange(value) : value;
      }
    });
    catalogues.set(english, found);
  }
  return found;
}

/**
 * A part of the catalogue: texts, and functions that make one of names and figures, by their key. What is read from it is in the
 * language of the moment.
 */
export const words = <T extends object>(english: T): T => spoken(english);

/** A text, or a function that makes one, standing by itself. */
export function said<Given extends unknown[], Text>(english: (...given: Given) => Text): (...given: Given) => Text {
  return (...given) => {
    const text = english(...given);
    return speech().locale === STRANGE ? (madeStrange(text) as Text) : text;
  };
}
