import { ingredientText } from '../../core/ingredients/read.ts';
import type { RecipeBody, RecipeLine } from '../../core/activity/cure/recipe-body.ts';

const figure = (value: number) => String(Number(value.toFixed(4)));

/** A line of a recipe as it is typed: "Fine salt; salt; 2 %; fine". */
export function recipeLineText(line: RecipeLine, basis: RecipeBody['basis']): string {
  const amount = basis === 'fish' ? `${figure(line.amount * 100)} %` : figure(line.amount);
  const parts = (['salt', 'sugar', 'water'] as const).flatMap((what) =>
    line[what] > 0 ? [`${what} ${figure(line[what] * 100)}`] : []
  );
  const more = [line.saltKind, ...parts].filter((each) => each !== '').join(', ');
  return [ingredientText(line), line.role, amount, more].filter((each) => each !== '').join('; ');
}
export const recipeLinesText = ({ lines, basis }: Pick<RecipeBody, 'lines' | 'basis'>): string =>
  lines.map((line) => recipeLineText(line, basis)).join('\n');
