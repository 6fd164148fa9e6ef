import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const freezeWords = /* @__PURE__ */ words({
  entries: {
    'freeze.started': 'Into the freezer',
    'freeze.read': 'Freezer reading',
    'freeze.replanned': 'Freezing forecast again',
    'freeze.ended': 'Taken out of the freezer'
  },
  tasks: {
    'freeze-reading': (seen) => `Read ${seen.place}`,
    'freeze-proof': (seen) => `Read the core: ${seen.place}`
  },
  steps: {
    freeze: (seen) => String(seen.place)
  }
} satisfies ActivityWords);
