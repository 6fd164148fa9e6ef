/** Char of the demo's tank farm, as it comes in. */
export const TANK_CHAR = {
  species: 'arctic-char',
  form: 'gutted',
  source: 'farmed',
  farmSystem: 'land-based',
  water: 'fresh',
  area: 'Skarnes tanks',
  supplier: 'Skarnes Tank Farm'
} as const;
