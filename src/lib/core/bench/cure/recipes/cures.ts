import type { RecipeBody } from '../../../activity/cure/recipe-body.ts';
import { COARSE, FINE, FLAKE, line, PLAIN } from './line.ts';

/** Cover and weighed cures of the house's own making. Ratios are starting points to be tasted, not measured optima (check). */

export const CURE_RECIPES: readonly RecipeBody[] = [
  {
    ...PLAIN,
    name: 'Even dill cover',
    school: 'cover',
    basis: 'parts',
    rate: 0.14,
    lines: [
      line('Coarse salt', 'salt', 6, COARSE),
      line('White sugar', 'sugar', 6),
      line('Dill stalks, chopped', 'aromatic', 1.6),
      line('White pepper, cracked', 'aromatic', 0.12),
      line('Lemon zest', 'aromatic', 0.28)
    ],
    hours: 36,
    restHours: 24,
    target: 0.012,
    forMm: 20,
    forFaces: 1,
    steps: [
      'Mix salt and sugar first, herbs after, so that the herbs do not draw damp before they lie on the fish.',
      'Thin on the tail, thick on the shoulder; fold the flap under.',
      'Rinse quickly, dry well, rest uncovered on a rack.'
    ],
    goodFor: 'sides of char, trout and salmon'
  },
  {
    ...PLAIN,
    name: 'Two of salt, juniper and gin',
    school: 'cover',
    basis: 'parts',
    rate: 0.09,
    lines: [
      line('Coarse salt', 'salt', 2, COARSE),
      line('Brown sugar', 'sugar', 1),
      line('Juniper, bruised', 'aromatic', 0.06),
      line('Dry gin', 'spirit', 0.15, { water: 0.6 })
    ],
    hours: 24,
    restHours: 18,
    target: 0.012,
    forMm: 18,
    forFaces: 1,
    steps: [
      'Brush the spirit on first and let it stand five minutes.',
      'Lay the cure on, wrap loosely on a rack over a tray.'
    ],
    goodFor: 'bonito loin, trout'
  },
  {
    ...PLAIN,
    name: 'Sweet beetroot cover',
    school: 'cover',
    basis: 'parts',
    rate: 0.2,
    lines: [
      line('Fine salt', 'salt', 5, FINE),
      line('White sugar', 'sugar', 10),
      line('Beetroot, grated', 'aromatic', 8),
      line('Orange zest', 'aromatic', 0.3)
    ],
    hours: 40,
    restHours: 24,
    target: 0.01,
    forMm: 20,
    forFaces: 1,
    steps: [
      'Beetroot colours the outer millimetres only: it says nothing about the salt.',
      'Turn the parcel once a day if you turn at all.'
    ],
    goodFor: 'char and salmon for thin slices'
  },
  {
    ...PLAIN,
    name: 'Bare salt for firm white fish',
    school: 'cover',
    basis: 'fish',
    rate: 1,
    lines: [line('Coarse salt', 'salt', 0.05, COARSE), line('Kelp, wiped', 'aromatic', 0.02)],
    hours: 6,
    restHours: 12,
    target: 0.006,
    forMm: 25,
    steps: ['Rinse in weak salted water, not fresh: the face stays clear.', 'Rest between sheets of kelp.'],
    goodFor: 'turbot, gurnard, bream'
  },
  {
    ...PLAIN,
    name: 'Weighed at two',
    school: 'weighed',
    basis: 'fish',
    rate: 1,
    lines: [line('Fine salt', 'salt', 0.02, FINE), line('White sugar', 'sugar', 0.008)],
    hours: 48,
    restHours: 12,
    target: 0.012,
    forMm: 30,
    steps: [
      'Weigh each piece by itself.',
      'Rub every face; whatever falls off goes back on.',
      'It cannot become saltier than this: a day more does no harm to the salt, only to the date mark.'
    ],
    goodFor: 'any side, for even slices'
  },
  {
    ...PLAIN,
    name: 'Weighed with kelp and citrus leaf',
    school: 'weighed',
    basis: 'fish',
    rate: 1,
    lines: [
      line('Fine salt', 'salt', 0.022, FINE),
      line('White sugar', 'sugar', 0.01),
      line('Kelp powder', 'aromatic', 0.004),
      line('Citrus leaf, cut fine', 'aromatic', 0.003)
    ],
    hours: 60,
    restHours: 12,
    target: 0.014,
    forMm: 35,
    steps: ['Powder clings to wet flesh: dry the face first.', 'Turn once a day so that the liquid reaches both ends.'],
    goodFor: 'turbot, halibut, bream'
  },
  {
    ...PLAIN,
    name: 'Weighed firm at three',
    school: 'weighed',
    basis: 'fish',
    rate: 1,
    lines: [
      line('Fine salt', 'salt', 0.03, FINE),
      line('Dark sugar', 'sugar', 0.015),
      line('Fennel seed, toasted', 'aromatic', 0.003)
    ],
    hours: 72,
    restHours: 24,
    target: 0.018,
    forMm: 20,
    forFaces: 1,
    steps: ['For pieces that are sliced paper thin.', 'Pat dry and leave on a rack overnight before the first slice.'],
    goodFor: 'char, bonito, sablefish belly'
  },
  {
    ...PLAIN,
    name: 'Film before vinegar',
    school: 'film',
    basis: 'fish',
    rate: 1,
    lines: [line('Fine salt', 'salt', 0.04, FINE)],
    hours: 0.75,
    restHours: 1,
    target: 0.008,
    forMm: 6,
    steps: ['Skin side down on a rack, salt both faces.', 'Rinse in iced water, dry at once, then into the vinegar.'],
    goodFor: 'sardine, mackerel, herring, once the parasite rules are met'
  },
  {
    ...PLAIN,
    name: 'Half-hour film before the knife',
    school: 'film',
    basis: 'fish',
    rate: 1,
    lines: [line('Flake salt', 'salt', 0.012, FLAKE)],
    hours: 0.5,
    restHours: 2,
    target: 0.003,
    forMm: 7,
    steps: ['From high up, evenly, like first snow.', 'Blot what beads up; rest uncovered in the cold.'],
    goodFor: 'thin blocks for slicing, prawn, squid'
  }
];
