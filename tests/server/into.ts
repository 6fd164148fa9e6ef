import { type Occupant, type Step } from '../../src/lib/core/record/occupation.ts';
import { CHAR, FEED, openTestHouse, type TestHouse } from './house.ts';

export const CURE = {
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
export const THAW = {
  place: 'Drawer 1',
  method: 'cold',
  medium: '3 C',
  thickness: '28 mm',
  startCore: '-20 C',
  shape: 'slab',
  packing: 'film'
};
const TRAY = { label: 'Left', startCore: '2 C', all: true };
const SLICE = { style: 'straight', length: '100 mm', height: '20 mm', width: '60 mm', thickness: '6 mm', count: 2 };

/** How a piece gets into each. */
export const INTO: Readonly<Record<Occupant, [string, object][]>> = {
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
export const BEGINS: readonly [Step, string, object][] = [
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

/** A house with a drawer, a freezer and an ageing cabinet, and a farmed char with its paper in it. */
export function houseWithChar(): { house: TestHouse; lot: string; piece: string } {
  const house = openTestHouse();
  house.done('set-place', { name: 'Drawer 1', kind: 'drawer' });
  house.done('set-place', { name: 'Chest', kind: 'freezer', setPoint: '-25 C' });
  house.done('set-place', { name: 'Cabinet', kind: 'cabinet', setPoint: '2 C' });
  house.done('set-rack', { place: 'Cabinet', hooks: 4, shelves: 1, perShelf: 3 });
  const { lot, piece } = house.done('receive-lot', CHAR) as { lot: string; piece: string };
  house.done('attach-evidence', { lot, ...FEED });
  return { house, lot, piece };
}

/** Puts a piece into something, by the operations that do so, a minute apart. */
export function into(house: TestHouse, piece: string, occupant: Occupant): void {
  for (const [name, input] of INTO[occupant]) {
    house.clock.moveTo(house.clock.now() + 60_000, true);
    house.done(name, { piece, ...input });
  }
}
