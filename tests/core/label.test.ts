import { expect } from 'chai';
import fc from 'fast-check';
import { brokenPromise, promisesOf } from '../../src/lib/core/codes/promise.ts';
import { labelOf, type LabelData } from '../../src/lib/core/trace/label.ts';
import { ROUTES, stateAt, type Route, type RouteWindow } from '../../src/lib/core/codes/window.ts';
import { bindingWords, labelWords } from '../../src/lib/words/labels.ts';
import { runs } from '../runs.ts';

const NOW = Date.UTC(2026, 2, 13, 12);
const HOUR = 3600_000;
const time = (at: number) => `+${(at - NOW) / HOUR} h`;

type Window = Partial<Omit<RouteWindow, 'route'>>;
const open = (hours: number | null): Window => ({ closes: hours === null ? null : NOW + hours * HOUR });
const NEVER: Window = { never: true };
const MISSING: Window = { missing: true };
const CLOSED: Window = { closes: NOW - HOUR };
const locked = (from: number, until: number): Window => ({ opens: NOW + from * HOUR, closes: NOW + until * HOUR });
const readBy = (hours: number, until: number): Window => ({ ...open(until), proofDue: NOW + hours * HOUR });

/** A label of a piece whose windows stand so; raw's stands for the other raw routes where they are not told. */
function labelWith(
  told: Partial<Record<Route, Window>> & { raw: Window; cooked: Window },
  more: Partial<LabelData> = {}
) {
  const windows = ROUTES.map((route) => {
    const window: RouteWindow = {
      route,
      never: false,
      missing: false,
      opens: null,
      proofDue: null,
      closes: null,
      ...(told[route] ?? told.raw)
    };
    return { ...window, state: stateAt(window, NOW, 2 * 3600) };
  });
  return labelOf({
    code: 'TUR-0313-1-A',
    name: 'Turbot',
    species: ['Turbot'],
    lots: ['TUR-0313-1'],
    grams: 800,
    madeOn: '2026-03-13',
    origins: ['Graywater Landings, wild, FAO 27, caught 2026-03-12'],
    allergens: ['fish'],
    mayHold: [],
    unsaid: [],
    place: 'Drawer 1',
    use: '',
    zone: 'UTC',
    dayEndsHour: 4,
    now: NOW,
    windows,
    ...more
  });
}

/** What binds, for thirty ways a piece may stand. */
const states: [string, Parameters<typeof labelWith>[0], string][] = [
  ['raw and cooked open', { raw: open(20), cooked: open(90) }, 'Raw until +20 h · Cooked until +90 h'],
  ['raw ebbing', { raw: open(1), cooked: open(90) }, 'Use soon: Raw until +1 h · Cooked until +90 h'],
  ['raw open, cooked without an end', { raw: open(20), cooked: open(null) }, 'Raw until +20 h · Cooked'],
  ['both without an end', { raw: open(null), cooked: open(null) }, 'Raw · Cooked'],
  ['raw open, cooked never (an odd rule)', { raw: open(20), cooked: NEVER }, 'Raw until +20 h · Cooked never'],
  ['raw open, cooked closed', { raw: open(20), cooked: CLOSED }, 'Raw until +20 h · Cooked closed'],
  ['raw open, cooked not cleared', { raw: open(20), cooked: MISSING }, 'Raw until +20 h · Cooked not cleared'],
  ['in the freezer', { raw: locked(30, 90), cooked: open(90) }, 'Raw from +30 h until +90 h · Cooked until +90 h'],
  ['in the freezer, no end', { raw: { opens: NOW + 30 * HOUR }, cooked: open(null) }, 'Raw from +30 h · Cooked'],
  ['opens after it closes', { raw: locked(30, 20), cooked: open(90) }, 'COOKED ONLY, until +90 h'],
  ['never raw', { raw: NEVER, cooked: open(90) }, 'COOKED ONLY, until +90 h'],
  ['never raw, cooked without an end', { raw: NEVER, cooked: open(null) }, 'COOKED ONLY'],
  ['never raw, the pan ebbing', { raw: NEVER, cooked: open(1) }, 'Use soon: COOKED ONLY, until +1 h'],
  ['not cleared raw', { raw: MISSING, cooked: open(90) }, 'COOKED ONLY, until +90 h'],
  ['raw closed', { raw: CLOSED, cooked: open(90) }, 'COOKED ONLY, until +90 h'],
  ['raw closed, the pan locked', { raw: CLOSED, cooked: locked(5, 90) }, 'COOKED ONLY, until +90 h'],
  ['puffer: never at all', { raw: NEVER, cooked: NEVER }, 'NOT FOR SERVICE, raw or cooked'],
  ['binned', { raw: CLOSED, cooked: CLOSED }, 'NOT FOR SERVICE, raw or cooked'],
  ['no histamine paper', { raw: MISSING, cooked: MISSING }, 'NOT FOR SERVICE, raw or cooked'],
  ['never raw, closed cooked', { raw: NEVER, cooked: CLOSED }, 'NOT FOR SERVICE, raw or cooked'],
  ['never raw, cooked not cleared', { raw: NEVER, cooked: MISSING }, 'NOT FOR SERVICE, raw or cooked'],
  ['not cleared raw, closed cooked', { raw: MISSING, cooked: CLOSED }, 'NOT FOR SERVICE, raw or cooked'],
  ['to be read again', { raw: readBy(10, 40), cooked: open(90) }, 'Raw until +10 h · Cooked until +90 h'],
  ['to be read again soon', { raw: readBy(1, 40), cooked: open(90) }, 'Use soon: Raw until +1 h · Cooked until +90 h'],
  ['nobody read it in time', { raw: readBy(-1, 40), cooked: open(90) }, 'COOKED ONLY, until +90 h'],
  [
    'nobody read it, nor for the pan',
    { raw: readBy(-1, 40), cooked: readBy(-1, 90) },
    'NOT FOR SERVICE, raw or cooked'
  ],
  ['cured, raw closed', { raw: CLOSED, cured: open(30), cooked: open(90) }, 'Cured until +30 h · Cooked until +90 h'],
  [
    'in acid',
    { raw: CLOSED, cured: CLOSED, acid: open(6), seared: open(6), cooked: open(90) },
    'Acid until +6 h · Cooked until +90 h'
  ],
  [
    'seared alone',
    { raw: CLOSED, cured: CLOSED, acid: CLOSED, seared: open(6), cooked: open(9) },
    'Seared until +6 h · Cooked until +9 h'
  ],
  [
    'cured open now, raw later',
    { raw: locked(5, 90), cured: open(30), cooked: open(90) },
    'Cured until +30 h · Cooked until +90 h'
  ]
];

