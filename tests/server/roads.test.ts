import { expect } from 'chai';
import type { App } from '../../src/lib/server/app.ts';
import { pieceView } from '../../src/lib/server/views/piece.ts';
import { nextWanted, roadsAsked, roadsView } from '../../src/lib/server/views/roads.ts';
import { paperSaying, type Road, type RoadStep } from '../../src/lib/core/rules/roads/steps.ts';
import type { Route } from '../../src/lib/core/codes/window.ts';
import { businessDay } from '../../src/lib/core/measure/day.ts';
import { roadLine, stepWords } from '../../src/lib/words/roads.ts';
import { CURE, THAW } from './into.ts';
import { CHAR, openTestHouse, type TestHouse } from './house.ts';

const HOUR = 3_600_000;
const SIDE = {
  form: 'fillet',
  commercial: 'yes',
  supplier: 'Kelda Bay Boats',
  mass: '2 kg',
  thickness: '28 mm',
  core: '1 C'
};
const CASES: Record<
  string,
  { lot: object; papers?: object[]; ways: string[]; route?: Route; before?: (house: TestHouse, piece: string) => void }
> = {
  'a farmed char without its paper': { lot: CHAR, ways: ['paper', 'freeze'] },
  'a farmed char whose paper says half': {
    lot: CHAR,
    papers: [{ type: 'feed-statement', issuer: 'Skarnes Tank Farm', formulatedFeed: 'on' }],
    ways: ['paper', 'freeze']
  },
  'a wild halibut': { lot: { ...SIDE, species: 'halibut', source: 'wild', caughtOn: '2026-03-08' }, ways: ['freeze'] },
  'a wild bonito of which nobody knows the day': {
    lot: { ...SIDE, species: 'atlantic-bonito', source: 'wild' },
    ways: ['fact', 'paper', 'freeze']
  },
  'a mackerel that came frozen': {
    lot: { ...SIDE, species: 'atlantic-mackerel', source: 'wild', caughtOn: '2026-03-01', frozen: 'on', core: '-20 C' },
    ways: ['paper', 'freeze']
  },
  'an oyster without its tag': {
    lot: {
      ...SIDE,
      species: 'oyster',
      source: 'wild',
      form: 'live',
      thickness: '',
      core: '',
      air: '4 C',
      caughtOn: '2026-03-08'
    },
    ways: ['paper']
  },
  'a char that lies in its cure': {
    lot: CHAR,
    papers: [{ type: 'feed-statement', issuer: 'Skarnes Tank Farm', formulatedFeed: 'on', raised: 'on' }],
    route: 'cured',
    ways: ['take-out'],
    before: (house, piece) => void house.done('start-cure', { ...CURE, piece, place: 'Drawer 1' })
  },
  'a mackerel that thaws': {
    lot: { ...SIDE, species: 'atlantic-mackerel', source: 'wild', caughtOn: '2026-03-07', frozen: 'on', core: '-20 C' },
    papers: [
      { type: 'freezing-statement', issuer: 'Cold store', frozenAt: '-20 C', frozenFor: '168 h' },
      { type: 'supplier-letter', issuer: 'Cold store', transit: '2 C' }
    ],
    ways: ['take-out'],
    before: (house, piece) => void house.done('start-thaw', { ...THAW, piece })
  },
  'a halibut that lies in the freezer': {
    lot: { ...SIDE, species: 'halibut', source: 'wild', caughtOn: '2026-03-08' },
    ways: ['hold'],
    before: (house, piece) => {
      house.done('start-freeze', { ...FREEZE, piece, place: 'Chest', air: '-25 C', cycle: 'us-168h' });
      house.clock.moveTo(house.clock.now() + 6 * HOUR, true);
      for (const probe of ['air', 'core']) house.done('read-freeze', { piece, reading: '-24 C', probe });
    }
  }
};
const FREEZE = { thickness: '28 mm', startCore: '1 C', lie: 'apart', airClass: 'fan' };

