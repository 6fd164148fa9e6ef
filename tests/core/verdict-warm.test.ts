import { expect } from 'chai';
import fc from 'fast-check';
import { surfaceShare } from '../../src/lib/core/fish/surface.ts';
import { PLAIN_PLACE } from '../../src/lib/core/activity/cold/bodies.ts';
import type { RecordEvent } from '../../src/lib/core/record/events.ts';
import { contextsOf, foldLineage } from '../../src/lib/core/rules/verdict.ts';
import { spentBy, warmClock } from '../../src/lib/core/activity/cold/hazards/clock.ts';
import { budgetEnd, isLasting, spentAt } from '../../src/lib/core/rules/warmth.ts';
import { isWider } from '../../src/lib/core/codes/window.ts';
import {
  acidStart,
  ask,
  board,
  celsius,
  HOUR,
  HOUSE,
  kept,
  lineageOf,
  listed,
  logged,
  logsOf,
  LOT,
  moved,
  START,
  typed,
  type Case
} from './build.ts';
import { chilled, fullFeed, runGolden, tag, type Golden } from './golden.ts';
import { runs } from '../runs.ts';
import { SPELLS, of, out, papers, tuna, turbot } from './tables/warm-spells.ts';
import { UNKNOWN } from './tables/warm-unknown.ts';
import { cold, minute, read } from './tables/warm.ts';
import { THAWS, TRAYS } from './tables/warm-thaws.ts';

const drawerWith = (peak: number, minutes: number) => (from: readonly number[]) =>
  logsOf({
    Drawer: logged(
      0,
      60,
      (hours) => (from.some((start) => hours >= start && hours < start + minutes / 60) ? peak : 2),
      5
    )
  });
const withGrace = (graceMinutes: number) => ({
  places: { d: { id: 'd', name: 'Drawer', kind: 'drawer' as const, cold: true, ...PLAIN_PLACE, graceMinutes } }
});
const often = Array.from({ length: 26 }, (_, index) => 1 + 2 * index);
const LOGS: Golden[] = [
  {
    name: 'a drawer that stands open for ten minutes every two hours, up to 7 °C: the face of the fish stays cold',
    of: {
      lot: { ...turbot, thickness: typed(30, 'mm') },
      papers,
      events: [moved(0.5, 'Drawer')],
      logs: drawerWith(7, 10)(often)
    },
    at: 50,
    house: withGrace(30),
    want: 'open'
  },
  {
    name: '… up to 30 °C it does not',
    of: { lot: turbot, papers, events: [moved(0.5, 'Drawer')], logs: drawerWith(30, 10)(often) },
    at: 50,
    house: withGrace(30),
    want: 'closed'
  },
  {
    name: '… and forty minutes are no door, however long the house allows it',
    of: { lot: turbot, papers, events: [moved(0.5, 'Drawer')], logs: drawerWith(7, 40)(often) },
    at: 50,
    house: withGrace(600),
    want: 'closed'
  },
  {
    name: 'three warm stretches of the log, two hours each',
    of: { lot: turbot, papers, events: [moved(0.5, 'Drawer')], logs: drawerWith(9, 120)([3, 10, 17]) },
    at: 20,
    want: 'closed'
  },
  {
    name: 'a core read warm in a drawer that was cold until then: the line begins there',
    of: { lot: turbot, papers, events: [moved(0.5, 'Drawer'), read(30, 7), read(31, 2)], logs: drawerWith(2, 0)([]) },
    at: 32,
    want: 'open'
  }
];

