import { z } from 'zod';
import { SHARPENINGS } from '../../core/activity/slice/lists.ts';
import { EmberError } from '../../core/errors.ts';
import { choice, neededText, numeric, shortText, ticked } from '../../core/fields/field.ts';
import { bookId } from '../input/book-id.ts';
import { draft } from '../store/record.ts';
import { operation } from './operation.ts';

/** Strokes after which an edge is looked after, where the house says nothing else (check: an evening or two of slicing). */
const USUAL_STROKES = 600;

export const setKnife = operation({
  name: 'set-knife',
  page: '/house/knife',
  summary: 'Name a knife of the house, and after how many strokes it wants its edge again; or take it out.',
  input: z.object({
    name: neededText(40),
    every: numeric(50, 20_000, { start: String(USUAL_STROKES), fallback: USUAL_STROKES, whole: true }).describe(
      'strokes from one sharpening to the next'
    ),
    withdraw: ticked
  }),
  subject: () => 'house',
  run({ house, now }, { name, every, withdraw: withdrawn }) {
    const id = bookId(name);
    if (withdrawn && !house.knives[id]) throw new EmberError('record.not-found', { field: 'name', seen: name });
    return { events: [draft('knife.set', 'house', now, { id, name, every, withdrawn })], result: { knife: id } };
  }
});

export const sharpenKnife = operation({
  name: 'sharpen-knife',
  page: '/house/knife',
  summary: 'Write down that a knife was sharpened, how, and by whom: its strokes begin anew.',
  input: z.object({
    knife: neededText(60),
    how: choice(SHARPENINGS, 'stone'),
    note: shortText(120)
  }),
  subject: () => 'house',
  run({ house, now }, { knife, how, note }) {
    const known = house.knives[knife];
    if (!known) throw new EmberError('record.not-found', { field: 'knife', seen: knife });
    const { name } = known;
    return { events: [draft('knife.sharpened', 'house', now, { knife, name, how, note })], result: { knife } };
  }
});
