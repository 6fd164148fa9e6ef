import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const trayWords = /* @__PURE__ */ words({
  tasks: {
    'tray-discard': (seen) => `Bin ${seen.label}`
  },
  steps: {
    hold: (seen) => String(seen.label)
  }
} satisfies ActivityWords);
