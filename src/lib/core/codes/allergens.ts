import type { Species } from '../fish/species.ts';
import type { Cited, RuleProfile } from './profile.ts';

/** What is told of a piece: what is in it, what may be, and the ingredients of which nobody said what they hold. */
export interface ToldOfPiece {
  readonly holds: readonly AllergenDuty[];
  readonly mayHold: readonly AllergenDuty[];
  readonly unsaid: readonly string[];
}
/** The same by names alone. */
export const namesOf = ({ holds, mayHold, unsaid }: ToldOfPiece) => ({
  holds: holds.map(({ allergen }) => allergen),
  mayHold: mayHold.map(({ allergen }) => allergen),
  unsaid
});

/** Every name a list here uses, and those told without a list. A recipe's ingredients hold some of these and nothing else. */
export const ALLERGENS = [
  ...(['milk', 'egg', 'fish', 'crustacean', 'mollusc', 'urchin', 'soy', 'sesame', 'mustard', 'celery'] as const),
  ...(['sulphites', 'lupin', 'peanut', 'tree-nut', 'walnut', 'almond', 'cashew', 'macadamia'] as const),
  ...(['gluten', 'wheat', 'rye', 'barley', 'oats', 'buckwheat'] as const),
  ...(['prawn', 'crab', 'squid', 'abalone', 'salmon', 'salmon-roe', 'mackerel'] as const),
  ...(['orange', 'apple', 'kiwi', 'peach', 'banana', 'yam', 'beef', 'pork', 'chicken', 'gelatin'] as const)
] as const;
export type Allergen = (typeof ALLERGENS)[number];

/** An allergen that is declared with what is served. */
export interface AllergenDuty extends Cited {
  readonly allergen: string;
  /** 'required' where the list of the profile names it, 'advised' where only care does. */
  readonly duty: 'required' | 'advised';
}

interface AllergenList extends Cited {
  readonly required: readonly string[];
  readonly advised: readonly string[];
}

/** Cereals with gluten, each by its own name as recipes write them. */
const GLUTEN = ['gluten', 'wheat', 'rye', 'barley', 'oats'];
/** Annex II of the EU's regulation, all fourteen; the cereals by their names. */
const FOURTEEN = [
  ...GLUTEN,
  'crustacean',
  'egg',
  'fish',
  'peanut',
  'soy',
  'milk',
  'tree-nut',
  'celery',
  'mustard',
  'sesame',
  'sulphites',
  'lupin',
  'mollusc'
];
/** Nuts by their names, which are tree nuts to a list that names no single one. */
const NUTS = ['walnut', 'almond', 'cashew', 'macadamia'];

/** Lists of allergens by shipped profile, whole. A house's copy follows its base. What no list names is told all the same. */
const LISTS: Readonly<Record<string, AllergenList>> = {
  'us-fc': {
    required: ['milk', 'egg', 'fish', 'crustacean', 'tree-nut', ...NUTS, 'peanut', 'wheat', 'soy', 'sesame'],
    advised: [
      'mollusc',
      'urchin',
      'mustard',
      'sulphites',
      'celery',
      'lupin',
      'gluten',
      'rye',
      'barley',
      'oats',
      'buckwheat'
    ],
    rule: '3-602.11, 1-201.10',
    citation: 'FDA Food Code 2022 1-201.10 (major food allergens, nine) and 3-602.11'
  },
  eu: {
    required: [...FOURTEEN, ...NUTS],
    advised: ['urchin', 'buckwheat'],
    rule: 'Reg. 1169/2011 Annex II',
    citation: 'Reg. (EU) 1169/2011 Art. 44 and Annex II (fourteen)'
  },
  uk: {
    required: [...FOURTEEN, ...NUTS],
    advised: ['urchin', 'buckwheat'],
    rule: 'assimilated Reg. 1169/2011 Annex II',
    citation: 'Assimilated Reg. (EU) 1169/2011 Art. 44 and Annex II (fourteen); Food Information Regulations 2014'
  },
  jp: {
    required: ['prawn', 'crab', 'walnut', 'wheat', 'buckwheat', 'egg', 'milk', 'peanut'],
    advised: [
      // The twenty that are recommended.
      ...[
        'almond',
        'abalone',
        'squid',
        'salmon-roe',
        'orange',
        'cashew',
        'kiwi',
        'beef',
        'sesame',
        'salmon',
        'mackerel'
      ],
      ...['soy', 'chicken', 'banana', 'pork', 'macadamia', 'peach', 'yam', 'apple', 'gelatin'],
      // Told by this product all the same.
      ...[
        'fish',
        'mollusc',
        'crustacean',
        'urchin',
        'tree-nut',
        'gluten',
        'rye',
        'barley',
        'oats',
        'mustard',
        'sulphites'
      ],
      ...['celery', 'lupin']
    ],
    rule: 'Food Labeling Standards',
    citation: 'Food Labeling Standards (Japan): eight required, twenty recommended; cashew is to be required (check)',
    check: true
  }
};

