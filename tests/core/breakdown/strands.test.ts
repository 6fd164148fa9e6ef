import { expect } from 'chai';
import fc from 'fast-check';
import { NO_CUT } from '../../../src/lib/core/activity/piece/bodies.ts';
import type { RecordEvent } from '../../../src/lib/core/record/events.ts';
import { foldPiece } from '../../../src/lib/core/record/piece.ts';
import { OUT_OF_COLD_CELSIUS, secondsOut, withTimeOut } from '../../../src/lib/core/rules/out-of-cold.ts';
import { foldLineages, verdict, type Lineage } from '../../../src/lib/core/rules/verdict.ts';
import { isWider } from '../../../src/lib/core/codes/window.ts';
import {
  ask,
  celsius,
  codes,
  event,
  freezeEnd,
  freezeStart,
  HOUR,
  HOUSE,
  lineageOf,
  paper,
  readEvery,
  START,
  stateOf,
  typed,
  type Case
} from '../build.ts';
import { chilled, fullFeed, statement } from '../golden.ts';
import { runs } from '../../runs.ts';

const END = START + 10_000 * HOUR;

/** A batch made of some pieces after so many hours: a strand for each. */
function batchOf(cases: readonly Case[], hours: number, events: readonly RecordEvent[] = []): Lineage[] {
  const made = event(
    'piece.made',
    hours,
    {
      code: 'MIX',
      lot: 'L0',
      parents: cases.map((_, index) => `P${index}`),
      name: 'Mince',
      form: 'portion',
      grams: 400,
      mass: typed(400, 'g'),
      thicknessMm: null,
      ...NO_CUT
    },
    { subject: 'piece:MIX', seq: 900_000 }
  );
  return cases.map((of, index) => {
    const { lot, pieces } = lineageOf(of);
    return {
      lotId: `L${index}`,
      lot,
      pieces: [
        { id: `P${index}`, events: pieces[0]!.events },
        { id: 'MIX', events: [made, ...events] }
      ]
    };
  });
}
const judgeBatch = (lineages: readonly Lineage[], hours: number) => verdict(lineages, HOUSE, START + hours * HOUR, END);

