import type { Species } from '../fish/species.ts';
import type { Cited, RuleProfile } from './profile.ts';

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

/** Lists of allergens by shipped profile. A house's copy follows its base. */
const LISTS: Readonly<Record<string, AllergenList>> = {
  'us-fc': {
    required: ['fish', 'crustacean', 'egg', 'wheat', 'soy', 'sesame', 'milk'],
    advised: ['mollusc', 'mustard', 'sulphites'],
    rule: '3-602.11, 1-201.10',
    citation: 'FDA Food Code 2022 1-201.10 (major food allergens) and 3-602.11'
  },
  eu: {
    required: ['fish', 'crustacean', 'mollusc', 'egg', 'wheat', 'soy', 'sesame', 'milk', 'mustard', 'sulphites'],
    advised: [],
    rule: 'Reg. 1169/2011 Annex II',
    citation: 'Reg. (EU) 1169/2011 Art. 44 and Annex II'
  },
  jp: {
    required: ['prawn', 'crab', 'egg', 'wheat', 'milk'],
    advised: ['salmon', 'mackerel', 'salmon-roe', 'squid', 'abalone', 'soy', 'sesame', 'fish', 'mollusc', 'crustacean'],
    rule: 'Food Labeling Standards',
    citation: 'Food Labeling Standards, specified ingredients and those treated alike',
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
  urchin: 'mollusc'
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

/**
 * Allergens of a species as a profile wants them declared. Every one of its kind stands on the list; urchin is no mollusc, yet
 * is told with them (the house's caution). What a cure put on it comes with `allergensAdded`; what is added at the pass is declared with the dish.
 *
 * @throws never: a profile without a list of its own follows the strictest here
 */
export function allergensOf(species: Species, profile: Pick<RuleProfile, 'id' | 'house'>): AllergenDuty[] {
  const list = LISTS[profile.house?.base ?? profile.id] ?? LISTS.eu!;
  const carried = [...new Set([FAMILY[species.group], ...narrow(species), ...species.allergensAlso])];
  const { rule, citation, check } = list;
  return carried
    .filter((allergen) => list.required.includes(allergen) || list.advised.includes(allergen))
    .map((allergen) => ({
      allergen,
      duty: list.required.includes(allergen) ? 'required' : 'advised',
      rule,
      citation,
      check
    }));
}

/**
 * Allergens that were put on a piece (a soy marinade, mustard in a cure). One no list of the profile names is told all the same:
 * who wrote it down had a reason.
 */
export function allergensAdded(names: readonly string[], profile: Pick<RuleProfile, 'id' | 'house'>): AllergenDuty[] {
  const list = LISTS[profile.house?.base ?? profile.id] ?? LISTS.eu!;
  const { rule, citation, check } = list;
  return [...new Set(names)].map((allergen) => ({
    allergen,
    duty: list.required.includes(allergen) ? 'required' : 'advised',
    rule,
    citation,
    check
  }));
}
