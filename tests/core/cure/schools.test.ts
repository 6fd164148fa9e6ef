import { expect } from 'chai';
import fc from 'fast-check';
import { cure, cureBand, evenDoses, thinEnd, type CureSettings } from '../../../src/lib/core/bench/cure/plan.ts';
import { programmeOf, zonesOf } from '../../../src/lib/core/bench/cure/programme.ts';
import { bathLoss, warmthClock } from '../../../src/lib/core/bench/cure/simulate.ts';
import { saltDiffusivity, SHIPPED, warmth } from '../../../src/lib/core/bench/cure/parameters.ts';
import { cureZones } from '../../../src/lib/core/bench/cure/zones.ts';
import { troubleOf } from '../../trouble.ts';
import { runs } from '../../runs.ts';
import { SIDE } from './side.ts';

const side: CureSettings = { ...SIDE, restHours: 12 };
const desalt: CureSettings = { ...side, method: 'desalt', salt: 0.18, sugar: 0, hours: 12, restHours: 0, target: 0.03 };

describe('zones of thickness', () => {
  it('an even piece is one zone, two ends or a measured profile are twelve, and their shares make a whole', () => {
    expect(cureZones(25, null, null)).to.have.length(1);
    const profile = {
      lengthMm: 300,
      points: [
        { at: 0, mm: 22 },
        { at: 120, mm: 30 },
        { at: 300, mm: 6 }
      ]
    };
    for (const zones of [cureZones(30, 10, null), cureZones(30, null, profile)]) {
      expect(zones).to.have.length(12);
      expect(zones.reduce((sum, { share }) => sum + share, 0)).to.be.closeTo(1, 1e-12);
      expect(zones.at(-1)!.mm).to.be.lessThan(zones[0]!.mm);
    }
  });
  it('a profile is scaled to the thickness that was typed, and weight follows thickness', () => {
    const zones = cureZones(40, null, {
      lengthMm: 100,
      points: [
        { at: 0, mm: 20 },
        { at: 100, mm: 20 }
      ]
    });
    zones.forEach(({ mm, share }) => {
      expect(mm).to.be.closeTo(40, 1e-9);
      expect(share).to.be.closeTo(1 / 12, 1e-9);
    });
  });
  it('a thin end thicker than the thick one is refused by name', () => {
    expect(troubleOf(() => cureZones(20, 25, null)).details.field).to.equal('thin');
  });
});

