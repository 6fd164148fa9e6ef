import { celsius, event, holdStart, moved, thaw } from '../build.ts';
import { statement, type Golden } from '../golden.ts';
import { of, out, turbot } from './warm-spells.ts';
import { minute, read } from './warm.ts';

export const TRAYS: Golden[] = [
  { name: 'a four-hour tray alone has its four hours', of: of([holdStart(2)]), at: 6 - minute, want: 'ebbing' },
  {
    name: '… also where it was read above 21.1 °C',
    of: of([holdStart(2), event('hold.read', 3, { reading: celsius(24) })]),
    at: 5,
    want: 'ebbing'
  },
  {
    name: 'after an hour on the pass it has three',
    of: of([out(0.5), moved(1.5, 'Drawer'), holdStart(2)]),
    at: 5 + minute,
    want: 'closed',
    code: 'clock.spent'
  },
  {
    name: 'A6: a six-hour tray that nobody read ends at four',
    of: of([holdStart(2, '6h')]),
    at: 6,
    want: 'closed',
    code: 'time-control.unread'
  },
  {
    name: 'A6: read once it has its six, whatever was spent before',
    of: of([out(0.5), moved(1.5, 'Drawer'), holdStart(2, '6h'), event('hold.read', 4, { reading: celsius(18) })]),
    at: 8 - minute,
    want: 'ebbing'
  },
  {
    name: 'A6: read only after the four hours it was not watched',
    of: of([holdStart(2, '6h'), event('hold.read', 6.5, { reading: celsius(18) })]),
    at: 7,
    want: 'closed'
  },
  {
    name: 'A7: a tray that went out at 9 °C is over when it begins',
    of: of([holdStart(2, '4h', celsius(9))]),
    at: 2,
    route: 'cooked',
    want: 'closed',
    code: 'time-control.started-warm'
  },
  {
    name: 'A29: from 57 °C a tray is for the pan’s guests, not for raw',
    of: of([read(1.9, 57), holdStart(2, '4h', celsius(57))]),
    at: 2.5,
    want: 'closed',
    code: 'time-control.started-warm'
  }
];

export const frozen = { ...turbot, frozen: true, core: celsius(-20) };

export const THAWS: Golden[] = [
  {
    name: 'A10: under running water to 6 °C: not for the raw routes any more',
    of: { lot: frozen, papers: [statement(-20, 168)], events: thaw(1, 2, { method: 'water', core: 6 }) },
    at: 2.1,
    want: 'closed',
    code: 'thaw.ended-warm'
  },
  {
    name: 'A10: the same for the pan',
    of: { lot: frozen, papers: [statement(-20, 168)], events: thaw(1, 2, { method: 'water', core: 6 }) },
    at: 2.1,
    route: 'cooked',
    want: 'open'
  },
  {
    name: 'A10: exactly 5 °C',
    of: { lot: frozen, papers: [statement(-20, 168)], events: thaw(1, 2, { method: 'water', core: 5 }) },
    at: 2.1,
    want: 'open'
  },
  {
    name: 'A10: and nobody read it',
    of: { lot: frozen, papers: [statement(-20, 168)], events: thaw(1, 2, { method: 'water', core: null }) },
    at: 2.1,
    want: 'not-cleared',
    code: 'thaw.core-not-read'
  },
  {
    name: '3-501.13(B): in water of 22 °C',
    of: { lot: frozen, papers: [statement(-20, 168)], events: thaw(1, 2, { method: 'water', core: 2, medium: 22 }) },
    at: 2.1,
    want: 'closed',
    code: 'thaw.water-warm'
  }
];
