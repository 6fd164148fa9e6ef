import { show } from '../../service/show.ts';

/** Slices want nothing of hands; they stand on the chart. */
export const sliceShow = show({
  codes: [],
  tasks: () => [],
  steps: ({ slices }) =>
    slices.map(({ at, plan }) => ({ kind: 'slice', from: at, to: at, seen: { pieces: plan.pieces } }))
});
