import { inRange } from '../../errors.ts';
import { bandOf, seededChance, type Band } from '../../random.ts';
import { AIR_CLASSES, PACKINGS } from './pham.ts';
import { PICTURES } from './forecast.ts';
import { simulate, type Shape, type ThermalPicture, type ThermalPoint } from './simulate.ts';
import type { THAW_METHOD_IDS } from '../../activity/thaw/lists.ts';

export type ThawMethod = (typeof THAW_METHOD_IDS)[number];

/** Surface coefficient of running water round a bag, W/(m² K): typical engineering range. */
export const RUNNING_WATER = { low: 100, likely: 200, high: 400 };
/** Thawed: no part is at the freezing plateau any more. °C */
export const THAWED_CORE_CELSIUS = -0.5;
/** Weight lost as drip on thawing, share: typical range; check against the house's own weighing. */
export const THAW_DRIP = { low: 0.01, likely: 0.025, high: 0.05 };
/** Ready-to-eat portions are not thawed above this under running water: FDA Food Code 2022, 3-501.13(B)(3). °C */
export const WATER_THAW_SURFACE_CELSIUS = 5;
/** Water is at or below this: FDA Food Code 2022, 3-501.13(B)(1). °C (70 °F) */
export const WATER_THAW_LIMIT = { c: 21, f: 70 };
/** Air for thawing in the cold: FDA Food Code 2022, 3-501.13(A). °C */
export const COLD_THAW_LIMIT = { c: 5, f: 41 };

export interface ThawInput {
  readonly method: ThawMethod;
  readonly thicknessMm: number;
  readonly shape: Shape;
  readonly startCelsius: number;
  /** Air of the fridge, or the water. °C */
  readonly mediumCelsius: number;
  readonly airClass: keyof typeof AIR_CLASSES;
  readonly packing: keyof typeof PACKINGS;
  readonly water?: number;
}
export interface ThawForecast {
  /** Until the core is thawed, s; null where the medium is too cold to thaw it in a month. */
  readonly arrival: Band | null;
  readonly points: readonly ThermalPoint[];
  readonly pictures: readonly ThermalPicture[];
  /** When the surface passes a limit while the middle still thaws, s; null where it does not. */
  readonly surfaceAbove: { readonly celsius: number; readonly from: number; readonly seconds: number } | null;
  readonly drip: Band;
}

const LONGEST = 3600 * 24 * 20;
const DRAWS = 20;

/**
 * How long a thaw takes, and how warm its surface gets meanwhile: the freezing simulation run the other way.
 *
 * @param surfaceLimit warm from above this on, °C
 * @throws EmberError `quantity.out-of-range`, also for water or air warmer than the rule allows
 */
export function thaw(input: ThawInput, surfaceLimit = WATER_THAW_SURFACE_CELSIUS, seed = 0.5): ThawForecast {
  const limit = input.method === 'water' ? WATER_THAW_LIMIT : COLD_THAW_LIMIT;
  inRange(input.mediumCelsius, { field: 'medium', unit: '°C', min: 0, max: limit.c });
  inRange(input.startCelsius, { field: 'startCore', unit: '°C', min: -60, max: -1.5 });
  const flow = input.method === 'water' ? RUNNING_WATER : AIR_CLASSES[input.airClass];
  const pack = PACKINGS[input.packing];
  const run = (h: number, resistance: number, cells: number, pictures?: number) =>
    simulate({
      thicknessMm: input.thicknessMm,
      shape: input.shape,
      startCelsius: input.startCelsius,
      medium: () => input.mediumCelsius,
      h,
      resistance,
      water: input.water,
      until: THAWED_CORE_CELSIUS,
      longestSeconds: LONGEST,
      longestStep: input.method === 'water' ? 60 : 600,
      cells,
      pictures
    });
  const likely = run(flow.likely, pack.likely, 28, PICTURES);
  const chance = seededChance(seed);
  let arrival: Band | null = null;
  if (likely.arrival !== null) {
    const seen = Array.from({ length: DRAWS }, () => {
      const h = Math.min(Math.max(chance.logBand(flow.low, flow.likely, flow.high), 1), 1000);
      const resistance = pack.high > 0 ? chance.logBand(pack.low, pack.likely, pack.high) : 0;
      return (run(h, resistance, 12).arrival ?? LONGEST) * chance.logBand(0.9, 1, 1.1);
    });
    arrival = bandOf(seen, likely.arrival);
  }
  const first = likely.points.find(({ surface }) => surface > surfaceLimit);
  const end = likely.points.at(-1)!.seconds;
  return {
    arrival,
    points: likely.points,
    pictures: likely.pictures,
    surfaceAbove: first ? { celsius: surfaceLimit, from: first.seconds, seconds: end - first.seconds } : null,
    drip: THAW_DRIP
  };
}
