import type { Band } from '../../random.ts';

/** What a drying fish is forecast with before its own weights speak. Ranges are of published and trade figures (check). */

/** Surface of a whole fish of a kilogram, m²; it grows with the two-thirds power of the mass. Good to a quarter. */
export const AREA_OF_KILOGRAM = 0.1;
export const AREA_SHARE = { low: 0.75, likely: 1, high: 1.25 } as const;
/** Heat transfer of gently moving cabinet air, W/(m² K): water vapour leaves by the same film (Lewis). */
export const CABINET_AIR: Band = { low: 3, likely: 6, high: 12 };
/** Scaled skin lets through about half of what a cut face does; house figure (check). */
export const SKIN_SHARE: Band = { low: 0.3, likely: 0.5, high: 0.8 };
/** Water activity of fresh flesh and of its skin while it is still wet. */
export const WET_ACTIVITY = 0.99;
/** Humidity of a cabinet nobody read, share. */
export const HUMIDITY: Band = { low: 0.7, likely: 0.8, high: 0.88 };
/** Share of its weight a fish would lose if it hung for ever in such air: most of its water stays bound in it (check). */
export const MOST_LOSS: Band = { low: 0.18, likely: 0.3, high: 0.45 };
/** Loss up to which the face is still wet and dries at one rate, share (check). */
export const WET_LOSS = 0.02;
/** How far one fish of a kind lies from the next, in ln: what no number of earlier fish takes away (check). */
export const BETWEEN_FISH = { rate: 0.2, most: 0.15 } as const;
/** A cloth, a drip, a hand that dries it: share of the weight a weigh-in is out by, beside what the scale shows (check). */
export const WEIGHING_SHARE = 0.0012;
/** Weights that lie closer than this are one weigh-in, s. */
export const ONE_WEIGHING_SECONDS = 10 * 60;
/** Heavier than before by more than this share, a fish has not dried: a typing slip, a wet cloth, another fish. */
export const GAIN_SHARE = 0.004;
/** More lost than this in a day is no drying, share. */
export const MOST_A_DAY = 0.08;
/** A histamine kind hangs no longer than this, at or below so much, without a test on file; the house's figures (check). */
export const HISTAMINE_AGEING = { days: 7, limitCelsius: 2 } as const;
/** Of the face of a hanging fish, for the estimate of Listeria (check). */
export const HANGING_PH = 6.4;
/** The numbers of it that are looser when they are larger. */
export const AGEING_NUMBERS = ['wholeDays', 'filletDays', 'limitCelsius', 'warmHours', 'afterDays'] as const;
