import { z } from 'zod';
import { allergenNamed } from '../../core/ingredients/read.ts';
import { ALLERGENS } from '../../core/codes/allergens.ts';
import { EmberError } from '../../core/errors.ts';
import { choice, list, neededText, numeric, shortText, ticked } from '../../core/fields/field.ts';
import { saidInstant } from '../../core/measure/day.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { Party } from '../../core/activity/tray/fold.ts';
import { bookId } from '../input/book-id.ts';
import { pageOf } from '../facts/book.ts';
import { inEatingOrder, partyOf, toCome } from '../facts/party.ts';
import { speciesMeant } from '../facts/pass.ts';
import { draft, type Draft } from '../store/record.ts';
import { notNow } from './not-now.ts';
import { operation, type OperationContext } from './operation.ts';
import { platesOut } from './plates.ts';

const MOST_SEATS = 40;
const MOST_COURSES = 24;
const PACE_MINUTES = 12;
const partyId = neededText(60).describe('which party');

function written(now: number, { sent: _, ...party }: Party, closed = false): Draft {
  return draft('party.set', 'house', now, { ...party, closed });
}
const roomOf = ({ store, now }: OperationContext) => ({ store, clock: { now: () => now } });

export const setParty = operation({
  name: 'set-party',
  page: '/serve/choice',
  summary:
    'Choose for a party: dishes pale to rich, seats, when it begins and its pace; or change what is still to come.',
  input: z.object({
    party: shortText(60).describe('the one that is changed; nothing for a new one'),
    name: neededText(60).describe('what it is called: a table, or seats of the counter'),
    seats: numeric(1, MOST_SEATS, { start: '2', whole: true }),
    courses: list(MOST_COURSES).describe('dishes by their ids'),
    order: choice(['pale-to-rich', 'as-named'], 'pale-to-rich').describe('how they follow one another'),
    at: shortText(40).describe('when the first course goes; now when left out'),
    pace: numeric(1, 120, { start: String(PACE_MINUTES), fallback: PACE_MINUTES }).describe(
      'minutes from course to course'
    )
  }),
  subject: () => 'house',
  run(context, input) {
    const { house, now } = context;
    const before = input.party === '' ? null : partyOf(house, input.party);
    if (input.courses.length === 0) throw new EmberError('form.incomplete', { field: 'courses' });
    const gone = before?.courses.slice(0, before.sent.length) ?? [];
    // What has been eaten stays where it was.
    const ahead = input.courses.filter((id) => !gone.includes(id));
    for (const id of ahead) pageOf(house, 'dish', id);
    const courses = [...gone, ...(input.order === 'as-named' ? ahead : inEatingOrder(roomOf(context), ahead))];
    const at = input.at === '' ? (before?.at ?? now) : saidInstant(input.at, house.zone, 'at');
    const id = before?.id ?? freeId(house, bookId(input.name));
    const none = { avoid: [], noRaw: false, dislikes: [] };
    const seats = Array.from({ length: input.seats }, (_, seat) => before?.seats[seat] ?? none);
    const party = { id, name: input.name, at, paceMinutes: input.pace, courses, seats, sent: [] };
    return { events: [written(now, party)], result: { party: id, courses } };
  }
});
/** Two parties of one name at a time are two. */
function freeId({ parties }: HouseState, id: string): string {
  for (let next = 1; ; next++) {
    const each = next === 1 ? id : `${id}-${next}`;
    if (!parties[each]) return each;
  }
}

export const setSeat = operation({
  name: 'set-seat',
  page: '/serve/choice',
  summary: 'What one seat of a party does not have: allergens, raw food, fish it would rather not eat.',
  input: z.object({
    party: partyId,
    seat: numeric(1, MOST_SEATS, { whole: true }),
    avoid: list(20).describe('allergens'),
    noRaw: ticked.describe('nothing raw'),
    dislikes: list(12).describe('fish by name')
  }),
  subject: () => 'house',
  run({ house, now }, input) {
    const party = partyOf(house, input.party);
    if (input.seat > party.seats.length)
      throw new EmberError('form.value-unknown', { field: 'seat', seen: input.seat });
    const avoid = input.avoid.map((name) => {
      const found = allergenNamed(name);
      if (!found)
        throw new EmberError('form.value-unknown', { field: 'avoid', seen: name, candidates: [...ALLERGENS] });
      return found;
    });
    const dislikes = input.dislikes.map((name) => {
      const id = speciesMeant(name, house);
      if (id === null) throw new EmberError('form.value-unknown', { field: 'dislikes', seen: name });
      return id;
    });
    const own = { avoid: [...new Set(avoid)], noRaw: input.noRaw, dislikes: [...new Set(dislikes)] };
    const seats = party.seats.map((each, at) => (at === input.seat - 1 ? own : each));
    return { events: [written(now, { ...party, seats })], result: { party: party.id, seat: input.seat } };
  }
});

export const sendCourse = operation({
  name: 'send-course',
  page: '/serve/choice',
  summary: 'Send the next course to all seats of a party: each has what suits it. All of it or nothing.',
  input: z.object({
    party: partyId,
    course: numeric(1, MOST_COURSES, { whole: true }).describe('which one: it goes once, whoever sends it'),
    without: ticked.describe('a seat that nothing suits goes without')
  }),
  subject: () => 'house',
  run(context, input) {
    const { house, now: at } = context;
    const party = partyOf(house, input.party);
    const [next] = toCome(roomOf(context), party);
    // Two tablets send one course once.
    if (!next || next.course !== input.course - 1) throw notNow('party', 'course-sent');
    const empty = next.seats.flatMap(({ dish }, seat) => (dish === null ? [seat + 1] : []));
    if (empty.length === next.seats.length || (empty.length > 0 && !input.without)) {
      throw new EmberError('party.nothing-suits', { field: 'party', seen: empty.join(', ') });
    }
    const gone = new Map<string, number>();
    const counts = new Map<string, number>();
    for (const { dish } of next.seats) if (dish !== null) counts.set(dish, (counts.get(dish) ?? 0) + 1);
    const out = [...counts].map(([dish, plates]) =>
      platesOut(context, pageOf(house, 'dish', dish), { plates, instead: false, susceptible: false, at }, gone)
    );
    const { id, name } = party;
    const sent = draft('party.sent', 'house', at, {
      id,
      name,
      course: next.course,
      dish: next.dish,
      seats: next.seats.map(({ dish }) => dish)
    });
    return {
      events: [...out.flatMap(({ events }) => events), sent],
      result: { party: id, course: next.course + 1, plates: next.seats.length - empty.length }
    };
  }
});

export const closeParty = operation({
  name: 'close-party',
  page: '/serve/choice',
  summary: 'A party has eaten, or goes home.',
  input: z.object({ party: partyId }),
  subject: () => 'house',
  run({ house, now }, { party: id }) {
    return { events: [written(now, partyOf(house, id), true)], result: { party: id } };
  }
});
