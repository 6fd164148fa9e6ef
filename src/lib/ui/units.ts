import { unitsOffered, written } from '../core/fields/written.ts';
import { speech } from '../words/speech.ts';

/** The units a field offers, the house's own first. */
export const massUnits = () => unitsOffered({ of: 'mass' }, speech().units);
export const lengthUnits = () => unitsOffered({ of: 'length' }, speech().units);
export const temperatureUnits = () => unitsOffered({ of: 'temperature' }, speech().units);

/**
 * A starting figure for a field, in the unit the house likes: the text, and the unit's sign beside it.
 *
 * @param si mm or °C
 */
export const startWith = (kind: 'length' | 'temperature', si: number): [string, string] =>
  written({ of: kind }, si, speech().units);
