import { words } from '../speech.ts';
import type { ActivityWords } from './words.ts';

export const sliceWords = /* @__PURE__ */ words({
  entries: {
    'piece.sliced': 'Sliced',
    'piece.squared': 'Squared into blocks',
    'block.sized': 'Block measured',
    'knife.set': 'Knife set',
    'knife.sharpened': 'Knife sharpened',
    'style.set': 'Cut set',
    'cut.set': 'Cut of the house set',
    'slices.lifted': 'Lifted off the board',
    'slices.weighed': 'Slices weighed'
  },
  tasks: { 'knife-due': (seen) => `Sharpen it: ${seen.strokes} strokes since` },
  steps: {
    slice: (seen) => `${seen.pieces} slices`
  }
} satisfies ActivityWords);
