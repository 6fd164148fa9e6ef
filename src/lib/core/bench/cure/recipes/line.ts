import { linkTo } from '../../../ingredients/kitchen.ts';
import type { RecipeLine } from '../../../activity/cure/recipe-body.ts';

/** One line of a shipped recipe. */
export const line = (
  what: string,
  role: RecipeLine['role'],
  amount: number,
  more: Partial<Pick<RecipeLine, 'saltKind' | 'salt' | 'sugar' | 'water'>> = {}
): RecipeLine => ({ what, role, amount, saltKind: '', salt: 0, sugar: 0, water: 0, ...linkTo(what), ...more });

/** What most recipes do without. */
export const PLAIN = {
  startSalt: 0,
  changes: 1,
  presalt: 0,
  presaltMinutes: 0,
  forFaces: 2 as const,
  allergens: [] as string[],
  note: ''
};
export const FINE = { saltKind: 'fine' } as const;
export const COARSE = { saltKind: 'coarse' } as const;
export const FLAKE = { saltKind: 'flake' } as const;
