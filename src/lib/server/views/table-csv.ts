import { stringify } from 'csv-stringify/sync';
import { TABLE_CSV_WORDS as t, factsWords, NOT_FOR_WORDS, TELL_WORDS } from '../../words/plates.ts';
import { allergenWord } from '../../words/notices.ts';
import { ROUTE_WORDS } from '../../words/findings.ts';
import type { tableView } from '../facts/table.ts';

/** The table of allergens as comma-separated values: a dish a row, an allergen a column, and what else is answered of it. */
export function tableCsv({ rows, matrix, profile }: ReturnType<typeof tableView>): string {
  const header = [
    ...[t.dish, t.eaten, t.card, t.list],
    ...matrix.columns.map(allergenWord),
    ...[t.ask, t.garnish, t.besides, t.notFor, t.fish, t.plates]
  ];
  const lines = rows.map((row, at) => [
    row.name,
    row.route === '' ? '' : ROUTE_WORDS[row.route],
    row.card,
    profile.name,
    ...matrix.cells[at]!.map((cell) => t.cell[cell]),
    row.unsaid.join(', '),
    row.garnish.map(({ what }) => what).join(', '),
    [...row.tells.map((tell) => TELL_WORDS[tell]), ...(row.rawEgg ? [t.rawEgg] : [])].join(', '),
    [...row.notFor.map((each) => NOT_FOR_WORDS[each]), ...(row.houseNotFor === '' ? [] : [row.houseNotFor])].join('; '),
    row.fish
      .map(({ name, scientific, facts }) => [`${name} (${scientific})`, ...facts.map(factsWords)].join(': '))
      .join('; '),
    row.ready ? row.plates : ''
  ]);
  return stringify([header, ...lines], { escape_formulas: true, bom: true });
}
