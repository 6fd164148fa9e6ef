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
  return (text: string, most = 8): Entry[] => {
    const words = text
      .trim()
      .split(/\s+/)
      .filter((word) => word !== '');
    if (words.length === 0) return [];
    const found = index.search(text.trim()).map(({ item }) => item);
    if (words.length === 1) return found.slice(0, most);
    // A compound is found by all its words: "blue runner" is nobody who only runs, and "snow crab" no crab stick.
    const byWord = words
      .filter((word) => word.length > 2)
      .map((word) => new Set(index.search(word).map(({ item }) => item)));
    const hasAll = (entry: Entry) => byWord.every((has) => has.has(entry));
    const whole = found.filter(hasAll);
    const [first] = byWord;
    return (whole.length > 0 || !first ? whole : [...first].filter(hasAll)).slice(0, most);
  };
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
