import { inRange } from '../../errors.ts';
import type { Species } from '../../fish/species.ts';
import type { Band } from '../../random.ts';

/**
 * Parameters of the cure model, each with the range its band is drawn from.
 *
 * Salt diffusivity in fish muscle at 4 °C: published effective values run from about 1e-10 (fatty or pre-rigor salmon) to
 * about 1e-9 m²/s (lean, thawed); activation energy 20-25 kJ/mol. Saturated brine 26.395 % w/w at 60 °F (US Bureau of
 * Standards salometer scale). Sucrose saturates near 66 % w/w in the cold (check).
 */
export const SALT_DIFFUSIVITY: Band = { low: 1.5e-10, likely: 3e-10, high: 8e-10 };
export const REFERENCE_CELSIUS = 4;
export const ACTIVATION_JOULES_PER_MOLE = 22500;
const GAS_CONSTANT = 8.314462618;

/** g salt per g water at saturation: 26.395 % w/w. */
export const SALT_SATURATION = 0.26395 / (1 - 0.26395);
/** g sucrose per g water at saturation in the cold, 66 % w/w (check). */
export const SUGAR_SATURATION = 0.66 / (1 - 0.66);
export const SUGAR_TO_SALT_DIFFUSIVITY = 0.35;
/**
 * The closure for sugar: under a dry cure the face of the flesh dries out and shrinks, is full of salt and sugar at once, and has little
 * water left to hold sugar in. It takes c / (1 + c / most) of a liquid of strength c, kg per kg water. Chosen so that a deep cover of equal
 * parts for two days leaves 1-4 % of sugar and takes 12-20 % of the weight (Collignan and Raoult-Wack, Journal of Food Engineering 22,
 * 1994, on osmotic salting and drying; check).
 */
export const SUGAR_FACE_MOST = 0.3;
/**
 * Sugar at the face hinders salt: its diffusivity is 1 / (1 + s / this) of what it is without, s the strength of sugar in the flesh there,
 * kg per kg water. After the finding that salt gains less under salt and sugar together (Collignan and Raoult-Wack 1994, as above); the
 * figure is the house's, for 3-4 % of salt under 6 + 6 % in two days (check).
 */
export const SUGAR_HALVES_SALT_AT = 1;
/**
 * Each kilogram of salt and sugar that a dry cure put into the flesh has driven at least so many of water out. Heavily salted cod, a fifth
 * salt and under 60 % water from 80, is 2.7 (check); half of that for what a light cure shows.
 */
export const WATER_PER_SOLUTE = 2;

/** Water share of raw flesh by weight, by fat class; typical values. */
export const WATER_SHARE: Record<Species['fat'], number> = { lean: 0.79, mid: 0.74, rich: 0.67 };
const FAT_SHARE: Record<Species['fat'], number> = { lean: 0.015, mid: 0.06, rich: 0.14 };

/**
 * Water drawn out, as a share of the raw weight, approaches most·(1 - e^(-dose/scale)): four tenths of it, from below the face,
 * many times faster than the rest, whose time constant is a share of the diffusion time. A face under solid salt does not know
 * how much of it lies there: the water leaves as under a deep cover until that of the dose is out. House figures, chosen so that the weight itself falls by 8-15 % in a two-day cover cure and by 1-4 %
 * in a weighed one (salt and sugar taken up come back on to the scale); calibrate by weighing before and after (check).
 */
export const WATER_LOSS = {
  most: { low: 0.2, likely: 0.26, high: 0.33 } as Band,
  doseScale: 0.13,
  deepDose: 0.25,
  shareOfDiffusionTime: 0.05,
  fastShare: 0.4,
  fastTimes: 25
};

/**
 * In a bath the flesh swells in weak brine and gives water in strong brine: -gain (s/peak) e^(1 - s/peak) +
 * most (1 - e^(-(s/scale)^2)) of the raw weight, s its strength by weight with half of its sugar. House figures, chosen for a
 * gain of weight of up to 3 % in weak brine and for the loss of a cover cure in a saturated one (check).
 */
export const BATH_LOSS = { gain: 0.012, peak: 0.04, scale: 0.22 };
/** A paste holds its water: it draws this share of what a brine of its strength would; house figure (check). */
export const PASTE_DRAWS = 0.5;
/** Dried salt fish drinks this share of its weight in fresh water, 10-20 %; house figure (check). */
export const DESALT_GAIN = 0.17;
/** Of a bath, the share that fish may drink at the most: the rest clings, and washes salt out. */
export const DRINKABLE = 0.9;
/** Water of dried salt fish by weight, and the most salt it holds; typical (check). */
export const SALT_FISH_WATER = 0.55;

/** Liquid that clings where a cure drains: the share of what is drawn that stays at the face; house figure (check). */
export const CLINGING_SHARE = 0.1;

/** What a cure's figures are drawn from: shipped, or fitted to what this house weighed and measured. */
export interface CureParameters {
  /** Salt in lean flesh never frozen, at 4 °C, m²/s. */
  readonly diffusivity: Band;
  /** Most water that is drawn out, share of the raw weight. */
  readonly mostLoss: Band;
  /** Runs of the house they were fitted to; 0 for the shipped ones. */
  readonly runs: number;
  readonly from: 'shipped' | 'fat-class' | 'species';
}
export const SHIPPED: CureParameters = {
  diffusivity: SALT_DIFFUSIVITY,
  mostLoss: WATER_LOSS.most,
  runs: 0,
  from: 'shipped'
};

/** Salt on its way out of salted, swollen flesh: its own diffusivity at 4 °C, 5 to 12e-10 m²/s (check). */
export const DESALTING: CureParameters = {
  ...SHIPPED,
  diffusivity: { low: 5e-10, likely: 8e-10, high: 12e-10 }
};
/** What a cure is forecast with. Cures teach nothing of salt on its way out: desalting keeps its own figures. */
export const parametersOf = ({
  method,
  parameters = SHIPPED
}: {
  readonly method: string;
  readonly parameters?: CureParameters;
}): CureParameters => (method === 'desalt' ? DESALTING : parameters);

/**
 * Diffusivity of salt in this flesh, m²/s.
 *
 * Arrhenius in temperature, slowed by fat as D ∝ (1 - 2 x fat share, floor 0.3), up to 1.5 times faster once frozen and
 * thawed.
 *
 * @throws EmberError outside -1 to 15 °C: a cure belongs in the cold
 * @example
 * saltDiffusivity(3e-10, 4, 'lean', false) // => 2.91e-10
 */
export function saltDiffusivity(at4: number, celsius: number, fat: Species['fat'], thawed: boolean): number {
  inRange(at4, { field: 'diffusivity', unit: 'm²/s', min: 1e-12, max: 1e-7 });
  const t = inRange(celsius, { field: 'celsius', unit: '°C', min: -1, max: 15 });
  return at4 * warmth(t) * fleshFactor(fat, thawed);
}

/** How much faster salt moves at a temperature than at 4 °C: Arrhenius, 22.5 kJ/mol. */
export function warmth(celsius: number): number {
  const kelvin = 273.15;
  return Math.exp(
    (-ACTIVATION_JOULES_PER_MOLE / GAS_CONSTANT) * (1 / (celsius + kelvin) - 1 / (REFERENCE_CELSIUS + kelvin))
  );
}

/** Slower through fat, faster through flesh that was frozen: against lean flesh never frozen. */
export const fleshFactor = (fat: Species['fat'], thawed: boolean): number =>
  Math.max(0.3, 1 - 2 * FAT_SHARE[fat]) * (thawed ? 1.25 : 1);