describe('schools of curing', () => {
  it('evenly laid on, the thin end is ahead everywhere and finishes long before the thick one', () => {
    const { zones } = cure(side);
    zones.forEach((zone, index) => {
      if (index === 0) return;
      expect(zone.meanPercent).to.be.at.least(zones[index - 1]!.meanPercent - 1e-9);
      expect(zone.middlePercent).to.be.at.least(zones[index - 1]!.middlePercent - 1e-9);
      expect(zone.finishHours!).to.be.lessThan(zones[index - 1]!.finishHours!);
    });
    expect(thinEnd({ zones }).finishHours).to.be.lessThan(3);
  });
  it('shared out so that both finish together, every zone ends with the same salt, and the grams say how', () => {
    const together = cure({ ...side, dosing: 'together' });
    const means = together.zones.map(({ meanPercent }) => meanPercent);
    means.forEach((mean) => expect(mean / means[0]!).to.be.closeTo(1, 0.02));
    const perKilo = together.zones.map(({ saltGrams, grams }) => saltGrams / grams);
    perKilo.forEach((each, index) => index > 0 && expect(each).to.be.at.most(perKilo[index - 1]! + 1e-9));
    expect(together.saltGrams).to.be.closeTo(
      together.zones.reduce((sum, { saltGrams }) => sum + saltGrams, 0),
      1e-9
    );
    const stages = programmeOf(side);
    expect(evenDoses(side, stages, zonesOf(side))[0]!.salt).to.equal(0.06);
  });
  it('weighed, each zone by its own weight: all go to the same salt, the thick later', () => {
    const result = cure({ ...side, method: 'weighed', salt: 0.025, sugar: 0.01, hours: 230, restHours: 0 });
    expect(thinEnd(result).meanPercent).to.be.closeTo(2.5, 0.15);
    expect(result.zones[0]!.reachesHours!).to.be.greaterThan(thinEnd(result).reachesHours! * 3);
  });
  it('a rest moves salt to the middle without taking up more', () => {
    const plain = cure({ ...side, restHours: 0 });
    const rested = cure({ ...side, restHours: 48 });
    expect(rested.end.middlePercent).to.be.greaterThan(plain.end.middlePercent);
    expect(rested.end.surfacePercent).to.be.lessThan(plain.end.surfacePercent);
    expect(rested.end.meanPercent).to.be.closeTo(plain.end.meanPercent, 0.02);
  });
  it('liquid that drains takes salt along', () => {
    expect(cure({ ...side, drains: true }).end.meanPercent).to.be.lessThan(cure(side).end.meanPercent * 0.95);
  });
  it('a weak brine adds weight, up to 3 %; a saturated one takes 8 to 15 % in two days', () => {
    const brine: CureSettings = { ...side, method: 'brine', sugar: 0, hours: 12, faces: 2, restHours: 0 };
    for (const salt of [0.02, 0.03, 0.05]) {
      expect(cure({ ...brine, salt }).end.gramsAfter / 900, `${salt}`).to.be.within(1, 1.03);
    }
    expect(cure({ ...brine, salt: 0.26, hours: 48 }).end.gramsAfter / 900).to.be.within(0.85, 0.92);
    expect(bathLoss(0.26, 0, 0.26)).to.be.greaterThan(bathLoss(0.1, 0, 0.26));
  });
  it('a brine stays a brine: salt never above its own strength, and it grows with hours and strength', () => {
    const brine: CureSettings = { ...side, method: 'brine', salt: 0.08, sugar: 0, hours: 6, faces: 2, restHours: 0 };
    const { frames, end } = cure(brine);
    frames.forEach(({ surfaceWps }) => expect(surfaceWps).to.be.at.most(8.0001));
    expect(cure({ ...brine, hours: 12 }).end.meanPercent).to.be.greaterThan(end.meanPercent);
    expect(cure({ ...brine, salt: 0.1 }).end.meanPercent).to.be.greaterThan(end.meanPercent);
    expect(cure({ ...brine, bathTimes: 0.5 }).end.meanPercent).to.be.lessThan(end.meanPercent);
  });
  it('desalting falls, bath by bath; more changes and more water leave less; the target is passed downwards', () => {
    const three = cure({ ...desalt, changes: 3 });
    three.frames.forEach((frame, index) => {
      if (index > 0) expect(frame.meanPercent).to.be.at.most(three.frames[index - 1]!.meanPercent + 1e-9);
    });
    expect(cure({ ...desalt, changes: 5 }).end.meanPercent).to.be.lessThan(three.end.meanPercent);
    expect(cure({ ...desalt, changes: 3, bathTimes: 20 }).end.meanPercent).to.be.lessThan(three.end.meanPercent);
    const thin = cure({ ...desalt, thicknessMm: 12, thinMm: null, faces: 2, changes: 4 });
    expect(thin.middleReachesHours!).to.be.within(1, 48);
    expect(thin.end.middlePercent).to.be.lessThan(3);
    expect(cure({ ...desalt, changes: 1 }).frames[0]!.meanPercent).to.be.at.most(18);
  });
  it('a marinade brings the salt of its first salting and of its paste', () => {
    const paste: CureSettings = {
      ...side,
      method: 'marinade',
      salt: 0.06,
      sugar: 0.2,
      hours: 36,
      restHours: 0,
      pasteWater: 0.45,
      presalt: 0.012,
      presaltMinutes: 40
    };
    const both = cure(paste);
    expect(both.stages.map(({ id }) => id)).to.deep.equal(['film', 'paste']);
    const without = cure({ ...paste, presalt: 0 });
    expect(without.stages).to.have.length(1);
    expect(both.end.meanPercent).to.be.greaterThan(without.end.meanPercent);
  });
  it('short salting stays near the face, and takes a little weight', () => {
    const film = cure({ ...side, method: 'film', salt: 0.02, sugar: 0, hours: 0.75, restHours: 0 });
    expect(film.end.middlePercent).to.be.lessThan(0.01);
    expect(film.end.surfacePercent).to.be.greaterThan(2);
    expect(film.end.gramsAfter / 900).to.be.within(0.96, 1);
  });
  it('monotone in time and dose for cover and weighed cures, by any piece', () => {
    const any = fc.record({
      thicknessMm: fc.double({ min: 8, max: 45, noNaN: true }),
      hours: fc.double({ min: 1, max: 60, noNaN: true }),
      salt: fc.double({ min: 0.01, max: 0.1, noNaN: true }),
      faces: fc.constantFrom(1 as const, 2 as const),
      fat: fc.constantFrom('lean' as const, 'mid' as const, 'rich' as const)
    });
    fc.assert(
      fc.property(any, fc.constantFrom('cover' as const, 'weighed' as const), (more, method) => {
        const base: CureSettings = { ...side, ...more, method, thinMm: null, sugar: 0, restHours: 0 };
        const plain = cure(base, 30).end.meanPercent;
        expect(cure({ ...base, hours: more.hours * 1.5 }, 30).end.meanPercent).to.be.at.least(plain * 0.98);
        // While the face stands at saturation anyway, more salt draws up to a fiftieth more of the water it moves in.
        expect(cure({ ...base, salt: more.salt * 1.15 }, 30).end.meanPercent).to.be.at.least(plain * 0.98);
      }),
      runs(60)
    );
  });
});

