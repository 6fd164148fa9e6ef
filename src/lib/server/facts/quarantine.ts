import type { Store } from '../store/store.ts';

/** Refused readings of which the ledger has not been told yet, by sensor and cause. */
export const waitingQuarantine = (store: Store) =>
  store.db
    .prepare<[], { sensor: string; cause: string; place: string; count: number }>(
      'SELECT sensor, cause, place, count FROM quarantine_tail WHERE count > 0 ORDER BY sensor, cause'
    )
    .all();
