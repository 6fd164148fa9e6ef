import { expect } from 'chai';
import fc from 'fast-check';
import {
  clipped,
  intervalsAbove,
  placeLog,
  rateStretches,
  secondsIn,
  union
} from '../../../src/lib/core/log/holding.ts';
import { rateAt } from '../../../src/lib/core/fish/freshness.ts';
import {
  between,
  binned,
  joined,
  seriesOf,
  silences,
  warmest,
  withHand,
  type LogReading
} from '../../../src/lib/core/log/series.ts';
import { excursionsOf, quarantineOf } from '../../../src/lib/core/log/excursions.ts';
import { troubleOf } from '../../trouble.ts';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const GAP = 2 * HOUR;
const FIVE = { c: 5, f: 41 };
/** Readings by minute and figure. */
const at = (...rows: [number, number][]) =>
  seriesOf(rows.map(([minute, celsius]) => ({ at: minute * MINUTE, celsius })));
const minutes = (list: readonly { from: number; to: number }[]) =>
  list.map(({ from, to }) => [from / MINUTE, to / MINUTE]);
const anyReadings = fc.array(
  fc.record({
    at: fc.integer({ min: 0, max: 40 }).map((n) => n * 20 * MINUTE),
    celsius: fc.integer({ min: -8, max: 14 })
  }),
  { minLength: 1, maxLength: 60 }
);

describe('readings as columns', () => {
  it('stand in order, no instant twice, the warmer kept', () => {
    fc.assert(
      fc.property(anyReadings, (readings) => {
        const series = seriesOf(readings);
        const most = new Map<number, number>();
        for (const each of readings) most.set(each.at, Math.max(most.get(each.at) ?? -Infinity, each.celsius));
        expect([...series.at]).to.deep.equal([...most.keys()].sort((a, b) => a - b));
        series.at.forEach((moment, index) => expect(series.celsius[index]).to.equal(most.get(moment)));
      })
    );
  });
  it('a figure that is none is refused by name', () => {
    expect(troubleOf(() => seriesOf([{ at: 0, celsius: NaN }])).code).to.equal('number.not-finite');
  });
  it('a part has both its ends in it', () => {
    const part = between(at([0, 1], [10, 2], [20, 3], [30, 4]), 10 * MINUTE, 20 * MINUTE);
    expect([...part.celsius]).to.deep.equal([2, 3]);
  });
  it('bins lose no extreme, count every reading and leave gaps open', () => {
    fc.assert(
      fc.property(anyReadings, fc.integer({ min: 1, max: 30 }), (readings, count) => {
        const series = seriesOf(readings);
        const bins = binned(series, 0, 800 * MINUTE, count);
        expect(bins.reduce((sum, bin) => sum + bin.count, 0)).to.equal(series.length);
        expect(Math.min(...bins.map(({ min }) => min))).to.equal(Math.min(...series.celsius));
        expect(Math.max(...bins.map(({ max }) => max))).to.equal(Math.max(...series.celsius));
        for (const bin of bins) expect(bin.min <= bin.mean && bin.mean <= bin.max && bin.count > 0).to.equal(true);
      })
    );
  });
  it('two sensors that disagree: the warmer counts, for as long as it speaks', () => {
    const both = warmest([at([0, -22], [60, -22], [120, -22]), at([0, -19], [60, -23])], 30 * MINUTE);
    expect([...both.celsius]).to.deep.equal([-19, -22, -22]);
    // The second fell silent warm: until more than the gap has passed its last word stands.
    const silent = warmest([at([0, -22], [60, -22], [120, -22], [200, -22]), at([0, -22], [60, -18])], GAP);
    expect([...silent.celsius]).to.deep.equal([-22, -18, -18, -22]);
  });
  it('hand-written readings among logged ones are known as such', () => {
    const series = withHand(at([0, 1], [10, 1]), at([10, 2], [400, 3]));
    expect([...series.byHand!]).to.deep.equal([0, 0, 1]);
    expect([...series.celsius]).to.deep.equal([1, 2, 3]);
    expect([...between(series, 300 * MINUTE, 500 * MINUTE).byHand!]).to.deep.equal([1]);
  });
});

