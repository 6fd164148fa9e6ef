import type { ActivityWords } from './words.ts';

export const papersWords = {
  entries: {
    'tag.closed': 'Tag: last served',
    'evidence.attached': 'Paper attached'
  },
  tasks: {},
  steps: {}
} satisfies ActivityWords;
