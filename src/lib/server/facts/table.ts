import { allergensOf, ALLERGENS, namesOf } from '../../core/codes/allergens.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import type { Route } from '../../core/codes/window.ts';
import { speciesIn } from '../../core/fish/house-species.ts';
import { NOTHING_TOLD, toldTogether, type Tell, type Told } from '../../core/ingredients/ingredient.ts';
import { rawOfLines, tellsOfLines, toldOfLines } from '../../core/ingredients/kitchen.ts';
import type { HouseState } from '../../core/record/house.ts';
import { HOUR } from '../../core/measure/spans.ts';
import { FEW_PLATES } from '../../core/service/pass.ts';
import { matrixOf, notFor, type FishFacts, type NotFor } from '../../core/service/table.ts';
import { disclosure } from '../../words/notices.ts';
import type { Room } from '../room.ts';
import type { BookPage } from './book.ts';
import { cardOf, noticeOf, toldOfPiece } from './declarations.ts';
import { linesOfDish, toldOfDish } from './dishes.ts';
import { factsOfPiece } from './fish-facts.ts';
import { endOfPlate, platesOfBook, type Plates } from './pass.ts';
import { NO_TUB, riceNow } from './rice.ts';
import { toldAs } from './told.ts';

/** A service that began so long ago is still the one that is on, ms; and how many dishes are named to be sold first. */
const SERVICE_MS = 5 * HOUR;
const MOST_FIRST = 5;

/** A fish on a dish, as a guest is told of it. */
export interface FishOnPlate {
  readonly name: string;
  readonly scientific: string;
  /** Of the piece the next plate comes from, a row of its lot each; none where no plate is left: then it is as the page has it. */
  readonly facts: readonly FishFacts[];
}
/** What is answered at the table of one dish. */
export interface TableRow {
  readonly id: string;
  readonly name: string;
  /** How the card has to have it: its name with the mark of the reminder; the plain name where nothing raw is on it. */
  readonly card: string;
  readonly route: Route | '';
  readonly price: number | null;
  readonly plates: number;
  readonly instead: number;
  readonly until: number | null;
  /** What makes its first fish go then. */
  readonly by: 'tray' | 'window' | 'rice' | null;
  readonly off: boolean;
  /** It is served by the plate: its page says enough. */
  readonly ready: boolean;
  readonly fish: readonly FishOnPlate[];
  readonly holds: readonly string[];
  readonly mayHold: readonly string[];
  readonly unsaid: readonly string[];
  /** Garnish that can be left off, and what goes with it. */
  readonly garnish: readonly { readonly what: string; readonly holds: readonly string[] }[];
  readonly tells: readonly Tell[];
  readonly rawEgg: boolean;
  readonly notFor: readonly NotFor[];
  readonly houseNotFor: string;
}

/** Allergens of species where there is no piece of them. */
function toldOfSpecies(house: HouseState, ids: readonly string[]): Told {
  const profile = profileById(house.profile, house.profiles);
  const holds = ids.flatMap((id) => allergensOf(speciesIn(house.species, id), profile).map(({ allergen }) => allergen));
  return { holds: [...new Set(holds)], mayHold: [], unsaid: [] };
}

/** Fish of a dish of which nobody said what it is: it is asked after, never left out. */
const fishUnsaid = ({ lines }: Pick<BookPage<'dish'>, 'lines'>): Told => ({
  ...NOTHING_TOLD,
  unsaid: lines.filter(({ kind, species }) => kind === 'fish' && species.length === 0).map(({ what }) => what)
});

/** What a dish is told by whatever the fish on it. */
function pageTold(room: Room, house: HouseState, dish: BookPage<'dish'>) {
  const now = room.clock.now();
  const lines = linesOfDish(house, dish);
  const rice = riceNow(room.store, house, now);
  return {
    told: toldTogether([toldOfDish(house, dish, now, rice.until === null ? NO_TUB : rice.told), fishUnsaid(dish)]),
    raw: rawOfLines(house.ingredients, lines, now),
    garnish: dish.lines
      .filter(({ kind }) => kind === 'garnish')
      .map((line) => ({ what: line.what, ...toldAs(house, toldOfLines(house.ingredients, [line], now)) }))
      .map(({ what, holds, mayHold }) => ({ what, holds: [...holds, ...mayHold] })),
    ...tellsOfLines(house.ingredients, lines, now)
  };
}

/** What the fish of a dish is told by: by its pieces, and without one by every fish it may be. */
const toldOfFish = (room: Room, house: HouseState, { lines }: BookPage<'dish'>, pieces: readonly string[]): Told =>
  pieces.length > 0
    ? toldTogether(pieces.map((id) => namesOf(toldOfPiece(room.store, id, house))))
    : toldOfSpecies(
        house,
        lines.flatMap(({ species }) => species)
      );

/** What is in the next plate of a dish, and what of it is raw besides the fish. */
export function toldOfPlateNow(
  room: Room,
  { dish, left, isDry }: Plates
): Told & { raw: readonly string[]; rawEgg: boolean } {
  const { store } = room;
  const house = store.projections.currentHouse();
  const { told, raw, rawEgg } = pageTold(room, house, dish);
  const pieces = isDry ? [] : left.pieces;
  return {
    ...toldTogether([told, toldOfFish(room, house, dish, pieces)]),
    raw: [...raw, ...pieces.flatMap((id) => cardOf(store, id, house).raw)],
    rawEgg
  };
}

