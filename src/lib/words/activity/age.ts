import { words } from '../speech.ts';
import { lookWords } from '../age.ts';
import type { ActivityWords } from './words.ts';

export const ageWords = /* @__PURE__ */ words({
  entries: {
    'age.started': 'Hung to age',
    'age.weighed': 'Weighed on the rack',
    'age.moved': 'Moved on the rack',
    'age.looked': 'Looked at on the rack',
    'age.ended': 'Taken out of the rack',
    'ageing.set': 'Ageing rules set',
    'rack.set': 'Rack set',
    'service.set': 'Service set'
  },
  tasks: {
    'age-look': (seen) => `Look at it and weigh it: ${seen.place}`,
    'age-ready': (seen) => `Aged as wanted, by forecast: ${seen.place}`,
    'age-stopped': (seen) => `Take it out of the rack: ${lookWords(String(seen.field), String(seen.answer))}`
  },
  steps: {
    age: (seen) => String(seen.place)
  }
} satisfies ActivityWords);
