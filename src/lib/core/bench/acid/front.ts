import { EmberError, inRange } from '../../errors.ts';
import type { AcidShape, FrontMoment } from './shape.ts';
import { thinRims } from './thin.ts';

export type { AcidShape, FrontMoment } from './shape.ts';

export interface FrontPicture {
  readonly fourier: number;
  /** Turned share of the cells of the middle section, row by row outwards along axis 0 (columns) and axis 1 (rows). */
  readonly turned: Float32Array;
}
export interface FrontCourse {
  readonly moments: readonly FrontMoment[];
  readonly pictures: readonly FrontPicture[];
  /** Columns and rows of the pictures. */
  readonly columns: number;
  readonly rows: number;
  /** It can go no further: the acid is used up. */
  readonly stalls: boolean;
}

export interface FrontInput {
  readonly shape: AcidShape;
  /** C0/N: what a litre of liquid can give over what a kilogram of flesh binds. */
  readonly strength: number;
  /** Litres of liquid for a kilogram of fish; Infinity for plenty. */
  readonly liquid: number;
  /** Cells along the smallest half-dimension. */
  readonly nodes?: number;
  /** How far it is followed, D t / a². */
  readonly until?: number;
}

const MOST_CELLS = 40_000;
const MOMENTS = 160;
const PICTURES = 30;
/** An axis is followed this far from its face, in half-dimensions of the smallest. */
const FOLLOWED = 6;
/** Along a longer axis cells may be this much longer: the front is followed along the smallest. */
const LONGER_CELLS = 1.6;

interface Axis {
  readonly count: number;
  readonly step: number;
  /** 0 straight, 1 round, 2 a ball. */
  readonly round: 0 | 1 | 2;
  /** Length of the middle beyond the cells, where nothing comes in along this axis: the innermost cell is that much longer. */
  readonly beyond: number;
  /** Outer edge of each cell. */
  readonly edge: (index: number) => number;
}

function axesOf(shape: AcidShape, nodes: number): Axis[] {
  const axis = (half: number, round: Axis['round'], finest: number): Axis => {
    // Acid from a face many times as far away never meets this front: the middle between is alike all along.
    const followed = round === 0 ? Math.min(half, FOLLOWED) : half;
    const count = Math.max(4, Math.round(followed / finest));
    const step = followed / count;
    return { count, step, round, edge: (index) => (index + 1) * step, beyond: half - followed };
  };
  const fine = 1 / nodes;
  const { kind, halves } = shape;
  for (const half of halves) inRange(half, { field: 'size', unit: 'x', min: 1, max: 60 });
  if (kind === 'slab') return [axis(1, 0, fine)];
  if (kind === 'sphere') return [axis(1, 2, fine)];
  if (kind === 'cylinder') {
    const [radius = 1, height = 1] = halves;
    return [
      axis(radius, 1, radius > 1 ? fine * LONGER_CELLS : fine),
      axis(height, 0, height > 1 ? fine * LONGER_CELLS : fine)
    ];
  }
  return halves.map((half) => axis(half, 0, half > 1 ? fine * LONGER_CELLS : fine));
}

/**
 * Acid that diffuses into flesh and is bound where it arrives, by an enthalpy-type method on total acid: a cell holds its free acid
 * above what it binds, and only free acid moves. Explicit finite volumes at nine tenths of the longest stable step; the liquid is
 * finite and stirred. What leaves the liquid is found in the flesh to rounding. While the rim is thinner than four cells the
 * moving boundary of a flat face stands for them, in the liquid as it weakens, and the cells go on from there.
 *
 * Everything is in units of the half-dimension, of D and of what flesh binds, so one course serves every size, time and
 * temperature of its shape, strength and liquid.
 *
 * @throws EmberError `quantity.out-of-range` naming the field
 */
export function acidCourse(input: FrontInput): FrontCourse {
  const strength = inRange(input.strength, { field: 'strength', unit: '', min: 0.01, max: 100 });
  const liquid =
    input.liquid === Infinity
      ? Infinity
      : inRange(input.liquid, { field: 'liquid', unit: 'l/kg', min: 0.01, max: 1000 });
  const until = inRange(input.until ?? 3, { field: 'time', unit: '', min: 1e-4, max: 50 });
  let nodes = inRange(input.nodes ?? 20, { field: 'nodes', unit: '', min: 6, max: 200 });
  let axes = axesOf(input.shape, nodes);
  const cellsOf = (all: readonly Axis[]) => all.reduce((product, { count }) => product * count, 1);
  while (cellsOf(axes) > MOST_CELLS && nodes > 8) axes = axesOf(input.shape, --nodes);
  if (axes.length === 0) throw new EmberError('form.incomplete', { field: 'shape' });
  const course = follow(axes, smallestAxis(input.shape), strength, liquid, until);
  return joined(course, input.shape, nodes, strength, liquid);
}

/** Thinner than this many cells a rim is not read from them. */
const CELLS_A_RIM = 4;

