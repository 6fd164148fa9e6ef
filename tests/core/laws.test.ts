import { expect } from 'chai';
import fc from 'fast-check';
import { SPECIES } from '../../src/lib/core/fish/species.ts';
import type { RecordEvent } from '../../src/lib/core/record/events.ts';
import { RAW_ROUTES, ROUTES, isWider } from '../../src/lib/core/codes/window.ts';
import { DAY, HOUR, HOUSE, LOT, ask, celsius, event, freezeRead, holdStart, inspection, stateOf } from './build.ts';
import { anyCase, anyHour, anyProfile } from './cases.ts';
import { runs } from '../runs.ts';

const adverse: RecordEvent[] = [
  event('cold.read', 205, { reading: celsius(12), place: '' }),
  freezeRead(100, -10),
  event('piece.discarded', 220, { reason: 'dropped', mass: null }),
  holdStart(208),
  inspection(3, { likely: 7, decision: 'cooked-only', reason: 'soft' }),
  inspection(4, { likely: 4, decision: 'send-back', reason: 'sour' })
];

describe('laws of the verdict', () => {
  it('taking a paper away never widens a window', () => {
    fc.assert(
      fc.property(anyCase, anyHour, anyProfile, fc.nat(), (of, hour, profile, which) => {
        fc.pre(of.papers.length > 0);
        const fewer = { ...of, papers: of.papers.filter((_, index) => index !== which % of.papers.length) };
        const before = ask(of, hour, profile);
        ask(fewer, hour, profile).windows.forEach((window, index) =>
          expect(isWider(before.windows[index]!, window)).to.equal(false)
        );
      }),
      runs(2000)
    );
  });
  it('an adverse fact never widens a window', () => {
    fc.assert(
      fc.property(anyCase, anyHour, anyProfile, fc.constantFrom(...adverse), (of, hour, profile, fact) => {
        // Where the day of catch is not known, a sheet is the paper that stands in for it.
        fc.pre(fact.kind !== 'lot.inspected' || of.lot.caughtOn !== null);
        // A document that covers fish not frozen covers a freezing that failed as well: a lock gives way to that.
        const answered = of.papers.some(
          (paper) => paper.kind === 'evidence.attached' && paper.body.covers.includes('parasites')
        );
        fc.pre(fact.kind !== 'freeze.read' || !answered);
        const before = ask(of, hour, profile);
        const after = ask({ ...of, events: [...of.events, fact] }, hour, profile);
        after.windows.forEach((window, index) => {
          expect(isWider(before.windows[index]!, window), `${fact.kind} ${window.route}`).to.equal(false);
        });
      }),
      runs(2000)
    );
  });
  it('once closed, time alone never reopens it', () => {
    fc.assert(
      fc.property(anyCase, anyHour, fc.integer({ min: 1, max: 500 }), (of, hour, later) => {
        const hours = 300 + hour;
        const before = ask(of, hours);
        const after = ask(of, hours + later);
        before.windows.forEach(({ state, route }) => {
          if (state === 'closed') expect(stateOf(after, route)).to.equal('closed');
          if (state === 'never') expect(stateOf(after, route)).to.equal('never');
        });
      }),
      runs(1000)
    );
  });
  it('the order of writing down does not matter, and the same question has the same answer', () => {
    fc.assert(
      fc.property(anyCase, anyHour, (of, hour) => {
        const turned = { ...of, papers: [...of.papers].reverse(), events: [...of.events].reverse() };
        const plain = ask(of, hour).windows.map(({ state, opens, closes }) => ({ state, opens, closes }));
        expect(ask(turned, hour).windows.map(({ state, opens, closes }) => ({ state, opens, closes }))).to.deep.equal(
          plain
        );
        expect(ask(of, hour)).to.deep.equal(ask(of, hour));
      }),
      runs(500)
    );
  });
  it('every reason has a citation, and a raw window never opens without a parasite reason that stands', () => {
    fc.assert(
      fc.property(anyCase, anyHour, anyProfile, (of, hour, profile) => {
        const seen = ask(of, hour, profile);
        seen.reasons.forEach(({ rule, routes }) => {
          expect(rule.citation).to.not.equal('');
          expect(routes.length).to.be.greaterThan(0);
        });
        for (const route of RAW_ROUTES) {
          if (!['open', 'ebbing'].includes(stateOf(seen, route))) continue;
          const stands = seen.reasons.some(
            ({ hazard, effect, owned }) =>
              hazard === 'parasites' && (effect.kind === 'pass' || effect.kind === 'opens' || owned !== undefined)
          );
          expect(stands, route).to.equal(true);
        }
      }),
      runs(2000)
    );
  });
  it('a stricter house never widens', () => {
    const strict = { ...HOUSE, dateMarkDays: 3, rawShareOfIceDays: 0.2, strictAccuracy: true, countFromCore: true };
    const plain = { ...HOUSE, countFromCore: false };
    fc.assert(
      fc.property(anyCase, anyHour, anyProfile, (of, hour, profile) => {
        const before = ask(of, hour, profile, plain);
        ask(of, hour, profile, strict).windows.forEach((window, index) =>
          expect(isWider(before.windows[index]!, window)).to.equal(false)
        );
      }),
      runs(1000)
    );
  });
  it('answers for every species in the catalogue, all five routes', () => {
    for (const { id } of SPECIES)
      expect(ask({ lot: { ...LOT, species: id } }, 1).windows.map(({ route }) => route)).to.deep.equal([...ROUTES]);
    expect(SPECIES.length).to.be.greaterThan(50);
    expect(DAY).to.equal(24 * HOUR);
  });
});