// By the slab in 21.1 °C (10 W/m²K, 30 mm): from 2 °C the face passes 5 °C after 8 min.
const BOARDS: Golden[] = [
  {
    name: 'thirty boards of six minutes with cold cores before and after spend nothing',
    of: of(
      Array.from({ length: 30 }, (_, index) =>
        board(1 + index * 0.3, 1.1 + index * 0.3, { start: cold, end: cold })
      ).flat()
    ),
    at: 12,
    want: 'open',
    code: 'clock.read-by'
  },
  {
    name: 'fifty of six minutes without a core spend five hours',
    of: of(Array.from({ length: 50 }, (_, index) => board(1 + index * 0.2, 1.1 + index * 0.2)).flat()),
    at: 12,
    want: 'closed'
  },
  {
    name: 'long ones spend all of themselves, cold cores or not',
    of: of([1, 4, 7].flatMap((from) => board(from, from + 1.5, { start: cold, end: cold }))),
    at: 12,
    want: 'closed'
  },
  {
    name: 'A20: acid at 25 °C spends two hours of two',
    of: of([acidStart(1, 25)]),
    at: 3.1,
    route: 'acid',
    want: 'closed',
    code: 'clock.spent'
  },
  { name: 'A20: acid at 4 °C spends none', of: of([acidStart(1, 4)]), at: 3.1, route: 'acid', want: 'open' }
];

const oyster: Case['lot'] = { species: 'oyster', form: 'live', core: null };
const LIVE: Golden[] = [
  {
    name: 'A5: nobody read the air round live oysters',
    of: { lot: oyster, papers: [tag] },
    at: 1,
    want: 'not-cleared',
    code: 'temperature.air-not-taken'
  },
  {
    name: 'A5: US 3-202.11: air of 7.2 °C',
    of: { lot: { ...oyster, air: celsius(7.2) }, papers: [tag] },
    at: 1,
    want: 'open'
  },
  {
    name: 'A5: US: air of 7.3 °C',
    of: { lot: { ...oyster, air: celsius(7.3) }, papers: [tag] },
    at: 1,
    want: 'not-cleared',
    code: 'temperature.arrived-warm'
  },
  {
    name: 'A5: US: exactly 45 °F in its own scale (7.22 °C)',
    of: { lot: { ...oyster, air: typed(65 / 9, 'F', '45 F') }, papers: [tag] },
    at: 1,
    want: 'open'
  },
  {
    name: 'A5: 3-501.14(C): in air of 6 °C, and not at 5 within four hours',
    of: { lot: { ...oyster, air: celsius(6) }, papers: [tag] },
    at: 4.1,
    want: 'not-cleared'
  },
  {
    name: 'A5: … in a box that is',
    of: {
      lot: { ...oyster, air: celsius(6) },
      papers: [tag],
      events: [moved(0.5, 'Drawer')],
      logs: logsOf({ Drawer: logged(0, 10, 4) })
    },
    at: 6,
    want: 'open'
  },
  {
    name: 'A5: EU: alive, in air of 9 °C',
    of: { lot: { ...oyster, air: celsius(9) }, papers: [tag] },
    at: 6,
    profile: 'eu',
    want: 'open',
    code: 'temperature.arrived-alive'
  },
  {
    name: 'A5: a tag without its waters is no tag',
    of: {
      lot: { ...oyster, air: celsius(5) },
      papers: [{ ...tag, body: { ...tag.body, harvestArea: '' } } as RecordEvent]
    },
    at: 1,
    want: 'not-cleared',
    code: 'shellfish.tag-incomplete'
  },
  {
    name: 'A8: scallops in the shell need one as well',
    of: { lot: { species: 'scallop', form: 'shell-on' } },
    at: 1,
    want: 'not-cleared',
    code: 'shellfish.no-tag'
  },
  { name: 'A8: the muscle alone does not', of: { lot: { species: 'scallop', form: 'shucked' } }, at: 1, want: 'open' }
];

describe('golden verdicts: time that adds up', () => {
  const all = [SPELLS, UNKNOWN, LOGS, BOARDS, TRAYS, THAWS, LIVE];
  it('are many', () => expect(all.flat().length).to.be.greaterThan(55));
  for (const table of all) runGolden(table);
});

