import { expect } from 'chai';
import fc from 'fast-check';
import type { LogReading } from '../../src/lib/core/log/series.ts';
import { PLAIN_PLACE } from '../../src/lib/core/activity/cold/bodies.ts';
import type { RecordEvent } from '../../src/lib/core/record/events.ts';
import { isWider } from '../../src/lib/core/codes/window.ts';
import {
  ask,
  celsius,
  event,
  freezeEnd,
  freezeStart,
  readEvery,
  HOUR,
  HOUSE,
  logged,
  logsOf,
  moved,
  START,
  stateOf,
  typed,
  type Case
} from './build.ts';
import { chilled, runGolden, statement, type Golden } from './golden.ts';
import { runs } from '../runs.ts';

const FREEZER = {
  id: 'chest',
  name: 'Chest',
  kind: 'freezer' as const,
  cold: true,
  ...PLAIN_PLACE
};
const cleared = [statement(-20, 168)];
const inDrawer = [moved(0.5, 'Drawer')];
/** A drawer at 2 °C that was at another temperature for some hours. */
const drawer = (from: number, to: number, warm: number, until = 40) =>
  logsOf({ Drawer: logged(0, until, (hours) => (hours >= from && hours <= to ? warm : 2)) });
const pins = { profile: 't', catalogue: 't', model: 't' };
const thawed = (pack: 'none' | 'opened' | 'closed', method: 'cold' | 'water' = 'cold') =>
  event('thaw.started', 2, {
    method,
    place: 'Drawer',
    medium: celsius(3),
    packing: 'film',
    shape: 'slab',
    pack,
    thickness: typed(30, 'mm'),
    startCore: celsius(-20),
    forecast: { low: 3600, likely: 7200, high: 10_800 },
    surfaceWarmFrom: null,
    grams: 1000,
    pins
  });
const through = (warmSeconds = 0) => event('thaw.ended', 8, { core: celsius(1), warmSeconds, drip: 20, note: '' });
const bonito: Case['lot'] = { species: 'atlantic-bonito' };

/** Fish in a blast freezer at -36 °C, its core read -36 °C every two hours for 20 h. */
const blast = (from: number) => [
  freezeStart(from, { place: 'Blast', air: celsius(-38), cycle: 'us-15h' }),
  event('freeze.read', from + 0.1, { reading: celsius(-36), probe: 'air' }),
  ...readEvery(from + 4, from + 20, 2, -36),
  freezeEnd(from + 21)
];
const untilSolid: Golden[] = [
  { name: '(A)(2): from soft, solid at -35 °C, held 15 h', of: { events: blast(1) }, at: 22, want: 'open' },
  {
    name: '(A)(2): came frozen, and the -35 °C air came after',
    of: { lot: { frozen: true, caughtOn: null }, events: blast(1) },
    at: 22,
    want: 'not-cleared'
  },
  {
    name: '(A)(2): frozen at -22 °C for a day, then moved on to the blast',
    of: { events: [freezeStart(1), ...readEvery(8, 24, 4, -22), freezeEnd(25), ...blast(25)] },
    at: 47,
    want: 'not-cleared'
  },
  {
    name: '(A)(2): the same while it lies there, and the verdict says why',
    of: { events: [freezeStart(1), ...readEvery(8, 24, 4, -22), freezeEnd(25), ...blast(25).slice(0, -1)] },
    at: 44,
    want: 'not-cleared',
    code: 'parasites.solid-before'
  },
  {
    name: '(A)(2): frozen at -22 °C, a thaw begun and never read, then the blast',
    of: {
      events: [
        freezeStart(1),
        ...readEvery(8, 24, 4, -22),
        freezeEnd(25),
        event('thaw.started', 26, thawed('none').body as never),
        event('thaw.ended', 26.2, { core: null, warmSeconds: 0, drip: null, note: '' }),
        ...blast(27)
      ]
    },
    at: 48,
    want: 'not-cleared'
  },
  {
    name: '(A)(2): frozen at -22 °C, thawed, its core read soft, then the blast',
    of: {
      events: [
        freezeStart(1),
        ...readEvery(8, 24, 4, -22),
        freezeEnd(25),
        event('cold.read', 40, { reading: celsius(-1), place: '' }),
        ...blast(41)
      ]
    },
    at: 62,
    want: 'open'
  }
];

