/** The house's one clock. Everything else takes the time as an argument. */
export interface Clock {
  now(): number;
}

/** A clock that a demo or a test may move; a production clock has no such door. */
export interface MovableClock extends Clock {
  moveTo(at: number, frozen: boolean): void;
  moveBy(ms: number): void;
}

export function systemClock(): Clock {
  return { now: () => Date.now() };
}

/**
 * @param start where it starts; the machine's time when null
 * @param frozen stands still until moved
 */
export function movableClock(start: number | null = null, frozen = false): MovableClock {
  let offset = start === null ? 0 : start - Date.now();
  let standing: number | null = frozen ? (start ?? Date.now()) : null;
  const now = () => standing ?? Date.now() + offset;
  return {
    now,
    moveTo(at, freeze) {
      offset = at - Date.now();
      standing = freeze ? at : null;
    },
    moveBy(ms) {
      if (standing !== null) standing += ms;
      else offset += ms;
    }
  };
}
