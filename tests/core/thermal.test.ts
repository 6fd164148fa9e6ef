import { expect } from 'chai';
import fc from 'fast-check';
import {
  cycleChances,
  forecast,
  heatToFreeze,
  loadWarnings,
  thicknessWithin,
  type FreezerPlan
} from '../../src/lib/core/bench/freeze/forecast.ts';
import { phamSeconds } from '../../src/lib/core/bench/freeze/pham.ts';
import { simulate, type ThermalInput } from '../../src/lib/core/bench/freeze/simulate.ts';
import { thaw, type ThawInput } from '../../src/lib/core/bench/freeze/thaw.ts';
import {
  enthalpy,
  fishThermal,
  iceShare,
  temperature,
  temperatureSlope
} from '../../src/lib/core/bench/freeze/thermal.ts';
import { EU } from '../../src/lib/core/codes/profiles/eu.ts';
import { US_FC } from '../../src/lib/core/codes/profiles/us-fc.ts';
import { troubleOf } from '../trouble.ts';
import { runs } from '../runs.ts';

const freezing = (more: Partial<ThermalInput> = {}): ThermalInput => ({
  thicknessMm: 40,
  shape: 'slab',
  startCelsius: 2,
  medium: () => -30,
  h: 20,
  resistance: 0,
  until: -20,
  longestSeconds: 86_400 * 4,
  ...more
});

describe('heat in fish', () => {
  it('temperature is the inverse of heat content, and its slope the derivative', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -60, max: 30, noNaN: true }),
        fc.double({ min: 0.55, max: 0.85, noNaN: true }),
        (celsius, water) => {
          const fish = fishThermal(water);
          const heat = enthalpy(celsius, fish);
          expect(temperature(heat, fish)).to.be.closeTo(celsius, 1e-7);
          fc.pre(Math.abs(heat) > 2000);
          const step = 500;
          const slope = (temperature(heat + step, fish) - temperature(heat - step, fish)) / (2 * step);
          expect(temperatureSlope(heat, temperature(heat, fish), fish) / slope).to.be.closeTo(1, 2e-2);
        }
      )
    );
  });
  it('about nine tenths of the water is ice at -10 °C (Raoult: 1 - Tf/T)', () => {
    expect(iceShare(-10, fishThermal())).to.be.closeTo(0.9, 1e-9);
    expect(iceShare(0, fishThermal())).to.equal(0);
  });
  it('worked by hand: a kilogram from 2 °C to -20 °C', () => {
    // By weight: 3 K · 3600 + 19 K · 1900 + 0.95 · 228e3 = 263.5 kJ.
    expect(heatToFreeze(1000, 2, -20)).to.be.closeTo(263.5e3, 200);
  });
});

