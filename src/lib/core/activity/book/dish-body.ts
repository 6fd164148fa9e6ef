import { z } from 'zod';
import { ROUTES } from '../../codes/window.ts';
import { STYLE_IDS } from '../slice/lists.ts';
import { ingredientLink } from '../../ingredients/ingredient.ts';

/** The shape of a dish, as the book keeps it: a name, and what comes on it. What a dish does at the pass is told of it there. */

/** What a component is: fish of the house, a page of the book, or an ingredient of its list. */
export const COMPONENT_KINDS = ['fish', 'recipe', 'sauce', 'dish', 'ingredient'] as const;

export const dishLine = z.object({
  what: z.string().trim().min(1).max(60),
  kind: z.enum(COMPONENT_KINDS),
  /** The page of the book it is; an empty text for fish and ingredients. */
  page: z.string().max(60).default(''),
  /** g on one portion. */
  grams: z.number().min(0).max(5000),
  /** Of fish: the species it may be, the first that is there; none where nobody said which. */
  species: z.array(z.string().max(60)).max(8).default([]),
  /** How it is cut, and how many pieces; an empty text and null where it goes by weight alone. */
  style: z.enum(['', ...STYLE_IDS]).default(''),
  count: z.number().int().min(1).max(100).nullable().default(null),
  ...ingredientLink
});
export type DishLine = z.infer<typeof dishLine>;

export const dishBody = z.object({
  name: z.string().trim().min(1).max(80),
  lines: z.array(dishLine).min(1).max(24),
  steps: z.array(z.string().trim().min(1).max(240)).max(12).default([]),
  goodFor: z.string().max(120).default(''),
  /** How its fish is eaten; an empty text where nobody said: then it is not served by the plate. */
  route: z.enum(['', ...ROUTES]).default(''),
  /** In the house's currency; null where none is set. */
  price: z.number().min(0).max(100_000).nullable().default(null),
  /** Nothing is written here: its pages and ingredients say what it holds. A list that comes in with a file is told as well. */
  allergens: z.array(z.string().max(30)).max(14).default([]),
  note: z.string().max(500).default('')
});
/** Of a dish that was written when it did not say what its fish is, nor how it is eaten. */
export const dishSetFrom1 = (body: unknown) => {
  const { page, ...rest } = body as { readonly page: Record<string, unknown> & { readonly lines: readonly object[] } };
  const lines = page.lines.map((line) => ({ species: [], style: '', count: null, ...line }));
  return { ...rest, page: { route: '', price: null, ...page, lines } };
};
export type DishBody = z.infer<typeof dishBody>;
