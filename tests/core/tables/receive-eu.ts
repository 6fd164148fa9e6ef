import { celsius, holdStart, paper } from '../build.ts';
import type { HouseDocument } from '../../../src/lib/core/codes/documents.ts';
import { char, feed, licensed } from '../golden.ts';
import { statement, type Golden } from '../golden.ts';
import { minute, read } from './house.ts';

export const EUROPE: Golden[] = [
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

export const SOURCES: Golden[] = [
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
