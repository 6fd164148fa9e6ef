import { DAY } from '../../core/measure/spans.ts';
import { foldLineages } from '../../core/rules/verdict.ts';
import type { FishFacts } from '../../core/service/table.ts';
import type { LotState } from '../../core/record/lot.ts';
import type { PieceState } from '../../core/record/piece.ts';
import type { Store } from '../store/store.ts';

function factsOf({ received }: LotState, chain: readonly PieceState[], now: number): FishFacts {
  const { source, area, faoArea, gear, killing, previouslyFrozen } = received;
  const wasFrozen = received.frozen || previouslyFrozen === 'yes' || chain.some(({ freezes }) => freezes.length > 0);
  // A piece cut from one that hung has hung as long.
  const agedMs = chain
    .flatMap(({ ages }) => ages)
    .reduce((sum, { at, ended }) => sum + Math.max(0, (ended?.at ?? now) - at), 0);
  return {
    source,
    area: [area, faoArea && `FAO ${faoArea}`].filter(Boolean).join(', '),
    gear,
    killing,
    frozen: wasFrozen ? 'yes' : previouslyFrozen,
    agedDays: agedMs / DAY
  };
}

/** What a piece can be asked at the table at a moment, of each lot it came from. */
export const factsOfPiece = (store: Store, id: string, now: number): FishFacts[] =>
  foldLineages(store.projections.lineages(id), {
    house: store.projections.currentHouse(),
    at: now,
    knownAt: Infinity
  }).map(({ lot, chain }) => factsOf(lot, chain, now));
