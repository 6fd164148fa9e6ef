import type { Claim, FishFacts, NotFor } from '../core/service/table.ts';
import type { Tell } from '../core/ingredients/ingredient.ts';
import { said, words } from './speech.ts';

/** What is said of a plate: on the card, at the table, and where another fish is on it. */

export const PLATE_WORDS = /* @__PURE__ */ words({
  rice: 'dressed rice',
  wild: 'wild',
  farmed: 'farmed',
  unknownSource: 'wild or farmed: not known',
  frozen: 'frozen before',
  neverFrozen: 'never frozen',
  frozenUnknown: 'whether frozen before: not known',
  otherGear: 'not line-caught'
} as const);

/** What is otherwise on a plate than its card says. */
export interface Instead {
  readonly fish: readonly string[];
  readonly untrue: readonly Claim[];
  readonly facts: readonly FishFacts[];
}
const SOURCE: Readonly<Record<FishFacts['source'], string>> = {
  wild: PLATE_WORDS.wild,
  farmed: PLATE_WORDS.farmed,
  unknown: PLATE_WORDS.unknownSource
};
const FROZEN: Readonly<Record<FishFacts['frozen'], string>> = {
  yes: PLATE_WORDS.frozen,
  no: PLATE_WORDS.neverFrozen,
  unknown: PLATE_WORDS.frozenUnknown
};
const once = (all: readonly string[]) => [...new Set(all)].filter((each) => each !== '');
const TRULY: { readonly [Each in Claim]: (facts: readonly FishFacts[]) => string[] } = {
  source: (facts) => facts.map(({ source }) => SOURCE[source]),
  from: (facts) => facts.map(({ area }) => (area === '' ? 'of unknown waters' : `from ${area}`)),
  neverFrozen: (facts) => facts.map(({ frozen }) => FROZEN[frozen]),
  lineCaught: () => [PLATE_WORDS.otherGear]
};

/** In words: "Halibut", or "farmed, frozen before". */
export const insteadWords = /* @__PURE__ */ said(({ fish, untrue, facts }: Instead): string =>
  once([...fish, ...untrue.flatMap((claim) => TRULY[claim](facts))]).join(', ')
);
const MOST_LETTERS = 80;
/** The name of a plate that is otherwise than its card says, as it stands on record. */
export const insteadName = /* @__PURE__ */ said((dish: string, instead: Instead): string => {
  const named = instead.fish.length > 0 ? `, with ${instead.fish.join(' and ')} instead` : '';
  const truly = once(instead.untrue.flatMap((claim) => TRULY[claim](instead.facts))).join(', ');
  return `${dish}${named}${truly === '' ? '' : ` (${truly})`}`.slice(0, MOST_LETTERS);
});

/** Where a fish is from and what was done to it, as it is told at a table. */
export const factsWords = /* @__PURE__ */ said(({ source, area, frozen, agedDays }: FishFacts): string => {
  const days = Math.floor(agedDays);
  const aged = days < 1 ? '' : days === 1 ? 'aged 1 day' : `aged ${days} days`;
  return once([SOURCE[source], area, FROZEN[frozen], aged]).join('; ');
});

export const NOT_FOR_WORDS: Readonly<Record<NotFor, string>> = /* @__PURE__ */ words({
  susceptible: 'who is expecting, very young, elderly or unwell',
  liver: 'who has a weak liver',
  'no-alcohol': 'who takes no alcohol'
} as const);
export const TELL_WORDS: Readonly<Record<Tell, string>> = /* @__PURE__ */ words({
  alcohol: 'alcohol',
  colour: 'added colour',
  enhancer: 'flavour enhancer'
} as const);

/** Heads and cells of the table of allergens as a file. */
export const TABLE_CSV_WORDS = /* @__PURE__ */ words({
  dish: 'dish',
  eaten: 'eaten',
  card: 'on the card',
  list: 'by the list of',
  cell: { holds: 'in it', may: 'may be in it', '': '' },
  ask: 'ask the kitchen about',
  garnish: 'can be left off',
  besides: 'also in it',
  rawEgg: 'raw egg',
  notFor: 'not for',
  fish: 'fish',
  plates: 'plates left'
} as const);
