import { z } from 'zod';
import { ALLERGENS } from '../codes/allergens.ts';

export const allergenName = z.enum(ALLERGENS);

/** What a guest may ask besides what the lists of allergens name. Where a maker's label says otherwise, the label goes before it (check). */
export const TELLS = ['alcohol', 'colour', 'enhancer'] as const;
export type Tell = (typeof TELLS)[number];

/** What may go onto fish: its name, and what has to be told of it. */
export const ingredientBody = z.object({
  name: z.string().trim().min(1).max(60),
  /** Other names a recipe may call it by. */
  alsoCalled: z.array(z.string().trim().min(1).max(60)).max(12).default([]),
  /** It is made with these. */
  holds: z.array(allergenName).max(20).default([]),
  /** By how it is commonly made, or by its label, these can be in it: told apart from what is. */
  mayHold: z.array(allergenName).max(20).default([]),
  /** Of an animal, and commonly eaten raw: a dish with it is raw in that, however it is cooked. */
  raw: z.boolean().default(false),
  /** It has alcohol, added colour or a flavour enhancer in it, or commonly has. */
  tell: z.array(z.enum(TELLS)).max(3).default([]),
  /** Why, or what to read on its label. */
  note: z.string().max(200).default('')
});
export type IngredientBody = z.infer<typeof ingredientBody>;
export interface Ingredient extends IngredientBody {
  readonly id: string;
}

/**
 * What a line of a recipe or of a sauce refers to. Where it refers to nothing on the list it is "other": `holds` is then what
 * a person said of it, and null where nobody did.
 */
export const ingredientLink = {
  ingredient: z.string().max(60).default(''),
  holds: z.array(allergenName).max(20).nullable().default(null),
  mayHold: z.array(allergenName).max(20).default([])
};
export const linkedLine = z.object({ what: z.string(), ...ingredientLink });
export type LinkedLine = z.infer<typeof linkedLine>;

/** What is told of something made: what is in it, what may be, and what nobody has said yet. */
export interface Told {
  readonly holds: readonly string[];
  readonly mayHold: readonly string[];
  /** Ingredients by name of which nobody said what they hold. */
  readonly unsaid: readonly string[];
}
export const NOTHING_TOLD: Told = { holds: [], mayHold: [], unsaid: [] };

/** All that is told of several things together; what is in one of them is no "may" of another. */
export function toldTogether(all: readonly Told[]): Told {
  const holds = [...new Set(all.flatMap((each) => each.holds))];
  const mayHold = new Set(all.flatMap((each) => each.mayHold));
  return {
    holds,
    mayHold: [...mayHold].filter((each) => !holds.includes(each)),
    unsaid: [...new Set(all.flatMap((each) => each.unsaid))]
  };
}
