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
  stopped: 'Never: off the rack, a sign stopped it',
  'not-cleared': 'Never raw: not cleared, see why',
  closed: 'Never raw: its last raw window has closed',
  'over-now': 'Pull now: it has lost more than you wanted',
  'ready-for': 'Pull for',
  'ready-no-service': 'Pull now: ready, and no service ahead finds it so',
  'closes-first': 'Never as wanted: its window closes before it is there',
  'never-reaches': 'Never as wanted: this air does not take so much out of it',
  'after-services': 'Not for any service planned'
});
