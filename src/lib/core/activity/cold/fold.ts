import type { BodyOf } from '../../record/events.ts';
import { houseSlice, put } from '../../record/house-slice.ts';
import { pieceSlice } from '../../record/slice.ts';
import { asReading, stamp, type Reading, type Stamped } from '../../record/stamped.ts';

/** Cores that were read of a piece in the cold. */
export const coldSlice = pieceSlice<{ readings: Reading[] }>({
  start: () => ({ readings: [] }),
  on: { 'cold.read': ({ readings }, event) => void readings.push(asReading(event, event.body.reading)) }
});

export type Sensor = Omit<BodyOf<'sensor.set'>, 'withdrawn'>;
export type Device = BodyOf<'device.keyed'> & { readonly revoked: (Stamped & { readonly reason: string }) | null };
export type Place = Omit<BodyOf<'place.set'>, 'withdrawn'>;
/** Since when, and until when, a place stood on the list as a cold one; ms. Once it is called otherwise, so is the span. */
export interface ColdSpan {
  readonly id: string;
  readonly name: string;
  readonly from: number;
  /** null while it stands there. */
  readonly to: number | null;
}
/** Places, and what measures the cold: sensors, and the loggers that may send their readings. */
export interface ColdBooks {
  readonly places: Readonly<Record<string, Place>>;
  /** What each was called last, by id: also those that were taken off the list. */
  readonly placeNames: Readonly<Record<string, string>>;
  readonly coldSpans: readonly ColdSpan[];
  readonly sensors: Readonly<Record<string, Sensor>>;
  /** What each was called last, by id: also those that were taken off the list. */
  readonly sensorNames: Readonly<Record<string, string>>;
  readonly devices: Readonly<Record<string, Device>>;
}
export const coldBooks = houseSlice<ColdBooks>({
  start: { places: {}, placeNames: {}, coldSpans: [], sensors: {}, sensorNames: {}, devices: {} },
  on: {
    'place.set': ({ places, placeNames, coldSpans }, event) => {
      const { withdrawn, ...own } = event.body;
      const before = places[own.id];
      const isCold = own.cold && !withdrawn;
      const at = event.happened;
      const staysCold = before?.cold === true && isCold;
      const spans = coldSpans.map((span) => {
        if (span.id !== own.id) return span;
        return { ...span, name: own.name, to: !staysCold && span.to === null ? at : span.to };
      });
      return {
        places: put(places, own, withdrawn),
        placeNames: { ...placeNames, [own.id]: own.name },
        coldSpans: isCold && !staysCold ? [...spans, { id: own.id, name: own.name, from: at, to: null }] : spans
      };
    },
    'sensor.set': ({ sensors, sensorNames }, event) => {
      const { withdrawn, ...own } = event.body;
      return {
        sensors: put(sensors, own, withdrawn),
        sensorNames: { ...sensorNames, [own.id]: own.name }
      };
    },
    'device.keyed': ({ devices }, { body }) => ({ devices: { ...devices, [body.id]: { ...body, revoked: null } } }),
    'device.revoked': ({ devices }, event) => {
      const known = devices[event.body.id];
      if (!known) return {};
      const revoked = { ...stamp(event), reason: event.body.reason };
      return { devices: { ...devices, [known.id]: { ...known, revoked } } };
    }
  }
});