describe('roads, each carried out', () => {
  let house: TestHouse;
  const app = () => ({ store: house.store, clock: house.clock }) as unknown as App;
  const open = () => {
    house = openTestHouse();
    house.done('join-person', { name: 'Bo' });
    house.done('set-place', { name: 'Chest', kind: 'freezer', setPoint: '-25 C', litres: 300, watts: 120 });
    house.done('set-place', {
      name: 'Blast',
      kind: 'blast',
      setPoint: '-38 C',
      airClass: 'blast',
      litres: 300,
      watts: 2000
    });
    house.done('set-place', { name: 'Drawer 1', kind: 'drawer', setPoint: '2 C' });
  };
  const receive = (of: (typeof CASES)[string]) => {
    const { lot, piece } = house.done('receive-lot', of.lot) as { lot: string; piece: string };
    for (const paper of of.papers ?? []) house.done('attach-evidence', { lot, ...paper });
    house.done('move-piece', { piece, place: 'Drawer 1' });
    of.before?.(house, piece);
    return { lot, piece };
  };
  const to = (at: number) => house.clock.moveTo(Math.ceil(at), true);
  /** Time goes by, and it is read meanwhile as the way says. */
  const keep = (piece: string, until: number, read: () => void) => {
    for (let at = house.clock.now() + 2 * HOUR; at < until; at += 2 * HOUR) {
      to(at);
      read();
    }
    to(until);
    read();
  };
  const cold = (piece: string) => () => house.done('read-cold', { piece, reading: '2 C' });
  const inFreezer = (piece: string, air: number) => () => {
    house.done('read-freeze', { piece, reading: `${air} C`, probe: 'air' });
    house.done('read-freeze', { piece, reading: `${air} C`, probe: 'core' });
  };

  function carryOut(piece: string, step: RoadStep) {
    const { store, clock } = house;
    switch (step.kind) {
      case 'paper': {
        const day = businessDay(clock.now(), store.projections.currentHouse());
        const { file, ...body } = paperSaying(step, { day, grams: 2000 });
        const typed = Object.fromEntries(
          Object.entries(body).flatMap(([key, value]) => {
            if (value === null || value === false || value === '') return [];
            if (value === true) return [[key, 'on']];
            return [[key, typeof value === 'object' && 'typed' in value ? value.typed : value]];
          })
        );
        const kept = file && store.files.put(new TextEncoder().encode('%PDF-1.4'), 'application/pdf', clock.now());
        house.done('attach-evidence', { lot: step.lot, ...typed, ...(kept ? { file: kept.hash } : {}) });
        break;
      }
      case 'fact': {
        const seq = store.record.eventsOf(`lot:${step.lot}`).find(({ kind }) => kind === 'lot.received')!.seq;
        const value =
          step.field === 'caughtOn' ? (step.notBefore ?? '2026-03-09') : step.field === 'commercial' ? 'yes' : true;
        const answer = house.act(
          'amend-entry',
          { seq, patch: { [step.field]: value }, reason: 'the seller said so', ownWidening: true },
          { actor: 'p2' }
        );
        expect(answer.ok, JSON.stringify(answer)).to.equal(true);
        break;
      }
      case 'freeze': {
        house.done('start-freeze', {
          ...FREEZE,
          piece,
          place: step.place,
          thickness: `${step.thicknessMm} mm`,
          air: `${step.airCelsius} C`,
          airClass: step.place === 'Blast' ? 'blast' : 'still',
          cycle: step.cycle.id
        });
        for (let at = step.from; at < step.coreBy; at += 2 * HOUR) {
          to(Math.max(at, clock.now()));
          house.done('read-freeze', { piece, reading: `${step.airCelsius} C`, probe: 'air' });
        }
        to(step.coreBy);
        inFreezer(piece, step.airCelsius)();
        keep(piece, step.until, inFreezer(piece, step.airCelsius));
        break;
      }
      case 'take-out':
        keep(piece, step.at, cold(piece));
        if (step.of === 'cure') house.done('end-cure', { piece });
        else house.done('end-thaw', { piece, core: '2 C' });
        break;
      case 'hold':
        keep(piece, step.until, inFreezer(piece, -25));
        break;
      case 'wait':
        keep(piece, step.until, cold(piece));
        break;
      case 'read':
        cold(piece)();
        break;
      default:
        expect(step.kind).to.equal('serve-as');
    }
  }
  const stateOf = (piece: string, route: Route) =>
    pieceView(app(), piece).verdict.windows.find((each) => each.route === route)!.state;
  function thawed(piece: string, road: Road) {
    house.done('start-thaw', { ...THAW, piece });
    keep(piece, road.readyAt, cold(piece));
    house.done('end-thaw', { piece, core: '2 C' });
  }

  for (const [name, of] of Object.entries(CASES)) {
    it(`${name}: each way opens it when it said, and what is said to be in time is open then`, () => {
      open();
      const first = receive(of);
      const by = house.clock.now() + 70 * HOUR;
      const planned = roadsView(app(), first.piece, of.route ?? 'raw', by);
      house.close();
      const wanted = planned.roads.filter(({ route }) => route === planned.route);
      const kinds = new Set(wanted.flatMap(({ steps }) => steps.map(({ kind }) => kind)));
      expect([...kinds]).to.include.members(of.ways);
      for (const road of planned.roads) {
        open();
        const { piece } = receive(of);
        const told = roadLine(road, by);
        if (road.opensAt > house.clock.now() || road.steps.length > 0)
          for (const step of road.steps) carryOut(piece, step);
        to(Math.max(house.clock.now(), road.opensAt));
        expect(stateOf(piece, road.route), told).to.be.oneOf(['open', 'ebbing']);
        if (road.misses === null) {
          if (road.readyAt > road.opensAt) thawed(piece, road);
          keep(piece, by, cold(piece));
          expect(stateOf(piece, road.route), `${told} at the time wanted`).to.be.oneOf(['open', 'ebbing']);
        }
        for (const step of road.steps) {
          const words = stepWords(step, by);
          expect(words).to.not.match(/undefined|NaN|null|\[object/);
        }
        house.close();
      }
    });
  }

  describe('asked', () => {
    beforeEach(open);
    afterEach(() => house.close());
    it('asks the seller for the line that is missing, and no more', () => {
      const { piece, lot } = receive(CASES['a farmed char whose paper says half']!);
      const { roads } = roadsView(app(), piece, 'raw', house.clock.now() + 10 * HOUR);
      const paper = roads.find(({ steps }) => steps[0]?.kind === 'paper')!;
      expect((paper.steps[0] as unknown as { missing: string[] }).missing).to.deep.equal(['raised']);
      expect(paper.letter).to.contain('how they were raised').and.to.contain(lot).and.to.contain('Skarnes Tank Farm');
      expect(paper.letter).to.not.contain('formulated feed');
      expect(roads.find(({ steps }) => steps[0]?.kind === 'freeze')!.letter).to.equal('');
    });
    it('nothing opens what is shut for ever', () => {
      const { piece } = house.done('receive-lot', {
        ...SIDE,
        species: 'puffer',
        source: 'wild',
        caughtOn: '2026-03-08'
      });
      expect(roadsView(app(), String(piece), 'raw', house.clock.now() + 70 * HOUR).roads).to.deep.equal([]);
    });
    it('is for the next sitting where nobody said when', () => {
      const { piece } = receive(CASES['a wild halibut']!);
      const now = house.clock.now();
      expect(nextWanted(house.store.projections.currentHouse(), now)).to.equal(now + 24 * HOUR);
      house.done('set-service', { name: 'Wednesday', at: '2026-03-11T18:00' });
      const asked = roadsAsked(app(), { id: piece, route: 'raw' });
      expect(new Date(asked.by).toISOString()).to.equal('2026-03-11T18:00:00.000Z');
      expect(roadsAsked(app(), { id: piece, route: 'cooked', by: '2026-03-10T18:00' }).route).to.equal('cooked');
    });
  });
});