const table: Golden[] = [
  {
    name: 'a drawer at 2 °C by its log',
    of: { papers: cleared, events: inDrawer, logs: drawer(0, -1, 2) },
    at: 30,
    want: 'open'
  },
  {
    // Above 5 °C from 4:56 to 9:04 on the straight lines between readings: four hours are full at 8:56.
    name: '3-501.16: 7 °C from the fifth to the ninth hour, four minutes before four hours are full',
    of: { papers: cleared, events: inDrawer, logs: drawer(5, 9, 7, 8.8) },
    at: 8.87,
    want: 'ebbing'
  },
  {
    name: '3-501.16: and four minutes after',
    of: { papers: cleared, events: inDrawer, logs: drawer(5, 9, 7) },
    at: 9,
    want: 'closed',
    code: 'clock.spent'
  },
  {
    name: 'closed stays closed when the drawer is cold again',
    of: { papers: cleared, events: inDrawer, logs: drawer(5, 9, 7) },
    at: 20,
    want: 'closed'
  },
  {
    name: 'for the pan it is spent twice over, or not at all',
    of: { papers: cleared, events: inDrawer, logs: drawer(5, 9, 7) },
    at: 20,
    route: 'cooked',
    want: 'open'
  },
  {
    name: 'twice over: 8 h 8 min of 7 °C',
    of: { papers: cleared, events: inDrawer, logs: drawer(5, 13, 7) },
    at: 20,
    route: 'cooked',
    want: 'closed',
    code: 'clock.spent'
  },
  {
    name: 'three hours of 7 °C',
    of: { papers: cleared, events: inDrawer, logs: drawer(5, 8, 7) },
    at: 20,
    want: 'open'
  },
  {
    name: 'six hours of 7 °C round a core that was read cold in the middle: a cold reading gives nothing back',
    of: {
      papers: cleared,
      events: [...inDrawer, event('cold.read', 8, { reading: celsius(3), place: '' })],
      logs: drawer(5, 11, 7)
    },
    at: 20,
    want: 'closed',
    code: 'clock.spent'
  },
  {
    name: 'a log whose last word was warm, four hours ago: unknown is not cold',
    of: { papers: cleared, events: inDrawer, logs: drawer(5, 99, 7, 6) },
    at: 10,
    want: 'not-cleared',
    code: 'clock.warm-unread'
  },
  {
    name: 'the drawer was warm before the fish lay in it',
    of: { papers: cleared, events: [moved(12, 'Drawer')], logs: drawer(1, 9, 9) },
    at: 20,
    want: 'open'
  },
  {
    name: 'the drawer was warm after the fish had left it',
    of: { papers: cleared, events: [...inDrawer, moved(4, 'Rack')], logs: drawer(5, 12, 9) },
    at: 20,
    want: 'open'
  },
  {
    name: 'EU, Annex III Sec. VIII: seven hours of 6 °C do not approach melting ice',
    of: { papers: cleared, events: inDrawer, logs: drawer(5, 12, 6) },
    at: 20,
    profile: 'eu',
    want: 'closed',
    code: 'clock.spent'
  },
  {
    // 4.4 °C is passed at 1:51 (2 to 4.8 in ten minutes), so eight hours are spent at 9:51.
    name: 'FDA Hazards guide ch. 7: 4.8 °C, seven hours of eight spent',
    of: { lot: bonito, papers: [...cleared, chilled], events: inDrawer, logs: drawer(2, 12, 4.8) },
    at: 9,
    route: 'cooked',
    want: 'ebbing',
    code: 'histamine.read-by'
  },
  {
    name: 'FDA Hazards guide ch. 7: 4.8 °C, more than eight hours',
    of: { lot: bonito, papers: [...cleared, chilled], events: inDrawer, logs: drawer(2, 12, 4.8) },
    at: 10,
    route: 'cooked',
    want: 'closed',
    code: 'histamine.budget-spent'
  },
  {
    name: 'FDA Hazards guide ch. 7: five hours of 4.8 °C with ten minutes above 21.1 °C: the budget is four',
    of: {
      lot: bonito,
      papers: [...cleared, chilled],
      events: inDrawer,
      logs: logsOf({ Drawer: logged(0, 20, (hours) => (hours < 2 || hours > 7 ? 2 : hours < 2.1 ? 23 : 4.8)) })
    },
    at: 7,
    route: 'cooked',
    want: 'closed',
    code: 'histamine.budget-spent'
  },
  {
    name: 'while it thaws it is not cleared',
    of: { lot: { frozen: true, core: celsius(-20) }, papers: cleared, events: [thawed('none')] },
    at: 4,
    want: 'not-cleared',
    code: 'thaw.running'
  },
  {
    name: 'thawed, and through',
    of: { lot: { frozen: true, core: celsius(-20) }, papers: cleared, events: [thawed('opened'), through()] },
    at: 9,
    want: 'open'
  },
  {
    name: '3-501.13(E): thawed in the cold in a closed pack without oxygen',
    of: { lot: { frozen: true, core: celsius(-20) }, papers: cleared, events: [thawed('closed'), through()] },
    at: 9,
    route: 'cooked',
    want: 'not-cleared',
    code: 'thaw.closed-pack'
  },
  {
    name: '3-501.13: the same pack under running water, opened afterwards',
    of: { lot: { frozen: true, core: celsius(-20) }, papers: cleared, events: [thawed('closed', 'water'), through()] },
    at: 9,
    want: 'open'
  },
  {
    name: 'what a warm thaw spent counts against the budget of warm hours',
    of: {
      lot: { ...bonito, frozen: true, core: celsius(-20), previouslyFrozen: 'yes' },
      papers: [...cleared, chilled],
      events: [thawed('none', 'water'), through(25 * 3600)]
    },
    at: 9,
    route: 'cooked',
    want: 'closed',
    code: 'histamine.budget-spent'
  },
  // The slow bound of the core is 4 h after going in at 1 h: 168 h are full at 173 h.
  {
    name: '3-402.11(A)(1) by the log of the air, a minute short',
    of: { events: [freezeStart(1)], logs: logsOf({ Chest: logged(1, 173 - 1 / 60, -25) }) },
    at: 173 - 1 / 60,
    want: 'locked'
  },
  {
    name: '3-402.11(A)(1) by the log of the air',
    of: { events: [freezeStart(1)], logs: logsOf({ Chest: logged(1, 173, -25) }) },
    at: 173,
    want: 'open',
    code: 'parasites.frozen-here'
  },
  {
    name: '3-402.11(A)(1) by a probe in the core, from its first cold reading on',
    of: {
      events: [freezeStart(1, { coreSensor: 'probe' })],
      logs: logsOf({ Chest: logged(1, 170, -25) }, logged(2, 170, -20))
    },
    at: 170,
    want: 'open',
    code: 'parasites.frozen-here'
  },
  {
    name: 'taken out before the end: a log of what came after proves nothing',
    of: { events: [freezeStart(1), freezeEnd(100)], logs: logsOf({ Chest: logged(1, 300, -25) }) },
    at: 101,
    want: 'not-cleared'
  },
  {
    name: 'a log of another freezer proves nothing',
    of: { events: [freezeStart(1), freezeEnd(200)], logs: logsOf({ Upright: logged(1, 200, -25) }) },
    at: 201,
    want: 'not-cleared'
  }
];