describe('the face of fish out of the cold', () => {
  it('warms by the wall with a surface resistance: early like a thick one, thin ones through', () => {
    // Lumped limit, Bi 0.05: 1 - exp(-h t / (ρ c L)), 5 mm half, 1 h: 1 - exp(-10 · 3600 / (3.798e6 · 0.0025)) = 0.977.
    expect(surfaceShare(3600, 5, 10)).to.be.closeTo(0.977, 0.005);
    // Half-infinite, x = h √(a t) / k = 0.1764: 1 - exp(x²) erfc(x) = 0.1709.
    expect(surfaceShare(600, 300, 10)).to.be.closeTo(0.1709, 0.003);
  });
  it('rises with time and heat transfer, falls with thickness, and has no step where the two laws meet', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40_000 }),
        fc.integer({ min: 4, max: 200 }),
        fc.integer({ min: 5, max: 60 }),
        (s, mm, h) => {
          const here = surfaceShare(s, mm, h);
          expect(here).to.be.within(0, 1);
          expect(surfaceShare(s * 1.01, mm, h)).to.be.within(here - 2e-4, here + 0.02);
          expect(surfaceShare(s, mm * 1.05, h)).to.be.at.most(here + 2e-4);
          expect(surfaceShare(s, mm, h * 1.05)).to.be.at.least(here - 2e-4);
        }
      ),
      runs(1000)
    );
  });
});