describe('what a label says first', () => {
  for (const [name, windows, wanted] of states)
    it(`${name}: ${wanted}`, () => {
      expect(bindingWords(labelWith(windows), time)).to.equal(wanted);
    });
  it('has thirty states, and none of them puts a date of the pan beside a raw window as if it were its own', () => {
    expect(states.length).to.equal(30);
    for (const [, windows] of states) {
      const words = labelWords(labelWith(windows), { zone: 'UTC', units: { mass: 'g' } as never });
      expect(Object.values(words).join(' ')).to.not.match(/use by|undefined|null|NaN/i);
    }
  });
  it('names where it came from; of three lots and more the first, and how many beside it', () => {
    const words = (origins: string[]) =>
      labelWords(labelWith({ raw: open(20), cooked: open(90) }, { origins }), {
        zone: 'UTC',
        units: { mass: 'g' } as never
      });
    expect(words(['A, wild']).made).to.equal('Made 13 Mar 2026 · A, wild');
    expect(words(['A', 'B']).made).to.equal('Made 13 Mar 2026 · A; B');
    expect(words(['A', 'B', 'C']).made).to.equal('Made 13 Mar 2026 · A and 2 more');
  });
});

describe('whether a label still holds', () => {
  const window = (more: Partial<RouteWindow>): RouteWindow => ({
    route: 'raw',
    never: false,
    missing: false,
    opens: null,
    proofDue: null,
    closes: null,
    ...more
  });
  const printed = { at: 0, said: promisesOf([window({ closes: 60 * HOUR })], 0) };
  const broken = (more: Partial<RouteWindow>, now = HOUR) => brokenPromise(printed, [window(more)], now);

  it('ends sooner, or is shut: it says more than stands', () => {
    expect(broken({ closes: 30 * HOUR })).to.deep.equal({ route: 'raw', said: 60 * HOUR, until: 30 * HOUR });
    expect(broken({ proofDue: 30 * HOUR })).to.deep.equal({ route: 'raw', said: 60 * HOUR, until: 30 * HOUR });
    expect(broken({ never: true })).to.deep.equal({ route: 'raw', said: 60 * HOUR, until: null });
    expect(broken({ missing: true })?.until).to.equal(null);
    expect(brokenPromise(printed, [], HOUR)?.until).to.equal(null);
    const endless = { at: 0, said: promisesOf([window({})], 0) };
    expect(brokenPromise(endless, [window({ closes: 900 * HOUR })], HOUR)?.until).to.equal(900 * HOUR);
  });
  it('opens later than it says: served by its hour it would go out too early', () => {
    expect(broken({ opens: 5 * HOUR, closes: 60 * HOUR })?.until).to.equal(null);
    const locked = { at: 0, said: promisesOf([window({ opens: 8 * HOUR, closes: 60 * HOUR })], 0) };
    const at = (opens: number) => brokenPromise(locked, [window({ opens: opens * HOUR, closes: 60 * HOUR })], HOUR);
    expect([at(8), at(6)]).to.deep.equal([null, null]);
    expect(at(20)?.route).to.equal('raw');
  });
  it('a little sooner, later, or over anyway: nobody is misled', () => {
    expect(broken({ closes: 58 * HOUR })).to.equal(null);
    expect(broken({ closes: 90 * HOUR })).to.equal(null);
    expect(broken({})).to.equal(null);
    expect(broken({ never: true }, 61 * HOUR)).to.equal(null);
  });
  it('law: while nothing changes but the hour it holds, whatever it said', () => {
    const moment = fc.option(fc.integer({ min: -100, max: 100 }).map((hours) => hours * HOUR));
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            route: fc.constantFrom(...ROUTES),
            never: fc.boolean(),
            missing: fc.boolean(),
            opens: moment,
            proofDue: moment,
            closes: moment
          }),
          { maxLength: 5 }
        ),
        fc.integer({ min: 0, max: 120 }),
        (windows, hours) => {
          const each = windows.filter(({ route }, index) => windows.findIndex((w) => w.route === route) === index);
          expect(brokenPromise({ at: 0, said: promisesOf(each, 0) }, each, hours * HOUR)).to.equal(null);
        }
      ),
      { seed: 20261201, ...runs(1000) }
    );
  });
});
