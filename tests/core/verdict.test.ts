import { expect } from 'chai';
import { verdict } from '../../src/lib/core/rules/verdict.ts';
import { HOUR, HOUSE, START, ask, freezeStart, lineageOf, readEvery } from './build.ts';
import { char, feed, runGolden } from './golden.ts';

import { FREEZING_AND_SOURCE } from './tables/freezing-and-source.ts';
import { WARMTH_AND_DAYS } from './tables/warmth-and-days.ts';

const GOLDEN = [...FREEZING_AND_SOURCE, ...WARMTH_AND_DAYS];

describe('golden verdicts: freezing, papers, temperature, days', () => {
  it('are many, and name each profile', () => {
    expect(GOLDEN.length).to.be.greaterThan(60);
    expect(new Set(GOLDEN.map(({ profile = 'us-fc' }) => profile))).to.deep.equal(new Set(['us-fc', 'eu']));
  });
  runGolden(GOLDEN);
});

describe('what was known then', () => {
  it('a paper recorded late does not open the past', () => {
    const late = { ...feed(), recorded: START + 5 * HOUR };
    const lineage = lineageOf({ lot: char, papers: [late] });
    const at = START + 2 * HOUR;
    const known = (hours: number) => verdict(lineage, HOUSE, at, START + hours * HOUR).windows[0]!.state;
    expect(known(3)).to.equal('not-cleared');
    expect(known(6)).to.equal('open');
  });
  it('counting from the air is the code’s rule, from the core the house’s: the house is never earlier', () => {
    const events = [
      freezeStart(1),
      ...readEvery(2, 190, 8, -24).map((each) => ({ ...each, body: { ...each.body, probe: 'air' as const } }))
    ];
    const opens = (countFromCore: boolean) =>
      ask({ events }, 200, 'us-fc', { ...HOUSE, countFromCore }).windows[0]!.opens!;
    expect(opens(true)).to.be.greaterThan(opens(false));
    expect(opens(false)).to.equal(START + 170 * HOUR);
  });
});
