import { expect } from 'chai';
import fc from 'fast-check';
import {
  finiteBathSeries,
  profileConstantSurface,
  uptakeConstantSurface,
  uptakeFiniteBath,
  type BathState
} from '../../../src/lib/core/bench/cure/analytic.ts';
import { SALT_SATURATION } from '../../../src/lib/core/bench/cure/parameters.ts';
import { soluteIn } from '../../../src/lib/core/bench/cure/solute.ts';
import { type SlabZone } from '../../../src/lib/core/bench/cure/reservoirs.ts';

const depth = 0.014;
const diffusivity = 3e-10;

interface SlabRun {
  readonly depth: number;
  readonly diffusivity: number;
  readonly water: number;
  /** Laid on, or dissolved in the bath where there is one. */
  readonly dose: number;
  readonly bathWater: number;
  readonly drawn: (seconds: number) => number;
  readonly seconds: number;
  readonly nodes: number;
  readonly outputs: readonly number[];
  readonly stepShare: number;
}
/** One zone, followed with graded steps as the plans are. */
function diffuse(run: SlabRun) {
  const salt = soluteIn([{ depth: run.depth, water: run.water, face: 1 }], run.nodes, SALT_SATURATION);
  if (run.bathWater > 0) salt.meet({ kind: 'bath', solute: run.dose, water: run.bathWater });
  else salt.meet({ kind: 'laid', dose: [run.dose], drains: 0 });
  let time = 0;
  let step = Math.min(5, run.seconds / 20);
  return [...run.outputs, run.seconds].map((goal) => {
    while (time < goal - 1e-9) {
      const to = Math.min(time + step, goal);
      salt.step(run.diffusivity * (to - time), [run.drawn(to)]);
      time = to;
      step = Math.max(step, run.stepShare * time);
    }
    const profile = Array.from({ length: run.nodes }, (_, cell) => salt.at(0, cell));
    return { profile, surface: salt.surface(0), taken: salt.taken(0), outside: salt.outside() };
  });
}
const slab = (more: Partial<SlabRun> = {}): SlabRun => ({
  depth,
  diffusivity,
  water: 10,
  dose: 1e4,
  bathWater: 0,
  drawn: () => 0,
  seconds: 48 * 3600,
  nodes: 60,
  outputs: [],
  stepShare: 0.02,
  ...more
});
const end = (more: Partial<SlabRun> = {}) => diffuse(slab(more)).at(-1)!;
const fourier = (hours: number) => (diffusivity * hours * 3600) / depth ** 2;

describe('salt moving into a slab, against closed solutions', () => {
  for (const hours of [1, 6, 24, 48, 120]) {
    it(`constant surface, ${hours} h: within 0.5 % of the Fourier series (Crank 4.18)`, () => {
      const taken = end({ seconds: hours * 3600 }).taken / (10 * SALT_SATURATION);
      expect(taken / uptakeConstantSurface(fourier(hours))).to.be.closeTo(1, 0.005);
    });
    it(`limited reservoir, ${hours} h: within 0.5 % (Crank 4.37)`, () => {
      const bath = end({ seconds: hours * 3600, dose: 1, bathWater: 8 });
      const final = 10 / 18;
      expect(bath.taken / final / uptakeFiniteBath(fourier(hours), 0.8)).to.be.closeTo(1, 0.005);
    });
  }
  it('the profile follows the series at every depth', () => {
    const { profile } = end({ seconds: 24 * 3600 });
    profile.forEach((c, index) => {
      const exact = profileConstantSurface(fourier(24), (index + 0.5) / profile.length);
      expect(c / SALT_SATURATION).to.be.closeTo(exact, 0.003);
    });
  });
  it('ends at the balance of mass: the same strength in piece and bath', () => {
    const { profile, surface } = end({ seconds: 60 * 86400, dose: 1, bathWater: 8 });
    expect(surface).to.be.closeTo(1 / 18, 1e-6);
    profile.forEach((c) => expect(c).to.be.closeTo(1 / 18, 1e-6));
  });
});

