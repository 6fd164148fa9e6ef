import { allocate, parentsFirst, type PieceCost } from '../../core/bench/breakdown/cost.ts';
import { massAndMoney } from '../../core/bench/breakdown/flow.ts';
import type { Room } from '../room.ts';
import type { Store } from '../store/store.ts';
import type { FlowRow } from '../store/relations.ts';

export interface Costs {
  /** The lot and every lot its batches tie it to. */
  readonly lots: readonly string[];
  readonly pieces: readonly FlowRow[];
  readonly parents: ReadonlyMap<string, readonly string[]>;
  readonly costs: ReadonlyMap<string, PieceCost>;
  /** Lots whose price nobody wrote down: they count as nothing, and the sum is too low. */
  readonly unpriced: readonly string[];
  readonly currency: string;
}

/** What a lot cost, followed into every piece that came from it, in whole cents. */
export function costsOf({ store }: Room, lotId: string): Costs {
  const { relations } = store.projections;
  const lots = relations.tiedLots(lotId);
  let kept = keptOf.get(store);
  if (!kept) keptOf.set(store, (kept = new Map()));
  const key = lots.join(' ');
  // A page is asked for more often than a lot changes. What a lot is priced at stands in its own state.
  const version = `${relations.versionOf(lots)} ${lots.map((lot) => store.projections.lot(lot).lastSeq).join(' ')}`;
  const known = kept.get(key);
  if (known?.version === version) return known.costs;
  const costs = compute(store, lots);
  kept.delete(key);
  kept.set(key, { version, costs });
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!);
  return costs;
}

const MOST_KEPT = 24;
const keptOf = new WeakMap<Store, Map<string, { version: string; costs: Costs }>>();

function compute(store: Store, lots: readonly string[]): Costs {
  const { relations } = store.projections;
  const parents = relations.parentsIn(lots);
  const pieces = parentsFirst(relations.flowOf(lots), parents);
  const unpriced: string[] = [];
  const roots = new Map<string, number>();
  let currency = '';
  for (const lot of lots) {
    const { received } = store.projections.lot(lot);
    if (received.pricePerKg === null) unpriced.push(lot);
    currency ||= received.currency;
    const root = pieces.find((piece) => piece.lot === lot && !parents.has(piece.id));
    if (root) roots.set(root.id, Math.round(((received.pricePerKg ?? 0) * received.mass.si) / 10));
  }
  return { lots, pieces, parents, costs: allocate(pieces, roots), unpriced, currency };
}

const rowsOf = new WeakMap<Costs, Map<string, FlowRow>>();
function rowOf(of: Costs, id: string): FlowRow | undefined {
  let rows = rowsOf.get(of);
  if (!rows) rowsOf.set(of, (rows = new Map(of.pieces.map((piece) => [piece.id, piece]))));
  return rows.get(id);
}

/** What one piece bears now, what it came in with, and what a gram of it costs. */
export function costOfPiece(of: Costs, id: string) {
  const cost = of.costs.get(id);
  const row = rowOf(of, id);
  if (!cost || !row) return null;
  return {
    in: cost.in,
    here: cost.here,
    served: cost.served,
    lost: cost.lost,
    returned: cost.returned,
    grams: row.grams,
    left: row.left,
    /** Cents a gram; null where nothing is left, or nothing was paid. */
    perGram: row.left > 0 && cost.here > 0 ? cost.here / row.left : null,
    priced: of.unpriced.length === 0,
    currency: of.currency
  };
}

const flows = new WeakMap<Costs, ReturnType<typeof massAndMoney>>();
/** Mass and money of these costs as a picture; drawn once for each. */
export function flowOf(of: Costs): ReturnType<typeof massAndMoney> {
  let flow = flows.get(of);
  if (!flow) flows.set(of, (flow = massAndMoney(of.pieces, of.parents, of.costs)));
  return flow;
}

const SUMS = {
  waste: ['waste'],
  drip: ['drip', 'cure'],
  gap: ['gap', 'scale'],
  served: ['served'],
  binned: ['binned'],
  returned: ['returned']
} as const;
type Totals = Record<keyof typeof SUMS | 'prime' | 'byProduct', number>;
interface Summary {
  /** How many cuts each piece lies from its lot's first. */
  readonly depths: ReadonlyMap<string, number>;
  readonly grams: Totals;
  readonly cents: { readonly here: number; readonly served: number; readonly lost: number; readonly returned: number };
}
const summaries = new WeakMap<Costs, Summary>();

/** Where all grams and cents of these lots are, and how deep each piece lies; added up once for each state of them. */
export function summaryOf(of: Costs): Summary {
  const known = summaries.get(of);
  if (known) return known;
  const depths = new Map<string, number>();
  const kinds = new Map<string, keyof typeof SUMS>(
    Object.entries(SUMS).flatMap(([name, all]) => all.map((kind) => [kind, name as keyof typeof SUMS] as const))
  );
  const grams: Totals = { prime: 0, byProduct: 0, waste: 0, drip: 0, gap: 0, served: 0, binned: 0, returned: 0 };
  for (const { id, grade, left, moves } of of.pieces) {
    const above = of.parents.get(id) ?? [];
    depths.set(
      id,
      above.reduce((most, parent) => Math.max(most, 1 + (depths.get(parent) ?? 0)), 0)
    );
    grams[grade === 'prime' ? 'prime' : 'byProduct'] += left;
    for (const move of moves) {
      const kind = kinds.get(move.kind);
      if (kind) grams[kind] += move.grams;
    }
  }
  const cents = { here: 0, served: 0, lost: 0, returned: 0 };
  for (const cost of of.costs.values()) {
    cents.here += cost.here;
    cents.served += cost.served;
    cents.lost += cost.lost;
    cents.returned += cost.returned;
  }
  const summary = { depths, grams, cents };
  summaries.set(of, summary);
  return summary;
}
