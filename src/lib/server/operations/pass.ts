import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { list, neededText, numeric, ticked, when } from '../../core/fields/field.ts';
import { businessDay, businessDayEnd } from '../../core/measure/day.ts';
import { MOST_AT_ONCE } from '../../core/service/pass.ts';
import { pageOf } from '../facts/book.ts';
import { BACK_MS, platesLately, standsServed } from '../facts/pass.ts';
import { draft } from '../store/record.ts';
import { voided } from './board.ts';
import { operation } from './operation.ts';
import { platesOut } from './plates.ts';

export const serveDish = operation({
  name: 'serve-dish',
  page: '/serve/pass',
  summary: 'Serve a plate of a dish, or several: from the pieces that have to go first. All of it or nothing.',
  input: z.object({
    dish: neededText(60).describe('its id in the book'),
    plates: numeric(1, MOST_AT_ONCE, { start: '1', fallback: 1, whole: true }),
    instead: ticked.describe('with another fish that the dish names, where the first is gone'),
    susceptible: ticked.describe('for a guest who is highly susceptible'),
    at: when
  }),
  subject: () => 'house',
  run(context, input) {
    const at = context.instant(input.at, 'at');
    const dish = pageOf(context.house, 'dish', input.dish);
    const { events, pieces, grams } = platesOut(context, dish, { ...input, at });
    return { events, result: { dish: dish.id, plates: input.plates, pieces, grams } };
  }
});

export const takePlateBack = operation({
  name: 'take-plate-back',
  page: '/serve/pass',
  summary: 'Undo a plate of the last quarter of an hour: it was not served, its fish is there again.',
  input: z.object({
    entries: list(24).describe('the entries of the plate, by number; the newest plate where left out')
  }),
  subject: () => 'house',
  run({ store, now }, { entries }) {
    const told = entries.length > 0 ? entries : (platesLately({ store }, now)[0]?.entries ?? []).map(String);
    const found = told.map((each) => {
      const event = /^\d{1,15}$/.test(each) ? store.record.event(Number(each)) : undefined;
      if (event?.kind !== 'piece.served') throw new EmberError('record.not-found', { field: 'entries', seen: each });
      return event;
    });
    const [first] = found;
    if (!first) throw new EmberError('record.not-found', { field: 'entries', seen: '' });
    for (const { recorded, body, subject, seq } of found) {
      if (recorded !== first.recorded || body.dish !== first.body.dish || now - recorded > BACK_MS) {
        throw new EmberError('record.not-found', { field: 'entries', seen: seq });
      }
      if (!standsServed(store, subject.slice('piece:'.length), seq)) {
        throw new EmberError('record.not-found', { field: 'entries', seen: seq });
      }
    }
    return {
      events: found.map(({ seq, subject }) => voided(seq, subject, now, 'not served after all')),
      result: { dish: first.body.dish, pieces: found.map(({ subject }) => subject.slice('piece:'.length)) }
    };
  }
});

export const setDishOff = operation({
  name: 'set-dish-off',
  page: '/serve/pass',
  summary: 'Take a dish off for tonight, or put it on again.',
  input: z.object({ dish: neededText(60).describe('its id in the book'), on: ticked.describe('on again') }),
  subject: () => 'house',
  run({ house, now }, { dish, on }) {
    const { id, name } = pageOf(house, 'dish', dish);
    const until = on ? null : businessDayEnd(businessDay(now, house), house);
    return { events: [draft('dish.off', 'house', now, { id, name, until })], result: { dish: id, off: !on } };
  }
});
