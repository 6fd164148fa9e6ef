import { expect } from 'chai';
import { acidPlan, shapeOf } from '../../../src/lib/core/bench/acid/plan.ts';
import { CUTS, SET_POINTS } from '../../../src/lib/core/activity/acid/lists.ts';
import { SOUR_LIQUIDS } from '../../../src/lib/core/bench/acid/liquid.ts';
import { GUARD_CODES, guardsOf } from '../../../src/lib/core/bench/cure/guards.ts';
import { programmeOf, type CureSettings } from '../../../src/lib/core/bench/cure/programme.ts';
import { DOSINGS, SCHOOL_IDS, STAGE_IDS } from '../../../src/lib/core/activity/cure/lists.ts';
import { stepsOf } from '../../../src/lib/core/bench/cure/steps.ts';
import { CURE_STEP_CODES } from '../../../src/lib/core/activity/cure/lists.ts';
import { SALT_TASTES } from '../../../src/lib/core/activity/cure/bodies.ts';
import { CURE_PACKS } from '../../../src/lib/core/activity/cure/plan.ts';
import { entryWords } from '../../../src/lib/words/entry.ts';
import { ACID_STYLES, type AcidStyle } from '../../../src/lib/core/bench/acid/styles.ts';
import { CUT_WORDS, LIQUID_WORDS, LOOK_MEANS, LOOK_WORDS } from '../../../src/lib/words/acid.ts';
import {
  cureStageWords,
  DOSING_WORDS,
  METER_WORDS,
  PACK_WORDS,
  SALT_TASTE_WORDS,
  SCHOOL_WORDS
} from '../../../src/lib/words/cure.ts';
import { cureStepWords } from '../../../src/lib/words/cure-names.ts';
import { FINDING_CODES } from '../../../src/lib/core/codes/finding.ts';
import { sentence } from '../../../src/lib/words/findings.ts';
import { taskWords } from '../../../src/lib/words/tasks.ts';
import { cureEnd, cureStart, event } from '../build.ts';

