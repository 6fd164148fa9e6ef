import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const boardWords = /* @__PURE__ */ words({
  entries: {
    'board.opened': 'Cutting started',
    'board.closed': 'Board finished',
    'template.set': 'Division set',
    'kitchen.set': 'Kitchen values set'
  },
  tasks: {
    'board-open': () => 'Finish the board: it is out of the cold'
  },
  steps: {
    board: () => 'Board'
  }
} satisfies ActivityWords);
