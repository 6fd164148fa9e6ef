import { said, words } from './speech.ts';
import type { GoneHow, Hindrance, Occupant } from '../core/record/occupation.ts';

const IN: Record<Occupant, string> = /* @__PURE__ */ words({
  board: 'on the board',
  freezer: 'in a freezer',
  thaw: 'thawing',
  cure: 'in a cure',
  acid: 'in acid',
  rack: 'on the ageing rack',
  tray: 'on a tray already'
});
const NOT_IN: Record<Occupant, string> = /* @__PURE__ */ words({
  board: 'not on the board',
  freezer: 'not in a freezer',
  thaw: 'not thawing',
  cure: 'not in a cure',
  acid: 'not in acid',
  rack: 'not on the ageing rack',
  tray: 'not on a tray'
});

/** How a piece ended. */
export const GONE_WORDS: Record<GoneHow, string> = /* @__PURE__ */ words({
  discarded: 'binned',
  served: 'served',
  divided: 'divided',
  returned: 'sent back'
});

/** Why a step may not begin with a piece, as a sentence ends with it. */
export const hindranceWords = /* @__PURE__ */ said(function hindranceWords(hindrance: Hindrance): string {
  if (hindrance.kind === 'gone') return GONE_WORDS[hindrance.how];
  return (hindrance.kind === 'in' ? IN : NOT_IN)[hindrance.occupant];
});
