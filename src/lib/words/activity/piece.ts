import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const pieceWords = /* @__PURE__ */ words({
  entries: {
    'piece.made': 'Piece made',
    'piece.gave': 'Piece divided',
    'piece.wasted': 'Waste weighed',
    'piece.moved': 'Moved',
    'piece.reweighed': 'Weighed again',
    'piece.profiled': 'Depth measured',
    'label.printed': 'Label printed'
  },
  tasks: {},
  steps: {}
} satisfies ActivityWords);
