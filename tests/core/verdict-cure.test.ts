import { expect } from 'chai';
import type { BodyOf } from '../../src/lib/core/record/events.ts';
import { upcast } from '../../src/lib/core/record/events.ts';
import { cureNow } from '../../src/lib/core/activity/cure/fold.ts';
import { foldPiece } from '../../src/lib/core/record/piece.ts';
import { ask, codes, cureEnd, cureStart, event, HOUR, kept, lineageOf, START, stateOf, typed } from './build.ts';
import { authority, runGolden, statement, type Golden } from './golden.ts';

const salted = (least: number): Partial<BodyOf<'cure.started'>> => {
  const band = { low: least, likely: least + 1, high: least + 2 };
  const forecast = {
    meanSaltPercent: band,
    middleSaltPercent: band,
    surfaceWps: band,
    gramsAfter: band,
    middleReachesAt: null,
    leastWps: band,
    waterActivity: 0.96
  };
  return { forecast };
};
const closedPack = (least: number, more: Partial<BodyOf<'cure.started'>> = {}) =>
  cureStart(2, 24, { pack: 'closed', ...salted(least), ...more });
const papers = [statement(-20, 168)];
/** The fridge it lies in, read twice a day: what the silence spends is told elsewhere. */
const inFridge = kept(84);

const TABLE: Golden[] = [
  {
    name: 'a cure without a kill step: still raw, and it is said',
    of: { events: [cureStart(2, 24), cureEnd(26)] },
    at: 27,
    route: 'cured',
    want: 'not-cleared',
    code: 'cure.still-raw'
  },
  {
    name: 'an open cure says nothing of packs, but of Listeria and of plans',
    of: { papers, events: [...inFridge, cureStart(2, 24, salted(1)), cureEnd(26)] },
    at: 27,
    route: 'cured',
    want: 'open',
    code: 'cure.listeria'
  },
  {
    name: 'a pack without air, under 5 %, opened after a day: warned of, and open',
    of: { papers, events: [...inFridge, closedPack(2), cureEnd(26)] },
    at: 27,
    route: 'cured',
    want: 'open',
    code: 'cure.closed-pack'
  },
  {
    name: 'opened at 48 h to the minute: open',
    of: { papers, events: [...inFridge, closedPack(2), cureEnd(50)] },
    at: 51,
    route: 'cured',
    want: 'open',
    code: 'cure.closed-pack'
  },
  {
    name: 'opened a minute past 48 h: closed for every route',
    of: { papers, events: [closedPack(2), cureEnd(50 + 1 / 60)] },
    at: 51,
    route: 'cooked',
    want: 'closed',
    code: 'cure.closed-pack-late'
  },
  {
    name: 'still in it after 48 h: closed',
    of: { papers, events: [closedPack(2)] },
    at: 51,
    route: 'cured',
    want: 'closed',
    code: 'cure.closed-pack-late'
  },
  {
    name: 'in it for a day: locked, and warned of from the first minute',
    of: { papers, events: [closedPack(2)] },
    at: 2.02,
    route: 'cured',
    want: 'locked',
    code: 'cure.closed-pack'
  },
  {
    name: '5 % by the low end of its forecast: a forecast opens no closed pack',
    of: { papers, events: [...inFridge, closedPack(5), cureEnd(74)] },
    at: 75,
    route: 'cured',
    want: 'closed',
    code: 'cure.closed-pack-salted'
  },
  {
    name: 'an approved plan on file does, for what it covers',
    of: { papers: [...papers, authority(['closed-pack'])], events: [...inFridge, closedPack(5), cureEnd(74)] },
    at: 75,
    route: 'cured',
    want: 'open',
    code: 'cure.closed-pack-salted'
  },
  {
    name: '5 % that is there only after three days: closed at 48 h',
    of: { papers, events: [cureStart(2, 72, { pack: 'closed', ...salted(6) }), cureEnd(75)] },
    at: 76,
    route: 'cured',
    want: 'closed',
    code: 'cure.closed-pack-late'
  },
  {
    name: 'taken out past 48 h but before its longer programme was through: closed',
    of: { papers, events: [cureStart(2, 72, { pack: 'closed', ...salted(6) }), cureEnd(60)] },
    at: 61,
    route: 'cured',
    want: 'closed',
    code: 'cure.closed-pack-late'
  },
  {
    name: '4.9 % by the low end is not 5 %',
    of: { papers, events: [closedPack(4.9), cureEnd(74)] },
    at: 75,
    route: 'cured',
    want: 'closed',
    code: 'cure.closed-pack-late'
  },
  {
    name: 'a forecast nobody made is no salt at all',
    of: {
      papers,
      events: [
        closedPack(9, { forecast: { ...salted(9).forecast!, leastWps: null, waterActivity: null } }),
        cureEnd(74)
      ]
    },
    at: 75,
    route: 'cured',
    want: 'closed',
    code: 'cure.closed-pack-late'
  },
  {
    name: 'an earlier pack counts under a later open cure',
    of: { papers, events: [closedPack(2), cureEnd(60), cureStart(61, 10), cureEnd(72)] },
    at: 73,
    route: 'cured',
    want: 'closed',
    code: 'cure.closed-pack-late'
  }
];