describe('warmth of the place', () => {
  it('a log at one temperature is that temperature, and a warm night is worth its hours', () => {
    const flat = [0, 3600, 86400].map((seconds) => ({ seconds, celsius: 3 }));
    expect(cure({ ...side, logged: flat }).end.meanPercent).to.be.closeTo(cure(side).end.meanPercent, 1e-6);
    const night = [0, 36000, 36001, 86400].map((seconds, i) => ({ seconds, celsius: i < 2 ? 3 : 8 }));
    expect(cure({ ...side, logged: night }).end.middlePercent).to.be.greaterThan(cure(side).end.middlePercent);
  });
  it('the clock adds up, whatever it is cut into, and runs by Arrhenius', () => {
    const clock = warmthClock({
      celsius: 4,
      logged: [
        { seconds: 100, celsius: 2 },
        { seconds: 900, celsius: 9 }
      ]
    });
    expect(clock(0, 300) + clock(300, 1500)).to.be.closeTo(clock(0, 1500), 1e-9);
    expect(clock(2000, 3000)).to.be.closeTo(1000, 1e-9);
    expect(clock(100, 900)).to.be.closeTo((800 * (warmth(2) + warmth(9))) / 2, 1e-9);
    expect(saltDiffusivity(3e-10, 9, 'lean', false) / saltDiffusivity(3e-10, 4, 'lean', false)).to.be.closeTo(
      warmth(9),
      1e-9
    );
  });
});

