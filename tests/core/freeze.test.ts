import { expect } from 'chai';
import fc from 'fast-check';
import { judgeCycle, statementMeets } from '../../src/lib/core/bench/freeze/compliance.ts';
import { type ComplianceOptions } from '../../src/lib/core/bench/freeze/hold.ts';
import { loadWarnings } from '../../src/lib/core/bench/freeze/forecast.ts';
import { coreArrival, phamSeconds, type FreezeInput } from '../../src/lib/core/bench/freeze/pham.ts';
import type { FreezeReading } from '../../src/lib/core/activity/freeze/fold.ts';
import type { FreezeCycle } from '../../src/lib/core/codes/profile.ts';
import { EU } from '../../src/lib/core/codes/profiles/eu.ts';
import { US_FC } from '../../src/lib/core/codes/profiles/us-fc.ts';
import { troubleOf } from '../trouble.ts';
import { options } from './freeze-options.ts';

const HOUR = 3600_000;
const cycle = (id: string): FreezeCycle =>
  [...US_FC.parasites.cycles, ...EU.parasites.cycles].find((each) => each.id === id)!;

let seq = 0;
const reading = (hours: number, celsius: number, probe: 'core' | 'air' = 'core', unit = 'C'): FreezeReading => ({
  seq: ++seq,
  by: 'p1',
  at: hours * HOUR,
  celsius,
  unit,
  typed: '',
  probe
});
/** Readings every `step` hours from `from` to `to`, all at one temperature. */
const steady = (from: number, to: number, step: number, celsius: number, probe: 'core' | 'air' = 'core') => {
  const out: FreezeReading[] = [];
  for (let at = from; at < to; at += step) out.push(reading(at, celsius, probe));
  return [...out, reading(to, celsius, probe)];
};

describe('freezing records, 168 h at -20 °C (FDA Food Code 3-402.11(A)(1))', () => {
  const week = cycle('us-168h');
  it('passes at exactly -20.0 °C for exactly 168 h of readings', () => {
    const result = judgeCycle(steady(4, 172, 24, -20), week, options());
    expect(result.satisfiedAt).to.equal(172 * HOUR);
  });
  it('does not pass one minute short', () => {
    const result = judgeCycle(steady(4, 172 - 1 / 60, 24, -20), week, options());
    expect(result.satisfiedAt).to.equal(null);
    expect(result.heldSeconds).to.be.closeTo(168 * 3600 - 60, 1);
  });
  it('counts -4 °F as the limit in its own scale', () => {
    const limit = steady(0, 168, 24, -20).map((each) => ({ ...each, unit: 'F' }));
    expect(judgeCycle(limit, week, options()).satisfiedAt).to.equal(168 * HOUR);
    const warmer = limit.map((each) => ({ ...each, celsius: ((-3.9 - 32) * 5) / 9 }));
    expect(judgeCycle(warmer, week, options()).satisfiedAt).to.equal(null);
  });
  it('starts anew after a reading of -19.6 °C', () => {
    const result = judgeCycle(
      [...steady(0, 96, 24, -21), reading(100, -19.6), ...steady(104, 200, 24, -21)],
      week,
      options()
    );
    expect(result.satisfiedAt).to.equal(null);
    expect(result.holdFrom).to.equal(104 * HOUR);
    expect(result.excursions.map(({ celsius }) => celsius)).to.deep.equal([-19.6]);
  });
  it('starts anew after a silence of more than a quarter of the hold, and not at exactly a quarter', () => {
    const quarter = judgeCycle(steady(0, 168, 42, -21), week, options());
    expect(quarter.satisfiedAt).to.equal(168 * HOUR);
    const longer = [...steady(0, 60, 30, -21), ...steady(60 + 42 + 1 / 60, 170, 30, -21)];
    const result = judgeCycle(longer, week, options());
    expect(result.satisfiedAt).to.equal(null);
    expect(result.gaps).to.have.length(1);
    const warmAfter = judgeCycle([...steady(0, 60, 30, -21), reading(110, -10)], week, options());
    expect(warmAfter).to.include({ heldSeconds: 0, holdFrom: null });
  });
  it('does not care in which order readings were written down, or how often', () => {
    const rows = steady(0, 170, 20, -22);
    const shuffled = [...rows].reverse().flatMap((each) => [each, each]);
    expect(judgeCycle(shuffled, week, options()).satisfiedAt).to.equal(judgeCycle(rows, week, options()).satisfiedAt);
  });
  it('lets the warmer of two readings of the same minute count', () => {
    const rows = [...steady(0, 170, 20, -22), reading(80, -15)];
    expect(judgeCycle(rows, week, options()).satisfiedAt).to.equal(null);
  });
  it('ignores readings from before the piece went in', () => {
    const result = judgeCycle(steady(0, 168, 24, -22), week, options({ startedAt: 10 * HOUR }));
    expect(result.satisfiedAt).to.equal(null);
  });
  it('strict adds the probe’s accuracy: -20.4 °C is then too warm, -20.5 °C just passes', () => {
    const strict = options({ accuracy: 'strict' });
    expect(judgeCycle(steady(0, 168, 24, -20.4), week, strict).satisfiedAt).to.equal(null);
    expect(judgeCycle(steady(0, 168, 24, -20.5), week, strict).satisfiedAt).to.equal(168 * HOUR);
    expect(judgeCycle(steady(0, 168, 24, -20.4), week, options()).satisfiedAt).to.equal(168 * HOUR);
  });
  it('takes no reading as no proof', () => {
    expect(judgeCycle([], week, options())).to.include({ satisfiedAt: null, holdFrom: null, heldSeconds: 0 });
  });
});

