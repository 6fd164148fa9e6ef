import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const inspectWords = /* @__PURE__ */ words({
  entries: {
    'lot.inspected': 'Inspected',
    'lot.identified': 'Identified by its marks',
    'exception.owned': 'Responsibility taken',
    'exception.withdrawn': 'Responsibility undone'
  },
  tasks: {},
  steps: {}
} satisfies ActivityWords);
