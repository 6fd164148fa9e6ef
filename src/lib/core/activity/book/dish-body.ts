import { z } from 'zod';
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
  ...ingredientLink
});
export type DishLine = z.infer<typeof dishLine>;

export const dishBody = z.object({
  name: z.string().trim().min(1).max(80),
  lines: z.array(dishLine).min(1).max(24),
  steps: z.array(z.string().trim().min(1).max(240)).max(12).default([]),
  goodFor: z.string().max(120).default(''),
  /** Nothing is written here: its pages and ingredients say what it holds. A list that comes in with a file is told as well. */
  allergens: z.array(z.string().max(30)).max(14).default([]),
  note: z.string().max(500).default('')
});
export type DishBody = z.infer<typeof dishBody>;
