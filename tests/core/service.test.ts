import { expect } from 'chai';
import fc from 'fast-check';
import { searchSpecies } from '../../src/lib/core/fish/search.ts';
import { relativeSpoilage } from '../../src/lib/core/fish/freshness.ts';
import { SPECIES, speciesById, speciesCalled } from '../../src/lib/core/fish/species.ts';
import { US_FC } from '../../src/lib/core/codes/profiles/us-fc.ts';
import { combineAll, isWider, stateAt, type RouteWindow } from '../../src/lib/core/codes/window.ts';
import { dateMarkEnd, discardTime, secondsAbove } from '../../src/lib/core/rules/clocks.ts';
import {
  addDays,
  businessDay,
  businessDayEnd,
  readInstant,
  wallText,
  wallTime
} from '../../src/lib/core/measure/day.ts';
import { handsQueue } from '../../src/lib/core/service/hands.ts';
import { foldLineage, judge } from '../../src/lib/core/rules/verdict.ts';
import { frame, water } from '../../src/lib/ui/charts/tide.ts';
import { moment, until, wallInput } from '../../src/lib/words/say.ts';
import { heard } from '../speaking.ts';
import { startWith } from '../../src/lib/ui/units.ts';
import { HOUR, HOUSE, START, cureStart, freezeRead, freezeStart, holdStart, lineageOf, type Case } from './build.ts';
import { troubleOf } from '../trouble.ts';

const oslo = { zone: 'Europe/Oslo', dayEndsHour: 4 };

describe('the house’s days', () => {
  it('the night belongs to the evening before', () => {
    expect(businessDay(Date.parse('2026-03-14T02:59:00Z'), oslo)).to.equal('2026-03-13');
    expect(businessDay(Date.parse('2026-03-14T03:00:00Z'), oslo)).to.equal('2026-03-14');
  });
  it('a day ends at four on the wall on the nights the clocks change', () => {
    // Clocks go forward on 29 March 2026 and back on 25 October 2026.
    expect(new Date(businessDayEnd('2026-03-28', oslo)).toISOString()).to.equal('2026-03-29T02:00:00.000Z');
    expect(new Date(businessDayEnd('2026-10-24', oslo)).toISOString()).to.equal('2026-10-25T03:00:00.000Z');
  });
  it('a wall time that comes twice is taken early, one that never comes moves on', () => {
    expect(new Date(wallTime('2026-10-25', 2, 30, 'Europe/Oslo')).toISOString()).to.equal('2026-10-25T00:30:00.000Z');
    expect(new Date(wallTime('2026-03-29', 2, 30, 'Europe/Oslo')).toISOString()).to.equal('2026-03-29T01:30:00.000Z');
  });
  it('reads wall times of the house and instants with an offset', () => {
    expect(readInstant('2026-07-01T18:00', 'Europe/Oslo')).to.equal(Date.UTC(2026, 6, 1, 16));
    expect(readInstant('2026-07-01T18:00:00+09:00', 'Europe/Oslo')).to.equal(Date.UTC(2026, 6, 1, 9));
    expect(wallText(Date.UTC(2026, 6, 1, 16), 'Europe/Oslo')).to.equal('2026-07-01T18:00');
    expect(troubleOf(() => readInstant('yesterday', 'UTC', 'at')).details.field).to.equal('at');
    expect(troubleOf(() => businessDay(0, { zone: 'Vess/Mouth', dayEndsHour: 4 })).code).to.equal('time.zone-unknown');
  });
  it('days follow one another over months and leap years', () => {
    expect(addDays('2028-02-28', 1)).to.equal('2028-02-29');
    expect(addDays('2026-12-31', 1)).to.equal('2027-01-01');
  });
});

