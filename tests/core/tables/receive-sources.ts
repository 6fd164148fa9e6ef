import { paper } from '../build.ts';
import { char, chilled, feed } from '../golden.ts';
import { statement, type Golden } from '../golden.ts';
import { minute, read, readF } from './house.ts';

// Warm hours by hand, limit 4.4 °C: from 1 °C at the door to 4.8 °C at 2 h it is crossed at 1.789 h, from 4.8 to 4 °C in the last six
// minutes half-way. The house's own clock above 5 °C sees at most the six minutes round the peak.
export const lukewarm = (until: number, peak = 4.8) => [
  read(2, 4.8),
  read(2.05, peak),
  read(2.1, 4.8),
  read(until, 4.8),
  read(until + 0.1, 4)
];

export const mackerel = { species: 'atlantic-mackerel', caughtOn: '2026-03-09' };

export const thawed = { ...mackerel, previouslyFrozen: 'yes' as const };

export const okay = [statement(-20, 168), chilled];

export const UNITED_STATES: Golden[] = [
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
