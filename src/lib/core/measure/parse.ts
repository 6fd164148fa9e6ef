import { EmberError } from '../errors.ts';
import { BASE_SYMBOL, UNITS, fromBase, toBase, type Kind } from './units.ts';

/** What was typed, and what was understood. Both are kept for ever. */
export interface Typed {
  /** The value in the base unit of its kind (g, mm, °C, s, weight fraction, ml). */
  readonly si: number;
  /** The unit as understood: a key of UNITS[kind]. */
  readonly unit: string;
  /** Letter for letter what the person typed. */
  readonly typed: string;
}

export interface ParseOptions {
  /** Name of the field, for the error. */
  readonly field?: string;
  /** The unit of a bare number. Without one a bare number is an error. */
  readonly defaultUnit?: string;
  /** Inclusive range in the base unit. */
  readonly min?: number;
  readonly max?: number;
}

// A space or an apostrophe groups thousands only before exactly three digits: "3 2 oz" must not become 32 oz.
const NUMBER = String.raw`[+-]?(?:\d{1,3}(?:[ '\u00a0\u202f]\d{3})+(?:[.,]\d+)?(?!\d)|\d+(?:[.,]\d+)*|[.,]\d+)`;
const TERM = new RegExp(`^(${NUMBER})\\s*([^\\d\\s+-]*(?:\\s?oz(?=\\s|$))?)\\s*`, 'i');

/**
 * Reads one written number. A point is always the decimal mark when it stands alone, because scales and probes print it;
 * a lone comma before exactly three digits is read nowhere silently.
 *
 * @throws EmberError `quantity.ambiguous` with both readings, or `quantity.unreadable`
 * @example
 * readNumber('2,5') // => 2.5
 */
export function readNumber(text: string, field?: string): number {
  const compact = text.replace(/[\s\u00a0\u202f']/g, '');
  const commas = (compact.match(/,/g) ?? []).length;
  const points = (compact.match(/\./g) ?? []).length;
  let plain = compact;
  if (commas && points) {
    // Whichever stands last is the decimal mark; the other one groups thousands.
    plain =
      compact.lastIndexOf(',') > compact.lastIndexOf('.')
        ? compact.replaceAll('.', '').replace(',', '.')
        : compact.replaceAll(',', '');
  } else if (commas > 1) {
    if (!/^[+-]?\d{1,3}(,\d{3})+$/.test(compact)) throw new EmberError('quantity.unreadable', { field, seen: text });
    plain = compact.replaceAll(',', '');
  } else if (points > 1) {
    if (!/^[+-]?\d{1,3}(\.\d{3})+$/.test(compact)) throw new EmberError('quantity.unreadable', { field, seen: text });
    plain = compact.replaceAll('.', '');
  } else if (commas === 1) {
    if (/^[+-]?[1-9]\d{0,2},\d{3}$/.test(compact)) {
      throw new EmberError('quantity.ambiguous', {
        field,
        seen: text,
        candidates: [compact.replace(',', ''), String(Number(compact.replace(',', '.')))]
      });
    }
    plain = compact.replace(',', '.');
  }
  const value = Number(plain);
  if (plain === '' || !Number.isFinite(value)) throw new EmberError('quantity.unreadable', { field, seen: text });
  return value;
}

function unitOf(kind: Kind, word: string, options: ParseOptions, text: string): string {
  const key = word.toLowerCase().replace(/[\s.]/g, '');
  if (key === '') {
    if (options.defaultUnit) return options.defaultUnit;
    throw new EmberError('quantity.unit-missing', {
      field: options.field,
      seen: text,
      candidates: Object.values(UNITS[kind]).map((unit) => unit.symbol)
    });
  }
  for (const [unit, definition] of Object.entries(UNITS[kind])) {
    if (definition.spellings.includes(key)) return unit;
  }
  throw new EmberError('quantity.unit-unknown', {
    field: options.field,
    seen: word,
    candidates: Object.values(UNITS[kind]).map((unit) => unit.symbol)
  });
}

/**
 * Reads a quantity as a cook writes it: "3 lb 2 oz", "2,5 kg", "-4F", "1 h 20 min".
 *
 * @param kind what is measured
 * @param text what was typed
 * @returns the value in the base unit, the unit understood, and the text as typed
 * @throws EmberError `quantity.empty`, `quantity.unreadable`, `quantity.unit-missing`, `quantity.unit-unknown`,
 *   `quantity.ambiguous` (with both readings as candidates), `quantity.out-of-range`
 * @example
 * parseQuantity('temperature', '-4F').si // => -20
 */
export function parseQuantity(kind: Kind, text: string, options: ParseOptions = {}): Typed {
  const typed = text.trim();
  if (typed === '') throw new EmberError('quantity.empty', { field: options.field, unit: BASE_SYMBOL[kind] });
  let rest = typed.replace(/\u2212/g, '-');
  let total = 0;
  let firstUnit = '';
  let previousFactor = Infinity;
  while (rest.length > 0) {
    const match = TERM.exec(rest);
    if (!match) throw new EmberError('quantity.unreadable', { field: options.field, seen: typed });
    const unit = unitOf(kind, match[2] ?? '', options, typed);
    let value: number;
    try {
      value = readNumber(match[1] ?? '', options.field);
    } catch (error) {
      if (error instanceof EmberError && error.code === 'quantity.ambiguous') {
        const symbol = UNITS[kind][unit]?.symbol ?? unit;
        const candidates = (error.details.candidates ?? []).map((candidate) => `${candidate} ${symbol}`);
        throw new EmberError('quantity.ambiguous', { field: options.field, seen: typed, candidates });
      }
      throw error;
    }
    const factor = UNITS[kind][unit]?.factor ?? NaN;
    if (firstUnit === '') firstUnit = unit;
    // "2 oz 3 lb" or "4 F 2 F" is a slip of the hand, not a sum.
    else if (kind === 'temperature' || factor >= previousFactor || value < 0) {
      throw new EmberError('quantity.unreadable', { field: options.field, seen: typed });
    }
    previousFactor = factor;
    total += toBase(kind, unit, value);
    rest = rest.slice(match[0].length);
  }
  const { min = -Infinity, max = Infinity } = options;
  if (total < min || total > max) {
    // The range is said in the unit that was written: nobody converts with wet hands. Metres of fish are said in millimetres.
    const unit = kind === 'length' && firstUnit !== 'in' ? 'mm' : firstUnit;
    const said = (bound: number | undefined) => (bound === undefined ? undefined : fromBase(kind, unit, bound));
    throw new EmberError('quantity.out-of-range', {
      field: options.field,
      unit: UNITS[kind][unit]!.symbol,
      min: said(options.min),
      max: said(options.max),
      seen: typed
    });
  }
  return { si: total, unit: firstUnit, typed };
}
