import type { AcidCut, SetPoint } from '../../activity/acid/lists.ts';

export interface AcidStyle {
  readonly id: string;
  readonly cut: AcidCut;
  readonly sizes: readonly number[];
  readonly wanted: SetPoint;
  /** What a clock on the wall would say, min at 5 °C, where its name promises one. */
  readonly minutes?: number;
  /** ml for 100 g of fish: enough to cover it, but for what is only dressed. */
  readonly liquid: readonly { readonly what: 'sour' | 'water' | 'oil'; readonly id?: string; readonly ml: number }[];
}
/** Ways of dressing fish with acid, from seconds to an hour: starting points of the house's own (check, and taste). */
export const ACID_STYLES = [
  {
    id: 'at-the-pass',
    cut: 'slice',
    sizes: [3],
    wanted: 'kissed',
    liquid: [
      { what: 'sour', id: 'lemon', ml: 12 },
      { what: 'oil', ml: 10 }
    ]
  },
  {
    id: 'chilli-water',
    cut: 'slice',
    sizes: [4],
    wanted: 'rimmed',
    liquid: [
      { what: 'sour', id: 'lime', ml: 44 },
      { what: 'water', ml: 36 }
    ]
  },
  {
    id: 'minutes',
    minutes: 10,
    cut: 'dice',
    sizes: [7.5],
    wanted: 'rimmed',
    liquid: [
      { what: 'sour', id: 'lime', ml: 62 },
      { what: 'sour', id: 'orange', ml: 18 }
    ]
  },
  {
    id: 'half-hour',
    minutes: 30,
    cut: 'dice',
    sizes: [7.5],
    wanted: 'half',
    liquid: [{ what: 'sour', id: 'lime', ml: 80 }]
  },
  {
    id: 'set-through',
    cut: 'dice',
    sizes: [10],
    wanted: 'set',
    liquid: [
      { what: 'sour', id: 'lime', ml: 60 },
      { what: 'sour', id: 'lemon', ml: 30 }
    ]
  },
  {
    id: 'vinegared',
    cut: 'fillet',
    sizes: [8],
    wanted: 'rimmed',
    liquid: [
      { what: 'sour', id: 'rice-vinegar', ml: 70 },
      { what: 'water', ml: 20 }
    ]
  }
] as const satisfies readonly AcidStyle[];
export type AcidStyleId = (typeof ACID_STYLES)[number]['id'];
