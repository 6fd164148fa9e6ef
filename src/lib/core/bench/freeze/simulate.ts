import { EmberError, inRange } from '../../errors.ts';
import { enthalpy, fishThermal, iceShare, temperature, temperatureSlope, type FishThermal } from './thermal.ts';

/** Slab, long cylinder or sphere: the power with which the area grows from the middle outward. */
export const SHAPES = { slab: 0, cylinder: 1, sphere: 2 } as const;
export type Shape = keyof typeof SHAPES;

export interface ThermalInput {
  /** Full thickness or diameter, mm. */
  readonly thicknessMm: number;
  readonly shape: Shape;
  readonly startCelsius: number;
  /** Temperature of the air (or water) over time, s after the start: a defrosting cabinet, a log. °C */
  readonly medium: (seconds: number) => number;
  /** Surface coefficient of the medium, W/(m² K). */
  readonly h: number;
  /** Thermal resistance of what is round the fish, m² K/W. */
  readonly resistance: number;
  /** Share of water in the flesh. */
  readonly water?: number;
  /** Heat the machine can carry off for each m² of fish, W/m²: a small machine with much fish warms up. */
  readonly limitPerArea?: number;
  /** The run ends when the middle has passed this. °C */
  readonly until: number;
  /** Or at this, s. */
  readonly longestSeconds: number;
  /** Layers from the middle to the face. */
  readonly cells?: number;
  /** Longest step, s. */
  readonly longestStep?: number;
  /** How many pictures of the cut piece to keep on the way; none where left out. */
  readonly pictures?: number;
}

export interface ThermalPoint {
  readonly seconds: number;
  readonly core: number;
  readonly surface: number;
  readonly medium: number;
}
export interface ThermalRun {
  readonly points: readonly ThermalPoint[];
  /** When the middle passed the temperature wanted, s; null where it did not in the time allowed. */
  readonly arrival: number | null;
  /** Heat that left through the face and heat that the fish lost, J/m² of face: equal, or the numbers are not to be trusted. */
  readonly carriedOff: number;
  readonly lost: number;
  /** Temperatures from the middle outward at the end, °C. */
  readonly profile: readonly number[];
  /** The same at moments on the way, where they were asked for. */
  readonly pictures: readonly ThermalPicture[];
}
/** The piece cut through at a moment: a temperature a layer, from the middle outward, °C. */
export interface ThermalPicture {
  readonly seconds: number;
  readonly layers: readonly number[];
}

/** In a medium of just the temperature wanted the middle creeps towards it and never passes it: by this much it has to, K. */
const PASSED = 1e-6;
const MOST_STEPS = 60_000;
/** Newton's steps are believed when no layer's heat content moves by more than this share of the latent heat. */
const CONVERGED = 1e-9;

/**
 * Freezing or thawing of a slab, cylinder or sphere from both faces: heat conduction on the enthalpy, fully implicit in time
 * with Newton's method, finite volumes, so that heat is conserved to rounding and any step is stable. The step follows how fast
 * the fish changes.
 *
 * Source of the method: enthalpy formulation, for instance Pham, Q. T. (2006), International Journal of Refrigeration 29(6),
 * 876-888.
 *
 * @throws EmberError `quantity.out-of-range`
 */
export function simulate(input: ThermalInput): ThermalRun {
  const half = inRange(input.thicknessMm, { field: 'thickness', unit: 'mm', min: 2, max: 400 }) / 2000;
  const start = inRange(input.startCelsius, { field: 'startCore', unit: '°C', min: -60, max: 35 });
  const h = inRange(input.h, { field: 'h', unit: 'W/m²K', min: 0.5, max: 2000 });
  const longest = inRange(input.longestSeconds, { field: 'hours', unit: 's', min: 1, max: 3600 * 24 * 90 });
  const until = inRange(input.until, { field: 'target', unit: '°C', min: -60, max: 30 });
  const cells = inRange(input.cells ?? 32, { field: 'cells', unit: '', min: 4, max: 400 });
  const longestStep = input.longestStep ?? Math.max(60, longest / 400);
  const fish = fishThermal(input.water);
  const power = SHAPES[input.shape];
  const falling = until < start;
  const dr = half / cells;
  const area = (radius: number) => (radius / half) ** power;
  const face = Float64Array.from({ length: cells + 1 }, (_, index) => area(index * dr));
  const volume = Float64Array.from(
    { length: cells },
    (_, index) => (((index + 1) * dr) ** (power + 1) - (index * dr) ** (power + 1)) / ((power + 1) * half ** power)
  );
  const heat = new Float64Array(cells).fill(enthalpy(start, fish));
  const celsius = new Float64Array(cells).fill(start);
  const total = () => heat.reduce((sum, each, index) => sum + each * volume[index]!, 0);
  const before = total();
  const limit = input.limitPerArea ?? Infinity;

  const solve = stepper({ fish, cells, dr, face, volume, surface: h, resistance: input.resistance, limit });
  const points: ThermalPoint[] = [{ seconds: 0, core: start, surface: start, medium: medium(input, 0) }];
  let seconds = 0;
  let step = Math.min(longestStep, 5);
  let carriedOff = 0;
  let arrival: number | null = null;
  const pictures: ThermalPicture[] = [];
  const keep = () => void (input.pictures && pictures.push({ seconds, layers: [...celsius] }));
  keep();
  for (let count = 0; count < MOST_STEPS && seconds < longest; count++) {
    const size = Math.min(step, longest - seconds);
    const air = medium(input, seconds + size);
    const done = solve(heat, celsius, air, size);
    if (!done) {
      step = size / 3;
      if (step < 1e-3) throw new EmberError('number.not-finite', { field: 'simulation', seen: 'no convergence' });
      continue;
    }
    const coreBefore = points.at(-1)!.core;
    seconds += size;
    carriedOff += done.flux * size;
    const core = celsius[0]!;
    points.push({ seconds, core, surface: done.surface, medium: done.air });
    keep();
    if (arrival === null && (falling ? core <= until - PASSED : core >= until + PASSED)) {
      const share = coreBefore === core ? 1 : (coreBefore - until) / (coreBefore - core);
      arrival = seconds - size * (1 - Math.min(1, Math.max(0, share)));
      break;
    }
    step = Math.min(longestStep, done.iterations <= 4 ? size * 1.25 : done.iterations > 8 ? size / 1.5 : size);
  }
  return {
    points,
    arrival,
    carriedOff,
    lost: before - total(),
    profile: [...celsius],
    pictures: thinnedTo(pictures, input.pictures ?? 0)
  };
}

