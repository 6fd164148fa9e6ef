import { EmberError, inRange } from '../../errors.ts';
import { FLESH_DENSITY } from '../../fish/flesh.ts';
import { SET_PH } from './parameters.ts';

/** Acids of kitchen liquids: dissociation constants at 25 °C and molar masses. CRC Handbook of Chemistry and Physics. */
export const ACIDS = {
  citric: { pKa: [3.13, 4.76, 6.4], molar: 192.124 },
  acetic: { pKa: [4.76], molar: 60.052 },
  malic: { pKa: [3.4, 5.2], molar: 134.087 },
  tartaric: { pKa: [2.98, 4.34], molar: 150.087 }
} as const satisfies Record<string, { readonly pKa: readonly number[]; readonly molar: number }>;
export type AcidId = keyof typeof ACIDS;

export interface Spread {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}
export interface SourLiquid {
  readonly id: string;
  readonly acid: AcidId;
  /** Titratable acid as that acid, g per litre: what a titration still finds, not what the fruit's own base has neutralised. */
  readonly gramsPerLitre: Spread;
  readonly pH: number;
  /** Juice of one fruit, ml; null for what comes in bottles. */
  readonly fruitMl: Spread | null;
}

/** Fruits and vinegars: typical titratable acid and pH, juice by fruit (check: fruit differs by kind, season and ripeness). */
export const SOUR_LIQUIDS: readonly SourLiquid[] = [
  {
    id: 'lime',
    acid: 'citric',
    gramsPerLitre: { low: 55, likely: 60, high: 65 },
    pH: 2.2,
    fruitMl: { low: 20, likely: 28, high: 38 }
  },
  {
    id: 'lemon',
    acid: 'citric',
    gramsPerLitre: { low: 45, likely: 52, high: 60 },
    pH: 2.3,
    fruitMl: { low: 30, likely: 42, high: 55 }
  },
  {
    id: 'grapefruit',
    acid: 'citric',
    gramsPerLitre: { low: 15, likely: 20, high: 25 },
    pH: 3.1,
    fruitMl: { low: 120, likely: 170, high: 220 }
  },
  {
    id: 'orange',
    acid: 'citric',
    gramsPerLitre: { low: 8, likely: 10, high: 12 },
    pH: 3.6,
    fruitMl: { low: 60, likely: 80, high: 105 }
  },
  {
    id: 'bitter-orange',
    acid: 'citric',
    gramsPerLitre: { low: 28, likely: 36, high: 45 },
    pH: 2.6,
    fruitMl: { low: 35, likely: 50, high: 65 }
  },
  { id: 'verjuice', acid: 'tartaric', gramsPerLitre: { low: 12, likely: 18, high: 26 }, pH: 2.8, fruitMl: null },
  { id: 'rice-vinegar', acid: 'acetic', gramsPerLitre: { low: 40, likely: 42, high: 45 }, pH: 2.6, fruitMl: null },
  { id: 'wine-vinegar', acid: 'acetic', gramsPerLitre: { low: 58, likely: 62, high: 70 }, pH: 2.6, fruitMl: null },
  { id: 'cider-vinegar', acid: 'acetic', gramsPerLitre: { low: 48, likely: 50, high: 55 }, pH: 3, fruitMl: null }
];
export const sourLiquid = (id: string): SourLiquid => {
  const found = SOUR_LIQUIDS.find((each) => each.id === id);
  if (!found) throw new EmberError('form.value-unknown', { field: 'liquid', seen: id });
  return found;
};

/** One part of what is poured over the fish. Water and oil carry no acid, oil is no part of the watery phase at all. */
export interface LiquidPart {
  readonly what: 'sour' | 'water' | 'oil';
  /** Of a sour one: which. */
  readonly id?: string;
  readonly ml: number;
}

/** Mean charge of an acid's anion at a pH: protons one molecule has let go. */
export function protonsGiven(acid: AcidId, pH: number): number {
  const h = 10 ** -pH;
  let product = 1;
  let sum = 1;
  let charge = 0;
  ACIDS[acid].pKa.forEach((pKa, index) => {
    product *= 10 ** -pKa / h;
    sum += product;
    charge += (index + 1) * product;
  });
  return charge / sum;
}

/** End of a titration of juice: AOAC 942.15. */
const TITRATED_TO_PH = 8.1;

/** All of an acid in a liquid, mol/l: what a titration finds from its pH on, and what was neutralised before. */
function acidIn({ acid, gramsPerLitre, pH }: SourLiquid, which: keyof Spread): number {
  const found = (gramsPerLitre[which] / ACIDS[acid].molar) * ACIDS[acid].pKa.length - 10 ** -pH;
  return found / (protonsGiven(acid, TITRATED_TO_PH) - protonsGiven(acid, pH));
}

