import { expect } from 'chai';
import fc from 'fast-check';
import { effectiveEvents, standingWithout, unwarranted, versionsThatCount } from '../../src/lib/core/record/amend.ts';
import type { BodyOf, RecordEvent } from '../../src/lib/core/record/events.ts';
import { isWider } from '../../src/lib/core/codes/window.ts';
import {
  ask,
  celsius,
  codes,
  cureStart,
  event,
  freezeRead,
  freezeStart,
  HOUR,
  holdStart,
  inspection,
  kept,
  paper,
  START,
  stateOf
} from './build.ts';
import { fullFeed, runGolden, statement, type Golden } from './golden.ts';
import { runs } from '../runs.ts';

const minute = 1 / 60;
const cold = [statement(-20, 168)];
const frozen = [statement(-20, 168)];
const warm = event('cold.read', 2, { reading: celsius(22), place: '' });
const after = event('cold.read', 5, { reading: celsius(2), place: '' });
const bin = event('piece.discarded', 3, { reason: 'dropped', mass: null });
const tray = holdStart(2);
const back = inspection(1, { likely: 6, decision: 'send-back', reason: 'sour' });

/** An amendment of an entry, some minutes after it was written, by somebody. */
const amend = (
  of: RecordEvent,
  minutes: number,
  more: Partial<BodyOf<'entry.amended'>> = {},
  actor = 'p1'
): RecordEvent =>
  event(
    'entry.amended',
    (of.recorded - START) / HOUR + minutes * minute,
    { amends: of.seq, void: false, happened: null, patch: {}, reason: 'typed wrong', widens: [], ...more },
    { subject: of.subject, actor }
  );
const to = (c: number) => ({ patch: { reading: celsius(c) } });
const struck = { void: true };

const READINGS: Golden[] = [
  {
    name: 'read at 22 °C and cold three hours on: spent',
    of: { papers: cold, events: [warm, after] },
    at: 6,
    want: 'closed'
  },
  {
    name: 'E.10: typed wrong, mended by the same person within ten minutes',
    of: { papers: cold, events: [warm, amend(warm, 9, to(2.2)), after] },
    at: 6,
    want: 'open',
    code: 'record.corrected'
  },
  {
    name: 'E.10: by the same person later: the struck figure stands',
    of: { papers: cold, events: [warm, amend(warm, 11, to(2.2)), after] },
    at: 6,
    want: 'closed',
    code: 'clock.spent'
  },
  {
    name: 'E.10: later by a second person, with a reason',
    of: { papers: cold, events: [warm, amend(warm, 120, to(2.2), 'p2'), after] },
    at: 6,
    want: 'open',
    code: 'record.corrected'
  },
  {
    name: 'E.10: … and without one',
    of: { papers: cold, events: [warm, amend(warm, 120, { ...to(2.2), reason: ' ' }, 'p2'), after] },
    at: 6,
    want: 'closed'
  },
  {
    name: 'E.10: nothing reopens by striking out alone, at once or by whomever',
    of: { papers: cold, events: [warm, amend(warm, 1, struck, 'p2'), after] },
    at: 6,
    want: 'closed'
  },
  {
    name: 'moved to another day by the same person, an hour on',
    of: { papers: cold, events: [warm, amend(warm, 60, { happened: START + 5.9 * HOUR }), after] },
    at: 6,
    want: 'closed'
  },
  {
    name: 'made warmer, and cold again by the same person: what was said between counts',
    of: (() => {
      const first = event('cold.read', 2, { reading: celsius(2), place: '' });
      return { papers: cold, events: [first, amend(first, 30, to(22)), amend(first, 60, to(2)), after] };
    })(),
    at: 6,
    want: 'closed'
  },
  {
    name: 'an amendment that is voided leaves what stood before it, and what it said',
    of: (() => {
      const hotter = amend(after, 30, to(22), 'p2');
      return { papers: cold, events: [after, hotter, amend(hotter, 5, struck, 'p2'), ...kept(12)] };
    })(),
    at: 13,
    want: 'closed'
  },
  {
    name: 'a freezer’s warm core struck out by the same person proves nothing',
    of: (() => {
      const drift = freezeRead(90, -10);
      const reads = Array.from({ length: 18 }, (_, index) => freezeRead(3 + index * 10, -22));
      return { events: [freezeStart(1), ...reads, drift, amend(drift, 20, struck)] };
    })(),
    at: 174,
    want: 'locked'
  }
];

