import { EmberError, inRange } from '../../errors.ts';

/** A solute entering a slab from one face (x = 0); the other face is closed (skin, or the middle of a two-faced slab). */
export interface DiffusionInput {
  /** Depth from the open face to the closed one, m. */
  readonly depth: number;
  /** m²/s */
  readonly diffusivity: number;
  /** Water in the slab under one square metre of open face, at the start, kg. */
  readonly water: number;
  /** Solute laid on that square metre, kg. */
  readonly dose: number;
  /** Water of the bath over that square metre at the start, kg: 0 for a dry cure. */
  readonly bathWater: number;
  /** kg solute per kg water at which the bath is full. */
  readonly saturation: number;
  /** Water drawn from the flesh by a time (s), kg per square metre; monotone, never all of it. */
  readonly drawn: (seconds: number) => number;
  readonly seconds: number;
  readonly nodes: number;
  /** Wanted output times, ascending, s. */
  readonly outputs: readonly number[];
  /** Each step is at most this share of the time gone by. */
  readonly stepShare?: number;
}

export interface Snapshot {
  readonly seconds: number;
  /** kg solute per kg water, from the open face inwards, at cell centres. */
  readonly profile: Float64Array;
  /** At the face itself. */
  readonly surface: number;
  /** kg in the slab under the square metre. */
  readonly taken: number;
  /** kg left outside. */
  readonly outside: number;
  /** kg water left in the slab. */
  readonly water: number;
}

/** What of the step is still at rest in a first step so short that the grid does not see it, s. */
const FIRST_STEP_SECONDS = 5;

/**
 * Fick's second law in the water of a slab, by finite volumes and backward Euler with graded steps: unconditionally
 * stable, never negative, and every gram that leaves the bath is found in the slab.
 *
 * The face stands at saturation while undissolved solute remains; after that the bath is a finite, well stirred brine that
 * is solved together with the slab. Checked against Crank, The Mathematics of Diffusion, 2nd ed., ch. 4: constant surface
 * (4.18) and limited reservoir (4.37).
 *
 * @throws EmberError `quantity.out-of-range` naming the field
 */
export function diffuse(input: DiffusionInput): Snapshot[] {
  const depth = inRange(input.depth, { field: 'depth', unit: 'm', min: 5e-4, max: 0.2 });
  const diffusivity = inRange(input.diffusivity, { field: 'diffusivity', unit: 'm²/s', min: 1e-12, max: 1e-7 });
  const water0 = inRange(input.water, { field: 'water', unit: 'kg/m²', min: 1e-3, max: 1000 });
  const dose = inRange(input.dose, { field: 'dose', unit: 'kg/m²', min: 1e-9, max: 1e5 });
  const n = inRange(input.nodes, { field: 'nodes', unit: '', min: 4, max: 2000 });
  const end = inRange(input.seconds, { field: 'time', unit: 's', min: 1, max: 60 * 86400 });
  const share = input.stepShare ?? 0.02;

  const dx = depth / n;
  const k = diffusivity / (dx * dx);
  let mass: Float64Array = new Float64Array(n);
  let bath = dose;
  let next: Float64Array = new Float64Array(n);
  let surface = input.saturation;
  let dissolved = false;
  const upper = new Float64Array(n + 1);
  const right = new Float64Array(n + 1);
  const out: Snapshot[] = [];
  const wanted = [...input.outputs].filter((time) => time > 0 && time <= end).sort((a, b) => a - b);
  if (wanted.at(-1) !== end) wanted.push(end);

  let time = 0;
  let wantedAt = 0;
  let step = Math.min(FIRST_STEP_SECONDS, end / 20);
  while (wantedAt < wanted.length) {
    const goal = wanted[wantedAt]!;
    const dt = Math.min(step, goal - time);
    const after = time + dt;
    const drawn = input.drawn(after);
    const cell = (water0 - drawn) / n;
    if (!(cell > 0))
      throw new EmberError('quantity.out-of-range', { field: 'drawn', unit: 'kg/m²', max: water0, seen: drawn });
    const bathWater = input.bathWater + drawn;
    const r = k * dt;
    if (!dissolved) {
      const left = solveSaturated(mass, next, bath, input.saturation * cell, r, upper, right);
      // Nothing undissolved would be left at the end of the step: from here on the bath itself is an unknown, and as
      // its water only grows, undissolved salt does not come back.
      dissolved = left < input.saturation * bathWater;
      if (!dissolved) {
        bath = left;
        surface = input.saturation;
      }
    }
    if (dissolved) {
      bath = solveFinite(mass, next, bath, cell / bathWater, r, upper, right);
      surface = bath / bathWater;
    }
    [mass, next] = [next, mass];
    time = after;
    if (time >= goal - 1e-9) {
      time = goal;
      let taken = 0;
      const profile = new Float64Array(n);
      for (let i = 0; i < n; i++) {
        taken += mass[i]!;
        profile[i] = mass[i]! / cell;
      }
      out.push({ seconds: goal, profile, surface, taken, outside: bath, water: water0 - drawn });
      wantedAt++;
    }
    step = Math.max(step, share * time);
  }
  return out;
}

/**
 * One step with the face at a fixed concentration, written to `next`; `face` is that concentration times the water of one
 * cell. Returns what is left in the bath.
 */
function solveSaturated(
  mass: Float64Array,
  next: Float64Array,
  bath: number,
  face: number,
  r: number,
  upper: Float64Array,
  right: Float64Array
): number {
  const n = mass.length;
  let diagonal = 1 + 3 * r;
  upper[0] = -r / diagonal;
  right[0] = (mass[0]! + 2 * r * face) / diagonal;
  for (let i = 1; i < n; i++) {
    diagonal = 1 + (i === n - 1 ? r : 2 * r) + r * upper[i - 1]!;
    upper[i] = -r / diagonal;
    right[i] = (mass[i]! + r * right[i - 1]!) / diagonal;
  }
  next[n - 1] = right[n - 1]!;
  for (let i = n - 2; i >= 0; i--) next[i] = right[i]! - upper[i]! * next[i + 1]!;
  return bath - 2 * r * (face - next[0]!);
}

/**
 * One step with the bath as an unknown of its own, written to `next`; `ratio` is the water of one cell over that of the
 * bath. Returns what is left in the bath.
 */
function solveFinite(
  mass: Float64Array,
  next: Float64Array,
  bath: number,
  ratio: number,
  r: number,
  upper: Float64Array,
  right: Float64Array
): number {
  const n = mass.length;
  const gate = 2 * r;
  let diagonal = 1 + gate * ratio;
  upper[0] = -gate / diagonal;
  right[0] = bath / diagonal;
  for (let i = 0; i < n; i++) {
    const below = i === 0 ? gate * ratio : r;
    const inward = i === n - 1 ? 0 : r;
    const outward = i === 0 ? gate : r;
    diagonal = 1 + inward + outward + below * upper[i]!;
    upper[i + 1] = -inward / diagonal;
    right[i + 1] = (mass[i]! + below * right[i]!) / diagonal;
    if (i === n - 1) break;
  }
  next[n - 1] = right[n]!;
  for (let i = n - 2; i >= 0; i--) next[i] = right[i + 1]! - upper[i + 1]! * next[i + 1]!;
  return right[0]! - upper[0]! * next[0]!;
}
