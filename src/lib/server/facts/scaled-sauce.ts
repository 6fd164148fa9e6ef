import { scaleIntervalOf } from '../../core/bench/breakdown/mass.ts';
import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { scaleSauce } from '../../core/bench/acid/sauce.ts';
import { list, optionalQuantity } from '../../core/fields/field.ts';
import { versionOf } from './book.ts';
import type { Store } from '../store/store.ts';
import { numeric } from '../../core/fields/field.ts';

export const scaledSauceFields = z.object({
  sauce: z.string().max(60),
  version: numeric(1, Number.MAX_SAFE_INTEGER, { whole: true }).optional(),
  pieces: list(40),
  mass: optionalQuantity('mass', { min: 1, max: 100_000 })
});

/** A sauce in grams for the pieces chosen, or for so much fish; and what is different from the version before. */
export function scaledSauce(store: Store, input: z.infer<typeof scaledSauceFields>) {
  const { projections } = store;
  const { page, version, body, changes } = versionOf(projections.currentHouse(), 'sauce', input.sauce, input.version);
  const fish = input.pieces.reduce((sum, id) => sum + projections.piece(id).state.grams, 0) || (input.mass?.si ?? 0);
  if (!(fish > 0)) throw new EmberError('form.incomplete', { field: 'mass' });
  return {
    sauce: page.id,
    version,
    body,
    fish,
    interval: scaleIntervalOf(store.projections.currentHouse()),
    ...scaleSauce(body, fish, scaleIntervalOf(store.projections.currentHouse())),
    changes
  };
}