describe('what may be promised before the hold has begun', () => {
  const day = cycle('eu-24h');
  it('the slow bound after going in, and after an excursion the slow bound from there', () => {
    expect(judgeCycle([], day, options()).promisedFrom).to.equal(6 * HOUR);
    // A core that was read warm outranks the model: its clock starts anew there, whether a hold had begun or not.
    expect(judgeCycle([reading(2, -5)], day, options()).promisedFrom).to.equal(8 * HOUR);
    expect(judgeCycle([...steady(7, 12, 1, -21), reading(14, -10)], day, options()).promisedFrom).to.equal(20 * HOUR);
  });
  it('never before a reading that was still too warm', () => {
    expect(judgeCycle([reading(30, -19)], day, options()).promisedFrom).to.be.at.least(30 * HOUR);
    expect(judgeCycle([], day, options({ slowArrivalSeconds: null })).promisedFrom).to.equal(null);
  });
});

describe('the two clocks', () => {
  const day = cycle('eu-24h');
  it('by air alone the core counts only after the slow bound', () => {
    const air = steady(0, 40, 4, -25, 'air');
    expect(judgeCycle(air, day, options({ clock: 'air' })).satisfiedAt).to.equal(24 * HOUR);
    // Slow bound 6 h: the first reading at or after it is at 8 h.
    expect(judgeCycle(air, day, options()).satisfiedAt).to.equal(32 * HOUR);
  });
  it('where the air was too warm for the model, air alone never counts and a core reading does', () => {
    const never = options({ slowArrivalSeconds: null });
    expect(judgeCycle(steady(0, 60, 4, -20.5, 'air'), day, never).satisfiedAt).to.equal(null);
    expect(judgeCycle([reading(6, -20.2), ...steady(8, 60, 4, -20.5, 'air')], day, never).satisfiedAt).to.equal(
      30 * HOUR
    );
  });
  it('once a core reading has opened the hold, air readings keep it', () => {
    const rows = [reading(2, -20.4), ...steady(4, 28, 4, -24, 'air')];
    expect(judgeCycle(rows, day, options()).satisfiedAt).to.equal(26 * HOUR);
  });
  it('an air excursion makes the core arrive again', () => {
    const rows = [...steady(0, 12, 4, -25, 'air'), reading(14, -12, 'air'), ...steady(16, 60, 4, -25, 'air')];
    const result = judgeCycle(rows, day, options());
    expect(result.holdFrom! / HOUR).to.equal(20);
  });
});

