import type { BodyOf } from '../../record/events.ts';
import { pieceSlice } from '../../record/slice.ts';
import { stamp, type Stamped } from '../../record/stamped.ts';

export interface SliceRun extends Stamped {
  readonly plan: BodyOf<'piece.sliced'>;
}

export const sliceSlice = pieceSlice<{ slices: SliceRun[] }>({
  start: () => ({ slices: [] }),
  on: {
    'piece.sliced': ({ slices }, event) => void slices.push({ ...stamp(event), plan: event.body })
  }
});
