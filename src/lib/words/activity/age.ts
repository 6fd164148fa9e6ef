import { words } from '../speech.ts';
import { lookWords } from '../age.ts';
import type { ActivityWords } from './words.ts';

export const ageWords = /* @__PURE__ */ words({
  tasks: {
    'age-look': (seen) => `Look at it and weigh it: ${seen.place}`,
    'age-ready': (seen) => `Aged as wanted, by forecast: ${seen.place}`,
    'age-stopped': (seen) => `Take it out of the rack: ${lookWords(String(seen.field), String(seen.answer))}`
  },
  steps: {
    age: (seen) => String(seen.place)
  }
} satisfies ActivityWords);
