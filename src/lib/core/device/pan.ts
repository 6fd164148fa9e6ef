/** What the scale said at a moment. */
export interface PanReading {
  readonly grams: number;
  /** By the scale itself. */
  readonly stable: boolean;
  /** ms */
  readonly at: number;
}

/** How a pan is read without a hand on the glass. */
export interface PanHabits {
  /** The scale's interval, g: less than two of it is flicker. */
  readonly interval: number;
  /** A weight that stood still so long is meant, ms: a hand that lays it down leaves sooner than that. */
  readonly settleMs: number;
  /** Less than this is a drop of water. g */
  readonly least: number;
}
export const PAN_HABITS: PanHabits = { interval: 1, settleMs: 1000, least: 5 };

/** What a pan is known to hold. */
export interface PanState {
  /** The weight that stands still, and since when; null while it moves. g, ms */
  readonly resting: { readonly grams: number; readonly since: number } | null;
  /** What was weighed last and lies there still; null for an empty pan. g */
  readonly taken: number | null;
}
export const PAN_UNKNOWN: PanState = { resting: null, taken: null };

const rested = ({ resting }: PanState, { grams, stable, at }: PanReading, { interval }: PanHabits) => {
  if (!stable) return null;
  return resting && Math.abs(resting.grams - grams) < 2 * interval
    ? { grams, since: resting.since }
    : { grams, since: at };
};

/**
 * One part after another: what settles on an empty pan is weighed once, and has to leave it before the next is. What is laid on top of
 * it is not weighed: two parts never become one.
 *
 * @returns the pan as it is known then, and the weight that is meant, g; null for none
 * @example
 * panStep({ resting: { grams: 312, since: 0 }, taken: null }, { grams: 312, stable: true, at: 1000 }, PAN_HABITS).weighed // => 312
 */
export function panStep(state: PanState, reading: PanReading, habits: PanHabits) {
  const resting = rested(state, reading, habits);
  const isEmpty = resting !== null && resting.grams < habits.least;
  const taken = isEmpty ? null : state.taken;
  const isMeant = resting !== null && !isEmpty && taken === null && reading.at - resting.since >= habits.settleMs;
  return {
    state: { resting, taken: isMeant ? resting.grams : taken } satisfies PanState,
    weighed: isMeant ? resting.grams : null
  };
}

/**
 * Slices off a heap: each that is lifted from the pan is counted by what it took away. What is laid on it is no slice.
 *
 * @returns the pan as it is known then, and what was lifted, g; null for nothing
 * @example
 * liftStep({ resting: { grams: 168, since: 0 }, taken: 180 }, { grams: 168, stable: true, at: 1000 }, PAN_HABITS).lifted // => 12
 */
export function liftStep(state: PanState, reading: PanReading, habits: PanHabits) {
  const resting = rested(state, reading, habits);
  if (resting === null || reading.at - resting.since < habits.settleMs) {
    return { state: { resting, taken: state.taken } satisfies PanState, lifted: null };
  }
  const less = state.taken === null ? 0 : state.taken - resting.grams;
  const isLift = less >= 2 * habits.interval;
  // Flicker moves nothing: a heap that dries by half a gram an hour gives no slice.
  const isHeap = state.taken === null || Math.abs(less) >= 2 * habits.interval;
  return {
    state: { resting, taken: isHeap ? resting.grams : state.taken } satisfies PanState,
    lifted: isLift ? less : null
  };
}
