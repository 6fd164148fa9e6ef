import { ingredientBooks, type IngredientBooks } from '../activity/acid/fold.ts';
import { ageBooks, type AgeBooks } from '../activity/age/fold.ts';
import { bookSlice, type Book } from '../activity/book/fold.ts';
import { knifeBooks, type KnifeBooks } from '../activity/board/fold.ts';
import { coldBooks, type ColdBooks } from '../activity/cold/fold.ts';
import { cureBooks, type CureBooks } from '../activity/cure/fold.ts';
import { houseBooks, type HouseBooks } from '../activity/house/fold.ts';
import { sliceBooks, type SliceBooks } from '../activity/slice/fold.ts';
import { partyBooks, type PartyBooks } from '../activity/tray/fold.ts';
import type { EventKind, RecordEvent } from './events.ts';
import type { HouseSlice } from './house-slice.ts';
import { viewed, type ViewOptions } from './view.ts';

/** How a house is set: every activity's books. */
export type HouseState = HouseBooks &
  ColdBooks &
  KnifeBooks &
  CureBooks &
  IngredientBooks &
  Book &
  SliceBooks &
  PartyBooks &
  AgeBooks & { readonly lastSeq: number };

const SLICES = [
  houseBooks,
  coldBooks,
  knifeBooks,
  cureBooks,
  ingredientBooks,
  bookSlice,
  sliceBooks,
  partyBooks,
  ageBooks
] as const;
type Heed = (house: HouseState, event: RecordEvent) => Partial<HouseState>;
const HEEDS = new Map(
  (SLICES as readonly HouseSlice<object>[]).flatMap(({ on }) => Object.entries(on) as [EventKind, Heed][])
);

/** A house before anybody has set anything. */
export const NEW_HOUSE: HouseState = Object.assign({ lastSeq: 0 }, ...SLICES.map(({ start }) => start)) as HouseState;

/** How the house is set, from its events. */
export function foldHouse(events: readonly RecordEvent[], options: ViewOptions = {}): HouseState {
  let house = NEW_HOUSE;
  for (const event of viewed(events, options)) {
    const heed = HEEDS.get(event.kind);
    if (heed) house = { ...house, ...heed(house, event), lastSeq: event.seq };
  }
  return house;
}
