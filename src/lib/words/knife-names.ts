import type { SHARPENINGS, StyleId } from '../core/activity/slice/lists.ts';
import { words } from './speech.ts';

/** Styles by plain names, the Japanese term beside where there is one. */
export const STYLE_WORDS: Readonly<Record<StyleId, string>> = /* @__PURE__ */ words({
  straight: 'Straight down (hira-zukuri)',
  oblique: 'Oblique, laid over (sogi-zukuri)',
  translucent: 'Translucent oblique (usu-zukuri)',
  strips: 'Fine strips (ito-zukuri)',
  cubes: 'Cubes (kaku-zukuri)',
  ripple: 'Rippled (sazanami-zukuri)',
  scored: 'Double cut, scored (yaezukuri)',
  bias: 'Long thin bias, off the skin'
});
/** How an edge was brought back. */
export const SHARPENING_WORDS: Readonly<Record<(typeof SHARPENINGS)[number], string>> = /* @__PURE__ */ words({
  stone: 'on the stones',
  'touched-up': 'touched up',
  'sent-out': 'sent out'
});
