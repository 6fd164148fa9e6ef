import { z } from 'zod';
import { listedAs } from '../../core/activity/cold/places.ts';
import { EmberError } from '../../core/errors.ts';
import { CORRECTIVE, EXCURSION_KINDS, PLACE_KINDS } from '../../core/activity/cold/bodies.ts';
import { AIR_CLASS_IDS } from '../../core/activity/freeze/lists.ts';
import type { Place } from '../../core/activity/cold/fold.ts';
import type { HouseState } from '../../core/record/house.ts';
import { excursionsIn } from '../facts/excursions.ts';
import { chunksOf, sensorNamed } from '../store/readings.ts';
import { sha256 } from '../store/open.ts';
import { isAlike } from '../../core/fields/plain.ts';
import { draft, type Draft } from '../store/record.ts';
import type { Store } from '../store/store.ts';
import {
  choice,
  list,
  neededText,
  numeric,
  optionalDay,
  optionalNumeric,
  optionalQuantity,
  quantity,
  shortText,
  TEMPERATURE,
  ticked,
  when
} from '../../core/fields/field.ts';
import { bookId } from '../input/book-id.ts';
import { operation } from './operation.ts';
import { notNow } from './not-now.ts';

/** How the air of a kind of place moves where nobody says otherwise. */
const USUAL_AIR: Partial<Record<Place['kind'], (typeof AIR_CLASS_IDS)[number]>> = {
  blast: 'blast',
  cabinet: 'fan',
  display: 'fan',
  fridge: 'fan'
};

/** A place of the house by its name. @throws EmberError `place.unknown` */
export function placeNamed(house: Pick<HouseState, 'places'>, name: string): Place {
  const found = listedAs(house, name);
  if (!found) throw new EmberError('place.unknown', { field: 'place', seen: name });
  return found;
}

/** The id of what is named for the first time, or again: never one that another of its kind bears or bore. */
function idFor(names: Readonly<Record<string, string>>, name: string): string {
  const wanted = bookId(name);
  for (let counter = 1; ; counter++) {
    const id = counter === 1 ? wanted : `${wanted}-${counter}`;
    const bearer = names[id];
    if (bearer === undefined || bearer.toLowerCase() === name.toLowerCase()) return id;
  }
}

export const setPlace = operation({
  name: 'set-place',
  page: '/freeze/places',
  summary:
    'Name a place where pieces lie: its kind, set point, air, room and machine. Or call it otherwise, or take it off the list.',
  input: z.object({
    id: shortText(60).describe('which place to change or to call otherwise; left out, the one of that name'),
    name: neededText(60),
    kind: z.enum(PLACE_KINDS).default('drawer'),
    setPoint: optionalQuantity('temperature', { min: -90, max: 30 }),
    airClass: z.union([z.literal(''), z.enum(AIR_CLASS_IDS)]).default(''),
    litres: optionalNumeric(1, 100_000).describe('room of it, litres'),
    watts: optionalNumeric(1, 100_000).describe('heat its machine carries off, W'),
    warnAbove: optionalQuantity('temperature', { min: -90, max: 30 }),
    graceMinutes: numeric(0, 720, { unit: 'min', fallback: 30 }),
    withdraw: ticked
  }),
  subject: () => 'house',
  run({ house, now }, input) {
    const bearer = listedAs(house, input.name);
    const known = input.id === '' ? bearer : house.places[input.id];
    if (!known && input.id !== '') throw new EmberError('place.unknown', { field: 'id', seen: input.id });
    if (!known && input.withdraw) throw new EmberError('place.unknown', { field: 'name', seen: input.name });
    // Nor that of one taken off the list: what lies there must not seem to lie in the one that takes its name.
    const taken = Object.entries(house.placeNames).find(([id, name]) => id !== known?.id && isAlike(name, input.name));
    if (known && taken) throw new EmberError('place.name-taken', { field: 'name', seen: taken[1] });
    const { kind, setPoint, litres, watts, warnAbove, graceMinutes } = input;
    const own = {
      id: known?.id ?? idFor(house.placeNames, input.name),
      name: input.id === '' ? (known?.name ?? input.name) : input.name,
      kind,
      cold: kind !== 'bench',
      setPoint,
      airClass: input.airClass || (USUAL_AIR[kind] ?? 'still'),
      litres,
      watts,
      warnAbove,
      graceMinutes
    };
    const body = input.withdraw ? known! : own;
    return {
      events: [draft('place.set', 'house', now, { ...body, withdrawn: input.withdraw })],
      result: { place: own.id }
    };
  }
});

