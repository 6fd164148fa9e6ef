import type { PageBody, PageShape } from '../../activity/book/bodies.ts';
import { scaleSauce } from '../acid/sauce.ts';
import { sharesOf } from '../cure/recipe.ts';

/** Grams of a line, in what a page is told by: a kilogram of fish, or ten portions. */
export interface LineGrams {
  readonly what: string;
  readonly grams: number;
}
/** What a page's grams are told for. */
export const TOLD_FOR = { recipe: { fish: 1000 }, sauce: { fish: 1000 }, dish: { portions: 10 } } as const;

const FINE_GRAMS = 0.001;

const GRAMS: { readonly [Shape in PageShape]: (page: PageBody<Shape>) => readonly LineGrams[] } = {
  recipe(page) {
    const shares = sharesOf(page);
    return page.lines.map(({ what }, index) => ({ what, grams: shares[index]! * TOLD_FOR.recipe.fish }));
  },
  sauce: (page) => scaleSauce(page, TOLD_FOR.sauce.fish, FINE_GRAMS).lines.map(({ what, grams }) => ({ what, grams })),
  dish: ({ lines }) => lines.map(({ what, grams }) => ({ what, grams: grams * TOLD_FOR.dish.portions }))
};

/** Less than this is rounding, g. */
const NOTHING_GRAMS = 0.05;

/**
 * What is different in grams from one version of a page to the next: for a kilogram of fish, or for ten portions.
 *
 * @throws EmberError as `sharesOf` and `scaleSauce`
 */
export function pageChanges<Shape extends PageShape>(
  shape: Shape,
  before: PageBody<Shape>,
  after: PageBody<Shape>
): LineGrams[] {
  const gramsOf = (page: PageBody<Shape>) => {
    const sums = new Map<string, number>();
    for (const { what, grams } of GRAMS[shape](page)) sums.set(what, (sums.get(what) ?? 0) + grams);
    return sums;
  };
  const [old, now] = [gramsOf(before), gramsOf(after)];
  return [...new Set([...old.keys(), ...now.keys()])]
    .map((what) => ({ what, grams: (now.get(what) ?? 0) - (old.get(what) ?? 0) }))
    .filter(({ grams }) => Math.abs(grams) > NOTHING_GRAMS);
}