describe('golden table: cures on the verdict', () => {
  runGolden(TABLE);
  it('the date mark of a whole fish counts from the first day of its cure', () => {
    const seen = ask({ papers, lot: { form: 'whole' }, events: [cureStart(2, 24), cureEnd(26)] }, 30);
    const mark = seen.reasons.find(({ code }) => code === 'date-mark.day')!;
    expect(mark.seen.preparedAt).to.equal(START + 2 * HOUR);
  });
  it('a histamine fish keeps its warm hours through a cure', () => {
    const of = { lot: { species: 'atlantic-mackerel' }, papers, events: [cureStart(2, 24), cureEnd(26)] };
    expect(codes(ask(of, 30)).some((code) => code.startsWith('histamine.'))).to.equal(true);
  });
  it('a cure given more time is due later, and opens no sooner', () => {
    const stages = [{ id: 'cure' as const, seconds: 48 * 3600, contact: { kind: 'again' as const } }];
    const longer = event('cure.changed', 10, {
      change: 'left',
      hours: 40,
      stages,
      steps: [],
      forecast: salted(2).forecast!,
      dueAt: START + 50 * HOUR,
      note: '',
      pins: { profile: 't', catalogue: 't', model: 't' }
    });
    const of = { papers, events: [...inFridge, cureStart(2, 24), longer] };
    expect(stateOf(ask(of, 30), 'cured')).to.equal('locked');
    expect(stateOf(ask({ papers, events: [...inFridge, cureStart(2, 24)] }, 30), 'cured')).to.equal('not-cleared');
    const piece = foldPiece('P', lineageOf(of).pieces[0]!.events)!;
    expect(cureNow(piece.cures[0]!).dueAt).to.equal(START + 50 * HOUR);
  });
});

describe('cures of the first record', () => {
  it('are read as they were: open, unchanged, and nothing is computed again from them', () => {
    const band = { low: 1, likely: 2, high: 3 };
    const old = {
      method: 'cover',
      grams: 640,
      thickness: typed(30, 'mm'),
      faces: 2,
      celsius: 3,
      saltGrams: 32,
      sugarGrams: 38,
      hours: 18,
      target: 0.008,
      forecast: {
        meanSaltPercent: band,
        middleSaltPercent: band,
        surfaceWps: band,
        gramsAfter: band,
        middleReachesAt: null
      },
      dueAt: START,
      pins: { profile: 't', catalogue: 't', model: 't' }
    };
    const body = upcast('cure.started', 1, old) as BodyOf<'cure.started'>;
    expect(body).to.deep.include({ set: null, subject: null, stages: [], pack: 'open', grams: 640 });
    expect(body.forecast).to.deep.include({ leastWps: null, waterActivity: null, gramsAfter: band });
    const ended = upcast('cure.ended', 1, { massAfter: null, note: 'x' }) as BodyOf<'cure.ended'>;
    expect(ended).to.deep.include({ note: 'x', taste: null, saltTaste: 'unknown', warmth: [] });
  });
});