describe('the band and the grid', () => {
  it('a finer grid moves nothing by more than a hundredth', () => {
    const coarse = cure(side).end;
    const fine = cure(side, 160).end;
    expect(coarse.meanPercent / fine.meanPercent).to.be.closeTo(1, 0.01);
    expect(coarse.middlePercent / fine.middlePercent).to.be.closeTo(1, 0.01);
  });
  it('narrower parameters give a narrower band', () => {
    const wide = cureBand(side, 0.4, 60).middleSaltPercent;
    const parameters = {
      diffusivity: { low: 2.7e-10, likely: 3e-10, high: 3.3e-10 },
      mostLoss: { low: 0.25, likely: 0.26, high: 0.27 },
      runs: 9,
      from: 'species' as const
    };
    const narrow = cureBand({ ...side, parameters }, 0.4, 60).middleSaltPercent;
    expect(narrow.high - narrow.low).to.be.lessThan((wide.high - wide.low) / 3);
    expect(narrow.likely).to.be.closeTo(wide.likely, 1e-9);
  });
  it('what the band is drawn with lies within a fiftieth of the fine grid, at both its ends', () => {
    for (const diffusivity of [1.5e-10, 8e-10]) {
      const parameters = { ...SHIPPED, diffusivity: { low: diffusivity, likely: diffusivity, high: diffusivity } };
      const fine = cure({ ...side, parameters }).end;
      // With no width left in what is drawn, both ends of the band are its own coarse figure.
      const { mostLoss } = SHIPPED;
      const still = {
        ...parameters,
        mostLoss: { low: mostLoss.likely, likely: mostLoss.likely, high: mostLoss.likely }
      };
      const band = cureBand({ ...side, parameters: still }, 0.3, 5);
      expect(band.meanSaltPercent.low / fine.meanPercent).to.be.closeTo(1, 0.02);
      expect(band.meanSaltPercent.high / fine.meanPercent).to.be.closeTo(1, 0.02);
      expect(band.middleSaltPercent.high - fine.middlePercent).to.be.closeTo(0, 0.05);
    }
  });
  it('thin, hot and long is as steady as thick, cold and short', () => {
    for (const more of [
      { thicknessMm: 2, thinMm: 1, hours: 240, celsius: 15 },
      { thicknessMm: 150, thinMm: 2, hours: 0.1, celsius: -1 }
    ]) {
      const { end, zones } = cure({ ...side, ...more, thawed: true, fat: 'lean' });
      for (const value of [...Object.values(end), ...zones.map(({ meanPercent }) => meanPercent)]) {
        expect(value).to.be.a('number').and.satisfy(Number.isFinite);
        expect(value).to.be.at.least(0);
      }
    }
  });
});

describe('bad settings of a cure', () => {
  const refused: [string, Partial<CureSettings>, string, string?][] = [
    ['a dose of 400 %', { salt: 4 }, 'salt'],
    ['no thickness', { thicknessMm: 0 }, 'thickness'],
    ['a brine stronger than saturation', { method: 'brine', salt: 0.3, sugar: 0 }, 'salt'],
    ['a brine that sugar leaves no room in', { method: 'brine', salt: 0.24, sugar: 0.2 }, 'salt'],
    ['sugar alone', { salt: 0, sugar: 0.05 }, 'salt', 'cure.no-salt'],
    ['fish at 30 °C', { celsius: 30 }, 'celsius'],
    ['a rest of a month', { restHours: 720 }, 'rest'],
    ['no water in the bath', { method: 'brine', salt: 0.05, bathTimes: 0 }, 'bathTimes'],
    ['twenty changes', { method: 'desalt', salt: 0.1, changes: 20 }, 'changes'],
    ['a paste of 120 %', { method: 'marinade', salt: 0.2, sugar: 0.5, pasteWater: 0.5 }, 'pasteWater'],
    ['a thin end above the thick one', { thinMm: 40 }, 'thin'],
    ['no hours', { hours: 0 }, 'hours']
  ];
  for (const [what, more, field, code = 'quantity.out-of-range'] of refused) {
    it(`${what}: refused, and ${field} is named`, () => {
      const trouble = troubleOf(() => cure({ ...side, ...more }));
      expect(trouble.details.field).to.equal(field);
      expect(trouble.code).to.equal(code);
    });
  }
});