/** A few of many, evenly in time: steps are short where little has happened yet. */
function thinnedTo(pictures: readonly ThermalPicture[], most: number): ThermalPicture[] {
  if (pictures.length <= most) return [...pictures];
  const end = pictures.at(-1)!.seconds;
  const out: ThermalPicture[] = [];
  let next = 0;
  for (const picture of pictures) {
    if (picture.seconds < next - 1e-9 && picture.seconds < end) continue;
    out.push(picture);
    next = (end * out.length) / (most - 1);
  }
  return out;
}

function medium(input: ThermalInput, seconds: number): number {
  return inRange(input.medium(seconds), { field: 'air', unit: '°C', min: -200, max: 60 });
}

interface Grid {
  readonly fish: FishThermal;
  readonly cells: number;
  readonly dr: number;
  readonly face: Float64Array;
  readonly volume: Float64Array;
  readonly surface: number;
  readonly resistance: number;
  readonly limit: number;
}

/** One implicit step by Newton's method on the heat content of every layer. Null where it did not converge: nothing is changed. */
function stepper({ fish, cells, dr, face, volume, surface, resistance, limit }: Grid) {
  const next = new Float64Array(cells);
  const warmth = new Float64Array(cells);
  const slope = new Float64Array(cells);
  const k = new Float64Array(cells);
  const between = new Float64Array(cells + 1);
  const lower = new Float64Array(cells);
  const diagonal = new Float64Array(cells);
  const upper = new Float64Array(cells);
  const right = new Float64Array(cells);
  const conductivity = (celsius: number) => fish.kUnfrozen + (fish.kFrozen - fish.kUnfrozen) * iceShare(celsius, fish);

  return (heat: Float64Array, celsius: Float64Array, air: number, size: number) => {
    // Conductivity of the step's beginning: the fluxes stay shared between neighbours, so nothing is lost by it.
    for (let index = 0; index < cells; index++) k[index] = conductivity(celsius[index]!);
    for (let index = 1; index < cells; index++) {
      between[index] = (face[index]! * 2 * k[index]! * k[index - 1]!) / ((k[index]! + k[index - 1]!) * dr);
    }
    const outward = 1 / (1 / surface + resistance + dr / 2 / k[cells - 1]!);
    next.set(heat);
    for (let iteration = 1; iteration <= 25; iteration++) {
      for (let index = 0; index < cells; index++) {
        warmth[index] = temperature(next[index]!, fish);
        slope[index] = temperatureSlope(next[index]!, warmth[index]!, fish);
      }
      const outer = warmth[cells - 1]!;
      const wanted = outward * (outer - air);
      const limited = wanted > limit;
      const flux = limited ? limit : wanted;
      for (let index = 0; index < cells; index++) {
        const inward = index > 0 ? between[index]! : 0;
        const out = index < cells - 1 ? between[index + 1]! : 0;
        let residual = (volume[index]! * (next[index]! - heat[index]!)) / size;
        let own = volume[index]! / size;
        if (index > 0) residual -= inward * (warmth[index - 1]! - warmth[index]!);
        if (index < cells - 1) residual -= out * (warmth[index + 1]! - warmth[index]!);
        else residual += flux;
        own += (inward + out + (index === cells - 1 && !limited ? outward : 0)) * slope[index]!;
        diagonal[index] = own;
        lower[index] = index > 0 ? -inward * slope[index - 1]! : 0;
        upper[index] = index < cells - 1 ? -out * slope[index + 1]! : 0;
        right[index] = -residual;
      }
      for (let index = 1; index < cells; index++) {
        const factor = lower[index]! / diagonal[index - 1]!;
        diagonal[index]! -= factor * upper[index - 1]!;
        right[index]! -= factor * right[index - 1]!;
      }
      let most = 0;
      for (let index = cells - 1; index >= 0; index--) {
        const known = index < cells - 1 ? upper[index]! * right[index + 1]! : 0;
        right[index] = (right[index]! - known) / diagonal[index]!;
        most = Math.max(most, Math.abs(right[index]!));
      }
      // A layer does not cross the freezing point in one guess: the law bends there.
      for (let index = 0; index < cells; index++) {
        const guess = next[index]! + right[index]!;
        next[index] = next[index]! > 0 && guess < 0 ? -1 : next[index]! < 0 && guess > 0 ? 1 : guess;
        if (guess * next[index]! < 0) most = Math.max(most, CONVERGED * fish.latent * 2);
      }
      if (!Number.isFinite(most)) return null;
      if (most < CONVERGED * fish.latent) {
        heat.set(next);
        for (let index = 0; index < cells; index++) celsius[index] = temperature(next[index]!, fish);
        const now = celsius[cells - 1]!;
        const through = limited ? limit : outward * (now - air);
        return {
          iterations: iteration,
          flux: through,
          surface: now - (through * dr) / 2 / k[cells - 1]!,
          air: limited ? now - limit / outward : air
        };
      }
    }
    return null;
  };
}