describe('a core reading outranks the model, before the hold has begun too', () => {
  const day = cycle('eu-24h');
  const slow = options({ slowArrivalSeconds: 10.1 * 3600 });
  it('a core of +2 °C at 9.9 h: air of -25 °C proves nothing until the slow bound after it', () => {
    const air = steady(0, 60, 1, -25, 'air');
    expect(judgeCycle(air, day, slow).satisfiedAt).to.equal(35 * HOUR);
    const read = judgeCycle([...air, reading(9.9, 2)], day, slow);
    expect(read.holdFrom).to.equal(20 * HOUR);
    expect(read.satisfiedAt).to.equal(44 * HOUR);
    expect(judgeCycle([reading(9.9, 2)], day, slow)).to.include({ satisfiedAt: null, promisedFrom: 20 * HOUR });
  });
  it('wherever a warm core is read, the air alone proves nothing for the slow bound after it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 30, noNaN: true }),
        fc.double({ min: -19.9, max: 8, noNaN: true }),
        fc.constantFrom('eu-24h', 'eu-15h', 'us-24h', 'us-15h', 'us-168h'),
        (hour, celsius, id) => {
          const rows = [...steady(0, 300, 1, -36, 'air'), reading(hour, celsius)];
          const { satisfiedAt } = judgeCycle(rows, cycle(id), slow);
          const soonest = (hour + (celsius > -18 ? 10.1 : 0)) * HOUR + cycle(id).holdSeconds * 1000;
          // What was complete before it was read stays so.
          if (satisfiedAt! > hour * HOUR) expect(satisfiedAt!).to.be.at.least(soonest - 1);
        }
      )
    );
  });
});

describe('cycles that ask for "until solid"', () => {
  const solidCases: {
    name: string;
    rows: FreezeReading[];
    with?: Partial<ComplianceOptions>;
    done: number | null;
    before?: boolean;
  }[] = [
    {
      name: 'solid elsewhere: a core of -21 °C, then air of -36 °C',
      rows: [reading(1, -21), reading(2, -36, 'air'), ...steady(3, 40, 2, -36, 'air')],
      done: null,
      before: true
    },
    {
      name: 'solid elsewhere, and the core follows the new air down',
      rows: [reading(1, -21), reading(2, -36, 'air'), ...steady(3, 40, 2, -35.5)],
      done: null,
      before: true
    },
    {
      name: 'the same, thawed to +1 °C in that air and frozen there',
      rows: [reading(1, -21), reading(2, -36, 'air'), reading(4, 1), ...steady(8, 40, 2, -35.5)],
      done: 23
    },
    {
      name: 'three days in air of -22 °C, then -36 °C: it was solid by then',
      rows: [...steady(0, 72, 3, -22, 'air'), ...steady(73, 110, 2, -36, 'air')],
      with: { fastArrivalSeconds: 3 * 3600 },
      done: null,
      before: true
    },
    {
      name: 'a door of half an hour at -28 °C, then -36 °C: soft by the fast bound',
      rows: [reading(0, -28, 'air'), ...steady(0.5, 40, 2, -36, 'air')],
      with: { fastArrivalSeconds: 3 * 3600 },
      done: 21.5
    },
    {
      name: 'it went in solid',
      rows: steady(0, 60, 2, -36, 'air'),
      with: { startsSolid: true },
      done: null,
      before: true
    },
    {
      name: 'frozen here, a defrost to -17 °C, and cold again: it froze in that air once',
      rows: [...steady(0, 10, 2, -36, 'air'), reading(11, -17, 'air'), ...steady(12, 60, 2, -36, 'air')],
      with: { fastArrivalSeconds: 3 * 3600 },
      done: 33
    }
  ];
  for (const { name, rows, with: more, done, before = false } of solidCases) {
    it(`${name}: ${done === null ? 'not proven' : `complete after ${done} h`}`, () => {
      const result = judgeCycle(rows, cycle('us-15h'), options(more));
      expect(result.satisfiedAt === null ? null : result.satisfiedAt / HOUR).to.equal(done);
      expect(result.solidBefore).to.equal(before);
      if (before) expect(result.promisedFrom).to.equal(null);
    });
  }
  it('-35 °C: counts from a solid core on, inclusive', () => {
    const rows = [
      reading(1, -36, 'air'),
      reading(2, -10, 'core'),
      reading(3, -36, 'core'),
      ...steady(5, 18, 2, -35, 'core')
    ];
    expect(judgeCycle(rows, cycle('us-15h'), options({ slowArrivalSeconds: null })).satisfiedAt).to.equal(18 * HOUR);
  });
  it('solid at -35 °C, then stored at -20 °C for 24 h', () => {
    const rows = [reading(1, -36, 'air'), reading(3, -30, 'core'), ...steady(4, 28, 4, -22, 'air')];
    expect(judgeCycle(rows, cycle('us-24h'), options({ slowArrivalSeconds: null })).satisfiedAt).to.equal(27 * HOUR);
  });
  it('never solid at -35 °C: not this cycle', () => {
    expect(judgeCycle(steady(0, 60, 4, -24, 'air'), cycle('us-24h'), options()).satisfiedAt).to.equal(null);
  });
});

