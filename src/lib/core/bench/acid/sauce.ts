import { EmberError, inRange } from '../../errors.ts';
import { type LinkedLine } from '../../ingredients/ingredient.ts';
import { type SauceBody, type SauceLine, sauceBody } from '../../activity/acid/sauce-body.ts';

const FISH = { field: 'grams', unit: 'g', min: 1, max: 100_000 } as const;
const partsOf = (lines: readonly SauceLine[]): number => {
  const sum = lines.reduce((total, { parts }) => total + parts, 0);
  if (!(sum > 0)) throw new EmberError('form.incomplete', { field: 'lines' });
  return sum;
};

export interface SauceGrams {
  readonly what: string;
  readonly grams: number;
  /** As the scale can show it, g. */
  readonly weighed: number;
  /** Of what comes whole: how many that is, and how many to take; null where it is weighed. */
  readonly whole: { readonly exact: number; readonly take: number } | null;
  /** Grams of each portion. */
  readonly portions: readonly number[];
}
export interface ScaledSauce {
  readonly grams: number;
  readonly lines: readonly SauceGrams[];
  /** Where something comes whole: fish for which a whole number of it is right, g; null where nothing does. */
  readonly evenFor: number | null;
}

const round = (value: number, interval: number): number => {
  const places = Math.max(0, Math.ceil(-Math.log10(interval)));
  return Number((Math.round(value / interval) * interval).toFixed(places));
};

/**
 * A sauce in grams for so much fish, portion by portion. What comes whole does not scale smoothly: it says how many, and for how
 * much fish that would be right.
 *
 * @param grams of fish
 * @param interval of the scale, g
 * @throws EmberError `quantity.out-of-range`, `form.incomplete`
 */
export function scaleSauce(sauce: SauceBody, grams: number, interval: number): ScaledSauce {
  const fish = inRange(grams, FISH);
  const step = inRange(interval, { field: 'interval', unit: 'g', min: 0.001, max: 100 });
  const perPart = (sauce.rate * fish) / partsOf(sauce.lines);
  const lines = sauce.lines.map(({ what, parts, each }): SauceGrams => {
    const exact = parts * perPart;
    return {
      what,
      grams: exact,
      weighed: round(exact, step),
      whole: each > 0 ? { exact: exact / each, take: Math.max(1, Math.round(exact / each)) } : null,
      // A pinch of a portion is tasted, not weighed: it is said finer than the scale shows.
      portions: sauce.portions.map((share) => round(exact * share, exact * share < 10 * step ? step / 10 : step))
    };
  });
  const counted = lines.find(({ whole }) => whole !== null)?.whole;
  return {
    grams: sauce.rate * fish,
    lines,
    evenFor: counted ? (fish * counted.take) / counted.exact : null
  };
}

/**
 * What was added by taste, made into ratios: the next version weighs for any fish what this one weighed in the end.
 *
 * @param grams of fish it was made for
 * @param added g of each line over what was scaled; less than nothing for what was left out
 * @param extra what is new in it, g
 * @throws EmberError `quantity.out-of-range` naming the line, `form.incomplete` where nothing was added
 */
export function correctSauce(
  sauce: SauceBody,
  grams: number,
  added: readonly number[],
  extra: readonly (LinkedLine & { readonly grams: number })[] = []
): SauceBody {
  const fish = inRange(grams, FISH);
  if (added.every((each) => each === 0) && extra.length === 0)
    throw new EmberError('form.incomplete', { field: 'added' });
  const perPart = (sauce.rate * fish) / partsOf(sauce.lines);
  const tidy = (parts: number) => Number(parts.toFixed(4));
  const lines = sauce.lines.map((line, index) => {
    const more = added[index] ?? 0;
    inRange(more, { field: line.what, unit: 'g', min: -line.parts * perPart, max: 20 * sauce.rate * fish });
    return { ...line, parts: tidy(line.parts + more / perPart) };
  });
  const fresh = extra.map(({ grams: more, ...link }) => ({
    ...link,
    parts: tidy(inRange(more, { field: link.what, unit: 'g', min: 0.01, max: 20 * sauce.rate * fish }) / perPart),
    each: 0
  }));
  const all = [...lines, ...fresh].filter(({ parts }) => parts > 0);
  return sauceBody.parse({ ...sauce, lines: all, rate: (partsOf(all) * perPart) / fish });
}
