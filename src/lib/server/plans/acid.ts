import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { housePace, type AcidSettings } from '../../core/bench/acid/plan.ts';
import { CUTS, SET_POINTS } from '../../core/activity/acid/lists.ts';
import { SOUR_LIQUIDS, type LiquidPart } from '../../core/bench/acid/liquid.ts';
import { bindsMore } from '../../core/bench/acid/parameters.ts';
import { UNIDENTIFIED } from '../../core/activity/receive/bodies.ts';
import { speciesOfLot } from '../facts/lot-species.ts';
import type { Store } from '../store/store.ts';
import { numeric, optionalNumeric, optionalQuantity, pieceId, quantity } from '../input/fields.ts';

export const SIZE = { min: 0, max: 400 };

/** Runs of a species whose last check is looked at. */
export const LOOKED_AT = 20;

/** What a cook sets of fish in acid. Volumes are of the whole bath. */
export const acidFields = z.object({
  piece: pieceId,
  cut: z.enum(CUTS),
  size: quantity('length', SIZE).describe('edge of dice, thickness of a slice or fillet, diameter of a round'),
  second: optionalQuantity('length', SIZE).describe('second edge of a brick, height of a round'),
  third: optionalQuantity('length', SIZE).describe('third edge of a brick'),
  faces: numeric(1, 2)
    .default(2)
    .transform((value): 1 | 2 => (value >= 2 ? 2 : 1)),
  mass: optionalQuantity('mass', { min: 1, max: 50_000 }).describe(
    'of the fish that goes in; all of it where left out'
  ),
  celsius: quantity('temperature', { min: -40, max: 60 }),
  liquid: z.string().max(300).describe('parts with their ml: lime 200, orange 50, water 30, oil 20'),
  measuredPH: optionalNumeric(0, 14),
  wanted: z.enum(SET_POINTS),
  pace: optionalNumeric(0.1, 10)
});

export type AcidFields = z.infer<typeof acidFields>;

/**
 * "lime 200, water 30" as parts.
 *
 * @throws EmberError `form.value-unknown` naming the part
 */
export function liquidParts(text: string): LiquidPart[] {
  return text
    .split(',')
    .filter((each) => each.trim() !== '')
    .map((each) => {
      const match = /^\s*([a-z][a-z -]*?)\s+(\d+(?:\.\d+)?)\s*(?:ml)?\s*$/i.exec(each);
      const name = match?.[1]?.toLowerCase().replace(/ /g, '-');
      const ml = Number(match?.[2]);
      if (name === 'water' || name === 'oil') return { what: name, ml };
      if (!match || !SOUR_LIQUIDS.some(({ id }) => id === name)) {
        throw new EmberError('form.value-unknown', { field: 'liquid', seen: each.trim() });
      }
      return { what: 'sour', id: name!, ml };
    });
}

/** How fast acid goes into a species in this house, and how many runs say so. */
export function acidPace(store: Store, species: string | null): { pace: number; runs: number } {
  const paces = store.projections.runs.paces.of(species ?? UNIDENTIFIED, LOOKED_AT);
  return { pace: housePace(paces), runs: paces.length };
}

export function acidSettingsFor(store: Store, input: AcidFields): AcidSettings {
  const { state, lot } = store.projections.piece(input.piece);
  const species = speciesOfLot(lot, store.projections.currentHouse());
  return {
    cut: input.cut,
    sizes: [input.size, input.second, input.third].flatMap((each) => (each ? [each.si] : [])),
    faces: input.cut === 'fillet' ? input.faces : 2,
    grams: input.mass?.si ?? state.grams,
    celsius: input.celsius.si,
    liquid: liquidParts(input.liquid),
    measuredPH: input.measuredPH,
    dark: bindsMore(species),
    wanted: input.wanted,
    pace: input.pace ?? acidPace(store, species?.id ?? null).pace
  };
}
