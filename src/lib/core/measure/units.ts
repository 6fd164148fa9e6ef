/**
 * Units a kitchen writes, and what each is worth in the unit the record keeps.
 * Every factor stands once, here. Sources: International Yard and Pound Agreement (1959): 1 lb = 453.59237 g,
 * 1 in = 25.4 mm; NIST Handbook 44 appendix C for the US fluid ounce (29.5735295625 ml).
 */

declare const brand: unique symbol;
type Branded<Name extends string> = number & { readonly [brand]?: Name };

export type Grams = Branded<'g'>;
export type Millimetres = Branded<'mm'>;
export type Celsius = Branded<'degC'>;
/** A difference of temperatures is not a temperature: 10 °C of difference is 18 °F, 10 °C on the wall is 50 °F. */
export type CelsiusDelta = Branded<'degC-delta'>;
export type Seconds = Branded<'s'>;
export type Millilitres = Branded<'ml'>;
/** Share by weight, 0 to 1. */
export type WeightFraction = Branded<'w/w'>;
/** Milliseconds since 1970-01-01T00:00Z. The record's only form of an instant. */
export type Instant = Branded<'ms'>;

export const KINDS = ['mass', 'length', 'temperature', 'duration', 'concentration', 'volume'] as const;
export type Kind = (typeof KINDS)[number];

export interface UnitDefinition {
  /** How the unit is written. */
  readonly symbol: string;
  /** base = value * factor + offset */
  readonly factor: number;
  readonly offset?: number;
  /** What people type, in lower case. */
  readonly spellings: readonly string[];
}

/** The unit in which a kind is kept: g, mm, °C, s, weight fraction, ml. */
export const BASE_SYMBOL: Record<Kind, string> = {
  mass: 'g',
  length: 'mm',
  temperature: '°C',
  duration: 's',
  concentration: '%',
  volume: 'ml'
};

export const UNITS: Record<Kind, Record<string, UnitDefinition>> = {
  mass: {
    g: { symbol: 'g', factor: 1, spellings: ['g', 'gr', 'gram', 'grams', 'gramme', 'grammes'] },
    kg: { symbol: 'kg', factor: 1000, spellings: ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms'] },
    oz: { symbol: 'oz', factor: 453.59237 / 16, spellings: ['oz', 'ounce', 'ounces'] },
    lb: { symbol: 'lb', factor: 453.59237, spellings: ['lb', 'lbs', 'pound', 'pounds'] }
  },
  length: {
    mm: { symbol: 'mm', factor: 1, spellings: ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'] },
    cm: { symbol: 'cm', factor: 10, spellings: ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'] },
    m: { symbol: 'm', factor: 1000, spellings: ['m', 'metre', 'metres', 'meter', 'meters'] },
    in: { symbol: 'in', factor: 25.4, spellings: ['in', 'inch', 'inches', '"'] }
  },
  temperature: {
    C: { symbol: '°C', factor: 1, spellings: ['c', '°c', 'degc', 'celsius', 'centigrade'] },
    F: { symbol: '°F', factor: 5 / 9, offset: (-32 * 5) / 9, spellings: ['f', '°f', 'degf', 'fahrenheit'] }
  },
  duration: {
    s: { symbol: 's', factor: 1, spellings: ['s', 'sec', 'secs', 'second', 'seconds'] },
    min: { symbol: 'min', factor: 60, spellings: ['min', 'mins', 'minute', 'minutes', "'"] },
    h: { symbol: 'h', factor: 3600, spellings: ['h', 'hr', 'hrs', 'hour', 'hours'] },
    d: { symbol: 'd', factor: 86400, spellings: ['d', 'day', 'days'] }
  },
  concentration: {
    '%': { symbol: '%', factor: 0.01, spellings: ['%', 'percent', 'pct'] },
    'g/kg': { symbol: 'g/kg', factor: 0.001, spellings: ['g/kg', 'gperkg'] }
  },
  volume: {
    ml: { symbol: 'ml', factor: 1, spellings: ['ml', 'millilitre', 'millilitres', 'milliliter', 'milliliters'] },
    l: { symbol: 'l', factor: 1000, spellings: ['l', 'litre', 'litres', 'liter', 'liters'] },
    floz: { symbol: 'fl oz', factor: 29.5735295625, spellings: ['floz', 'fluidounce', 'fluidounces'] }
  }
};

/** How a house likes its figures written. */
export interface UnitPreferences {
  readonly mass: 'g' | 'oz';
  readonly temperature: 'C' | 'F';
  readonly length: 'mm' | 'in';
  readonly volume: 'ml' | 'floz';
}

export const DEFAULT_PREFERENCES: UnitPreferences = { mass: 'g', temperature: 'C', length: 'mm', volume: 'ml' };

/**
 * A value in `unit` as the base unit of its kind.
 *
 * @example
 * toBase('temperature', 'F', -4) // => -20
 */
export function toBase(kind: Kind, unit: string, value: number): number {
  const definition = UNITS[kind][unit];
  if (!definition) return NaN;
  // Fahrenheit through one division, so that -4 °F is exactly -20 °C and not -19.999999999999996.
  if (kind === 'temperature' && unit === 'F') return ((value - 32) * 5) / 9;
  return value * definition.factor + (definition.offset ?? 0);
}

/**
 * A base value as `unit`.
 *
 * @example
 * fromBase('temperature', 'F', -20) // => -4
 */
export function fromBase(kind: Kind, unit: string, base: number): number {
  const definition = UNITS[kind][unit];
  if (!definition) return NaN;
  if (kind === 'temperature' && unit === 'F') return (base * 9) / 5 + 32;
  return (base - (definition.offset ?? 0)) / definition.factor;
}
