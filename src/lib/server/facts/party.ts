import { MINUTE } from '../../core/measure/spans.ts';
import { speciesIn } from '../../core/fish/house-species.ts';
import { EmberError } from '../../core/errors.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { Party } from '../../core/activity/tray/fold.ts';
import { inOrder, sequenceFor, type AtSeat, type Course } from '../../core/service/sequence.ts';
import type { Room } from '../room.ts';
import { toldOfPlateNow } from './table.ts';
import { platesOfBook } from './pass.ts';

/** A party that is served now. @throws EmberError `form.value-unknown` */
export function partyOf(house: HouseState, id: string): Party {
  const party = house.parties[id];
  if (!party) throw new EmberError('form.value-unknown', { field: 'party', seen: id });
  return party;
}

/** Every dish of the pass as a course: with what is in its next plate. A dish that is off is none. */
export function coursesNow(room: Room): (Course & { readonly name: string })[] {
  const now = room.clock.now();
  const house = room.store.projections.currentHouse();
  return platesOfBook(room)
    .ready.filter(({ dish }) => (house.off[dish.id] ?? 0) <= now)
    .map((plates) => {
      const { dish, wants, left, isDry } = plates;
      const told = toldOfPlateNow(room, plates);
      const species = left.pieces.length > 0 && !isDry ? left.species : wants.map((want) => want.species[0]!);
      return {
        id: dish.id,
        name: dish.name,
        route: dish.route,
        fish: [...new Set(species.filter((id) => id !== null))].map((id) => speciesIn(house.species, id)),
        holds: told.holds,
        mayHold: told.mayHold,
        unsaid: told.unsaid,
        rawBesides: told.raw.length > 0 || told.rawEgg,
        plates: isDry ? 0 : left.plates
      };
    });
}

/** Courses of a list of dishes, in the order they are eaten. @throws EmberError `form.value-unknown` for one that is not on the pass */
export function inEatingOrder(room: Room, ids: readonly string[]): string[] {
  const all = coursesNow(room);
  const found = ids.map((id) => {
    const course = all.find((each) => each.id === id);
    if (!course) throw new EmberError('form.value-unknown', { field: 'courses', seen: id });
    return course;
  });
  return inOrder(found).map(({ id }) => id);
}

/** What is still to come for a party: for each course its dish, when it is due, and what each seat has. */
export interface ToCome {
  readonly course: number;
  readonly dish: string;
  readonly name: string;
  /** ms */
  readonly due: number;
  readonly seats: readonly (AtSeat & { readonly name: string })[];
}

/**
 * What a party has next, and after that, by what is there now. A course whose dish is off or out of the book is laid for nobody: each
 * seat has the nearest to it that suits.
 */
export function toCome(room: Room, party: Party): ToCome[] {
  const all = coursesNow(room);
  const next = party.sent.length;
  const rest = party.courses.slice(next);
  if (rest.length === 0) return [];
  const had = party.seats.map((_, seat) => party.sent.flatMap(({ seats }) => seats[seat] ?? []));
  const known = rest.map((id) => all.find((each) => each.id === id) ?? null);
  const laid = known.filter((each) => each !== null);
  const nameOf = (id: string | null) => all.find((each) => each.id === id)?.name ?? '';
  const table = laid.length === 0 ? [] : sequenceFor(laid, all, party.seats, had);
  return rest.map((id, at) => {
    const row = known[at] ? table[laid.indexOf(known[at])]! : party.seats.map(() => ({ dish: null, because: [] }));
    return {
      course: next + at,
      dish: id,
      name: nameOf(id) || id,
      due: dueOf(party, next + at),
      seats: row.map((each) => ({ ...each, name: nameOf(each.dish) }))
    };
  });
}
/** When a course is due: a pace after the one before it went, or by the plan where none has. */
export function dueOf({ at, paceMinutes, sent }: Party, course: number): number {
  const last = sent.at(-1);
  const pace = paceMinutes * MINUTE;
  return last ? last.at + (course - last.course) * pace : at + course * pace;
}

/** Parties at the counter, the one whose next course is due first before the others. */
export function partiesView(room: Room) {
  const { parties } = room.store.projections.currentHouse();
  const dishes = coursesNow(room).map(({ id, name, plates, route }) => ({ id, name, plates, route }));
  return {
    at: room.clock.now(),
    dishes,
    parties: Object.values(parties)
      .map((party) => ({ ...party, next: toCome(room, party) }))
      .sort((a, b) => (a.next[0]?.due ?? Infinity) - (b.next[0]?.due ?? Infinity))
  };
}
