import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const receiveWords = /* @__PURE__ */ words({
  tasks: {},
  steps: {}
} satisfies ActivityWords);
