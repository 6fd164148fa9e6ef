import { ingredientText } from '../../core/ingredients/read.ts';
import type { SauceBody, SauceLine } from '../../core/activity/acid/sauce-body.ts';

const figure = (value: number) => String(Number(value.toFixed(4)));

/** Lines of a sauce as they are typed: "Egg yolk; 18; each 18". */
export const sauceLinesText = (lines: readonly SauceLine[]): string =>
  lines
    .map((line) =>
      [ingredientText(line), figure(line.parts), ...(line.each > 0 ? [`each ${figure(line.each)}`] : [])].join('; ')
    )
    .join('\n');

/**
 * Portions as they are typed, per cent.
 *
 * @example
 * portionsText([0.6, 0.25, 0.15]) // => '60, 25, 15'
 */
export const portionsText = (portions: SauceBody['portions']): string =>
  portions.map((share) => figure(Math.round(share * 1000) / 10)).join(', ');
