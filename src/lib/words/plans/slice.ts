import { words } from '../speech.ts';
import type { sliceSet, squareSet } from '../../core/activity/slice/plan.ts';
import type { plateSet } from '../../core/activity/slice/plate.ts';
import type { ruler } from '../../core/activity/slice/ruler.ts';
import { ARRANGEMENT_WORDS, PURPOSE_WORDS } from '../slices.ts';
import { STYLE_WORDS } from '../knife-names.ts';
import type { PlanWords } from './plan.ts';

const RULER_WORDS = {
  length: { label: 'Length' },
  height: { label: 'Height, head end' },
  width: { label: 'Width, head end' },
  height1: { label: 'Height at a quarter' },
  height2: { label: 'Height in the middle' },
  height3: { label: 'Height at three quarters' },
  height4: { label: 'Height, tail end', hint: 'empty: as before it' },
  width1: { label: 'Width at a quarter' },
  width2: { label: 'Width in the middle' },
  width3: { label: 'Width at three quarters' },
  width4: { label: 'Width, tail end', hint: 'empty: as before it' },
  edge: { label: 'Thin edge, % of the thick', hint: '100: squared' },
  slantHead: { label: 'Head end slants by' },
  slantTail: { label: 'Tail end slants by' }
} satisfies PlanWords<typeof ruler>;

export const SLICE_FIELDS: PlanWords<typeof sliceSet> = /* @__PURE__ */ words({
  purpose: { label: 'For', values: PURPOSE_WORDS },
  style: { label: 'Cut', values: STYLE_WORDS },
  cut: { label: 'As the house cuts it' },
  by: { label: 'Each slice', values: { weight: 'by weight', thickness: 'by thickness' } },
  grams: { label: 'One slice' },
  thickness: { label: 'Thickness' },
  angle: { label: 'Blade from the board, °' },
  hand: { label: 'Your hand, times', hint: '1: as wanted' },
  ...RULER_WORDS,
  grain: { label: 'Grain, ° off its length', hint: '0: it runs along the block' },
  first: { label: 'Begin at', values: { head: 'the head end', tail: 'the tail end' } },
  tail: { label: 'Stringy tail kept back', hint: 'for dice or mince' },
  count: { label: 'How many', hint: 'empty: all it gives' },
  style2: { label: 'Then', values: { '': 'nothing more', ...STYLE_WORDS } },
  grams2: { label: 'One of these' },
  count2: { label: 'How many of these', hint: 'empty: the rest' },
  style3: { label: 'Last', values: { '': 'nothing more', ...STYLE_WORDS } },
  grams3: { label: 'One of the last' },
  count3: { label: 'How many of the last', hint: 'empty: the rest' }
});

export const SQUARE_FIELDS: PlanWords<typeof squareSet> = /* @__PURE__ */ words({
  ...RULER_WORDS,
  edge: { label: 'Thin edge, % of the thick', hint: 'as it lies there' },
  skin: { label: 'Shaved off for the skin', hint: 'empty: its skin is off' },
  dark: { label: 'Dark strip, width', hint: 'along the thick edge; empty: none' },
  wantHeight: { label: 'Block height' },
  wantWidth: { label: 'Block width' },
  least: { label: 'Shortest block' }
});

export const PLATE_FIELDS: PlanWords<typeof plateSet> = /* @__PURE__ */ words({
  arrangement: { label: 'Laid', values: ARRANGEMENT_WORDS },
  plate: { label: 'Plate, across' },
  each: { label: 'Slices a plate', hint: 'odd numbers lie better' }
});
