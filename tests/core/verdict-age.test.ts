import { expect } from 'chai';
import { PREPARATION } from '../../src/lib/core/activity/age/lists.ts';
import { AGEING_RULES } from '../../src/lib/core/activity/age/lists.ts';
import type { BodyOf } from '../../src/lib/core/record/events.ts';
import { running } from '../../src/lib/core/record/occupation.ts';
import { foldPiece } from '../../src/lib/core/record/piece.ts';
import { isOwnable } from '../../src/lib/core/rules/exceptions.ts';
import { handsQueue } from '../../src/lib/core/service/hands.ts';
import { FINDING_CODES } from '../../src/lib/core/codes/finding.ts';
import { sentence } from '../../src/lib/words/findings.ts';
import { taskWords } from '../../src/lib/words/tasks.ts';
import {
  ask,
  celsius,
  DAY,
  event,
  HOUR,
  HOUSE,
  kept,
  lineageOf,
  logged,
  logsOf,
  START,
  typed,
  type Case
} from './build.ts';
import { char, chilled, fullFeed, runGolden, statement, type Golden } from './golden.ts';

const CABINET = 'Cabinet';
const pins = { profile: 't', catalogue: 't', model: 't' };
const hung = (hours: number, more: Partial<BodyOf<'age.started'>> = {}) =>
  event('age.started', hours, {
    kind: 'whole',
    place: CABINET,
    spot: 'H1',
    mass: typed(1000, 'g'),
    target: null,
    celsius: celsius(2),
    humidity: typed(0.8, '%'),
    prepared: [...PREPARATION.whole],
    pack: 'open',
    prior: { rate: 0.012, rateSigma: 0.5, most: 0.3, mostSigma: 0.3, fish: 0 },
    ready: { low: 5, likely: 8, high: 14 },
    note: '',
    pins,
    ...more
  });
const off = (hours: number, how: 'pulled' | 'stopped' = 'pulled') =>
  event('age.ended', hours, { how, massAfter: null, place: '', service: '', note: '' });
const FINE = { skin: 'dry', eye: 'clear', smell: 'clean', slime: 'none', firmness: 'firm' } as const;
const look = (
  hours: number,
  stops: BodyOf<'age.looked'>['stops'] = [],
  answers: BodyOf<'age.looked'>['answers'] = FINE
) => event('age.looked', hours, { answers, stops, note: '' });
const RAW = ['raw', 'cured', 'acid', 'seared'];
const smellsOff = (hours: number) =>
  look(hours, [{ field: 'smell', answer: 'off', routes: [...RAW, 'cooked'] }], { ...FINE, smell: 'off' });
const wetSkin = (hours: number) =>
  look(hours, [{ field: 'skin', answer: 'wet', routes: RAW }], { ...FINE, skin: 'wet' });

const days = (count: number) => count * 24;
/** A cabinet at 2 °C, read every ten minutes, and at another temperature for some hours. */
const cabinet = (from = 0, to = -1, warm = 2, until = days(20)) =>
  logsOf({ [CABINET]: logged(0, until, (hours) => (hours >= from && hours <= to ? warm : 2), 30) });
/** Read by nobody between two hours. */
const silent = (from: number, to: number) =>
  logsOf({
    [CABINET]: logged(0, days(20), 2, 30).filter(({ at }) => at < START + from * HOUR || at > START + to * HOUR)
  });
const clean: Case = { lot: { ...char, form: 'gutted' }, papers: [fullFeed], logs: cabinet() };
const on = (events: Case['events'], more: Partial<Case> = {}): Case => ({ ...clean, events, ...more });
const bonito = (events: Case['events'], logs = cabinet()): Case => ({
  lot: { species: 'atlantic-bonito', form: 'gutted' },
  papers: [chilled, statement(-20, 168)],
  events,
  logs
});