describe('a batch', () => {
  const good: Case = {
    lot: { species: 'arctic-char', source: 'farmed', farmSystem: 'land-based', form: 'fillet' },
    papers: [fullFeed]
  };
  const bad: Case = { lot: { species: 'pollock', form: 'fillet' } };
  it('is only as good as its worst: one unfrozen parent holds back all of it', () => {
    expect(stateOf(judgeBatch(batchOf([good, good], 2), 3), 'raw')).to.equal('open');
    const mixed = judgeBatch(batchOf([good, bad], 2), 3);
    expect(stateOf(mixed, 'raw')).to.equal('not-cleared');
    expect(codes(mixed)).to.include('parasites.not-frozen');
  });
  it('says of which lots a finding speaks, and says once what is true of all', () => {
    const mixed = judgeBatch(batchOf([good, bad], 2), 3);
    expect(mixed.reasons.find(({ code }) => code === 'parasites.not-frozen')!.lots).to.equal('L1');
    const same = judgeBatch(batchOf([good, good], 2), 3);
    expect(same.reasons.every(({ lots }) => lots === undefined)).to.equal(true);
    const keys = same.reasons.map(({ code, routes }) => `${code} ${routes.join()}`);
    expect(new Set(keys).size).to.equal(same.reasons.length);
  });
  it('closes with the first of its parents to close', () => {
    const older: Case = { ...good, lot: { ...good.lot, caughtOn: '2026-03-01' } };
    const raw = (lineages: Lineage[]) => judgeBatch(lineages, 3).windows.find(({ route }) => route === 'raw')!.closes!;
    expect(raw(batchOf([good, older], 2))).to.equal(Math.min(raw(batchOf([good], 2)), raw(batchOf([older], 2))));
  });
  it('frozen as a batch it may be cleared as a batch', () => {
    const frozen = [freezeStart(4), ...readEvery(8, 200, 10, -25), freezeEnd(202)].map(
      (each) => ({ ...each, subject: 'piece:MIX' }) as RecordEvent
    );
    const mixed = judgeBatch(
      batchOf([bad, { lot: { species: 'herring', form: 'fillet' }, papers: [chilled] }], 2, frozen),
      204
    );
    expect(codes(mixed)).to.not.include('parasites.not-frozen');
    expect(stateOf(mixed, 'raw')).to.be.oneOf(['open', 'ebbing', 'closed']);
  });
  it('without a strand there is nothing to judge', () => {
    expect(() => foldLineages([], { house: HOUSE, at: START, knownAt: END }))
      .to.throw()
      .with.property('code', 'record.not-found');
  });

  const anyCase: fc.Arbitrary<Case> = fc.record({
    lot: fc.record({
      species: fc.constantFrom('arctic-char', 'pollock', 'sardine', 'turbot', 'oyster', 'puffer', 'unidentified'),
      candidates: fc.constant(['skipjack', 'snapper']),
      form: fc.constantFrom('whole' as const, 'fillet' as const),
      source: fc.constantFrom('wild' as const, 'farmed' as const),
      farmSystem: fc.constant('land-based' as const),
      core: fc.constantFrom(null, celsius(1), celsius(7)),
      caughtOn: fc.constantFrom(null, '2026-03-08', '2026-03-03'),
      frozen: fc.boolean()
    }),
    papers: fc.subarray([fullFeed, chilled, statement(-20, 168), paper({ type: 'shellfish-tag' })]),
    events: fc.subarray([event('cold.read', 1, { reading: celsius(9), place: '' }), freezeStart(1.2)])
  });
  it('is never better than any of its parents were, on any route, at any moment', () => {
    fc.assert(
      fc.property(
        fc.array(anyCase, { minLength: 1, maxLength: 4 }),
        fc.integer({ min: 3, max: 300 }),
        (cases, hours) => {
          const together = judgeBatch(batchOf(cases, 2), hours);
          for (const strand of batchOf(cases, 2)) {
            const alone = verdict(strand, HOUSE, START + hours * HOUR, END);
            together.windows.forEach((window, index) => {
              expect(isWider(alone.windows[index]!, window), window.route).to.equal(false);
            });
          }
        }
      ),
      runs(1500)
    );
  });
  it('a piece cut from another is never better than that was when it left', () => {
    fc.assert(
      fc.property(anyCase, fc.integer({ min: 3, max: 300 }), (of, hours) => {
        const [child] = batchOf([of], 2);
        // The parent as it would be judged had nothing left it: all it knew by then, at the same moment.
        const parent = verdict({ ...child!, pieces: child!.pieces.slice(0, 1) }, HOUSE, START + hours * HOUR, END);
        const running = of.events!.some(({ kind }) => kind === 'freeze.started');
        judgeBatch([child!], hours).windows.forEach((window, index) => {
          // What is taken out of a running freezer is out of it: its clocks go on where the parent's stand still.
          if (!running) expect(isWider(parent.windows[index]!, window), window.route).to.equal(false);
        });
      }),
      runs(1500)
    );
  });
});

