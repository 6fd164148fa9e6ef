import type { BodyOf } from '../../record/events.ts';
import { changeLast, pieceSlice } from '../../record/slice.ts';
import { stamp, type Stamped } from '../../record/stamped.ts';

export interface ThawRun extends Stamped {
  readonly plan: BodyOf<'thaw.started'>;
  readonly ended: (Stamped & BodyOf<'thaw.ended'>) | null;
}

export const thawSlice = pieceSlice<{ thaws: ThawRun[] }>({
  start: () => ({ thaws: [] }),
  on: {
    'thaw.started': ({ thaws }, event, piece) => {
      thaws.push({ ...stamp(event), plan: event.body, ended: null });
      piece.liesIn(event, event.body.place, 'thaw');
    },
    'thaw.ended': ({ thaws }, event) => changeLast(thaws, () => ({ ended: { ...stamp(event), ...event.body } }))
  }
});
