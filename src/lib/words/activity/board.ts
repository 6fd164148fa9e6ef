import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const boardWords = /* @__PURE__ */ words({
  entries: {
    'board.opened': 'On the board',
    'board.closed': 'Board closed',
    'template.set': 'Division set',
    'kitchen.set': 'Kitchen values set'
  },
  tasks: {
    'board-open': () => 'Close the board: it lies out of the cold'
  },
  steps: {
    board: () => 'Board'
  }
} satisfies ActivityWords);
