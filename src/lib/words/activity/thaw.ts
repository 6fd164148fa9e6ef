import type { ActivityWords } from './words.ts';

export const thawWords = {
  entries: {
    'thaw.started': 'Thaw begun',
    'thaw.ended': 'Thawed'
  },
  tasks: {
    'thaw-due': (seen) => `Thawed? Read the core in ${seen.place}`
  },
  steps: {
    thaw: () => 'Thaw'
  }
} satisfies ActivityWords;