describe('clocks', () => {
  const four = US_FC.timeControls.find(({ id }) => id === '4h')!;
  it('a tray starts at 41 °F and not at 41.1 °F; at 5.0 °C and not at 5.1 °C', () => {
    const fahrenheit = (f: number) => ({ celsius: ((f - 32) * 5) / 9, unit: 'F' });
    expect(discardTime(0, fahrenheit(41), four)).to.equal(4 * HOUR);
    expect(troubleOf(() => discardTime(0, fahrenheit(41.1), four)).details).to.include({ unit: '°F', max: 41 });
    expect(discardTime(0, { celsius: 5, unit: 'C' }, four)).to.equal(4 * HOUR);
    expect(troubleOf(() => discardTime(0, { celsius: 5.1, unit: 'C' }, four)).code).to.equal('quantity.out-of-range');
  });
  it('the day of preparation is day 1, and whole frozen days do not count', () => {
    const end = (frozen: number) =>
      new Date(dateMarkEnd(START, 7, frozen, { zone: 'UTC', dayEndsHour: 4 })).toISOString();
    expect(end(0)).to.equal('2026-03-16T04:00:00.000Z');
    expect(end(86_399)).to.equal('2026-03-16T04:00:00.000Z');
    expect(end(86_400)).to.equal('2026-03-17T04:00:00.000Z');
  });
  it('time above a limit is exact at the crossing, and adds up over any cut of the log', () => {
    const four = { c: 4, f: 39.2 };
    const log = [
      { at: 0, celsius: 0 },
      { at: HOUR, celsius: 8 },
      { at: 2 * HOUR, celsius: 8 },
      { at: 3 * HOUR, celsius: 2 }
    ];
    expect(secondsAbove(log, four)).to.be.closeTo(1800 + 3600 + 2400, 1e-9);
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 2 }), (cut) => {
        expect(secondsAbove(log.slice(0, cut + 1), four) + secondsAbove(log.slice(cut), four)).to.be.closeTo(
          secondsAbove(log, four),
          1e-9
        );
      })
    );
    expect(troubleOf(() => secondsAbove([...log].reverse(), four)).code).to.equal('time.out-of-order');
  });
  it('a reading is held against the limit of its own scale: 40 °F is 4.44 °C, and not 4.4', () => {
    const limit = { c: 4.4, f: 40 };
    const atForty = (unit: string) => [0, HOUR].map((at) => ({ at, celsius: 40 / 9, unit }));
    expect(secondsAbove(atForty('F'), limit)).to.equal(0);
    expect(secondsAbove(atForty('C'), limit)).to.equal(3600);
  });
  it('spoils twice and a quarter as fast at 5 °C as on ice, faster in tropical fish', () => {
    expect(relativeSpoilage(0, 'temperate')).to.equal(1);
    expect(relativeSpoilage(5, 'temperate')).to.equal(2.25);
    expect(relativeSpoilage(10, 'tropical')).to.be.closeTo(Math.exp(1.2), 1e-12);
    expect(troubleOf(() => relativeSpoilage(40, 'temperate')).details.field).to.equal('temperature');
  });
});

describe('windows', () => {
  const window = (more: Partial<RouteWindow>): RouteWindow => ({
    route: 'raw',
    never: false,
    missing: false,
    opens: null,
    proofDue: null,
    closes: null,
    ...more
  });
  it('reads each of the six states off its change-points', () => {
    const ask = (more: Partial<RouteWindow>, at: number) => stateAt(window(more), at * HOUR, 3600);
    expect(ask({ never: true, closes: 0 }, 1)).to.equal('never');
    expect(ask({ closes: HOUR }, 1)).to.equal('closed');
    expect(ask({ closes: 3 * HOUR }, 1)).to.equal('open');
    expect(ask({ closes: 3 * HOUR }, 2.5)).to.equal('ebbing');
    expect(ask({ missing: true }, 1)).to.equal('not-cleared');
    expect(ask({ opens: 2 * HOUR }, 1)).to.equal('locked');
    expect(ask({ opens: 2 * HOUR, proofDue: 2 * HOUR }, 2)).to.equal('not-cleared');
    expect(ask({ opens: 5 * HOUR, closes: 4 * HOUR }, 1)).to.equal('closed');
    expect(ask({}, 1)).to.equal('open');
  });
  it('combines by the strictest', () => {
    const base = {
      code: '',
      hazard: '',
      rule: { profile: '', rule: '', citation: '', check: false },
      evidence: [],
      seen: {},
      wouldChange: null
    };
    const routes = ['raw' as const];
    const [out] = combineAll([
      { ...base, routes, effect: { kind: 'opens', at: 5, needsProof: false } },
      { ...base, routes, effect: { kind: 'opens', at: 9, needsProof: false } },
      { ...base, routes, effect: { kind: 'closes', at: 40 } },
      { ...base, routes, effect: { kind: 'closes', at: 30 } },
      { ...base, routes: ['acid' as const], effect: { kind: 'never' } }
    ]);
    expect(out).to.include({ opens: 9, closes: 30, never: false, missing: false });
  });
  it('knows what is wider', () => {
    expect(isWider(window({ missing: true }), window({ closes: 5 }))).to.equal(true);
    expect(isWider(window({ closes: 5 }), window({ closes: 6 }))).to.equal(true);
    expect(isWider(window({ opens: 3 }), window({ opens: 4 }))).to.equal(false);
    expect(isWider(window({ closes: 5 }), window({ never: true }))).to.equal(false);
    expect(isWider(window({ closes: 5 }), window({ closes: 5 }))).to.equal(false);
  });
});

