import { expect } from 'chai';
import { speciesById } from '../../src/lib/core/fish/species.ts';
import type { HouseSpecies } from '../../src/lib/core/fish/house-species.ts';
import type { HouseProfile } from '../../src/lib/core/codes/profiles/house.ts';
import { judge, foldLineage } from '../../src/lib/core/rules/verdict.ts';
import {
  HOUR,
  HOUSE,
  START,
  ask,
  celsius,
  codes,
  event,
  freezeStart,
  holdStart,
  inspection,
  lineageOf,
  owns,
  paper,
  readEvery,
  stateOf
} from './build.ts';
import type { HouseDocument } from '../../src/lib/core/codes/documents.ts';
import { authority, char, chilled, cleared, feed, fullFeed, licensed, runGolden } from './golden.ts';
import { statement, type Golden } from './golden.ts';

const jp = { profile: 'jp' };
const minute = 1 / 60;
const read = (hours: number, c: number) => event('cold.read', hours, { reading: celsius(c), place: '' });
const readF = (hours: number, f: number) =>
  event('cold.read', hours, { reading: { si: ((f - 32) * 5) / 9, unit: 'F', typed: `${f} F` }, place: '' });

/** A house's copy of the US code with some dials turned. */
const copy = (changes: HouseProfile['changes'], looser: string[] = [], base = 'us-fc') => ({
  profiles: {
    'house-x': { id: 'house-x', base, name: 'X', changes, reason: 'ours', looser, by: 'p1', seq: 5 }
  }
});
const x = { profile: 'house-x' };
const own = (id: string, fields: HouseSpecies['fields'], looser: string[] = [], added = false) => ({
  species: { [id]: { id, added, fields, reason: 'ours', looser, by: 'p1', seq: 6 } }
});

const JAPAN: Golden[] = [
  { name: 'JP advice: wild fish, not frozen', of: {}, at: 1, ...jp, want: 'not-cleared', code: 'parasites.not-frozen' },
  {
    name: 'JP advice: 24 h at -20 °C in the core',
    of: { events: [freezeStart(1, { cycle: 'jp-24h' }), ...readEvery(3, 27, 4, -20)] },
    at: 28,
    ...jp,
    want: 'open',
    code: 'parasites.frozen-here'
  },
  {
    name: 'JP advice: one minute short of 24 h',
    of: { events: [freezeStart(1, { cycle: 'jp-24h' }), ...readEvery(3, 27 - minute, 4, -20)] },
    at: 27 - minute / 2,
    ...jp,
    want: 'locked'
  },
  {
    name: 'JP advice: a statement of 24 h at -20 °C',
    of: { papers: [statement(-20, 24)] },
    at: 1,
    ...jp,
    want: 'open'
  },
  {
    name: 'JP advice: a statement of 23 h 59 min',
    of: { papers: [statement(-20, 24 - minute)] },
    at: 1,
    ...jp,
    want: 'not-cleared'
  },
  {
    name: 'JP advice: a statement at -19.9 °C',
    of: { papers: [statement(-19.9, 99)] },
    at: 1,
    ...jp,
    want: 'not-cleared'
  },
  {
    name: 'JP advice: no tuna list',
    of: { lot: { species: 'yellowfin' }, papers: [chilled] },
    at: 1,
    ...jp,
    want: 'not-cleared'
  },
  {
    name: 'JP advice: no farm exemption is written',
    of: { lot: char, papers: [fullFeed] },
    at: 1,
    ...jp,
    want: 'not-cleared'
  },
  {
    name: 'JP advice: a name alone decides nothing on farmed fish',
    of: { lot: char, papers: [fullFeed, owns('parasites.not-frozen')] },
    at: 1,
    ...jp,
    want: 'not-cleared'
  },
  {
    name: 'JP advice: the house decides on farmed fish in a copy of its own, and owns it',
    of: { lot: char, papers: [fullFeed] },
    at: 1,
    ...x,
    house: copy({ farmExemption: 1 }, ['farmExemption'], 'jp'),
    want: 'open',
    code: 'house.profile-looser'
  },
  {
    name: 'JP: fresh water is not what the advice speaks of',
    of: { lot: { species: 'lake-or-brackish-bass', water: 'fresh' }, papers: [statement(-20, 24)] },
    at: 1,
    ...jp,
    want: 'not-cleared',
    code: 'parasites.fluke-not-cleared'
  },
  {
    name: 'JP: raw prawn is not in the advice',
    of: { lot: { species: 'spot-or-sweet-prawn', caughtOn: '2026-03-09' } },
    at: 1,
    ...jp,
    want: 'open',
    code: 'parasites.group-not-covered'
  },
  {
    name: 'JP standards: exactly 10 °C at the door',
    of: { lot: { core: celsius(10) }, papers: [statement(-20, 24)] },
    at: 1,
    ...jp,
    want: 'open'
  },
  {
    name: 'JP standards: 10.1 °C at the door',
    of: { lot: { core: celsius(10.1) }, papers: [statement(-20, 24)] },
    at: 1,
    ...jp,
    want: 'not-cleared',
    code: 'temperature.arrived-warm'
  },
  {
    name: 'JP standards: frozen at exactly -15 °C',
    of: { lot: { frozen: true, core: celsius(-15) }, papers: [statement(-20, 24)] },
    at: 1,
    ...jp,
    want: 'open'
  },
  {
    name: 'JP standards: frozen at -14.9 °C',
    of: { lot: { frozen: true, core: celsius(-14.9) }, papers: [statement(-20, 24)] },
    at: 1,
    ...jp,
    want: 'not-cleared'
  },
  {
    name: 'JP house figure: five days, the last minute (04:00 of the 14th)',
    kept: true,
    of: { lot: { caughtOn: '2026-03-09' }, papers: [statement(-20, 24)] },
    at: 4 * 24 + 16 - minute,
    ...jp,
    want: 'ebbing'
  },
  {
    name: 'JP house figure: five days over',
    kept: true,
    of: { lot: { caughtOn: '2026-03-09' }, papers: [statement(-20, 24)] },
    at: 4 * 24 + 16,
    ...jp,
    want: 'closed',
    code: 'date-mark.day'
  },
  {
    name: 'JP house figure: it closes the raw routes, the pan stays',
    kept: true,
    of: { lot: { caughtOn: '2026-03-09' }, papers: [statement(-20, 24)] },
    at: 4 * 24 + 17,
    ...jp,
    route: 'cooked',
    want: 'open'
  },
  {
    name: 'JP house figure: a tray at 1 h 59 min',
    of: { papers: [statement(-20, 24)], events: [holdStart(2)] },
    at: 4 - minute,
    ...jp,
    want: 'ebbing'
  },
  {
    name: 'JP house figure: a tray at exactly 2 h',
    of: { papers: [statement(-20, 24)], events: [holdStart(2)] },
    at: 4,
    ...jp,
    want: 'closed'
  }
];

