import { span } from './say.ts';
import { words, type Said } from './speech.ts';
import type { AcidStyleId } from '../core/bench/acid/styles.ts';
import type { SauceKind } from '../core/activity/acid/sauce-body.ts';
import type { AcidCut, SetPoint } from '../core/activity/acid/lists.ts';

/** Words for the acid bench. */
export const LOOK_WORDS: Record<SetPoint, string> = /* @__PURE__ */ words({
  kissed: 'kissed',
  rimmed: 'rimmed',
  half: 'half the way in',
  nearly: 'nearly set',
  set: 'set through'
});
export const LOOK_MEANS: Record<SetPoint, string> = /* @__PURE__ */ words({
  kissed: 'a white skin under half a millimetre, raw inside',
  rimmed: 'a white rim, most of it raw',
  half: 'white half the way to the middle; of dice a small raw core is left',
  nearly: 'a raw line left in the middle',
  set: 'white all through'
});
export const CUT_WORDS: Record<AcidCut, string> = /* @__PURE__ */ words({
  dice: 'dice',
  brick: 'brick',
  slice: 'slice',
  cylinder: 'round, as a scallop',
  fillet: 'whole small fillet'
});
export const LIQUID_WORDS: Record<string, string> = /* @__PURE__ */ words({
  lime: 'lime',
  lemon: 'lemon',
  grapefruit: 'grapefruit',
  orange: 'sweet orange',
  'bitter-orange': 'bitter orange',
  verjuice: 'verjuice',
  'rice-vinegar': 'rice vinegar',
  'wine-vinegar': 'wine vinegar',
  'cider-vinegar': 'cider vinegar'
});

/** What each way of dressing with acid is called, and what it is. */
export const STYLE_WORDS: Record<AcidStyleId, { readonly name: string; readonly what: string }> = /* @__PURE__ */ words(
  {
    'at-the-pass': { name: 'Dressed at the pass', what: 'slices, spooned over and carried out at once' },
    'chilli-water': { name: 'Chilli-lime water', what: 'thin slices under a sharp, thin liquid' },
    minutes: { name: 'Ten minutes, raw inside', what: 'small dice, lime with a little orange' },
    'half-hour': { name: 'Half an hour, a raw core', what: 'small dice in lime, for people who want some of both' },
    'set-through': { name: 'Set through', what: 'small dice, white to the middle' },
    vinegared: { name: 'Small fillets in vinegar', what: 'salted first, skin on, rice vinegar with water' }
  }
);

export const SAUCE_KIND_WORDS: Record<SauceKind, string> = /* @__PURE__ */ words({
  citrus: 'Citrus',
  vinegar: 'Vinegar',
  'chilli-water': 'Chilli water',
  soy: 'Soy',
  sesame: 'Sesame',
  creamy: 'Creamy'
});

/** Of a liquid, as it is poured. */
export const millilitres = (ml: number): string => `${Math.round(ml)} ml`;
const RANGE_WORDS = /* @__PURE__ */ words({
  range: (from: Said, to: Said, never: Said) => `${from} to ${to}${never}`,
  mayNever: (ofHundred: Said) => `; may never (${ofHundred} of 100)`
});
/** Seconds as a hand can follow them: the longer, the coarser. */
export const acidSpan = (seconds: number): string =>
  span(
    seconds < 120
      ? Math.round(seconds / 5) * 5
      : seconds < 7200
        ? Math.round(seconds / 60) * 60
        : Math.round(seconds / 600) * 600
  );
/** From when to when, s; and in how many of the draws the acid runs out first, as fruit and fish differ. */
export const acidRange = (of: { low: number; high: number } | null | undefined, never = 0): string =>
  of
    ? RANGE_WORDS.range(
        acidSpan(of.low),
        acidSpan(of.high),
        never >= 0.005 ? RANGE_WORDS.mayNever(Math.round(never * 100)) : ''
      )
    : '…';
