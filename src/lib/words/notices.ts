import { said, words } from './speech.ts';
import type { Route } from '../core/codes/window.ts';
import type { Told } from '../core/ingredients/ingredient.ts';

/**
 * Reminders as shipped, by profile, in our own words. The US code wants two things of raw or undercooked food of an animal: a
 * disclosure (the dish says so, or is marked to a line that does) and a reminder of the risk, marked to the same line
 * (FDA Food Code 2022 3-603.11(B), (C)). A house may word its own.
 */
const NOTICES: Record<string, string> = /* @__PURE__ */ words({
  'us-fc':
    '* Raw or undercooked. Eating raw or undercooked fish, shellfish or eggs may increase your risk of foodborne illness, especially if you have certain medical conditions. (Consumer advisory: FDA Food Code 3-603.11.)',
  eu: '* Served raw, cured or lightly seared. If you are expecting, very young, elderly or unwell, ask us for a cooked dish. Ask us about allergens.',
  uk: '* Served raw, cured or lightly seared. If you are expecting, very young, elderly or unwell, ask us for a cooked dish. Ask us about allergens.',
  jp: '* Served raw. If you are expecting, very young, elderly or unwell, ask us for a cooked dish. Ask us about allergens.'
});

const SERVED_AS: Record<Exclude<Route, 'cooked'>, string> = /* @__PURE__ */ words({
  raw: 'raw',
  cured: 'raw, cured',
  acid: 'raw, in acid',
  seared: 'seared outside, raw inside'
});

/**
 * The disclosure of a dish as it stands on a card: its name, the mark of the reminder, and what in it is raw. Empty for a dish that
 * it does not concern: cooked through, with nothing raw of an animal on it.
 *
 * @param raw what of its sauce and garnish is raw of an animal
 */
export const disclosure = /* @__PURE__ */ said(function disclosure(
  dish: string,
  kind: string,
  route: Route,
  raw: readonly string[] = []
): string {
  // A dish that names its fish need not be told it again.
  const named = dish === '' || dish.toLowerCase().includes(kind.toLowerCase()) ? '' : `${kind}: `;
  const fish = route === 'cooked' ? [] : [named + SERVED_AS[route]];
  const all = [...fish, ...raw.map((each) => `${each.toLowerCase()}, raw`)];
  return all.length === 0 ? '' : `${dish || kind}* (${all.join('; ')})`;
});

/** The shipped notice of a profile; the fullest one where a profile has none of its own. */
export const noticeText = /* @__PURE__ */ said((profile: string): string => NOTICES[profile] ?? NOTICES['us-fc']!);

const ALLERGENS: Record<string, string> = /* @__PURE__ */ words({
  fish: 'fish',
  crustacean: 'crustaceans',
  mollusc: 'molluscs',
  egg: 'egg',
  wheat: 'wheat (gluten)',
  soy: 'soy',
  sesame: 'sesame',
  milk: 'milk',
  mustard: 'mustard',
  sulphites: 'sulphites',
  prawn: 'prawn',
  crab: 'crab',
  salmon: 'salmon',
  'salmon-roe': 'salmon roe',
  mackerel: 'mackerel',
  squid: 'squid',
  abalone: 'abalone',
  urchin: 'sea urchin',
  'tree-nut': 'tree nuts',
  peanut: 'peanut',
  celery: 'celery',
  lupin: 'lupin',
  gluten: 'cereals with gluten',
  rye: 'rye (gluten)',
  barley: 'barley (gluten)',
  oats: 'oats (gluten)',
  walnut: 'walnut',
  buckwheat: 'buckwheat',
  almond: 'almond',
  cashew: 'cashew',
  macadamia: 'macadamia',
  orange: 'orange',
  kiwi: 'kiwi',
  peach: 'peach',
  apple: 'apple',
  banana: 'banana',
  yam: 'yam',
  beef: 'beef',
  pork: 'pork',
  chicken: 'chicken',
  gelatin: 'gelatin'
});

/** What is asked after where nobody said what was used. */
export const UNSAID = /* @__PURE__ */ words({
  marinade: 'the paste or soy of the marinade',
  oil: 'the oil',
  riceDressing: 'the dressing of the rice'
} as const);

