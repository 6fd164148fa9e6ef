import { expect } from 'chai';
import { everyOther } from '../../runs.ts';
import { brineFigures, rateOf, saltVolume } from '../../../src/lib/core/bench/cure/brine.ts';
import { changed, isPausedAt, programmeSeconds, stageAt, startBy } from '../../../src/lib/core/bench/cure/changes.ts';
import { daysToTenfold, guardsOf } from '../../../src/lib/core/bench/cure/guards.ts';
import { fitCure, learned, predicted, type CureOutcome } from '../../../src/lib/core/bench/cure/learn.ts';
import { SHIPPED } from '../../../src/lib/core/bench/cure/parameters.ts';
import { cure, type CureSettings } from '../../../src/lib/core/bench/cure/plan.ts';
import { programmeOf, type Stage } from '../../../src/lib/core/bench/cure/programme.ts';
import { stepsOf } from '../../../src/lib/core/bench/cure/steps.ts';
import { seededChance } from '../../../src/lib/core/random.ts';
import { troubleOf } from '../../trouble.ts';
import { SIDE } from './side.ts';

const HOUR = 3600;
const side: CureSettings = { ...SIDE, grams: 800, thicknessMm: 24, thinMm: 10, restHours: 12 };
const stages = programmeOf(side);

describe('a cure as steps', () => {
  const codes = (method: CureSettings['method'], more: Partial<CureSettings> = {}, turned = false, drains = false) =>
    stepsOf(programmeOf({ ...side, method, ...more }), { method, turned, drains }).map(({ code }) => code);
  it('cover, turned: laid on, turned and basted, rinsed, dried, rested', () => {
    expect(codes('cover', {}, true)).to.deep.equal([
      'lay-on',
      'turn',
      'baste',
      'turn',
      'baste',
      'rinse',
      'dry',
      'rest-over'
    ]);
  });
  it('cover, left closed: nothing in between', () => {
    expect(codes('cover')).to.deep.equal(['lay-on', 'rinse', 'dry', 'rest-over']);
  });
  it('cover, drained: poured off', () =>
    expect(codes('cover', {}, false, true).filter((code) => code === 'pour-off')).to.have.length(3));
  it('a weighed cure is wiped, not rinsed', () =>
    expect(codes('weighed', { salt: 0.02 }))
      .to.include('wipe')
      .and.not.include('rinse'));
  it('desalting: into the water, a change for each further bath, lifted and dried', () => {
    expect(codes('desalt', { salt: 0.15, sugar: 0, changes: 3, restHours: 0 })).to.deep.equal([
      'into-water',
      'change-water',
      'change-water',
      'lift',
      'dry'
    ]);
  });
  it('a marinade: salted, wiped, dried, into the paste, wiped', () => {
    expect(codes('marinade', { presalt: 0.01, presaltMinutes: 30, restHours: 0, sugar: 0.1 })).to.deep.equal([
      'lay-on',
      'wipe',
      'dry',
      'into-paste',
      'wipe'
    ]);
  });
  it('every step has a name of its own, in order of time, paused and longer as well', () => {
    const paused = changed(stages, 10 * HOUR, { kind: 'pause' });
    for (const each of [stages, paused, changed(paused, 12 * HOUR, { kind: 'resume' })]) {
      for (const turned of [true, false]) {
        const steps = stepsOf(each, { method: 'cover', turned, drains: !turned });
        expect(new Set(steps.map(({ id }) => id)).size).to.equal(steps.length);
        steps.forEach(({ seconds }, index) => index > 0 && expect(seconds).to.be.at.least(steps[index - 1]!.seconds));
      }
    }
  });
  it('start by: service less all that has to pass', () => {
    expect(startBy(0, stages, 600)).to.equal(-(42 * HOUR + 600) * 1000);
  });
});