const flounder = { species: 'flounder', source: 'farmed' as const, farmSystem: 'land-based' as const };
const KUDOA: Golden[] = [
  {
    name: 'JP notice on Kudoa: farmed flounder, neither frozen nor checked',
    of: { lot: flounder },
    at: 1,
    ...jp,
    want: 'not-cleared',
    code: 'parasites.kudoa'
  },
  {
    name: 'JP notice on Kudoa: checked at the farm',
    of: { lot: flounder, papers: [feed({ noHazardVerified: true })] },
    at: 1,
    ...jp,
    want: 'not-cleared',
    code: 'parasites.kudoa-cleared'
  },
  {
    name: 'JP notice on Kudoa: 4 h at -15 °C answers for Kudoa, not for worms',
    of: { lot: flounder, papers: [statement(-15, 4)] },
    at: 1,
    ...jp,
    want: 'not-cleared',
    code: 'parasites.kudoa-cleared'
  },
  {
    name: 'JP notice on Kudoa: 3 h 59 min',
    of: { lot: flounder, papers: [statement(-15, 4 - minute)] },
    at: 1,
    ...jp,
    want: 'not-cleared',
    code: 'parasites.kudoa'
  },
  {
    name: 'JP notice on Kudoa: -14.9 °C',
    of: { lot: flounder, papers: [statement(-14.9, 9)] },
    at: 1,
    ...jp,
    want: 'not-cleared',
    code: 'parasites.kudoa'
  },
  {
    name: 'JP: frozen for worms, it is frozen for Kudoa',
    of: { lot: flounder, papers: [statement(-20, 24)] },
    at: 1,
    ...jp,
    want: 'open'
  },
  {
    name: 'elsewhere Kudoa is a warning',
    of: { lot: flounder, papers: [statement(-20, 168)] },
    at: 1,
    want: 'open',
    code: 'parasites.kudoa-warning'
  }
];

