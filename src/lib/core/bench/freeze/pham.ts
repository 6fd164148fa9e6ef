import { EmberError, inRange } from '../../errors.ts';
import { bandOf, seededChance, type Band } from '../../random.ts';
import { fishThermal } from './thermal.ts';
import type { Shape } from './simulate.ts';

/** How the air moves, and its surface heat transfer coefficient in W/(m² K): typical engineering ranges. */
export const AIR_CLASSES = {
  still: { low: 5, likely: 7, high: 10 },
  /** A household or undercounter fridge: its small fan runs now and then. */
  fridge: { low: 6, likely: 9, high: 12 },
  fan: { low: 15, likely: 20, high: 30 },
  blast: { low: 25, likely: 35, high: 50 },
  plate: { low: 100, likely: 250, high: 500 },
  bath: { low: 100, likely: 200, high: 400 }
} as const;

/** Thermal resistance of what is round the fish, m² K/W: film alone, or film and a board box with trapped air. */
export const PACKINGS = {
  bare: { low: 0, likely: 0, high: 0 },
  film: { low: 0.002, likely: 0.004, high: 0.008 },
  boxed: { low: 0.03, likely: 0.05, high: 0.08 }
} as const;

/** Pham's factor for the shape: how many faces' worth of heat leaves for each half thickness. */
const SHAPE_FACTOR: Record<Shape, number> = { slab: 1, cylinder: 2, sphere: 3 };

export interface FreezeInput {
  /** Full thickness of the thickest piece, or its diameter, mm. Frozen from all round. */
  readonly thicknessMm: number;
  /** A slab where nobody says otherwise. */
  readonly shape?: Shape;
  /** Share of water in the flesh; 0.76 where nobody says otherwise. */
  readonly water?: number;
  readonly startCelsius: number;
  readonly airCelsius: number;
  /** Core temperature wanted. */
  readonly targetCelsius: number;
  readonly airClass: keyof typeof AIR_CLASSES;
  readonly packing: keyof typeof PACKINGS;
  /**
   * How many lie on each other: packs that touch freeze as one block of all their thicknesses, and half of the wraps between them lie
   * in the way of its middle. 1 where left out: each alone, with air round it.
   */
  readonly stack?: number;
}

/**
 * A load as the block it freezes as: its full thickness, and how many wraps lie between its middle and the air.
 *
 * @throws EmberError `quantity.out-of-range`
 * @example
 * blockOf({ thicknessMm: 25, stack: 4, shape: 'slab' }) // => { thicknessMm: 100, shape: 'slab', wraps: 2.5 }
 */
export function blockOf({
  thicknessMm,
  stack = 1,
  shape = 'slab'
}: Pick<FreezeInput, 'thicknessMm' | 'stack' | 'shape'>) {
  inRange(stack, { field: 'stack', unit: '', min: 1, max: 40 });
  inRange(thicknessMm * stack, { field: 'thickness', unit: 'mm', min: 2, max: 400 });
  return { thicknessMm: thicknessMm * stack, shape: stack > 1 ? ('slab' as const) : shape, wraps: (stack + 1) / 2 };
}

/**
 * Freezing time by Pham's method.
 *
 * t = (dc / (Ef h)) (ΔH1/ΔT1 + ΔH2/ΔT2) (1 + Bi/2), Tfm = 1.8 + 0.263 Tc + 0.105 Ta.
 * Source: Pham, Q. T. (1986), International Journal of Refrigeration 9(5), 281-286.
 *
 * @param input thickness in mm, temperatures in °C
 * @param h surface coefficient, W/(m² K)
 * @param resistance of all the wraps between the middle and the air, m² K/W
 * @returns seconds from going in until the core is at the target
 * @throws EmberError `quantity.out-of-range`; also where the air is not at least 1 K below the target, since the core
 *   would creep towards it without arriving
 * @example
 * Math.round(phamSeconds({ thicknessMm: 30, startCelsius: 2, airCelsius: -30, targetCelsius: -20, airClass: 'fan', packing: 'bare' }, 20, 0) / 60) // => 165
 */
export function phamSeconds(input: FreezeInput, h: number, resistance: number): number {
  const { thicknessMm, shape } = blockOf(input);
  const thickness = thicknessMm / 1000;
  const start = inRange(input.startCelsius, { field: 'startCore', unit: '°C', min: -1, max: 30 });
  const target = inRange(input.targetCelsius, { field: 'target', unit: '°C', min: -60, max: -5 });
  const air = inRange(input.airCelsius, { field: 'air', unit: '°C', min: -90, max: target - 1 });
  inRange(h, { field: 'h', unit: 'W/m²K', min: 1, max: 1000 });
  const surface = 1 / (1 / h + resistance);
  const half = thickness / 2;
  const meanFreezing = 1.8 + 0.263 * target + 0.105 * air;
  const fish = fishThermal(input.water);
  const heat1 = fish.unfrozen * (start - meanFreezing);
  const heat2 = fish.latent + fish.frozen * (meanFreezing - target);
  const drive1 = (start + meanFreezing) / 2 - air;
  const drive2 = meanFreezing - air;
  if (drive1 <= 0 || drive2 <= 0)
    throw new EmberError('quantity.out-of-range', { field: 'air', unit: '°C', seen: air });
  const biot = (surface * half) / fish.kFrozen;
  return (half / (SHAPE_FACTOR[shape] * surface)) * (heat1 / drive1 + heat2 / drive2) * (1 + biot / 2);
}

/**
 * When the core arrives, as a band from seeded draws over the air's and the packing's ranges and ± 8 % for the method
 * and the fish (Pham 1986 reports errors of that size). Null where the air is too warm for the core ever to arrive.
 *
 * @returns seconds after going in
 */
export function coreArrival(input: FreezeInput, seed = 0.5, draws = 200): Band | null {
  if (input.airCelsius > input.targetCelsius - 1) return null;
  const air = AIR_CLASSES[input.airClass];
  const pack = PACKINGS[input.packing];
  const { wraps } = blockOf(input);
  const likely = phamSeconds(input, air.likely, pack.likely * wraps);
  const chance = seededChance(seed);
  const seen: number[] = [];
  for (let draw = 0; draw < draws; draw++) {
    const h = chance.logBand(air.low, air.likely, air.high);
    const resistance = pack.high > 0 ? chance.logBand(pack.low, pack.likely, pack.high) * wraps : 0;
    seen.push(phamSeconds(input, Math.min(Math.max(h, 1), 1000), resistance) * chance.logBand(0.92, 1, 1.08));
  }
  return bandOf(seen, likely);
}
