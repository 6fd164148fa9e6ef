import type { HouseState } from '../core/record/house.ts';
import type { Clock } from './clock.ts';
import type { Store } from './store/store.ts';

/** As much of the running house as whatever only reads asks of it. */
export interface Room {
  readonly store: Store;
  readonly clock: Clock;
}

/** The house as it stands at a moment, ms: what a plan is read against, before it is done and when it is. */
export interface Standing {
  readonly store: Store;
  readonly house: HouseState;
  readonly now: number;
}

/** The house as it stands now. */
export const standing = ({ store, clock }: Room): Standing => ({
  store,
  house: store.projections.currentHouse(),
  now: clock.now()
});

/** Who wrote what was written before anybody had said who they are. */
export const NOBODY = 'nobody';