const EUROPE: Golden[] = [
  {
    name: 'EU house figure: exactly 2 °C at the door',
    of: { lot: { core: celsius(2) }, papers: [statement(-20, 24)] },
    at: 1,
    profile: 'eu',
    want: 'open'
  },
  {
    name: 'EU house figure: 2.1 °C at the door is warned of',
    of: { lot: { core: celsius(2.1) }, papers: [statement(-20, 24)] },
    at: 1,
    profile: 'eu',
    want: 'open',
    code: 'temperature.warmer-than-ice'
  },
  {
    name: 'EU house figure: held at exactly 2 °C',
    of: { papers: [statement(-20, 24)], events: [read(2, 2)] },
    at: 7,
    profile: 'eu',
    want: 'open'
  },
  {
    name: 'EU house figure: held at 5.1 °C (above 5 from 1.951 h), over at 5.951 h',
    of: { papers: [statement(-20, 24)], events: [read(2, 5.1)] },
    at: 5.96,
    profile: 'eu',
    want: 'not-cleared'
  },
  { name: 'EU 2(b): 15 h at -35 °C', of: { papers: [statement(-35, 15)] }, at: 1, profile: 'eu', want: 'open' },
  {
    name: 'EU 2(b): 14 h 59 min',
    of: { papers: [statement(-35, 15 - minute)] },
    at: 1,
    profile: 'eu',
    want: 'not-cleared'
  },
  {
    name: 'EU 2(a): 23 h 59 min',
    of: { papers: [statement(-20, 24 - minute)] },
    at: 1,
    profile: 'eu',
    want: 'not-cleared'
  },
  {
    name: 'EU Ch. VII: frozen at exactly -18 °C',
    of: { lot: { frozen: true, core: celsius(-18) }, papers: [statement(-20, 24)] },
    at: 1,
    profile: 'eu',
    want: 'open'
  },
  {
    name: 'EU Ch. VII: frozen at -17.9 °C',
    of: { lot: { frozen: true, core: celsius(-17.9) }, papers: [statement(-20, 24)] },
    at: 1,
    profile: 'eu',
    want: 'not-cleared'
  },
  {
    name: 'EU house figure: a tray at exactly 4 h',
    of: { papers: [statement(-20, 24)], events: [holdStart(2)] },
    at: 6,
    profile: 'eu',
    want: 'closed'
  },
  {
    name: 'EU 3(d): fed and verified, not from embryos',
    of: { lot: char, papers: [feed({ noHazardVerified: true })] },
    at: 1,
    profile: 'eu',
    want: 'not-cleared'
  },
  {
    name: 'EU 3(d): from embryos and fed, not verified',
    of: { lot: char, papers: [feed({ fromEmbryos: true })] },
    at: 1,
    profile: 'eu',
    want: 'not-cleared'
  },
  {
    name: 'EU: no exemption for roe is written',
    of: { lot: { species: 'salmon-or-trout-roe', form: 'roe', roeRinsed: true } },
    at: 1,
    profile: 'eu',
    want: 'not-cleared',
    code: 'parasites.not-frozen'
  }
];

// Warm hours by hand, limit 4.4 °C: from 1 °C at the door to 4.8 °C at 2 h it is crossed at 1.789 h, from 4.8 to 4 °C in the last six
// minutes half-way. The house's own clock above 5 °C sees at most the six minutes round the peak.
const lukewarm = (until: number, peak = 4.8) => [
  read(2, 4.8),
  read(2.05, peak),
  read(2.1, 4.8),
  read(until, 4.8),
  read(until + 0.1, 4)
];
const mackerel = { species: 'atlantic-mackerel', caughtOn: '2026-03-09' };
const thawed = { ...mackerel, previouslyFrozen: 'yes' as const };
const okay = [statement(-20, 168), chilled];

