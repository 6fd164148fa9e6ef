import { z } from 'zod';
import { plateSet } from '../../core/activity/slice/plate.ts';
import { neededText, ticked } from '../../core/fields/field.ts';
import { handWeeks } from '../facts/hands.ts';
import { knivesNow } from '../facts/knives.ts';
import { plateOf, wantedOf } from '../facts/plate.ts';
import { query } from './query.ts';

/** What is asked about knives, hands and plates. */
export const OF_KNIVES = [
  query({
    name: 'knives',
    path: 'knives',
    summary: 'Knives of the house: when each was sharpened last, how and by whom, and its strokes since.',
    input: z.object({}),
    run: (room) => ({ knives: knivesNow(room) })
  }),
  query({
    name: 'plate-together',
    path: 'plate',
    summary: 'Slices of several pieces on one plate, lean and pale before rich, sharp ones last: how each lies.',
    example: { pieces: 'ARC-0309-2-D', counts: '5', plate: '240 mm' },
    input: z.object({
      pieces: neededText(200).describe('slices by their codes, a comma between'),
      counts: neededText(60).describe('how many of each, a comma between'),
      plate: plateSet.plate,
      left: ticked.describe('for a left-handed guest')
    }),
    run: (room, { pieces, counts, plate, left }) => plateOf(room, wantedOf(pieces, counts), { plate: plate.si, left })
  }),
  query({
    name: 'hand-weeks',
    path: 'hands',
    summary: 'How even each hand cut over the last weeks: a mark a weighing.',
    input: z.object({}),
    run: handWeeks
  })
];
