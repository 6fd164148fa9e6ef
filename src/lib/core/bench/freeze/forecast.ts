import { inRange } from '../../errors.ts';
import { bandOf, seededChance, type Band } from '../../random.ts';
import { SOLID_CORE } from './hold.ts';
import { AIR_CLASSES, blockOf, coreArrival, PACKINGS, type FreezeInput } from './pham.ts';
import { simulate, type Shape, type ThermalRun } from './simulate.ts';
import { fishThermal, heatOfKilogram } from './thermal.ts';
import { FLESH_DENSITY } from '../../fish/flesh.ts';
import type { FreezeCycle } from '../../codes/profile.ts';

export interface FreezerPlan extends Omit<FreezeInput, 'targetCelsius'> {
  readonly shape: Shape;
  /** All that goes in together, g. */
  readonly loadGrams: number | null;
  /** Room of the freezer, litres; null where nobody measured it. */
  readonly litres: number | null;
  /** Heat its machine carries off at that temperature, W; null where nobody knows. */
  readonly watts: number | null;
}

/** Kilograms for a hundred litres and a day that a domestic freezer of the best class must manage: IEC 62552-3; check. */
export const LOAD_KG_PER_100_L = 4.5;

/**
 * Thicker than this, mm, the cycles may not suit: FDA, Fish and Fishery Products Hazards and Controls Guidance, ch. 5 (6 in; written
 * for fish).
 */
export const THICK_MM = 150;

export interface LoadWarning {
  readonly code:
    | 'load.too-much-for-room'
    | 'load.too-much-for-machine'
    | 'load.unknown'
    | 'load.one-block'
    | 'load.thicker-than-guide';
  /** kg for 100 l, hours the machine alone needs for the heat, hours of the block, or its thickness in mm. */
  readonly seen: number;
  readonly limit: number;
}

/** The core temperature from which a cycle's hold counts, °C. */
export const targetOf = (cycle: FreezeCycle): number => (cycle.solidAt ? SOLID_CORE.c : cycle.hold.c);

/**
 * Heat to be carried off until the middle is at a temperature, J.
 *
 * @param grams of fish
 * @example
 * Math.round(heatToFreeze(1000, 2, -20) / 1000) // => 264
 */
export function heatToFreeze(grams: number, startCelsius: number, targetCelsius: number, water?: number): number {
  inRange(grams, { field: 'mass', unit: 'g', min: 0, max: 1e6 });
  const fish = fishThermal(water);
  return heatOfKilogram(startCelsius, targetCelsius, fish) * (grams / 1000);
}

/** What the load does to its freezer. */
export function loadWarnings(plan: FreezerPlan, arrivalSeconds: number | null, target: number): LoadWarning[] {
  const { loadGrams, litres, watts, stack = 1 } = plan;
  const out: LoadWarning[] = [];
  const { thicknessMm } = blockOf(plan);
  if (stack > 1 && arrivalSeconds !== null) {
    const apart = coreArrival({ ...plan, stack: 1, targetCelsius: target }, 0.5, 1)?.likely;
    if (apart) out.push({ code: 'load.one-block', seen: arrivalSeconds / 3600, limit: apart / 3600 });
  }
  if (thicknessMm > THICK_MM) out.push({ code: 'load.thicker-than-guide', seen: thicknessMm, limit: THICK_MM });
  if (loadGrams === null) return out;
  if (litres !== null) {
    const seen = loadGrams / 1000 / (litres / 100);
    if (seen > LOAD_KG_PER_100_L) out.push({ code: 'load.too-much-for-room', seen, limit: LOAD_KG_PER_100_L });
  }
  if (watts !== null && arrivalSeconds !== null) {
    const hours = heatToFreeze(loadGrams, plan.startCelsius, target, plan.water) / watts / 3600;
    const limit = arrivalSeconds / 3600;
    if (hours > limit / 2) out.push({ code: 'load.too-much-for-machine', seen: hours, limit });
  }
  if (litres === null && watts === null) out.push({ code: 'load.unknown', seen: loadGrams / 1000, limit: 0 });
  return out;
}

/** Face of the fish that the machine has to cool, m²: a slab of that weight and thickness has two. */
const faceArea = (grams: number, thicknessMm: number, shape: Shape) => {
  const perSlab = (2 * (grams / 1000 / FLESH_DENSITY)) / (thicknessMm / 1000);
  return perSlab * (shape === 'slab' ? 1 : shape === 'cylinder' ? 2 : 3);
};

