import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const freezeWords = /* @__PURE__ */ words({
  tasks: {
    'freeze-reading': (seen) => `Read ${seen.place}`,
    'freeze-proof': (seen) => `Read the core: ${seen.place}`
  },
  steps: {
    freeze: (seen) => String(seen.place)
  }
} satisfies ActivityWords);
