import { stateAt, type Route } from '../../core/codes/window.ts';
import { catalogueOf, speciesIn } from '../../core/fish/house-species.ts';
import { mayBegin } from '../../core/record/occupation.ts';
import type { HouseState } from '../../core/record/house.ts';
import { platesLeft, type Stock, type Wanted } from '../../core/service/pass.ts';
import { speciesCalled } from '../../core/fish/species.ts';
import { namesOf } from '../../core/codes/allergens.ts';
import { toldTogether, type Told } from '../../core/ingredients/ingredient.ts';
import type { Room } from '../room.ts';
import type { Store } from '../store/store.ts';
import { bookOf, type BookPage } from './book.ts';
import { toldOfPiece } from './declarations.ts';
import { toldOfDish } from './dishes.ts';

/** The species a cook means by a name: only where it means one. */
export function speciesMeant(name: string, house: HouseState): string | null {
  const catalogue = catalogueOf(house.species);
  const byId = catalogue.find(({ id }) => id === name);
  if (byId) return byId.id;
  const called = speciesCalled(name, catalogue);
  return called.length === 1 ? called[0]!.id : null;
}

/** Fish of a dish by the plate; null where it does not say how it is eaten, or which fish it is. */
export function wantsOf({ route, lines }: Pick<BookPage<'dish'>, 'route' | 'lines'>): Wanted[] | null {
  const fish = lines.filter(({ kind }) => kind === 'fish');
  if (route === '' || fish.length === 0 || fish.some(({ species }) => species.length === 0)) return null;
  return fish.map(({ species, style, count, grams }) => ({ species, style, count, grams }));
}

/** Every species a piece may be of: of a mix those of all its lots. */
function speciesOfPiece({ projections }: Store, id: string): string[] {
  return [...new Set(projections.piece(id).lots.flatMap((lot) => projections.lot(lot).species))];
}

/** What may go to a guest by a route at a moment, as the pass takes it. */
export function stockOf(store: Store, route: Route, now: number): Stock[] {
  return store.projections.livePieces().flatMap(({ state, lot, windows }): Stock[] => {
    const window = windows.find((each) => each.route === route);
    const isOpen = window && ['open', 'ebbing'].includes(stateAt(window, now, 0));
    if (!isOpen || lot.received.purpose !== 'sale' || !mayBegin(state, 'serve') || state.grams <= 0) return [];
    const slices = state.lifted?.what === 'slices' && state.slices.length === 0 ? state.lifted : null;
    const tray = state.holds.at(-1)?.plan.discardAt ?? null;
    if (tray !== null && tray <= now) return [];
    return [
      {
        id: state.id,
        species: speciesOfPiece(store, state.id),
        style: slices?.style ?? '',
        gramsEach: slices?.gramsEach ?? null,
        grams: state.grams,
        tray,
        closes: window.closes
      }
    ];
  });
}

/** A dish as the pass shows it. */
export interface PassDish {
  readonly id: string;
  readonly name: string;
  readonly route: Route;
  readonly plates: number;
  /** Plates with another fish instead, once those are gone. */
  readonly instead: number;
  readonly insteadOf: string;
  /** When the next plate's fish has to be gone, ms. */
  readonly until: number | null;
  /** What there is not enough of for one more. */
  readonly short: string;
  readonly off: boolean;
  readonly allergens: readonly string[];
  readonly mayHold: readonly string[];
  readonly unsaid: readonly string[];
}

/** Entries that are looked through for them, and plates that are shown. */
const MOST_LATELY = 60;
const MOST_PLATES = 6;
/** How long back a plate may be taken back, ms. */
export const BACK_MS = 15 * 60_000;

/** What is told with a plate: what its pages hold, and what is in each piece it is of, with all that was put on it. */
export const toldOfPlate = (
  house: HouseState,
  dish: Pick<BookPage<'dish'>, 'lines' | 'allergens'>,
  fish: readonly Told[],
  now: number
): Told => toldTogether([toldOfDish(house, dish, now), ...fish]);

/** Tonight's dishes with what is left of each, and dishes that do not say enough to be served by the plate. */
export function passView(room: Room) {
  const now = room.clock.now();
  const { projections } = room.store;
  const house = projections.currentHouse();
  // A piece is on several dishes: what is in it is asked once.
  const told = new Map<string, Told>();
  const toldOf = (piece: string): Told => {
    const known = told.get(piece) ?? namesOf(toldOfPiece(room.store, piece, house));
    told.set(piece, known);
    return known;
  };
  const stocks = new Map<Route, Stock[]>();
  const dishes: PassDish[] = [];
  const unready: { id: string; name: string }[] = [];
  for (const dish of bookOf(house, 'dish').filter(({ withdrawn }) => !withdrawn)) {
    const wants = wantsOf(dish);
    if (!wants || dish.route === '') {
      unready.push({ id: dish.id, name: dish.name });
      continue;
    }
    const stock = stocks.get(dish.route) ?? stockOf(room.store, dish.route, now);
    stocks.set(dish.route, stock);
    const left = platesLeft(wants, stock);
    const names = left.species.map((id) => (id === null ? '' : speciesIn(house.species, id).name));
    const holds = toldOfPlate(house, dish, left.pieces.map(toldOf), now);
    dishes.push({
      id: dish.id,
      name: dish.name,
      route: dish.route,
      plates: left.plates,
      instead: left.instead,
      insteadOf: names.filter((name, line) => name !== '' && left.species[line] !== wants[line]!.species[0]).join(', '),
      until: left.until,
      short: left.short === null ? '' : dish.lines.filter(({ kind }) => kind === 'fish')[left.short]!.what,
      off: (house.off[dish.id] ?? 0) > now,
      allergens: holds.holds,
      mayHold: holds.mayHold,
      unsaid: holds.unsaid
    });
  }
  return { at: now, dishes, unready, lately: platesLately(room, now) };
}

/** Plates of the last quarter of an hour that may be taken back, the newest first: the entries of each. */
export function platesLately({ store }: Pick<Room, 'store'>, now: number) {
  interface Lately {
    readonly dish: string;
    readonly at: number;
    readonly recorded: number;
    readonly entries: number[];
    readonly pieces: Set<string>;
    grams: number;
  }
  const plates: Lately[] = [];
  for (const event of store.record.list({ kind: 'piece.served', limit: MOST_LATELY })) {
    if (event.kind !== 'piece.served' || now - event.recorded > BACK_MS) continue;
    const piece = event.subject.slice('piece:'.length);
    if (!standsServed(store, piece, event.seq)) continue;
    const { dish, mass } = event.body;
    const last = plates.at(-1);
    // One touch writes its entries one after another, at one moment, one a piece.
    const isSame =
      last?.recorded === event.recorded &&
      last.dish === dish &&
      last.entries[0] === event.seq + 1 &&
      !last.pieces.has(piece);
    if (last && isSame) {
      last.entries.unshift(event.seq);
      last.pieces.add(piece);
      last.grams += mass.si;
    } else {
      const { happened: at, recorded, seq } = event;
      plates.push({ dish, at, recorded, entries: [seq], pieces: new Set([piece]), grams: mass.si });
    }
  }
  return plates.slice(0, MOST_PLATES).map(({ dish, at, entries, grams }) => ({ dish, at, entries, grams }));
}
/** Whether a plate's entry still stands: one that was taken back is not taken back again. */
export const standsServed = ({ projections }: Room['store'], piece: string, seq: number): boolean =>
  projections.piece(piece).state.served.some((each) => each.seq === seq);
