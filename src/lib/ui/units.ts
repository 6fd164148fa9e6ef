import type { UnitPreferences } from '../core/measure/units.ts';

/** The units a field offers, the house's own first. */
export const massUnits = ({ mass }: UnitPreferences) =>
  mass === 'oz' ? ['lb', 'oz', 'kg', 'g'] : ['g', 'kg', 'lb', 'oz'];
export const lengthUnits = ({ length }: UnitPreferences) => (length === 'in' ? ['in', 'mm', 'cm'] : ['mm', 'cm', 'in']);
export const temperatureUnits = ({ temperature }: UnitPreferences) =>
  temperature === 'F' ? ['°F', '°C'] : ['°C', '°F'];
