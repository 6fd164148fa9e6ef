import Fuse from 'fuse.js';
import { SPECIES, type Species } from './species.ts';

type Named = Pick<Species, 'name' | 'alsoCalled' | 'scientific'>;

/**
 * A search over species by any market or scientific name, forgiving of slips. Build it once for a catalogue.
 *
 * @example
 * speciesIndex([{ name: 'Sardine', alsoCalled: ['iwashi'], scientific: [] }])('iwasi').length // => 1
 */
export function speciesIndex<Entry extends Named>(entries: readonly Entry[]) {
  const index = new Fuse(entries, {
    keys: [
      { name: 'name', weight: 3 },
      { name: 'alsoCalled', weight: 2 },
      { name: 'scientific', weight: 1 }
    ],
    threshold: 0.34,
    ignoreLocation: true,
    ignoreDiacritics: true,
    minMatchCharLength: 2
  });
  return (text: string, most = 8): Entry[] =>
    text.trim() === '' ? [] : index.search(text.trim(), { limit: most }).map((found) => found.item);
}

const shipped = speciesIndex(SPECIES);

/**
 * Shipped species by any market or scientific name.
 *
 * @param text what was typed
 * @param most how many to return
 * @example
 * searchSpecies('iwashi')[0].id // => 'sardine'
 */
export const searchSpecies = (text: string, most = 8): Species[] => shipped(text, most);
