import type { HouseDocument } from '../../codes/documents.ts';
import type { HouseProfile } from '../../codes/profiles/house.ts';
import { DEFAULT_RAW_SHARE_OF_ICE_DAYS } from '../../fish/freshness.ts';
import type { HouseSpeciesBook } from '../../fish/house-species.ts';
import type { HouseSheet } from '../../inspect/sheets.ts';
import { DEFAULT_PREFERENCES } from '../../measure/units.ts';
import type { BodyOf } from '../../record/events.ts';
import { houseSlice } from '../../record/house-slice.ts';
import { stamp, type Stamped } from '../../record/stamped.ts';

export type HouseSettings = BodyOf<'house.set'>;
/** How the house is set, and its own words on species, rules, sheets, notice and documents. */
export type HouseBooks = HouseSettings & {
  /** Species as this house has them, where it differs from what ships. */
  readonly species: HouseSpeciesBook;
  /** Rule profiles of the house's own. */
  readonly profiles: Readonly<Record<string, HouseProfile>>;
  readonly sheets: Readonly<Record<string, HouseSheet>>;
  /** The raw-food notice in the house's words; null for the shipped text. */
  readonly notice: (Stamped & { readonly text: string }) | null;
  /** What the authority allows the house, by documents on file. */
  readonly documents: Readonly<Record<string, HouseDocument>>;
};

/** A house before anybody has set anything. Zone UTC on purpose: a wrong guess would move every day mark. */
const UNSET: HouseSettings = {
  name: 'New house',
  profile: 'us-fc',
  zone: 'UTC',
  dayEndsHour: 4,
  units: DEFAULT_PREFERENCES,
  currency: 'EUR',
  countFromCore: true,
  strictAccuracy: false,
  warnMinutes: 120,
  rawShareOfIceDays: DEFAULT_RAW_SHARE_OF_ICE_DAYS,
  dateMarkDays: 7,
  susceptibleGuests: false
};

export const houseBooks = houseSlice<HouseBooks>({
  start: { ...UNSET, species: {}, profiles: {}, sheets: {}, notice: null, documents: {} },
  on: {
    'house.set': (_, { body }) => body,
    'species.set': ({ species }, { body, actor: by, seq }) => {
      const { [body.id]: _, ...others } = species;
      const { withdrawn, ...own } = body;
      return { species: withdrawn ? others : { ...others, [own.id]: { ...own, by, seq } } };
    },
    'profile.set': ({ profiles }, { body, actor: by, seq }) => ({
      profiles: { ...profiles, [body.id]: { ...body, by, seq } }
    }),
    'sheet.set': ({ sheets }, { body, actor: by, seq }) => ({ sheets: { ...sheets, [body.id]: { ...body, by, seq } } }),
    'notice.set': (_, event) => ({
      notice: event.body.text === '' ? null : { ...stamp(event), text: event.body.text }
    }),
    'document.filed': ({ documents }, { body, seq, happened: at }) => {
      const { reason: _, ...own } = body;
      return { documents: { ...documents, [own.id]: { ...own, seq, at } } };
    }
  }
});
