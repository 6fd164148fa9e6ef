import { EmberError } from '../../errors.ts';
import type { BodyOf } from '../../record/events.ts';

export interface Band {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}
export interface YieldForecast extends Band {
  /** Closed boards it leans on: of this species and form, and of them from this supplier. */
  readonly runs: number;
  readonly ofSupplier: number;
}
type Form = BodyOf<'lot.received'>['form'];

/**
 * Share of a piece in each form that is prime, skinless and boneless, where the species' own share speaks of the whole fish:
 * typical trade figures, low and high; check against your own boards.
 */
const FORM_SHARE: Partial<Record<Form, readonly [number, number]>> = {
  fillet: [0.76, 0.9],
  loin: [0.82, 0.94],
  block: [0.92, 0.99],
  shucked: [0.88, 0.98],
  portion: [0.92, 1],
  roe: [0.85, 0.97]
};
/** What gutting takes of a whole fish, typical; check. */
const GUTTED_SHARE = 0.89;
/** Where nothing is known of a kind, this wide. */
const UNKNOWN_SHARE = [0.25, 0.65] as const;

/**
 * The usable share that is typical for a species in a form, low and high.
 *
 * @param whole the species' skinless boneless share of the whole fish; null where the catalogue has none
 * @example
 * typicalShare([0.32, 0.4], 'whole') // => [0.32, 0.4]
 */
export function typicalShare(whole: readonly [number, number] | null, form: Form): readonly [number, number] {
  const own = FORM_SHARE[form];
  if (own) return own;
  const base = whole ?? UNKNOWN_SHARE;
  if (form !== 'gutted') return base;
  return [Math.min(0.97, base[0] / GUTTED_SHARE), Math.min(0.98, base[1] / GUTTED_SHARE)];
}

/** The typical range is taken as eight in ten: so many standard deviations to each side. */
const EIGHT_IN_TEN = 1.2816;
/** Spread between boards of one species where too few are known to tell, as a share. House's assumption; check. */
const SPREAD_UNTIL_KNOWN = 0.035;
/** Spread between suppliers of one species. House's assumption; check. */
const SPREAD_OF_SUPPLIERS = 0.02;

interface Belief {
  readonly mean: number;
  readonly variance: number;
}

/** A normal belief after shares that scatter with `spread` around what they tell of. */
function after(belief: Belief, shares: readonly number[], spread: number): Belief {
  if (shares.length === 0) return belief;
  const mean = shares.reduce((sum, share) => sum + share, 0) / shares.length;
  const precision = 1 / belief.variance + shares.length / spread ** 2;
  return {
    mean: (belief.mean / belief.variance + (mean * shares.length) / spread ** 2) / precision,
    variance: 1 / precision
  };
}

/** Standard deviation of shares, leaning on what is assumed while they are few. */
function spreadOf(shares: readonly number[]): number {
  const weight = 4;
  if (shares.length < 2) return SPREAD_UNTIL_KNOWN;
  const mean = shares.reduce((sum, share) => sum + share, 0) / shares.length;
  const squares = shares.reduce((sum, share) => sum + (share - mean) ** 2, 0);
  return Math.sqrt((squares + weight * SPREAD_UNTIL_KNOWN ** 2) / (shares.length - 1 + weight));
}

/**
 * What this fish should give: the typical range of its species and form, moved by what the house's own boards gave, and
 * further by those of the same supplier. Normal beliefs, one after the other; the band holds eight boards in ten.
 *
 * @param typical low and high share
 * @param history shares (0 to 1) that earlier boards of the same species and form gave
 * @throws EmberError `quantity.out-of-range`
 * @example
 * forecastYield([0.32, 0.4], []).likely // => 0.36
 */
export function forecastYield(
  typical: readonly [number, number],
  history: readonly { readonly share: number; readonly sameSupplier: boolean }[]
): YieldForecast {
  if (history.some(({ share }) => !(share >= 0 && share <= 1.2))) {
    throw new EmberError('quantity.out-of-range', { field: 'yield', min: 0, max: 1.2, seen: 'history' });
  }
  const prior: Belief = {
    mean: (typical[0] + typical[1]) / 2,
    variance: Math.max(0.005, (typical[1] - typical[0]) / 2 / EIGHT_IN_TEN) ** 2
  };
  const all = history.map(({ share }) => share);
  const theirs = history.filter(({ sameSupplier }) => sameSupplier).map(({ share }) => share);
  const others = history.filter(({ sameSupplier }) => !sameSupplier).map(({ share }) => share);
  const spread = spreadOf(all);
  // Boards of others tell of the species; how far this supplier lies from it is told by their own.
  const ofSpecies = after(prior, others, Math.hypot(spread, SPREAD_OF_SUPPLIERS));
  const belief = after({ ...ofSpecies, variance: ofSpecies.variance + SPREAD_OF_SUPPLIERS ** 2 }, theirs, spread);
  // Without any board the typical range is itself the range of boards.
  const deviation = all.length === 0 ? Math.sqrt(prior.variance) : Math.sqrt(belief.variance + spread ** 2);
  const bound = (value: number) => Math.min(1, Math.max(0, value));
  return {
    low: bound(belief.mean - EIGHT_IN_TEN * deviation),
    likely: bound(belief.mean),
    high: bound(belief.mean + EIGHT_IN_TEN * deviation),
    runs: all.length,
    ofSupplier: theirs.length
  };
}
