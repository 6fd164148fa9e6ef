import { words } from '../speech.ts';
import type { SetPoint } from '../../core/activity/acid/lists.ts';
import { LOOK_WORDS } from '../acid.ts';
import type { ActivityWords } from './words.ts';

export const acidWords = /* @__PURE__ */ words({
  tasks: {
    'acid-ready': (seen) => `Cut one: ${LOOK_WORDS[seen.wanted as SetPoint] ?? 'ready'}? Then take it out`,
    'acid-out': () => 'Take it out of the acid: it is ready',
    'acid-later': (seen) => `For those who want it less raw: ${LOOK_WORDS[seen.wanted as SetPoint] ?? 'ready'}`,
    'acid-past': () => 'Past its best in acid: take it out'
  },
  steps: {
    acid: () => 'Acid'
  }
} satisfies ActivityWords);
