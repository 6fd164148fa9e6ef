import { z } from 'zod';
import { whyItMatters } from '../../core/codes/ambiguity.ts';
import { catalogueOf } from '../../core/fish/house-species.ts';
import { LOOKALIKES } from '../../core/fish/lookalikes.ts';
import { speciesCalled } from '../../core/fish/species.ts';
import { gradeOf } from '../../core/inspect/score.ts';
import type { LotState } from '../../core/record/lot.ts';
import { SHEET_IDS, SHEETS, sheetIn } from '../../core/inspect/sheets.ts';
import { profileById } from '../../core/codes/profiles/index.ts';
import type { Room } from '../room.ts';
import { candidatesOfLot } from '../facts/lot-species.ts';
import { answersFrom, appraise, sheetForLot } from '../plans/inspect.ts';
import { presentOf } from './now.ts';

export const inspectionFields = z
  .object({ lot: z.string(), sheet: z.enum(SHEET_IDS).optional() })
  .catchall(z.string())
  .describe('one field "level-<attribute>" each: 0 to 3, or "unseen"; the rest counts as unseen');

/** What a sheet says so far: what has not been looked at yet counts as unseen. */
export function inspectionPreview(room: Room, input: z.infer<typeof inspectionFields>) {
  const { store } = room;
  const house = store.projections.currentHouse();
  const lot = store.projections.lot(input.lot);
  const sheetId = input.sheet ?? sheetForLot(lot, house);
  const given = answersFrom(input);
  const answers = Object.fromEntries(
    SHEETS.find(({ id }) => id === sheetId)!.attributes.map(({ id }) => [id, given[id] ?? null])
  );
  const { score, iceDays, recommended } = appraise(store, house, lot, sheetId, answers, presentOf(room));
  return { score, iceDays, recommended, rawShare: house.rawShareOfIceDays };
}

/** Everything the inspection of a lot needs. */
export function inspectView(room: Room, lotId: string, asked?: string) {
  const { store } = room;
  const house = store.projections.currentHouse();
  const lot = store.projections.lot(lotId);
  const candidates = candidatesOfLot(lot, house);
  const sheetId = SHEET_IDS.find((id) => id === asked) ?? sheetForLot(lot, house);
  const ids = new Set(lot.received.candidates);
  return {
    lot,
    version: store.record.versionOf(`lot:${lotId}`),
    piece: store.projections.piecesOfLot(lotId)[0]?.state.id ?? null,
    sheet: sheetIn(house.sheets, sheetId),
    sheets: SHEETS.map(({ id, name }) => ({ id, name })),
    candidates: candidates.map(({ id, name, scientific, handling, iceDays }) => ({
      id,
      name,
      scientific,
      handling,
      iceDays
    })),
    settled: lot.species.length === 1,
    supplierBlocks: sheetId === 'block' ? blocksOf(room, lot) : [],
    // Only look-alikes among what it may be; where nothing was named, all of them.
    lookalikes: LOOKALIKES.map((group) => ({
      ...group,
      members: group.members.filter(({ species }) => ids.size === 0 || ids.has(species))
    })).filter(({ members }) => members.length > 0)
  };
}

/** Blocks of this supplier as they were judged: grade and price, newest first, so that neither is argued from memory. */
function blocksOf({ store }: Room, { received }: LotState) {
  return store.projections
    .lots()
    .filter(({ received: other }) => other.supplier === received.supplier && other.at <= received.at)
    .flatMap((lot) => {
      const sheet = lot.inspections.filter((each) => each.sheet === 'block').at(-1);
      const { species, at, pricePerKg, currency } = lot.received;
      return sheet ? [{ lot: lot.id, species, at, grade: gradeOf(sheet), pricePerKg, currency }] : [];
    })
    .sort((a, b) => b.at - a.at)
    .slice(0, 12);
}

export const meaningFields = z.object({ name: z.string().min(1).max(80) });

/** Species that answer to a market name, and on which points they are judged differently. */
export function meaningsOf(room: Room, input: z.infer<typeof meaningFields>) {
  const house = room.store.projections.currentHouse();
  const senses = speciesCalled(input.name, catalogueOf(house.species));
  return {
    meanings: whyItMatters(senses, profileById(house.profile, house.profiles)).map(({ species, points }) => ({
      id: species.id,
      name: species.name,
      scientific: species.scientific,
      points
    }))
  };
}