describe('how long the air was too warm', () => {
  it('crossings are exact on the straight line between two readings', () => {
    expect(minutes(intervalsAbove(at([0, 3], [40, 7], [60, 7], [100, 3]), FIVE, GAP))).to.deep.equal([[20, 80]]);
  });
  it('exactly the limit is not above it', () => {
    expect(intervalsAbove(at([0, 5], [60, 5]), FIVE, GAP)).to.deep.equal([]);
  });
  it('a reading in °F is held against the limit in °F', () => {
    const fahrenheit = seriesOf(
      [0, 60].map((minute) => ({ at: minute * MINUTE, celsius: ((41 - 32) * 5) / 9, unit: 'F' }))
    );
    expect(intervalsAbove(fahrenheit, FIVE, GAP)).to.deep.equal([]);
  });
  it('warmth that a silence follows lasts until the next reading, and before a warm one two hours are not believed', () => {
    expect(minutes(intervalsAbove(at([0, 2], [30, 8], [300, 2]), FIVE, GAP))).to.deep.equal([[15, 300]]);
    expect(minutes(intervalsAbove(at([0, 2], [300, 8], [330, 2]), FIVE, GAP))).to.deep.equal([[180, 315]]);
    expect(minutes(intervalsAbove(at([0, 2], [30, 8]), FIVE, GAP))).to.deep.equal([[15, Infinity]]);
  });
  it('a hand-written reading stands until the next, and half a day between such is believed', () => {
    const hand = withHand(at(), at([0, 3], [600, 7], [660, 3]));
    expect(minutes(intervalsAbove(hand, FIVE, GAP))).to.deep.equal([[600, 660]]);
    expect(silences(hand, GAP)).to.deep.equal([]);
    expect(silences(withHand(at(), at([0, 3], [721, 3])), GAP)).to.have.length(1);
  });
  it('a union counts a minute once', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 20 })), { maxLength: 12 }),
        (pairs) => {
          const list = pairs.map(([from, length]) => ({ from: from * 1000, to: (from + length) * 1000 }));
          const one = union(list);
          const marks = new Set<number>();
          for (const { from, to } of list) for (let second = from; second < to; second += 1000) marks.add(second);
          expect(secondsIn(one)).to.equal(marks.size);
          for (let index = 1; index < one.length; index++)
            expect(one[index]!.from).to.be.greaterThan(one[index - 1]!.to);
        }
      )
    );
  });
  it('only the time a piece lay there is its own', () => {
    expect(minutes(clipped([{ from: 0, to: 60 * MINUTE }], 30 * MINUTE, 45 * MINUTE))).to.deep.equal([[30, 45]]);
    expect(clipped([{ from: 0, to: MINUTE }], HOUR, 2 * HOUR)).to.deep.equal([]);
  });
});

describe('the rate of spoilage a log speaks for', () => {
  it('has the integral of the log itself, and leaves silences out', () => {
    fc.assert(
      fc.property(anyReadings, fc.constantFrom('temperate' as const, 'tropical' as const), (readings, climate) => {
        // Nothing warmer than is assumed at either side of a silence: warmth reaches into it.
        const series = seriesOf(readings.map((each) => ({ ...each, celsius: Math.min(each.celsius, 2) })));
        const rate = (index: number) => rateAt(Math.max(-3, series.celsius[index]!), climate);
        let whole = 0;
        let spoken = 0;
        for (let index = 1; index < series.length; index++) {
          const span = series.at[index]! - series.at[index - 1]!;
          if (span > GAP) continue;
          whole += ((rate(index) + rate(index - 1)) / 2) * span;
          spoken += span;
        }
        const stretches = rateStretches(series, climate, GAP);
        const sum = stretches.reduce((total, each) => total + (each.to - each.from) * each.rate, 0);
        expect(sum).to.be.closeTo(whole, 1e-6 * Math.max(1, whole));
        expect(stretches.reduce((total, { from, to }) => total + to - from, 0)).to.equal(spoken);
      })
    );
  });
  it('warmth stands for half a day after its last word and for the two hours before its first', () => {
    const told = rateStretches(at([0, 1], [300, 7], [1500, 1]), 'temperate', GAP);
    expect(told.map(({ from, to, rate }) => [from / MINUTE, to / MINUTE, Math.round(rate * 100) / 100])).to.deep.equal([
      [180, 300, 2.89],
      [300, 1020, 2.89]
    ]);
    const last = rateStretches(at([0, 7]), 'temperate', GAP);
    expect(last.map(({ from, to }) => [from / MINUTE, to / MINUTE])).to.deep.equal([
      [-120, 0],
      [0, 720]
    ]);
    const both = rateStretches(at([0, 7], [240, 14]), 'temperate', GAP);
    expect(
      both.map(({ from, to, rate }) => [from / MINUTE, to / MINUTE, Math.round(rate * 100) / 100]).slice(1, 3)
    ).to.deep.equal([
      [0, 120, 2.89],
      [120, 240, 5.76]
    ]);
  });
  it('worked by hand: an hour at 0 °C and an hour at 10 °C in cold water', () => {
    // (1 + 0.1·0)² = 1 and (1 + 0.1·10)² = 4: in steps 1·1 h + (1 + 4)/2·(1 min) + 4·1 h.
    const told = rateStretches(at([0, 0], [60, 0], [61, 10], [121, 10], [122, 0]), 'temperate', GAP);
    const until = told.filter(({ to }) => to <= 121 * MINUTE);
    expect(until.reduce((sum, { from, to, rate }) => sum + rate * (to - from), 0)).to.be.closeTo(
      (60 + 2.5 + 240) * MINUTE,
      1
    );
  });
});

