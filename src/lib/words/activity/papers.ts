import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const papersWords = /* @__PURE__ */ words({
  tasks: {},
  steps: {}
} satisfies ActivityWords);
