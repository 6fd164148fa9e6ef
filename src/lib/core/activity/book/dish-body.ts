import { z } from 'zod';
import { ROUTES } from '../../codes/window.ts';
import { STYLE_IDS } from '../slice/lists.ts';
import { ingredientLink } from '../../ingredients/ingredient.ts';

/** The shape of a dish, as the book keeps it: a name, and what comes on it. What a dish does at the pass is told of it there. */

/** What a component is: fish of the house, dressed rice, a page of the book, an ingredient of its list, or a garnish of that list, which can be left off. */
export const COMPONENT_KINDS = ['fish', 'rice', 'recipe', 'sauce', 'dish', 'ingredient', 'garnish'] as const;
/** What rice is formed to. */
export const RICE_FORMS = [
  'topping',
  'battleship',
  'thin',
  'medium',
  'thick',
  'inside-out',
  'hand-roll',
  'pressed',
  'hand-ball',
  'bowl'
] as const;
/** What stands on the card of where a fish is from: it is true of the very piece, or it is asked. */
export const SOURCES_SAID = ['', 'wild', 'farmed'] as const;
/** What it is fried in: nothing, the oil everything is fried in, or an oil kept apart. */
export const OILS = ['', 'shared', 'apart'] as const;
/** A block out of its case, a few slices off it, and back: what a house takes it for until it says otherwise, s. The house's own figure; check. */
export const USUAL_BENCH_SECONDS = 90;
export const BOARDS = ['shared', 'apart'] as const;

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
  /** Of rice: what it is formed to. */
  form: z.enum(['', ...RICE_FORMS]).default(''),
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
  /** What its card says of the fish besides its name: where from it is printed as it is, and a piece of which it is not true is another fish. */
  source: z.enum(SOURCES_SAID).default(''),
  from: z.string().trim().max(60).default(''),
  neverFrozen: z.boolean().default(false),
  /** What else the knife and the oil carry to it. */
  board: z.enum(BOARDS).default('shared'),
  oil: z.enum(OILS).default(''),
  /** Cut to order off a block: so long the block lies out of the cold for one plate, s. */
  benchSeconds: z.number().min(0).max(1800).default(USUAL_BENCH_SECONDS),
  /** Whom the house does not serve it to, besides those whom it never suits. */
  notFor: z.string().max(160).default(''),
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
/** Of a dish that did not say what its card claims, what the knife and the oil carry to it, nor what rice is formed to. */
export const dishSetFrom2 = (body: unknown) => {
  const { page, ...rest } = body as { readonly page: Record<string, unknown> & { readonly lines: readonly object[] } };
  const lines = page.lines.map((line) => ({ form: '', ...line }));
  const unsaid = {
    source: '',
    from: '',
    neverFrozen: false,
    board: 'shared',
    oil: '',
    notFor: '',
    benchSeconds: USUAL_BENCH_SECONDS
  };
  return { ...rest, page: { ...unsaid, ...page, lines } };
};
export type DishBody = z.infer<typeof dishBody>;
