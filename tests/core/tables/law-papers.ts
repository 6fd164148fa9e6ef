import { celsius, paper, typed, type Case } from '../build.ts';
import { statement, type Golden } from '../golden.ts';

export const froze = statement(-20, 168);

export const frozeOn = (more: object) => ({ ...froze, body: { ...froze.body, ...more } }) as typeof froze;

export const farm: Case['lot'] = { species: 'turbot', source: 'farmed', farmSystem: 'land-based' };

export const says = (more: object) => paper({ type: 'feed-statement', ...more });

/** Papers are held against the lot: caught on the 8th, in on the 9th of March, 1 kg of block from Kelda Bay Boats. */
export const PAPERS: Golden[] = [
  {
    name: 'A9: frozen in the days between catch and arrival',
    of: { papers: [frozeOn({ frozenFrom: '2026-03-08', frozenTo: '2026-03-09' })], lot: { caughtOn: '2026-03-07' } },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'A9: frozen for eight days after the catch',
    of: {
      papers: [frozeOn({ frozenFrom: '2026-03-01', frozenTo: '2026-03-09' })],
      lot: { caughtOn: '2026-03-01', frozen: true, core: celsius(-20) }
    },
    at: 1,
    want: 'open'
  },
  {
    name: 'A9: frozen before it was caught',
    of: { papers: [frozeOn({ frozenFrom: '2026-02-20', frozenTo: '2026-03-01' })] },
    at: 1,
    want: 'not-cleared',
    code: 'parasites.paper-contradicts'
  },
  {
    name: 'A9: a statement written before the catch',
    of: { papers: [frozeOn({ issuedOn: '2026-03-01' })] },
    at: 1,
    want: 'not-cleared',
    code: 'parasites.paper-contradicts'
  },
  {
    name: 'A9: 3-402.12: a standing agreement may be older than the fish',
    of: { papers: [frozeOn({ issuedOn: '2026-01-01', expiresOn: '2026-12-31' })] },
    at: 1,
    want: 'open'
  },
  {
    name: 'A9: frozen until after it came',
    of: { papers: [frozeOn({ frozenFrom: '2026-03-08', frozenTo: '2026-03-20' })] },
    at: 1,
    want: 'not-cleared'
  },
  { name: 'A9: of another species', of: { papers: [frozeOn({ species: 'cod' })] }, at: 1, want: 'not-cleared' },
  { name: 'A9: of this species', of: { papers: [frozeOn({ species: 'halibut' })] }, at: 1, want: 'open' },
  { name: 'A9: of another cut', of: { papers: [frozeOn({ form: 'whole' })] }, at: 1, want: 'not-cleared' },
  {
    name: 'A9: of another supplier',
    of: { papers: [frozeOn({ supplier: 'Graywater Landings' })] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'A9: of the same, written otherwise',
    of: { papers: [frozeOn({ supplier: ' kelda bay boats' })] },
    at: 1,
    want: 'open'
  },
  { name: 'A9: of less than came', of: { papers: [frozeOn({ mass: typed(600, 'g') })] }, at: 1, want: 'not-cleared' },
  { name: 'A9: of more than came', of: { papers: [frozeOn({ mass: typed(1600, 'g') })] }, at: 1, want: 'open' },
  {
    name: 'A9: US 3-402.12(D): fed, and nothing said of how they were raised',
    of: { lot: farm, papers: [says({ formulatedFeed: true })] },
    at: 1,
    want: 'not-cleared',
    code: 'parasites.no-farm-paper'
  },
  {
    name: 'A9: raised, and nothing said of the feed',
    of: { lot: farm, papers: [says({ raised: true })] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'A9: both on the paper',
    of: { lot: farm, papers: [says({ formulatedFeed: true, raised: true })] },
    at: 1,
    want: 'open'
  },
  {
    name: 'A24: never frozen, says the door, and the paper says it was',
    of: { lot: { previouslyFrozen: 'no' }, papers: [froze] },
    at: 1,
    want: 'not-cleared',
    code: 'parasites.paper-contradicts'
  },
  {
    name: 'A27: Hazards guide ch. 7: the supplier’s letter with 4 °C on the way',
    of: {
      lot: { species: 'yellowfin', form: 'loin' },
      papers: [paper({ type: 'supplier-letter', transit: celsius(4) })]
    },
    at: 1,
    want: 'open'
  },
  {
    name: 'A27: … with 4.5 °C',
    of: {
      lot: { species: 'yellowfin', form: 'loin' },
      papers: [paper({ type: 'supplier-letter', transit: celsius(4.5) })]
    },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'A27: … with 40 °F, in its own scale',
    of: {
      lot: { species: 'yellowfin', form: 'loin' },
      papers: [paper({ type: 'supplier-letter', transit: typed(40 / 9, 'F', '40 F') })]
    },
    at: 1,
    want: 'open'
  },
  {
    name: 'A27: … and no temperature',
    of: { lot: { species: 'yellowfin', form: 'loin' }, papers: [paper({ type: 'supplier-letter' })] },
    at: 1,
    want: 'not-cleared',
    code: 'histamine.no-chill-record'
  }
];