const TABLE: Golden[] = [
  {
    name: 'days on ice used up for raw service, on ice',
    of: on([]),
    at: days(9),
    want: 'closed',
    code: 'freshness.raw-share'
  },
  {
    name: 'the same fish, prepared and hung in a cabinet that is read',
    of: on([hung(4)]),
    at: days(9),
    want: 'open',
    code: 'freshness.aged'
  },
  {
    name: 'hung without being wiped and dried the rack does not stand for its days',
    of: on([hung(4, { prepared: ['scaled', 'gutted', 'scrubbed'] })]),
    at: days(9),
    want: 'closed',
    code: 'ageing.not-prepared'
  },
  {
    name: 'hung only when its raw days were over',
    of: on([hung(days(8))]),
    at: days(9),
    want: 'closed',
    code: 'freshness.raw-share'
  },
  {
    name: 'an hour on the rack gives back no day on ice',
    of: on([hung(days(4)), off(days(4) + 1)]),
    at: days(6),
    want: 'closed',
    code: 'freshness.raw-share'
  },
  {
    name: 'after five days on the rack the days on ice run on where they stood',
    of: on([hung(4), off(days(5))]),
    at: days(7),
    want: 'open',
    code: 'freshness.raw-share'
  },
  {
    name: 'day of catch unknown stays not cleared, rack or no rack',
    of: { ...on([hung(4)]), lot: { ...char, form: 'gutted', caughtOn: null } },
    at: days(2),
    want: 'not-cleared',
    code: 'freshness.no-catch-date'
  },
  {
    name: 'one hour before the house’s 14 days',
    of: on([hung(4)]),
    at: 4 + days(14) - 3,
    want: 'open',
    code: 'ageing.house-maximum'
  },
  { name: 'after the house’s 14 days', of: on([hung(4)]), at: 4 + days(14) + 0.1, want: 'closed' },
  {
    name: 'after them it is not cooked either',
    of: on([hung(4)]),
    at: 4 + days(14) + 0.1,
    route: 'cooked',
    want: 'closed'
  },
  {
    name: 'a house of 10 days',
    of: on([hung(4)]),
    at: 4 + days(10) + 0.1,
    house: { ageing: { ...AGEING_RULES, wholeDays: 10, reason: '', looser: [], by: 'p1', seq: 9 } },
    want: 'closed'
  },
  {
    name: 'off the rack it keeps three days',
    of: on([hung(4), off(days(9))]),
    at: days(12) - 3,
    want: 'open',
    code: 'ageing.within-maximum'
  },
  { name: 'and no longer', of: on([hung(4), off(days(9))]), at: days(12) + 0.1, want: 'closed', code: 'ageing.after' },
  {
    name: 'taken off after the longest days, it was closed by them',
    of: on([hung(4), off(days(16))]),
    at: days(16) + 1,
    want: 'closed',
    code: 'ageing.house-maximum'
  },
  {
    name: 'off smell ends it raw',
    of: on([hung(4), look(28), smellsOff(52)]),
    at: 53,
    want: 'closed',
    code: 'ageing.stopped'
  },
  { name: 'off smell ends it cooked', of: on([hung(4), smellsOff(52)]), at: 53, route: 'cooked', want: 'closed' },
  { name: 'before the look it was open', of: on([hung(4), smellsOff(52)]), at: 51, want: 'open' },
  { name: 'wet skin ends it raw', of: on([hung(4), wetSkin(52)]), at: 53, want: 'closed' },
  { name: 'wet skin leaves it for the pan', of: on([hung(4), wetSkin(52)]), at: 53, route: 'cooked', want: 'open' },
  {
    name: 'cabinet above 4 °C for an hour and a half',
    of: on([hung(4)], { logs: cabinet(40, 41, 4.6) }),
    at: 60,
    want: 'open'
  },
  {
    name: 'cabinet above 4 °C for three hours',
    of: on([hung(4)], { logs: cabinet(40, 43, 4.6) }),
    at: 60,
    want: 'closed',
    code: 'ageing.cabinet-warm'
  },
  {
    name: 'warm before it was hung is not its warmth',
    of: on([...kept(48), hung(50)], { logs: cabinet(40, 43, 4.6) }),
    at: 60,
    want: 'open'
  },
  {
    name: 'a cabinet nobody read for 29 hours: not cleared, and five of them are spent',
    of: on([hung(4)], { logs: silent(30, 58.9) }),
    at: 80,
    want: 'closed',
    code: 'ageing.cabinet-unread'
  },
  {
    name: 'a cabinet nobody read for 27 hours: not cleared, and three of them are spent',
    of: on([hung(4)], { logs: silent(30, 56.9) }),
    at: 80,
    want: 'not-cleared',
    code: 'ageing.cabinet-unread'
  },
  {
    name: 'its last word a day old',
    of: on([hung(4)], { logs: silent(30, 500) }),
    at: 53,
    want: 'open',
    code: 'ageing.read-on'
  },
  { name: 'its last word 27 hours old', of: on([hung(4)], { logs: silent(30, 500) }), at: 57, want: 'not-cleared' },
  {
    name: 'a silence of twelve hours in another fish than those of histamine',
    of: on([hung(4)], { logs: silent(30, 42) }),
    at: 80,
    want: 'open'
  },
  {
    name: 'a cabinet without any log, 27 h after it was read at the door',
    of: on([hung(0.5)], { logs: undefined }),
    at: 27,
    want: 'not-cleared'
  },
  {
    name: '… and four hours on',
    of: on([hung(0.5)], { logs: undefined }),
    at: 28.1,
    want: 'not-cleared',
    code: 'clock.read-by'
  },
  {
    name: 'its core read by hand every day',
    of: on(
      [hung(4), ...[20, 44, 68].map((hours) => event('cold.read', hours, { reading: celsius(2), place: CABINET }))],
      {
        logs: undefined
      }
    ),
    at: 80,
    want: 'open'
  },
  {
    name: 'histamine species, log unbroken',
    of: bonito([hung(4)]),
    at: 40,
    want: 'open',
    code: 'ageing.histamine'
  },
  {
    name: 'histamine species, silent for five hours',
    of: bonito([hung(4)], silent(20, 25)),
    at: 40,
    want: 'not-cleared',
    code: 'ageing.histamine-unread'
  },
  {
    name: 'formed histamine is not cooked away',
    of: bonito([hung(4)], silent(20, 25)),
    at: 40,
    route: 'cooked',
    want: 'not-cleared'
  },
  {
    name: 'in a closed pack, warned of from the first minute',
    of: on([hung(4, { pack: 'closed' })]),
    at: 5,
    want: 'open',
    code: 'ageing.closed-pack'
  },
  { name: 'in a closed pack after 48 hours', of: on([hung(4, { pack: 'closed' })]), at: 52.5, want: 'closed' },
  { name: 'and not cooked', of: on([hung(4, { pack: 'closed' })]), at: 52.5, route: 'cooked', want: 'closed' },
  {
    name: 'a fillet on the rack keeps the date mark of its knife',
    of: { ...on([hung(4, { kind: 'fillet', prepared: [...PREPARATION.fillet] })]), lot: { ...char, form: 'fillet' } },
    at: days(7) + 20,
    want: 'closed',
    code: 'date-mark.day'
  },
  {
    name: 'a house that dates from the hanging',
    of: on([hung(4)]),
    at: days(8),
    house: { ageing: { ...AGEING_RULES, dayOneAtHanging: true, reason: '', looser: [], by: 'p1', seq: 9 } },
    want: 'closed',
    code: 'date-mark.day'
  }
];

