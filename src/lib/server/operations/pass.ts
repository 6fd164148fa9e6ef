import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { list, neededText, numeric, ticked, when } from '../../core/fields/field.ts';
import { businessDay, businessDayEnd } from '../../core/measure/day.ts';
import { speciesIn } from '../../core/fish/house-species.ts';
import { plateFrom, type Plate } from '../../core/service/pass.ts';
import { pageOf } from '../facts/book.ts';
import { toldOfDish } from '../facts/dishes.ts';
import { BACK_MS, platesLately, standsServed, stockOf, wantsOf } from '../facts/pass.ts';
import { draft, type Draft } from '../store/record.ts';
import { voided } from './board.ts';
import { notNow } from './not-now.ts';
import { operation } from './operation.ts';
import { computedMass } from './pieces.ts';
import { servedEntry } from './serve.ts';

const MOST_AT_ONCE = 12;

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
    const { house, store } = context;
    const at = context.instant(input.at, 'at');
    const dish = pageOf(house, 'dish', input.dish);
    const wants = wantsOf(dish);
    if (dish.withdrawn) throw notNow('dish', 'out-of-the-book');
    if (!wants || dish.route === '') throw new EmberError('dish.not-for-the-pass', { field: 'dish', seen: dish.name });
    if ((house.off[dish.id] ?? 0) > at) throw new EmberError('dish.off', { field: 'dish', seen: dish.name });
    const { route } = dish;
    const fish = dish.lines.filter(({ kind }) => kind === 'fish');
    const besides = toldOfDish(house, dish, at);
    let stock = stockOf(store, route, at);
    /** What all plates take of each piece, under the name of the dish as that plate is. */
    const taken = new Map<string, { piece: string; name: string; grams: number }>();
    for (let plate = 0; plate < input.plates; plate++) {
      const from = plateFrom(wants, stock);
      if (from.short !== null) throw new EmberError('dish.short', { field: 'dish', seen: fish[from.short]!.what });
      const other = otherFish(from, wants, (id) => speciesIn(house.species, id).name);
      if (from.instead && !input.instead) throw new EmberError('dish.instead', { field: 'dish', seen: other });
      const name = (from.instead ? `${dish.name}, with ${other} instead` : dish.name).slice(0, 80);
      for (const { piece, grams } of from.shares) {
        const key = `${piece} ${name}`;
        taken.set(key, { piece, name, grams: (taken.get(key)?.grams ?? 0) + grams });
        stock = stock.map((each) => (each.id === piece ? { ...each, grams: Math.max(0, each.grams - grams) } : each));
      }
    }
    const events = [...taken.values()].map(({ piece, name, grams }): Draft =>
      servedEntry(context, {
        piece,
        route,
        mass: computedMass(grams),
        dish: name,
        besides,
        susceptible: input.susceptible,
        at
      })
    );
    return {
      events,
      result: {
        dish: dish.id,
        plates: input.plates,
        pieces: [...new Set([...taken.values()].map(({ piece }) => piece))],
        grams: [...taken.values()].reduce((sum, { grams }) => sum + grams, 0)
      }
    };
  }
});

/** The fish that stand in for the first a dish names, by name. */
function otherFish(
  { species }: Plate,
  wants: readonly { readonly species: readonly string[] }[],
  named: (id: string) => string
): string {
  const others = species.filter((id, line): id is string => id !== null && id !== wants[line]!.species[0]);
  return [...new Set(others.map(named))].join(' and ');
}

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
