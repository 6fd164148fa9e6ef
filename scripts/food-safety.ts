/** Makes docs/food-safety.md from the data the verdict is judged by. `npm run rules`. */
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { AUTHORITY_SCOPES, OWNABLE } from '../src/lib/core/rules/exceptions.ts';
import { PROFILES } from '../src/lib/core/codes/profiles/index.ts';
import { commonRows, profileRows, type RuleRow } from '../src/lib/core/rules/rule-table.ts';
import { missingWord, scopeWord } from '../src/lib/words/scopes.ts';

export const PAGE = join(import.meta.dirname, '..', 'docs', 'food-safety.md');
const BEGIN = '<!-- rules: made from the data by `npm run rules` -->';
const END = '<!-- end of rules -->';

const cell = (text: string) => text.replaceAll('|', '\\|');
const table = (rows: readonly RuleRow[]): string =>
  [
    '| what | figure | rule | where it stands | |',
    '| --- | --- | --- | --- | --- |',
    ...rows.map(
      ({ what, figure, rule, citation, check, from }) =>
        `| ${[what, figure, rule, citation].map(cell).join(' | ')} | ${[from === 'house' ? 'house' : '', check ? 'check' : ''].filter(Boolean).join(', ')} |`
    )
  ].join('\n');

/** The part of the page that is made from data. */
export const rulesText = (): string =>
  [
    BEGIN,
    ...PROFILES.map(
      (profile) =>
        `## ${profile.name}\n\n${profile.edition}, version ${profile.version}.\n\n${table(profileRows(profile))}`
    ),
    `## Under every rule book\n\n${table(commonRows())}`,
    `## Who may open what\n\nA name and a reason: ${[...OWNABLE].map(missingWord).join('; ')}.\n\nA document of the authority, with number, dates, scope and file: ${AUTHORITY_SCOPES.map((scope) => scopeWord(scope).toLowerCase()).join('; ')}.\n\nA licence of this house, in force, with the paper itself, and a lot through the licensed channel: puffer family.\n\nNobody: kinds without their licence, what is never raw, what was binned or sent back, trays whose time was up.`,
    END
  ].join('\n\n');

/** The whole page, with its data part made anew. */
export function pageWith(text: string): string {
  const [before] = text.split(BEGIN);
  const [, after] = text.split(END);
  return `${before}${rulesText()}${after}`;
}

if (process.argv[1] === import.meta.filename) writeFileSync(PAGE, pageWith(readFileSync(PAGE, 'utf8')));
