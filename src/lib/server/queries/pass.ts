import { z } from 'zod';
import { shortText } from '../../core/fields/field.ts';
import { passView } from '../facts/pass.ts';
import { partiesView } from '../facts/party.ts';
import { lineUp, tableView } from '../facts/table.ts';
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
  }),
  query({
    name: 'table',
    path: 'table',
    summary:
      'What is answered at a table: allergens of every dish under a rule book’s list, whom it is not for, and what its pieces can be asked.',
    input: z.object({ profile: shortText(60).describe('the rule book’s id; the house’s own where left out') }),
    example: { profile: 'jp' },
    run: (room, { profile }) => tableView(room, profile)
  }),
  query({
    name: 'line-up',
    path: 'line-up',
    summary: 'The sheet before service: dishes on, few of, out and off, and what to sell first and why.',
    input: z.object({}),
    run: (room) => lineUp(room)
  }),
  query({
    name: 'parties',
    path: 'parties',
    summary:
      'Parties the cook chooses for: what each has next, seat by seat, when it is due, and dishes to choose from.',
    input: z.object({}),
    run: (room) => partiesView(room)
  })
];
