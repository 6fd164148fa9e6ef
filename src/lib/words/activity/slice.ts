import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const sliceWords = /* @__PURE__ */ words({
  tasks: { 'knife-due': (seen) => `Sharpen it: ${seen.strokes} strokes since` },
  steps: {
    slice: (seen) => `${seen.pieces} slices`
  }
} satisfies ActivityWords);