const UNDO: Golden[] = [
  {
    name: 'A13: binned is closed',
    of: { papers: frozen, events: [bin] },
    at: 4,
    want: 'closed',
    code: 'handling.discarded'
  },
  {
    name: 'A13: undone by the same person within two minutes',
    of: { papers: frozen, events: [bin, amend(bin, 1.9, struck)] },
    at: 4,
    want: 'open'
  },
  ...(
    [
      ['a1', 'a1', 'open'],
      ['a1', 'b2', 'closed'],
      ['a1', undefined, 'closed'],
      [undefined, 'b2', 'closed']
    ] as const
  ).map(([there, here, want]): Golden => {
    const body = { reason: 'dropped', mass: null, ...(there ? { tablet: there } : {}) };
    const binned = event('piece.discarded', 3, body);
    const undo = amend(binned, 1.9, { void: true, ...(here ? { tablet: here } : {}) });
    return {
      name: `A13: binned on tablet ${there ?? 'unknown'}, undone on ${here ?? 'unknown'} within two minutes`,
      of: { papers: frozen, events: [binned, undo] },
      at: 4,
      want
    };
  }),
  {
    name: 'A13: by the same person after three',
    of: { papers: frozen, events: [bin, amend(bin, 3, struck)] },
    at: 4,
    want: 'closed',
    code: 'handling.discarded'
  },
  {
    name: 'A13: within two minutes, but something happened to it since',
    of: {
      papers: frozen,
      events: [bin, event('cold.read', 3 + 0.5 * minute, { reading: celsius(2), place: '' }), amend(bin, 1.5, struck)]
    },
    at: 4,
    want: 'closed'
  },
  {
    name: 'A13: later by a second person: open, and it stands on the verdict',
    of: { papers: frozen, events: [bin, amend(bin, 50, struck, 'p2')] },
    at: 4,
    want: 'open',
    code: 'record.taken-back'
  },
  {
    name: 'A13: a tray whose time was up, by whomever',
    of: { papers: frozen, events: [tray, amend(tray, 250, struck, 'p2')] },
    at: 7,
    want: 'closed',
    code: 'time-control.tray'
  },
  {
    name: 'A13: the wrong piece on the tray, put right at once',
    of: { papers: frozen, events: [tray, amend(tray, 1, struck)] },
    at: 7,
    want: 'open'
  },
  {
    name: 'A7: its start mended to 9 °C: the judge looks at it as the door does',
    of: { papers: frozen, events: [tray, amend(tray, 1, { patch: { startCore: celsius(9) } })] },
    at: 2.5,
    want: 'closed',
    code: 'time-control.started-warm'
  },
  {
    name: 'A7: its end mended to ten hours on',
    of: { papers: frozen, events: [tray, amend(tray, 1, { patch: { discardAt: START + 12 * HOUR } })] },
    at: 6.1,
    want: 'closed'
  },
  {
    name: 'A13: a return to the supplier, struck by a second person',
    of: { papers: frozen, events: [back, amend(back, 30, struck, 'p2')] },
    at: 4,
    route: 'cooked',
    want: 'closed',
    code: 'decision.sent-back'
  },
  {
    name: 'A13: a return, and a kinder sheet after it',
    of: { papers: frozen, events: [back, inspection(2, { likely: 1 })] },
    at: 4,
    route: 'cooked',
    want: 'closed'
  }
];

