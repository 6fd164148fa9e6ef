import { DAY, HOUR } from '../../core/measure/spans.ts';
import { isIn, running } from '../../core/record/occupation.ts';
import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { AIR_CLASSES, blockOf, PACKINGS } from '../../core/bench/freeze/pham.ts';
import { simulate } from '../../core/bench/freeze/simulate.ts';
import { PICTURES, targetOf } from '../../core/bench/freeze/forecast.ts';
import { between, binned, indexAt, type Bin, type Series } from '../../core/log/series.ts';
import type { FreezeRun } from '../../core/activity/freeze/fold.ts';
import type { HouseState } from '../../core/record/house.ts';
import type { PieceState } from '../../core/record/piece.ts';
import { judgeRun } from '../../core/rules/freezer-run.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import { addDays, businessDay } from '../../core/measure/day.ts';
import type { Room } from '../room.ts';
import { cycleOf, runContext, thinned, waterOf } from '../plans/freeze.ts';
import { presentOf } from './now.ts';
import { excursionsIn, limitOf } from '../facts/excursions.ts';
import { waitingQuarantine } from '../facts/quarantine.ts';
import { numeric } from '../../core/fields/field.ts';

const rulesOf = (house: HouseState) => profileById(house.profile, house.profiles);

/** Who lies where now, by the name of the place. */
function lyingIn(
  room: Room
): Map<string, { id: string; name: string; grams: number; since: number; frozen: boolean }[]> {
  const out = new Map<string, { id: string; name: string; grams: number; since: number; frozen: boolean }[]>();
  for (const { state } of room.store.projections.livePieces()) {
    const stay = state.stays.at(-1);
    if (!stay || stay.to !== null) continue;
    const here = {
      id: state.id,
      name: state.made.name,
      grams: state.grams,
      since: stay.from,
      frozen: isIn(state, 'freezer')
    };
    out.set(stay.place, [...(out.get(stay.place) ?? []), here]);
  }
  return out;
}

/** The cold places of the house: what they are, what they read last, what lies in them, what is wrong with them. */
export function coldPlaces(room: Room) {
  const now = presentOf(room);
  const { store } = room;
  const house = store.projections.currentHouse();
  const profile = rulesOf(house);
  const pieces = lyingIn(room);
  const excursions = excursionsIn(store, now);
  const known = Object.values(house.places);
  // Pieces lie also where nobody has set anything up.
  const unlisted = [...pieces.keys()].filter((name) => !known.some((place) => place.name === name));
  return {
    at: now,
    places: known
      .sort((a, b) => a.name.localeCompare(b.name))
      .map((place) => {
        const sensors = Object.values(house.sensors).filter((sensor) => sensor.place === place.name);
        const recent = store.projections.logs.air(place.name, now - DAY, now);
        const hand = store.projections.logs.hand(place.name, now - 3 * DAY, now).at(-1) ?? null;
        const last =
          recent.length > 0 ? { at: recent.at[recent.length - 1]!, celsius: recent.celsius[recent.length - 1]! } : null;
        return {
          ...place,
          limit: limitOf(place, profile).c,
          sensors: sensors.map((sensor) => ({ ...sensor, ...store.readings.span(sensor.id) })),
          last:
            last && (!hand || last.at >= hand.at)
              ? { ...last, by: '' }
              : hand && { at: hand.at, celsius: hand.celsius, by: hand.by },
          bins: binned(recent, now - DAY, now, 96),
          pieces: pieces.get(place.name) ?? [],
          excursions: excursions.filter((each) => each.place === place.name && !each.closed)
        };
      }),
    unlisted: unlisted.map((name) => ({ name, pieces: pieces.get(name) ?? [] })),
    idle: Object.values(house.sensors)
      .filter(({ place }) => place === '')
      .map((sensor) => ({ ...sensor, ...store.readings.span(sensor.id) })),
    devices: Object.values(house.devices).map(({ keyHash: _, ...device }) => device),
    sensorNames: house.sensorNames,
    waiting: waitingQuarantine(store).map((each) => ({
      ...each,
      sensor: house.sensorNames[each.sensor] ?? house.devices[each.sensor]?.name ?? each.sensor
    })),
    elsewhere: excursions.filter((each) => !each.closed && !known.some(({ name }) => name === each.place))
  };
}
export type ColdPlacesView = ReturnType<typeof coldPlaces>;

export const placeLogFields = z.object({
  id: z.string(),
  from: numeric(0, Number.MAX_SAFE_INTEGER).optional().describe('ms; the first reading when left out'),
  to: numeric(0, Number.MAX_SAFE_INTEGER).optional().describe('ms; now when left out'),
  points: numeric(10, 2000, { whole: true, fallback: 400 })
});

