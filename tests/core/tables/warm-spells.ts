import type { RecordEvent } from '../../../src/lib/core/record/events.ts';
import { event, moved, typed, type Case } from '../build.ts';
import { chilled, fullFeed, type Golden } from '../golden.ts';
import { minute, read } from './warm.ts';

export const out = (hours: number) =>
  event('piece.moved', hours, { place: 'Pass', cold: false, core: null, secondsOut: 0 });

/** Farmed turbot with its paper: no parasite clock and no histamine in the way. */
export const turbot: Case['lot'] = { species: 'turbot', source: 'farmed', farmSystem: 'land-based', form: 'fillet' };

export const papers = [fullFeed];

export const of = (events: RecordEvent[], more: Partial<Case> = {}): Case => ({ lot: turbot, papers, events, ...more });

export const tuna: Case['lot'] = { species: 'yellowfin', form: 'loin' };

// A core of 1 °C at the door. Limits: 5 °C (41 °F), 21.1 °C (70 °F); 4 h, or 2 h where any of it was above 21.1.
export const SPELLS: Golden[] = [
  {
    // 5 °C is crossed at 0.19 of every rise to 22 and at 0.105 of every fall to 3: about 4.5 h of each round are warm, of 2 h.
    name: 'A1: 22 °C for 3.9 h, one reading of 3 °C, three times over',
    of: of([0, 5, 10].flatMap((from) => [read(from + 0.1, 22), read(from + 4, 22), read(from + 4.1, 3)])),
    at: 15,
    want: 'closed',
    code: 'clock.spent'
  },
  {
    name: 'A2: three stays of 3.5 h on the pass, each put back cold',
    of: of([0, 5, 10].flatMap((from) => [out(from + 0.5), moved(from + 4, 'Drawer')])),
    at: 15,
    want: 'closed',
    code: 'clock.spent'
  },
  {
    name: 'A2: one stay of 3.5 h leaves half an hour',
    of: of([out(0.5), moved(4, 'Drawer')]),
    at: 5,
    want: 'open'
  },
  {
    name: 'A2: … which the next stay takes',
    of: of([out(0.5), moved(4, 'Drawer'), out(5), moved(5.5 + minute, 'Drawer')]),
    at: 6,
    want: 'closed'
  },
  {
    name: 'A2: four hours to the minute are not more than four',
    of: of([out(0.5), moved(4, 'Drawer'), out(5), moved(5.5, 'Drawer')]),
    at: 6,
    want: 'open'
  },
  {
    name: 'for the pan it is spent twice over: 7.5 h are not 8',
    of: of([out(0.5), moved(4, 'Drawer'), out(5), moved(9, 'Drawer')]),
    at: 10,
    route: 'cooked',
    want: 'open'
  },
  {
    name: '… and 8 h 30 min are',
    of: of([out(0.5), moved(4, 'Drawer'), out(5), moved(10, 'Drawer')]),
    at: 11,
    route: 'cooked',
    want: 'closed',
    code: 'clock.pan'
  },
  {
    name: 'a histamine kind is lost for the pan as well, at once',
    of: of([out(0.5), moved(4, 'Drawer'), out(5), moved(6, 'Drawer')], { lot: tuna, papers: [chilled] }),
    at: 11,
    route: 'cooked',
    want: 'closed'
  },
  {
    name: 'a part of a degree above 21.1 °C halves it: 2 h 30 min of 21.2',
    of: of([read(0.1, 21.2), read(2.6, 21.2), read(2.7, 3)]),
    at: 3,
    want: 'closed'
  },
  {
    name: '… and exactly 21.1 °C does not',
    of: of([read(0.1, 21.1), read(2.6, 21.1), read(2.7, 3)]),
    at: 3,
    want: 'open'
  },
  {
    name: 'A26: 41 °F by hand for a day is at the limit of its own scale',
    of: of([1, 10, 20].map((hours) => event('cold.read', hours, { reading: typed(5, 'F', '41 F'), place: '' }))),
    at: 24,
    want: 'open'
  },
  {
    name: 'what stood warm when nobody read on is warm until somebody says otherwise',
    of: of([read(2, 9)]),
    at: 7,
    want: 'not-cleared'
  }
];
