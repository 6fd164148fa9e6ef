import { celsius, paper } from '../build.ts';
import { chilled, cleared, fullFeed, licensed, statement, tag, type Golden } from '../golden.ts';
import { froze, says } from './law-papers.ts';

export const puffer = { lot: { species: 'puffer' }, papers: [froze, paper({ type: 'licence' })] };

export const KINDS: Golden[] = [
  {
    name: 'A12: 1-201.10: abalone is no molluscan shellfish: it needs its freezing',
    of: { lot: { species: 'abalone' } },
    at: 1,
    want: 'not-cleared',
    code: 'parasites.not-frozen'
  },
  {
    name: 'A12: a whelk as well, and its glands are told of',
    of: { lot: { species: 'whelk' }, papers: [froze] },
    at: 1,
    want: 'open',
    code: 'toxins.tetramine'
  },
  {
    name: 'A12: a clam is',
    of: { lot: { species: 'carpet-clam', form: 'live', core: null, air: celsius(4) }, papers: [tag] },
    at: 1,
    want: 'open',
    code: 'parasites.group-exempt'
  },
  {
    name: 'A14: crab, frozen with a paper',
    of: { lot: { species: 'crab', form: 'shell-on' }, papers: [froze] },
    at: 1,
    want: 'never',
    code: 'toxins.cooked-only'
  },
  {
    name: 'A14: clawed lobster, seared',
    of: { lot: { species: 'lobster', form: 'shell-on' }, papers: [froze] },
    at: 1,
    route: 'seared',
    want: 'never'
  },
  {
    name: 'A14: snow crab, cooked',
    of: { lot: { species: 'snow-crab', form: 'shell-on' }, papers: [froze] },
    at: 1,
    route: 'cooked',
    want: 'open'
  },
  {
    name: 'A14: crayfish: lung fluke',
    of: { lot: { species: 'crayfish', form: 'shell-on' }, papers: [froze] },
    at: 1,
    profile: 'jp',
    want: 'never',
    code: 'toxins.lung-fluke'
  },
  {
    name: 'A14: spiny lobster under the parasite rule, not frozen',
    of: { lot: { species: 'spiny-lobster', caughtOn: '2026-03-09' } },
    at: 1,
    want: 'not-cleared',
    code: 'parasites.not-frozen'
  },
  {
    name: 'A14: langoustine, frozen',
    of: { lot: { species: 'langoustine', caughtOn: '2026-03-09' }, papers: [froze] },
    at: 1,
    want: 'open'
  },
  {
    name: 'A14: langoustine, EU: not in the freezing rule',
    of: { lot: { species: 'langoustine', caughtOn: '2026-03-09' } },
    at: 1,
    profile: 'eu',
    want: 'open'
  },
  {
    name: 'A15: puffer under EU, licensed and through the channel',
    of: puffer,
    house: licensed(),
    at: 1,
    profile: 'eu',
    route: 'cooked',
    want: 'never',
    code: 'toxins.forbidden'
  },
  {
    name: 'A15: sunfish under EU',
    of: { lot: { species: 'ocean-sunfish' }, papers: [statement(-20, 24)] },
    at: 1,
    profile: 'eu',
    route: 'cooked',
    want: 'never'
  },
  {
    name: 'A15: porcupinefish without a licence, US',
    of: { lot: { species: 'porcupinefish' }, papers: [froze] },
    at: 1,
    route: 'cooked',
    want: 'never',
    code: 'toxins.licensed-only'
  },
  {
    name: 'A15: puffer liver, licensed',
    of: { ...puffer, lot: { species: 'puffer', form: 'roe' } },
    house: licensed(),
    at: 1,
    route: 'cooked',
    want: 'never',
    code: 'toxins.poison-part'
  },
  {
    name: 'A16: JP: no exemption for roe is written',
    of: { lot: { species: 'salmon-or-trout-roe', form: 'roe', roeRinsed: true } },
    at: 1,
    profile: 'jp',
    want: 'not-cleared'
  },
  {
    name: 'A25: parrotfish, its waters cleared and frozen',
    of: { lot: { species: 'parrotfish' }, papers: [froze, cleared] },
    at: 1,
    want: 'never',
    code: 'toxins.palytoxin'
  },
  {
    name: 'A25: firefly squid, whole and frozen for a week',
    of: { lot: { species: 'firefly-squid', form: 'whole' }, papers: [froze] },
    at: 1,
    want: 'never',
    code: 'toxins.spirurin'
  },
  {
    name: 'A25: escolar in Japan',
    of: { lot: { species: 'escolar' }, papers: [statement(-20, 24), chilled] },
    at: 1,
    profile: 'jp',
    route: 'cooked',
    want: 'never'
  },
  {
    name: 'A25: great barracuda in Japan',
    of: { lot: { species: 'great-barracuda' }, papers: [statement(-20, 24), cleared] },
    at: 1,
    profile: 'jp',
    route: 'cooked',
    want: 'never'
  },
  {
    name: 'A25: whitefish of a lake, EU, frozen: flukes',
    of: { lot: { species: 'whitefish', water: 'fresh' }, papers: [statement(-20, 24)] },
    at: 1,
    profile: 'eu',
    want: 'not-cleared',
    code: 'parasites.fluke-not-cleared'
  },
  {
    name: 'E.9: a farm’s paper that says nothing of the water does not answer for flukes',
    of: {
      lot: { species: 'rainbow', source: 'farmed', farmSystem: 'pond', water: 'fresh' },
      papers: [says({ formulatedFeed: true, raised: true, fromEmbryos: true })]
    },
    at: 1,
    profile: 'eu',
    want: 'not-cleared',
    code: 'parasites.fluke-not-cleared'
  },
  {
    name: 'E.9: … one that does, verified',
    of: { lot: { species: 'rainbow', source: 'farmed', farmSystem: 'pond', water: 'fresh' }, papers: [fullFeed] },
    at: 1,
    profile: 'eu',
    want: 'open'
  },
  {
    name: 'E.9: snapper from FAO 27, on its supplier’s paper',
    of: { lot: { species: 'snapper', faoArea: '27' }, papers: [froze, paper({ type: 'area-document' })] },
    at: 1,
    want: 'open'
  },
  {
    name: 'E.9: … from FAO 31',
    of: { lot: { species: 'snapper', faoArea: '31' }, papers: [froze, paper({ type: 'area-document' })] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'E.9: … from FAO 37, where reefs are reported in part',
    of: { lot: { species: 'snapper', faoArea: '37' }, papers: [froze, paper({ type: 'area-document' })] },
    at: 1,
    want: 'not-cleared'
  },
  {
    name: 'E.9: … on nobody’s paper',
    of: { lot: { species: 'snapper', faoArea: '27' }, papers: [froze] },
    at: 1,
    want: 'not-cleared'
  }
];
