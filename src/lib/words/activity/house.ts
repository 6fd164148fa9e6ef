import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const houseWords = /* @__PURE__ */ words({
  tasks: {},
  steps: {}
} satisfies ActivityWords);
