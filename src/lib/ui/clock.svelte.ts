/** The browser's view of the house's clock: the server's time, carried on by the difference. Only this file reads a clock. */
let offset = $state(0);
let standing = $state<number | null>(null);
let tick = $state(0);

/** Sets the clock from a server time. `frozen` keeps it still (pictures and tests). */
export function setServerTime(now: number, frozen = false): void {
  offset = now - Date.now();
  standing = frozen ? now : null;
  tick = now;
}

/** The house's time, moving on once a second on live screens. */
export function houseNow(): number {
  return standing ?? Math.max(tick, 0);
}

/** Starts the second hand; returns the way to stop it. */
export function startClock(): () => void {
  const timer = setInterval(() => {
    tick = Date.now() + offset;
  }, 1000);
  return () => clearInterval(timer);
}
