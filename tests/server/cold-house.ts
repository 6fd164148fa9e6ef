import type { App } from '../../src/lib/server/app.ts';
import { liveBody, takeReadings } from '../../src/lib/server/operations/live-readings.ts';
import { pieceView } from '../../src/lib/server/views/piece.ts';
import { HOUR, NOON, openTestHouse, type TestHouse } from './house.ts';

export const MINUTE = 60_000;
/** What the house's first key is in a test. */
export const KEY = 'a-key-nobody-guesses-1';
export const HALIBUT = {
  species: 'halibut',
  form: 'block',
  source: 'wild',
  water: 'sea',
  commercial: 'yes',
  supplier: 'Kelda Bay Boats',
  caughtOn: '2026-03-09',
  mass: '900 g',
  thickness: '30 mm',
  core: '1 C'
};

/** How that halibut goes into the chest. */
export const INTO_CHEST = {
  piece: 'HAL-0309-1-A',
  place: 'Chest',
  air: '-25 C',
  airClass: 'fan',
  packing: 'bare',
  thickness: '30 mm',
  startCore: '1 C',
  cycle: 'us-168h'
};

/** A house with a drawer and two freezers, their sensors, and a logger with a key. */
export function coldHouse() {
  const house = openTestHouse();
  const app = { ...house, config: { mode: 'test' }, movable: house.clock, readOnly: false } as unknown as App;
  house.done('set-place', { name: 'Drawer', kind: 'drawer' });
  house.done('set-place', { name: 'Chest', kind: 'freezer', setPoint: '-25 C', litres: 200 });
  house.done('set-sensor', { name: 'Drawer air', place: 'Drawer', accuracy: 0.3 });
  house.done('set-sensor', { name: 'Chest air', place: 'Chest' });
  house.done('set-sensor', { name: 'Core probe', place: 'Chest', probe: 'core' });
  house.done('key-device', { name: 'Logger', sensors: 'Drawer air, Chest air, Core probe' });
  const at = (hours: number) => new Date(NOON + hours * HOUR).toISOString();
  /** Sends a reading every ten minutes from one hour to another, with the clock at the last. */
  const send = (sensor: string, from: number, to: number, figure: number | ((hours: number) => number)) => {
    const readings = [];
    for (let minute = Math.round(from * 60); minute <= Math.round(to * 60); minute += 10) {
      const celsius = typeof figure === 'number' ? figure : figure(minute / 60);
      readings.push({ sensor, at: at(minute / 60), celsius });
    }
    if (house.clock.now() < NOON + to * HOUR) house.clock.moveTo(NOON + to * HOUR, true);
    return takeReadings(app, KEY, liveBody.parse({ readings }));
  };
  const route = (piece: string, of = 'raw', when?: number, known?: number) => {
    const view = pieceView(app, piece, when, known);
    return view.verdict.windows.find(({ route: each }) => each === of)!;
  };
  return { house, app, at, send, route };
}
export const opened: TestHouse[] = [];
export const open = () => {
  const made = coldHouse();
  opened.push(made.house);
  return made;
};
afterEach(() => opened.splice(0).forEach((house) => house.close()));
