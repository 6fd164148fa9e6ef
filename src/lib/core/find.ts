/** Text as it is compared: small letters, no accents, what parts words as a blank. */
const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** How well something answers to what was typed; less is better. */
export type Fit = 0 | 1 | 2 | 3;

/**
 * Whether something answers to what was typed: every word of it has to stand somewhere in its names, codes or places. Made once, asked
 * of many.
 *
 * @returns 0 where a code is named whole, 1 where a name begins so, 2 where words begin so, 3 where they only hold it; null for no
 * @example
 * finder('tur dra')(['Turbot fillet', 'TUR-0313-1-B', 'Drawer 2']) // => 2
 * @example
 * finder('eel')(['Turbot fillet', 'TUR-0313-1-B']) // => null
 */
export function finder(text: string): (fields: readonly string[]) => Fit | null {
  const wanted = plain(text);
  const words = wanted.split(' ').filter((word) => word !== '');
  return (fields) => {
    if (words.length === 0) return null;
    const said = fields.map(plain);
    if (said.includes(wanted)) return 0;
    if (said.some((each) => each.startsWith(wanted))) return 1;
    const all = said.join(' ');
    if (!words.every((word) => all.includes(word))) return null;
    const starts = ` ${all}`;
    return words.every((word) => starts.includes(` ${word}`)) ? 2 : 3;
  };
}

/** What a label's code reads as: the address of a piece in any house, or its bare code. */
const PIECE_ADDRESS = /\/piece\/([A-Za-z0-9-]{4,40})\/?(?:[?#].*)?$/;
const PIECE_CODE = /^[A-Z]{3}-\d{4}-\d{1,3}(?:-[A-Z]{1,3})?$/;

/**
 * The piece that was scanned from a label; null where it is the code of none.
 *
 * @example
 * scannedPiece('http://house.local/piece/TUR-0313-1-B') // => 'TUR-0313-1-B'
 * @example
 * scannedPiece(' tur-0313-1-b ') // => 'TUR-0313-1-B'
 * @example
 * scannedPiece('turbot') // => null
 */
export function scannedPiece(text: string): string | null {
  const said = text.trim();
  const address = PIECE_ADDRESS.exec(said);
  if (address) return address[1]!.toUpperCase();
  const code = said.toUpperCase();
  return PIECE_CODE.test(code) ? code : null;
}
