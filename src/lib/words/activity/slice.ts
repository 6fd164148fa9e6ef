import type { ActivityWords } from './words.ts';

export const sliceWords = {
  entries: {
    'piece.sliced': 'Sliced'
  },
  tasks: {},
  steps: {
    slice: (seen) => `${seen.pieces} slices`
  }
} satisfies ActivityWords;
