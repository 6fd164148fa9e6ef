import { sha256 } from '../store/open.ts';

const MOST_OF_ID = 40;

/** What an entry of a house book is found by: its name in plain letters; long names that begin alike are told apart by a hash. */
export function bookId(name: string): string {
  const plain = name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
  if (plain.length <= MOST_OF_ID) return plain || 'unnamed';
  return `${plain.slice(0, MOST_OF_ID - 9)}-${sha256(name.trim().toLowerCase()).slice(0, 8)}`;
}
