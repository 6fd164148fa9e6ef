import { expect } from 'chai';
import { speciesById } from '../../src/lib/core/fish/species.ts';
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
  readEvery,
  stateOf
} from './build.ts';
import { char, chilled, cleared, feed, runGolden } from './golden.ts';
import { statement, type Golden } from './golden.ts';
import { copy, own, read, x } from './tables/house.ts';
import { JAPAN, KUDOA } from './tables/receive-jp.ts';
import { UNITED_STATES, lukewarm, mackerel, okay } from './tables/receive-sources.ts';
import { EUROPE, SOURCES } from './tables/receive-eu.ts';
import { EXCEPTIONS } from './tables/receive-exceptions.ts';

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
