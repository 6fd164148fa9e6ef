import { z } from 'zod';
import { stateAt } from '../../core/codes/window.ts';
import type { Room } from '../room.ts';
import { costOfPiece, costsOf, flowOf, summaryOf } from '../facts/costs.ts';
import { candidatesOfLot } from '../facts/lot-species.ts';
import { returnableOf } from '../facts/returns.ts';
import { presentOf } from './now.ts';
import { numeric } from '../../core/fields/field.ts';

export const LOT_PAGE = 50;
export const lotFields = z.object({
  id: z.string(),
  page: numeric(1, 10_000, { whole: true, fallback: 1 }),
  live: z.union([z.boolean(), z.enum(['1', ''])]).default('')
});

/** A lot and what became of it: a page of its pieces, its weights, its money, and the picture of both. */
export function lotView(room: Room, asked: { id: string; page?: number; live?: boolean }) {
  const { store } = room;
  const { relations } = store.projections;
  const house = store.projections.currentHouse();
  const now = presentOf(room);
  const lot = store.projections.lot(asked.id);
  const live = asked.live ?? false;
  const count = relations.countOf(asked.id, live);
  const pages = Math.max(1, Math.ceil(count / LOT_PAGE));
  const page = Math.min(pages, asked.page ?? 1);
  const money = costsOf(room, asked.id);
  const { depths, grams, cents } = summaryOf(money);
  const warn = house.warnMinutes * 60;
  const rows = relations.page(asked.id, live, LOT_PAGE, (page - 1) * LOT_PAGE).map((id) => {
    const { state, windows } = store.projections.piece(id);
    const cost = costOfPiece(money, id);
    return {
      id,
      name: state.made.name,
      parents: state.made.parents,
      depth: depths.get(id) ?? 0,
      form: state.made.form,
      use: state.made.use,
      grade: state.made.grade,
      place: state.place?.place ?? '',
      grams: state.made.mass.si,
      left: state.grams,
      gone: state.gone?.how ?? null,
      windows: windows.map((window) => ({ ...window, state: stateAt(window, now, warn) })),
      in: cost?.in ?? 0
    };
  });
  return {
    lot,
    species: candidatesOfLot(lot, house).map(({ id, name }) => ({ id, name })),
    live,
    page,
    pages,
    count,
    rows,
    tied: money.lots.filter((id) => id !== asked.id),
    unpriced: money.unpriced,
    currency: money.currency,
    grams,
    cents,
    back: returnableOf(store, asked.id, money.pieces),
    flow: flowOf(money)
  };
}
export type LotView = ReturnType<typeof lotView>;
