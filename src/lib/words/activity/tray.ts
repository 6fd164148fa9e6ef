import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const trayWords = /* @__PURE__ */ words({
  entries: {
    'hold.started': 'Tray started',
    'hold.read': 'Tray reading',
    'piece.benched': 'Cut to order',
    'piece.served': 'Served',
    'piece.discarded': 'Binned',
    'party.set': 'Cook’s choice',
    'party.sent': 'Course sent'
  },
  tasks: {
    'tray-discard': (seen) => `Bin ${seen.label}`
  },
  steps: {
    hold: (seen) => String(seen.label)
  }
} satisfies ActivityWords);
