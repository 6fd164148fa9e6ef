import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { SHIPPED_SAUCES } from '../../core/bench/acid/sauces/index.ts';
import { sauceChanges, scaleSauce } from '../../core/bench/acid/sauce.ts';
import { type Sauce, type SauceBody } from '../../core/activity/acid/sauce-body.ts';
import type { HouseState } from '../../core/record/house.ts';
import { intervalOf } from './drying-prior.ts';
import { list, optionalQuantity } from '../../core/fields/field.ts';
import type { Store } from '../store/store.ts';
import { numeric } from '../../core/fields/field.ts';

/** A sauce as the book shows it. */
export interface BookSauce extends Sauce {
  /** It ships; the house may have versions of its own over it. */
  readonly shipped: boolean;
  readonly withdrawn: boolean;
  readonly history: readonly {
    readonly version: number;
    readonly sauce: SauceBody;
    readonly reason: string;
    readonly at: number | null;
    readonly by: string | null;
  }[];
}

/** All sauces: those that ship, and the house's own and own versions over them. */
export function sauceBook(house: Pick<HouseState, 'sauces'>): BookSauce[] {
  const ids = new Set([...SHIPPED_SAUCES.map(({ id }) => id), ...Object.keys(house.sauces)]);
  return [...ids].map((id) => {
    const shipped = SHIPPED_SAUCES.find((sauce) => sauce.id === id) ?? null;
    const own = house.sauces[id]?.versions ?? [];
    const last = own.at(-1);
    const body: SauceBody = last?.sauce ?? shipped!;
    return {
      ...body,
      id,
      version: last?.version ?? 1,
      shipped: shipped !== null,
      withdrawn: last?.withdrawn ?? false,
      history: [
        ...(shipped ? [{ version: 1, sauce: shipped as SauceBody, reason: '', at: null, by: null }] : []),
        ...own.map(({ version, sauce, reason, at, by }) => ({ version, sauce, reason, at, by }))
      ]
    };
  });
}

/**
 * One sauce of the book.
 *
 * @throws EmberError `recipe.unknown`
 */
export function sauceById(house: Pick<HouseState, 'sauces'>, id: string): BookSauce {
  const found = sauceBook(house).find((sauce) => sauce.id === id);
  if (!found) throw new EmberError('recipe.unknown', { field: 'sauce', seen: id });
  return found;
}

export const scaledSauceFields = z.object({
  sauce: z.string().max(60),
  version: numeric(1, Number.MAX_SAFE_INTEGER, { whole: true }).optional(),
  pieces: list(40),
  mass: optionalQuantity('mass', { min: 1, max: 100_000 })
});

/** A sauce in grams for the pieces chosen, or for so much fish; and what is different from the version before. */
export function scaledSauce(store: Store, input: z.infer<typeof scaledSauceFields>) {
  const { projections } = store;
  const sauce = sauceById(projections.currentHouse(), input.sauce);
  const version = input.version ?? sauce.version;
  const index = sauce.history.findLastIndex((each) => each.version === version);
  const body = sauce.history[index]?.sauce;
  if (!body) throw new EmberError('recipe.unknown', { field: 'version', seen: version });
  const fish = input.pieces.reduce((sum, id) => sum + projections.piece(id).state.grams, 0) || (input.mass?.si ?? 0);
  if (!(fish > 0)) throw new EmberError('form.incomplete', { field: 'mass' });
  const before = sauce.history[index - 1]?.sauce;
  return {
    sauce: sauce.id,
    version,
    body,
    fish,
    interval: intervalOf(store),
    ...scaleSauce(body, fish, intervalOf(store)),
    changes: before ? sauceChanges(before, body) : []
  };
}
