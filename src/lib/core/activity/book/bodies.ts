import { z } from 'zod';
import { kind, second, third, type Kinds } from '../../record/kind.ts';
import { finite } from '../../record/values.ts';
import { sauceBody } from '../acid/sauce-body.ts';
import { recipeBody } from '../cure/recipe-body.ts';
import { dishBody, dishSetFrom1, dishSetFrom2 } from './dish-body.ts';

/** What can happen to a page of the book: written anew, taken out, put back, and what was tasted noted on one of its versions. */

/** The shapes a page can have, and the body of each. */
export const PAGE_BODIES = { recipe: recipeBody, sauce: sauceBody, dish: dishBody } as const;
export type PageShape = keyof typeof PAGE_BODIES;
export const PAGE_SHAPES = Object.keys(PAGE_BODIES) as readonly PageShape[];
export type PageBody<Shape extends PageShape> = z.output<(typeof PAGE_BODIES)[Shape]>;

const versionOf = <Body extends z.ZodType>(page: Body) =>
  z.object({
    id: z.string(),
    version: z.number().int(),
    page,
    /** What is different in it, in the words of whoever wrote it. */
    reason: z.string(),
    withdrawn: z.boolean()
  });

/** A page of the house's own, or one that ships as the house has it: a new version each time, nothing is written over. */
export const recipeSet = versionOf(recipeBody);
export const sauceSet = versionOf(sauceBody);
export const dishSet = versionOf(dishBody);
/** Off tonight, until a moment, ms; null: on again. */
export const dishOff = z.object({ id: z.string(), name: z.string(), until: finite.nullable() });
/** A correction by taste kept as a note on one version. */
export const pageNoted = z.object({ id: z.string(), version: z.number().int(), note: z.string() });

/** Recipes and sauces were two books with pages of their own; the page was named after its book. */
export const pageFrom1 = (name: 'recipe' | 'sauce') => (body: unknown) => {
  const { [name]: page, ...rest } = body as Record<string, unknown>;
  return { ...rest, page };
};

export const kinds = {
  'recipe.set': second(recipeSet, pageFrom1('recipe'), false),
  'recipe.noted': kind(pageNoted, false),
  'sauce.set': second(sauceSet, pageFrom1('sauce'), false),
  'sauce.noted': kind(pageNoted, false),
  'dish.set': third(dishSet, dishSetFrom1, dishSetFrom2, false),
  'dish.off': kind(dishOff, false),
  'dish.noted': kind(pageNoted, false)
} satisfies Kinds;
