import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const houseWords = /* @__PURE__ */ words({
  entries: {
    'species.set': 'Species set',
    'profile.set': 'Rule copy set',
    'sheet.set': 'Sheet set',
    'notice.set': 'Notice set',
    'document.filed': 'Document filed',
    'house.set': 'House set',
    'person.joined': 'Person joined',
    'person.forgotten': 'Person forgotten'
  },
  tasks: {},
  steps: {}
} satisfies ActivityWords);
