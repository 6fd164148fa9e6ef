import { words } from '../speech.ts';
import type { sliceSet } from '../../core/activity/slice/plan.ts';
import type { PlanWords } from './plan.ts';

export const SLICE_FIELDS: PlanWords<typeof sliceSet> = /* @__PURE__ */ words({
  cut: {
    label: 'Cut',
    values: { oblique: 'Oblique, laid over (sogi-zukuri)', straight: 'Straight down (hira-zukuri)' }
  },
  length: { label: 'Length' },
  height: { label: 'Height' },
  width: { label: 'Width' },
  thickness: { label: 'Slice' },
  angle: { label: 'Blade from the board, °' }
});