export const allergenWord = /* @__PURE__ */ said((allergen: string): string => ALLERGENS[allergen] ?? allergen);

/** What is told, in the order it is said: what is in it, what may be, what has to be asked. */
export const toldWords = /* @__PURE__ */ said(function toldWords({ holds, mayHold, unsaid }: Told): {
  holds: string;
  mayHold: string;
  ask: string;
} {
  const words = (names: readonly string[]) => names.map(allergenWord).join(', ');
  return {
    holds: words(holds),
    mayHold: mayHold.length === 0 ? '' : `may contain ${words(mayHold)}`,
    ask: unsaid.length === 0 ? '' : `ask what it holds: ${unsaid.join(', ')}`
  };
});

/** All of it on one line. */
export const toldLine = /* @__PURE__ */ said(function toldLine(told: Told): string {
  const { holds, mayHold, ask } = toldWords(told);
  const nothing = told.unsaid.length === 0 ? TOLD_WORDS.none : '';
  return [holds || nothing, mayHold, ask].filter((each) => each !== '').join(' · ');
});
export const TOLD_WORDS = /* @__PURE__ */ words({
  none: 'no allergen of its own',
  tell: 'Tell with it:',
  with: (sauce: string) => `With ${sauce}, tell:`,
  dishToo: 'And what the dish adds (soy, sesame, flour, egg, the frying oil).'
} as const);
export const ALSO_WORDS = /* @__PURE__ */ words({
  hint: 'From the list, with commas between; what they hold is told with the fish.'
});

/** What is said around ingredients while they are typed. */
export const INGREDIENT_FIELD_WORDS = /* @__PURE__ */ words({
  add: 'Add from the list',
  strange: 'is not on the list. Choose a name that is, or say what it holds by its label:',
  other: 'is the house’s own word: what is told of it is what was said here.',
  holds: 'It holds …',
  holdsToo: 'It holds this too …',
  nothing: 'nothing: its label was read',
  nobody: 'nobody knows: ask',
  leftOut: 'nothing',
  outOf: (text: string, now: string) =>
    `The house is out of ${text}: ${now} is used instead. Its salt and sour may differ: taste.`
} as const);

/** The page of ingredients. */
export const INGREDIENT_PAGE_WORDS = /* @__PURE__ */ words({
  title: (count: number) => `Ingredients, ${count}`,
  lead: 'What goes onto fish, and what it makes to be told. A maker’s label goes before what ships here; recipes and sauces add up what their lines hold.',
  narrow: 'Narrow the list',
  add: 'Add an ingredient',
  own: 'the house’s',
  none: 'None is called that.',
  holdsNothing: 'no allergen by itself',
  alsoCalled: 'Also called',
  outOf: (instead: string) => (instead === '' ? 'out of it: left out' : `out of it: ${instead} instead`),
  lately: (names: readonly string[]) =>
    `Used for it within the last seven days: ${names.join(', ')}. What that holds is told as “may contain”, since a batch made with it may still stand.`,
  back: 'It is back: use it again',
  swap: 'Out of it: use that instead',
  instead: 'Instead of it',
  leaveOut: 'nothing: it is left out',
  why: 'Why',
  madeWith: (count: number) => `Made with it: ${count}`,
  madeWithNothing: 'No recipe or sauce has it.',
  withdraw: 'Take back what the house wrote of it',
  more: 'What the house knows besides',
  keep: 'Keep it',
  name: 'Name',
  holds: 'It is made with',
  mayHold: 'It may contain',
  raw: 'Of an animal, and eaten raw (roe, yolk): the notice goes with it',
  tell: 'Guests may ask of it',
  nothing: 'Its label was read: it holds none of these',
  note: 'Note',
  choose: 'Choose one to see what is made with it, and to say what is used instead.',
  caution:
    'What is told here is what an ingredient is usually made of (check its label). Guidance only: your local code and licensed practice decide.'
} as const);

/** What stands on a card with a dish. */
export const CARD_WORDS = /* @__PURE__ */ words({
  onCard: 'On the card:',
  none: 'Nothing raw in it: no mark on the card.'
} as const);
