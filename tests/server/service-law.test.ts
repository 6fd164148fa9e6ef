import { expect } from 'chai';
import fc from 'fast-check';
import { passView } from '../../src/lib/server/facts/pass.ts';
import { stateAt } from '../../src/lib/core/codes/window.ts';
import { verify } from '../../src/lib/server/store/verify.ts';
import { runs } from '../runs.ts';
import { CHAR, FEED, HOUR, NOON, openTestHouse, type TestHouse } from './house.ts';

const PLAN = {
  style: 'straight',
  by: 'thickness',
  thickness: '6 mm',
  angle: 90,
  length: '150 mm',
  height: '28 mm',
  width: '80 mm',
  place: 'Drawer'
};
/** A counter with slices in a drawer, what is left of the fish beside them, and dishes of each. */
function serviceHouse(mass = '2.4 kg') {
  const house = openTestHouse();
  house.done('set-place', { name: 'Drawer', kind: 'drawer' });
  const { lot, piece: fish } = house.done('receive-lot', { ...CHAR, mass }) as { lot: string; piece: string };
  house.done('attach-evidence', { lot, ...FEED });
  house.done('move-piece', { piece: fish, place: 'Drawer' });
  const block = String(house.done('divide-piece', { piece: fish, name: 'Block', form: 'block', mass: '360 g' }).piece);
  house.clock.moveTo(NOON + HOUR, true);
  const slices = String(house.done('record-slice', { ...PLAN, piece: block }).piece);
  const each = house.store.projections.piece(slices).state.lifted!.gramsEach!;
  const dishes = [
    { name: 'Char, sliced', lines: `Arctic char; 5 x ${each.toFixed(2)}; fish; straight`, route: 'raw' },
    { name: 'Char to order', lines: 'Arctic char; 60; fish', route: 'raw' },
    { name: 'Char, grilled', lines: 'Arctic char; 80; fish', route: 'cooked' }
  ].map((dish) => String(house.done('set-dish', dish).dish));
  return { house, slices, dishes };
}

/** All there is, was served and stands, and was binned. g */
function balance({ store }: TestHouse): number {
  const all = [...new Set(store.record.list({ limit: 2000 }).map(({ subject }) => subject))]
    .filter((subject) => subject.startsWith('piece:'))
    .map((subject) => store.projections.piece(subject.slice('piece:'.length)).state);
  const binned = store.record
    .list({ kind: 'piece.discarded', limit: 500 })
    .reduce((sum, { body }) => sum + ((body as { mass: { si: number } | null }).mass?.si ?? 0), 0);
  const here = all.reduce((sum, { grams, gone }) => sum + (gone ? 0 : grams), 0);
  const served = all.reduce((sum, state) => sum + state.served.reduce((of, { mass }) => of + mass.si, 0), 0);
  return here + served + binned;
}

const ROUTES = ['raw', 'raw', 'cooked'] as const;
/** Each live piece with each route that is open to it at this moment. */
const openNow = ({ store, clock }: TestHouse): string[] =>
  store.projections
    .livePieces()
    .flatMap(({ state, windows }) =>
      windows
        .filter((window) => ['open', 'ebbing'].includes(stateAt(window, clock.now(), 0)))
        .map(({ route }) => `${state.id} ${route}`)
    );

describe('any service', () => {
  let plates = 0;
  const step = fc.oneof(
    {
      weight: 6,
      arbitrary: fc.record({
        do: fc.constant('serve' as const),
        dish: fc.nat(2),
        plates: fc.integer({ min: 1, max: 3 })
      })
    },
    { weight: 2, arbitrary: fc.record({ do: fc.constant('again' as const) }) },
    { weight: 2, arbitrary: fc.record({ do: fc.constant('back' as const) }) },
    { weight: 2, arbitrary: fc.record({ do: fc.constant('tray' as const), count: fc.integer({ min: 1, max: 6 }) }) },
    { weight: 1, arbitrary: fc.record({ do: fc.constant('off' as const), dish: fc.nat(2), on: fc.boolean() }) },
    { weight: 3, arbitrary: fc.record({ do: fc.constant('wait' as const), minutes: fc.integer({ min: 1, max: 50 }) }) }
  );
  it('law: with undos, trays, dishes that are off and touches sent twice, grams add up, and no plate goes by a route that is shut at its moment', () => {
    fc.assert(
      fc.property(fc.array(step, { minLength: 4, maxLength: 22 }), (steps) => {
        const { house, slices, dishes } = serviceHouse();
        const start = balance(house);
        let last: { key: string; input: object } | null = null;
        for (const [at, each] of steps.entries()) {
          if (each.do === 'wait') house.clock.moveTo(house.clock.now() + each.minutes * 60_000, true);
          else if (each.do === 'back') house.act('take-plate-back', {});
          else if (each.do === 'off') house.act('set-dish-off', { dish: dishes[each.dish], on: each.on });
          else if (each.do === 'tray')
            house.act('start-hold', { piece: slices, count: each.count, label: `Tray ${at}`, startCore: '3 C' });
          else if (each.do === 'serve') {
            last = { key: `touch-${at}`, input: { dish: dishes[each.dish], plates: each.plates } };
            const open = openNow(house);
            const answer = house.act('serve-dish', last.input, { key: last.key });
            if (!answer.ok) continue;
            plates += each.plates;
            for (const piece of answer.result.pieces as string[])
              expect(open).to.include(`${piece} ${ROUTES[each.dish]}`);
          } else if (last) {
            // A line that broke after it was sent: the same touch comes once more, and nothing new is written.
            const { seq } = house.store.record.head();
            const again = house.act('serve-dish', last.input, { key: last.key });
            if (again.ok && again.repeated) expect(house.store.record.head().seq).to.equal(seq);
          }
          expect(balance(house)).to.be.closeTo(start, 1e-6);
          for (const dish of passView(house).dishes) expect(dish.plates).to.be.at.least(0);
        }
        expect(verify(house.store, house.clock.now()).trouble).to.equal(null);
        house.close();
      }),
      { ...runs(60), endOnFailure: true }
    );
    // A law of which nothing was ever served would say nothing.
    expect(plates).to.be.greaterThan(10);
  });
  it('52 covers at three plates: one touch a plate, none refused, and the fish is what went out', () => {
    const { house, dishes } = serviceHouse('18 kg');
    const COVERS = 52;
    const PLATES = 3;
    const start = balance(house);
    let touches = 0;
    let grams = 0;
    for (let cover = 0; cover < COVERS; cover++) {
      house.clock.moveTo(house.clock.now() + 90_000, true);
      for (let plate = 0; plate < PLATES; plate++) {
        // The slices go first; then what is cut to order and what is grilled stand in.
        const hasSlices = () => passView(house).dishes.find(({ id }) => id === dishes[0])!.plates > 0;
        const dish = plate === 0 && hasSlices() ? dishes[0] : plate === 1 ? dishes[1] : dishes[2];
        const answer = house.act('serve-dish', { dish });
        if (!answer.ok) throw new Error(`${cover} ${dish}: ${answer.code} ${JSON.stringify(answer.details)}`);
        grams += Number(answer.result.grams);
        touches++;
      }
    }
    expect(touches).to.equal(COVERS * PLATES);
    expect(balance(house)).to.be.closeTo(start, 1e-6);
    expect(grams).to.be.greaterThan(COVERS * (60 + 80));
    house.close();
  });
});
