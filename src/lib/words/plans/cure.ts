import { words } from '../speech.ts';
import type { cureLaid, cureSet } from '../../core/activity/cure/plan.ts';
import { DOSING_WORDS, PACK_WORDS } from '../cure.ts';
import { CURE_NAMES } from '../cure-names.ts';
import type { PlanWords } from './plan.ts';

type Set = Readonly<Record<string, string>>;
/** A word that goes by the school. */
const by =
  (words: Readonly<Record<string, string>>) =>
  ({ method = '' }: Set): string =>
    words[method] ?? words.else ?? '';

export const CURE_FIELDS: PlanWords<typeof cureSet & typeof cureLaid> = /* @__PURE__ */ words({
  method: {
    label: 'School',
    values: Object.fromEntries(Object.entries(CURE_NAMES).map(([id, { name }]) => [id, name]))
  },
  thickness: { label: 'Thickness, thick end' },
  thin: { label: 'Thin end' },
  faces: { label: 'Open to the salt', values: { 1: 'one face (skin on)', 2: 'both faces' } },
  celsius: { label: 'Kept at' },
  salt: {
    label: by({
      cover: 'Rate, of fish',
      weighed: 'Salt, finished',
      brine: 'Salt, of brine',
      film: 'Salt, of fish',
      desalt: 'Salt in it now',
      marinade: 'Salt, of paste',
      else: 'Salt'
    })
  },
  sugar: { label: by({ brine: 'Sugar, of it', marinade: 'Sugar, of it', else: 'Sugar, of fish' }) },
  parts: { label: 'Salt to sugar', placeholder: '2:1' },
  rateMeans: { label: 'The rate is of', values: { salt: 'the salt', mix: 'the whole mix' } },
  hours: {
    label: by({
      cover: 'Under salt',
      weighed: 'In the cure',
      brine: 'In the brine',
      film: 'Under the film',
      desalt: 'Each water',
      marinade: 'In the paste',
      else: 'Time'
    })
  },
  rest: { label: 'Rest after' },
  target: { label: 'Wanted in the middle' },
  dosing: { label: 'Shared out', values: DOSING_WORDS },
  liquid: { label: 'Liquid it draws', values: { kept: 'stays with it', drained: 'drains off' } },
  bathTimes: {
    label: by({ desalt: 'Water, × the fish', brine: 'Brine, × the fish', else: 'Paste, × the fish' })
  },
  changes: { label: 'Waters in all' },
  presalt: { label: 'Salted first with' },
  presaltMinutes: { label: 'Salted first for, min' },
  pasteWater: { label: 'Water in it' },
  flat: { label: 'Take it as even' },
  place: { label: 'Where it lies', placeholder: 'Drawer 1' },
  pack: { label: 'Packed', values: PACK_WORDS },
  turned: { label: 'Turned and basted (else left closed)' },
  pressed: { label: 'Pressed' },
  recipe: { label: 'From the recipe book' },
  also: { label: 'Laid on besides', placeholder: 'Soy sauce, Ginger' },
  readyBy: { label: 'Ready by' }
});
