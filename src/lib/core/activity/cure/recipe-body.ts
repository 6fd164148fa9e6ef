import { z } from 'zod';
import { ingredientLink } from '../../ingredients/ingredient.ts';
import { SALT_KINDS } from './lists.ts';
import { SCHOOL_IDS } from './lists.ts';

/** The shape of a cure recipe, as the book keeps it. */

export const LINE_ROLES = ['salt', 'sugar', 'water', 'paste', 'sour', 'spirit', 'aromatic'] as const;

export const share = z.number().min(0).max(1);

export const recipeLine = z.object({
  what: z.string().trim().min(1).max(60),
  role: z.enum(LINE_ROLES),
  /** Share of the fish's weight, or parts by weight. */
  amount: z.number().min(0).max(100),
  saltKind: z.enum(['', ...SALT_KINDS]).default(''),
  /** Of its own weight; where a role does not say it. */
  salt: share.default(0),
  sugar: share.default(0),
  water: share.default(0),
  ...ingredientLink
});

export type RecipeLine = z.infer<typeof recipeLine>;

/** A cure, a brine, a paste: ratios, never grams. Amounts of lines are shares of the fish's weight, or parts of a mix. */
export const recipeBody = z.object({
  name: z.string().trim().min(1).max(80),
  school: z.enum(SCHOOL_IDS),
  basis: z.enum(['fish', 'parts']),
  /** The whole mix by the fish's weight, where lines are parts. */
  rate: z.number().min(0.001).max(50).default(1),
  lines: z.array(recipeLine).max(24),
  hours: z.number().min(0.08).max(240),
  restHours: z.number().min(0).max(240).default(0),
  /** Salt wanted in the middle, share by weight. */
  target: z.number().min(0.001).max(0.2),
  /** Desalting: salt of the fish as it is, and how many changes of water. */
  startSalt: share.default(0),
  changes: z.number().int().min(1).max(12).default(1),
  presalt: share.default(0),
  presaltMinutes: z.number().min(0).max(1440).default(0),
  /** The size its hours are for: thickest point, mm, and open faces; null where nobody said. */
  forMm: z.number().min(2).max(150).nullable().default(null),
  forFaces: z.union([z.literal(1), z.literal(2)]).default(2),
  steps: z.array(z.string().trim().min(1).max(240)).max(20).default([]),
  goodFor: z.string().max(120).default(''),
  /** Typed into it before ingredients were a list of their own; told still. Nothing is written here any more. */
  allergens: z.array(z.string().max(30)).max(12).default([]),
  note: z.string().max(500).default('')
});

export type RecipeBody = z.infer<typeof recipeBody>;

export interface Recipe extends RecipeBody {
  readonly id: string;
  readonly version: number;
}
