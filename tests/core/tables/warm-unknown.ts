import { HOUR, moved, START } from '../build.ts';
import { chilled, type Golden } from '../golden.ts';
import { of, tuna } from './warm-spells.ts';
import { minute, read } from './warm.ts';

export const UNKNOWN: Golden[] = [
  {
    name: 'A3: a place nobody listed is not cold: 30 h behind the stove',
    of: of([moved(1, 'Drawer behind the stove')]),
    at: 31,
    want: 'closed',
    code: 'clock.spent'
  },
  {
    name: 'A3: … whatever a cold core said in the middle of it',
    of: of([moved(1, 'Drawer behind the stove'), read(3, 2), read(6, 2)]),
    at: 7,
    want: 'closed'
  },
  {
    name: 'A3: listing it takes nothing back',
    of: of([moved(1, 'Drawer behind the stove')]),
    at: 8,
    house: { coldSpans: [{ id: 'x', name: 'Drawer behind the stove', from: START + 6 * HOUR, to: null }] },
    want: 'closed'
  },
  {
    name: 'A3: listed after three hours it has one left',
    of: of([moved(1, 'Drawer behind the stove')]),
    at: 8,
    house: { coldSpans: [{ id: 'x', name: 'Drawer behind the stove', from: START + 4 * HOUR, to: null }] },
    want: 'open'
  },
  {
    name: 'A3: taken off the list while it lies there, it lay in the cold',
    of: of([moved(1, 'Old fridge')]),
    at: 8,
    house: { coldSpans: [{ id: 'x', name: 'Old fridge', from: -Infinity, to: START + 2 * HOUR }] },
    want: 'open'
  },
  {
    name: 'US: a silence of a day and four hours: not cleared',
    of: of([]),
    at: 28,
    want: 'not-cleared',
    code: 'clock.read-by'
  },
  { name: 'US: a minute before that it is open', of: of([]), at: 28 - minute, want: 'ebbing' },
  {
    name: 'US: read cold after 29 h, five of them are spent',
    of: of([read(29, 2)]),
    at: 30,
    want: 'closed',
    code: 'clock.spent'
  },
  { name: 'US: read cold after 27 h, three of them are', of: of([read(27, 2)]), at: 30, want: 'open' },
  { name: 'EU: 72 h of silence and four hours', of: of([]), at: 76, profile: 'eu', want: 'not-cleared' },
  { name: 'EU: … and a minute before', of: of([]), at: 76 - minute, profile: 'eu', want: 'ebbing' },
  {
    name: 'A23: tuna silent for 100 h is within no budget',
    of: of([], { lot: tuna, papers: [chilled] }),
    at: 100,
    route: 'cooked',
    want: 'not-cleared',
    code: 'histamine.read-by'
  },
  {
    name: 'A23: read cold after 40 h, sixteen of eight hours are spent',
    of: of([read(40, 1)], { lot: tuna, papers: [chilled] }),
    at: 41,
    route: 'cooked',
    want: 'closed',
    code: 'histamine.budget-spent'
  },
  {
    name: 'A4: a cold reading in the minute of a warm one erases nothing: the line runs to the warmer',
    of: of([read(6, 9), read(6 + 0.4 * minute, 1), read(12, 9), read(12 + 0.4 * minute, 1)], {
      lot: tuna,
      papers: [chilled]
    }),
    at: 13,
    route: 'cooked',
    want: 'closed'
  }
];
