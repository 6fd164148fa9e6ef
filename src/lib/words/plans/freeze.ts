import { words } from '../speech.ts';
import type { freezeSet } from '../../core/activity/freeze/plan.ts';
import { AIR_WORDS, LIE_WORDS, PACKING_WORDS, SHAPE_WORDS } from '../cold.ts';
import type { PlanWords } from './plan.ts';

export const FREEZE_FIELDS: PlanWords<typeof freezeSet> = /* @__PURE__ */ words({
  place: { label: 'Freezer', placeholder: 'Chest freezer' },
  cycle: { label: 'Cycle of the rule book' },
  air: { label: 'Freezer air' },
  airClass: { label: 'What moves the air', values: AIR_WORDS },
  packing: { label: 'Packed', values: PACKING_WORDS },
  shape: { label: 'Shape', values: SHAPE_WORDS },
  lie: { label: 'How they lie', values: LIE_WORDS },
  stack: { label: 'How many on each other' },
  thickness: { label: ({ lie }) => (lie === 'apart' ? 'Thickest point' : 'Thickest point of one') },
  startCore: { label: 'Core now' },
  coreSensor: {
    label: 'A probe in this core',
    hint: 'of the thickest piece; its readings then count for this load'
  }
});
