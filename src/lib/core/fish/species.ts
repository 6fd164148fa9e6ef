import { EmberError } from '../errors.ts';
import openWater from './catalogue/open-water.json' with { type: 'json' };
import shellfish from './catalogue/shellfish.json' with { type: 'json' };
import shoreAndBottom from './catalogue/shore-and-bottom.json' with { type: 'json' };
import { withNames, type CatalogueEntry, type Species } from './kinds.ts';

export type { Species, SpeciesGroup, SpeciesHazard } from './kinds.ts';

/** Version of the shipped catalogue; stands on every verdict. */
export const CATALOGUE_VERSION = '2026.3';

/**
 * Species as shipped. Typical values: check with your authority. iceDays after Huss (1995), FAO Fisheries Technical Paper
 * 348, tables of storage lives; hazards after the FDA Hazards Guidance, chapter 3. The tests hold every entry to its shape.
 */
export const SPECIES: readonly Species[] = ([...openWater, ...shoreAndBottom, ...shellfish] as CatalogueEntry[]).map(
  withNames
);

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
 * @param among the house's catalogue; the shipped one when left out
 * @example
 * speciesCalled('white tuna').map((species) => species.id) // => ['albacore', 'escolar']
 */
export function speciesCalled(name: string, among: readonly Species[] = SPECIES): Species[] {
  const wanted = plain(name);
  return among.filter((species) =>
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
