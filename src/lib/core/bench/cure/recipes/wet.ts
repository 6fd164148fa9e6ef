import type { RecipeBody } from '../../../activity/cure/recipe-body.ts';
import { FINE, line, PLAIN } from './line.ts';

/** Brines, soaks and marinades of the house's own making. Ratios are starting points to be tasted (check). */

/** Typical make-up by weight: soy sauce 16 % salt, light bean paste 6 %, dark 12 %, sweet rice wine 45 % sugar (check the label). */
const SOY = { salt: 0.16, sugar: 0.04, water: 0.7 };
const LIGHT_PASTE = { salt: 0.06, sugar: 0.2, water: 0.43 };
const DARK_PASTE = { salt: 0.12, sugar: 0.1, water: 0.46 };
const SWEET_WINE = { sugar: 0.45, water: 0.42 };
const RICE_WINE = { water: 0.84 };

export const WET_RECIPES: readonly RecipeBody[] = [
  {
    ...PLAIN,
    name: 'Overnight three per cent',
    school: 'brine',
    basis: 'parts',
    rate: 2,
    lines: [line('Cold water', 'water', 97), line('Fine salt', 'salt', 3, FINE)],
    hours: 14,
    restHours: 6,
    target: 0.005,
    forMm: 18,
    steps: ['Dissolve warm, use at fridge temperature.', 'Keep it under: what floats is not brined.'],
    goodFor: 'portions of white fish that will meet heat'
  },
  {
    ...PLAIN,
    name: 'Ten minutes for slices',
    school: 'brine',
    basis: 'parts',
    rate: 3,
    lines: [line('Iced water', 'water', 95), line('Fine salt', 'salt', 5, FINE)],
    hours: 0.17,
    restHours: 0.5,
    target: 0.005,
    forMm: 3.5,
    steps: ['A few slices at a time, so that each is wet all round.', 'Blot and lay out singly.'],
    goodFor: 'cut slices of gurnard or turbot, razor clam'
  },
  {
    ...PLAIN,
    name: 'Sweet firm brine',
    school: 'brine',
    basis: 'parts',
    rate: 2,
    lines: [
      line('Cold water', 'water', 86),
      line('Fine salt', 'salt', 9, FINE),
      line('White sugar', 'sugar', 5),
      line('Bay leaf', 'aromatic', 0.2),
      line('Star anise', 'aromatic', 0.2)
    ],
    hours: 5,
    restHours: 12,
    target: 0.01,
    forMm: 18,
    steps: ['Weigh the brine too: half as much is spent half-way.', 'Dry on a rack until the face is tacky.'],
    goodFor: 'trout and char portions'
  },
  {
    ...PLAIN,
    name: 'Three changes for salt fish',
    school: 'desalt',
    basis: 'fish',
    rate: 1,
    lines: [line('Cold water, each change', 'water', 5)],
    hours: 12,
    restHours: 0,
    startSalt: 0.18,
    changes: 3,
    target: 0.03,
    forMm: 20,
    steps: [
      'Skin up, on a rack, so that heavy brine can sink away.',
      'Taste a flake from the thickest middle before the last water.'
    ],
    goodFor: 'dried salt cod and its kin'
  },
  {
    ...PLAIN,
    name: 'Short soak for light salt fish',
    school: 'desalt',
    basis: 'fish',
    rate: 1,
    lines: [line('Cold water, each change', 'water', 4)],
    hours: 3,
    restHours: 0,
    startSalt: 0.07,
    changes: 2,
    target: 0.025,
    forMm: 11,
    steps: ['For fish that was over-cured as well.', 'Stop a little salty: it goes on evening out.'],
    goodFor: 'an over-cured tail, lightly salted fillets'
  },
  {
    ...PLAIN,
    name: 'Light paste, sweet',
    school: 'marinade',
    basis: 'parts',
    rate: 0.35,
    lines: [
      line('Light bean paste', 'paste', 10, LIGHT_PASTE),
      line('Sweet rice wine', 'spirit', 2.5, SWEET_WINE),
      line('Rice wine', 'spirit', 1, RICE_WINE),
      line('Lemon zest, or of yuzu', 'aromatic', 0.2)
    ],
    hours: 48,
    restHours: 0,
    presalt: 0.012,
    presaltMinutes: 40,
    target: 0.008,
    forMm: 28,
    steps: [
      'Salt, wait, blot dry: paste does not enter a wet face.',
      'Every face in contact; a cloth between keeps it clean.',
      'Wipe, never rinse.'
    ],
    goodFor: 'sablefish, turbot; to be grilled or seared'
  },
  {
    ...PLAIN,
    name: 'Dark paste, salty',
    school: 'marinade',
    basis: 'parts',
    rate: 0.3,
    lines: [
      line('Dark bean paste', 'paste', 8, DARK_PASTE),
      line('Sugar', 'sugar', 2),
      line('Rice wine', 'spirit', 2, RICE_WINE),
      line('Ginger, grated', 'aromatic', 0.3)
    ],
    hours: 24,
    restHours: 0,
    presalt: 0.01,
    presaltMinutes: 30,
    target: 0.009,
    forMm: 22,
    steps: ['Half the time of a light paste: it is twice as salty.', 'Wipe off all of it before heat; it burns.'],
    goodFor: 'bonito, mackerel'
  },
  {
    ...PLAIN,
    name: 'Quick soy bath',
    school: 'marinade',
    basis: 'parts',
    rate: 0.5,
    lines: [
      line('Soy sauce', 'sour', 5, SOY),
      line('Sweet rice wine', 'spirit', 3, SWEET_WINE),
      line('Rice wine', 'spirit', 2, RICE_WINE)
    ],
    hours: 0.25,
    restHours: 0.5,
    target: 0.003,
    forMm: 5,
    steps: [
      'Boil the wines, cool, add soy.',
      'Blocks whole, or slices for a quarter of the time.',
      'Drain and blot; the bath is not used twice for raw fish.'
    ],
    goodFor: 'blocks of bonito or tuna kin'
  }
];