describe('more evidence, and less', () => {
  it('a warmer reading never brings the end nearer', () => {
    const week = cycle('us-168h');
    const base = steady(0, 240, 12, -23);
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 239 }),
        fc.double({ min: -19.99, max: 10, noNaN: true }),
        (hour, celsius) => {
          const plain = judgeCycle(base, week, options()).satisfiedAt ?? Infinity;
          const worse = judgeCycle([...base, reading(hour + 0.5, celsius)], week, options()).satisfiedAt ?? Infinity;
          expect(worse).to.be.at.least(plain);
        }
      )
    );
  });
  it('taking readings away from a steady log never brings the end nearer', () => {
    const week = cycle('us-168h');
    const base = steady(0, 200, 10, -23);
    const whole = judgeCycle(base, week, options()).satisfiedAt!;
    fc.assert(
      fc.property(fc.subarray(base), (kept) => {
        expect(judgeCycle(kept, week, options()).satisfiedAt ?? Infinity).to.be.at.least(whole);
      })
    );
  });
});

describe('a supplier’s statement', () => {
  const at = (celsius: number) => ({ celsius, unit: 'C' });
  it('meets a cycle at its boundary and not beyond', () => {
    expect(statementMeets(at(-20), 168 * 3600, false, cycle('us-168h'))).to.equal(true);
    expect(statementMeets(at(-20), 168 * 3600 - 60, false, cycle('us-168h'))).to.equal(false);
    expect(statementMeets(at(-19.9), 168 * 3600, false, cycle('us-168h'))).to.equal(false);
  });
  it('meets the cold cycles only where it says solid', () => {
    expect(statementMeets(at(-35), 15 * 3600, false, cycle('us-15h'))).to.equal(false);
    expect(statementMeets(at(-35), 15 * 3600, true, cycle('us-15h'))).to.equal(true);
  });
});

