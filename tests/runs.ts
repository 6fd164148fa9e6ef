/** Share of its tries a law is given: a sixth each day; `EMBER_TIDE_LONG=1` gives it all of them, 12 a dozen times as many. */
const SHARE = Number(process.env.EMBER_TIDE_LONG ?? 1 / 6);
const FEWEST = 5;

/** How often a law is tried, of the count it deserves. A law that breaks once in thousands is for the long run, not for luck. */
export const runs = (count: number) => ({ numRuns: Math.max(FEWEST, Math.ceil(count * SHARE)) });

/** The long run: what costs minutes and breaks seldom is done there whole. */
export const IS_LONG = process.env.EMBER_TIDE_LONG !== undefined;
/** One in so many of many alike on any day, from the first on; all of them in the long run. */
export const oneIn = <Item>(step: number, items: readonly Item[]): Item[] =>
  items.filter((_, index) => IS_LONG || index % step === 0);
/** Every other of many alike on any day, from the first on; all of them in the long run. */
export const everyOther = <Item>(items: readonly Item[]): Item[] => oneIn(2, items);
