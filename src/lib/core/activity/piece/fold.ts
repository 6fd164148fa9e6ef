import type { BodyOf } from '../../record/events.ts';
import { pieceSlice } from '../../record/slice.ts';
import { stamp, type Stamped } from '../../record/stamped.ts';

interface PieceKept {
  /** Where it was put last; null where nobody said. */
  place: (Stamped & BodyOf<'piece.moved'>) | null;
  /** Thickness along it, as it was measured last. */
  depth: (Stamped & BodyOf<'piece.profiled'>) | null;
  /** The label it bears: the one printed last. */
  label: (Stamped & BodyOf<'label.printed'>) | null;
}

export const ownSlice = pieceSlice<PieceKept>({
  start: () => ({ place: null, depth: null, label: null }),
  on: {
    'piece.made': (_, event, piece) => {
      piece.made = { ...stamp(event), ...event.body };
      piece.grams = event.body.mass.si;
      if (event.body.board !== null) piece.goesOut(event, null);
    },
    'piece.gave': (_, event, piece) => {
      piece.grams -= event.body.grams;
      piece.leave('divided', event);
    },
    'piece.wasted': (_, event, piece) => {
      piece.grams -= event.body.mass.si;
      piece.leave('divided', event);
    },
    'piece.moved': (kept, event, piece) => {
      kept.place = { ...stamp(event), ...event.body };
      if (event.body.cold) piece.comesBack(event, event.body.core);
      else piece.goesOut(event, event.body.core);
      piece.liesIn(event, event.body.place);
    },
    'piece.reweighed': (_, event, piece) => {
      piece.grams = event.body.mass.si;
    },
    'piece.profiled': (kept, event) => {
      kept.depth = { ...stamp(event), ...event.body };
    },
    'label.printed': (kept, event) => {
      kept.label = { ...stamp(event), ...event.body };
    }
  }
});
