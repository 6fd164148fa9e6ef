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
}
