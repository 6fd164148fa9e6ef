import { expect } from 'chai';
import fc from 'fast-check';
import { judgeCycle } from '../../src/lib/core/bench/freeze/compliance.ts';
import { type ComplianceOptions } from '../../src/lib/core/bench/freeze/hold.ts';
import { logReader } from '../../src/lib/core/log/csv.ts';
import { NO_READINGS, seriesOf, warmest, type LogReading, type Series } from '../../src/lib/core/log/series.ts';
import type { FreezeReading } from '../../src/lib/core/activity/freeze/fold.ts';
import { EU } from '../../src/lib/core/codes/profiles/eu.ts';
import { US_FC } from '../../src/lib/core/codes/profiles/us-fc.ts';
import { options } from './freeze-options.ts';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const week = US_FC.parasites.cycles.find(({ id }) => id === 'us-168h')!;
const day = EU.parasites.cycles.find(({ id }) => id === 'eu-24h')!;

/** A reading every ten minutes from one hour to another. */
const steady = (from: number, to: number, celsius: number, unit = 'C'): LogReading[] => {
  const out: LogReading[] = [];
  for (let at = from * HOUR; at < to * HOUR; at += 10 * MINUTE) out.push({ at, celsius, unit });
  return [...out, { at: to * HOUR, celsius, unit }];
};
const core = (readings: readonly LogReading[], air: Series = NO_READINGS) => ({
  air,
  core: seriesOf(readings),
  seq: 7
});
const air = (readings: readonly LogReading[] | Series) => ({
  air: 'length' in readings && 'fahrenheit' in readings ? readings : seriesOf(readings as LogReading[]),
  core: NO_READINGS,
  seq: 7
});
const byHand = (hours: number, celsius: number, probe: 'core' | 'air' = 'core'): FreezeReading => ({
  seq: 1,
  by: 'p1',
  at: hours * HOUR,
  celsius,
  unit: 'C',
  typed: '',
  probe
});
const hours = (moment: number | null) => (moment === null ? null : moment / HOUR);