/** The log of a place between two moments, in few bins: the least and the most of each are kept. */
export function placeLogView(room: Room, { id, from, to, points }: z.infer<typeof placeLogFields>) {
  const { store } = room;
  const now = presentOf(room);
  const house = store.projections.currentHouse();
  const place = house.places[id];
  if (!place) throw new EmberError('place.unknown', { field: 'place', seen: id });
  const sensors = Object.values(house.sensors).filter((sensor) => sensor.place === place.name);
  const spans = sensors.map((sensor) => store.readings.span(sensor.id));
  const first = Math.min(now - DAY, ...spans.map((span) => span.first ?? now));
  const [start, end] = [from ?? first, to ?? now];
  if (!(end > start)) throw new EmberError('time.out-of-order', { field: 'to', seen: end });
  const { logs } = store.projections;
  const air = logs.air(place.name, start, end);
  return {
    place: place.name,
    first,
    from: start,
    to: end,
    limit: limitOf(place, rulesOf(house)).c,
    readings: air.length,
    bins: binned(air, start, end, points),
    sensors: sensors.map(({ id: sensor, name, probe }) => ({
      sensor,
      name,
      probe,
      bins: binned(store.readings.between(sensor, start, end), start, end, Math.min(points, 400))
    })),
    hand: logs.hand(place.name, start, end).map(({ at, celsius, by, typed }) => ({ at, celsius, by, typed }))
  };
}

/** One place: its log in the last week, who lay there when, and everything that was wrong. */
export function placeView(room: Room, id: string) {
  const { store } = room;
  const now = presentOf(room);
  const all = coldPlaces(room);
  const place = all.places.find((each) => each.id === id);
  if (!place) throw new EmberError('place.unknown', { field: 'place', seen: id });
  const stays = store.projections
    .livePieces()
    .flatMap(({ state }) =>
      state.stays
        .filter((stay) => stay.place === place.name)
        .map((stay) => ({ piece: state.id, name: state.made.name, from: stay.from, to: stay.to }))
    )
    .sort((a, b) => b.from - a.from);
  return {
    at: now,
    place,
    overview: placeLogView(room, { id, points: 400 }),
    stays,
    excursions: excursionsIn(store, now).filter((each) => each.place === place.name)
  };
}
export type PlaceView = ReturnType<typeof placeView>;

const LONG_CURVE = 14 * DAY;

/** Steady air for the simulation: what was read, and after the last reading the mean of the last hours. */
function airAsRead(air: Series, began: number, planned: number): (seconds: number) => number {
  if (air.length === 0) return () => planned;
  const last = air.at[air.length - 1]!;
  const recent = between(air, last - 6 * HOUR, last);
  const mean = recent.celsius.reduce((sum, each) => sum + each, 0) / recent.length;
  return (seconds) => {
    const moment = began + seconds * 1000;
    if (moment > last) return mean;
    const index = Math.min(indexAt(air, moment), air.length - 1);
    return Math.max(-89, air.celsius[index]!);
  };
}

interface Curve {
  readonly at: number;
  readonly core: number;
}
/** The likely core of a run by the simulation, in the air it was planned in or as it was read. */
function coreCurve(
  run: FreezeRun,
  target: number,
  water: number | undefined,
  air: (seconds: number) => number,
  end: number
) {
  const { thickness, startCore, airClass, packing, stack } = run.plan;
  const { thicknessMm, shape, wraps } = blockOf({ thicknessMm: thickness.si, shape: run.plan.shape, stack });
  const simulated = simulate({
    thicknessMm,
    shape,
    startCelsius: startCore.si,
    medium: air,
    h: AIR_CLASSES[airClass].likely,
    resistance: PACKINGS[packing].likely * wraps,
    water,
    // Drawn on for a while after its arrival, so that the eye sees it level off.
    until: Math.min(target - 0.5, -5),
    longestSeconds: Math.min(Math.max(6 * 3600, end), LONG_CURVE / 1000),
    longestStep: Math.min(600, Math.max(30, (run.plan.coreArrival?.likely ?? 86_400) / 150)),
    cells: 20,
    pictures: PICTURES
  });
  const arrival = simulated.points.find(({ core }) => core < target - 1e-6)?.seconds ?? null;
  const curve: Curve[] = thinned(simulated.points, 120).map(({ seconds, core }) => ({
    at: run.at + seconds * 1000,
    core
  }));
  return { curve, arrival: arrival === null ? null : run.at + arrival * 1000, pictures: simulated.pictures };
}