const feedless = paper({ type: 'feed-statement' });
const SLIPS: Golden[] = [
  {
    name: 'a wrong cure struck out is a plain slip: raw is raw again',
    of: (() => {
      const wrong = cureStart(1, 24);
      return { papers: frozen, events: [wrong, amend(wrong, 30, struck)] };
    })(),
    at: 4,
    want: 'open'
  },
  {
    name: 'a farm’s paper given what it does not say, by who put it there, an hour on',
    of: {
      lot: { species: 'turbot', source: 'farmed', farmSystem: 'land-based' },
      papers: [feedless, amend(feedless, 60, { patch: { formulatedFeed: true, raised: true } })]
    },
    at: 4,
    want: 'not-cleared',
    code: 'parasites.no-farm-paper'
  },
  {
    name: '… by a second person who read it',
    of: {
      lot: { species: 'turbot', source: 'farmed', farmSystem: 'land-based' },
      papers: [feedless, amend(feedless, 60, { patch: { formulatedFeed: true, raised: true } }, 'p2')]
    },
    at: 4,
    want: 'open'
  },
  {
    name: 'its paper struck out: the paper is gone',
    of: {
      lot: { species: 'turbot', source: 'farmed', farmSystem: 'land-based' },
      papers: [fullFeed, amend(fullFeed, 60, struck)]
    },
    at: 4,
    want: 'not-cleared'
  }
];

describe('golden verdicts: corrections are judged like first entries', () => {
  for (const table of [READINGS, UNDO, SLIPS]) runGolden(table);
  it('what stands though it was struck says so', () => {
    const seen = ask({ papers: cold, events: [warm, amend(warm, 11, to(2.2)), after] }, 6);
    const spent = seen.reasons.filter(({ code }) => code === 'clock.spent');
    expect(spent.map(({ struck: stands }) => stands)).to.deep.equal([true]);
    expect(codes(seen)).to.include('record.corrected');
    // 4 h 10 min of two hours, as some of it was above 21.1 °C: twice over for the pan as well.
    expect(stateOf(seen, 'cooked')).to.equal('closed');
  });
});

describe('laws of amendments', () => {
  const entries = [
    event('cold.read', 2, { reading: celsius(22), place: '' }),
    event('cold.read', 6, { reading: celsius(2), place: '' }),
    event('piece.discarded', 8, { reason: 'x', mass: null }),
    holdStart(9),
    freezeStart(1),
    freezeRead(30, -24)
  ];
  const amendment = fc
    .record({
      of: fc.constantFrom(...entries),
      minutes: fc.integer({ min: 11, max: 600 }),
      kind: fc.constantFrom('void', 'colder', 'later', 'trivial')
    })
    .map(({ of, minutes, kind }) =>
      amend(
        of,
        minutes,
        kind === 'void'
          ? struck
          : kind === 'later'
            ? { happened: of.happened + 3 * HOUR }
            : { patch: kind === 'colder' ? { reading: celsius(-30), discardAt: START + 99 * HOUR } : { note: 'x' } }
      )
    );
  it('one person alone, past the ten minutes, never widens a window, however many amendments they add', () => {
    fc.assert(
      fc.property(
        fc.subarray(entries),
        fc.array(amendment, { maxLength: 6 }),
        fc.constantFrom('us-fc', 'eu', 'jp'),
        (events, amendments, profile) => {
          const about = amendments
            .filter((each) => each.kind === 'entry.amended' && events.some(({ seq }) => seq === each.body.amends))
            .sort((a, b) => a.recorded - b.recorded)
            .map((each, index) => ({ ...each, seq: 1_000_000 + index }));
          const before = ask({ papers: frozen, events }, 60, profile).windows;
          ask({ papers: frozen, events: [...events, ...about] }, 60, profile).windows.forEach((window, index) => {
            expect(isWider(before[index]!, window), window.route).to.equal(false);
          });
        }
      ),
      runs(800)
    );
  });
  it('every version that was ever said counts once', () => {
    const events = [warm, amend(warm, 20, to(12)), amend(warm, 30, to(2))];
    expect(unwarranted(events)).to.have.length(2);
    expect(standingWithout([5, 9]).map((each) => [...each])).to.deep.equal([[5, 9], [9]]);
    const said = versionsThatCount(events).map((each) => (each.body as { reading: { si: number } }).reading.si);
    expect(said.sort((a, b) => a - b)).to.deep.equal([2, 12, 22]);
    expect(effectiveEvents(events)).to.have.length(1);
  });
});
