import { UNITS, fromBase, type UnitPreferences } from '../core/measure/units.ts';

/** The units a field offers, the house's own first. */
export const massUnits = ({ mass }: UnitPreferences) =>
  mass === 'oz' ? ['lb', 'oz', 'kg', 'g'] : ['g', 'kg', 'lb', 'oz'];
export const lengthUnits = ({ length }: UnitPreferences) => (length === 'in' ? ['in', 'mm', 'cm'] : ['mm', 'cm', 'in']);
export const temperatureUnits = ({ temperature }: UnitPreferences) =>
  temperature === 'F' ? ['°F', '°C'] : ['°C', '°F'];

/**
 * A starting figure for a field, in the unit the house likes: the text, and the unit's sign beside it.
 *
 * @param si mm or °C
 */
export function startWith(kind: 'length' | 'temperature', si: number, units: UnitPreferences): [string, string] {
  const unit = units[kind];
  const figure = fromBase(kind, unit, si);
  return [String(Number(figure.toFixed(unit === 'in' ? 2 : 1))), UNITS[kind][unit]!.symbol];
}
