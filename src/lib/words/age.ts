import { said, words } from './speech.ts';
import type { AdviceCode } from '../core/bench/age/advice.ts';
import type { LookField, PreparationStep } from '../core/activity/age/lists.ts';

/** Words for the ageing rack. */
export const LOOK_FIELD_WORDS: Record<LookField, string> = /* @__PURE__ */ words({
  skin: 'Skin',
  eye: 'Eye',
  smell: 'Smell',
  slime: 'Slime',
  firmness: 'Flesh'
});
const ANSWERS: Record<string, string> = /* @__PURE__ */ words({
  'skin dry': 'dry',
  'skin tacky': 'tacky',
  'skin wet': 'wet',
  'eye clear': 'clear',
  'eye dull': 'dull',
  'eye sunken': 'sunken',
  'eye no-head': 'no head on it',
  'smell clean': 'clean',
  'smell faint': 'faint, look again tonight',
  'smell off': 'off',
  'slime none': 'none',
  'slime some': 'some',
  'firmness firm': 'firm',
  'firmness springy': 'springy',
  'firmness soft': 'soft'
});
export const answerWords = /* @__PURE__ */ said(
  (field: string, answer: string): string => ANSWERS[`${field} ${answer}`] ?? answer
);
/** "smell off", as one reads it in a sentence. */
export const lookWords = /* @__PURE__ */ said(
  (field: string, answer: string): string =>
    `${(LOOK_FIELD_WORDS[field as LookField] ?? field).toLowerCase()} ${answerWords(field, answer)}`
);

export const PREPARATION_WORDS: Record<PreparationStep, string> = /* @__PURE__ */ words({
  scaled: 'scaled',
  gutted: 'gutted, blood line brushed out',
  scrubbed: 'scrubbed spotless, fins and gills too',
  wiped: 'wiped with strong neutral spirit, no flame near',
  dried: 'dried, inside as well',
  trimmed: 'trimmed of blood and ragged edges'
});

export const ADVICE_WORDS: Record<AdviceCode, string> = /* @__PURE__ */ words({
  stopped: 'Never: a sign ended its ageing',
  'not-cleared': 'Never raw: not cleared, see why',
  closed: 'Never raw: its last raw window has closed',
  'over-now': 'Take it out now: it has lost more than you want',
  'ready-for': 'Take it out for',
  'ready-no-service': 'Take it out now: it is ready, and no planned service is',
  'closes-first': 'Not as wanted: its window closes first',
  'never-reaches': 'Not as wanted: this air does not dry it so far',
  'after-services': 'Not for any service planned'
});
