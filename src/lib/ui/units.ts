import { unitsOffered, written } from '../core/fields/written.ts';
import type { UnitPreferences } from '../core/measure/units.ts';

/** The units a field offers, the house's own first. */
export const massUnits = (units: UnitPreferences) => unitsOffered({ of: 'mass' }, units);
export const lengthUnits = (units: UnitPreferences) => unitsOffered({ of: 'length' }, units);
export const temperatureUnits = (units: UnitPreferences) => unitsOffered({ of: 'temperature' }, units);

/**
 * A starting figure for a field, in the unit the house likes: the text, and the unit's sign beside it.
 *
 * @param si mm or °C
 */
export const startWith = (kind: 'length' | 'temperature', si: number, units: UnitPreferences): [string, string] =>
  written({ of: kind }, si, units);