describe('laws of the cumulative clock', () => {
  const step = fc.record({
    kind: fc.constantFrom('cold', 'warm', 'hot', 'out', 'in', 'lost', 'board'),
    after: fc.integer({ min: 1, max: 600 })
  });
  /** A story of minutes: readings, stays on the pass, in the drawer, and behind the stove. */
  const story = (steps: readonly { kind: string; after: number }[]): RecordEvent[] => {
    let hours = 0;
    return steps.flatMap(({ kind, after }) => {
      hours += after / 60;
      if (kind === 'cold') return [read(hours, 2)];
      if (kind === 'warm') return [read(hours, 9)];
      if (kind === 'hot') return [read(hours, 24)];
      if (kind === 'out') return [out(hours)];
      if (kind === 'in') return [moved(hours, 'Drawer')];
      if (kind === 'lost') return [moved(hours, 'Somewhere')];
      return board(hours, hours + 0.2);
    });
  };
  const stories = fc.array(step, { maxLength: 14 }).map(story);
  const clockOf = (events: RecordEvent[], hours: number) => {
    const at = START + hours * HOUR;
    const folded = foldLineage(lineageOf(of(events)), at, Infinity);
    return warmClock(contextsOf({ ...folded, house: HOUSE, at, knownAt: at })[0]!);
  };
  const profiles = fc.constantFrom('us-fc', 'eu', 'jp');
  const lots = fc.constantFrom<Case>({ lot: turbot, papers }, { lot: { ...tuna }, papers: [chilled] });

  it('what is spent is never given back: as time goes on it only grows', () => {
    fc.assert(
      fc.property(
        stories,
        fc.integer({ min: 0, max: 200 }),
        fc.integer({ min: 1, max: 100 }),
        (events, hours, later) => {
          const before = spentBy(clockOf(events, hours).spells, START + hours * HOUR);
          // What nobody has read the end of is no knowledge yet; what is known stays spent.
          const known = clockOf(events, hours).spells.filter((spell) => !isLasting(spell));
          const after = spentBy(clockOf(events, hours + later).spells, START + (hours + later) * HOUR);
          expect(after).to.be.at.least(spentBy(known, START + hours * HOUR) - 1e-6);
          expect(before).to.be.at.least(0);
        }
      ),
      runs(600)
    );
  });
  it('a cold reading never gives anything back', () => {
    fc.assert(
      fc.property(stories, lots, profiles, fc.integer({ min: 1, max: 120 }), (events, base, profile, hour) => {
        const hours = 150;
        const read0 = [...events, ...kept(hours)];
        const before = ask({ ...base, events: read0 }, hours, profile).windows;
        // Beside the story's own readings, and beside a warm one in the same minute.
        const cooler = events
          .filter((each) => each.kind === 'cold.read' && each.body.reading.si > 5)
          .map((each) => read((each.happened - START) / HOUR + 0.2 * minute, 0));
        ask({ ...base, events: [...read0, ...cooler] }, hours, profile).windows.forEach((window, index) => {
          expect(isWider(before[index]!, window), `${window.route} ${hour}`).to.equal(false);
        });
      }),
      runs(600)
    );
  });
  it('a stay out of the cold, a warm reading, a place nobody knows never widen', () => {
    const worse = fc
      .record({ kind: fc.constantFrom('hot', 'lost', 'out'), at: fc.integer({ min: 0, max: 7000 }) })
      .map(({ kind, at }) =>
        kind === 'hot' ? [read(at / 60, 30)] : [kind === 'out' ? out(at / 60) : moved(at / 60, 'Somewhere')]
      );
    fc.assert(
      fc.property(stories, lots, profiles, worse, (events, base, profile, more) => {
        const hours = 150;
        const before = ask({ ...base, events: [...events, ...kept(hours)] }, hours, profile).windows;
        ask({ ...base, events: [...events, ...kept(hours), ...more] }, hours, profile).windows.forEach(
          (window, index) => {
            expect(isWider(before[index]!, window), window.route).to.equal(false);
          }
        );
      }),
      runs(600)
    );
  });
  it('a stay that begins on the board leaves no moment of cold between them', () => {
    const told = (more: readonly RecordEvent[]) =>
      ask({ lot: turbot, papers: [fullFeed], events: [...board(minute, 13 * minute), ...kept(150), ...more] }, 150)
        .windows;
    const before = told([]);
    for (const more of [out(2 * minute), moved(2 * minute, 'Somewhere'), out(12 * minute)])
      told([more]).forEach((window, index) => expect(isWider(before[index]!, window), window.route).to.equal(false));
  });
  it('a probe read in a place nobody knows says nothing of the board after it', () => {
    const told = (more: readonly RecordEvent[]) =>
      ask({ lot: turbot, papers: [fullFeed], events: [...more, read(1 / 60, 2), ...board(2 / 60, 14 / 60)] }, 5)
        .windows[0]!;
    expect(isWider(told([]), told([moved(0, 'Somewhere')]))).to.equal(false);
    expect(told([moved(0, 'Somewhere')]).closes!).to.be.lessThan(told([]).closes!);
  });
  it('windows do not depend on when they are asked, once all of it has happened', () => {
    fc.assert(
      fc.property(stories, lots, profiles, fc.integer({ min: 1, max: 400 }), (events, base, profile, later) => {
        const ends = (hours: number) =>
          ask({ ...base, events }, hours, profile).windows.map(({ opens, closes, proofDue }) => [
            opens,
            closes,
            proofDue
          ]);
        expect(ends(160 + later)).to.deep.equal(ends(160));
      }),
      runs(400)
    );
  });
  it('a piece is never open while more than its budget is known to be spent', () => {
    fc.assert(
      fc.property(stories, fc.integer({ min: 1, max: 160 }), (events, hours) => {
        const clock = clockOf(events, hours);
        const spent = spentBy(clock.spells, START + hours * HOUR);
        const raw = ask(of(events), hours).windows[0]!.state;
        if (spent > clock.budgetSeconds + 1e-6) expect(raw).to.be.oneOf(['closed', 'not-cleared']);
      }),
      runs(600)
    );
  });
  it('a budget ends where overlaps count once, and a silence that lasts is no end', () => {
    const hour = (from: number, to: number, cause: 'out' | 'silence' = 'out') => ({
      from: from * HOUR,
      to: to * HOUR,
      cause,
      seq: 1
    });
    expect(spentAt([hour(0, 3), hour(2, 5)], 4 * 3600)).to.equal(4 * HOUR);
    expect(spentAt([hour(0, 2), hour(3, 5)], 4 * 3600)).to.equal(null);
    expect(budgetEnd([hour(0, 1), hour(10, Infinity, 'silence')], 4 * 3600)).to.deep.equal({
      closes: null,
      readBy: 13 * HOUR
    });
    expect(budgetEnd([hour(0, 9), hour(10, Infinity, 'silence')], 4 * 3600)).to.deep.equal({
      closes: 4 * HOUR,
      readBy: null
    });
  });
  it('places are asked for by their name on the house’s list', () => {
    expect(listed('A').coldSpans[0]!.name).to.equal('A');
    expect(LOT.pack).to.equal('none');
  });
});
