import { stateAt, type Route } from '../../core/codes/window.ts';
import { catalogueOf, speciesIn } from '../../core/fish/house-species.ts';
import { mayBegin } from '../../core/record/occupation.ts';
import type { HouseState } from '../../core/record/house.ts';
import { platesLeft, type Left, type Stock, type Wanted } from '../../core/service/pass.ts';
import { speciesCalled } from '../../core/fish/species.ts';
import { claimsOf, fishNamedIn, untrueOf, type Claims } from '../../core/service/table.ts';
import { namesOf } from '../../core/codes/allergens.ts';
import { toldTogether, type Told } from '../../core/ingredients/ingredient.ts';
import type { Room } from '../room.ts';
import type { Store } from '../store/store.ts';
import { bookOf, type BookPage } from './book.ts';
import { toldOfPiece } from './declarations.ts';
import { insteadWords, PLATE_WORDS, type Instead } from '../../words/plates.ts';
import { mayBeCut } from './benched.ts';
import { toldOfDish } from './dishes.ts';
import { toldAs } from './told.ts';
import { traysOut } from './trays.ts';
import { factsOfPiece } from './fish-facts.ts';
import { NO_TUB, riceNow, type RiceNow } from './rice.ts';

/** The species a cook means by a name: only where it means one. */
export function speciesMeant(name: string, house: HouseState): string | null {
  const catalogue = catalogueOf(house.species);
  const byId = catalogue.find(({ id }) => id === name);
  if (byId) return byId.id;
  const called = speciesCalled(name, catalogue);
  return called.length === 1 ? called[0]!.id : null;
}

/**
 * Fish of a dish by the plate; null where it does not say how it is eaten, which fish it is, or is named after a fish that is not
 * on it. A fish in its name goes before the others it may be.
 */
export function wantsOf(
  { name, route, lines }: Pick<BookPage<'dish'>, 'name' | 'route' | 'lines'>,
  house: HouseState
): Wanted[] | null {
  const fish = lines.filter(({ kind }) => kind === 'fish');
  if (route === '' || fish.length === 0 || fish.some(({ species }) => species.length === 0)) return null;
  const named = namedFish({ name, lines }, house);
  if (named.some((ids) => !fish.some(({ species }) => species.some((id) => ids.includes(id))))) return null;
  const first = new Set(named.flat());
  return fish.map(({ species, style, count, grams }) => ({
    species: [...species].sort((a, b) => Number(first.has(b)) - Number(first.has(a))),
    style,
    count,
    grams
  }));
}
/** Fish that the name of a dish speaks of; what something else on it is called does not count. */
export const namedFish = ({ name, lines }: Pick<BookPage<'dish'>, 'name' | 'lines'>, house: HouseState): string[][] =>
  fishNamedIn(
    name,
    catalogueOf(house.species),
    lines.filter(({ kind }) => kind !== 'fish').map(({ what }) => what)
  );

const SAYS_NOTHING: Claims = { source: '', from: '', neverFrozen: false, lineCaught: false };
const isPlain = (claims: Claims) => JSON.stringify(claims) === JSON.stringify(SAYS_NOTHING);
/** The stock of a dish: blocks that may still lie out to be cut for it, and of which pieces its card is not true. */
export function stockFor(store: Store, dish: BookPage<'dish'>, stock: readonly Stock[], now: number): Stock[] {
  const claims = claimsOf(dish);
  const wanted = new Set(dish.lines.flatMap(({ species }) => species));
  const { route } = dish;
  return stock.flatMap((each) => {
    if (!each.species.some((id) => wanted.has(id))) return [each];
    if (each.isBlock && route !== '' && !mayBeCut(store, each.id, route, 1000 * dish.benchSeconds, now)) return [];
    if (isPlain(claims)) return [each];
    return [{ ...each, untrue: untrueOf(claims, factsOfPiece(store, each.id, now)).length > 0 }];
  });
}
export const hasRice = ({ lines }: Pick<BookPage<'dish'>, 'lines'>): boolean =>
  lines.some(({ kind }) => kind === 'rice');

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
        isBlock: state.lifted === null && tray === null,
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
  dish: Pick<BookPage<'dish'>, 'lines' | 'allergens' | 'board' | 'oil'>,
  fish: readonly Told[],
  rice: Told,
  now: number
): Told => toldTogether([toldOfDish(house, dish, now, rice), ...fish]);

