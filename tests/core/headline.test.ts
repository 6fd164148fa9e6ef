import { expect } from 'chai';
import fc from 'fast-check';
import { headlineOf, holdsBack, wantedRoute } from '../../src/lib/core/rules/headline.ts';
import { combineAll, ROUTES, stateAt, type Route } from '../../src/lib/core/codes/window.ts';
import { headlineWords } from '../../src/lib/words/headline.ts';
import { ask, freezeStart, HOUR, HOUSE, readEvery, START, type Case } from './build.ts';
import { anyCase, anyHour, anyProfile } from './cases.ts';
import { chilled, fullFeed, statement } from './golden.ts';
import { troubleOf } from '../trouble.ts';
import { runs } from '../runs.ts';

const WARN = HOUSE.warnMinutes * 60;
const moment = (at: number) => `h${Math.round((at - START) / HOUR)}`;
const say = (of: Case, hours: number, route: Route) => {
  const judged = ask(of, hours);
  const head = headlineOf(judged, route, START + hours * HOUR, WARN);
  return { ...head, ...headlineWords(head, moment) };
};
const CHAR = { species: 'arctic-char', source: 'farmed', farmSystem: 'land-based', water: 'sea' } as const;

describe('the first line of a piece', () => {
  it('open: until when, and what ends it; nothing to do', () => {
    const open = say({ lot: CHAR, papers: [fullFeed] }, 1, 'raw');
    expect(open.line).to.match(/^Raw: open until h\d+; read it by h\d+$/);
    expect(open.readBy).to.be.lessThan(open.until!);
    expect(open.deciding!.effect.kind).to.be.oneOf(['closes', 'read-by']);
    expect(open.toOpen).to.deep.equal([]);
    expect(open.instead).to.equal('');
  });
  it('not cleared: the first thing missing decides, and all that is missing would open it', () => {
    const shut = say({ lot: { ...CHAR, core: null }, papers: [] }, 1, 'raw');
    expect(shut.line).to.equal('Raw: not cleared');
    expect(shut.deciding!.effect.kind).to.equal('missing');
    expect(shut.toOpen.length).to.be.greaterThan(1);
    expect(new Set(shut.toOpen).size).to.equal(shut.toOpen.length);
  });
  it('locked: from when, and that a reading is needed then', () => {
    const locked = say(
      {
        lot: { species: 'halibut', source: 'wild' },
        papers: [chilled],
        events: [freezeStart(1), ...readEvery(4, 20, 4, -22)]
      },
      20,
      'raw'
    );
    expect(locked.line).to.match(/^Raw: locked until h\d+, then read the core$/);
    expect(locked.deciding!.effect.kind).to.equal('opens');
  });
  it('never: why, no hope, and what it may be instead; a puffer nothing at all', () => {
    const puffer = say({ lot: { species: 'puffer', source: 'wild' }, papers: [] }, 1, 'raw');
    expect(puffer.line).to.equal('Never raw');
    expect(puffer.toOpen).to.deep.equal([]);
    expect(puffer.instead).to.equal('Not for service, raw or cooked.');
    expect(say({ lot: { species: 'puffer', source: 'wild' }, papers: [] }, 1, 'cooked').line).to.equal(
      'Never served, not even cooked'
    );
    const eel = say({ lot: { species: 'eel', source: 'wild' }, papers: [statement(-20, 168)] }, 1, 'raw');
    expect(eel.line).to.equal('Never raw');
    expect(eel.instead).to.match(/^Cooked: /);
  });
  it('closed: since when, and what is left of it', () => {
    const late = say({ lot: { ...CHAR, caughtOn: '2026-02-20' }, papers: [fullFeed] }, 200, 'raw');
    expect(late.line).to.match(/^Raw: closed/);
    expect(late.deciding!.effect.kind).to.equal('closes');
  });
  it('asks for nothing where every route is shut for ever', () => {
    expect(holdsBack(ask({ lot: { species: 'puffer', source: 'wild' }, papers: [] }, 1))).to.deep.equal([]);
    expect(holdsBack(ask({ lot: CHAR, papers: [] }, 1)).length).to.be.greaterThan(0);
  });
  it('speaks of the route a piece lies in, was cut for, or raw', () => {
    const plain = { use: '', inCure: false, inAcid: false, cured: false };
    expect(wantedRoute(plain)).to.equal('raw');
    expect(wantedRoute({ ...plain, cured: true })).to.equal('cured');
    expect(wantedRoute({ ...plain, use: 'sear', cured: true })).to.equal('seared');
    expect(wantedRoute({ ...plain, use: 'stock' })).to.equal('cooked');
    expect(wantedRoute({ ...plain, use: 'raw', inCure: true })).to.equal('cured');
    expect(wantedRoute({ ...plain, use: 'raw', inAcid: true })).to.equal('acid');
  });
  it('refuses a route nobody judged', () => {
    expect(troubleOf(() => headlineOf({ windows: [], reasons: [] }, 'raw', 0, 0)).code).to.equal('form.value-unknown');
  });
  it('law: its state is the window’s, and what decides it does: without it the state is another, or another like it stands', () => {
    fc.assert(
      fc.property(anyCase, anyHour, anyProfile, fc.constantFrom(...ROUTES), (of, hour, profile, route) => {
        const judged = ask(of, hour, profile);
        const at = START + hour * HOUR;
        const head = headlineOf(judged, route, at, WARN);
        const window = judged.windows.find((each) => each.route === route)!;
        expect(head.state).to.equal(stateAt(window, at, WARN));
        expect(headlineWords(head, moment).line).to.not.match(/undefined|NaN|Invalid/);
        // The end it names is the one its window shows.
        if (head.state === 'open' || head.state === 'ebbing') expect(head.until).to.equal(window.closes);
        if (head.state !== 'open' && head.state !== 'ebbing') expect(head.deciding, head.state).to.not.equal(null);
        if (!head.deciding) return;
        const { effect } = head.deciding;
        const without = judged.reasons.filter((each) => each !== head.deciding);
        const alike = without.some(
          ({ effect: other, routes }) =>
            routes.includes(route) &&
            other.kind === effect.kind &&
            ('at' in other && 'at' in effect ? other.at === effect.at : true)
        );
        if (alike) return;
        const left = combineAll(without).find((each) => each.route === route)!;
        expect([left.never, left.missing, left.opens, left.proofDue, left.closes]).to.not.deep.equal([
          window.never,
          window.missing,
          window.opens,
          window.proofDue,
          window.closes
        ]);
      }),
      runs(1000)
    );
  });
  it('law: what is shut for ever or over asks for nothing, and what it may be instead is neither', () => {
    fc.assert(
      fc.property(anyCase, anyHour, anyProfile, fc.constantFrom(...ROUTES), (of, hour, profile, route) => {
        const head = headlineOf(ask(of, hour, profile), route, START + hour * HOUR, WARN);
        if (head.state !== 'never' && head.state !== 'closed') {
          expect(head.instead).to.equal(null);
          return;
        }
        const { instead } = head;
        // Only of what it may still be instead is anything asked.
        for (const { routes } of head.toOpen) expect(routes).to.include(instead!.route);
        if (instead) expect(instead.state).to.not.be.oneOf(['never', 'closed']);
      }),
      runs(500)
    );
  });
});
