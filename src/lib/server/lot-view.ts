import { z } from 'zod';
import { stateAt } from '../core/rules/window.ts';
import type { App } from './app.ts';
import { costOfPiece, costsOf, flowOf } from './costs.ts';
import { candidatesOfLot } from './lot-species.ts';
import { presentOf } from './views.ts';

export const LOT_PAGE = 50;
export const lotFields = z.object({
  id: z.string(),
  page: z.coerce.number().int().min(1).max(10_000).default(1),
  live: z.union([z.boolean(), z.enum(['1', ''])]).default('')
});

/** A lot and what became of it: a page of its pieces, its weights, its money, and the picture of both. */
export function lotView(app: App, asked: { id: string; page?: number; live?: boolean }) {
  const { store } = app;
  const { ties } = store.projections;
  const house = store.projections.currentHouse();
  const now = presentOf(app);
  const lot = store.projections.lot(asked.id);
  const live = asked.live ?? false;
  const count = ties.countOf(asked.id, live);
  const pages = Math.max(1, Math.ceil(count / LOT_PAGE));
  const page = Math.min(pages, asked.page ?? 1);
  const money = costsOf(app, asked.id);
  const depths = new Map<string, number>();
  for (const { id } of money.pieces) {
    const above = money.parents.get(id) ?? [];
    depths.set(id, above.length === 0 ? 0 : 1 + Math.max(...above.map((parent) => depths.get(parent) ?? 0)));
  }
  const byId = new Map(money.pieces.map((row) => [row.id, row]));
  const warn = house.warnMinutes * 60;
  const rows = ties.page(asked.id, live, LOT_PAGE, (page - 1) * LOT_PAGE).map((id) => {
    const { state, windows } = store.projections.piece(id);
    const row = byId.get(id)!;
    return {
      id,
      name: state.made.name,
      parents: state.made.parents,
      depth: depths.get(id) ?? 0,
      form: state.made.form,
      use: state.made.use,
      grade: state.made.grade,
      place: state.place?.place ?? '',
      grams: row.grams,
      left: row.left,
      gone: row.gone,
      windows: windows.map((window) => ({ ...window, state: stateAt(window, now, warn) })),
      in: costOfPiece(money, id)?.in ?? 0
    };
  });
  const sum = (pick: (row: (typeof money.pieces)[number]) => number) =>
    money.pieces.reduce((total, row) => total + pick(row), 0);
  const moved = (kinds: readonly string[]) =>
    sum(({ moves }) => moves.reduce((grams, { kind, grams: of }) => grams + (kinds.includes(kind) ? of : 0), 0));
  const cents = (pick: 'here' | 'served' | 'lost') => {
    let total = 0;
    for (const cost of money.costs.values()) total += cost[pick];
    return total;
  };
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
    grams: {
      prime: sum(({ grade, left }) => (grade === 'prime' ? left : 0)),
      byProduct: sum(({ grade, left }) => (grade === 'prime' ? 0 : left)),
      served: moved(['served']),
      waste: moved(['waste']),
      drip: moved(['drip', 'cure']),
      gap: moved(['gap', 'scale']),
      binned: moved(['binned'])
    },
    cents: { here: cents('here'), served: cents('served'), lost: cents('lost') },
    flow: flowOf(money)
  };
}
export type LotView = ReturnType<typeof lotView>;