describe('logs against 168 h at -20 °C (FDA Food Code 3-402.11(A)(1))', () => {
  interface Case {
    name: string;
    log: ReturnType<typeof core>;
    with?: Partial<ComplianceOptions>;
    hand?: FreezeReading[];
    done: number | null;
    gaps?: number;
    excursions?: number;
  }
  const F4 = ((-4 - 32) * 5) / 9;
  const cases: Case[] = [
    { name: 'exactly -20.0 °C for exactly 168 h', log: core(steady(4, 172, -20)), done: 172 },
    { name: 'a minute short', log: core(steady(4, 172 - 1 / 60, -20)), done: null },
    { name: 'exactly -4 °F', log: core(steady(4, 172, F4, 'F')), done: 172 },
    { name: '-3.9 °F', log: core(steady(4, 172, F4 + 0.1 / 1.8, 'F')), done: null },
    {
      name: 'a blip to -19.6 °C',
      log: core([...steady(4, 100, -21), { at: 100.05 * HOUR, celsius: -19.6 }, ...steady(100.2, 200, -21)]),
      done: null,
      excursions: 1
    },
    {
      name: 'a blip to -19.6 °C, and a whole week after it',
      log: core([...steady(4, 100, -21), { at: 100.05 * HOUR, celsius: -19.6 }, ...steady(101, 269, -21)]),
      done: 269,
      excursions: 1
    },
    { name: 'a silence of exactly 2 h', log: core([...steady(4, 90, -21), ...steady(92, 172, -21)]), done: 172 },
    {
      name: 'a silence of 2 h and a minute',
      log: core([...steady(4, 90, -21), ...steady(92 + 1 / 60, 172, -21)]),
      done: null,
      gaps: 1
    },
    {
      name: 'a house that believes an hour only',
      log: core([...steady(4, 90, -21), ...steady(91.5, 172, -21)]),
      with: { loggedGapSeconds: 3600 },
      done: null,
      gaps: 1
    },
    {
      name: 'a silence of 20 h in the logger, with a hand that read it in between',
      log: core([...steady(4, 90, -21), ...steady(110, 172, -21)]),
      hand: [byHand(100, -21)],
      done: 172
    },
    {
      name: 'unsorted, and twice over',
      log: core([...steady(100, 172, -21).reverse(), ...steady(4, 110, -21), ...steady(4, 30, -21)]),
      done: 172
    },
    {
      name: 'twice at one instant, once warm: the warmer counts',
      log: core([...steady(4, 172, -21), { at: 90 * HOUR, celsius: -15 }]),
      done: null,
      excursions: 1
    },
    {
      name: 'two sensors of the air that disagree: the warmer counts',
      log: air(warmest([seriesOf(steady(0, 190, -24)), seriesOf(steady(0, 190, -19.5))], 2 * HOUR)),
      done: null
    },
    { name: 'strictly: -20.4 °C', log: core(steady(4, 172, -20.4)), with: { accuracy: 'strict' }, done: null },
    { name: 'strictly: -20.5 °C', log: core(steady(4, 172, -20.5)), with: { accuracy: 'strict' }, done: 172 },
    {
      name: 'strictly, a probe that is good to ± 0.2 °C',
      log: core(steady(4, 172, -20.2)),
      with: { accuracy: 'strict', accuracyCelsius: 0.2 },
      done: 172
    },
    { name: 'by air: from the slow bound on', log: air(steady(0, 174, -25)), done: 174 },
    { name: 'by air: a minute short of it', log: air(steady(0, 174 - 1 / 60, -25)), done: null },
    { name: 'the air clock: from the door', log: air(steady(0, 168, -25)), with: { clock: 'air' }, done: 168 },
    {
      name: 'by air that was never cold enough to bring the core there',
      log: air(steady(0, 300, -20.5)),
      with: { slowArrivalSeconds: null },
      done: null
    },
    {
      name: 'taken out before the end: what was read later does not speak of it',
      log: core(steady(4, 300, -21)),
      with: { endedAt: 100 * HOUR },
      done: null
    },
    {
      name: 'taken out at the very end',
      log: core(steady(4, 300, -21)),
      with: { endedAt: 172 * HOUR },
      done: 172
    },
    { name: 'from before it went in', log: core(steady(-100, 100, -21)), done: null },
    { name: 'nothing', log: core([]), done: null }
  ];
  for (const { name, log, with: more, hand = [], done, gaps, excursions } of cases) {
    it(`${name}: ${done === null ? 'not proven' : `complete after ${done} h`}`, () => {
      const result = judgeCycle(hand, week, options(more), log);
      expect(hours(result.satisfiedAt)).to.equal(done);
      if (gaps !== undefined) expect(result.gaps).to.have.length(gaps);
      if (excursions !== undefined) expect(result.excursions).to.have.length(excursions);
      expect(result.evidence.every((seq) => seq === 7 || seq === 1)).to.equal(true);
    });
  }

  it('an excursion says from when to when, and how far', () => {
    const warm: LogReading[] = [-18, -12, -15].map((celsius, index) => ({ at: (50 + index / 6) * HOUR, celsius }));
    const log = core([...steady(4, 49.9, -21), ...warm, ...steady(51, 80, -21)]);
    const [excursion] = judgeCycle([], week, options(), log).excursions;
    expect(excursion).to.include({ celsius: -18, peak: -12, over: true });
    expect(hours(excursion!.at)).to.equal(50);
    expect(hours(excursion!.until)).to.be.closeTo(50 + 2 / 6, 1e-9);
    const lasting = judgeCycle([], week, options(), core([...steady(4, 49.9, -21), ...warm])).excursions[0]!;
    expect(lasting.over).to.equal(false);
  });
  it('a defrost of the air breaks nothing while the core is read cold all through it: the core outranks the air', () => {
    const airs = [...steady(4, 50, -25), ...steady(50.1, 50.9, -12), ...steady(51, 90, -25)];
    const log = { air: seriesOf(airs), core: seriesOf(steady(4, 90, -23)), seq: 7 };
    const { excursions, holdFrom } = judgeCycle([], week, options(), log);
    expect(excursions).to.deep.equal([]);
    expect(hours(holdFrom)).to.equal(4);
    // Read by the air, the same log is one excursion.
    const byAir = judgeCycle([], week, { ...options(), clock: 'air' }, log);
    expect(byAir.excursions.map(({ at, until }) => [at / HOUR, until / HOUR])).to.deep.equal([[50.1, 50.9]]);
    expect(hours(byAir.holdFrom)).to.equal(51);
  });
  it('a core that falls silent in a defrost proves nothing past it', () => {
    const airs = [...steady(4, 50, -25), ...steady(50.1, 50.9, -12), ...steady(51, 90, -25)];
    const log = { air: seriesOf(airs), core: seriesOf(steady(4, 50, -23)), seq: 7 };
    const { heldSeconds } = judgeCycle([], week, options(), log);
    expect(heldSeconds / 3600).to.be.at.most(46.2);
  });
  it('a night in spring is an hour shorter than the clock on the wall says', () => {
    // From four in the morning to four in the morning a week later, across the change: 168 h on the wall, 167 h in truth.
    const reader = logReader(
      {
        delimiter: ',',
        skip: 1,
        time: 0,
        day: null,
        order: 'iso',
        zone: 'Europe/Copenhagen',
        decimal: '.',
        values: [{ column: 1, sensor: 'probe', unit: 'C' }],
        clockOffsetSeconds: 0
      },
      Date.UTC(2026, 5, 1)
    );
    let row = 1;
    for (let wall = Date.UTC(2026, 2, 23, 4); wall <= Date.UTC(2026, 2, 30, 4); wall += 30 * MINUTE) {
      reader.take([new Date(wall).toISOString().slice(0, 16), '-21'], ++row);
    }
    const { sensors, troubles } = reader.done();
    expect(troubles.map(({ code }) => code)).to.deep.equal(['time.does-not-exist', 'time.does-not-exist']);
    const { series } = sensors[0]!;
    const result = judgeCycle([], week, options({ startedAt: series.at[0]! }), { ...air([]), core: series });
    expect(result.satisfiedAt).to.equal(null);
    expect(result.heldSeconds).to.equal(167 * 3600);
  });
});

