import type { BodyOf } from '../../record/events.ts';
import { houseSlice, put } from '../../record/house-slice.ts';
import { changeLast, pieceSlice } from '../../record/slice.ts';
import { asReading, stamp, type Reading, type Stamped } from '../../record/stamped.ts';

export interface Hold extends Stamped {
  readonly plan: BodyOf<'hold.started'>;
  readonly readings: readonly Reading[];
}

export const traySlice = pieceSlice<{ holds: Hold[]; served: (Stamped & BodyOf<'piece.served'>)[] }>({
  start: () => ({ holds: [], served: [] }),
  on: {
    'hold.started': ({ holds }, event, piece) => {
      holds.push({ ...stamp(event), plan: event.body, readings: [] });
      // From here the tray's own clock runs, and counts every minute.
      piece.comesBack(event, event.body.startCore);
      piece.leavesPlace(event);
    },
    'hold.read': ({ holds }, event) =>
      changeLast(holds, ({ readings }) => ({ readings: [...readings, asReading(event, event.body.reading)] })),
    'piece.benched': (_, event, piece) => piece.wasOut(event, event.body.ms),
    'piece.served': ({ served }, event, piece) => {
      served.push({ ...stamp(event), ...event.body });
      piece.grams -= event.body.mass.si;
      piece.leave('served', event);
    },
    'piece.discarded': (_, event, piece) => {
      piece.grams -= event.body.mass ? event.body.mass.si : piece.grams;
      piece.leave('discarded', event);
    }
  }
});

/** A party at the counter, and what it has had, course by course. */
export type Party = Omit<BodyOf<'party.set'>, 'closed'> & {
  readonly sent: readonly (Stamped & BodyOf<'party.sent'>)[];
};
export interface PartyBooks {
  readonly parties: Readonly<Record<string, Party>>;
}
export const partyBooks = houseSlice<PartyBooks>({
  start: { parties: {} },
  on: {
    'party.set': ({ parties }, { body: { closed, ...own } }) => ({
      parties: put(parties, { ...own, sent: parties[own.id]?.sent ?? [] }, closed)
    }),
    'party.sent': ({ parties }, event) => {
      const party = parties[event.body.id];
      if (!party) return {};
      const sent = [...party.sent, { ...stamp(event), ...event.body }];
      return { parties: put(parties, { ...party, sent }, false) };
    }
  }
});