describe('words of the cure and the acid bench', () => {
  it('every school has its steps with reasons, its usual range, its mistakes and what to look at', () => {
    for (const id of SCHOOL_IDS) {
      const words = SCHOOL_WORDS[id];
      expect(words.steps.length, id).to.be.at.least(4);
      words.steps.forEach((step) => expect(step.why.length, step.do).to.be.greaterThan(12));
      expect(words.mistakes.length, id).to.be.at.least(3);
      expect(words.inspect.length, id).to.be.at.least(2);
      expect(words.usual, id).to.match(/\d/);
    }
  });
  it('every step, stage, dosing, pack, taste and place of a meter has a word of its own', () => {
    const distinct = (all: readonly string[]) => expect(new Set(all).size).to.equal(all.length);
    distinct(CURE_STEP_CODES.map(cureStepWords));
    distinct(STAGE_IDS.map(cureStageWords));
    CURE_STEP_CODES.forEach((code) => expect(cureStepWords(code)).to.not.equal(code));
    STAGE_IDS.forEach((id) => expect(cureStageWords(id)).to.not.equal(id));
    for (const [ids, words] of [
      [DOSINGS, DOSING_WORDS],
      [CURE_PACKS, PACK_WORDS],
      [SALT_TASTES, SALT_TASTE_WORDS],
      [['mean', 'middle', 'surface'], METER_WORDS],
      [CUTS, CUT_WORDS],
      [SET_POINTS, LOOK_WORDS],
      [SET_POINTS, LOOK_MEANS],
      [SOUR_LIQUIDS.map(({ id }) => id), LIQUID_WORDS]
    ] as const) {
      expect(Object.keys(words).sort()).to.deep.equal([...ids].sort());
    }
  });
  it('what is said of a cure carries its figures, and never reads as leave to do it', () => {
    for (const [leastWps, hours] of [
      [1, 10],
      [1, 60],
      [6, 60]
    ] as const) {
      for (const guard of guardsOf({ celsius: 3, leastWps, waterActivity: 0.97, closedPack: true, hours })) {
        expect(FINDING_CODES).to.include(guard.code);
        expect(sentence(guard)).to.not.match(/undefined|NaN|is safe|may be sold/);
      }
    }
    const [late] = guardsOf({ celsius: 3, leastWps: 1.26, waterActivity: 0.97, closedPack: true, hours: 60 }).filter(
      ({ code }) => code === 'cure.closed-pack-late'
    );
    expect(sentence(late!)).to.contain('60 h').and.contain('1.2 %').and.contain('48 h');
    const still = guardsOf({ celsius: -3, leastWps: 1, waterActivity: 0.97, closedPack: false, hours: 1 });
    expect(sentence(still.find(({ code }) => code === 'cure.listeria')!)).to.contain('does not die');
    GUARD_CODES.filter((code) => code !== 'cure.open').forEach((code) => expect(FINDING_CODES).to.include(code));
  });
  it('hands read what to do', () => {
    expect(taskWords({ code: 'cure-due', seen: { method: 'marinade' } })).to.equal('Take out: marinade');
    expect(taskWords({ code: 'cure-step', seen: { step: 'change-water' } })).to.equal('Change the water');
    expect(taskWords({ code: 'acid-ready', seen: { wanted: 'nearly' } })).to.contain('nearly set');
    expect(taskWords({ code: 'acid-past', seen: {} })).to.contain('take it out');
  });
  it('entries of the ledger say a step by its name, and leave out what only the machine needs', () => {
    const step = event('cure.stepped', 1, { step: 'turn-1', code: 'turn', note: 'dry on top' });
    expect(entryWords(step)).to.deep.equal(['turn it', 'dry on top']);
    const begun = entryWords(cureStart(1, 20)).join('; ');
    expect(begun)
      .to.contain('salt 25 g')
      .and.not.match(/\[object|settings|stages/);
    const ended = entryWords(cureEnd(2, { saltTaste: 'high', taste: 2 })).join('; ');
    expect(ended)
      .to.contain('high')
      .and.not.match(/\[object/);
  });
  it('every style of acid can be run as it stands, for any amount of fish', () => {
    for (const style of ACID_STYLES as readonly AcidStyle[]) {
      for (const grams of [80, 2000]) {
        const liquid = style.liquid.map((part) => ({ ...part, ml: (part.ml * grams) / 100 }));
        const faces = style.cut === 'fillet' ? (1 as const) : (2 as const);
        const asked = {
          cut: style.cut,
          sizes: style.sizes,
          faces,
          grams,
          celsius: 5,
          liquid,
          measuredPH: null,
          dark: false
        };
        const plan = acidPlan({ ...asked, wanted: style.wanted, pace: 1 }, 10);
        expect(plan.sour, style.id).to.equal(true);
        expect(plan.readySeconds, style.id).to.be.a('number').and.greaterThan(0);
        expect(shapeOf(asked).halfMm).to.be.greaterThan(0);
      }
    }
  });
});

describe('programmes and steps hang together', () => {
  const base: CureSettings = {
    method: 'cover',
    grams: 700,
    thicknessMm: 24,
    faces: 1,
    celsius: 3,
    fat: 'mid',
    thawed: false,
    salt: 0.06,
    sugar: 0.02,
    hours: 20,
    target: 0.01,
    restHours: 6
  };
  const schools: Partial<CureSettings>[] = [
    { method: 'cover' },
    { method: 'weighed', salt: 0.02 },
    { method: 'brine', salt: 0.06, sugar: 0 },
    { method: 'film', salt: 0.015, sugar: 0, hours: 0.5 },
    { method: 'desalt', salt: 0.15, sugar: 0, changes: 4, hours: 8 },
    { method: 'marinade', salt: 0.06, sugar: 0.2, presalt: 0.01, presaltMinutes: 30 }
  ];
  for (const more of schools) {
    it(`${more.method}: begins with something at the faces, ends with hands, and lasts as long as its stages`, () => {
      const settings = { ...base, ...more };
      const stages = programmeOf(settings);
      const whole = stages.reduce((sum, { seconds }) => sum + seconds, 0);
      const steps = stepsOf(stages, { method: settings.method, turned: true, drains: false });
      expect(steps[0]!.seconds).to.equal(0);
      expect(steps.at(-1)!.seconds).to.equal(whole);
      expect(steps.at(-1)!.code).to.equal('rest-over');
      expect(stages[0]!.contact.kind).to.be.oneOf(['laid', 'bath']);
      expect(stages.at(-1)!.id).to.equal('rest');
      const expected =
        more.method === 'desalt' ? 4 * 8 + 6 : (more.hours ?? 20) + 6 + (more.method === 'marinade' ? 0.5 : 0);
      expect(whole / 3600).to.be.closeTo(expected, 1e-9);
    });
  }
});
