import { expect } from 'chai';
import fc from 'fast-check';
import { HOUR } from '../../src/lib/core/measure/spans.ts';
import { benchesOf, nextBench, type AtBenches } from '../../src/lib/core/service/benches.ts';
import { clustered, FINGER, lifeFrame } from '../../src/lib/ui/charts/life.ts';
import { foldLineage } from '../../src/lib/core/rules/verdict.ts';
import { stageOf } from '../../src/lib/core/service/stage.ts';
import { acidStart, cureStart, freezeStart, holdStart, lineageOf, START, type Case } from './build.ts';
import { runs } from '../runs.ts';

const at = (of: Case, more: Partial<AtBenches> = {}): AtBenches => {
  const { chain, lot } = foldLineage(lineageOf(of), START + 3 * HOUR, START + 3 * HOUR);
  const state = chain.at(-1)!;
  return { state, stage: stageOf(state, lot), missing: [], wanted: 'raw', isOpen: true, ...more };
};

describe('where a piece goes next', () => {
  it('what it is in goes on; what waits for a freezer goes there; else what it is wanted for', () => {
    expect(nextBench(at({ events: [cureStart(1, 30)] }))).to.equal('/cure');
    expect(nextBench(at({ events: [acidStart(1, 30)] }))).to.equal('/acid');
    expect(nextBench(at({ events: [freezeStart(1)] }))).to.equal('/freeze');
    expect(nextBench(at({ events: [holdStart(2)] }))).to.equal('/serve');
    expect(nextBench(at({}, { missing: ['parasites.not-frozen'] }))).to.equal('/freeze');
    expect(nextBench(at({}, { stage: 'whole' }))).to.equal('/break');
    expect(nextBench(at({}, { wanted: 'cured' }))).to.equal('/cure');
    expect(nextBench(at({}, { wanted: 'acid' }))).to.equal('/acid');
    expect(nextBench(at({}, { isOpen: false }))).to.equal('/serve');
  });
  it('every bench is one touch away, the next first and those that cannot take it last', () => {
    const all = benchesOf(at({ events: [cureStart(1, 30)] }));
    expect(all[0]).to.deep.include({ path: '/cure', isNext: true, hindrance: null });
    expect(all.map(({ path }) => path)).to.include.members(['/acid', '/age', '/labels', '/serve']);
    const firstAway = all.findIndex(({ hindrance }) => hindrance !== null);
    expect(all.slice(firstAway).every(({ hindrance }) => hindrance !== null)).to.equal(true);
    expect(all.filter(({ isNext }) => isNext)).to.have.length(1);
  });
});

describe('a life as a picture', () => {
  it('goes from its first entry past now, and ends with what is gone', () => {
    const of = lifeFrame([START, START + HOUR], START + 10 * HOUR, null, null, 900);
    expect(of.x(START)).to.equal(FINGER / 2);
    expect(of.x(START + 10 * HOUR)).to.be.lessThan(900 - FINGER);
    expect(of.to).to.be.greaterThan(START + 10 * HOUR);
    const ended = lifeFrame([START], START + 1000 * HOUR, START + 20 * HOUR, null, 900);
    expect(ended.to).to.be.lessThan(START + 24 * HOUR);
    // What is asked about outside it stands at its edge.
    expect(ended.x(START - HOUR)).to.equal(FINGER / 2);
  });
  it('law: each moment stands in one place, and no two places are nearer than a finger is wide', () => {
    const seed = 90;
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 500 }), { minLength: 1, maxLength: 60 }), (hours) => {
        const moments = hours.map((hour, seq) => ({ happened: START + hour * HOUR, seq }));
        const of = lifeFrame(
          moments.map(({ happened }) => happened),
          START + 520 * HOUR,
          null,
          null,
          900
        );
        const all = clustered(moments, of);
        expect(all.flatMap(({ moments: each }) => each.map(({ seq }) => seq)).sort((a, b) => a - b)).to.deep.equal(
          moments.map(({ seq }) => seq)
        );
        const firsts = all.map(({ moments: [first] }) => of.x(first!.happened));
        firsts.slice(1).forEach((x, index) => expect(x - firsts[index]!).to.be.at.least(FINGER - 1e-9));
      }),
      { seed, ...runs(200) }
    );
  });
});
