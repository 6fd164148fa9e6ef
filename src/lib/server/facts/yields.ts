import { z } from 'zod';
import { ascending, quantileSorted } from 'd3-array';
import { forecastYield, typicalShare, type YieldForecast } from '../../core/bench/breakdown/yield.ts';
import { FORMS, UNIDENTIFIED } from '../../core/activity/receive/bodies.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { LotState } from '../../core/record/lot.ts';
import { speciesOfLot } from './lot-species.ts';
import type { Store } from '../store/store.ts';

/** What a fish should give before the knife: its species and form, moved by the house's own boards. */
export function expectedYield(
  store: Store,
  house: HouseState,
  lot: LotState,
  form: (typeof FORMS)[number]
): YieldForecast {
  const species = speciesOfLot(lot, house);
  const history = store.projections.runs.boards
    .sharesOf(species?.id ?? UNIDENTIFIED, form)
    .map(({ share, supplier }) => ({ share, sameSupplier: supplier === lot.received.supplier }));
  return forecastYield(typicalShare(species?.yieldShare ?? null, form), history);
}

export const YIELD_BY = ['species', 'supplier', 'hand', 'part'] as const;
export const yieldFields = z.object({
  by: z.enum(YIELD_BY).default('species'),
  species: z.string().max(60).default(''),
  form: z.union([z.literal(''), z.enum(FORMS)]).default('')
});

/**
 * What the boards of the house gave, by species, cut, supplier or hand: how many, the middle, and the middle eight in ten
 * of the usable share (of a cut: its share of the input).
 */
export function yieldHistory({ store }: { readonly store: Store }, input: z.infer<typeof yieldFields>) {
  const rows = store.projections.runs.boards.history(input.by, input.species, input.form);
  const groups = new Map<string, number[]>();
  for (const [key, share] of rows) {
    const known = groups.get(key);
    if (known) known.push(share);
    else groups.set(key, [share]);
  }
  return {
    by: input.by,
    species: input.species,
    runs: rows.length,
    groups: [...groups]
      .map(([key, of]) => {
        const sorted = [...of].sort(ascending);
        return {
          key,
          runs: of.length,
          low: quantileSorted(sorted, 0.1)!,
          middle: quantileSorted(sorted, 0.5)!,
          high: quantileSorted(sorted, 0.9)!,
          // The newest dozen, oldest first: the dots of the chart.
          last: of.slice(-12)
        };
      })
      .sort((a, b) => b.runs - a.runs || a.key.localeCompare(b.key))
  };
}
export type YieldHistory = ReturnType<typeof yieldHistory>;
