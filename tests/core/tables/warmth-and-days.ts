import { celsius, cureEnd, cureStart, event, holdStart, typed } from '../build.ts';
import { chilled, statement, tag, type Golden } from '../golden.ts';

export const WARMTH_AND_DAYS: Golden[] = [
  // Temperature
  {
    name: 'US 3-202.11: exactly 5 °C at the door',
    of: { lot: { core: celsius(5) }, papers: [statement(-20, 168)] },
    at: 1,
    want: 'open'
  },
  {
    name: 'US 3-202.11: 5.1 °C at the door',
    of: { lot: { core: celsius(5.1) }, papers: [statement(-20, 168)] },
    at: 1,
    want: 'not-cleared',
    code: 'temperature.arrived-warm'
  },
  {
    name: 'US 3-202.11: exactly 41 °F in its own scale',
    of: { lot: { core: typed(5, 'F', '41 F') }, papers: [statement(-20, 168)] },
    at: 1,
    want: 'open'
  },
  {
    name: 'EU Ch. III.A.1: 5.0 °C is warned of, and closes nothing',
    of: { lot: { core: celsius(5) }, papers: [statement(-20, 168)] },
    at: 1,
    profile: 'eu',
    want: 'open',
    code: 'temperature.warmer-than-ice'
  },
  {
    name: 'EU Ch. III.A.1: 5.1 °C is not approaching melting ice',
    of: { lot: { core: celsius(5.1) }, papers: [statement(-20, 168)] },
    at: 1,
    profile: 'eu',
    want: 'not-cleared'
  },
  {
    name: 'no temperature taken: unknown is no pass',
    of: { lot: { core: null }, papers: [statement(-20, 168)] },
    at: 1,
    want: 'not-cleared',
    code: 'temperature.not-taken'
  },
  {
    name: 'arrived frozen at -18 °C',
    of: { lot: { frozen: true, core: celsius(-18) }, papers: [statement(-20, 168)] },
    at: 1,
    want: 'open'
  },
  {
    name: 'arrived “frozen” at -17.9 °C',
    of: { lot: { frozen: true, core: celsius(-17.9) }, papers: [statement(-20, 168)] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'held warm, and nobody answered: not cleared when four hours would be spent',
    of: { papers: [statement(-20, 168)], events: [event('cold.read', 2, { reading: celsius(7), place: '' })] },
    at: 6,
    want: 'not-cleared',
    code: 'clock.warm-unread'
  },
  {
    name: 'held warm, cold again within 4 h',
    of: {
      papers: [statement(-20, 168)],
      events: [
        event('cold.read', 2, { reading: celsius(7), place: '' }),
        event('cold.read', 5.9, { reading: celsius(3), place: '' })
      ]
    },
    at: 7,
    want: 'open'
  },
  // Histamine
  {
    name: 'mackerel without a chilling record: not even cooked',
    of: { lot: { species: 'atlantic-mackerel' }, papers: [statement(-20, 168)] },
    at: 1,
    route: 'cooked',
    want: 'not-cleared',
    code: 'histamine.no-chill-record'
  },
  {
    name: 'mackerel within its budget',
    of: { lot: { species: 'atlantic-mackerel' }, papers: [statement(-20, 168), chilled] },
    at: 1,
    want: 'open',
    code: 'histamine.read-by'
  },
  // Time control
  {
    name: 'US 3-501.19(B): a tray at 3 h 59 min',
    of: { papers: [statement(-20, 168)], events: [holdStart(2)] },
    at: 2 + 4 - 1 / 60,
    want: 'ebbing'
  },
  {
    name: 'US 3-501.19(B): a tray at exactly 4 h',
    of: { papers: [statement(-20, 168)], events: [holdStart(2)] },
    at: 6,
    want: 'closed',
    code: 'time-control.tray'
  },
  {
    name: 'US 3-501.19(C): six hours at exactly 21 °C',
    of: {
      papers: [statement(-20, 168)],
      events: [holdStart(2, '6h'), event('hold.read', 4, { reading: celsius(21) })]
    },
    at: 5,
    want: 'open'
  },
  {
    name: 'US 3-501.19(C): six hours, read at 21.1 °C',
    of: {
      papers: [statement(-20, 168)],
      events: [holdStart(2, '6h'), event('hold.read', 4, { reading: celsius(21.1) })]
    },
    at: 4,
    want: 'closed',
    code: 'time-control.too-warm'
  },
  // Days
  {
    name: 'US 3-501.17: the seventh day, a minute before its end',
    kept: true,
    of: { lot: { species: 'halibut', caughtOn: '2026-03-09' }, papers: [statement(-20, 168)] },
    at: 6 * 24 + 16 - 1 / 60,
    route: 'cooked',
    want: 'ebbing'
  },
  {
    name: 'US 3-501.17: the seventh day over (04:00 of the eighth)',
    kept: true,
    of: { lot: { species: 'halibut', caughtOn: '2026-03-09' }, papers: [statement(-20, 168)] },
    at: 6 * 24 + 16,
    route: 'cooked',
    want: 'closed',
    code: 'date-mark.day'
  },
  {
    name: 'a whole fish has no date mark yet',
    kept: true,
    of: { lot: { form: 'whole' }, papers: [statement(-20, 168)] },
    at: 9 * 24,
    route: 'cooked',
    want: 'open'
  },
  {
    name: 'no day of catch: not cleared raw',
    of: { lot: { caughtOn: null }, papers: [statement(-20, 168)] },
    at: 1,
    want: 'not-cleared',
    code: 'freshness.no-catch-date'
  },
  {
    name: 'sardine past half its ice days',
    of: { lot: { species: 'sardine', caughtOn: '2026-03-06' }, papers: [statement(-20, 168), chilled] },
    at: 1,
    want: 'closed',
    code: 'freshness.raw-share'
  },
  {
    name: 'a whole fish past its days on ice is not even for the pan (18 d / 1.44 = 12.5 d from the 8th)',
    kept: true,
    of: { lot: { form: 'whole' }, papers: [statement(-20, 168)] },
    at: 12 * 24 + 1,
    route: 'cooked',
    want: 'closed',
    code: 'freshness.eating-life'
  },
  {
    name: 'and is, a day before that',
    kept: true,
    of: { lot: { form: 'whole' }, papers: [statement(-20, 168)] },
    at: 10 * 24 - 1,
    route: 'cooked',
    want: 'open'
  },
  {
    name: 'no day of catch: the pan counts from the door',
    of: { lot: { form: 'whole', caughtOn: null }, papers: [statement(-20, 168)] },
    at: 12.6 * 24,
    route: 'cooked',
    want: 'closed'
  },
  {
    kept: true,
    name: 'live clams keep six days, in air of 5 °C on the way: (6 - 1.5 x 2.25) / 1.44 d = 43.75 h, no longer',
    of: {
      lot: { species: 'razor-clam', form: 'live', core: null, air: celsius(5) },
      papers: [tag]
    },
    at: 43.8,
    want: 'closed',
    code: 'freshness.raw-share'
  },
  {
    name: 'live clams without a harvest day',
    of: {
      lot: { species: 'razor-clam', form: 'live', core: null, air: celsius(5), caughtOn: null },
      papers: [tag]
    },
    at: 1,
    want: 'not-cleared',
    code: 'freshness.no-catch-date'
  },
  {
    name: 'arrived frozen and whole: its days count from the door',
    kept: true,
    of: { lot: { form: 'whole', frozen: true, core: celsius(-20) }, papers: [statement(-20, 168)] },
    at: 6 * 24 + 16,
    want: 'closed',
    code: 'date-mark.day'
  },
  // Cure
  {
    name: 'in a cure it is no raw piece any more',
    of: { papers: [statement(-20, 168)], events: [cureStart(2, 24)] },
    at: 3,
    want: 'closed',
    code: 'handling.cured'
  },
  {
    name: 'in a cure: cured is locked until it is due',
    of: { papers: [statement(-20, 168)], events: [cureStart(2, 24)] },
    at: 3,
    route: 'cured',
    want: 'locked'
  },
  {
    name: 'a cure past due opens nothing by itself',
    of: { papers: [statement(-20, 168)], events: [cureStart(2, 24)] },
    at: 27,
    route: 'cured',
    want: 'not-cleared'
  },
  {
    name: 'taken out of the cure',
    of: {
      papers: [statement(-20, 168)],
      events: [cureStart(2, 24), cureEnd(25)]
    },
    at: 26,
    route: 'cured',
    want: 'open'
  },
  {
    name: 'a cure kills no worms',
    of: { events: [cureStart(2, 24), cureEnd(25)] },
    at: 26,
    route: 'cured',
    want: 'not-cleared',
    code: 'parasites.not-frozen'
  },
  // Gone
  {
    name: 'discarded is closed for good',
    of: { papers: [statement(-20, 168)], events: [event('piece.discarded', 3, { reason: 'trim', mass: null })] },
    at: 4,
    route: 'cooked',
    want: 'closed',
    code: 'handling.discarded'
  },
  {
    name: 'and was open the hour before',
    of: { papers: [statement(-20, 168)], events: [event('piece.discarded', 3, { reason: 'trim', mass: null })] },
    at: 2,
    want: 'open'
  }
];