describe('what somebody has to answer', () => {
  const watch = (until: number) => ({ limit: FIVE, graceMs: 30 * MINUTE, until: until * MINUTE });
  const found = (series: ReturnType<typeof seriesOf>, until: number) =>
    excursionsOf(placeLog(series, GAP), watch(until)).map(({ kind, from, to, peak }) => [
      kind,
      from / MINUTE,
      to === null ? null : to / MINUTE,
      peak
    ]);
  const every = (step: number, values: readonly number[]): LogReading[] =>
    values.map((celsius, index) => ({ at: index * step * MINUTE, celsius }));
  it('a door that stood open for less than the grace is none; longer is one, with its peak', () => {
    expect(found(seriesOf(every(10, [2, 2, 8, 8, 2, 2])), 60)).to.deep.equal([]);
    expect(found(seriesOf(every(10, [2, 2, 8, 9, 8, 8, 2, 2])), 80)).to.deep.equal([['warm', 15, 55, 9]]);
  });
  it('warmth that goes on has no end, and may not fall silent into being over', () => {
    expect(found(seriesOf(every(10, [2, 8, 8, 8, 8, 8])), 50)).to.deep.equal([['warm', 5, null, 8]]);
    const later = found(seriesOf(every(10, [2, 8, 8, 8, 8, 8])), 500);
    expect(later).to.deep.equal([
      ['warm', 5, null, 8],
      ['silent', 50, null, null]
    ]);
  });
  it('a silence longer than is believed, and not one of exactly that', () => {
    expect(found(at([0, 2], [120, 2]), 240)).to.deep.equal([]);
    expect(found(at([0, 2], [121, 2]), 240)).to.deep.equal([['silent', 0, 121, null]]);
  });
  it('a hand that reads it does not hide that the logger is silent', () => {
    const logged = at([0, 2], [10, 2]);
    const log = placeLog(withHand(logged, at([200, 2])), GAP, [], logged);
    // It has an end that can be answered; what was read stands for half a day, and then it is silent anew.
    const told = (until: number) =>
      excursionsOf(log, watch(until)).map(({ from, to }) => [from / MINUTE, to === null ? null : to / MINUTE]);
    expect(told(190)).to.deep.equal([[10, 200]]);
    expect(told(210)).to.deep.equal([[10, 200]]);
    expect(told(200 + 12 * 60)).to.deep.equal([[10, 200]]);
    expect(told(201 + 12 * 60)).to.deep.equal([
      [10, 200],
      [200, null]
    ]);
  });
  it('a silence nobody read in lasts, and has no end to answer', () => {
    expect(found(at([0, 2], [10, 2]), 600)).to.deep.equal([['silent', 10, null, null]]);
  });
  it('readings that cannot be true are kept apart, each with its cause', () => {
    const now = Date.UTC(2026, 2, 9);
    const cause = (celsius: number, later = 0) => quarantineOf(now + later, celsius, now, 2 * MINUTE);
    expect(cause(-20)).to.equal(null);
    expect(cause(85)).to.equal('broken-probe');
    expect(cause(60)).to.equal(null);
    expect(cause(60.1)).to.equal('broken-probe');
    expect(cause(-90.1)).to.equal('broken-probe');
    expect(cause(-20, 2 * MINUTE)).to.equal(null);
    expect(cause(-20, 2 * MINUTE + 1)).to.equal('future');
    expect(quarantineOf(0, 2, now, 0)).to.equal('before-sensor');
  });
});

describe('joined parts', () => {
  it('are what they would have been in one', () => {
    fc.assert(
      fc.property(anyReadings, anyReadings, (a, b) => {
        const one = seriesOf([...a, ...b]);
        const two = joined([seriesOf(a), seriesOf(b)]);
        expect([...two.at]).to.deep.equal([...one.at]);
        expect([...two.celsius]).to.deep.equal([...one.celsius]);
      })
    );
  });
});
