import type { Species } from '../../fish/species.ts';
import type { Band } from '../../random.ts';

/**
 * Parameters of the acid front, each with the range its band is drawn from (check all of them against your own fish).
 *
 * Flesh of a buffering capacity of about 0.05 mol H⁺ per kg and pH unit binds about 0.075 mol/kg between pH 6.6 and 5.1; dark,
 * fast-swimming fish up to twice as much. Acid moves through turned flesh at about 5e-10 m²/s at 5 to 10 °C; activation energy
 * as for salt, 20 to 25 kJ/mol.
 */
export const ACID_DIFFUSIVITY: Band = { low: 2.5e-10, likely: 5e-10, high: 9e-10 };
export const ACID_REFERENCE_CELSIUS = 7;
/** mol H⁺ per kg of flesh down to the set point. */
export const BINDING: Band = { low: 0.055, likely: 0.075, high: 0.1 };
/** How many times more dark, fast-swimming fish bind (check). */
export const DARK_TIMES = 1.7;
/** Histamine fish are the dark, fast-swimming ones: what makes them so is what buffers. */
export const bindsMore = (species: Pick<Species, 'hazards'> | null): boolean =>
  species?.hazards.includes('histamine') ?? false;
/** pH at which flesh reads as turned. */
export const SET_PH = 5.1;
export const FLESH_PH = 6.6;
/** Texture goes from set to mushy after so many times the time to set; a wide band (check). */
export const MUSHY_TIMES: Band = { low: 2, likely: 3, high: 5 };
