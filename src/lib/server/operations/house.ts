import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { profileById, PROFILES } from '../../core/codes/profiles/index.ts';
import { businessDay } from '../../core/measure/day.ts';
import { isAlike } from '../../core/fields/plain.ts';
import { draft } from '../store/record.ts';
import { neededText, numeric, shortText, ticked, zoneName } from '../../core/fields/field.ts';
import { operation } from './operation.ts';

export const setHouse = operation({
  name: 'set-house',
  page: '/house',
  summary: 'Set the house: rule book, time zone, units, warning time. A house may be stricter than its rule book.',
  input: z.object({
    name: neededText(80),
    profile: neededText(40).describe(`${PROFILES.map(({ id }) => id).join(', ')}, or a copy of the house`),
    zone: zoneName,
    dayEndsHour: numeric(0, 12, { whole: true }),
    mass: z.enum(['g', 'oz']).default('g'),
    temperature: z.enum(['C', 'F']).default('C'),
    length: z.enum(['mm', 'in']).default('mm'),
    volume: z.enum(['ml', 'floz']).default('ml'),
    currency: z.string().regex(/^[A-Z]{3}$/),
    countFromCore: ticked,
    strictAccuracy: ticked,
    warnMinutes: numeric(5, 720),
    rawShareOfIceDays: numeric(0.1, 0.5),
    dateMarkDays: numeric(1, 7),
    susceptibleGuests: ticked.describe('guests who are highly susceptible are served here')
  }),
  subject: () => 'house',
  run({ house, now }, { mass, temperature, length, volume, ...input }) {
    profileById(input.profile, house.profiles);
    businessDay(now, { zone: input.zone, dayEndsHour: input.dayEndsHour });
    return {
      events: [draft('house.set', 'house', now, { ...input, units: { mass, temperature, length, volume } })],
      result: { profile: input.profile }
    };
  }
});

export const joinPerson = operation({
  name: 'join-person',
  page: '/house',
  summary: 'Add a person. The name stands outside the ledger; the ledger knows an id.',
  isPrivate: true,
  withoutActor: true,
  input: z.object({ name: neededText(60) }),
  run({ store, now }, input) {
    const taken = store.people.list();
    if (taken.some((person) => person.name !== null && isAlike(person.name, input.name))) {
      throw new EmberError('form.value-unknown', { field: 'name', seen: input.name, taken: true });
    }
    const id = `p${taken.length + 1}`;
    store.people.add(id, input.name, now);
    return { events: [draft('person.joined', `person:${id}`, now, {})], result: { person: id } };
  }
});

export const forgetPerson = operation({
  name: 'forget-person',
  page: '/house',
  summary: "Take a person's name away. What they did stays in the ledger under their id.",
  isPrivate: true,
  input: z.object({ person: neededText(20), reason: shortText(200) }),
  subject: (input) => `person:${input.person}`,
  run({ store, now }, input) {
    if (!store.people.get(input.person)?.name)
      throw new EmberError('person.unknown', { field: 'person', seen: input.person });
    if (store.people.list().filter(({ name }) => name !== null).length === 1)
      throw new EmberError('person.last', { field: 'person', seen: input.person });
    store.people.forget(input.person, now);
    return {
      events: [draft('person.forgotten', `person:${input.person}`, now, { reason: input.reason })],
      result: { person: input.person }
    };
  }
});