/** A course whose beginning is the moving boundary's, and whose rest begins where that ends. */
function joined(course: FrontCourse, shape: AcidShape, nodes: number, strength: number, liquid: number): FrontCourse {
  const early = thinRims({ shape, strength, liquid, upTo: CELLS_A_RIM / nodes });
  const join = early.at(-1)!;
  const met = whenRim(course, join.rim);
  // How much later, or sooner, the cells get there than the boundary: what they do after that is as much off.
  const shift = met === null ? 0 : join.fourier - met;
  const rest = met === null ? [] : course.moments.filter(({ fourier, rim }) => fourier > met && rim > join.rim);
  const timeOf = (fourier: number) => {
    if (met !== null && fourier >= met) return fourier + shift;
    const { rim } = momentAt(course, fourier);
    return whenRim({ moments: early }, Math.min(rim, join.rim)) ?? join.fourier;
  };
  // Volumes of the boundary are of flat rims; the cells know the corners. Between them no jump.
  const cells = rest.length > 0 ? momentAt(course, met!) : join;
  const turned = join.raw < 1 ? (1 - cells.raw) / (1 - join.raw) : 1;
  const given = join.left < 1 ? (1 - cells.left) / (1 - join.left) : 1;
  return {
    ...course,
    moments: [
      { fourier: 0, raw: 1, rim: 0, left: 1 },
      ...early.map((each) => ({
        ...each,
        raw: 1 - (1 - each.raw) * turned,
        left: 1 - (1 - each.left) * given
      })),
      ...rest.map((each) => ({ ...each, fourier: each.fourier + shift }))
    ],
    pictures: course.pictures.map((each) => ({ ...each, fourier: each.fourier === 0 ? 0 : timeOf(each.fourier) }))
  };
}

const smallestAxis = ({ halves }: AcidShape): number =>
  halves.reduce((best, half, axis) => (half < halves[best]! ? axis : best), 0);

/** The cells a shape is cut into, what passes between them, and the longest step that stays stable. */
function gridOf(axes: readonly Axis[]) {
  const counts = [axes[0]!.count, axes[1]?.count ?? 1, axes[2]?.count ?? 1] as const;
  const total = counts[0] * counts[1] * counts[2];
  const strides = [1, counts[0], counts[0] * counts[1]];
  // Volume of a cell and the areas of its faces are products over the axes.
  const across = (axis: Axis, index: number) => {
    const power = axis.round + 1;
    const outer = axis.edge(index);
    const inner = outer - axis.step;
    return (outer ** power - inner ** power) / power + (index === 0 ? axis.beyond : 0);
  };
  const widths = axes.map((axis) => Float64Array.from({ length: axis.count }, (_, index) => across(axis, index)));
  /** Conductance through the outer face of a cell along an axis, per unit of the other axes' widths. */
  const outwards = axes.map((axis) =>
    Float64Array.from({ length: axis.count }, (_, index) => {
      const area = axis.edge(index) ** axis.round;
      return area / (index === axis.count - 1 ? axis.step / 2 : axis.step);
    })
  );
  const volume = new Float64Array(total);
  const open: { cell: number; conductance: number }[] = [];
  const links = axes.map(() => ({ from: [] as number[], conductance: [] as number[] }));
  let stable = Infinity;
  const perCell = new Float64Array(total);
  for (let cell = 0; cell < total; cell++) {
    const place = [cell % counts[0], Math.floor(cell / strides[1]!) % counts[1], Math.floor(cell / strides[2]!)];
    volume[cell] = axes.reduce((product, _, axis) => product * widths[axis]![place[axis]!]!, 1);
    for (let axis = 0; axis < axes.length; axis++) {
      const others = volume[cell]! / widths[axis]![place[axis]!]!;
      const conductance = outwards[axis]![place[axis]!]! * others;
      if (place[axis] === counts[axis]! - 1) open.push({ cell, conductance });
      else {
        links[axis]!.from.push(cell);
        links[axis]!.conductance.push(conductance);
        perCell[cell + strides[axis]!]! += conductance;
      }
      perCell[cell]! += conductance;
    }
  }
  for (let cell = 0; cell < total; cell++) stable = Math.min(stable, volume[cell]! / perCell[cell]!);
  const whole = volume.reduce((sum, each) => sum + each, 0);
  const flat = links.map(({ from, conductance }) => ({
    from: Int32Array.from(from),
    conductance: Float64Array.from(conductance)
  }));
  return { counts, strides, total, volume, whole, open, flat, stable };
}

