import { words } from '../speech.ts';
import type { School } from '../../core/activity/cure/lists.ts';
import { CURE_NAMES, cureStepWords } from '../cure-names.ts';
import type { ActivityWords } from './words.ts';

export const cureWords = /* @__PURE__ */ words({
  tasks: {
    'cure-due': (seen) => `Take out: ${CURE_NAMES[seen.method as School]?.noun ?? 'cure'}`,
    'cure-step': (seen) => cureStepWords(String(seen.step)),
    'cure-paused': () => 'Its cure is paused: go on, or take it out'
  },
  steps: {
    cure: (seen) => CURE_NAMES[seen.method as School].name
  }
} satisfies ActivityWords);