describe('species', () => {
  it('are found by market names in other tongues, with slips and without accents', () => {
    const first = (text: string) => searchSpecies(text)[0]?.id;
    expect(first('iwashi')).to.equal('sardine');
    expect(first('arctic chr')).to.equal('arctic-char');
    expect(first('rodaballo')).to.equal('turbot');
    expect(first('omble chevalier')).to.equal('arctic-char');
    expect(searchSpecies('  ')).to.deep.equal([]);
  });
  it('a name that several answer to gives all of them', () => {
    expect(speciesCalled('SNAPPER').map(({ id }) => id)).to.have.members(['sea-bream', 'snapper', 'rockfish']);
    expect(speciesCalled('sea bass').length).to.be.greaterThan(1);
  });
  it('have one id each and figures that can be', () => {
    expect(new Set(SPECIES.map(({ id }) => id)).size).to.equal(SPECIES.length);
    for (const { iceDays, yieldShare, scientific } of SPECIES) {
      expect(iceDays).to.be.within(1, 30);
      expect(scientific.length).to.be.greaterThan(0);
      if (yieldShare) expect(yieldShare[0]).to.be.at.most(yieldShare[1]);
    }
    expect(troubleOf(() => speciesById('kraken')).code).to.equal('species.unknown');
  });
});

const projected = (of: Case, hours: number) => {
  const at = START + hours * HOUR;
  const folded = foldLineage(lineageOf(of), at, at);
  const { windows, reasons } = judge({ ...folded, house: HOUSE, at, knownAt: at });
  const missing = reasons.filter(({ effect }) => effect.kind === 'missing').map(({ code }) => code);
  return [{ state: folded.chain[0]!, lot: folded.lot, windows, missing, clock: null }];
};