/** A dish that says enough to be served by the plate, with what is left of it and of what. */
export interface Plates {
  readonly dish: BookPage<'dish'> & { readonly route: Route };
  readonly wants: readonly Wanted[];
  readonly left: Left;
  /** The rice under it; null where it has none. */
  readonly rice: RiceNow | null;
  /** There is no tub inside its clock for it. */
  readonly isDry: boolean;
}
/** Every dish of the book that is in use: those that may be served by the plate with what is left of them, and the others. */
export function platesOfBook({ store, clock }: Room): {
  readonly ready: Plates[];
  readonly unready: BookPage<'dish'>[];
} {
  const now = clock.now();
  const house = store.projections.currentHouse();
  const stocks = new Map<Route, Stock[]>();
  let tubsNow: RiceNow | null = null;
  const ready: Plates[] = [];
  const unready: BookPage<'dish'>[] = [];
  for (const dish of bookOf(house, 'dish').filter(({ withdrawn }) => !withdrawn)) {
    const wants = wantsOf(dish, house);
    const { route } = dish;
    if (!wants || route === '') {
      unready.push(dish);
      continue;
    }
    const stock = stocks.get(route) ?? stockOf(store, route, now);
    stocks.set(route, stock);
    const rice = hasRice(dish) ? (tubsNow ??= riceNow(store, house, now)) : null;
    const left = platesLeft(wants, stockFor(store, dish, stock, now));
    ready.push({ dish: { ...dish, route }, wants, left, rice, isDry: rice !== null && rice.until === null });
  }
  return { ready, unready };
}

/** Tonight's dishes with what is left of each, and dishes that do not say enough to be served by the plate. */
export function passView(room: Room) {
  const now = room.clock.now();
  const house = room.store.projections.currentHouse();
  // A piece is on several dishes: what is in it is asked once.
  const told = new Map<string, Told>();
  const toldOf = (piece: string): Told => {
    const known = told.get(piece) ?? namesOf(toldOfPiece(room.store, piece, house));
    told.set(piece, known);
    return known;
  };
  const { ready, unready } = platesOfBook(room);
  const dishes = ready.map(({ dish, wants, left, rice, isDry }): PassDish => {
    const holds = toldAs(house, toldOfPlate(house, dish, left.pieces.map(toldOf), rice?.told ?? NO_TUB, now));
    return {
      id: dish.id,
      name: dish.name,
      route: dish.route,
      plates: isDry ? 0 : left.plates,
      instead: isDry ? 0 : left.instead,
      insteadOf: insteadWords(otherThan({ store: room.store, now }, dish, left, wants)),
      until: endOfPlate(left, rice),
      short: isDry ? PLATE_WORDS.rice : fishAt(dish, left.short),
      off: (house.off[dish.id] ?? 0) > now,
      allergens: holds.holds,
      mayHold: holds.mayHold,
      unsaid: holds.unsaid
    };
  });
  return {
    at: now,
    dishes,
    unready: unready.map(({ id, name }) => ({ id, name })),
    lately: platesLately(room, now),
    trays: traysOut(room.store)
  };
}
/** When the first of what the next plate takes has to go, its rice too. */
export const endOfPlate = ({ until }: Left, rice: RiceNow | null): number | null =>
  rice?.until == null ? until : Math.min(rice.until, until ?? Infinity);

const fishAt = (dish: BookPage<'dish'>, line: number | null): string =>
  line === null ? '' : dish.lines.filter(({ kind }) => kind === 'fish')[line]!.what;

/** What is otherwise on a plate than its card says: other fish by name, and what the card says that is not true of its pieces. */
export function otherThan(
  { store, now }: { readonly store: Store; readonly now: number },
  dish: BookPage<'dish'>,
  plate: { readonly species: readonly (string | null)[]; readonly untrue: readonly string[] },
  wants: readonly Wanted[]
): Instead {
  const { species } = store.projections.currentHouse();
  const others = plate.species.filter((id, line): id is string => id !== null && id !== wants[line]!.species[0]);
  const facts = plate.untrue.flatMap((piece) => factsOfPiece(store, piece, now));
  return {
    fish: [...new Set(others.map((id) => speciesIn(species, id).name))],
    untrue: facts.length === 0 ? [] : untrueOf(claimsOf(dish), facts),
    facts
  };
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
