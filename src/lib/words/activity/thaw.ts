import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const thawWords = /* @__PURE__ */ words({
  tasks: {
    'thaw-due': (seen) => `Thawed? Read the core in ${seen.place}`
  },
  steps: {
    thaw: () => 'Thaw'
  }
} satisfies ActivityWords);
