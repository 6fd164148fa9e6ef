import type { Route } from '../codes/window.ts';
import { EmberError, inRange } from '../errors.ts';
import type { Species } from '../fish/species.ts';

/** What the cook chooses for a table: dishes in the order they are eaten, swapped seat by seat where one does not suit. */

/** A dish as it is laid out in a sequence. */
export interface Course {
  readonly id: string;
  readonly route: Route;
  /** The fish on it, as the next plate has it. */
  readonly fish: readonly Pick<Species, 'id' | 'fat' | 'hazards'>[];
  readonly holds: readonly string[];
  readonly mayHold: readonly string[];
  readonly unsaid: readonly string[];
  /** Something of an animal is raw in it besides its fish. */
  readonly rawBesides: boolean;
  /** Plates there are of it now. */
  readonly plates: number;
}
/** What a seat does not have. */
export interface Seat {
  /** Allergens. */
  readonly avoid: readonly string[];
  readonly noRaw: boolean;
  /** Species it would rather not have. */
  readonly dislikes: readonly string[];
}

const FAT = { lean: 0, mid: 1, rich: 2 } as const;
/** What was cured is stronger than what is raw, what was seared than both; what is vinegared ends the fish, what is cooked the meal. */
const ROUTE: Readonly<Record<Route, number>> = { raw: 0, cured: 1, seared: 2, acid: 6, cooked: 9 };

/**
 * Where a dish stands between pale and rich: lean and pale before rich and dark, strong and vinegared last. Dark flesh is told by the
 * kinds that spoil to histamine, which are the red-muscled ones.
 *
 * @throws EmberError `form.incomplete` for a dish without fish
 * @example
 * richness({ route: 'raw', fish: [{ id: 'turbot', fat: 'lean', hazards: [] }] }) // => 0
 */
export function richness({ route, fish }: Pick<Course, 'route' | 'fish'>): number {
  if (fish.length === 0) throw new EmberError('form.incomplete', { field: 'fish' });
  const of = fish.map(({ fat, hazards }) => 2 * FAT[fat] + (hazards.includes('histamine') ? 1 : 0));
  return ROUTE[route] + Math.max(...of);
}

/** Dishes as they are eaten: pale to rich, those alike in the order they were named. */
export const inOrder = <Dish extends Pick<Course, 'route' | 'fish'>>(dishes: readonly Dish[]): Dish[] =>
  [...dishes].sort((a, b) => richness(a) - richness(b));

export const DOES_NOT_SUIT = ['allergen', 'may-hold', 'unsaid', 'raw', 'dislike'] as const;
export type DoesNotSuit = (typeof DOES_NOT_SUIT)[number];

/**
 * Why a dish does not suit a seat; empty where it does. To who has an allergy what may hold it, and what nobody knows, is as what
 * holds it.
 */
export function whyNot(
  { route, fish, holds, mayHold, unsaid, rawBesides }: Omit<Course, 'id' | 'plates'>,
  { avoid, noRaw, dislikes }: Seat
): DoesNotSuit[] {
  const is: Readonly<Record<DoesNotSuit, boolean>> = {
    allergen: avoid.some((each) => holds.includes(each)),
    'may-hold': avoid.some((each) => mayHold.includes(each)),
    unsaid: avoid.length > 0 && unsaid.length > 0,
    raw: noRaw && (route !== 'cooked' || rawBesides),
    dislike: fish.some(({ id }) => dislikes.includes(id))
  };
  return DOES_NOT_SUIT.filter((each) => is[each]);
}

/** What one seat has at one course: the dish itself, another in its place and why, or nothing that suits. */
export interface AtSeat {
  readonly dish: string | null;
  readonly because: readonly DoesNotSuit[];
}
const MOST_SEATS = 40;
const MOST_COURSES = 24;

/**
 * A sequence for a table, course by course and seat by seat. Where a dish does not suit a seat the nearest to it in richness takes its
 * place: one that suits, that the seat does not have already, and of which there is a plate left when all before it are served.
 * A course nobody has swapped keeps its plates first.
 *
 * @param courses dishes in the order they are eaten
 * @param others dishes a seat may have instead
 * @param had what each seat has had already
 * @returns for each course what each seat has
 * @throws EmberError `quantity.out-of-range` for more seats or courses than a counter has, `form.incomplete` for none
 */
export function sequenceFor(
  courses: readonly Course[],
  others: readonly Course[],
  seats: readonly Seat[],
  had: readonly (readonly string[])[] = []
): AtSeat[][] {
  inRange(seats.length, { field: 'seats', unit: '', min: 1, max: MOST_SEATS });
  inRange(courses.length, { field: 'courses', unit: '', min: 1, max: MOST_COURSES });
  const all = [...courses, ...others.filter(({ id }) => !courses.some((course) => course.id === id))];
  const left = new Map(all.map(({ id, plates }) => [id, plates]));
  const take = (id: string) => left.set(id, left.get(id)! - 1);
  const reasons = courses.map((course) => seats.map((seat) => whyNot(course, seat)));
  // Who has the dish itself has it before anybody has it in place of another.
  const itself = courses.map(({ id }, at) =>
    seats.map((_, seat) => {
      if (reasons[at]![seat]!.length > 0 || left.get(id)! < 1 || had[seat]?.includes(id)) return false;
      take(id);
      return true;
    })
  );
  const has = seats.map(
    (_, seat) => new Set([...(had[seat] ?? []), ...courses.filter((_, at) => itself[at]![seat]).map(({ id }) => id)])
  );
  return courses.map((course, at) =>
    seats.map((wish, seat): AtSeat => {
      const because = reasons[at]![seat]!;
      if (itself[at]![seat]) return { dish: course.id, because };
      const near = all
        .filter(
          (other) =>
            other.id !== course.id &&
            !has[seat]!.has(other.id) &&
            left.get(other.id)! > 0 &&
            whyNot(other, wish).length === 0
        )
        .sort((a, b) => Math.abs(richness(a) - richness(course)) - Math.abs(richness(b) - richness(course)));
      const [instead] = near;
      if (!instead) return { dish: null, because };
      take(instead.id);
      has[seat]!.add(instead.id);
      return { dish: instead.id, because };
    })
  );
}