describe('a cure changed on the way', () => {
  it('longer and shorter count from now, and what has been stays', () => {
    const longer = changed(stages, 20 * HOUR, { kind: 'left', hours: 20 });
    expect(longer.map(({ seconds }) => seconds / HOUR)).to.deep.equal([40, 12]);
    const now = changed(stages, 20 * HOUR, { kind: 'left', hours: 0 });
    expect(now[0]!.seconds).to.equal(20 * HOUR);
    expect(cure({ ...side, stages: longer }).end.meanPercent).to.be.greaterThan(cure(side).end.meanPercent);
    expect(cure({ ...side, stages: now }).end.meanPercent).to.be.lessThan(cure(side).end.meanPercent);
  });
  it('a pause lasts until it is ended, keeps what it lay in, and takes up nothing', () => {
    const paused = changed(stages, 10 * HOUR, { kind: 'pause' });
    expect(paused.map(({ id }) => id)).to.deep.equal(['cure', 'paused', 'cure', 'rest']);
    expect(isPausedAt(paused, 500 * HOUR)).to.equal(true);
    const back = changed(paused, 14 * HOUR, { kind: 'resume' });
    expect(back.map(({ seconds }) => seconds / HOUR)).to.deep.equal([10, 4, 20, 12]);
    expect(isPausedAt(back, 15 * HOUR)).to.equal(false);
    const [plain, after] = [cure(side).end, cure({ ...side, stages: back }).end];
    expect(after.meanPercent / plain.meanPercent).to.be.closeTo(1, 0.06);
  });
  it('the stage of a moment, and none once it has run', () => {
    expect(stageAt(stages, 29 * HOUR)!.stage.id).to.equal('cure');
    expect(stageAt(stages, 31 * HOUR)).to.deep.include({ index: 1, from: 30 * HOUR });
    expect(stageAt(stages, 43 * HOUR)).to.equal(null);
    expect(programmeSeconds(changed(stages, 45 * HOUR, { kind: 'left', hours: 2 }))).to.equal(47 * HOUR);
  });
  const refused: [string, () => Stage[]][] = [
    ['a pause while it rests', () => changed(stages, 35 * HOUR, { kind: 'pause' })],
    ['going on while it is not paused', () => changed(stages, HOUR, { kind: 'resume' })],
    [
      'a time left while it is paused',
      () => changed(changed(stages, HOUR, { kind: 'pause' }), 2 * HOUR, { kind: 'left', hours: 3 })
    ],
    ['a pause once it has run', () => changed(stages, 60 * HOUR, { kind: 'pause' })],
    ['minus two hours', () => changed(stages, HOUR, { kind: 'left', hours: -2 })]
  ];
  for (const [what, work] of refused) it(`${what} is refused`, () => void troubleOf(work));
});

describe('what is said of every cure', () => {
  it('ten-fold by hand: 4 °C, aw 0.96, pH 6.2', () => {
    // 0.419 (6.83/27.83)^2 (0.037/0.077) (1 - 10^-1.23) = 0.01141 per hour; ln 10 / that / 24
    expect(daysToTenfold(4, 0.96)).to.be.closeTo(8.41, 0.25);
    expect(daysToTenfold(8, 0.96)).to.be.lessThan(daysToTenfold(4, 0.96));
    expect(daysToTenfold(4, 0.98)).to.be.lessThan(daysToTenfold(4, 0.96));
    for (const stopped of [daysToTenfold(4, 0.9), daysToTenfold(-3, 0.98), daysToTenfold(4, 0.98, 4.5)]) {
      expect(stopped).to.equal(Infinity);
    }
  });
  it('a closed pack is warned of from the first minute, and more after 48 h; enough salt everywhere is said too', () => {
    const code = (leastWps: number, hours: number, closedPack = true) =>
      guardsOf({ celsius: 3, leastWps, waterActivity: 0.96, closedPack, hours }).map((each) => each.code)[1];
    expect(code(2, 0)).to.equal('cure.closed-pack');
    expect(code(2, 49)).to.equal('cure.closed-pack-late');
    expect(code(5, 48)).to.equal('cure.closed-pack-salted');
    // Salt that is there only after the 48 hours held nothing back in them.
    expect(code(5, 49)).to.equal('cure.closed-pack-late');
    expect(code(4.99, 49)).to.equal('cure.closed-pack-late');
    expect(code(2, 49, false)).to.equal('cure.open');
  });
});

describe('brine and salt by every name', () => {
  it('26.395 % is 100 degrees; 10 % is 111 g to a litre', () => {
    expect(brineFigures(0.26395).salometer).to.be.closeTo(100, 1e-9);
    expect(brineFigures(0.1).gramsPerLitreOfWater).to.be.closeTo(110.9, 0.1);
    expect(brineFigures(0.1).gramsPerKilogram).to.be.closeTo(100, 1e-9);
    expect(brineFigures(0.1).density).to.be.closeTo(1.0707, 1e-4);
    expect(brineFigures(0).density).to.be.closeTo(0.9982, 1e-6);
    expect(troubleOf(() => brineFigures(0.3)).details.field).to.equal('salt');
  });
  it('a rate is of the salt or of the mix; the two differ by the sugar', () => {
    expect(rateOf(0.06, 1, 1, 'salt')).to.deep.equal({ salt: 0.06, sugar: 0.06 });
    expect(rateOf(0.06, 1, 1, 'mix')).to.deep.equal({ salt: 0.03, sugar: 0.03 });
    expect(rateOf(0.06, 1, 2, 'mix').sugar).to.be.closeTo(0.04, 1e-12);
    expect(troubleOf(() => rateOf(0.06, 0, 1, 'mix')).details.field).to.equal('parts');
  });
  it('flake fills nearly twice the spoon of fine salt', () => {
    expect(saltVolume(30, 0.65) / saltVolume(30, 1.2)).to.be.closeTo(1.846, 0.001);
    expect(troubleOf(() => saltVolume(30, 0)).details.field).to.equal('density');
  });
});