/** One run of the simulation for a plan, with given figures of air and packing. */
function runOf(
  plan: FreezerPlan,
  target: number,
  more: { h: number; resistance: number; air?: (seconds: number) => number; cells?: number; pictures?: number }
): ThermalRun {
  const guess = coreArrival({ ...plan, targetCelsius: target }, 0.5, 1)?.likely ?? 86_400;
  const { thicknessMm, shape, wraps } = blockOf(plan);
  return simulate({
    thicknessMm,
    shape,
    startCelsius: plan.startCelsius,
    medium: more.air ?? (() => plan.airCelsius),
    h: more.h,
    resistance: more.resistance * wraps,
    water: plan.water,
    limitPerArea:
      plan.watts !== null && plan.loadGrams !== null && plan.loadGrams > 0
        ? plan.watts / faceArea(plan.loadGrams, thicknessMm, shape)
        : undefined,
    until: target,
    longestSeconds: Math.min(Math.max(guess * 6, 12 * 3600), 3600 * 24 * 60),
    longestStep: Math.max(30, guess / 150),
    cells: more.cells ?? 24,
    pictures: more.pictures
  });
}

export interface Forecast {
  readonly target: number;
  /** Pham (1986), s; null where the air is too warm. */
  readonly pham: Band | null;
  /** The simulation, s; null where the core does not arrive in it. */
  readonly simulated: Band | null;
  /** What counts as the slow bound: the slower of both, s. */
  readonly arrival: Band | null;
  /** The likely run, to be drawn. */
  readonly run: ThermalRun;
  readonly load: readonly LoadWarning[];
}

/** Pictures of the cut piece that are kept of a run, to be scrubbed through. */
export const PICTURES = 60;
/** Draws of the simulation: each solves the whole freeze. */
const DRAWS = 24;

/**
 * When the core arrives: Pham's formula and the simulation, each with its band, and the curve to be drawn.
 *
 * @param air temperature of the air over time, where it is not steady: a defrosting cabinet, what a logger read; °C by s
 */
export function forecast(plan: FreezerPlan, target: number, air?: (seconds: number) => number, seed = 0.5): Forecast {
  const flow = AIR_CLASSES[plan.airClass];
  const pack = PACKINGS[plan.packing];
  const pham = coreArrival({ ...plan, targetCelsius: target }, seed);
  const run = runOf(plan, target, { h: flow.likely, resistance: pack.likely, air, cells: 32, pictures: PICTURES });
  let simulated: Band | null = null;
  if (run.arrival !== null && pham !== null) {
    const chance = seededChance(seed);
    const seen: number[] = [];
    for (let draw = 0; draw < DRAWS; draw++) {
      const h = Math.min(Math.max(chance.logBand(flow.low, flow.likely, flow.high), 1), 1000);
      const resistance = pack.high > 0 ? chance.logBand(pack.low, pack.likely, pack.high) : 0;
      const spread = chance.logBand(0.92, 1, 1.08);
      const one = runOf(plan, target, { h, resistance, air, cells: 14 });
      seen.push((one.arrival ?? run.arrival * 4) * spread);
    }
    simulated = bandOf(seen, run.arrival);
  }
  const arrival =
    pham && simulated
      ? {
          low: Math.min(pham.low, simulated.low),
          likely: Math.max(pham.likely, simulated.likely),
          high: Math.max(pham.high, simulated.high)
        }
      : null;
  return { target, pham, simulated, arrival, run, load: loadWarnings(plan, arrival?.likely ?? run.arrival, target) };
}

export interface CycleChance {
  readonly cycle: FreezeCycle;
  readonly target: number;
  /** Air that would do, °C: at least a degree below what the core must reach, and cold enough for the rule's own air. */
  readonly needsAir: number;
  /** When the hold would be complete, s after going in; null where this air cannot do it. */
  readonly complete: Band | null;
}

/** When each cycle of a profile would be satisfied in this air, by Pham's formula. */
export function cycleChances(plan: FreezerPlan, cycles: readonly FreezeCycle[]): CycleChance[] {
  return cycles.map((cycle) => {
    const target = targetOf(cycle);
    const needsAir = Math.min(target - 1, cycle.solidAt?.c ?? cycle.hold.c);
    const arrival = plan.airCelsius <= needsAir ? coreArrival({ ...plan, targetCelsius: target }) : null;
    const after = (seconds: number) => seconds + cycle.holdSeconds;
    return {
      cycle,
      target,
      needsAir,
      complete: arrival && { low: after(arrival.low), likely: after(arrival.likely), high: after(arrival.high) }
    };
  });
}

/**
 * How thin fish, each alone, would have to be for its core to arrive in a time, mm; null where even the thinnest does not.
 *
 * @param within s
 */
export function thicknessWithin(plan: FreezerPlan, target: number, within: number): number | null {
  const takes = (thicknessMm: number) =>
    coreArrival({ ...plan, thicknessMm, stack: 1, targetCelsius: target }, 0.5, 1)?.likely;
  if (!(takes(2)! <= within)) return null;
  let [low, high] = [2, 400];
  while (high - low > 0.5) {
    const middle = (low + high) / 2;
    if (takes(middle)! <= within) low = middle;
    else high = middle;
  }
  return Math.floor(low);
}
