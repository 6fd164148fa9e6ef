import { expect } from 'chai';
import fc from 'fast-check';
import { findRoads } from '../../src/lib/core/rules/roads/search.ts';
import type { RoadFreezer } from '../../src/lib/core/rules/roads/steps.ts';
import { ROUTES } from '../../src/lib/core/codes/window.ts';
import { requestLetter, roadLine, stepWords } from '../../src/lib/words/roads.ts';
import { ask, HOUR, HOUSE, lineageOf, START, type Case } from './build.ts';
import { anyCase } from './cases.ts';
import { runs } from '../runs.ts';

const FREEZERS: readonly RoadFreezer[] = [
  { place: 'Chest', airCelsius: -25, airClass: 'still', litres: 200, watts: 80 },
  { place: 'Blast', airCelsius: -38, airClass: 'blast', litres: 100, watts: 800 }
];
const roads = (of: Case, hours: number, route: (typeof ROUTES)[number], ahead: number, freezers = FREEZERS) =>
  findRoads({
    lineages: [lineageOf(of)],
    house: HOUSE,
    now: START + hours * HOUR,
    route,
    by: START + (hours + ahead) * HOUR,
    freezers
  });

describe('roads to an open window', () => {
  it('law: none leads where it is shut for ever or over; each says when, and why it misses; words for every step', () => {
    fc.assert(
      fc.property(
        anyCase,
        fc.integer({ min: 0, max: 240 }),
        fc.constantFrom(...ROUTES),
        fc.integer({ min: 1, max: 200 }),
        (of, hour, route, ahead) => {
          const { state } = ask(of, hour).windows.find((each) => each.route === route)!;
          const found = roads(of, hour, route, ahead);
          const own = found.filter((road) => road.route === route);
          if (state === 'never' || state === 'closed') expect(own).to.deep.equal([]);
          for (const road of found) {
            expect(road.opensAt).to.be.at.least(START + hour * HOUR);
            expect(road.readyAt).to.be.at.least(road.opensAt);
            if (road.misses === null) expect(road.readyAt).to.be.at.most(START + (hour + ahead) * HOUR);
            if (road.route === route && road.steps.length === 0) expect(state).to.be.oneOf(['open', 'ebbing']);
            const words = [
              roadLine(road, START + hour * HOUR),
              ...road.steps.map((step) => stepWords(step, START + hour * HOUR)),
              requestLetter(road, new Map(), { name: 'Test' })
            ].join(' ');
            expect(words).to.not.match(/undefined|NaN|\[object|Infinity/);
          }
          const late = own.map(({ misses }) => Number(misses !== null));
          expect([...late].sort()).to.deep.equal(late);
        }
      ),
      runs(60)
    );
  });
  it('a freezer more never takes a way in time away', () => {
    fc.assert(
      fc.property(anyCase, fc.integer({ min: 0, max: 100 }), fc.integer({ min: 24, max: 200 }), (of, hour, ahead) => {
        const inTime = (all: ReturnType<typeof roads>) =>
          all.some((road) => road.route === 'raw' && road.misses === null);
        if (inTime(roads(of, hour, 'raw', ahead, []))) expect(inTime(roads(of, hour, 'raw', ahead))).to.equal(true);
      }),
      { numRuns: 30 }
    );
  });
});