describe('learning from finished cures', () => {
  const truth = { diffusivity: 5e-10, mostLoss: 0.21 };
  const run = (seq: number, noise: ReturnType<typeof seededChance>, more: Partial<CureOutcome> = {}): CureOutcome => {
    const settings: CureSettings = {
      ...side,
      thicknessMm: 16 + (seq % 5) * 4,
      thinMm: null,
      hours: 18 + (seq % 3) * 12,
      method: seq % 2 ? 'cover' : 'weighed',
      salt: seq % 2 ? 0.06 : 0.025
    };
    const where = seq % 3 === 0 ? ('middle' as const) : ('mean' as const);
    const seen = predicted({ settings, salt: { where, percent: 1 } }, truth);
    return {
      seq,
      species: 'char',
      fat: 'mid',
      settings,
      gramsAfter: seen.grams * noise.logBand(0.99, 1, 1.01),
      salt: { where, percent: seen.percent * noise.logBand(0.85, 1, 1.18) },
      ...more
    };
  };
  const runs = (count: number, seed = 0.31, more: Partial<CureOutcome> = {}) => {
    const chance = seededChance(seed);
    return Array.from({ length: count }, (_, index) => run(index + 1, chance, more));
  };

  /** A fit takes seconds: two tests look at one. */
  const fits = new Map<number, ReturnType<typeof fitCure>>();
  const fitOf = (count: number) => {
    const fit = fits.get(count) ?? fitCure(runs(count));
    fits.set(count, fit);
    return fit;
  };

  it('finds what synthetic cures were made with, and says how far off it was before and is after', () => {
    const fit = fitOf(14);
    expect(fit.runs).to.equal(14);
    expect(fit.parameters.diffusivity.likely / truth.diffusivity).to.be.closeTo(1, 0.15);
    expect(fit.parameters.mostLoss.likely / truth.mostLoss).to.be.closeTo(1, 0.1);
    expect(fit.weightOff!.after).to.be.lessThan(fit.weightOff!.before);
    expect(fit.saltOff!.after).to.be.lessThan(fit.saltOff!.before);
  });
  it('its band holds the truth in about nine of ten houses', () => {
    const seeds = everyOther([0.11, 0.23, 0.37, 0.41, 0.59, 0.67, 0.73, 0.89]);
    const held = seeds.filter((seed) => {
      const { low, high } = fitCure(runs(5, seed)).parameters.diffusivity;
      return low <= truth.diffusivity && truth.diffusivity <= high;
    });
    expect(held.length).to.be.at.least(seeds.length - 1);
  });
  it('more runs narrow the band; none leave what was believed', () => {
    const width = (count: number) => {
      const { low, high } = fitOf(count).parameters.diffusivity;
      return high / low;
    };
    expect(width(2)).to.be.lessThan(SHIPPED.diffusivity.high / SHIPPED.diffusivity.low);
    expect(width(14)).to.be.lessThan(width(2));
    expect(fitCure([]).parameters).to.equal(SHIPPED);
    expect(fitCure([run(1, seededChance(0.5), { gramsAfter: null, salt: null })]).runs).to.equal(0);
  });
  it('the coarse model it is fitted with says what the fine one says, to a fiftieth', () => {
    for (const method of ['cover', 'weighed'] as const) {
      const settings: CureSettings = { ...side, method, salt: method === 'cover' ? 0.06 : 0.025 };
      const draw = { diffusivity: SHIPPED.diffusivity.likely, mostLoss: SHIPPED.mostLoss.likely };
      const coarse = predicted({ settings, salt: { where: 'mean', percent: 1 } }, draw);
      const { end } = cure(settings);
      expect(coarse.grams / end.gramsAfter).to.be.closeTo(1, 0.005);
      expect(coarse.percent / end.meanPercent).to.be.closeTo(1, 0.02);
    }
  });
  it('weights alone teach the loss, and leave diffusivity nearly where it was', () => {
    const fit = fitCure(runs(10, 0.31, { salt: null }));
    // What went in drove water out too: with the salt unknown, a weight tells the loss less closely.
    expect(fit.parameters.mostLoss.likely / truth.mostLoss).to.be.closeTo(1, 0.25);
    expect(fit.saltOff).to.equal(null);
  });
  it('a species without runs of its own is forecast with its fat class, wider; another class not at all', () => {
    const all = runs(10);
    const kin = learned(all, 'trout', 'mid');
    expect(kin.parameters.from).to.equal('fat-class');
    expect(kin.parameters.diffusivity.likely).to.be.greaterThan(3.5e-10);
    const own = learned(all, 'char', 'mid');
    expect(own.parameters.from).to.equal('species');
    const width = ({ low, high }: { low: number; high: number }) => high / low;
    expect(width(kin.parameters.diffusivity)).to.be.greaterThan(width(own.parameters.diffusivity));
    expect(learned(all, 'mackerel', 'rich').parameters).to.equal(SHIPPED);
  });
});
