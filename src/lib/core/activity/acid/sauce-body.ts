import { z } from 'zod';
import { ingredientLink } from '../../ingredients/ingredient.ts';

/** The shape of a sauce, as the book keeps it. */

export const SAUCE_KINDS = ['citrus', 'vinegar', 'chilli-water', 'soy', 'sesame', 'creamy'] as const;

export type SauceKind = (typeof SAUCE_KINDS)[number];

export const sauceLine = z.object({
  what: z.string().trim().min(1).max(60),
  /** Parts by weight. */
  parts: z.number().min(0).max(1000),
  /** g of one, where it comes whole (an egg yolk, a clove); 0 where it is poured or weighed. */
  each: z.number().min(0).max(2000).default(0),
  ...ingredientLink
});

export type SauceLine = z.infer<typeof sauceLine>;

/** A sauce or dressing: parts by weight, how much of it goes to so much fish, and in which portions it is built up. */
export const sauceBody = z.object({
  name: z.string().trim().min(1).max(80),
  kind: z.enum(SAUCE_KINDS),
  /** The whole of it, as a share of the fish's weight. */
  rate: z.number().min(0.005).max(5),
  lines: z.array(sauceLine).min(1).max(24),
  /** Folded in portion by portion, tasting between: shares of the whole, together one. */
  portions: z.array(z.number().min(0.02).max(1)).min(1).max(6),
  steps: z.array(z.string().trim().min(1).max(240)).max(12).default([]),
  goodFor: z.string().max(120).default(''),
  /** Typed into it before ingredients were a list of their own; told still. Nothing is written here any more. */
  allergens: z.array(z.string().max(30)).max(14).default([]),
  note: z.string().max(500).default('')
});

export type SauceBody = z.infer<typeof sauceBody>;

export interface Sauce extends SauceBody {
  readonly id: string;
  readonly version: number;
}
