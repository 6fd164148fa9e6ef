/**
 * What each dish of the demo's card holds, may hold, and leaves to be asked, by list: worked out by hand from its page, its sauces,
 * the fish it may be and the board it is cut on. A tub of rice is not dressed yet.
 */
export const LISTS = ['us-fc', 'eu', 'uk', 'jp'] as const;

/** As the three lists have it that name no single fruit and no single fish. */
const PLAIN: Readonly<Record<string, string>> = {
  'Boiled octopus': 'mollusc | crustacean fish sulphites | ',
  'Char, carved off the skin': 'fish milk | crustacean mollusc sulphites | ',
  'Char, mustard, rye': 'gluten mustard | crustacean fish mollusc | Char, cured',
  'Cooked plate for children': 'fish | crustacean mollusc | ',
  'Grilled collar': 'fish | crustacean mollusc sulphites | ',
  'Halibut in lime': 'celery fish | crustacean mollusc sulphites | ',
  'Halibut, sliced to order': 'fish | crustacean mollusc | ',
  'Hand roll of char and roe': 'fish | crustacean mollusc soy wheat | the dressing of the rice',
  'Kelp-pressed turbot': 'fish | crustacean mollusc | ',
  'Razor clams from the grill': 'milk mollusc | crustacean fish | ',
  'Sablefish, grilled': 'fish | crustacean mollusc | ',
  'Seared bonito': 'fish soy wheat | crustacean mollusc sulphites | ',
  'Six oysters': 'mollusc sulphites |  | ',
  'Spoon-meat bowl': 'egg fish sesame soy wheat | crustacean mollusc | the dressing of the rice',
  'Thin bonito roll': 'fish | crustacean milk mollusc mustard soy wheat | the dressing of the rice',
  'Translucent gurnard': 'fish soy wheat | crustacean mollusc sulphites | ',
  'Turbot roll': 'fish sesame | crustacean mollusc | the dressing of the rice',
  'Turbot, three slices': 'fish | crustacean mollusc | ',
  'Vinegared sardine': 'fish | barley crustacean mollusc wheat | '
};
/** Japan's recommended twenty name fruits, salmon and its roe. */
const IN_JAPAN: Readonly<Record<string, string>> = {
  'Boiled octopus': 'apple mollusc | crustacean fish sulphites | ',
  'Cooked plate for children': 'fish salmon | crustacean mollusc | ',
  'Halibut in lime': 'celery fish orange | crustacean mollusc sulphites | ',
  'Hand roll of char and roe': 'fish salmon-roe | crustacean mollusc soy wheat | the dressing of the rice',
  'Kelp-pressed turbot': 'fish orange | crustacean mollusc | ',
  'Spoon-meat bowl': 'egg fish salmon sesame soy wheat | crustacean mollusc | the dressing of the rice',
  'Translucent gurnard': 'fish soy wheat | crustacean mollusc orange sulphites | '
};
export const cardUnder = (list: (typeof LISTS)[number]): Readonly<Record<string, string>> =>
  list === 'jp' ? { ...PLAIN, ...IN_JAPAN } : PLAIN;
