import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { saidInstant } from '../../core/measure/day.ts';
import { draft } from '../store/record.ts';
import { neededText, optionalNumeric, shortText } from '../../core/fields/field.ts';
import { bookId } from '../input/book-id.ts';
import { operation } from './operation.ts';

export const setService = operation({
  name: 'set-service',
  page: '/serve',
  summary: 'Name a sitting to be ready for, or change one.',
  input: z.object({
    id: shortText(60).describe('of the one that is changed; nothing for a new one'),
    name: neededText(60),
    at: z.string().min(1).max(40).describe('when it begins: ISO instant, or wall time of the house'),
    covers: optionalNumeric(1, 2000)
  }),
  subject: () => 'house',
  run({ house, now }, { id, name, at: text, covers }) {
    if (id !== '' && !house.services[id]) throw new EmberError('form.value-unknown', { field: 'id', seen: id });
    const at = saidInstant(text, house.zone, 'at');
    // Two of one name on two days are two sittings.
    const service = id || bookId(`${name} ${new Date(at).toISOString().slice(0, 10)}`);
    return {
      events: [draft('service.set', 'house', now, { id: service, name, at, covers, withdrawn: false })],
      result: { service }
    };
  }
});

export const withdrawService = operation({
  name: 'withdraw-service',
  page: '/serve',
  summary: 'Take a sitting off the list.',
  input: z.object({ id: neededText(60) }),
  subject: () => 'house',
  run({ house, now }, { id }) {
    const service = house.services[id];
    if (!service) throw new EmberError('form.value-unknown', { field: 'id', seen: id });
    return { events: [draft('service.set', 'house', now, { ...service, withdrawn: true })], result: { service: id } };
  }
});
