import type { ActivityWords } from './words.ts';

export const bookWords = {
  entries: {
    'recipe.set': 'Recipe set',
    'recipe.noted': 'Recipe noted',
    'sauce.set': 'Sauce set',
    'sauce.noted': 'Sauce noted',
    'dish.set': 'Dish set',
    'dish.noted': 'Dish noted'
  },
  tasks: {},
  steps: {}
} satisfies ActivityWords;