describe('golden verdicts by logs of places, thaws and freezers', () => {
  runGolden(table);
  runGolden(untilSolid);

  it('fish keeps as its drawer is: 60 h at 4 °C cost 0.96 × 60 h of ice more than at 0 °C, 40 h at the assumed 2 °C', () => {
    const closes = (figure: number) => {
      const of = { papers: cleared, events: [moved(0, 'Drawer')], logs: logsOf({ Drawer: logged(0, 60, figure) }) };
      const share = ask(of, 60).reasons.find(({ code }) => code === 'freshness.raw-share')!;
      return ((share.effect as { at: number }).at - START) / HOUR;
    };
    // Rates (1 + 0.1 T)²: 1, 1.96, and 1.44 for what is still to come. 60 · 0.96 / 1.44 = 40. The last word of a log warmer than is
    // assumed stands half a day: 12 h more go on at 1.96, which takes 12 · (1.96 / 1.44 - 1) more, or all that is left.
    expect(closes(0) - closes(4)).to.be.closeTo(40 + 12 * (1.96 / 1.44 - 1), 0.05);
  });
});

describe('days in the freezer', () => {
  it('count once, though the run and the place both tell of them', () => {
    const house = { ...HOUSE, places: { chest: FREEZER } };
    const of = {
      lot: { frozen: true, core: celsius(-20) },
      papers: cleared,
      events: [freezeStart(24), freezeEnd(120), moved(120, 'Drawer')]
    };
    const [mark] = ask(of, 130, 'us-fc', house).reasons.filter(({ code }) => code === 'date-mark.day');
    expect(mark!.seen.frozenDays).to.equal(4);
  });
});

