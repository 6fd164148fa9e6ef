import { words } from '../speech.ts';
import { CUTS, SET_POINTS } from '../../core/activity/acid/lists.ts';
import type { acidLaid, acidSet } from '../../core/activity/acid/plan.ts';
import { CUT_WORDS, LOOK_WORDS } from '../acid.ts';
import type { PlanWords } from './plan.ts';

const SIZES: Record<string, string> = /* @__PURE__ */ words({
  dice: 'Edge',
  brick: 'First edge',
  slice: 'Thickness',
  cylinder: 'Across',
  fillet: 'Thickness'
});

export const ACID_FIELDS: PlanWords<typeof acidSet & typeof acidLaid> = /* @__PURE__ */ words({
  cut: { label: 'Cut', values: Object.fromEntries(CUTS.map((cut) => [cut, CUT_WORDS[cut]])) },
  size: { label: ({ cut = '' }) => SIZES[cut] ?? 'Size' },
  second: { label: ({ cut }) => (cut === 'cylinder' ? 'High' : 'Second edge') },
  third: { label: 'Third edge' },
  faces: { label: 'Acid comes in by', values: { 1: 'one side (skin on)', 2: 'both sides' } },
  mass: { label: 'Fish in it at a time', hint: 'empty: all of it; for a dip, as much as goes in at once' },
  celsius: { label: 'Kept at' },
  liquid: { label: 'The liquid' },
  measuredPH: { label: 'pH by meter', hint: 'empty: reckoned from its parts' },
  wanted: { label: 'How far', values: Object.fromEntries(SET_POINTS.map((look) => [look, LOOK_WORDS[look]])) },
  pace: { label: 'Pace against the shipped figure' },
  salt: { label: 'Salt in the liquid' },
  later: {
    label: 'For those who want it less raw',
    values: {
      '': 'one time for all',
      ...Object.fromEntries(SET_POINTS.map((look) => [look, `a second time, ${LOOK_WORDS[look]}`]))
    }
  },
  place: { label: 'Where it stands', placeholder: 'Drawer 1' },
  also: { label: 'Else in the liquid', placeholder: 'Red onion, Celery' }
});