const UNITED_STATES: Golden[] = [
  {
    name: 'US 3-501.16: held at exactly 5 °C',
    of: { papers: [statement(-20, 168)], events: [read(2, 5)] },
    at: 7,
    want: 'open'
  },
  {
    name: 'US 3-501.16: held at 5.1 °C for 4 h',
    of: { papers: [statement(-20, 168)], events: [read(2, 5.1)] },
    at: 6,
    want: 'not-cleared',
    code: 'clock.warm-unread'
  },
  {
    name: 'US 3-501.16: held at exactly 41 °F, in its own scale',
    of: { papers: [statement(-20, 168)], events: [readF(2, 41)] },
    at: 7,
    want: 'open'
  },
  {
    name: 'US 3-501.16: held at 41.1 °F for 4 h',
    of: { papers: [statement(-20, 168)], events: [readF(2, 41.1)] },
    at: 6,
    want: 'not-cleared'
  },
  {
    name: 'US (A)(2): 14 h 59 min at -35 °C',
    of: { papers: [statement(-35, 15 - minute, true)] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'US (A)(3): 23 h 59 min at -20 °C, solid at -35 °C',
    of: { papers: [statement(-20, 24 - minute, true)] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'US (B)(5): eggs out of the skein and rinsed',
    of: { lot: { species: 'salmon-or-trout-roe', form: 'roe', roeRinsed: true } },
    at: 1,
    want: 'open',
    code: 'parasites.group-exempt'
  },
  {
    name: 'US (B)(5): eggs nobody said were rinsed',
    of: { lot: { species: 'salmon-or-trout-roe', form: 'roe' } },
    at: 1,
    want: 'not-cleared',
    code: 'parasites.roe-not-rinsed'
  },
  {
    name: 'US (B)(4): farmed fish whose paper had expired',
    of: { lot: char, papers: [feed({ expiresOn: '2026-03-08' })] },
    at: 1,
    want: 'not-cleared',
    code: 'parasites.paper-expired'
  },
  {
    name: 'US (B)(4): a paper good to the very day',
    of: { lot: char, papers: [feed({ expiresOn: '2026-03-09' })] },
    at: 1,
    want: 'open'
  },
  {
    name: 'US 3-202.18: a tag that had expired',
    of: {
      lot: { species: 'oyster', form: 'live', core: null },
      papers: [paper({ type: 'shellfish-tag', expiresOn: '2026-03-08' })]
    },
    at: 1,
    want: 'not-cleared',
    code: 'shellfish.no-tag'
  },
  {
    name: 'Hazards guide ch. 6: a paper for the grounds that had expired',
    of: {
      lot: { species: 'snapper' },
      papers: [statement(-20, 168), paper({ type: 'area-document', areaCleared: true, expiresOn: '2026-03-08' })]
    },
    at: 1,
    route: 'cooked',
    want: 'not-cleared'
  },
  {
    name: 'Hazards guide ch. 6: a paper that does not clear the grounds of a reef area',
    of: { lot: { species: 'snapper', faoArea: '31' }, papers: [statement(-20, 168), paper({ type: 'area-document' })] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'Hazards guide ch. 7: a chilling record that had expired',
    of: { lot: mackerel, papers: [statement(-20, 168), paper({ type: 'chill-record', expiresOn: '2026-03-08' })] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'Hazards guide ch. 7: 7.76 h above 4.4 °C',
    of: { lot: mackerel, papers: okay, events: lukewarm(9.5) },
    at: 9.7,
    want: 'open',
    code: 'histamine.read-by'
  },
  {
    name: 'Hazards guide ch. 7: 8.06 h above 4.4 °C',
    of: { lot: mackerel, papers: okay, events: lukewarm(9.8) },
    at: 10,
    route: 'cooked',
    want: 'closed',
    code: 'histamine.budget-spent'
  },
  {
    name: 'Hazards guide ch. 7: 11.26 h, but frozen before: 24 h',
    of: { lot: thawed, papers: okay, events: lukewarm(13) },
    at: 13.5,
    want: 'open'
  },
  {
    name: 'Hazards guide ch. 7: said to be frozen before, and no paper: 8 h',
    of: { lot: thawed, papers: [chilled], events: lukewarm(13) },
    at: 13.5,
    route: 'cooked',
    want: 'closed',
    code: 'histamine.budget-spent'
  },
  {
    name: 'Hazards guide ch. 7: 4.46 h with a part above 21.1 °C: 4 h',
    of: { lot: mackerel, papers: okay, events: lukewarm(6.2, 22) },
    at: 6.4,
    route: 'cooked',
    want: 'closed',
    code: 'histamine.budget-spent'
  },
  {
    name: 'Hazards guide ch. 7: the same, frozen before: 12 h',
    of: { lot: thawed, papers: okay, events: lukewarm(6.2, 22) },
    at: 6.4,
    want: 'open'
  },
  {
    name: 'Hazards guide ch. 7: the same at exactly 21.1 °C is not above it: 8 h',
    of: { lot: mackerel, papers: okay, events: lukewarm(6.2, 21.1) },
    at: 6.4,
    route: 'cooked',
    want: 'open'
  },
  {
    name: 'US 3-501.17: thawed before it came, it is dated from the door',
    kept: true,
    of: { lot: { form: 'whole', previouslyFrozen: 'yes' }, papers: [statement(-20, 168)] },
    at: 6 * 24 + 16,
    route: 'cooked',
    want: 'closed',
    code: 'date-mark.day'
  }
];

const SOURCES: Golden[] = [
  {
    name: 'US 3-201.14: own catch for the own table',
    of: { lot: { commercial: 'no', purpose: 'own-table' }, papers: [statement(-20, 168)] },
    at: 1,
    want: 'open',
    code: 'source.not-for-sale'
  },
  {
    name: 'US 3-201.14: the same for guests',
    of: { lot: { commercial: 'no' }, papers: [statement(-20, 168)] },
    at: 1,
    want: 'never',
    code: 'source.not-commercial'
  },
  {
    name: 'US 3-201.14: recreational shellfish, not even for the own table',
    of: {
      lot: { species: 'razor-clam', form: 'live', core: null, commercial: 'no', purpose: 'own-table' },
      papers: [paper({ type: 'shellfish-tag' })]
    },
    at: 1,
    route: 'cooked',
    want: 'never'
  },
  {
    name: 'training fish from nobody knows where',
    of: { lot: { commercial: 'unknown', purpose: 'training' }, papers: [statement(-20, 168)] },
    at: 1,
    want: 'open'
  },
  {
    name: 'own catch is still not frozen',
    of: { lot: { commercial: 'no', purpose: 'own-table' } },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'US 3-801.11: a house of susceptible guests',
    of: { papers: [statement(-20, 168)] },
    at: 1,
    house: { susceptibleGuests: true },
    want: 'never',
    code: 'guests.susceptible'
  },
  {
    name: 'US 3-801.11: and cured there',
    of: { papers: [statement(-20, 168)] },
    at: 1,
    house: { susceptibleGuests: true },
    route: 'cured',
    want: 'never'
  },
  {
    name: 'US 3-801.11: cooked there',
    of: { papers: [statement(-20, 168)] },
    at: 1,
    house: { susceptibleGuests: true },
    route: 'cooked',
    want: 'open'
  },
  {
    name: 'puffer: licensed house, licensed channel, frozen',
    of: { lot: { species: 'puffer' }, papers: [statement(-20, 168), paper({ type: 'licence' })] },
    at: 1,
    house: licensed(),
    want: 'open',
    code: 'toxins.licensed'
  },
  {
    name: 'puffer: the licence ends that day: open to the end of it',
    of: { lot: { species: 'puffer' }, papers: [statement(-20, 168), paper({ type: 'licence' })] },
    at: 1,
    house: licensed({ expiresOn: '2026-03-09' }),
    want: 'open'
  },
  ...(
    [
      ['had ended', { expiresOn: '2026-03-08' }],
      ['begins tomorrow', { issuedOn: '2026-03-10' }],
      ['is a number without the paper', { file: null }],
      ['was given back', { withdrawn: true }],
      ['is for another fish', { species: ['halibut'] }],
      ['covers something else', { covers: ['parasites'] }],
      ['is a variance', { kind: 'variance' }]
    ] as [string, Partial<HouseDocument>][]
  ).flatMap(([why, licence]): Golden[] =>
    (['raw', 'cooked'] as const).map((route) => ({
      name: `puffer: the licence of the house ${why}`,
      of: { lot: { species: 'puffer' }, papers: [statement(-20, 168), paper({ type: 'licence' })] },
      at: 1,
      house: licensed(licence),
      route,
      want: 'never',
      code: 'toxins.licensed-only'
    }))
  ),
  {
    name: 'puffer: licensed channel, no licence of the house',
    of: { lot: { species: 'puffer' }, papers: [statement(-20, 168), paper({ type: 'licence' })] },
    at: 1,
    want: 'never'
  },
  {
    name: 'puffer: licensed house, no channel',
    of: { lot: { species: 'puffer' }, papers: [statement(-20, 168)] },
    at: 1,
    house: licensed(),
    route: 'cooked',
    want: 'never'
  },
  {
    name: 'puffer: the channel’s paper had expired',
    of: {
      lot: { species: 'puffer' },
      papers: [statement(-20, 168), paper({ type: 'licence', expiresOn: '2026-03-08' })]
    },
    at: 1,
    house: licensed(),
    want: 'never'
  }
];

// Halibut: 18 days on ice, 9 for raw; at an assumed 2 °C a day counts 1.44; on ice on the way, 1 °C at the door, 1.21.
const INSPECTED: Golden[] = [
  {
    name: 'no day of catch, but a sheet that read 1 day (2 at the old end)',
    of: { lot: { caughtOn: null }, papers: [statement(-20, 168), inspection(0.5, { likely: 1 })] },
    at: 1,
    want: 'open',
    code: 'freshness.raw-share'
  },
  {
    name: '(9 - 2) / 1.44 = 4.861 d = 116.7 h after the sheet: just before',
    of: { lot: { caughtOn: null }, papers: [statement(-20, 168), inspection(0.5, { likely: 1 })] },
    kept: true,
    at: 117.1,
    want: 'ebbing'
  },
  {
    name: '… and just after',
    of: { lot: { caughtOn: null }, papers: [statement(-20, 168), inspection(0.5, { likely: 1 })] },
    kept: true,
    at: 117.2,
    want: 'closed'
  },
  {
    name: 'a sheet older than the paper counts: (9 - 6) / 1.44 d = 50 h, just before',
    of: { papers: [statement(-20, 168), inspection(0.5, { likely: 6 })] },
    kept: true,
    at: 50.4,
    want: 'ebbing'
  },
  {
    name: '… and just after',
    of: { papers: [statement(-20, 168), inspection(0.5, { likely: 6 })] },
    kept: true,
    at: 50.6,
    want: 'closed'
  },
  {
    name: 'a sheet younger than the paper gives nothing: (9 - 1.5 x 1.21) / 1.44 d = 119.75 h, just before',
    of: { papers: [statement(-20, 168), inspection(0.5, { likely: 0 })] },
    kept: true,
    at: 119.7,
    want: 'ebbing'
  },
  {
    name: '… and just after',
    of: { papers: [statement(-20, 168), inspection(0.5, { likely: 0 })] },
    kept: true,
    at: 119.9,
    want: 'closed'
  },
  {
    name: 'an hour of catch is believed: (9 - 0.75 x 1.21) / 1.44 d = 134.88 h, just before',
    of: { lot: { caughtOn: '2026-03-08T18:00' }, papers: [statement(-20, 168)] },
    kept: true,
    at: 134.8,
    want: 'ebbing'
  },
  {
    name: '… and just after',
    of: { lot: { caughtOn: '2026-03-08T18:00' }, papers: [statement(-20, 168)] },
    kept: true,
    at: 135,
    want: 'closed'
  },
  // 4 °C counts 1.96: 1.5 d on the way are 2.94, then 0.98 for 12 h; then 1.44 a day again: 9 - 2.94 - 0.98 = 5.08 d, 84.67 h more.
  {
    name: 'a reading of 4 °C at the door speaks for the way, and for half a day after: 96.67 h, just before',
    of: { lot: { core: celsius(4) }, papers: [statement(-20, 168)] },
    kept: true,
    at: 96.5,
    want: 'ebbing'
  },
  {
    name: '… and just after',
    of: { lot: { core: celsius(4) }, papers: [statement(-20, 168)] },
    kept: true,
    at: 96.9,
    want: 'closed'
  },
  {
    name: 'inspected and taken for cooking only',
    of: { papers: [statement(-20, 168), inspection(0.5, { likely: 6, decision: 'cooked-only', reason: 'soft' })] },
    at: 1,
    want: 'never',
    code: 'decision.cooked-only'
  },
  {
    name: 'inspected and sent back',
    of: { papers: [statement(-20, 168), inspection(0.5, { likely: 6, decision: 'send-back', reason: 'sour' })] },
    at: 1,
    route: 'cooked',
    want: 'closed',
    code: 'decision.sent-back'
  },
  {
    name: 'and it was open before that',
    of: { papers: [statement(-20, 168), inspection(0.5, { likely: 1, decision: 'send-back', reason: 'sour' })] },
    at: 0.4,
    route: 'cooked',
    want: 'open'
  },
  {
    name: 'inspected and held for freezing though exempt',
    of: { lot: char, papers: [feed(), inspection(0.5, { likely: 1, decision: 'hold-freeze', reason: 'house' })] },
    at: 1,
    want: 'not-cleared',
    code: 'decision.hold-to-freeze'
  }
];

const red = { species: 'unidentified', candidates: ['sea-bream', 'snapper'] };
const UNSETTLED: Golden[] = [
  {
    name: 'nobody can say what it is, or may be',
    of: { lot: { species: 'unidentified' }, papers: [statement(-20, 168)] },
    at: 1,
    route: 'cooked',
    want: 'not-cleared',
    code: 'identification.none'
  },
  {
    name: 'bream or snapper: the reef toxin of the one counts',
    of: { lot: red, papers: [statement(-20, 168)] },
    at: 1,
    route: 'cooked',
    want: 'not-cleared',
    code: 'toxins.area-unknown'
  },
  {
    name: 'bream or snapper, the grounds cleared',
    of: { lot: red, papers: [statement(-20, 168), cleared] },
    at: 1,
    want: 'open',
    code: 'identification.unsettled'
  },
  {
    name: 'yellowfin or skipjack: the list exempts only the one',
    of: { lot: { species: 'unidentified', candidates: ['yellowfin', 'skipjack'] }, papers: [chilled] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'a bream, or a puffer',
    of: { lot: { species: 'unidentified', candidates: ['sea-bream', 'puffer'] }, papers: [statement(-20, 168)] },
    at: 1,
    route: 'cooked',
    want: 'never'
  },
  {
    name: 'told by its marks: a bream',
    of: {
      lot: red,
      papers: [
        statement(-20, 168),
        event(
          'lot.identified',
          0.5,
          { species: 'sea-bream', candidates: [], marks: ['steep forehead'], note: '' },
          { subject: 'lot:L' }
        )
      ]
    },
    at: 1,
    want: 'open'
  }
];

const warm = { lot: { core: celsius(8) }, papers: [statement(-20, 168)] };
const EXCEPTIONS: Golden[] = [
  {
    name: 'a warm delivery: a name does not open it',
    of: { ...warm, events: [owns('temperature.arrived-warm')] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'a warm delivery, by a document of the authority',
    of: { ...warm, events: [authority(['arrival-temperature'])] },
    at: 1,
    want: 'open'
  },
  {
    name: 'the same for another thing',
    of: { ...warm, events: [authority(['parasites'])] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'a document without its file',
    of: { ...warm, events: [authority(['arrival-temperature'], { file: null })] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'a document whose time was over',
    of: { ...warm, events: [authority(['arrival-temperature'], { expiresOn: '2026-03-08' })] },
    at: 1,
    want: 'closed'
  },
  {
    name: 'not before it was put there',
    of: { ...warm, events: [authority(['arrival-temperature'], {}, 2)] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'no day of catch is the house’s own caution: a name and a reason',
    of: { lot: { caughtOn: null }, papers: [statement(-20, 168)], events: [owns('freshness.no-catch-date')] },
    at: 1,
    want: 'open'
  },
  {
    name: 'until 3 h, and open before',
    of: {
      lot: { caughtOn: null },
      papers: [statement(-20, 168)],
      events: [owns('freshness.no-catch-date', { until: START + 3 * HOUR })]
    },
    at: 0.9,
    want: 'open'
  },
  {
    name: '… and closed then',
    of: {
      lot: { caughtOn: null },
      papers: [statement(-20, 168)],
      events: [owns('freshness.no-catch-date', { until: START + 3 * HOUR })]
    },
    at: 3,
    want: 'closed'
  },
  {
    name: 'nobody answers for a puffer',
    of: { lot: { species: 'puffer' }, papers: [statement(-20, 168)], events: [owns('toxins.licensed-only')] },
    at: 1,
    want: 'never'
  },
  {
    name: 'nobody answers for what was discarded',
    of: {
      papers: [statement(-20, 168)],
      events: [event('piece.discarded', 0.1, { reason: 'x', mass: null }), owns('handling.discarded')]
    },
    at: 1,
    want: 'closed'
  },
  {
    name: 'nobody answers for time control that has run out',
    of: { papers: [statement(-20, 168)], events: [holdStart(1), owns('time-control.tray')] },
    at: 5,
    want: 'closed'
  },
  {
    name: 'nobody answers for warm hours that are spent',
    of: {
      lot: mackerel,
      papers: okay,
      events: [...lukewarm(13), owns('histamine.budget-spent', { routes: ['cooked'] })]
    },
    at: 13.5,
    route: 'cooked',
    want: 'closed'
  },
  {
    name: 'nobody answers for a source that is none',
    of: { lot: { commercial: 'no' }, papers: [statement(-20, 168)], events: [owns('source.not-commercial')] },
    at: 1,
    want: 'never'
  },
  {
    name: 'US 3-202.18: nobody answers for shellfish without a tag',
    of: { lot: { species: 'oyster', form: 'live', core: null }, events: [owns('shellfish.no-tag')] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'an answer for another finding opens nothing',
    of: { ...warm, events: [owns('parasites.not-frozen')] },
    at: 1,
    want: 'not-cleared'
  }
];

const skipjack = (({ alsoCalled: _, ...entry }) => entry)(speciesById('skipjack'));
const HOUSE_WORDS: Golden[] = [
  {
    name: 'house copy: cold hold of 4 °C, read at exactly 4',
    of: { papers: [statement(-20, 168)], events: [read(2, 4)] },
    at: 7,
    ...x,
    house: copy({ coldHold: 4 }),
    want: 'open',
    code: 'house.profile-stricter'
  },
  {
    name: 'house copy: cold hold of 4 °C, read at 4.1',
    of: { papers: [statement(-20, 168)], events: [read(2, 4.1)] },
    at: 6,
    ...x,
    house: copy({ coldHold: 4 }),
    want: 'not-cleared'
  },
  {
    name: 'house copy: twice the freezing, 335 h',
    of: { papers: [statement(-20, 335)] },
    at: 1,
    ...x,
    house: copy({ freezeHoldFactor: 2 }),
    want: 'not-cleared'
  },
  {
    name: 'house copy: twice the freezing, 336 h',
    of: { papers: [statement(-20, 336)] },
    at: 1,
    ...x,
    house: copy({ freezeHoldFactor: 2 }),
    want: 'open'
  },
  {
    name: 'house copy: 2 °C colder, at -21.9 °C',
    of: { papers: [statement(-21.9, 168)] },
    at: 1,
    ...x,
    house: copy({ freezeColder: -2 }),
    want: 'not-cleared'
  },
  {
    name: 'house copy: 2 °C colder, at -22 °C',
    of: { papers: [statement(-22, 168)] },
    at: 1,
    ...x,
    house: copy({ freezeColder: -2 }),
    want: 'open'
  },
  {
    name: 'house copy: half the freezing lies below the law, and does not act',
    of: { papers: [statement(-20, 84)] },
    at: 1,
    ...x,
    house: copy({ freezeHoldFactor: 0.5 }, ['freezeHoldFactor']),
    want: 'not-cleared',
    code: 'house.profile-floor'
  },
  {
    name: 'house copy: no tuna list',
    of: { lot: { species: 'yellowfin' }, papers: [chilled] },
    at: 1,
    ...x,
    house: copy({ speciesList: 0 }),
    want: 'not-cleared'
  },
  {
    name: 'house copy: no farm exemption',
    of: { lot: char, papers: [feed()] },
    at: 1,
    ...x,
    house: copy({ farmExemption: 0 }),
    want: 'not-cleared'
  },
  {
    name: 'house copy: 4 warm hours, 4.46 h spent',
    of: { lot: mackerel, papers: okay, events: lukewarm(6.2) },
    at: 6.4,
    ...x,
    house: copy({ histamineHours: 4 }),
    route: 'cooked',
    want: 'closed'
  },
  {
    name: 'house copy: trays of 3 h',
    of: { papers: [statement(-20, 168)], events: [holdStart(2)] },
    at: 5,
    ...x,
    house: copy({ trayHours: 3 }),
    want: 'closed'
  },
  {
    name: 'house copy: strict readings, -20.4 + 0.5 °C begins no hold: still only promised',
    of: { events: [freezeStart(1), ...readEvery(3, 171, 24, -20.4)] },
    at: 172,
    ...x,
    house: copy({ strictAccuracy: 1 }),
    want: 'locked'
  },
  {
    name: 'house species: sardine for three days, half of them raw: (1.5 - 0.5 x 1.21) / 1.44 d = 14.92 h',
    of: { lot: { species: 'sardine', caughtOn: '2026-03-09' }, papers: okay },
    at: 15,
    house: own('sardine', { iceDays: 3 }),
    want: 'closed',
    code: 'house.species-changed'
  },
  {
    name: 'as shipped it has four: (2 - 0.605) / 1.44 d = 23.25 h',
    of: { lot: { species: 'sardine', caughtOn: '2026-03-09' }, papers: okay },
    at: 15,
    want: 'open'
  },
  {
    name: 'house species: skipjack without histamine: no name takes a hazard away',
    of: { lot: { species: 'skipjack' }, papers: [statement(-20, 168)] },
    at: 1,
    house: own('skipjack', { hazards: [] }, ['hazards']),
    want: 'not-cleared',
    code: 'histamine.no-chill-record'
  },
  {
    name: 'house species: one of its own',
    of: { lot: { species: 'pale-wrasse' }, papers: [statement(-20, 168), chilled] },
    at: 1,
    house: own('pale-wrasse', { ...skipjack, id: 'pale-wrasse', name: 'Pale wrasse' }, [], true),
    want: 'open',
    code: 'house.species-added'
  }
];

describe('golden verdicts: receiving and judging', () => {
  const all = [JAPAN, KUDOA, EUROPE, UNITED_STATES, SOURCES, INSPECTED, UNSETTLED, EXCEPTIONS, HOUSE_WORDS];
  it('are many', () => expect(all.flat().length).to.be.greaterThan(110));
  for (const table of all) runGolden(table);

  it('US 3-801.11 binds houses that serve such guests: at a bar it is a warning', () => {
    const at = START + HOUR;
    const folded = foldLineage(lineageOf({ papers: [statement(-20, 168)] }), at, at);
    const asked = judge({ ...folded, house: HOUSE, at, knownAt: at, susceptible: true });
    expect([stateOf(asked, 'raw'), stateOf(asked, 'cooked')]).to.deep.equal(['open', 'open']);
    expect(codes(asked)).to.include('guests.warning');
  });
  it('an owned exception stays in sight with its name, and what it does not cover still holds back', () => {
    const of = { lot: { caughtOn: null }, papers: [statement(-20, 168)] };
    const seen = ask({ ...of, events: [owns('freshness.no-catch-date', { routes: ['cured'] })] }, 1);
    const both = seen.reasons.filter(({ code }) => code === 'freshness.no-catch-date');
    expect(both.map(({ effect, routes, owned }) => [effect.kind, routes.length, owned?.by ?? null])).to.deep.equal([
      ['missing', 3, null],
      ['pass', 1, 'p1']
    ]);
  });
  it('the pins name the copy and the house entry a verdict leaned on', () => {
    const seen = ask({ papers: okay, lot: mackerel }, 1, 'house-x', {
      ...HOUSE,
      ...copy({ coldHold: 4 }),
      ...own('sardine', { iceDays: 3 })
    });
    expect(seen.pins.profile).to.match(/^us-fc .*, house entry 5$/);
    expect(seen.pins.catalogue).to.match(/, house entry 6$/);
  });
  it('unidentified reasons say of which candidate they speak, and say alike ones once', () => {
    const seen = ask({ lot: red, papers: [statement(-20, 168)] }, 1);
    expect(seen.reasons.find(({ code }) => code === 'toxins.area-unknown')!.candidate).to.equal('Snapper');
    expect(codes(seen).filter((code) => code === 'temperature.arrived-cold').length).to.equal(1);
    expect(seen.reasons.find(({ code }) => code === 'temperature.arrived-cold')).to.not.have.property('candidate');
  });
});