describe('time out of the cold', () => {
  const opened = (hours: number) =>
    event('board.opened', hours, {
      map: 'four-loins',
      school: 'both-backs',
      template: '',
      grams: 1000,
      core: null,
      scaleInterval: 1,
      expected: null,
      pins: { profile: 't', catalogue: 't', model: 't' }
    });
  const back = (hours: number, core: number | null = null) =>
    event('piece.moved', hours, {
      place: 'Drawer',
      cold: true,
      core: core === null ? null : celsius(core),
      secondsOut: 0
    });
  const bonito: Case = { lot: { species: 'atlantic-bonito', form: 'fillet' }, papers: [chilled, statement(-20, 168)] };
  const warm = (of: Case, hours = 12) => {
    const found = ask(of, hours).reasons.find(
      ({ code }) => code.startsWith('histamine.') && code !== 'histamine.no-chill-record'
    )!;
    return Number(found.seen.spentSeconds);
  };

  it('is spent from the warm hours of a histamine fish, to the minute', () => {
    expect(warm({ ...bonito, events: [opened(2), back(2.5)] })).to.be.closeTo(1800, 1);
    expect(warm({ ...bonito, events: [opened(2), back(2.5), opened(5), back(5.25)] })).to.be.closeTo(2700, 1);
    expect(warm(bonito)).to.equal(0);
  });
  it('counts whole, whatever a probe says on the way', () => {
    const probed = event('cold.read', 2.1, { reading: celsius(3), place: 'board' });
    expect(warm({ ...bonito, events: [opened(2), probed, back(3)] })).to.be.closeTo(3600, 1);
  });
  it('a warm core on its return stands until a cold one follows', () => {
    const cold = event('cold.read', 4, { reading: celsius(2), place: '' });
    const spent = warm({ ...bonito, events: [opened(2), back(3, 9), cold] });
    expect(spent).to.be.greaterThan(3600);
  });
  it('uses up days on ice faster than the drawer does', () => {
    const clean: Case = {
      lot: { species: 'arctic-char', source: 'farmed', farmSystem: 'land-based', form: 'fillet' },
      papers: [fullFeed]
    };
    const raw = (of: Case) => {
      const { effect } = ask(of, 3).reasons.find(({ code }) => code === 'freshness.raw-share')!;
      return (effect as { at: number }).at;
    };
    const lost = raw(clean) - raw({ ...clean, events: [opened(1), back(2)] });
    // An hour at 15 °C is 6.25 hours on ice; an hour at the assumed 2 °C, at which the rest runs, is 1.44.
    const rates = [(1 + 0.1 * OUT_OF_COLD_CELSIUS) ** 2, 1.2 ** 2];
    expect(lost / HOUR).to.be.closeTo((rates[0]! - rates[1]!) / rates[1]!, 0.02);
  });
  it('never ended, it is lost for raw use when the grace runs out', () => {
    const verdictAt = (hours: number) =>
      ask(
        {
          lot: { species: 'turbot', source: 'farmed', farmSystem: 'land-based', form: 'fillet' },
          papers: [fullFeed],
          events: [opened(1)]
        },
        hours
      );
    expect(stateOf(verdictAt(2), 'raw')).to.be.oneOf(['open', 'ebbing']);
    expect(stateOf(verdictAt(6), 'raw')).to.equal('closed');
    expect(codes(verdictAt(6))).to.include('clock.spent');
  });
  it('of a part goes on from where its parent’s began', () => {
    const parent = foldPiece('P', [...lineageOf(bonito).pieces[0]!.events, opened(2)], { at: START + 2.25 * HOUR })!;
    const child = foldPiece('C', [
      event('piece.made', 2.25, {
        code: 'C',
        lot: 'L',
        parents: ['P'],
        name: 'Loin',
        form: 'loin',
        grams: 300,
        mass: typed(300, 'g'),
        thicknessMm: null,
        ...NO_CUT,
        board: 5
      }),
      back(2.75)
    ])!;
    expect(secondsOut([parent, child], START + 10 * HOUR)).to.equal(45 * 60);
    const line = withTimeOut([parent, child], [], 1);
    expect(line.map((reading) => reading.celsius)).to.deep.equal([2, OUT_OF_COLD_CELSIUS, OUT_OF_COLD_CELSIUS, 2]);
  });
  it('does not answer a warm reading that came before it', () => {
    const warmBefore = event('cold.read', 1, { reading: celsius(8), place: '' });
    const seen = ask({ ...bonito, events: [warmBefore, opened(2), back(2.2)] }, 8);
    expect(codes(seen)).to.include('clock.warm-unread');
    expect(stateOf(seen, 'raw')).to.equal('not-cleared');
  });
});