describe('the forecast of the core, and air that is warmer than it was made for', () => {
  const planned = { plannedAirCelsius: -25, slowArrivalSeconds: 6 * 3600 };
  it('does not run while the air reads more than a degree above it', () => {
    const warm = [...steady(0, 10, -22), ...steady(10, 60, -25)];
    // Ten hours of air three degrees too warm: the six hours run from then on.
    expect(hours(judgeCycle([], day, options(planned), air(warm)).holdFrom)).to.be.closeTo(16, 0.2);
    expect(hours(judgeCycle([], day, options(planned), air(steady(0, 60, -24))).holdFrom)).to.equal(6);
  });
  it('a core that reads cold counts all the same', () => {
    const log = { air: seriesOf(steady(0, 60, -22)), core: seriesOf(steady(3, 60, -21)), seq: 7 };
    expect(hours(judgeCycle([], day, options(planned), log).satisfiedAt)).to.equal(27);
  });
});

describe('more evidence and less, in logs', () => {
  const base = steady(4, 40, -22);
  const judged = (log: readonly LogReading[]) => judgeCycle([], day, options(), core(log)).satisfiedAt ?? Infinity;
  it('a warmer reading never brings the end nearer', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 2400 }),
        fc.double({ min: -19.9, max: 10, noNaN: true }),
        (minute, celsius) => {
          expect(judged([...base, { at: minute * MINUTE, celsius }])).to.be.at.least(judged(base));
        }
      )
    );
  });
  it('readings taken away never bring the end nearer', () => {
    fc.assert(
      fc.property(fc.subarray(base, { minLength: 1 }), (kept) => {
        expect(judged(kept)).to.be.at.least(judged(base));
      })
    );
  });
  it('strictly is never sooner than plainly, by the core never sooner than by air', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: -24, max: -17 }), { minLength: 2, maxLength: 60 }), (figures) => {
        const log = air(figures.map((celsius, index) => ({ at: index * HOUR, celsius })));
        const end = (more: Partial<ComplianceOptions>) =>
          judgeCycle([], day, options(more), log).satisfiedAt ?? Infinity;
        expect(end({ accuracy: 'strict' })).to.be.at.least(end({}));
        expect(end({})).to.be.at.least(end({ clock: 'air' }));
      })
    );
  });
});