describe('laws of the verdict, with logs', () => {
  const readings = fc
    .array(fc.constantFrom(1, 1, 1, 7, 9, 23), { minLength: 2, maxLength: 70 })
    .map((figures) => figures.map((figure, index): LogReading => ({ at: START + index * 1800_000, celsius: figure })));
  const events: RecordEvent[] = [moved(0, 'Drawer')];
  const lots = fc.constantFrom<Case['lot']>({}, bonito);
  const windows = (lot: Case['lot'], log: readonly LogReading[], hours: number) =>
    ask({ lot, papers: [...cleared, chilled], events, logs: logsOf({ Drawer: log }) }, hours).windows;

  it('a reading warmer than all others never widens a window', () => {
    fc.assert(
      fc.property(lots, readings, fc.nat(200), fc.integer({ min: 23, max: 25 }), (lot, log, at, figure) => {
        const before = windows(lot, log, 60);
        const warm = { at: START + at * 600_000, celsius: figure };
        windows(lot, [...log, warm], 60).forEach((window, index) =>
          expect(isWider(before[index]!, window), window.route).to.equal(false)
        );
      }),
      runs(400)
    );
  });
  it('cold readings taken away never widen a window', () => {
    fc.assert(
      fc.property(lots, readings, fc.array(fc.boolean(), { minLength: 70, maxLength: 70 }), (lot, log, keep) => {
        const before = windows(lot, log, 60);
        const fewer = log.filter((each, index) => each.celsius > 5 || keep[index]);
        windows(lot, fewer, 60).forEach((window, index) =>
          expect(isWider(before[index]!, window), window.route).to.equal(false)
        );
      }),
      runs(400)
    );
  });
  it('readings of a freezer taken away, or warm ones added, never open raw', () => {
    const cold = logged(1, 174, -24, 30);
    const opens = (log: readonly LogReading[]) =>
      stateOf(ask({ events: [freezeStart(1)], logs: logsOf({ Chest: log }) }, 175), 'raw');
    expect(opens(cold)).to.equal('open');
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 330 }), fc.integer({ min: 5, max: 40 }), (from, many) => {
        expect(opens(cold.filter((_, index) => index < from || index > from + many))).to.not.equal('open');
      })
    );
    fc.assert(
      fc.property(fc.integer({ min: 13, max: 340 }), fc.integer({ min: -19, max: 5 }), (index, figure) => {
        expect(opens([...cold, { at: cold[index]!.at + 60_000, celsius: figure }])).to.not.equal('open');
      })
    );
  });
});
