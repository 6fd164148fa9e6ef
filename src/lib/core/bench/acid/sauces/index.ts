import { linkTo } from '../../../ingredients/kitchen.ts';
import { shipped } from '../../../shipped.ts';
import type { Sauce, SauceBody } from '../../../activity/acid/sauce-body.ts';

/** Sauces and dressings of the house's own making. Ratios are starting points to be tasted (check). */
const line = (what: string, parts: number, each = 0) => ({ what, parts, each, ...linkTo(what) });
const PLAIN = { note: '', steps: [] as string[], allergens: [] as string[] };
/** Most is folded in at once, the rest by taste. */
const BY_TASTE = [0.6, 0.25, 0.15];

const SHIPPED: readonly SauceBody[] = [
  {
    ...PLAIN,
    name: 'Harbour lime',
    kind: 'citrus',
    rate: 0.5,
    lines: [
      line('Lime juice', 60),
      line('Sweet orange juice', 18),
      line('Cold water or ice', 12),
      line('Red onion, thin', 20),
      line('Celery, the pale heart', 10),
      line('Green chilli', 2),
      line('Ginger', 1.5),
      line('Fine salt', 2.4)
    ],
    portions: [0.7, 0.3],
    steps: [
      'Bruise onion, celery, ginger and chilli in the juice for ten minutes, then strain.',
      'Season and taste it before fish meets it.',
      'Joined at service: onion and herb go on last.'
    ],
    goodFor: 'dice of turbot, gurnard, halibut'
  },
  {
    ...PLAIN,
    name: 'Bitter orange and olive',
    kind: 'citrus',
    rate: 0.22,
    lines: [
      line('Bitter orange juice', 40),
      line('Olive oil, mild', 45),
      line('Honey', 4),
      line('Fine salt', 1.5),
      line('Fennel seed, crushed', 0.6)
    ],
    portions: BY_TASTE,
    steps: ['Whisk juice, honey and salt first, then oil in a thread.', 'Over slices at the pass: oil adds no acid.'],
    goodFor: 'thin slices of char'
  },
  {
    ...PLAIN,
    name: 'Grapefruit and pink pepper',
    kind: 'citrus',
    rate: 0.25,
    lines: [
      line('Grapefruit juice', 50),
      line('Lemon juice', 10),
      line('Cold-pressed rapeseed oil', 20),
      line('Sugar', 2),
      line('Fine salt', 1.4),
      line('Pink pepper', 0.5)
    ],
    portions: BY_TASTE,
    steps: ['Reduce nothing: fresh juice only, pressed within the hour.'],
    goodFor: 'scallop, razor clam'
  },
  {
    ...PLAIN,
    name: 'Pale rice vinegar',
    kind: 'vinegar',
    rate: 0.8,
    lines: [line('Rice vinegar', 70), line('Cold water', 22), line('Sugar', 5), line('Fine salt', 2.2)],
    portions: [1],
    steps: ['Dissolve, chill, then pour over fish that was salted, wiped and dried.', 'Skin side down, turned once.'],
    goodFor: 'small fillets of sardine, mackerel'
  },
  {
    ...PLAIN,
    name: 'Cider vinegar and dill',
    kind: 'vinegar',
    rate: 0.3,
    lines: [
      line('Cider vinegar', 35),
      line('Apple juice, dry', 35),
      line('Rapeseed oil', 20),
      line('Dill stalks, cut fine', 6),
      line('Fine salt', 1.6)
    ],
    portions: BY_TASTE,
    steps: ['Oil last, and only as it goes out.'],
    goodFor: 'gurnard, herring'
  },
  {
    ...PLAIN,
    name: 'Charred onion vinegar',
    kind: 'vinegar',
    rate: 0.18,
    lines: [
      line('Wine vinegar', 28),
      line('Onion, charred and pressed', 40),
      line('Olive oil', 18),
      line('Sugar', 3),
      line('Fine salt', 1.8)
    ],
    portions: [0.5, 0.3, 0.2],
    steps: ['Char halves on the cut side till black, press while warm, strain.'],
    goodFor: 'seared bonito'
  },
  {
    ...PLAIN,
    name: 'Green chilli water',
    kind: 'chilli-water',
    rate: 0.45,
    lines: [
      line('Lime juice', 38),
      line('Cold water', 30),
      line('Cucumber, with its skin', 22),
      line('Green chilli, seeds out', 5),
      line('Coriander stalks', 5),
      line('Fine salt', 2)
    ],
    portions: [0.6, 0.2, 0.2],
    steps: [
      'Blend cold, a minute at most, and strain: it greys within the hour.',
      'Over slices at the table, seconds before they are eaten.'
    ],
    goodFor: 'prawn that was frozen, slices of white fish'
  },
  {
    ...PLAIN,
    name: 'Smoked chilli and tomato water',
    kind: 'chilli-water',
    rate: 0.4,
    lines: [
      line('Tomato water, dripped', 60),
      line('Lime juice', 20),
      line('Smoked dried chilli, soaked', 2.5),
      line('Fine salt', 1.8),
      line('Sugar', 1)
    ],
    portions: BY_TASTE,
    steps: ['Salt the tomatoes, hang them overnight in a cloth in the cold; use what drips.'],
    goodFor: 'dice of bonito'
  },
  {
    ...PLAIN,
    name: 'Soy, boiled wine and bonito',
    kind: 'soy',
    rate: 0.14,
    lines: [
      line('Soy sauce', 50),
      line('Sweet rice wine, boiled off', 20),
      line('Rice wine, boiled off', 10),
      line('Dried bonito flakes', 2),
      line('Kelp', 0.8)
    ],
    portions: [1],
    steps: ['Boil the wines, let kelp and flakes stand in it a night in the cold, strain.'],
    goodFor: 'brushed over toppings, dressed dice'
  },
  {
    ...PLAIN,
    name: 'Soy and yuzu',
    kind: 'soy',
    rate: 0.16,
    lines: [
      line('Soy sauce', 40),
      line('Yuzu juice, or lemon with a little orange', 28),
      line('Cold kelp stock', 20),
      line('Sweet rice wine, boiled off', 10)
    ],
    portions: [0.5, 0.25, 0.25],
    steps: ['It mellows for a day; taste again then.'],
    goodFor: 'translucent slices of turbot'
  },
  {
    ...PLAIN,
    name: 'Roasted sesame',
    kind: 'sesame',
    rate: 0.2,
    lines: [
      line('White sesame, roasted and ground', 34),
      line('Soy sauce', 18),
      line('Rice vinegar', 12),
      line('Sugar', 7),
      line('Stock of kelp and dried bonito, or water', 22),
      line('Roasted sesame oil', 3)
    ],
    portions: [0.5, 0.25, 0.25],
    steps: ['Grind warm, loosen with stock by the spoon: it thickens as it stands.'],
    goodFor: 'dressed dice on rice'
  },
  {
    ...PLAIN,
    name: 'Sesame, spring onion and chilli',
    kind: 'sesame',
    rate: 0.15,
    lines: [
      line('Soy sauce', 34),
      line('Roasted sesame oil', 16),
      line('Spring onion, cut fine', 30),
      line('Roasted sesame', 6),
      line('Dried chilli flakes', 1),
      line('Sugar', 4)
    ],
    portions: BY_TASTE,
    steps: ['Folded in portion by portion: dice drink it and go dark if it comes all at once.'],
    goodFor: 'cubes of bonito or tuna kin'
  },
  {
    ...PLAIN,
    name: 'Egg yolk and mustard cream',
    kind: 'creamy',
    rate: 0.24,
    lines: [
      line('Egg yolk, pasteurised', 18, 18),
      line('Mild mustard', 8),
      line('Lemon juice', 9),
      line('Rapeseed oil', 80),
      line('Fine salt', 1.2),
      line('Cold water', 6)
    ],
    portions: [0.7, 0.3],
    steps: [
      'Pasteurised yolk where it is served raw.',
      'Oil in a thread; water where it grows too thick. Discard with the day.'
    ],
    goodFor: 'chopped spoon meat, trim'
  },
  {
    ...PLAIN,
    name: 'Soured cream, horseradish and chive',
    kind: 'creamy',
    rate: 0.2,
    lines: [
      line('Soured cream', 70),
      line('Horseradish, grated fresh', 8),
      line('Lemon juice', 5),
      line('Chives', 5),
      line('Fine salt', 1)
    ],
    portions: [0.6, 0.2, 0.2],
    steps: ['Horseradish last: it fades within hours.'],
    goodFor: 'cured char, dressed roe'
  }
];

/** Sauces that ship, each at its first version. */
export const SHIPPED_SAUCES: readonly Sauce[] = shipped(SHIPPED);
