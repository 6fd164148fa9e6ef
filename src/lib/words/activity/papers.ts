import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const papersWords = /* @__PURE__ */ words({
  entries: {
    'tag.closed': 'Tag: last served',
    'evidence.attached': 'Paper attached'
  },
  tasks: {},
  steps: {}
} satisfies ActivityWords);
