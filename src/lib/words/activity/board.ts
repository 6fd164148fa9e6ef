import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const boardWords = /* @__PURE__ */ words({
  tasks: {
    'board-open': () => 'Finish the board: it is out of the cold'
  },
  steps: {
    board: () => 'Board'
  }
} satisfies ActivityWords);
