import { words } from '../speech.ts';
import type { thawSet } from '../../core/activity/thaw/plan.ts';
import { PACKING_WORDS, PACK_WORDS, SHAPE_WORDS } from '../cold.ts';
import type { PlanWords } from './plan.ts';

export const THAW_FIELDS: PlanWords<typeof thawSet> = /* @__PURE__ */ words({
  method: { label: 'How', values: { cold: 'in the cold, slowly', water: 'under running water' } },
  place: { label: 'Where' },
  medium: { label: ({ method }) => (method === 'water' ? 'Water' : 'Air of the drawer') },
  packing: { label: 'Packed', values: PACKING_WORDS },
  shape: { label: 'Shape', values: SHAPE_WORDS },
  pack: { label: 'Oxygen', values: PACK_WORDS },
  thickness: { label: 'Thickest point' },
  startCore: { label: 'Core now' }
});
