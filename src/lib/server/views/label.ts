import { labelOf, type LabelData } from '../../core/trace/label.ts';
import { businessDay } from '../../core/measure/day.ts';
import { stateAt } from '../../core/codes/window.ts';
import type { LotState } from '../../core/record/lot.ts';
import { originWords } from '../../words/labels.ts';
import type { Room } from '../room.ts';
import { namesOf } from '../../core/codes/allergens.ts';
import { toldOfPiece } from '../facts/declarations.ts';
import { candidatesOfLot } from '../facts/lot-species.ts';
import { presentOf } from './now.ts';

function originOf({ received }: LotState): string {
  const { supplier, source, area, faoArea, caughtOn } = received;
  const grounds = [area, faoArea && `FAO ${faoArea}`].filter(Boolean).join(', ');
  return originWords({ supplier, source, grounds, caughtOn: caughtOn ?? null });
}

/** What stands on the label of a piece. */
export function labelData(room: Room, pieceId: string): LabelData {
  const { store } = room;
  const house = store.projections.currentHouse();
  const now = presentOf(room);
  const { state, lots, windows } = store.projections.piece(pieceId);
  const all = lots.map((id) => store.projections.lot(id));
  const told = namesOf(toldOfPiece(store, pieceId, house));
  const warn = house.warnMinutes * 60;
  return labelOf({
    code: pieceId,
    name: state.made.name,
    species: [
      ...new Set(
        all.map(
          (lot) =>
            candidatesOfLot(lot, house)
              .map(({ name }) => name)
              .join(' or ') || 'unidentified'
        )
      )
    ],
    lots,
    grams: state.grams,
    madeOn: businessDay(state.made.at, house),
    place: state.place?.place ?? '',
    use: state.made.use,
    windows: windows.map((window) => ({ ...window, state: stateAt(window, now, warn) })),
    origins: [...new Set(all.map(originOf))],
    allergens: told.holds,
    mayHold: told.mayHold,
    unsaid: told.unsaid,
    zone: house.zone,
    dayEndsHour: house.dayEndsHour,
    now
  });
}
