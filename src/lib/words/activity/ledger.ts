import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const ledgerWords = /* @__PURE__ */ words({
  entries: {
    'day.signed': 'Day signed',
    'backup.made': 'Backup made',
    'clock.behind': 'Clock read behind the ledger',
    'clock.confirmed': 'Clock looked at and found right',
    'clock.corrected': 'Times of a wrong clock put right',
    'loss.confirmed': 'Went on without lost entries',
    'entry.amended': 'Corrected'
  },
  tasks: {},
  steps: {}
} satisfies ActivityWords);