describe('the simulation of freezing', () => {
  it('is never slower than Pham (1986) on slabs by more than a hundredth, and up to a fifth sooner, with air 3 to 25 °C below the target', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 12, max: 120 }),
        fc.integer({ min: 5, max: 60 }),
        fc.integer({ min: -45, max: -23 }),
        fc.integer({ min: 0, max: 12 }),
        (thicknessMm, h, air, startCelsius) => {
          const pham = phamSeconds(
            { thicknessMm, startCelsius, airCelsius: air, targetCelsius: -20, airClass: 'fan', packing: 'bare' },
            h,
            0
          );
          const run = simulate(
            freezing({ thicknessMm, h, startCelsius, medium: () => air, longestSeconds: Math.max(pham * 3, 3600) })
          );
          expect(run.arrival! / pham, `${thicknessMm} mm, h ${h}, air ${air}, from ${startCelsius}`).to.be.within(
            // 400 drawn slabs lie between 1/1.19 and 1/1.00 of the formula.
            1 / 1.21,
            1.01
          );
        }
      ),
      runs(60)
    );
  });
  it('conserves energy: what leaves through the face is what the fish lost', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('slab' as const, 'cylinder' as const, 'sphere' as const),
        fc.integer({ min: 10, max: 100 }),
        fc.integer({ min: 5, max: 300 }),
        fc.integer({ min: -40, max: -22 }),
        (shape, thicknessMm, h, air) => {
          const run = simulate(freezing({ shape, thicknessMm, h, medium: () => air }));
          const half = thicknessMm / 2000;
          // Both are given for the whole from the middle to a square metre of face.
          expect(run.carriedOff / run.lost).to.be.closeTo(1, 1e-6);
          expect(run.lost).to.be.greaterThan(0.9 * half * 228e6 * 0.3);
        }
      ),
      runs(40)
    );
  });
  it('a finer grid and a finer step bring the same answer', () => {
    const coarse = simulate(freezing({ cells: 16, longestStep: 120 })).arrival!;
    const fine = simulate(freezing({ cells: 64, longestStep: 20 })).arrival!;
    const finest = simulate(freezing({ cells: 160, longestStep: 10 })).arrival!;
    expect(coarse / finest).to.be.closeTo(1, 0.01);
    expect(fine / finest).to.be.closeTo(1, 0.002);
    expect(Math.abs(fine - finest)).to.be.at.most(Math.abs(coarse - finest));
  });
  it('stays in bounds at any step: no layer is colder than the air or warmer than it began', () => {
    const run = simulate(freezing({ longestStep: 20_000, thicknessMm: 10, h: 400 }));
    for (const { core, surface } of run.points) {
      expect(core).to.be.within(-30, 2);
      expect(surface).to.be.within(-30.001, 2);
    }
    expect(run.profile.every((each, index) => index === 0 || each <= run.profile[index - 1]! + 1e-9)).to.equal(true);
  });
  it('at air of the target itself the core never arrives', () => {
    expect(simulate(freezing({ medium: () => -20, longestSeconds: 86_400 * 20 })).arrival).to.equal(null);
  });
  it('a sphere is through before a cylinder, a cylinder before a slab', () => {
    const [slab, cylinder, sphere] = (['slab', 'cylinder', 'sphere'] as const).map(
      (shape) => simulate(freezing({ shape })).arrival!
    );
    expect(sphere!).to.be.lessThan(cylinder!);
    expect(cylinder!).to.be.lessThan(slab!);
    // The textbook factors are 1, 2 and 3, for any shape of one width.
    expect(slab! / sphere!).to.be.within(2.5, 3.4);
  });
  it('air that cycles brings the core later than its coldest, sooner than its warmest', () => {
    const cycling = (seconds: number) => (Math.floor(seconds / 1800) % 2 === 0 ? -33 : -27);
    const arrival = simulate(freezing({ medium: cycling, longestStep: 120 })).arrival!;
    expect(arrival).to.be.greaterThan(simulate(freezing({ medium: () => -33 })).arrival!);
    expect(arrival).to.be.lessThan(simulate(freezing({ medium: () => -27 })).arrival!);
  });
  it('a machine that carries off little heat takes as long as the heat needs at least', () => {
    const limitPerArea = 40;
    const run = simulate(freezing({ limitPerArea }));
    expect(run.arrival!).to.be.at.least((run.lost / limitPerArea) * 0.99);
    expect(run.arrival!).to.be.greaterThan(simulate(freezing()).arrival!);
    expect(run.carriedOff / run.lost).to.be.closeTo(1, 1e-6);
  });
  it('names the field of what cannot be', () => {
    expect(troubleOf(() => simulate(freezing({ thicknessMm: 0 }))).details.field).to.equal('thickness');
    expect(troubleOf(() => simulate(freezing({ startCelsius: NaN }))).code).to.equal('number.not-finite');
    expect(troubleOf(() => simulate(freezing({ medium: () => NaN }))).details.field).to.equal('air');
  });
});

const plan = (more: Partial<FreezerPlan> = {}): FreezerPlan => ({
  thicknessMm: 30,
  shape: 'slab',
  startCelsius: 2,
  airCelsius: -30,
  airClass: 'fan',
  packing: 'film',
  loadGrams: null,
  litres: null,
  watts: null,
  ...more
});

