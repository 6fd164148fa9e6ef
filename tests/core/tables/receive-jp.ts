import { celsius, freezeStart, holdStart, owns, readEvery } from '../build.ts';
import { char, chilled, feed, fullFeed } from '../golden.ts';
import { statement, type Golden } from '../golden.ts';
import { copy, jp, minute, x } from './house.ts';

export const JAPAN: Golden[] = [
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

export const flounder = { species: 'flounder', source: 'farmed' as const, farmSystem: 'land-based' as const };

export const KUDOA: Golden[] = [
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
