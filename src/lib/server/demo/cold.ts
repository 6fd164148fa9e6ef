import { HOUR } from '../../core/measure/spans.ts';
import { loggerSays } from '../../core/device/logger.ts';
import { seriesOf, type LogReading } from '../../core/log/series.ts';
import type { Executor } from '../operations/execute.ts';
import { chunksOf } from '../store/readings.ts';
import { draft } from '../store/record.ts';
import type { Store } from '../store/store.ts';
import { excursionsIn } from '../facts/excursions.ts';
import type { DemoTools } from './tools.ts';

/** The key of the simulated logger of the demo house. A house of its own gives its loggers keys of their own. */
export const DEMO_LOGGER_KEY = 'demo-logger-vessmouth-0001';
const LOGGED = 'Chest air, Upright air, Blast air, Blast probe, Drawer 1 air, Drawer 2 air';

/** A reading each so many minutes: what a small logger keeps for weeks. */
const EVERY_MS = 5 * 60_000;

/** Places, sensors, a logger, and what lies where. */
export function coldPlacesOf({ step, receive, paper, daysAgo, grams, celsius, pieces }: DemoTools): void {
  const place = (name: string, input: Record<string, unknown>) =>
    step(284, 'p1', 'set-place', () => ({ name, ...input }));
  place('Blast cabinet', { kind: 'blast', setPoint: '-40 C', airClass: 'blast', litres: 120, watts: 900 });
  place('Chest freezer', { kind: 'freezer', setPoint: '-25 C', airClass: 'still', litres: 240, watts: 110 });
  place('Upright freezer', { kind: 'freezer', setPoint: '-30 C', airClass: 'fan', litres: 300, watts: 160 });
  const sensor = (name: string, at: string, more: Record<string, unknown> = {}) =>
    step(279, 'p1', 'set-sensor', () => ({ name, place: at, calibratedOn: daysAgo(90), ...more }));
  sensor('Blast air', 'Blast cabinet', { accuracy: 1 });
  sensor('Blast probe', 'Blast cabinet', { probe: 'core', accuracy: 0.5 });
  sensor('Chest air', 'Chest freezer');
  sensor('Upright air', 'Upright freezer', { calibratedOn: daysAgo(500) });
  sensor('Drawer 1 air', 'Drawer 1', { accuracy: 0.3 });
  sensor('Drawer 2 air', 'Drawer 2', { accuracy: 0.3 });
  step(278, 'p1', 'key-device', () => ({ name: 'Chest logger', sensors: LOGGED }));
  for (const [name, ago, to] of [
    ['char-block', 20.1, 'Drawer 2'],
    ['halibut-block', 24.2, 'Drawer 1'],
    ['turbot-fillet', 25.5, 'Drawer 1']
  ] as const) {
    step(ago, 'p1', 'move-piece', () => ({ piece: pieces[name], place: to }));
  }
  // The list on the wall: every drawer is read before the morning's work and again before service.
  for (let ago = 279; ago > 0; ago -= 15) {
    const by = ago % 2 === 0 ? 'p2' : 'p3';
    for (const [name, usual] of [
      ['Drawer 1', 1.6],
      ['Drawer 2', 1.4],
      ['Ice rack', 0.6],
      ['Counter box', 3.2]
    ] as const) {
      step(ago, by, 'read-place', () => ({ place: name, reading: celsius(usual) }));
    }
  }

  step(4.3, 'p3', 'read-place', () => ({ place: 'Counter box', reading: celsius(3.4) }));

  // Sablefish that came frozen, with its paper, and thaws since the morning.
  receive(
    'sable-frozen',
    70,
    'p1',
    {
      species: 'sablefish',
      form: 'block',
      source: 'wild',
      area: 'Outer Vess',
      supplier: 'Northholm Cold Store',
      supplierLot: 'NC-218',
      mass: grams(1400),
      core: '-21 C',
      frozen: true,
      pricePerKg: 38,
      thickness: '45 mm'
    },
    'Upright freezer'
  );
  paper('sable-frozen', 69.8, {
    type: 'freezing-statement',
    issuer: 'Northholm Cold Store',
    reference: 'FZ 902',
    frozenAt: '-25 C',
    frozenFor: '20 d'
  });
  step(6, 'p3', 'start-thaw', () => ({
    piece: pieces['sable-frozen'],
    place: 'Drawer 1',
    method: 'cold',
    medium: '2 C',
    packing: 'film',
    pack: 'opened',
    thickness: '45 mm',
    startCore: '-21 C'
  }));
}

/** What the loggers read in these days: one freezer drifted, one drawer stood open, one battery is dead. */
export function coldLogs(
  store: Store,
  executor: Executor,
  startedAt: number,
  perform: (by: string, name: string, input: Record<string, unknown>) => unknown
) {
  const log = (hours: number, until: number, air: (hoursAgo: number, seconds: number) => number): LogReading[] => {
    const out: LogReading[] = [];
    const from = Math.ceil((startedAt - hours * HOUR) / EVERY_MS) * EVERY_MS;
    for (let at = from; at <= startedAt - until * HOUR; at += EVERY_MS) {
      const celsius = air((startedAt - at) / HOUR, (at - from) / 1000);
      out.push({ at, celsius: Math.round(celsius * 10) / 10 });
    }
    return out;
  };
  const near = (setPoint: number, seconds: number) => loggerSays('steady', seconds, setPoint, 0.3).air!;
  const hump = (ago: number, from: number, to: number, peak: number) =>
    ago > from || ago < to ? 0 : peak * Math.sin((Math.PI * (from - ago)) / (from - to));
  const logs: Record<string, LogReading[]> = {
    'chest-air': log(270, 0.1, (ago, seconds) => near(-25.3, seconds) + hump(ago, 112, 90, 9)),
    'upright-air': log(270, 30, (_, seconds) => near(-30.4, seconds)),
    'blast-air': log(
      30,
      0.1,
      (ago, seconds) => near(-39.2, seconds) + (ago < 7.5 ? 14 * Math.exp(-(7.5 - ago) * 2.2) : 0)
    ),
    'cabinet-air': log(282, 0.1, (ago, seconds) => near(1.2, seconds) * 0.5 + 0.5 + hump(ago, 62, 61, 3.4)),
    'drawer-1-air': log(200, 0.1, (_, seconds) => near(1.6, seconds) * 0.6 + 0.64),
    'drawer-2-air': log(200, 0.1, (ago, seconds) => near(1.4, seconds) * 0.6 + 0.56 + hump(ago, 15.4, 14.3, 6.5))
  };
  executor.write('device:chest-logger', ({ store, house, now }) => {
    const origin = { source: 'live', origin: 'chest-logger', clockOffsetSeconds: 0 } as const;
    const events = Object.entries(logs).flatMap(([sensor, readings]) =>
      chunksOf(sensor, seriesOf(readings), house, origin).map((chunk) =>
        draft('readings.stored', `sensor:${sensor}`, now, store.readings.keep(chunk, now))
      )
    );
    return { events, places: Object.values(house.sensors).map(({ place }) => place), result: null };
  });
  // The drift of the chest was seen and answered; what happened since waits for somebody.
  const now = store.record.head().recorded;
  for (const { place, kind, from } of excursionsIn(store, now).filter((each) => each.place === 'Chest freezer')) {
    perform('p1', 'close-excursion', {
      place,
      kind,
      from,
      action: kind === 'hold' ? 'hold-restarted' : 'machine-mended',
      note: 'lid was iced up; chipped free, core read, bonito counted anew'
    });
  }
}