describe('what needs hands', () => {
  const queue = (of: Case, hours: number) => handsQueue(projected(of, hours), START + hours * HOUR, 7200);
  it('a tray before anything later', () => {
    const tasks = queue({ events: [cureStart(1, 30), holdStart(2)] }, 3);
    expect(tasks.map(({ code }) => code).indexOf('tray-discard')).to.be.lessThan(
      tasks.map(({ code }) => code).indexOf('cure-due')
    );
  });
  it('a fish with every window closed wants a decision, whatever closed them', () => {
    const { state, lot, windows } = projected({ events: [] }, 1)[0]!;
    const as = (shape: (window: RouteWindow) => RouteWindow) =>
      handsQueue([{ state, lot, windows: windows.map(shape), missing: [], clock: null }], START + 30 * HOUR, 7200);
    const shut = (window: RouteWindow): RouteWindow => ({ ...window, opens: 0, missing: false, never: true });
    const spent = (window: RouteWindow): RouteWindow => ({ ...window, opens: 0, missing: false, closes: START });
    for (const each of [shut, spent, (one: RouteWindow) => (one.route === 'cooked' ? spent(one) : shut(one))]) {
      expect(as(each).map(({ code }) => code)).to.include('leftover-closed');
    }
    // One that may still open, by a paper or by cooking, is nothing to decide yet.
    const cooks = (one: RouteWindow): RouteWindow =>
      one.route === 'cooked' ? { ...spent(one), closes: null } : shut(one);
    expect(as(cooks).map(({ code }) => code)).to.not.include('leftover-closed');
  });
  it('a freezer run asks for its reading and its proof, and for no paper meanwhile', () => {
    const tasks = queue({ events: [freezeStart(1), freezeRead(3, -22)] }, 4);
    expect(tasks.find(({ code }) => code === 'freeze-reading')!.at).to.equal(START + 11 * HOUR);
    expect(tasks.find(({ code }) => code === 'freeze-proof')!.at).to.equal(START + 171 * HOUR);
    expect(tasks.some(({ code }) => code === 'paper-missing')).to.equal(false);
  });
  it('while a logger speaks nobody has to read the freezer; once it is silent somebody has', () => {
    const of = { events: [freezeStart(1), freezeRead(3, -22)] };
    const asked = (spoke: number) =>
      handsQueue(projected(of, 8), START + 8 * HOUR, 7200, new Map([['Chest', START + spoke * HOUR]])).map(
        ({ code }) => code
      );
    expect(asked(6)).to.not.include('freeze-reading');
    expect(asked(5.9)).to.include('freeze-reading');
  });
  it('a missing paper waits, a piece past all its windows wants a decision', () => {
    expect(queue({}, 1).map(({ code }) => code)).to.include('paper-missing');
    const old = queue({ lot: { species: 'yellowfin', source: 'wild' } }, 400);
    expect(old.map(({ code }) => code)).to.include('paper-missing');
  });
});

describe('the tide chart’s geometry', () => {
  const of = frame(START, 'days', 0, 200, 1000);
  it('puts earlier to the left and comes back from a place to its time', () => {
    expect(of.x(of.from)).to.equal(200);
    expect(of.x(of.to)).to.equal(1000);
    expect(of.invert(of.x(START))).to.be.closeTo(START, 1000);
  });
  it('draws no water where nothing opens, and water only between opening and closing', () => {
    const base = {
      route: 'raw' as const,
      never: false,
      missing: false,
      opens: START,
      proofDue: null,
      closes: START + 10 * HOUR
    };
    expect(water({ ...base, missing: true }, START, of, 0, 40, 3600)).to.equal('');
    expect(water({ ...base, never: true }, START, of, 0, 40, 3600)).to.equal('');
    expect(water({ ...base, closes: START - 1 }, START, of, 0, 40, 3600)).to.equal('');
    const path = water(base, START - 90 * HOUR, of, 0, 40, 3600);
    const xs = [...path.matchAll(/[ML,C](-?[\d.]+),/g)].map(([, x]) => Number(x)).filter(Number.isFinite);
    expect(Math.min(...xs)).to.be.closeTo(of.x(START), 0.6);
    expect(path).to.not.contain('NaN');
  });
});

describe('starting figures of a field', () => {
  it('stand in the unit the house likes', () => {
    const metric = { mass: 'g', temperature: 'C', length: 'mm', volume: 'ml' } as const;
    expect(startWith('temperature', -25)).to.deep.equal(['-25', '°C']);
    expect(heard({ units: { ...metric, temperature: 'F' } }, () => startWith('temperature', -25))).to.deep.equal([
      '-13',
      '°F'
    ]);
    expect(heard({ units: { ...metric, length: 'in' } }, () => startWith('length', 70))).to.deep.equal(['2.76', 'in']);
  });
});

describe('moments in words', () => {
  it('says the time today, the weekday this week, the date beyond', () => {
    expect(moment(START + HOUR, START)).to.equal('13:00');
    expect(moment(START + 26 * HOUR, START)).to.equal('Tue 14:00');
    expect(moment(START + 240 * HOUR, START)).to.equal('19 Mar');
    expect(heard({ zone: 'Europe/Oslo' }, () => wallInput(START))).to.equal('2026-03-09T13:00');
  });
  it('gets coarser the further off, and says how late', () => {
    expect(until(START + 33 * 60_000, START)).to.equal('in 33 min');
    expect(until(START - 5.6 * HOUR, START)).to.equal('6 h late');
    expect(until(START + 100 * HOUR, START)).to.equal('in 4 d');
  });
});
