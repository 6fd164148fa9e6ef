import { celsius, freezeEnd, freezeRead, freezeStart, paper, readEvery, typed } from '../build.ts';
import { char, chilled, cleared, feed, fullFeed, statement, tag, type Golden } from '../golden.ts';

import { wild, frozenWeek } from './wild.ts';

export const FREEZING_AND_SOURCE: Golden[] = [
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
  }
];