describe('salt moving in, by its own laws', () => {
  const anySlab = fc.record({
    depth: fc.double({ min: 0.001, max: 0.08, noNaN: true }),
    diffusivity: fc.double({ min: 1e-11, max: 1e-8, noNaN: true }),
    dose: fc.double({ min: 0.001, max: 20, noNaN: true }),
    bathWater: fc.double({ min: 0.01, max: 40, noNaN: true }),
    seconds: fc.double({ min: 60, max: 1e6, noNaN: true }),
    stepShare: fc.constantFrom(0.02, 0.5, 5)
  });
  it('loses not a billionth of the salt, thin or thick, with any step', () => {
    fc.assert(
      fc.property(anySlab, (any) => {
        const { taken, outside } = end({ ...any, nodes: 30 });
        expect((taken + outside) / any.dose).to.be.closeTo(1, 1e-9);
      })
    );
  });
  it('is never negative and never above the face, however rough the step', () => {
    fc.assert(
      fc.property(anySlab, (any) => {
        const { profile } = end({ ...any, nodes: 30 });
        const most = Math.min(SALT_SATURATION, any.dose / any.bathWater);
        profile.forEach((c) => {
          expect(c).to.be.at.least(0);
          expect(c).to.be.at.most(most * (1 + 1e-9));
        });
      })
    );
  });
  it('falls from the face inwards and rises with time and with dose', () => {
    const frames = diffuse(slab({ dose: 0.5, bathWater: 2, outputs: [3600, 7200, 14400, 86400] }));
    frames.forEach(({ profile }) =>
      profile.forEach((c, i) => i > 0 && expect(c).to.be.at.most(profile[i - 1]! + 1e-12))
    );
    frames.forEach((frame, i) => i > 0 && expect(frame.taken).to.be.at.least(frames[i - 1]!.taken));
    expect(end({ dose: 0.8, bathWater: 2 }).taken).to.be.greaterThan(end({ dose: 0.5, bathWater: 2 }).taken);
  });
  it('a finer grid and a finer step give the same answer', () => {
    const coarse = end({ dose: 0.6, bathWater: 1 }).taken;
    const fine = end({ dose: 0.6, bathWater: 1, nodes: 240, stepShare: 0.004 }).taken;
    expect(coarse / fine).to.be.closeTo(1, 0.004);
  });
  it('solid salt keeps the face saturated until it is gone', () => {
    const drawn = (seconds: number) => 1.2 * (1 - Math.exp(-seconds / 20000));
    const frames = diffuse(slab({ dose: 0.9, drawn, outputs: [600, 3600, 30 * 3600] }));
    expect(frames[0]!.surface).to.equal(SALT_SATURATION);
    expect(frames.at(-1)!.surface).to.be.lessThan(SALT_SATURATION);
    expect(frames.at(-1)!.taken + frames.at(-1)!.outside).to.be.closeTo(0.9, 1e-12);
  });
});

