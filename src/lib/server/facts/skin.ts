import { effectiveEvents } from '../../core/record/amend.ts';
import type { Store } from '../store/store.ts';

/** Its skin was weighed as waste, off itself or off the fish it was cut from: both its faces lie open. A start for a bench, and no proof. */
export const isSkinned = ({ projections }: Store, piece: string): boolean =>
  projections
    .lineages(piece)
    .some(({ pieces }) =>
      pieces.some(({ events }) =>
        effectiveEvents(events).some((event) => event.kind === 'piece.wasted' && event.body.what === 'skin')
      )
    );
