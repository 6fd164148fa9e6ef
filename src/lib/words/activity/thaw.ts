import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const thawWords = /* @__PURE__ */ words({
  entries: {
    'thaw.started': 'Thaw started',
    'thaw.ended': 'Taken out of the thaw'
  },
  tasks: {
    'thaw-due': (seen) => `Thawed? Read the core in ${seen.place}`
  },
  steps: {
    thaw: () => 'Thaw'
  }
} satisfies ActivityWords);
