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
/** Places, and what measures the cold: sensors, and the loggers that may send their readings. */
export interface ColdBooks {
  readonly places: Readonly<Record<string, Place>>;
  /** Since when, and until when, a name stood on the list as a cold place; ms. */
  readonly coldSpans: readonly { readonly name: string; readonly from: number; readonly to: number }[];
  readonly sensors: Readonly<Record<string, Sensor>>;
  readonly devices: Readonly<Record<string, Device>>;
}
export const coldBooks = houseSlice<ColdBooks>({
  start: { places: {}, coldSpans: [], sensors: {}, devices: {} },
  on: {
    'place.set': ({ places, coldSpans }, event) => {
      const { withdrawn, ...own } = event.body;
      const before = places[own.id];
      const isCold = own.cold && !withdrawn;
      const at = event.happened;
      const staysCold = before?.cold === true && isCold && before.name === own.name;
      const spans = coldSpans.map((span) =>
        !staysCold && span.name === before?.name && span.to === Infinity ? { ...span, to: at } : span
      );
      return {
        places: put(places, own, withdrawn),
        coldSpans: isCold && !staysCold ? [...spans, { name: own.name, from: at, to: Infinity }] : spans
      };
    },
    'sensor.set': ({ sensors }, event) => {
      const { withdrawn, ...own } = event.body;
      return { sensors: put(sensors, own, withdrawn) };
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