describe('the forecast of a load', () => {
  it('takes the slower of formula and simulation, and is the same for the same seed', () => {
    const made = forecast(plan(), -20);
    expect(made.arrival!.high).to.equal(Math.max(made.pham!.high, made.simulated!.high));
    expect(made.arrival!.low).to.be.lessThan(made.arrival!.likely);
    expect(made.arrival!.likely).to.be.lessThan(made.arrival!.high);
    expect(forecast(plan(), -20).arrival).to.deep.equal(made.arrival);
  });
  it('says never where the air is within a degree of the target, and which cycle it could do', () => {
    expect(forecast(plan({ airCelsius: -20.5 }), -20).arrival).to.equal(null);
    const chances = cycleChances(plan({ airCelsius: -25 }), US_FC.parasites.cycles);
    const done = Object.fromEntries(chances.map(({ cycle, complete }) => [cycle.id, complete !== null]));
    expect(done).to.deep.equal({ 'us-168h': true, 'us-15h': false, 'us-24h': false });
    const [eu] = cycleChances(plan({ airCelsius: -25 }), EU.parasites.cycles);
    expect(eu!.complete!.likely - eu!.cycle.holdSeconds).to.be.closeTo(
      forecast(plan({ airCelsius: -25 }), -20).pham!.likely,
      1
    );
  });
  it('the thickness that would be there in time is there in time', () => {
    const going = plan({ airClass: 'still', airCelsius: -25 });
    const mm = thicknessWithin(going, -20, 8 * 3600)!;
    expect(forecast(plan({ ...going, thicknessMm: mm }), -20).pham!.likely).to.be.at.most(8 * 3600);
    expect(forecast(plan({ ...going, thicknessMm: mm + 2 }), -20).pham!.likely).to.be.greaterThan(8 * 3600);
    expect(thicknessWithin(going, -20, 1)).to.equal(null);
  });
  it('warns of too much for the room, of too much for the machine, and of a freezer nobody measured', () => {
    const warned = (more: Partial<FreezerPlan>) =>
      loadWarnings(plan({ loadGrams: 6000, ...more }), 6 * 3600, -20).map(({ code }) => code);
    expect(warned({ litres: 100 })).to.deep.equal(['load.too-much-for-room']);
    expect(warned({ litres: 300 })).to.deep.equal([]);
    expect(warned({ watts: 40 })).to.deep.equal(['load.too-much-for-machine']);
    expect(warned({ watts: 900 })).to.deep.equal([]);
    expect(warned({})).to.deep.equal(['load.unknown']);
  });
  it('a small machine with a heavy load takes longer', () => {
    const light = forecast(plan({ loadGrams: 500, watts: 120 }), -20).simulated!.likely;
    const heavy = forecast(plan({ loadGrams: 20_000, watts: 120 }), -20).simulated!.likely;
    expect(heavy).to.be.greaterThan(light * 1.5);
  });
});

describe('thawing', () => {
  const input = (more: Partial<ThawInput> = {}): ThawInput => ({
    method: 'cold',
    thicknessMm: 40,
    shape: 'slab',
    startCelsius: -20,
    mediumCelsius: 3,
    airClass: 'fan',
    packing: 'film',
    ...more
  });
  it('is slower in the cold than under water, slower when thick, and slower than the same fish freezes', () => {
    const cold = thaw(input()).arrival!;
    // In a fridge, whose small fan runs now and then: between still air and a fan.
    const [still, fridge, fan] = (['still', 'fridge', 'fan'] as const).map(
      (airClass) => thaw(input({ airClass })).arrival!.likely
    );
    expect(fridge).to.be.lessThan(still!).and.greaterThan(fan!);
    expect(thaw(input({ method: 'water', mediumCelsius: 12 })).arrival!.likely).to.be.lessThan(cold.likely / 4);
    expect(thaw(input({ thicknessMm: 60 })).arrival!.likely).to.be.greaterThan(cold.likely * 1.5);
    expect(cold.likely).to.be.greaterThan(forecast(plan({ thicknessMm: 40 }), -20).simulated!.likely);
    expect(cold.low < cold.likely && cold.likely < cold.high).to.equal(true);
  });
  it('under warm water the surface passes the limit long before the middle is through; in the cold never', () => {
    const { surfaceAbove, points } = thaw(input({ method: 'water', mediumCelsius: 18 }));
    expect(surfaceAbove!.seconds).to.be.greaterThan(0.3 * points.at(-1)!.seconds);
    expect(thaw(input()).surfaceAbove).to.equal(null);
  });
  it('water above 21 °C, and air above 5 °C, are refused by name', () => {
    expect(troubleOf(() => thaw(input({ method: 'water', mediumCelsius: 21.1 }))).details).to.include({
      field: 'medium',
      max: 21
    });
    expect(troubleOf(() => thaw(input({ mediumCelsius: 5.1 }))).details).to.include({ field: 'medium', max: 5 });
    expect(thaw(input({ method: 'water', mediumCelsius: 21 })).arrival).to.not.equal(null);
  });
});
