import { EmberError } from '../errors.ts';
import { CATALOGUE_VERSION, OPEN_WATER_FISH } from './catalogue/open-water.ts';
import { SHELLFISH } from './catalogue/shellfish.ts';
import type { Species } from './kinds.ts';
import { SHORE_AND_BOTTOM_FISH } from './catalogue/shore-and-bottom.ts';

export type { Species, SpeciesGroup, SpeciesHazard } from './kinds.ts';
export { CATALOGUE_VERSION };

export const SPECIES: readonly Species[] = [...OPEN_WATER_FISH, ...SHORE_AND_BOTTOM_FISH, ...SHELLFISH];

const byId = new Map(SPECIES.map((species) => [species.id, species]));

/**
 * The catalogue's entry for an id.
 *
 * @throws EmberError `species.unknown`
 * @example
 * speciesById('arctic-char').name // => 'Arctic char'
 */
export function speciesById(id: string): Species {
  const found = byId.get(id);
  if (!found) throw new EmberError('species.unknown', { field: 'species', seen: id });
  return found;
}

/**
 * Species whose market or scientific name is exactly `name` in any tongue, letter case and accents aside. More than one
 * means the name settles nothing and the person must be asked.
 *
 * @example
 * speciesCalled('white tuna').map((species) => species.id) // => ['albacore', 'escolar']
 */
export function speciesCalled(name: string): Species[] {
  const wanted = plain(name);
  return SPECIES.filter((species) =>
    [species.name, ...species.alsoCalled, ...species.scientific].some((known) => plain(known) === wanted)
  );
}

function plain(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLowerCase()
    .trim();
}