const FAMILY: Readonly<Record<Species['group'], string>> = {
  finfish: 'fish',
  roe: 'fish',
  surimi: 'fish',
  mollusc: 'mollusc',
  gastropod: 'mollusc',
  scallop: 'mollusc',
  cephalopod: 'mollusc',
  crustacean: 'crustacean',
  urchin: 'urchin'
};

/** Narrower names that some lists use for a kind. */
function narrow(species: Species): string[] {
  const names = species.scientific.join(' ');
  return [
    // Japan's list takes spiny and clawed lobsters and crayfish in with shrimp (check).
    ...(/Pandalus|Penaeus|Homarus|Panulirus|Nephrops|Astacus|Procambarus/.test(names) ? ['prawn'] : []),
    ...(/Cancer|Chionoecetes|Paralithodes|Eriocheir|Geothelphusa/.test(names) ? ['crab'] : []),
    ...(/Salmo |Oncorhynchus|Salmo$/.test(names) ? [species.group === 'roe' ? 'salmon-roe' : 'salmon'] : []),
    ...(/Scomber /.test(names) ? ['mackerel'] : []),
    ...(/Loligo|Sepia/.test(names) ? ['squid'] : []),
    ...(/Haliotis/.test(names) ? ['abalone'] : [])
  ];
}

/** Names as a profile wants them told. One it has on no list is left out; one that is on no list at all is told by its own name. */
function duties(names: readonly string[], profile: Pick<RuleProfile, 'id' | 'house'>): AllergenDuty[] {
  const list = LISTS[profile.house?.base ?? profile.id] ?? LISTS.eu!;
  const { rule, citation, check } = list;
  const isKnown = (name: string) => (ALLERGENS as readonly string[]).includes(name);
  return [...new Set(names)]
    .filter((name) => list.required.includes(name) || list.advised.includes(name) || !isKnown(name))
    .map((allergen) => ({
      allergen,
      duty: list.required.includes(allergen) ? 'required' : 'advised',
      rule,
      citation,
      check
    }));
}

/**
 * Allergens of a species as a profile wants them declared. Every one of its kind stands on the list; urchin is no mollusc and on
 * no list, and is told by its own name all the same. What a cure put on it comes with `allergensAdded`; what is added at the pass is declared with the dish.
 *
 * @throws never: a profile without a list of its own follows the strictest here
 */
export const allergensOf = (species: Species, profile: Pick<RuleProfile, 'id' | 'house'>): AllergenDuty[] =>
  duties([FAMILY[species.group], ...narrow(species), ...species.allergensAlso], profile);

/**
 * Allergens that were put on a piece (a soy marinade, mustard in a cure). What a profile has on no list (orange outside Japan) is
 * left out; what somebody typed by a name of their own is told all the same: who wrote it down had a reason.
 */
export const allergensAdded = duties;
