import { ROUTE_WORDS } from '../findings.ts';
import * as say from '../say.ts';
import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const pieceWords = /* @__PURE__ */ words({
  tasks: {
    'label-stale': ({ route, until }) => {
      const way = ROUTE_WORDS[route as keyof typeof ROUTE_WORDS];
      return until === ''
        ? `Print its label anew: it says ${way}, which is shut`
        : `Print its label anew: ${way} ends ${say.dayAndTime(Number(until))}, sooner than it says`;
    }
  },
  steps: {}
} satisfies ActivityWords);