function follow(axes: readonly Axis[], rimAxis: number, strength: number, liquid: number, until: number): FrontCourse {
  const { counts, strides, total, volume, whole, open, flat, stable } = gridOf(axes);
  const bathVolume = liquid * whole;
  // Little liquid is emptied sooner than a cell is filled: it must not be asked for more than it holds.
  const gates = open.reduce((sum, { conductance }) => sum + conductance, 0);
  const step = Math.min(0.9 * stable, (0.25 * bathVolume) / gates);

  // Held acid in units of what flesh binds: up to 1 it is bound, above it is free.
  const held = new Float64Array(total);
  const free = new Float64Array(total);
  const change = new Float64Array(total);
  let bath = strength;
  const moments: FrontMoment[] = [];
  const pictures: FrontPicture[] = [];
  const rimLine = Array.from({ length: counts[rimAxis]! }, (_, index) => index * strides[rimAxis]!);
  const columns = counts[0];
  const rows = counts[1];
  const moment = (fourier: number): FrontMoment => {
    let raw = 0;
    for (let cell = 0; cell < total; cell++) raw += volume[cell]! * (1 - Math.min(1, held[cell]!));
    const rim = rimLine.reduce((sum, cell) => sum + Math.min(1, held[cell]!), 0) / rimLine.length;
    return { fourier, raw: raw / whole, rim, left: bath / strength };
  };
  const picture = (fourier: number): FrontPicture => {
    const turned = new Float32Array(columns * rows);
    for (let cell = 0; cell < turned.length; cell++) turned[cell] = Math.min(1, held[cell]!);
    return { fourier, turned };
  };
  const at = (index: number, count: number) => until * (index / count) ** 3;
  moments.push(moment(0));
  pictures.push(picture(0));
  let time = 0;
  let nextMoment = 1;
  let nextPicture = 1;
  let stalls = false;
  while (time < until - 1e-12) {
    const dt = Math.min(step, until - time);
    change.fill(0);
    for (let axis = 0; axis < flat.length; axis++) {
      const { from, conductance } = flat[axis]!;
      const stride = strides[axis]!;
      for (let link = 0; link < from.length; link++) {
        const cell = from[link]!;
        const flow = conductance[link]! * (free[cell]! - free[cell + stride]!);
        change[cell]! -= flow;
        change[cell + stride]! += flow;
      }
    }
    let given = 0;
    for (const { cell, conductance } of open) {
      const flow = conductance * (bath - free[cell]!);
      change[cell]! += flow;
      given += flow;
    }
    for (let cell = 0; cell < total; cell++) {
      const now = held[cell]! + (change[cell]! * dt) / volume[cell]!;
      held[cell] = now;
      free[cell] = now > 1 ? now - 1 : 0;
    }
    if (bathVolume !== Infinity) bath = Math.max(0, bath - (given * dt) / bathVolume);
    time += dt;
    const isLast = time >= until - 1e-12;
    if (isLast || time >= at(nextMoment, MOMENTS)) {
      const now = moment(time);
      moments.push(now);
      while (at(nextMoment, MOMENTS) <= time) nextMoment++;
      if (isLast || time >= at(nextPicture, PICTURES)) {
        pictures.push(picture(time));
        while (at(nextPicture, PICTURES) <= time) nextPicture++;
      }
      if (now.raw < 1e-4) break;
      // Nothing sour is left outside, nothing free inside.
      if (now.left < 1e-3 && free.every((each) => each < 1e-3)) {
        stalls = true;
        break;
      }
    }
  }
  return { moments, pictures, columns, rows, stalls };
}

/** What a course says at a moment, on the straight line between its own. */
export function momentAt(course: Pick<FrontCourse, 'moments'>, fourier: number): FrontMoment {
  const { moments } = course;
  const last = moments.at(-1)!;
  if (fourier >= last.fourier) return { ...last, fourier };
  let [low, high] = [0, moments.length - 1];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (moments[middle]!.fourier <= fourier) low = middle;
    else high = middle;
  }
  const [a, b] = [moments[low]!, moments[high]!];
  const share = b.fourier === a.fourier ? 0 : (fourier - a.fourier) / (b.fourier - a.fourier);
  const between = (x: number, y: number) => x + (y - x) * share;
  return { fourier, raw: between(a.raw, b.raw), rim: between(a.rim, b.rim), left: between(a.left, b.left) };
}

/** When the rim reaches a share of the half-thickness, D t / a²; null where it never does. */
export function whenRim(course: Pick<FrontCourse, 'moments'>, rim: number): number | null {
  const { moments } = course;
  const after = moments.findIndex((moment) => moment.rim >= rim - 1e-9);
  if (after < 0) return null;
  if (after === 0) return moments[0]!.fourier;
  const [a, b] = [moments[after - 1]!, moments[after]!];
  return a.fourier + ((rim - a.rim) / (b.rim - a.rim || 1)) * (b.fourier - a.fourier);
}

/**
 * Hands out courses and keeps the last of them: a course is without size, time and temperature, so that while one of these is
 * dragged, or two looks of one run are asked for, it is at hand already.
 *
 * @param most courses that are kept
 */
export function rememberedCourses(most = 40): (input: FrontInput) => FrontCourse {
  const kept = new Map<string, FrontCourse>();
  return (input) => {
    const key = JSON.stringify([input.shape, input.strength, input.liquid, input.nodes, input.until]);
    const known = kept.get(key);
    if (known) return known;
    const made = acidCourse(input);
    if (kept.size >= most) kept.delete(kept.keys().next().value!);
    kept.set(key, made);
    return made;
  };
}
