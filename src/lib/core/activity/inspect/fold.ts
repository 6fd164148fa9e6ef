import type { BodyOf } from '../../record/events.ts';
import { pieceSlice } from '../../record/slice.ts';
import { stamp, type Stamped } from '../../record/stamped.ts';

export type OwnedException = Stamped & BodyOf<'exception.owned'>;

/** Exceptions in force, each answered for by the person who recorded it. */
export const inspectSlice = pieceSlice<{ exceptions: OwnedException[] }>({
  start: () => ({ exceptions: [] }),
  on: {
    'exception.owned': ({ exceptions }, event) => void exceptions.push({ ...stamp(event), ...event.body }),
    'exception.withdrawn': ({ exceptions }, event) => {
      const index = exceptions.findIndex(({ seq }) => seq === event.body.exception);
      if (index >= 0) exceptions.splice(index, 1);
    }
  }
});