describe('when the core arrives (Pham 1986)', () => {
  const base: FreezeInput = {
    thicknessMm: 40,
    startCelsius: 4,
    airCelsius: -30,
    targetCelsius: -20,
    airClass: 'fan',
    packing: 'film'
  };
  it('worked by hand: 30 mm bare slab, h 20, from 2 °C in -30 °C air to -20 °C', () => {
    // Tfm = 1.8 + 0.263·(-20) + 0.105·(-30) = -6.61; ΔH1 = 1055·3600·8.61 = 32.70e6; ΔH2 = 1000·(228e3 + 1900·13.39) = 253.44e6
    // ΔT1 = (2 - 6.61)/2 + 30 = 27.695; ΔT2 = 23.39; Bi = 20·0.015/1.5 = 0.2
    // t = 0.015/20 · (32.70e6/27.695 + 253.44e6/23.39) · 1.1 = 9913 s
    const seconds = phamSeconds({ ...base, thicknessMm: 30, startCelsius: 2 }, 20, 0);
    expect(seconds).to.be.closeTo(9913, 15);
  });
  it('thicker, warmer air, boxed and stiller air all take longer', () => {
    const likely = coreArrival(base)!.likely;
    expect(coreArrival({ ...base, thicknessMm: 60 })!.likely).to.be.greaterThan(likely);
    expect(coreArrival({ ...base, airCelsius: -25 })!.likely).to.be.greaterThan(likely);
    expect(coreArrival({ ...base, packing: 'boxed' })!.likely).to.be.greaterThan(likely);
    expect(coreArrival({ ...base, airClass: 'still' })!.likely).to.be.greaterThan(likely);
  });
  it('gives a band round the likely figure, the same for the same seed', () => {
    const band = coreArrival(base)!;
    expect(band.low).to.be.lessThan(band.likely);
    expect(band.high).to.be.greaterThan(band.likely);
    expect(coreArrival(base)).to.deep.equal(band);
  });
  it('says that a freezer at the target never takes the core there', () => {
    expect(coreArrival({ ...base, airCelsius: -20 })).to.equal(null);
    expect(coreArrival({ ...base, airCelsius: -21 })).to.not.equal(null);
  });
  it('names the field of an impossible thickness', () => {
    expect(troubleOf(() => coreArrival({ ...base, thicknessMm: 3000 })).details.field).to.equal('thickness');
    expect(troubleOf(() => coreArrival({ ...base, thicknessMm: NaN })).code).to.equal('number.not-finite');
  });
});

describe('packs stacked in a freezer', () => {
  const one: FreezeInput = {
    thicknessMm: 25,
    startCelsius: 2,
    airCelsius: -28,
    targetCelsius: -20,
    airClass: 'fan',
    packing: 'film'
  };
  it('freeze as one block: four bags of 25 mm take as long as 100 mm in as many wraps, and no less', () => {
    const block = phamSeconds({ ...one, thicknessMm: 100 }, 20, 0.004 * 2.5);
    expect(coreArrival({ ...one, stack: 4 }, 0.5, 1)!.likely).to.be.closeTo(block, 1e-6);
  });
  it('a cook would see hours for one, a day for the heap', () => {
    const hours = (stack: number) => coreArrival({ ...one, stack })!.likely / 3600;
    expect(hours(1)).to.be.within(1.5, 5);
    expect(hours(6)).to.be.within(15, 40);
  });
  it('every one more on the heap takes longer; it is told what each alone would take', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10 }), fc.integer({ min: 10, max: 35 }), (stack, thicknessMm) => {
        const takes = (count: number) => coreArrival({ ...one, thicknessMm, stack: count }, 0.5, 1)!.likely;
        expect(takes(stack + 1)).to.be.greaterThan(takes(stack));
        const warnings = loadWarnings(
          { ...one, shape: 'slab', thicknessMm, stack: stack + 1, loadGrams: null, litres: null, watts: null },
          takes(stack + 1),
          -20
        );
        expect(warnings[0]).to.deep.include({ code: 'load.one-block', limit: takes(1) / 3600 });
      })
    );
  });
  it('a heap beyond what the models know is refused by name', () => {
    expect(troubleOf(() => coreArrival({ ...one, stack: 20 })).details).to.include({ field: 'thickness', max: 400 });
    expect(troubleOf(() => coreArrival({ ...one, stack: 0 })).details).to.include({ field: 'stack' });
  });
});
