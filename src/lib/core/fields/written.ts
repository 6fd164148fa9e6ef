import { UNITS, fromBase, type Kind, type UnitPreferences } from '../measure/units.ts';
import type { FieldMeta } from './field.ts';

/** The units a kind is offered in, the house's own first, as keys of `UNITS[kind]`. */
const OFFERED: Record<Kind, (house: UnitPreferences) => readonly string[]> = {
  mass: ({ mass }) => (mass === 'oz' ? ['lb', 'oz', 'kg', 'g'] : ['g', 'kg', 'lb', 'oz']),
  length: ({ length }) => (length === 'in' ? ['in', 'mm', 'cm'] : ['mm', 'cm', 'in']),
  temperature: ({ temperature }) => (temperature === 'F' ? ['F', 'C'] : ['C', 'F']),
  duration: () => ['h'],
  concentration: () => ['%'],
  volume: ({ volume }) => (volume === 'floz' ? ['floz', 'ml', 'l'] : ['ml', 'l', 'floz'])
};

/** The units a field of a form offers, as they are written: the one its plan asks for, or the house's own first. */
export const unitsOffered = ({ of, unit }: Pick<FieldMeta, 'of' | 'unit'>, house: UnitPreferences): string[] =>
  of === undefined
    ? []
    : (unit === undefined ? OFFERED[of](house) : [unit]).map((each) => UNITS[of][each]?.symbol ?? each);

/** Parts of a unit a typed figure is worth keeping to, by unit: a tenth of a millimetre, a hundredth of an inch. */
const PLACES: Record<string, number> = { in: 2, lb: 2, floz: 2, '%': 3, h: 3, kg: 3 };

/**
 * A figure as it would be typed, and the unit's sign beside it.
 *
 * @param value in the base unit of its kind
 * @param house asked where the field asks for no unit of its own; of a mass it likes ounces or grams
 * @example
 * written({ of: 'duration', unit: 'h' }, 5400, { mass: 'g', temperature: 'C', length: 'mm', volume: 'ml' }) // => ['1.5', 'h']
 */
export function written(
  { of, unit }: Pick<FieldMeta, 'of' | 'unit'>,
  value: number,
  house: UnitPreferences
): [text: string, unit: string] {
  if (of === undefined) return [String(Number(value.toFixed(3))), ''];
  const liked: Partial<Record<Kind, string>> = house;
  const asked = unit ?? liked[of] ?? OFFERED[of](house)[0]!;
  const figure = fromBase(of, asked, value);
  return [String(Number(figure.toFixed(PLACES[asked] ?? 1))), UNITS[of][asked]!.symbol];
}

/** A figure without a unit of its own counts in the unit beside it; anything else is as it was typed. */
export const withUnit = (text: string, unit: string | null | undefined): string =>
  unit && /^[\s\d.,'+\u2212-]+$/.test(text) && text.trim() !== '' ? `${text.trim()} ${unit}` : text;
