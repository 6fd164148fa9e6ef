import { expect } from 'chai';
import { acidNow } from '../../src/lib/core/activity/acid/fold.ts';
import { foldPiece } from '../../src/lib/core/record/piece.ts';
import type { BodyOf } from '../../src/lib/core/record/events.ts';
import { handsQueue } from '../../src/lib/core/service/hands.ts';
import { acidStart, ask, event, HOUR, lineageOf, START } from './build.ts';
import { runGolden, statement, type Golden } from './golden.ts';

const into = (hours: number, more: Partial<BodyOf<'acid.started'>> = {}) =>
  acidStart(hours, 4, {
    ready: { low: 1000, likely: 1800, high: 4000 },
    past: { low: 2000, likely: 3600, high: 8000 },
    ...more
  });
const out = (hours: number) =>
  event('acid.ended', hours, { how: 'drained', massAfter: null, look: 'half', place: '', note: '' });
const papers = [statement(-20, 168)];

const TABLE: Golden[] = [
  {
    name: 'acid is no kill step: never frozen, it stays not cleared',
    of: { events: [into(2), out(3)] },
    at: 4,
    route: 'acid',
    want: 'not-cleared',
    code: 'parasites.not-frozen'
  },
  {
    name: 'frozen before: the acid route is open while it lies in it',
    of: { papers, events: [into(2)] },
    at: 2.5,
    route: 'acid',
    want: 'open',
    code: 'acid.still-raw'
  },
  {
    name: 'in its bath it opens when its look may be there by the fast end of the forecast',
    of: { papers, events: [into(2)] },
    at: 2.2,
    route: 'acid',
    want: 'locked',
    code: 'acid.in-its-bath'
  },
  {
    name: 'a piece cut open moves that moment',
    of: {
      papers,
      events: [
        into(2),
        event('acid.checked', 2.4, {
          rawMm: 8,
          pace: 0.5,
          ready: { low: 3000, likely: 3600, high: 5000 },
          past: null,
          later: null,
          note: ''
        })
      ]
    },
    at: 2.5,
    route: 'acid',
    want: 'locked',
    code: 'acid.in-its-bath'
  },
  {
    name: 'lifted sooner it is theirs to judge: open at once',
    of: { papers, events: [into(2), out(2.1)] },
    at: 2.15,
    route: 'acid',
    want: 'open'
  },
  {
    name: 'where the acid runs out it is said, and nothing waits for it',
    of: { papers, events: [into(2, { ready: null, past: null })] },
    at: 2.2,
    route: 'acid',
    want: 'open',
    code: 'acid.runs-out'
  },
  { name: 'and after it was drained', of: { papers, events: [into(2), out(3)] }, at: 4, route: 'acid', want: 'open' },
  {
    name: 'it is no raw piece any more',
    of: { papers, events: [into(2), out(3)] },
    at: 4,
    want: 'closed',
    code: 'handling.in-acid'
  },
  { name: 'nor a cured one', of: { papers, events: [into(2)] }, at: 2.5, route: 'cured', want: 'closed' },
  {
    name: 'the pan is still open to it',
    of: { papers, events: [into(2), out(3)] },
    at: 4,
    route: 'cooked',
    want: 'open'
  }
];

describe('golden table: acid on the verdict', () => {
  runGolden(TABLE);
  it('a whole fish is dated from the acid on', () => {
    const mark = ask({ papers, lot: { form: 'whole' }, events: [into(2), out(3)] }, 4).reasons.find(
      ({ code }) => code === 'date-mark.day'
    )!;
    expect(mark.seen.preparedAt).to.equal(START + 2 * HOUR);
  });
  it('hands are told when to cut one, and when it is past its best; a cut piece moves both', () => {
    const tasks = (events: ReturnType<typeof into>[], hours: number) => {
      const state = foldPiece('P', lineageOf({ papers, events }).pieces[0]!.events)!;
      const lot = { id: 'L' } as never;
      const piece = { state, lot, windows: [], missing: [], clock: null };
      return { state, tasks: handsQueue([piece], START + hours * HOUR, 7200) };
    };
    expect(tasks([into(2)], 2.1).tasks[0]).to.deep.include({ code: 'acid-ready', at: START + 2.5 * HOUR });
    expect(tasks([into(2)], 3.5).tasks[0]).to.deep.include({ code: 'acid-past', at: START + 3 * HOUR });
    const slower = event('acid.checked', 2.4, {
      rawMm: 8,
      pace: 0.5,
      ready: { low: 3000, likely: 3600, high: 5000 },
      past: null,
      later: null,
      note: ''
    });
    const { state, tasks: after } = tasks([into(2), slower as never], 2.5);
    expect(after[0]).to.deep.include({ code: 'acid-ready', at: START + 3 * HOUR });
    expect(acidNow(state.acids[0]!)).to.deep.include({ pace: 0.5, past: null });
    // Cut again once it is ready: nobody is asked to cut a third, it is to come out.
    const ready = { ready: { low: 3000, likely: 3500, high: 5000 }, past: null, later: null, note: '' };
    const found = event('acid.checked', 3.1, { rawMm: 0.5, pace: 0.5, ...ready });
    const { tasks: last } = tasks([into(2), slower as never, found as never], 3.2);
    expect(last.map(({ code }) => code))
      .to.include('acid-out')
      .and.not.include('acid-ready');
  });
  it('a second look of one run: both times are asked for, then the second alone once the first part is out', () => {
    const later = {
      wanted: 'set' as const,
      ready: { low: 5000, likely: 7200, high: 9000 },
      past: { low: 9000, likely: 14_400, high: 30_000 }
    };
    const tasks = (events: ReturnType<typeof event>[], hours: number) => {
      const state = foldPiece('P', lineageOf({ papers, events }).pieces[0]!.events)!;
      const piece = { state, lot: { id: 'L' } as never, windows: [], missing: [], clock: null };
      return handsQueue([piece], START + hours * HOUR, 7200).map(({ code, at }) => [code, (at - START) / HOUR]);
    };
    const begun = into(2, { later });
    expect(tasks([begun], 2.1)).to.deep.equal([
      ['acid-ready', 2.5],
      ['acid-later', 4]
    ]);
    // The first look is over, but more of it is to stay in: it is not past its best.
    expect(tasks([begun], 3.5)).to.deep.equal([
      ['acid-ready', 2.5],
      ['acid-later', 4]
    ]);
    const lifted = event('acid.lifted', 2.6, {
      child: 'P-1',
      mass: { si: 200, unit: 'g', typed: '200 g' },
      look: 'half',
      note: ''
    });
    expect(tasks([begun, lifted as never], 3)).to.deep.equal([['acid-later', 4]]);
    expect(tasks([begun, lifted as never], 6.5)).to.deep.equal([['acid-past', 6]]);
  });
});
