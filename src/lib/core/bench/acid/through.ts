import { SET_POINTS, type SetPoint } from '../../activity/acid/lists.ts';
import { acidCourse, type FrontCourse, type FrontInput } from './front.ts';
import { ACID_NODES, acidPlan, type AcidSettings } from './plan.ts';

/** Where the acid runs out before the look that was wanted: what would get there. */
export interface AcidThrough {
  /** Millilitres of its first sour part with which it gets there within a day, all else as it is; null where none does. */
  readonly ml: number | null;
  /** The furthest look it does reach with what is poured; null where it reaches none. */
  readonly reaches: SetPoint | null;
}

/** More than so much of one liquid by the flesh's weight nobody pours: a pan of dice is covered by half of it. ml per g */
const MOST_BY_WEIGHT = 2;
/** Each amount that is tried is so much more than the one before. */
const STEP = 1.2;
/** Longer than a day nobody waits for it, s; just enough acid to get there takes for ever. */
const LONGEST_SECONDS = 24 * 3600;
/** Cells of the search: near the amount that just gets there a fine grid takes seconds, and one step more is proposed than it finds. */
const SEARCH_NODES = 8;
/** As it is poured: the next five millilitres up, so that it is never less than was found. */
const roundMl = (ml: number) => Math.ceil(ml / 5 - 1e-9) * 5;

/**
 * A plan whose acid runs out too soon, in one line. Null where there is nothing to mend: it gets there, or nothing in it is sour.
 *
 * @param settings a plan
 * @param solve as of `acidPlan`
 * @throws EmberError as `acidPlan`
 */
export function acidThrough(
  settings: AcidSettings,
  solve: (input: FrontInput) => FrontCourse = acidCourse
): AcidThrough | null {
  const readyOf = (changed: Partial<AcidSettings>, nodes = ACID_NODES) =>
    acidPlan({ ...settings, ...changed }, nodes, solve).readySeconds;
  const first = settings.liquid.findIndex(({ what, ml }) => what === 'sour' && ml > 0);
  if (first < 0 || readyOf({}) !== null) return null;
  const nearer = SET_POINTS.slice(0, SET_POINTS.indexOf(settings.wanted));
  const reaches = nearer.filter((wanted) => readyOf({ wanted }) !== null).at(-1) ?? null;
  const poured = settings.liquid[first]!.ml;
  const most = Math.max(poured, MOST_BY_WEIGHT * settings.grams);
  const amount = (step: number) => Math.min(most, roundMl(poured * STEP ** step));
  const gets = (step: number) => {
    const liquid = settings.liquid.map((part, index) => (index === first ? { ...part, ml: amount(step) } : part));
    return (readyOf({ liquid }, SEARCH_NODES) ?? Infinity) <= LONGEST_SECONDS;
  };
  const last = Math.ceil(Math.log(most / poured) / Math.log(STEP));
  let [low, high] = [0, last];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (gets(middle)) high = middle;
    else low = middle;
  }
  return { ml: gets(high) ? amount(high + 1) : null, reaches };
}