export interface Liquid {
  /** Watery volume, ml. */
  readonly ml: number;
  readonly oilMl: number;
  readonly pH: number;
  /** mol H⁺ per litre it can give before it stands at the set point; 0 where it is no sourer than that. */
  readonly available: number;
  /** Titratable acid of all kinds together, mol H⁺ per litre. */
  readonly titratable: number;
}

/**
 * A mixture of juices, vinegars and water: volumes, its pH, and the acid it can give down to the set point.
 *
 * Each juice holds base of its own (potassium as a rule), which its measured pH betrays: charge of its anions less free
 * hydrogen. A titration finds only what that base has left, so all of the acid is more. Acids and base add up by volume, and the mixture stands at the pH that balances them.
 *
 * @param measuredPH the mixture by meter, where there is one: it takes the place of the reckoned one
 * @param which end of each titratable acid's spread
 * @throws EmberError `quantity.out-of-range`, `form.incomplete` for nothing but oil
 * @example
 * mixLiquid([{ what: 'sour', id: 'lime', ml: 100 }]).available.toFixed(2) // => '0.53'
 */
export function mixLiquid(
  parts: readonly LiquidPart[],
  measuredPH: number | null = null,
  which: keyof Spread = 'likely'
): Liquid {
  const moles = new Map<AcidId, number>();
  let ml = 0;
  let oilMl = 0;
  let base = 0;
  for (const part of parts) {
    inRange(part.ml, { field: 'ml', unit: 'ml', min: 0, max: 50_000 });
    if (part.what === 'oil') {
      oilMl += part.ml;
      continue;
    }
    ml += part.ml;
    if (part.what === 'water') continue;
    const liquid = sourLiquid(part.id ?? '');
    const { acid, pH } = liquid;
    const amount = (acidIn(liquid, which) * part.ml) / 1000;
    moles.set(acid, (moles.get(acid) ?? 0) + amount);
    base += amount * protonsGiven(acid, pH) - (10 ** -pH * part.ml) / 1000;
  }
  if (!(ml > 0)) throw new EmberError('form.incomplete', { field: 'liquid' });
  const litres = ml / 1000;
  const excess = (pH: number) => {
    let charge = -base - 10 ** -pH * litres;
    for (const [acid, amount] of moles) charge += amount * protonsGiven(acid, pH);
    return charge;
  };
  let pH = 7;
  if (measuredPH !== null) pH = inRange(measuredPH, { field: 'pH', unit: '', min: 1, max: 9 });
  else if (moles.size > 0) {
    let [low, high] = [0.5, 8];
    for (let turn = 0; turn < 60; turn++) {
      pH = (low + high) / 2;
      if (excess(pH) > 0) high = pH;
      else low = pH;
    }
  }
  let available = 10 ** -pH - 10 ** -SET_PH;
  let titratable = 0;
  for (const [acid, amount] of moles) {
    const concentration = amount / litres;
    available += concentration * (protonsGiven(acid, SET_PH) - protonsGiven(acid, pH));
    titratable += concentration * ACIDS[acid].pKa.length;
  }
  return { ml, oilMl, pH, available: pH < SET_PH ? Math.max(0, available) : 0, titratable };
}

/** Whole fruit to buy for so much juice: likely, and enough of them where they turn out dry. */
export function fruitFor(ml: number, { fruitMl }: SourLiquid): { likely: number; enough: number } | null {
  inRange(ml, { field: 'ml', unit: 'ml', min: 0, max: 50_000 });
  if (!fruitMl) return null;
  return { likely: Math.ceil(ml / fruitMl.likely), enough: Math.ceil(ml / fruitMl.low) };
}

/** Of a pan of dice, the share that is fish; the rest is what has to be filled (check). */
export const PACKING: Spread = { low: 0.55, likely: 0.6, high: 0.65 };

const GRAMS_PER_ML = FLESH_DENSITY / 1000;

/** Flesh side down a fillet lies in this much liquid, mm (the house's figure; check): its skin stays out of it. */
const FLESH_DOWN_MM = 4;

/**
 * Liquid for fillets that lie side by side, flesh down, a few millimetres deep, ml.
 *
 * @param grams of fish
 * @param thicknessMm of a fillet
 * @example
 * Math.round(coverFlatMl(1055, 8)) // => 500
 */
export const coverFlatMl = (grams: number, thicknessMm: number): number => {
  const ml = inRange(grams, { field: 'grams', unit: 'g', min: 1, max: 100_000 }) / GRAMS_PER_ML;
  return (ml * FLESH_DOWN_MM) / inRange(thicknessMm, { field: 'size', unit: 'mm', min: 1, max: 400 });
};

/**
 * Liquid that just covers a pan of dice, ml.
 *
 * @param grams of fish
 * @example
 * Math.round(coverMl(1055, 'likely')) // => 667
 */
export const coverMl = (grams: number, which: keyof Spread = 'likely'): number => {
  const fish = inRange(grams, { field: 'grams', unit: 'g', min: 1, max: 100_000 }) / GRAMS_PER_ML;
  const share = PACKING[which];
  return (fish * (1 - share)) / share;
};
