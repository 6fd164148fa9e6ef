import { EmberError } from '../errors.ts';
import { speciesShape, withNames, type CatalogueEntry, type Species } from './kinds.ts';
import { SPECIES, speciesById } from './species.ts';

/** What a house has said about a species: a whole entry of its own, or other values for a shipped one. */
export interface HouseSpecies {
  readonly id: string;
  readonly added: boolean;
  /** Fields that differ from the shipped entry; all of them for an added one. */
  readonly fields: Partial<CatalogueEntry>;
  readonly reason: string;
  /** Fields by which it is looser than what ships, owned by who set it. */
  readonly looser: readonly string[];
  readonly by: string;
  readonly seq: number;
}
export type HouseSpeciesBook = Readonly<Record<string, HouseSpecies>>;

const resolved = new WeakMap<HouseSpecies, Species>();

/**
 * A species as this house has it: the shipped entry with the house's own values over it.
 *
 * @throws EmberError `species.unknown`
 */
export function speciesIn(book: HouseSpeciesBook, id: string): Species {
  const own = book[id];
  if (!own) return speciesById(id);
  const known = resolved.get(own);
  if (known) return known;
  const base = own.added ? {} : bare(speciesById(id));
  const parsed = speciesShape.safeParse({ ...base, ...own.fields, id });
  if (!parsed.success) throw new EmberError('species.unknown', { field: 'species', seen: id });
  const species = withNames(own.added ? parsed.data : neverLooser(speciesById(id), parsed.data));
  resolved.set(own, species);
  return species;
}

/**
 * A house's word over a shipped species, without what no name may take away: a hazard, a parasite, the kind, the waters and the
 * scientific name, by which the rules know it.
 */
const neverLooser = (shipped: Species, own: CatalogueEntry): CatalogueEntry => ({
  ...own,
  group: shipped.group,
  water: shipped.water,
  scientific: shipped.scientific,
  hazards: [...new Set([...shipped.hazards, ...own.hazards])],
  parasitesWhenWild: [...new Set([...shipped.parasitesWhenWild, ...own.parasitesWhenWild])]
});

/** Fields of a shipped species that no name may make looser. */
export const FIXED_FIELDS: readonly string[] = ['hazards', 'parasitesWhenWild', 'group', 'water', 'scientific'];

/** The house's whole catalogue: shipped entries as overridden, then its own. */
export function catalogueOf(book: HouseSpeciesBook): Species[] {
  const added = Object.values(book).filter((own) => own.added);
  return [
    ...SPECIES.map((species) => (book[species.id] ? speciesIn(book, species.id) : species)),
    ...added.map((own) => speciesIn(book, own.id))
  ];
}

const bare = ({ alsoCalled: _, ...entry }: Species): CatalogueEntry => entry;

/**
 * Fields by which an entry is looser than another: a hazard or parasite taken away, longer days on ice, another kind, another
 * water, another scientific name (which decides the exempt list), an allergen less.
 */
export function looserFields(shipped: CatalogueEntry, own: CatalogueEntry): string[] {
  const lost = (before: readonly string[], after: readonly string[]) => before.some((each) => !after.includes(each));
  const differs = (before: readonly string[], after: readonly string[]) => lost(before, after) || lost(after, before);
  return [
    ...(lost(shipped.hazards, own.hazards) ? ['hazards'] : []),
    ...(lost(shipped.parasitesWhenWild, own.parasitesWhenWild) ? ['parasitesWhenWild'] : []),
    ...(own.iceDays > shipped.iceDays ? ['iceDays'] : []),
    ...(own.group !== shipped.group ? ['group'] : []),
    ...(own.water !== shipped.water ? ['water'] : []),
    ...(own.climate !== shipped.climate ? ['climate'] : []),
    ...(differs(shipped.scientific, own.scientific) ? ['scientific'] : []),
    ...(lost(shipped.allergensAlso, own.allergensAlso) ? ['allergensAlso'] : [])
  ];
}
