import { expect } from 'chai';
import type { App } from '../../src/lib/server/app.ts';
import { pieceChoices } from '../../src/lib/server/choices.ts';
import { occupantsOf, type Occupant, type Step } from '../../src/lib/core/record/occupation.ts';
import { CHAR, FEED, openTestHouse, type TestHouse } from './house.ts';

const CURE = {
  method: 'weighed',
  thickness: '28 mm',
  faces: 2,
  celsius: '3 C',
  salt: '2 %',
  hours: '24 h',
  target: '1.2 %'
};
const FREEZE = { place: 'Chest', air: '-25 C', thickness: '28 mm', startCore: '1 C', cycle: 'us-168h', lie: 'apart' };
const ACID = { cut: 'dice', size: '12 mm', celsius: '4 C', wanted: 'half', liquid: 'lime 1000' };
const THAW = {
  place: 'Drawer 1',
  method: 'cold',
  medium: '3 C',
  thickness: '28 mm',
  startCore: '-20 C',
  shape: 'slab',
  packing: 'film'
};
const TRAY = { label: 'Left', startCore: '2 C' };
const SLICE = { cut: 'straight', length: '100 mm', height: '20 mm', width: '60 mm', thickness: '6 mm' };

/** How a piece gets into each. */
const INTO: Readonly<Record<Occupant, [string, object][]>> = {
  board: [['open-board', { map: 'fillet' }]],
  freezer: [['start-freeze', FREEZE]],
  thaw: [
    ['start-freeze', FREEZE],
    ['start-thaw', THAW]
  ],
  cure: [['start-cure', CURE]],
  acid: [['start-acid', ACID]],
  rack: [['start-age', { place: 'Cabinet', spot: '', mass: '2 kg', celsius: '2 C' }]],
  tray: [['start-hold', TRAY]]
};
/** The operation that begins each kind of step which puts a piece into something, or takes of it. */
const BEGINS: readonly [Step, string, object][] = [
  ['freeze', 'start-freeze', FREEZE],
  ['cure', 'start-cure', CURE],
  ['acid', 'start-acid', ACID],
  ['hang', 'start-age', { place: 'Cabinet', spot: '', mass: '2 kg', celsius: '2 C' }],
  ['slice', 'record-slice', SLICE],
  ['put-out', 'start-hold', TRAY],
  ['divide', 'divide-piece', { name: 'Part', form: 'block', mass: '300 g' }],
  ['move', 'move-piece', { place: 'Drawer 1' }],
  ['dress', 'dress-piece', { sauce: 'roasted-sesame' }]
];

describe('what a piece is in decides what may begin with it', () => {
  let house: TestHouse;
  const open = () => {
    house = openTestHouse();
    house.done('set-place', { name: 'Drawer 1', kind: 'drawer' });
    house.done('set-place', { name: 'Chest', kind: 'freezer', setPoint: '-25 C' });
    house.done('set-place', { name: 'Cabinet', kind: 'cabinet', setPoint: '2 C' });
    house.done('set-rack', { place: 'Cabinet', hooks: 4, shelves: 1, perShelf: 3 });
    const { lot, piece } = house.done('receive-lot', CHAR) as { lot: string; piece: string };
    house.done('attach-evidence', { lot, ...FEED });
    return piece;
  };
  const app = () => ({ store: house.store, clock: house.clock }) as unknown as App;
  const into = (piece: string, occupant: Occupant) => {
    for (const [name, input] of INTO[occupant]) {
      house.clock.moveTo(house.clock.now() + 60_000, true);
      house.done(name, { piece, ...input });
    }
  };

  // Each of these was taken once.
  for (const [occupant, step, name] of [
    ['cure', 'put-out', 'a tray is not begun while it cures'],
    ['freezer', 'put-out', 'a tray is not begun in a freezer'],
    ['thaw', 'put-out', 'a tray is not begun while it thaws'],
    ['freezer', 'slice', 'slices are not recorded in a freezer'],
    ['rack', 'slice', 'slices are not recorded on the rack'],
    ['tray', 'freeze', 'nothing on a tray goes into a freezer'],
    ['tray', 'cure', 'nothing on a tray goes into a cure'],
    ['tray', 'acid', 'nothing on a tray goes into acid']
  ] as const) {
    it(name, () => {
      const piece = open();
      into(piece, occupant);
      const [, operation, input] = BEGINS.find(([each]) => each === step)!;
      const answer = house.act(operation, { piece, ...input });
      expect(answer).to.deep.include({ ok: false, code: 'record.not-allowed-now' });
      house.close();
    });
  }

  for (const occupant of Object.keys(INTO) as Occupant[]) {
    it(`in ${occupant}: what is offered to pick is what its operation takes`, () => {
      const piece = open();
      into(piece, occupant);
      const choice = pieceChoices(app()).find(({ id }) => id === piece)!;
      expect(choice.in).to.deep.equal([occupant]);
      expect(occupantsOf(house.store.projections.piece(piece).state)).to.deep.equal([occupant]);
      for (const [step, operation, input] of BEGINS) {
        house.clock.moveTo(house.clock.now() + 60_000, true);
        const answer = house.act(operation, { piece, ...input });
        const refused = !answer.ok && answer.code === 'record.not-allowed-now' && answer.details.field === 'piece';
        if (choice.may.includes(step)) expect(refused, `${step}: ${JSON.stringify(answer)}`).to.equal(false);
        else expect(refused, `${step} was not refused: ${JSON.stringify(answer)}`).to.equal(true);
        // What was taken put it somewhere else: from there another test goes on.
        if (answer.ok && !['slice', 'divide', 'move', 'dress'].includes(step)) break;
      }
      house.close();
    });
  }
  it('gone, nothing begins with it', () => {
    const piece = open();
    house.done('discard-piece', { piece, reason: 'dropped' });
    for (const [, operation, input] of BEGINS) {
      const answer = house.act(operation, { piece, ...input });
      expect(answer).to.deep.include({ ok: false, code: 'record.not-allowed-now' });
    }
    expect(pieceChoices(app()).some(({ id }) => id === piece)).to.equal(false);
    house.close();
  });
});
