import Fuse from 'fuse.js';
import { SPECIES, type Species } from './species.ts';

const index = new Fuse(SPECIES, {
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

/**
 * Species by any market or scientific name, forgiving of slips.
 *
 * @param text what was typed
 * @param most how many to return
 * @example
 * searchSpecies('iwashi')[0].id // => 'sardine'
 */
export function searchSpecies(text: string, most = 8): Species[] {
  const wanted = text.trim();
  if (wanted === '') return [];
  return index.search(wanted, { limit: most }).map((found) => found.item);
}
