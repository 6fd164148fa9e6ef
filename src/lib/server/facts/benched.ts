import { stateAt, type Route } from '../../core/codes/window.ts';
import type { RecordEvent } from '../../core/record/events.ts';
import { foldLineages, judge, type Lineage } from '../../core/rules/verdict.ts';
import { draft, type Draft } from '../store/record.ts';
import type { Store } from '../store/store.ts';

/** A piece's entries, and the minutes it lies out to be cut for a plate: one that spends the last of them is not served. */
export function withBenched({ projections, record }: Store, piece: string, benched?: Draft): readonly Lineage[] {
  const lineages = projections.lineages(piece);
  if (!benched) return lineages;
  const { seq, recorded } = record.head();
  const event = { ...benched, seq: seq + 1, recorded, actor: '' } as RecordEvent;
  return lineages.map((lineage) => ({
    ...lineage,
    pieces: lineage.pieces.map((each) => (each.id === piece ? { ...each, events: [...each.events, event] } : each))
  }));
}

/** Whether a block may still lie out so long for a plate, ms, and be served by a route then. */
export function mayBeCut(store: Store, piece: string, route: Route, ms: number, at: number): boolean {
  const { projections } = store;
  // What never lay out has all its time.
  if (ms <= 0 || projections.piece(piece).state.outs.length === 0) return true;
  const benched = draft('piece.benched', `piece:${piece}`, at, { ms, dish: '' });
  const { windows } = judge(
    foldLineages(withBenched(store, piece, benched), {
      house: projections.currentHouse(),
      at,
      knownAt: Infinity,
      logs: projections.logs.book(at, Infinity)
    })
  );
  const window = windows.find((each) => each.route === route);
  return window !== undefined && ['open', 'ebbing'].includes(stateAt(window, at, 0));
}
