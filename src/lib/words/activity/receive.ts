import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const receiveWords = /* @__PURE__ */ words({
  entries: {
    'lot.received': 'Lot received',
    'lot.returned': 'Sent back',
    'delivery.opened': 'Delivery started',
    'delivery.closed': 'Delivery finished',
    'note.imported': 'Delivery note taken in'
  },
  tasks: {},
  steps: {}
} satisfies ActivityWords);
