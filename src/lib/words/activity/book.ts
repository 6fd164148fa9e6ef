import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const bookWords = /* @__PURE__ */ words({
  entries: {
    'recipe.set': 'Recipe set',
    'recipe.noted': 'Recipe noted',
    'sauce.set': 'Sauce set',
    'sauce.noted': 'Sauce noted',
    'dish.set': 'Dish set',
    'dish.noted': 'Dish noted',
    'dish.off': 'Dish off or on'
  },
  tasks: {},
  steps: {}
} satisfies ActivityWords);
