import { z } from 'zod';
import { passView } from '../facts/pass.ts';
import { query } from './query.ts';

/** What is asked at the pass. */
export const OF_PASS = [
  query({
    name: 'pass',
    path: 'pass',
    summary:
      'Tonight’s dishes: plates left of each, until when, what ends it, what is in it; and plates that may be taken back.',
    input: z.object({}),
    run: (room) => passView(room)
  })
];
