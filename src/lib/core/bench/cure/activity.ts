import { inRange } from '../../errors.ts';

/**
 * Water-phase salt: salt as per cent of salt and water together.
 *
 * @param saltPerWater g salt per g water
 * @example
 * waterPhaseSalt(0.0526).toFixed(2) // => '5.00'
 */
export function waterPhaseSalt(saltPerWater: number): number {
  const c = inRange(saltPerWater, { field: 'saltPerWater', unit: 'g/g', min: 0, max: 1 });
  return (100 * c) / (1 + c);
}

/**
 * Water activity of salt and sugar together, as the product of each alone (Ross 1975).
 *
 * Salt: aw = 1 - 0.0052471 WPS - 0.00012206 WPS² (Resnik & Chirife 1988); it reads high above about 15 % WPS, by 0.007 at
 * 20 % and 0.02 at saturation. Sucrose: Norrish (1966), aw = Xw exp(-6.47 Xs²).
 *
 * @param wps water-phase salt, %
 * @param sugarPerWater g sucrose per g water
 * @example
 * waterActivity(5, 0).toFixed(4) // => '0.9707'
 */
export function waterActivity(wps: number, sugarPerWater: number): number {
  const s = inRange(wps, { field: 'wps', unit: '%', min: 0, max: 27 });
  const c = inRange(sugarPerWater, { field: 'sugarPerWater', unit: 'g/g', min: 0, max: 3 });
  const molesSugar = c / 342.297;
  const share = molesSugar / (molesSugar + 1 / 18.0153);
  return (1 - 0.0052471 * s - 0.00012206 * s * s) * (1 - share) * Math.exp(-6.47 * share * share);
}
