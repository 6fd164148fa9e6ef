import { expect } from 'chai';
import { SPECIES } from '../../src/lib/core/fish/species.ts';
import { RAW_ROUTES } from '../../src/lib/core/codes/window.ts';
import {
  ask,
  celsius,
  codes,
  event,
  freezeEnd,
  freezeRead,
  freezeStart,
  kept,
  logged,
  logsOf,
  moved,
  paper,
  readEvery,
  stateOf,
  typed,
  type Case
} from './build.ts';
import { authority, chilled, cleared, fullFeed, licensed, runGolden, statement, tag, type Golden } from './golden.ts';

const froze = statement(-20, 168);
const frozeOn = (more: object) => ({ ...froze, body: { ...froze.body, ...more } }) as typeof froze;
const farm: Case['lot'] = { species: 'turbot', source: 'farmed', farmSystem: 'land-based' };
const says = (more: object) => paper({ type: 'feed-statement', ...more });

/** Papers are held against the lot: caught on the 8th, in on the 9th of March, 1 kg of block from Kelda Bay Boats. */
const PAPERS: Golden[] = [
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

const PACKS: Golden[] = [
  {
    name: 'A17: Hazards guide ch. 13: chilled in a pack without air, no indicator, 3.3 °C',
    of: { lot: { pack: 'closed', packIndicator: 'no', core: celsius(3.3) }, papers: [froze] },
    at: 1,
    want: 'open',
    code: 'pack.cold'
  },
  {
    name: 'A17: … 3.4 °C',
    of: { lot: { pack: 'closed', packIndicator: 'no', core: celsius(3.4) }, papers: [froze] },
    at: 1,
    route: 'cooked',
    want: 'not-cleared',
    code: 'pack.no-indicator'
  },
  {
    name: 'A17: … exactly 38 °F',
    of: { lot: { pack: 'closed', packIndicator: 'unknown', core: typed(10 / 3, 'F', '38 F') }, papers: [froze] },
    at: 1,
    want: 'open'
  },
  {
    name: 'A17: … with its indicator',
    of: { lot: { pack: 'closed', packIndicator: 'yes', core: celsius(4.5) }, papers: [froze] },
    at: 1,
    want: 'open',
    code: 'pack.indicator'
  },
  {
    name: 'A17: … read at 4 °C later, still in it',
    of: {
      lot: { pack: 'closed', packIndicator: 'no' },
      papers: [froze],
      events: [event('cold.read', 3, { reading: celsius(4), place: '' })]
    },
    at: 4,
    want: 'not-cleared'
  },
  {
    name: 'A17: frozen in it, it is no chilled pack',
    of: { lot: { pack: 'closed', packIndicator: 'no', frozen: true, core: celsius(-18) }, papers: [froze] },
    at: 1,
    want: 'open'
  },
  {
    name: 'A17: nobody said',
    of: { lot: { pack: 'unknown' }, papers: [froze] },
    at: 1,
    want: 'open',
    code: 'pack.not-asked'
  },
  {
    name: 'A17: by an approved plan',
    of: {
      lot: { pack: 'closed', packIndicator: 'no', core: celsius(3.4) },
      papers: [froze, authority(['closed-pack'])]
    },
    at: 1,
    want: 'open'
  }
];

const puffer = { lot: { species: 'puffer' }, papers: [froze, paper({ type: 'licence' })] };
const KINDS: Golden[] = [
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

// Sardine: four days on ice, two for raw. Iced at 1 °C on the way: half a day is 0.605, 23 h left at 2 °C.
const sardine: Case['lot'] = { species: 'sardine', caughtOn: '2026-03-09', form: 'whole' };
const weekOf = (from: number) => [freezeStart(from), ...readEvery(from + 6, from + 200, 20, -22)];
const CLOSED: Golden[] = [
  {
    name: 'A11: past its raw share, then put in a freezer: closed for good stays closed',
    of: { lot: sardine, papers: [chilled], events: [...kept(24), ...weekOf(30)] },
    at: 210,
    want: 'closed',
    code: 'freshness.raw-share'
  },
  {
    name: 'A11: within it, the freezer stops the clock',
    of: { lot: sardine, papers: [chilled], events: [...kept(12), ...weekOf(16)] },
    at: 210,
    want: 'open'
  },
  {
    name: 'A11: past its date mark, then put in a freezer',
    of: { lot: { form: 'block', caughtOn: '2026-03-09' }, events: [...kept(168), ...weekOf(170)] },
    at: 380,
    route: 'cooked',
    want: 'closed',
    code: 'date-mark.day'
  },
  {
    name: 'E.3: frozen within it, the days stand still',
    of: { lot: { form: 'block', caughtOn: '2026-03-09' }, events: [...kept(48), ...weekOf(50)] },
    at: 240,
    route: 'cooked',
    want: 'open',
    code: 'date-mark.paused'
  },
  {
    name: 'E.8: held to be frozen, and exempt: its freezing is asked for all the same',
    of: { lot: { ...farm, decision: 'hold-freeze', reason: 'x' }, papers: [fullFeed] },
    at: 1,
    want: 'not-cleared',
    code: 'decision.hold-to-freeze'
  },
  {
    name: 'E.8: held to be frozen and not exempt: two things are missing',
    of: { lot: { decision: 'hold-freeze', reason: 'x' } },
    at: 1,
    want: 'not-cleared',
    code: 'parasites.not-frozen'
  },
  {
    name: 'E.1: the share of days on ice closes a cured piece too',
    of: { lot: { ...sardine }, papers: [froze, chilled], events: kept(24) },
    at: 26,
    route: 'cured',
    want: 'closed',
    code: 'freshness.raw-share'
  }
];

// A30: EU counts from the core: a core at -22 °C for 24 h, the air read at -15 °C in the middle of a defrost.
const AIR: Golden[] = [
  {
    name: 'A30: one warm air reading does not restart a hold that core readings prove',
    of: { events: [freezeStart(1, { cycle: 'eu-24h' }), ...readEvery(3, 28, 2, -22), freezeRead(12.5, -15, 'air')] },
    at: 28,
    profile: 'eu',
    want: 'open',
    code: 'parasites.frozen-here'
  },
  {
    name: 'A30: … by loggers, a defrost of an hour',
    of: {
      events: [freezeStart(1, { cycle: 'eu-24h', coreSensor: 'probe' })],
      logs: logsOf({ Chest: logged(1, 28, (hours) => (hours > 12 && hours < 13 ? -12 : -25)) }, logged(3, 28, -21))
    },
    at: 28,
    profile: 'eu',
    want: 'open'
  },
  {
    name: 'A30: with air alone it does',
    of: {
      events: [
        freezeStart(1, { cycle: 'eu-24h' }),
        ...Array.from({ length: 14 }, (_, index) => freezeRead(1.5 + index * 2, index === 9 ? -15 : -25, 'air'))
      ]
    },
    at: 28,
    profile: 'eu',
    want: 'locked'
  },
  {
    name: 'A30: and a warm core breaks it whatever the air says',
    of: { events: [freezeStart(1, { cycle: 'eu-24h' }), ...readEvery(3, 28, 2, -22), freezeRead(12.5, -15, 'core')] },
    at: 28,
    profile: 'eu',
    want: 'locked'
  },
  {
    name: 'A30: a core read cold hours before answers for no warm air',
    of: {
      events: [
        freezeStart(1, { cycle: 'eu-24h' }),
        freezeRead(3, -22),
        ...Array.from({ length: 13 }, (_, index) => freezeRead(4 + index * 2, index === 6 ? -12 : -25, 'air'))
      ]
    },
    at: 28,
    profile: 'eu',
    want: 'locked'
  }
];

describe('golden verdicts: papers, packs, kinds, and what is closed for good', () => {
  const all = [PAPERS, PACKS, KINDS, CLOSED, AIR];
  it('are many', () => expect(all.flat().length).to.be.greaterThan(60));
  for (const table of all) runGolden(table);

  it('A14: a species whose note says “cooked” opens no raw route under any paper, and the other way round', () => {
    const papers = [froze, chilled, cleared, fullFeed, tag, paper({ type: 'licence' })];
    const shut = (id: string) => {
      const lot = { species: id, form: 'shell-on' as const, air: celsius(2), caughtOn: '2026-03-09' };
      const seen = ask({ lot, papers }, 1);
      return RAW_ROUTES.every((route) => stateOf(seen, route) === 'never');
    };
    const saysCooked = SPECIES.filter(({ note }) => /cooked before use|cooked only|not raw/.test(note));
    expect(saysCooked.length).to.be.greaterThan(8);
    for (const { id } of saysCooked) expect(shut(id), id).to.equal(true);
    const neverRaw = SPECIES.filter(({ hazards }) =>
      hazards.some((hazard) => ['cooked-only', 'lung-fluke', 'palytoxin', 'raw-blood'].includes(hazard))
    );
    for (const { id, note } of neverRaw) expect(note, id).to.match(/cooked|not raw/);
  });
  it('A25: every bivalve tells of norovirus, Vibrio and toxins of its water', () => {
    const bivalves = SPECIES.filter(({ group }) => group === 'mollusc');
    expect(bivalves.length).to.be.greaterThan(4);
    for (const { id } of bivalves) {
      const seen = codes(ask({ lot: { species: id, form: 'live', core: null, air: celsius(4) }, papers: [tag] }, 1));
      expect(seen, id).to.include.members(['toxins.norovirus', 'toxins.vibrio', 'toxins.shellfish']);
    }
  });
  it('no species ships under a name that is none, and wild salmonids carry worms', () => {
    for (const { id, scientific } of SPECIES) {
      for (const name of scientific) expect(name, id).to.match(/^[A-Z][a-z]+( [a-z]+\.?| hybrid| spp\.)?$/);
    }
    const wild = SPECIES.filter(({ scientific }) =>
      scientific.some((name) => /^(Salmo|Oncorhynchus|Salvelinus)/.test(name))
    );
    for (const { id, group, parasitesWhenWild } of wild)
      if (group === 'finfish') expect(parasitesWhenWild, id).to.include.members(['nematode', 'tapeworm']);
  });
  it('what moved and froze here is open by its own record, and by nothing else', () => {
    const events = [
      moved(0.5, 'Drawer'),
      freezeStart(1),
      ...readEvery(3, 171, 20, -22),
      freezeEnd(172),
      moved(172, 'Drawer')
    ];
    expect(stateOf(ask({ events, lot: { caughtOn: '2026-03-09' } }, 173), 'raw')).to.equal('open');
    expect(stateOf(ask({ events: events.slice(0, 1) }, 2), 'raw')).to.equal('not-cleared');
  });
});
