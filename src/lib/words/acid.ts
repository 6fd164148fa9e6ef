import type { SauceKind } from '../core/activity/acid/sauce-body.ts';
import type { AcidCut, SetPoint } from '../core/activity/acid/lists.ts';

/** Words for the acid bench. */
export const LOOK_WORDS: Record<SetPoint, string> = {
  kissed: 'kissed',
  rimmed: 'rimmed',
  half: 'half the way in',
  nearly: 'nearly set',
  set: 'set through'
};
export const LOOK_MEANS: Record<SetPoint, string> = {
  kissed: 'a white skin under half a millimetre, raw inside',
  rimmed: 'a white rim, most of it raw',
  half: 'white half the way to the middle; of dice a small raw core is left',
  nearly: 'a raw line left in the middle',
  set: 'white all through'
};
export const CUT_WORDS: Record<AcidCut, string> = {
  dice: 'dice',
  brick: 'brick',
  slice: 'slice',
  cylinder: 'round, as a scallop',
  fillet: 'whole small fillet'
};
export const LIQUID_WORDS: Record<string, string> = {
  lime: 'lime',
  lemon: 'lemon',
  grapefruit: 'grapefruit',
  orange: 'sweet orange',
  'bitter-orange': 'bitter orange',
  verjuice: 'verjuice',
  'rice-vinegar': 'rice vinegar',
  'wine-vinegar': 'wine vinegar',
  'cider-vinegar': 'cider vinegar'
};

export interface AcidStyle {
  readonly id: string;
  readonly name: string;
  readonly what: string;
  readonly cut: AcidCut;
  readonly sizes: readonly number[];
  readonly wanted: SetPoint;
  /** What a clock on the wall would say, min at 5 °C, where its name promises one. */
  readonly minutes?: number;
  /** ml for 100 g of fish: enough to cover it, but for what is only dressed. */
  readonly liquid: readonly { readonly what: 'sour' | 'water' | 'oil'; readonly id?: string; readonly ml: number }[];
}
/** Ways of dressing fish with acid, from seconds to an hour: starting points of the house's own (check, and taste). */
export const ACID_STYLES: readonly AcidStyle[] = [
  {
    id: 'at-the-pass',
    name: 'Dressed at the pass',
    what: 'slices, spooned over and carried out at once',
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
    name: 'Chilli-lime water',
    what: 'thin slices under a sharp, thin liquid',
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
    name: 'Ten minutes, raw inside',
    what: 'small dice, lime with a little orange',
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
    name: 'Half an hour, a raw core',
    what: 'small dice in lime, for people who want some of both',
    cut: 'dice',
    sizes: [7.5],
    wanted: 'half',
    liquid: [{ what: 'sour', id: 'lime', ml: 80 }]
  },
  {
    id: 'set-through',
    name: 'Set through',
    what: 'small dice, white to the middle',
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
    name: 'Small fillets in vinegar',
    what: 'salted first, skin on, rice vinegar with water',
    cut: 'fillet',
    sizes: [8],
    wanted: 'rimmed',
    liquid: [
      { what: 'sour', id: 'rice-vinegar', ml: 70 },
      { what: 'water', ml: 20 }
    ]
  }
];

export const SAUCE_KIND_WORDS: Record<SauceKind, string> = {
  citrus: 'Citrus',
  vinegar: 'Vinegar',
  'chilli-water': 'Chilli water',
  soy: 'Soy',
  sesame: 'Sesame',
  creamy: 'Creamy'
};
