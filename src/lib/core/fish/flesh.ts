/** Density of unfrozen flesh, kg/m³: one figure for every sum (as the freezing method gives it; 1.04 to 1.07 by kind). */
export const FLESH_DENSITY = 1055;
/** Density of frozen flesh, kg/m³ (likewise). */
export const FROZEN_DENSITY = 1000;