function fishOn(room: Room, house: HouseState, species: readonly (string | null)[], pieces: readonly string[]) {
  const now = room.clock.now();
  const facts = pieces.map((id) => ({
    species: room.store.projections.piece(id).lots.flatMap((lot) => room.store.projections.lot(lot).species),
    facts: factsOfPiece(room.store, id, now)
  }));
  return [...new Set(species.filter((id) => id !== null))].map((id): FishOnPlate => {
    const { name, scientific } = speciesIn(house.species, id);
    const own = facts.filter((each) => each.species.includes(id)).flatMap((each) => each.facts);
    const once = [...new Map(own.map((each) => [JSON.stringify(each), each])).values()];
    return { name, scientific: scientific[0] ?? '', facts: once };
  });
}

const endedBy = ({ left, rice }: Plates): TableRow['by'] =>
  rice?.until != null && rice.until < (left.until ?? Infinity) ? 'rice' : left.by;

function rowOf(room: Room, house: HouseState, dish: BookPage<'dish'>, plates: Plates | null): TableRow {
  const { store } = room;
  const pieces = plates?.isDry === false ? plates.left.pieces : [];
  const written = dish.lines.flatMap(({ species }) => species);
  const species = pieces.length > 0 ? plates!.left.species : (plates?.wants.map((want) => want.species[0]!) ?? written);
  const page = pageTold(room, house, dish);
  const told = toldAs(house, toldTogether([page.told, toldOfFish(room, house, dish, pieces)]));
  const cards = pieces.map((id) => cardOf(store, id, house));
  const raw = [...new Set([...page.raw, ...cards.flatMap((card) => card.raw)])];
  const kinds = fishOn(room, house, species, pieces);
  const { route } = dish;
  return {
    id: dish.id,
    name: dish.name,
    card:
      (route === '' ? '' : disclosure(dish.name, kinds.map(({ name }) => name).join(' and '), route, raw)) || dish.name,
    route,
    price: dish.price,
    plates: plates && !plates.isDry ? plates.left.plates : 0,
    instead: plates && !plates.isDry ? plates.left.instead : 0,
    until: plates ? endOfPlate(plates.left, plates.rice) : null,
    by: plates ? endedBy(plates) : null,
    off: (house.off[dish.id] ?? 0) > room.clock.now(),
    ready: plates !== null,
    fish: kinds,
    holds: told.holds,
    mayHold: told.mayHold,
    unsaid: told.unsaid,
    garnish: page.garnish,
    tells: page.tells,
    rawEgg: page.rawEgg,
    // Nobody said how it is eaten: it is told as what is raw.
    notFor: notFor({
      route: route === '' ? 'raw' : route,
      raw,
      rawEgg: page.rawEgg,
      tells: page.tells,
      hazards: species.flatMap((id) => (id === null ? [] : speciesIn(house.species, id).hazards))
    }),
    houseNotFor: dish.notFor
  };
}

/**
 * What is answered at a table: every dish of the book with its allergens under a rule book's list, whom it is not for, and what the
 * pieces of its next plate can be asked.
 *
 * @param profile the house's own where left out
 * @throws EmberError `form.value-unknown` for a rule book there is not
 */
export function tableView(room: Room, profile = '') {
  const now = room.store.projections.currentHouse();
  const house = profile === '' ? now : { ...now, profile };
  const { id, name } = profileById(house.profile, house.profiles);
  const { ready, unready } = platesOfBook(room);
  const rows = [
    ...ready.map((plates) => rowOf(room, house, plates.dish, plates)),
    ...unready.map((dish) => rowOf(room, house, dish, null))
  ].sort((a, b) => a.name.localeCompare(b.name));
  return {
    at: room.clock.now(),
    profile: { id, name },
    rows,
    matrix: matrixOf(rows, ALLERGENS),
    notice: noticeOf(house)
  };
}

/** The sheet before service: what is on, what there is few of, what is off or out, and what to sell first; and the service it is for. */
export function lineUp(room: Room) {
  const { rows, at, notice, profile } = tableView(room);
  const house = room.store.projections.currentHouse();
  const [service = null] = Object.values(house.services)
    .filter(({ at: begins }) => begins > at - SERVICE_MS)
    .sort((a, b) => a.at - b.at);
  const told = rows.filter(({ ready }) => ready);
  const on = told.filter(({ off, plates }) => !off && plates > 0);
  return {
    at,
    notice,
    profile,
    service: service && { name: service.name, at: service.at, covers: service.covers },
    on,
    few: on.filter(({ plates }) => plates <= FEW_PLATES).map(({ name, plates }) => ({ name, plates })),
    gone: told.filter(({ off, plates }) => !off && plates === 0).map(({ name, instead }) => ({ name, instead })),
    off: told.filter(({ off }) => off).map(({ name }) => name),
    first: on
      .filter(({ until }) => until !== null)
      .sort((a, b) => a.until! - b.until!)
      .slice(0, MOST_FIRST)
      .map(({ name, plates, until, by }) => ({ name, plates, until: until!, by }))
  };
}
