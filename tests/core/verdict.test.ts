import { expect } from 'chai';
import { verdict } from '../../src/lib/core/rules/verdict.ts';
import {
  HOUR,
  HOUSE,
  START,
  ask,
  celsius,
  cureEnd,
  cureStart,
  event,
  freezeEnd,
  freezeRead,
  freezeStart,
  holdStart,
  lineageOf,
  paper,
  readEvery,
  typed,
  type Case
} from './build.ts';
import { char, chilled, cleared, feed, fullFeed, runGolden, statement, tag, type Golden } from './golden.ts';

const wild: Case = { lot: { species: 'halibut' } };
const frozenWeek = [freezeStart(1), ...readEvery(3, 171, 24, -22)];

const GOLDEN: Golden[] = [
  // Parasites, US: 3-402.11(A)
  {
    name: 'US 3-402.11(A): wild fish, no freezing',
    of: wild,
    at: 1,
    want: 'not-cleared',
    code: 'parasites.not-frozen'
  },
  { name: 'the same fish may be cooked', of: wild, at: 1, route: 'cooked', want: 'open' },
  {
    name: 'US (A)(1): frozen 168 h by readings, still in the freezer',
    of: { events: frozenWeek },
    at: 172,
    want: 'open',
    code: 'parasites.frozen-here'
  },
  {
    name: 'US (A)(1): an hour short of 168 h',
    of: { events: [freezeStart(1), ...readEvery(3, 170, 24, -22)] },
    at: 170.5,
    want: 'locked',
    code: 'parasites.hold-running'
  },
  {
    name: 'US (A)(1): the clock has run, but no reading proves it',
    of: { events: [freezeStart(1), ...readEvery(3, 170, 24, -22)] },
    at: 172,
    want: 'not-cleared'
  },
  {
    name: 'US (A)(1): taken out an hour early',
    of: { events: [freezeStart(1), ...readEvery(3, 170, 24, -22), freezeEnd(170.2)] },
    at: 172,
    want: 'not-cleared'
  },
  {
    name: 'US (A)(1): no reading yet, the slow forecast counts',
    of: { events: [freezeStart(1)] },
    at: 2,
    want: 'locked',
    code: 'parasites.core-on-its-way'
  },
  {
    name: 'freezer at -20.0 °C never takes the core there',
    of: { events: [freezeStart(1, { coreArrival: null }), freezeRead(3, -20.5, 'air')] },
    at: 4,
    want: 'not-cleared',
    code: 'parasites.freezer-too-warm'
  },
  {
    name: 'US (A)(1) by a supplier’s statement',
    of: { papers: [statement(-20, 168)] },
    at: 1,
    want: 'open',
    code: 'parasites.supplier-froze'
  },
  {
    name: 'US (A)(1): a statement of 167 h 59 min',
    of: { papers: [statement(-20, 168 - 1 / 60)] },
    at: 1,
    want: 'not-cleared'
  },
  { name: 'US (A)(1): a statement at -19.9 °C', of: { papers: [statement(-19.9, 200)] }, at: 1, want: 'not-cleared' },
  {
    name: 'US (A)(2): a statement of 15 h at -35 °C, solid',
    of: { papers: [statement(-35, 15, true)] },
    at: 1,
    want: 'open'
  },
  {
    name: 'US (A)(2): the same, not said to be solid',
    of: { papers: [statement(-35, 15)] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'US (A)(3): solid at -35 °C, stored 24 h at -20 °C',
    of: { papers: [statement(-20, 24, true)] },
    at: 1,
    want: 'open'
  },
  {
    name: 'US: a freezing statement that had expired',
    of: {
      papers: [
        paper({
          type: 'freezing-statement',
          frozenAt: celsius(-20),
          frozenFor: typed(168 * 3600, 'h'),
          expiresOn: '2026-03-08'
        })
      ]
    },
    at: 1,
    want: 'not-cleared',
    code: 'parasites.paper-expired'
  },
  {
    name: 'US: the same, good to the very day',
    of: {
      papers: [
        paper({
          type: 'freezing-statement',
          frozenAt: celsius(-20),
          frozenFor: typed(168 * 3600, 'h'),
          expiresOn: '2026-03-09'
        })
      ]
    },
    at: 1,
    want: 'open'
  },
  // Exemptions
  {
    name: 'US (B)(3): yellowfin is on the tuna list',
    of: { lot: { species: 'yellowfin' }, papers: [chilled] },
    at: 1,
    want: 'open',
    code: 'parasites.species-exempt'
  },
  {
    name: 'US (B)(3): bonito is not',
    of: { lot: { species: 'atlantic-bonito' }, papers: [chilled] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'US (B)(3): skipjack is not',
    of: { lot: { species: 'skipjack' }, papers: [chilled] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'US (B)(3): Thunnus orientalis is not named',
    of: { lot: { species: 'pacific-bluefin' }, papers: [chilled] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'EU: there is no tuna list',
    of: { lot: { species: 'yellowfin' }, papers: [chilled] },
    at: 1,
    profile: 'eu',
    want: 'not-cleared'
  },
  {
    name: 'US (B)(4): farmed char with its feed statement',
    of: { lot: char, papers: [feed()] },
    at: 1,
    want: 'open',
    code: 'parasites.farm-exempt'
  },
  {
    name: 'US (B)(4): farmed char without it',
    of: { lot: char },
    at: 1,
    want: 'not-cleared',
    code: 'parasites.no-farm-paper'
  },
  {
    name: 'US (B)(4): a paper that says nothing of the feed',
    of: { lot: char, papers: [feed({ formulatedFeed: false })] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'US (B)(4): a farm of another kind',
    of: { lot: { ...char, farmSystem: 'other' }, papers: [feed()] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'US (B)(4): the paper does not make a wild fish farmed',
    of: { lot: { ...char, source: 'wild', farmSystem: null }, papers: [feed()] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'EU 3(d): feed alone is not enough',
    of: { lot: char, papers: [feed()] },
    at: 1,
    profile: 'eu',
    want: 'not-cleared'
  },
  {
    name: 'EU 3(d): embryos, feed and verified environment',
    of: { lot: char, papers: [fullFeed] },
    at: 1,
    profile: 'eu',
    want: 'open'
  },
  {
    name: 'US (B)(1): razor clams need no freezing, but their tag',
    of: { lot: { species: 'razor-clam', form: 'live', core: null } },
    at: 1,
    want: 'not-cleared',
    code: 'shellfish.no-tag'
  },
  {
    name: 'US 3-202.18: razor clams with their tag',
    of: { lot: { species: 'razor-clam', form: 'live', core: null, air: celsius(5) }, papers: [tag] },
    at: 1,
    want: 'open'
  },
  {
    name: 'US: raw prawn is “fish” and needs a cycle',
    of: { lot: { species: 'spot-or-sweet-prawn', caughtOn: '2026-03-09' } },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'EU: raw prawn is not in the freezing rule',
    of: { lot: { species: 'spot-or-sweet-prawn', caughtOn: '2026-03-09' } },
    at: 1,
    profile: 'eu',
    want: 'open'
  },
  // EU freezing
  {
    name: 'EU 2(a): 24 h in all parts',
    of: { events: [freezeStart(1, { cycle: 'eu-24h' }), ...readEvery(3, 27, 4, -20)] },
    at: 28,
    profile: 'eu',
    want: 'open'
  },
  {
    name: 'EU 2(a): one minute short',
    of: { events: [freezeStart(1, { cycle: 'eu-24h' }), ...readEvery(3, 27 - 1 / 60, 4, -20)] },
    at: 27 - 1 / 120,
    profile: 'eu',
    want: 'locked'
  },
  {
    name: 'EU: 24 h opens under EU and not under US',
    of: { events: [freezeStart(1, { cycle: 'eu-24h' }), ...readEvery(3, 27, 4, -20)] },
    at: 28,
    want: 'locked'
  },
  {
    name: 'EU III.D 1: eel’s kin: flukes are not cleared by freezing',
    of: { lot: { species: 'lake-or-brackish-bass', water: 'fresh' }, papers: [statement(-20, 24)] },
    at: 1,
    profile: 'eu',
    want: 'not-cleared',
    code: 'parasites.fluke-not-cleared'
  },
  {
    name: 'EU: unknown water is not sea water',
    of: { lot: { water: 'unknown' }, papers: [statement(-20, 24)] },
    at: 1,
    profile: 'eu',
    want: 'not-cleared'
  },
  // Source and decision
  {
    name: 'US 3-201.14: caught on one’s own line',
    of: { lot: { commercial: 'no' }, papers: [statement(-20, 168)] },
    at: 1,
    route: 'cooked',
    want: 'never',
    code: 'source.not-commercial'
  },
  {
    name: 'US 3-201.14: nobody said',
    of: { lot: { commercial: 'unknown' }, papers: [statement(-20, 168)] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'a person may be stricter: cooked only',
    of: { lot: { decision: 'cooked-only', reason: 'soft' }, papers: [statement(-20, 168)] },
    at: 1,
    want: 'never',
    code: 'decision.cooked-only'
  },
  {
    name: 'sent back is closed at once',
    of: { lot: { decision: 'send-back', reason: 'smell' }, papers: [statement(-20, 168)] },
    at: 0,
    route: 'cooked',
    want: 'closed'
  },
  {
    name: 'held for freezing though exempt: not cleared until frozen',
    of: { lot: { ...char, decision: 'hold-freeze', reason: 'house' }, papers: [feed()] },
    at: 1,
    want: 'not-cleared',
    code: 'decision.hold-to-freeze'
  },
  // Poisons
  {
    name: 'puffer: never by any route',
    of: { lot: { species: 'puffer' }, papers: [statement(-20, 168)] },
    at: 1,
    route: 'cooked',
    want: 'never',
    code: 'toxins.licensed-only'
  },
  {
    name: 'eel: never raw',
    of: { lot: { species: 'eel' }, papers: [statement(-20, 168)] },
    at: 1,
    want: 'never',
    code: 'toxins.raw-blood'
  },
  {
    name: 'eel: cooked',
    of: { lot: { species: 'eel' }, papers: [statement(-20, 168)] },
    at: 1,
    route: 'cooked',
    want: 'open'
  },
  {
    name: 'escolar: purging oil',
    of: { lot: { species: 'escolar' }, papers: [statement(-20, 168), chilled] },
    at: 1,
    route: 'cooked',
    want: 'not-cleared',
    code: 'toxins.purging-oil'
  },
  {
    name: 'snapper from an unknown area: cooking does not help',
    of: { lot: { species: 'snapper' }, papers: [statement(-20, 168)] },
    at: 1,
    route: 'cooked',
    want: 'not-cleared',
    code: 'toxins.area-unknown'
  },
  {
    name: 'snapper with a paper for its grounds',
    of: { lot: { species: 'snapper' }, papers: [statement(-20, 168), cleared] },
    at: 1,
    want: 'open'
  },
  {
    name: 'farmed amberjack on pellets is no ciguatera source',
    of: {
      lot: { species: 'amberjack', source: 'farmed', farmSystem: 'net-pen-open-water' },
      papers: [feed(), chilled]
    },
    at: 1,
    want: 'open'
  },
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

describe('golden verdicts: freezing, papers, temperature, days', () => {
  it('are many, and name each profile', () => {
    expect(GOLDEN.length).to.be.greaterThan(60);
    expect(new Set(GOLDEN.map(({ profile = 'us-fc' }) => profile))).to.deep.equal(new Set(['us-fc', 'eu']));
  });
  runGolden(GOLDEN);
});

describe('what was known then', () => {
  it('a paper recorded late does not open the past', () => {
    const late = { ...feed(), recorded: START + 5 * HOUR };
    const lineage = lineageOf({ lot: char, papers: [late] });
    const at = START + 2 * HOUR;
    const known = (hours: number) => verdict(lineage, HOUSE, at, START + hours * HOUR).windows[0]!.state;
    expect(known(3)).to.equal('not-cleared');
    expect(known(6)).to.equal('open');
  });
  it('counting from the air is the code’s rule, from the core the house’s: the house is never earlier', () => {
    const events = [
      freezeStart(1),
      ...readEvery(2, 190, 8, -24).map((each) => ({ ...each, body: { ...each.body, probe: 'air' as const } }))
    ];
    const opens = (countFromCore: boolean) =>
      ask({ events }, 200, 'us-fc', { ...HOUSE, countFromCore }).windows[0]!.opens!;
    expect(opens(true)).to.be.greaterThan(opens(false));
    expect(opens(false)).to.equal(START + 170 * HOUR);
  });
});
