import type { DemoTools } from './tools.ts';

/** The dishes of the house: what comes on each, how its fish is eaten, and what is different in a later version. */
export function dishesOf({ step }: Pick<DemoTools, 'step'>): void {
  step(99, 'p1', 'set-dish', () => ({
    name: 'Halibut in lime',
    lines: 'Halibut; 70; fish\nHarbour lime; 35; sauce\nRed onion; 6\nOlive oil; 2',
    steps: 'Dress it when it is called.\nOil last, in drops.',
    goodFor: 'the first sitting'
  }));
  step(98.9, 'p1', 'set-dish', () => ({
    name: 'Char, mustard, rye',
    lines: 'Char, cured; 45; fish\nWeighed at two; 1; recipe\nMustard = mustard; 4\nRye crisp = gluten; 8'
  }));
  step(97, 'p2', 'set-dish', () => ({
    id: 'halibut-in-lime',
    name: 'Halibut in lime',
    lines: 'Halibut; 70; fish\nHarbour lime; 30; sauce\nRed onion; 8\nOlive oil; 2',
    steps: 'Dress it when it is called.\nOil last, in drops.',
    goodFor: 'the first sitting',
    route: 'acid',
    price: 17,
    reason: 'less sauce, more onion'
  }));
  step(96.8, 'p2', 'set-dish', () => ({
    name: 'Turbot, three slices',
    lines: 'Turbot or Halibut; 3 x 9; fish; oblique\nOlive oil; 1',
    goodFor: 'the counter',
    route: 'raw',
    price: 15
  }));
  step(96.6, 'p2', 'set-dish', () => ({
    name: 'Halibut, sliced to order',
    lines: 'Halibut; 60; fish\nOlive oil; 2',
    route: 'raw',
    price: 18
  }));
  step(96.4, 'p2', 'set-dish', () => ({
    name: 'Sablefish, grilled',
    lines: 'Sablefish; 110; fish\nOlive oil; 3',
    route: 'cooked',
    price: 24
  }));
  step(96.2, 'p2', 'set-dish', () => ({
    name: 'Cooked plate for children',
    lines: 'Rainbow / steelhead trout or Turbot; 70; fish\nOlive oil; 2',
    route: 'cooked',
    price: 9
  }));
  for (const [at, dish] of CARD.entries()) step(96 - at / 100, 'p2', 'set-dish', () => ({ ...dish }));
}

/** The rest of the card: what is on the counter tonight and what is not, so that the pass has dishes it is out of. */
const CARD = [
  {
    name: 'Kelp-pressed turbot',
    lines: 'Turbot; 5 x 10; fish; oblique\nKelp; 1\nBitter orange juice; 4',
    route: 'cured',
    source: 'farmed',
    price: 19
  },
  {
    name: 'Vinegared sardine',
    lines: 'Sardine; 60; fish\nPale rice vinegar; 12; sauce\nGinger; 2; garnish',
    route: 'acid',
    price: 14
  },
  {
    name: 'Translucent gurnard',
    lines: 'Gurnard; 18 x 3; fish; translucent\nSoy and yuzu; 15; sauce\nChives; 2; garnish',
    route: 'raw',
    price: 18
  },
  {
    name: 'Char, carved off the skin',
    lines: 'Arctic char; 5 x 12; fish; oblique\nSoured cream, horseradish and chive; 12; sauce',
    route: 'cured',
    price: 17
  },
  {
    name: 'Seared bonito',
    lines:
      'Atlantic bonito; 90; fish\nSoy, boiled wine and bonito; 20; sauce\nGarlic; 2; garnish\nSpring onion; 3; garnish',
    route: 'seared',
    price: 17
  },
  {
    name: 'Razor clams from the grill',
    lines: 'Razor clam, surf clam; 70; fish\nButter; 8\nGarlic; 2',
    route: 'cooked',
    price: 14
  },
  {
    name: 'Six oysters',
    lines: 'Oyster; 80; fish\nCharred onion vinegar; 12; sauce',
    route: 'raw',
    board: 'apart',
    notFor: 'who is under sixteen',
    price: 21
  },
  {
    name: 'Spoon-meat bowl',
    lines:
      'Rainbow / steelhead trout or Arctic char; 110; fish\nRice; 200; rice; bowl\nSesame, spring onion and chilli; 20; sauce\nEgg yolk; 16; garnish',
    route: 'raw',
    price: 16
  },
  {
    name: 'Turbot roll',
    lines: 'Turbot; 50; fish\nRice; 115; rice; inside-out\nLaver sheet; 1.5\nCucumber; 20\nWhite sesame; 2; garnish',
    route: 'raw',
    price: 13
  },
  {
    name: 'Thin bonito roll',
    lines: 'Atlantic bonito; 22; fish\nRice; 80; rice; thin\nLaver sheet; 1.5\nWasabi paste or powder; 1; garnish',
    route: 'raw',
    price: 9
  },
  {
    name: 'Hand roll of char and roe',
    lines: 'Arctic char; 30; fish\nRice; 50; rice; hand-roll\nLaver sheet; 1.5\nSalmon roe; 6',
    route: 'raw',
    price: 10
  },
  {
    name: 'Boiled octopus',
    lines: 'Octopus; 7 x 7; fish; ripple\nCider vinegar and dill; 12; sauce',
    route: 'cooked',
    price: 15
  },
  {
    name: 'Grilled collar',
    lines: 'Halibut or Sablefish or Amberjack / yellowtail; 180; fish\nFlake salt; 2\nLemon juice; 5; garnish',
    route: 'cooked',
    price: 16
  }
];
