/** Raw-food notices as shipped, by profile, in our own words. A house may word its own. */
const NOTICES: Record<string, string> = {
  'us-fc':
    '* Served raw, cured or lightly seared. Eating raw or undercooked fish or shellfish may increase your risk of foodborne illness, especially if you have certain medical conditions. (Consumer advisory: FDA Food Code 3-603.11.)',
  eu: 'Served raw, cured or lightly seared. If you are expecting, very young, elderly or unwell, ask us for a cooked dish. Ask us about allergens.',
  uk: 'Served raw, cured or lightly seared. If you are expecting, very young, elderly or unwell, ask us for a cooked dish. Ask us about allergens.',
  jp: 'Served raw. If you are expecting, very young, elderly or unwell, ask us for a cooked dish. Ask us about allergens.'
};

/** The shipped notice of a profile; the fullest one where a profile has none of its own. */
export const noticeText = (profile: string): string => NOTICES[profile] ?? NOTICES['us-fc']!;

const ALLERGENS: Record<string, string> = {
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
  crab: 'crab or lobster',
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
};

export const allergenWord = (allergen: string): string => ALLERGENS[allergen] ?? allergen;