export const setSensor = operation({
  name: 'set-sensor',
  page: '/freeze/places',
  summary:
    'Name a sensor: where it stands, air or core, how accurate, calibrated when. Or call it otherwise, or take it off the list.',
  input: z.object({
    id: shortText(60).describe('which sensor to change or to call otherwise; left out, the one of that name'),
    name: neededText(60),
    place: shortText(60).describe('name of a place; empty for none yet'),
    probe: choice(['air', 'core'], 'air'),
    accuracy: numeric(0, 5, { unit: '°C', fallback: 0.5 }).describe('± °C'),
    calibratedOn: optionalDay,
    withdraw: ticked
  }),
  subject: () => 'house',
  run({ house, now }, input) {
    const bearer = Object.values(house.sensors).find(({ name }) => isAlike(name, input.name));
    const known = input.id === '' ? bearer : house.sensors[input.id];
    if (!known && input.id !== '') throw new EmberError('sensor.unknown', { field: 'id', seen: input.id });
    if (input.withdraw && !known) throw new EmberError('sensor.unknown', { field: 'name', seen: input.name });
    if (bearer && bearer.id !== known?.id)
      throw new EmberError('place.name-taken', { field: 'name', seen: bearer.name });
    const id = known?.id ?? idFor(house.sensorNames, input.name);
    const name = input.id === '' ? (known?.name ?? input.name) : input.name;
    const place = input.place === '' ? '' : placeNamed(house, input.place).name;
    const { probe, accuracy, calibratedOn } = input;
    const own = { id, name, place, probe, accuracy, calibratedOn };
    return {
      events: [draft('sensor.set', 'house', now, { ...(input.withdraw ? known! : own), withdrawn: input.withdraw })],
      result: { sensor: id }
    };
  }
});

export const keyDevice = operation({
  name: 'key-device',
  page: '/freeze/places',
  summary:
    'Let a logger send readings of some sensors. Its key is made here and said once, in the answer; only its hash is kept. A logger of that name gets a new one, and the old one is worth nothing from then on.',
  input: z.object({ name: neededText(60), sensors: list(60).describe('names of the sensors it sends for') }),
  subject: () => 'house',
  saysOnce: 'key',
  run({ house, now, secret }, input) {
    if (input.sensors.length === 0) throw new EmberError('form.incomplete', { field: 'sensors' });
    const id = bookId(input.name);
    const key = secret();
    const sensors = input.sensors.map((each) => sensorNamed(house.sensors, each).id);
    return {
      events: [draft('device.keyed', 'house', now, { id, name: input.name, keyHash: sha256(key), sensors })],
      result: { device: id, key: key as string | null }
    };
  }
});

export const revokeDevice = operation({
  name: 'revoke-device',
  page: '/freeze/places',
  summary: "Take a logger's key back: from now on its readings are refused.",
  input: z.object({ device: neededText(60), reason: neededText(200) }),
  subject: () => 'house',
  run({ house, now }, input) {
    if (!house.devices[input.device])
      throw new EmberError('device.key-unknown', { field: 'device', seen: input.device });
    return {
      events: [draft('device.revoked', 'house', now, { id: input.device, reason: input.reason })],
      result: { device: input.device }
    };
  }
});

export const readPlace = operation({
  name: 'read-place',
  page: '/freeze/places',
  summary: 'Write down what the thermometer of a place shows; your name stands for your initials.',
  input: z.object({ place: neededText(60), reading: quantity('temperature', TEMPERATURE), at: when }),
  run({ house, instant }, input) {
    const place = placeNamed(house, input.place);
    const at = instant(input.at, 'at');
    return {
      events: [draft('place.read', `place:${place.id}`, at, { place: place.name, reading: input.reading })],
      places: [place.name],
      result: { place: place.id }
    };
  }
});

export const closeExcursion = operation({
  name: 'close-excursion',
  page: '/freeze/places',
  summary:
    'Deal with an alarm of a cold place: what was done, by whom. One that is still going on cannot be dealt with.',
  input: z.object({
    place: neededText(60),
    kind: z.enum(EXCURSION_KINDS),
    from: numeric(0, Number.MAX_SAFE_INTEGER).describe('when it began, ms'),
    action: z.enum(CORRECTIVE),
    note: neededText(300).describe('what was found and done')
  }),
  run({ store, now }, input) {
    const found = excursionsIn(store, now).find(
      (each) =>
        each.place === input.place && each.kind === input.kind && Math.round(each.from) === Math.round(input.from)
    );
    if (!found || found.closed) throw new EmberError('excursion.unknown', { field: 'place', seen: input.place });
    if (found.to === null) throw notNow('place', 'still-lasts');
    const { place, kind, from, to, peak, pieces } = found;
    const { action, note } = input;
    return {
      events: [
        draft('excursion.closed', found.subject, now, {
          place,
          kind,
          from,
          to,
          peak,
          pieces: [...pieces],
          action,
          note
        })
      ],
      result: { place, kind, from }
    };
  }
});

/** Seals what loggers sent and is not yet in the chain: before something is decided by it. */
export function sealed(store: Store, sensors: readonly string[], house: HouseState, now: number): Draft[] {
  return sensors.flatMap((sensor) => {
    const { series, came, origin } = store.readings.takeTail(sensor);
    const chunks = chunksOf(sensor, series, house, { source: 'live', origin, clockOffsetSeconds: 0 }, came);
    return chunks.map((chunk) => draft('readings.stored', `sensor:${sensor}`, now, store.readings.keep(chunk, now)));
  });
}
