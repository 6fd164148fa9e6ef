import { EmberError } from '../../core/errors.ts';
import { ROUTES, stateAt, type RouteWindow } from '../../core/codes/window.ts';
import type { HouseState } from '../../core/record/house.ts';
import { spentShare, warmShare } from '../../core/rules/piece-clock.ts';
import { houseTasks } from '../../core/service/house-tasks.ts';
import { byDanger } from '../../core/service/danger.ts';
import { handsQueue, stepsOf } from '../../core/service/hands.ts';
import { stepWords, type AnyTaskCode } from '../../words/tasks.ts';
import type { Room } from '../room.ts';
import type { KeptSubject } from '../store/subjects.ts';
import { excursionsIn } from '../facts/excursions.ts';
import { knivesNow } from '../facts/knives.ts';
import { alarmsOf, horizonOf, todoOf } from './todo.ts';

/** The moment screens are about: the clock's, and never before the newest entry, however the clock is set. */
export const presentOf = ({ clock, store }: Room): number => Math.max(clock.now(), store.record.head().recorded);

/** When the logger of each place last spoke. */
export function lastSpoken({ store }: Room, now: number): Map<string, number> {
  const { logs, currentHouse } = store.projections;
  const book = logs.book(now, now);
  return new Map(
    Object.values(currentHouse().places).flatMap(({ name }) => {
      const series = logs.sensorsAt(name).length > 0 ? book.place(name)?.series : undefined;
      return series && series.length > 0 ? [[name, series.at[series.length - 1]!] as const] : [];
    })
  );
}

/** What an activity keeps beside fish, as a row of the tide chart and its tasks: its one clock is that of every route. */
function subjectShown({ kind, state }: KeptSubject, house: HouseState, now: number) {
  const { id, name, madeAt } = state;
  const path = kind.path(id);
  const { opens, closes } = kind.window(state, house);
  return {
    tasks: kind.tasks(state, house, now).map((task) => ({ ...task, code: task.code as AnyTaskCode, name, path })),
    row: {
      id,
      name,
      path,
      madeAt,
      windows: ROUTES.map((route): RouteWindow => ({
        route,
        opens,
        closes,
        proofDue: null,
        never: false,
        missing: false
      })),
      clock: null,
      steps: kind.steps(state, house, now).map((step) => ({ ...step, label: stepWords(step) }))
    }
  };
}

/** Everything still in the house, with its windows as change-points and what hands have to do. */
export function nowView(room: Room) {
  const now = presentOf(room);
  const house = room.store.projections.currentHouse();
  const live = room.store.projections.livePieces();
  const warn = house.warnMinutes * 60;
  const rows = live.map(({ state, lot, windows, missing, clock }) => ({
    id: state.id,
    name: state.made.name,
    path: `/piece/${state.id}`,
    species: lot.received.species,
    lot: lot.id,
    form: state.made.form,
    grams: state.grams,
    madeAt: state.made.at,
    seq: state.lastSeq,
    windows,
    states: windows.map((window) => stateAt(window, now, warn)),
    missing,
    clock: clock && {
      spent: spentShare(clock, now),
      raw: clock.ice?.share ?? null,
      warm: warmShare(clock, now),
      readBy: clock.warm.readBy
    },
    steps: stepsOf(state, now).map((step) => ({ ...step, label: stepWords(step) }))
  }));
  const names = new Map(rows.map(({ id, name }) => [id, name]));
  const kept = room.store.projections.subjects.live().map((each) => subjectShown(each, house, now));
  const horizon = horizonOf(house, now);
  const asked = [
    ...handsQueue(live, now, warn, lastSpoken(room, now)).map((task) => ({
      ...task,
      name: names.get(task.piece) ?? '',
      path: `/piece/${task.piece}`
    })),
    ...kept.flatMap((each) => each.tasks),
    ...houseTasks(knivesNow(room), now).map((task) => ({ ...task, path: '/house/knife' }))
  ];
  return {
    at: now,
    warnSeconds: warn,
    service: horizon.service === null ? null : { at: horizon.service, name: horizon.serviceName },
    tasks: todoOf(room.store, asked, live, horizon).sort(byDanger(now)),
    rows: [...kept.map(({ row }) => row), ...rows],
    excursions: alarmsOf(excursionsIn(room.store, now)),
    pieces: rows
  };
}

export type NowView = ReturnType<typeof nowView>;

/** One delivery: its lots, what was decided of each, and what holds its first piece back. */
export function deliveryView(room: Room, code: string) {
  const { store } = room;
  const now = presentOf(room);
  const warn = store.projections.currentHouse().warnMinutes * 60;
  const events = store.record.eventsOf(`delivery:${code}`);
  const opened = events.find((event) => event.kind === 'delivery.opened');
  if (!opened || opened.kind !== 'delivery.opened') {
    throw new EmberError('record.not-found', { field: 'delivery', seen: code });
  }
  return {
    delivery: { ...opened.body, at: opened.happened, by: opened.actor },
    version: store.record.versionOf(`delivery:${code}`),
    closed: events.find((event) => event.kind === 'delivery.closed')?.recorded ?? null,
    lots: store.projections
      .lots()
      .filter(({ received }) => received.delivery === code)
      .sort((a, b) => a.received.seq - b.received.seq)
      .map((lot) => {
        const root = store.projections.piecesOfLot(lot.id)[0];
        return {
          id: lot.id,
          piece: root?.state.id ?? null,
          name: root?.state.made.name ?? lot.received.species,
          grams: lot.received.mass.si,
          typed: lot.received.mass.typed,
          decision: lot.decision,
          inspected: lot.inspections.length > 0,
          missing: root?.missing ?? [],
          windows: (root?.windows ?? []).map((window) => ({ ...window, state: stateAt(window, now, warn) }))
        };
      })
  };
}
export type DeliveryView = ReturnType<typeof deliveryView>;

/** Deliveries that are open, newest first. */
export function openDeliveries(room: Room) {
  const { record } = room.store;
  const closed = new Set(record.list({ kind: 'delivery.closed', limit: 5000 }).map((event) => event.subject));
  return record
    .list({ kind: 'delivery.opened', limit: 200 })
    .filter((event) => !closed.has(event.subject))
    .flatMap((event) =>
      event.kind === 'delivery.opened'
        ? [{ code: event.body.code, supplier: event.body.supplier, at: event.happened }]
        : []
    );
}