describe('one bath after the other, and one bath for all', () => {
  const places = 801;
  const even: BathState = { slab: Array.from({ length: places }, () => 0.2), bath: 0 };
  const zone: SlabZone = { depth, water: 10, face: 1 };
  const follow = (salt: ReturnType<typeof soluteIn>, hours: number, zones = 1) => {
    let time = 0;
    let step = 1;
    while (time < hours * 3600 - 1e-9) {
      const to = Math.min(time + step, hours * 3600);
      salt.step(diffusivity * (to - time), new Float64Array(zones));
      time = to;
      step = Math.max(step, 0.01 * time);
    }
  };
  for (const hours of [3, 12, 30]) {
    it(`three changes of water of ${hours} h each: within 0.5 % of the series, bath by bath`, () => {
      const salt = soluteIn([zone], 120, SALT_SATURATION, 0.2);
      let exact = even;
      for (let change = 0; change < 3; change++) {
        salt.meet({ kind: 'bath', solute: 0, water: 40 });
        follow(salt, hours);
        exact = finiteBathSeries({ ...exact, bath: 0 }, 4, fourier(hours));
        const mean = salt.taken(0) / 10;
        const { slab: profile } = exact;
        const weight = (i: number) => (i === 0 || i === places - 1 ? 1 : i % 2 ? 4 : 2) / (3 * (places - 1));
        const exactMean = profile.reduce((sum, c, i) => sum + c * weight(i), 0);
        expect(mean / exactMean, `bath ${change + 1}, mean`).to.be.closeTo(1, 0.005);
        expect(salt.surface(0) / exact.bath, `bath ${change + 1}, water`).to.be.closeTo(1, 0.005);
        expect(salt.at(0, 119) / profile[3]!, `bath ${change + 1}, middle`).to.be.closeTo(1, 0.005);
      }
    });
  }
  it('the series itself: one bath on an even slab is Crank (4.37), and it begins as it should', () => {
    const after = finiteBathSeries({ slab: Array.from({ length: places }, () => 0), bath: 1 }, 0.8, 0.3);
    expect(1 - after.bath).to.be.closeTo(uptakeFiniteBath(0.3, 0.8) * (1 / 1.8), 1e-6);
  });
  it('beginning each bath with an even fish over-states what comes out', () => {
    const bath = (state: BathState) => finiteBathSeries({ ...state, bath: 0 }, 4, fourier(6));
    const meanOf = ({ slab: each }: BathState) => each.reduce((sum, c) => sum + c, 0) / places;
    const carried = bath(bath(even));
    const once = meanOf(bath(even));
    const restarted = bath({ slab: even.slab.map(() => once), bath: 0 });
    expect(meanOf(restarted)).to.be.lessThan(meanOf(carried) * 0.97);
  });
  it('zones of one bath share it: salt is kept to a billionth, and in the end all are as strong as the bath', () => {
    const zones = [0.004, 0.009, 0.02].map((each) => ({ depth: each, water: 700 * each, face: 2 }));
    const salt = soluteIn(zones, 40, SALT_SATURATION);
    salt.meet({ kind: 'bath', solute: 6, water: 50 });
    for (const hours of [1, 8, 40, 400]) {
      follow(salt, hours, 3);
      const inside = zones.reduce((sum, { face }, index) => sum + face * salt.taken(index), 0);
      expect((inside + salt.outside()) / 6).to.be.closeTo(1, 1e-9);
    }
    const water = zones.reduce((sum, each) => sum + each.face * each.water, 50);
    zones.forEach((_, index) => expect(salt.at(index, 0)).to.be.closeTo(6 / water, 1e-3));
  });
  it('in a bath that holds its strength the thick is never ahead of the thin', () => {
    const zones = [0.004, 0.009, 0.02].map((each) => ({ depth: each, water: 700 * each, face: 2 }));
    const salt = soluteIn(zones, 40, SALT_SATURATION);
    salt.meet({ kind: 'bath', solute: 6e4, water: 5e5 });
    for (const hours of [1, 8, 40, 400]) {
      follow(salt, hours, 3);
      const middles = zones.map((_, index) => salt.at(index, 39));
      expect(middles[0]).to.be.at.least(middles[1]! - 1e-6);
      expect(middles[1]).to.be.at.least(middles[2]! - 1e-6);
    }
  });
  it('what drains is lost to the fish, and is still counted', () => {
    const run = (drains: number) => {
      const salt = soluteIn([zone], 60, SALT_SATURATION);
      salt.meet({ kind: 'laid', dose: [0.6], drains });
      for (let hour = 1; hour <= 48; hour++) salt.step(diffusivity * 3600, [1.5 * (1 - Math.exp(-hour / 8))]);
      return salt;
    };
    const [kept, drained] = [run(0), run(0.9)];
    expect(drained.taken(0)).to.be.lessThan(kept.taken(0) * 0.9);
    for (const salt of [kept, drained]) expect(salt.taken(0) + salt.outside()).to.be.closeTo(0.6, 1e-9);
  });
  it('lifted out and put back it goes on from what was left; wiped, it does not', () => {
    const run = (keep: boolean) => {
      const salt = soluteIn([zone], 60, SALT_SATURATION);
      salt.meet({ kind: 'laid', dose: [1], drains: 0 });
      for (let i = 0; i < 60; i++) salt.step(diffusivity * 120, [0]);
      const left = salt.left(0);
      salt.meet({ kind: 'closed', keep });
      const before = salt.taken(0);
      salt.step(diffusivity * 3600, [0]);
      expect(salt.taken(0)).to.be.closeTo(before, 1e-12);
      salt.meet({ kind: 'again' });
      expect(salt.left(0)).to.be.closeTo(keep ? left : 0, 1e-12);
      salt.step(diffusivity * 3600, [0]);
      expect(salt.taken(0) + salt.outside()).to.be.closeTo(1, 1e-12);
      return salt.taken(0) - before;
    };
    expect(run(true)).to.be.greaterThan(0.05);
    expect(run(false)).to.be.closeTo(0, 1e-12);
  });
  it('a rest evens out and loses nothing', () => {
    const salt = soluteIn([zone], 60, SALT_SATURATION);
    salt.meet({ kind: 'laid', dose: [0.4], drains: 0 });
    follow(salt, 6);
    salt.meet({ kind: 'closed', keep: false });
    const taken = salt.taken(0);
    follow(salt, 2000);
    expect(salt.taken(0)).to.be.closeTo(taken, 1e-9);
    expect(salt.at(0, 0) / salt.at(0, 59)).to.be.closeTo(1, 1e-3);
  });
});