describe('golden rows: hung to age', () => runGolden(TABLE));

describe('what the rack says on the verdict', () => {
  it('a looser house stands by it on every verdict it touches', () => {
    const seen = ask(on([hung(4)]), 40, 'us-fc', {
      ...HOUSE,
      ageing: {
        ...AGEING_RULES,
        wholeDays: 21,
        reason: 'fat char, small cabinet',
        looser: ['wholeDays'],
        by: 'p1',
        seq: 9
      }
    });
    const owned = seen.reasons.find(({ code }) => code === 'ageing.rules-looser')!;
    expect(sentence(owned)).to.contain('fat char, small cabinet');
  });
  it('an unread cabinet may be answered for, of a histamine species it may not', () => {
    const of = (seen: ReturnType<typeof ask>, code: string) => seen.reasons.find((each) => each.code === code)!;
    expect(isOwnable(of(ask(on([hung(4)], { logs: silent(30, 66) }), 80), 'ageing.cabinet-unread'))).to.equal(true);
    expect(isOwnable(of(ask(bonito([hung(4)], silent(20, 25)), 40), 'ageing.histamine-unread'))).to.equal(false);
  });
  it('a reading the more never closes what was cleared, and taking readings away never opens', () => {
    for (let hour = 10; hour <= 100; hour += 10) {
      const all = ask(on([hung(4)]), hour).windows;
      const fewer = ask(on([hung(4)], { logs: silent(20, 66) }), hour).windows;
      fewer.forEach((window, index) => {
        if (['open', 'ebbing'].includes(window.state)) expect(all[index]!.state).to.be.oneOf(['open', 'ebbing']);
      });
    }
  });
  it('every finding of the rack has a sentence without a hole in it', () => {
    const found = [
      ...ask(on([hung(4), smellsOff(52)], { logs: silent(30, 66) }), 80).reasons,
      ...ask(on([hung(4, { prepared: [] })], { logs: cabinet(40, 50, 6) }), 80).reasons,
      ...ask(bonito([hung(4, { pack: 'closed' })]), 80).reasons,
      ...ask(on([hung(4), off(50)]), 80).reasons
    ].filter(({ hazard, code }) => hazard === 'ageing' || code === 'freshness.aged');
    expect(new Set(found.map(({ code }) => code)).size).to.be.greaterThan(8);
    for (const each of found) {
      expect(FINDING_CODES, each.code).to.include(each.code);
      expect(sentence(each)).to.not.match(/undefined|NaN|\s{2}/);
    }
  });
});