/** A freezer run as the bench follows it: readings, forecast, forecast made anew with the air as read, and every way to judge it. */
export function freezeRunView(room: Room, pieceId: string, points = 500) {
  const { store } = room;
  const now = presentOf(room);
  const { state, lot } = store.projections.piece(pieceId);
  const run = state.freezes.at(-1);
  if (!run) return null;
  const house = store.projections.currentHouse();
  const profile = rulesOf(house);
  const logs = store.projections.logs.book(now, now);
  const end = run.ended?.at ?? now;
  const log = logs.run(run.plan.place, run.plan.coreSensor, run.at, end);
  const context = { ...runContext(store, house, pieceId, run, now), logs };
  const target = targetOf(cycleOf(profile, run.plan.cycle));
  const water = waterOf(lot, house);
  const seconds = Math.max(3600, (end - run.at) / 1000 + 12 * 3600);
  const planned = coreCurve(run, target, water, () => run.plan.air.si, seconds);
  const asRead =
    log && log.air.length > 1
      ? coreCurve(run, target, water, airAsRead(log.air, run.at, run.plan.air.si), seconds)
      : null;
  const bins = (series: Series): Bin[] => binned(series, run.at, Math.max(end, run.at + 1), points);
  const recent = log ? between(log.air, end - 6 * HOUR, end) : null;
  return {
    run,
    target,
    now,
    results: judgeRun(context, run),
    /** By either clock and either accuracy: the first is what counts. */
    ways: (['core', 'air'] as const).flatMap((clock) =>
      (['plain', 'strict'] as const).map((accuracy) => ({
        clock,
        accuracy,
        result: judgeRun(context, run, [cycleOf(profile, run.plan.cycle)], { clock, accuracy })[0]!
      }))
    ),
    accuracy: log?.accuracy ?? null,
    air: log ? bins(log.air) : [],
    core: log ? bins(log.core) : [],
    readings: log ? { air: log.air.length, core: log.core.length, hand: log.hand.length } : null,
    hand: log?.hand ?? [],
    /** Mean of the air in the last six hours, °C. */
    airNow: recent && recent.length > 0 ? recent.celsius.reduce((sum, each) => sum + each, 0) / recent.length : null,
    planned,
    asRead,
    mates: store.projections.livePieces().flatMap(({ state: { id, made, freezes } }) => {
      const theirs = running(freezes);
      return id === pieceId || theirs?.plan.place !== run.plan.place ? [] : [{ id, name: made.name, since: theirs.at }];
    })
  };
}
export type FreezeRunView = NonNullable<ReturnType<typeof freezeRunView>>;

/** A piece and all that came of it. */
function familyOf(room: Room, pieceId: string): PieceState[] {
  const out = new Map<string, PieceState>();
  const walk = (id: string) => {
    if (out.has(id)) return;
    const { state, children } = room.store.projections.piece(id);
    out.set(id, state);
    children.forEach(walk);
  };
  walk(pieceId);
  return [...out.values()];
}

/**
 * The record of a freezing on the premises, as the rule book asks for it: temperature, time, who, and how long it is kept, which
 * moves with the last service of the piece or of anything that came of it.
 */
export function freezingRecord(room: Room, pieceId: string) {
  const { store } = room;
  const now = presentOf(room);
  const { state, lot } = store.projections.piece(pieceId);
  const house = store.projections.currentHouse();
  const profile = rulesOf(house);
  const family = familyOf(room, pieceId);
  const served = family.flatMap((piece) => piece.served.map(({ at }) => at));
  const lastServed = served.length > 0 ? Math.max(...served) : null;
  const { keepDays } = profile.freezeRecords;
  return {
    piece: { id: state.id, name: state.made.name, grams: state.grams, made: state.made.at },
    lot: { id: lot.id, species: lot.received.species, supplier: lot.received.supplier },
    runs: state.freezes.map((run, index) => {
      const logs = store.projections.logs.book(now, now);
      const log = logs.run(run.plan.place, run.plan.coreSensor, run.at, run.ended?.at ?? now);
      const extremes = (series: Series | undefined) =>
        series && series.length > 0
          ? {
              min: series.celsius.reduce((a, b) => Math.min(a, b)),
              max: series.celsius.reduce((a, b) => Math.max(a, b))
            }
          : null;
      return {
        number: index + 1,
        run,
        results: judgeRun({ ...runContext(store, house, pieceId, run, now), logs }, run),
        air: extremes(log?.air),
        core: extremes(log?.core),
        readings: log ? { air: log.air.length, core: log.core.length } : null
      };
    }),
    rule: profile.freezeRecords,
    keepDays,
    lastServed,
    stillHere: family.some((piece) => !piece.gone),
    /** ISO day until which it is kept; null while nothing of it has been served. */
    keepUntil: lastServed === null ? null : addDays(businessDay(lastServed, house), keepDays),
    at: now
  };
}
export type FreezingRecord = ReturnType<typeof freezingRecord>;
