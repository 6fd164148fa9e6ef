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
import { authority, chilled, cleared, fullFeed, runGolden, tag, type Golden } from './golden.ts';
import { PAPERS, farm, froze } from './tables/law-papers.ts';
import { KINDS } from './tables/law-kinds.ts';

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