describe('what the record makes of it', () => {
  const weighed = (hours: number, grams: number) =>
    event('age.weighed', hours, {
      mass: typed(grams, 'g'),
      sure: false,
      ready: { low: 5, likely: 6, high: 7 },
      note: ''
    });
  const moved = (hours: number, spot: string, place = CABINET) => event('age.moved', hours, { place, spot });
  const fold = (events: Case['events'], at?: number) => {
    const [piece] = lineageOf(on(events)).pieces;
    return foldPiece('P', piece!.events, at === undefined ? {} : { at: START + at * HOUR })!;
  };
  it('weights, looks and places by day; the newest weight is what it weighs', () => {
    const state = fold([hung(4), weighed(28, 985), look(29), moved(30, 'S1.2'), weighed(52, 970)]);
    expect(state.grams).to.equal(970);
    expect(running(state.ages)).to.include({ spot: 'S1.2', place: CABINET });
    expect(state.ages[0]!.weighIns).to.have.length(2);
    expect(fold([hung(4), weighed(28, 985), weighed(52, 970)], 40).grams).to.equal(985);
  });
  it('it lies in the cabinet from its hanging, in one stay however often it changes hooks', () => {
    const state = fold([hung(4), moved(10, 'H3'), moved(20, 'H4'), moved(30, 'H1', 'Other')]);
    expect(state.stays.map(({ place }) => place)).to.deep.equal([CABINET, 'Other']);
  });
  it('off the rack it hangs nowhere', () => {
    expect(running(fold([hung(4), off(60)]).ages)).to.equal(null);
  });
  it('hands are asked for a look each day, for the pull by forecast, and at once for a stop', () => {
    const tasks = (events: Case['events'], at: number) => {
      const state = fold(events);
      const windows = ask(on(events), at).windows;
      const projected = { state, lot: { id: 'L' } as never, windows, missing: [], clock: null };
      return handsQueue([projected], START + at * HOUR, 7200).filter(({ code }) => code.startsWith('age-'));
    };
    const [first, second] = tasks([hung(4)], 10);
    expect(first).to.include({ code: 'age-look', at: START + 28 * HOUR });
    expect(second).to.include({ code: 'age-ready', at: START + 4 * HOUR + 8 * DAY });
    expect(tasks([hung(4), look(20), weighed(21, 985)], 22).map(({ at }) => (at - START) / HOUR)).to.deep.equal([
      44,
      4 + 6 * 24
    ]);
    const [stop, ...others] = tasks([hung(4), smellsOff(52)], 53);
    expect(others).to.deep.equal([]);
    expect(taskWords(stop!)).to.equal('Take it out of the rack: smell off');
    expect(tasks([hung(4), off(50)], 53)).to.deep.equal([]);
  });
});
