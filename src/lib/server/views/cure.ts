import { scaleIntervalOf } from '../../core/bench/breakdown/mass.ts';
import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { scaleRecipe } from '../../core/bench/cure/recipe.ts';
import type { CureSettings } from '../../core/bench/cure/programme.ts';
import { cureNow, type CureRun } from '../../core/activity/cure/fold.ts';
import type { Room } from '../room.ts';
import { speciesOfLot } from '../facts/lot-species.ts';
import { list, optionalQuantity } from '../../core/fields/field.ts';
import { presentOf } from './now.ts';
import { versionOf } from '../facts/book.ts';
import { runningSettings } from '../plans/cure.ts';
import { numeric } from '../../core/fields/field.ts';

export const scaledFields = z.object({
  recipe: z.string().max(60),
  version: numeric(1, Number.MAX_SAFE_INTEGER, { whole: true }).optional(),
  pieces: list(40),
  mass: optionalQuantity('mass', { min: 1, max: 500_000 })
});

/** A recipe in grams for the pieces chosen, or for so much fish. */
export function scaledRecipe(room: Room, input: z.infer<typeof scaledFields>) {
  const { store } = room;
  const house = store.projections.currentHouse();
  const { page, version, body, changes } = versionOf(house, 'recipe', input.recipe, input.version);
  const found = input.pieces.map((id) => store.projections.piece(id));
  const grams = found.reduce((sum, { state }) => sum + state.grams, 0) || (input.mass?.si ?? 0);
  if (!(grams > 0)) throw new EmberError('form.incomplete', { field: 'mass' });
  const fat = found[0] ? (speciesOfLot(found[0].lot, house)?.fat ?? 'mid') : 'mid';
  const interval = scaleIntervalOf(house);
  return { recipe: page.id, version, body, changes, grams, interval, lines: scaleRecipe(body, grams, interval, fat) };
}

/** A running cure as it is computed now: the programme as it stands, in the air as it was read. */
export interface CureRunView {
  readonly run: CureRun;
  readonly now: ReturnType<typeof cureNow>;
  readonly settings: CureSettings | null;
  readonly readings: number;
}
export function cureRunView(room: Room, run: CureRun): CureRunView {
  const now = cureNow(run);
  const settings = runningSettings(room.store, run, now.stages, presentOf(room));
  return { run, now, settings, readings: settings?.logged?.length ?? 0 };
}
