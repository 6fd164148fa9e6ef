import type { FlowRow } from '../store/relations.ts';
import type { Store } from '../store/store.ts';

/** What of a lot goes back, or went, g; and what stays behind because the house put work into it. */
export interface Returnable {
  readonly grams: number;
  readonly stays: readonly { readonly id: string; readonly name: string }[];
}

function among(store: Store, lot: string, pieces: readonly FlowRow[]): Returnable {
  const { relations } = store.projections;
  let grams = 0;
  const stays: { id: string; name: string }[] = [];
  for (const { id, name, lot: of, left, gone, staysBehind, moves } of pieces) {
    if (of !== lot) continue;
    for (const move of moves) if (move.kind === 'returned') grams += move.grams;
    // A batch of several lots goes back with none of them.
    if (gone !== null || relations.lotsOf(id).length > 1) continue;
    if (staysBehind) stays.push({ id, name });
    else grams += left;
  }
  return { grams, stays };
}

/** What of a lot would go back now, and what went already. */
export const returnable = (store: Store, lot: string): Returnable =>
  among(store, lot, store.projections.relations.flowOf([lot]));

const known = new WeakMap<readonly FlowRow[], Map<string, Returnable>>();
/** The same from pieces that were read already; added up once for each state of them. */
export function returnableOf(store: Store, lot: string, pieces: readonly FlowRow[]): Returnable {
  let kept = known.get(pieces);
  if (!kept) known.set(pieces, (kept = new Map()));
  let back = kept.get(lot);
  if (!back) kept.set(lot, (back = among(store, lot, pieces)));
  return back;
}
