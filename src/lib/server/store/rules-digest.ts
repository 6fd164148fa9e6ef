import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** Set where the program is bundled: its sources do not lie beside it then. */
declare const EMBER_TIDE_RULES_DIGEST: number | undefined;

/** What a projection is made by: everything that is computed, and the tables it is put into. */
const MADE_BY = ['core', 'server/store'];

/**
 * A digest of all code that projections lean on. Any edit of it gives another, and every house is judged anew when it is next
 * opened: a rule that was mended leaves no window standing that was computed before.
 *
 * @param root the folder that holds `core` and `server`
 * @returns a whole number of 48 bits, as the column keeps it
 */
export function digestOf(root: string): number {
  const hash = createHash('sha256');
  for (const part of MADE_BY) {
    const files = readdirSync(join(root, part), { recursive: true, encoding: 'utf8' });
    for (const file of files.filter((each) => each.endsWith('.ts')).sort()) {
      hash.update(`${part}/${file.replaceAll('\\', '/')}\n`).update(readFileSync(join(root, part, file)));
    }
  }
  return hash.digest().readUIntBE(0, 6);
}

let known: number | undefined;
/** The digest of the program that runs. */
export const rulesDigest = (): number =>
  (known ??=
    typeof EMBER_TIDE_RULES_DIGEST === 'undefined'
      ? digestOf(join(import.meta.dirname, '../..'))
      : EMBER_TIDE_RULES_DIGEST);
