import { acidSet } from '../../activity/acid/plan.ts';
import { inRange } from '../../errors.ts';
import { boundsOf } from '../../fields/field.ts';
import { bandOf, seededChance, type Band } from '../../random.ts';
import { warmth } from '../cure/parameters.ts';
import {
  acidCourse,
  momentAt,
  whenRim,
  type AcidShape,
  type FrontCourse,
  type FrontInput,
  type FrontMoment
} from './front.ts';
import { coverFlatMl, coverMl, mixLiquid, type Liquid, type LiquidPart } from './liquid.ts';
import { ACID_DIFFUSIVITY, ACID_REFERENCE_CELSIUS, BINDING, DARK_TIMES, MUSHY_TIMES } from './parameters.ts';
import { type AcidCut, type SetPoint } from '../../activity/acid/lists.ts';

/** Upper end of each, as a share of the half-thickness; and where in it a cook aims. House's words and shares. */
export const RIM_UP_TO: Record<SetPoint, number> = { kissed: 0.2, rimmed: 0.35, half: 0.65, nearly: 0.95, set: 1 };
export const RIM_AIM: Record<SetPoint, number> = { kissed: 0.1, rimmed: 0.28, half: 0.5, nearly: 0.8, set: 0.95 };
/** A kiss is thin whatever the size: mm. */
export const KISS_MM = 0.5;

export interface AcidSettings {
  readonly cut: AcidCut;
  /** Dice: edge. Brick: three edges. Slice, fillet: thickness. Cylinder: diameter and height. mm */
  readonly sizes: readonly number[];
  /** A fillet with its skin on takes acid from one side. */
  readonly faces: 1 | 2;
  /** In the liquid at a time, g: all of it, or as much as one dip takes. */
  readonly grams: number;
  readonly celsius: number;
  readonly liquid: readonly LiquidPart[];
  readonly measuredPH: number | null;
  /** Dark, fast-swimming fish bind about twice as much. */
  readonly dark: boolean;
  readonly wanted: SetPoint;
  /** How fast acid moves here against the shipped figure, as this run or this house was checked; 1 where nobody looked. */
  readonly pace: number;
}

/** Bounds of what a cook may set, by field, in the unit its field is asked for. */
const LIMITS = boundsOf(acidSet);
const GRAMS = LIMITS.mass;

/** The shape a cut has for acid, and its smallest half-dimension in mm. */
export function shapeOf({ cut, sizes, faces }: Pick<AcidSettings, 'cut' | 'sizes' | 'faces'>): {
  shape: AcidShape;
  halfMm: number;
} {
  const size = (index: number) => inRange(sizes[index] ?? NaN, LIMITS.size);
  if (cut === 'dice') return { shape: { kind: 'brick', halves: [1, 1, 1] }, halfMm: size(0) / 2 };
  if (cut === 'slice') return { shape: { kind: 'slab', halves: [1] }, halfMm: size(0) / 2 };
  if (cut === 'fillet') return { shape: { kind: 'slab', halves: [1] }, halfMm: faces === 1 ? size(0) : size(0) / 2 };
  if (cut === 'cylinder') {
    const [radius, height] = [size(0) / 2, size(1) / 2];
    const halfMm = Math.min(radius, height);
    return { shape: { kind: 'cylinder', halves: [radius / halfMm, height / halfMm] }, halfMm };
  }
  const halves = [size(0), size(1), size(2)].map((edge) => edge / 2).sort((a, b) => a - b);
  return { shape: { kind: 'brick', halves: halves.map((half) => half / halves[0]!) }, halfMm: halves[0]! };
}

/** How far the rim has come, by name. */
export function setPointAt(rim: number, halfMm: number): SetPoint {
  if (rim < RIM_UP_TO.kissed && rim * halfMm < KISS_MM) return 'kissed';
  if (rim <= RIM_UP_TO.rimmed) return 'rimmed';
  if (rim <= RIM_UP_TO.half) return 'half';
  return rim <= RIM_UP_TO.nearly ? 'nearly' : 'set';
}

/** Where a rim of that name is aimed at, and where it ends. */
export const rimAim = (wanted: SetPoint, halfMm: number): number =>
  wanted === 'kissed' ? Math.min(RIM_AIM.kissed, (0.6 * KISS_MM) / halfMm) : RIM_AIM[wanted];
export const rimEnd = (wanted: SetPoint, halfMm: number): number =>
  wanted === 'kissed' ? Math.min(RIM_UP_TO.kissed, KISS_MM / halfMm) : RIM_UP_TO[wanted];

export interface AcidResult {
  readonly liquid: Liquid;
  /** C0/N */
  readonly strength: number;
  readonly halfMm: number;
  readonly shape: AcidShape;
  readonly course: FrontCourse;
  /** D t / a² in a second. */
  readonly fourierPerSecond: number;
  /** s; null: with this liquid it never gets there. */
  readonly readySeconds: number | null;
  /** s; null: it does not go past it. */
  readonly pastSeconds: number | null;
  readonly setSeconds: number | null;
  /** Liquid that would just cover it, ml, and how much of that is missing. */
  readonly coverMl: number;
  readonly topUpMl: number;
  /** No acid: it will not turn. */
  readonly sour: boolean;
}

const NO_COURSE: FrontCourse = {
  moments: [{ fourier: 0, raw: 1, rim: 0, left: 0 }],
  pictures: [{ fourier: 0, turned: new Float32Array(1) }],
  columns: 1,
  rows: 1,
  stalls: true
};
/** Weaker than this against the flesh nothing is ever seen to turn. */
const LEAST_STRENGTH = 0.02;

const bindingOf = (dark: boolean, binding: number): number => (dark ? binding * DARK_TIMES : binding);
const paceOf = (settings: AcidSettings, diffusivity: number, halfMm: number): number =>
  (diffusivity * settings.pace * warmth(settings.celsius)) / warmth(ACID_REFERENCE_CELSIUS) / (halfMm / 1000) ** 2;

function check(settings: AcidSettings): void {
  inRange(settings.grams, GRAMS);
  inRange(settings.celsius, LIMITS.celsius);
  inRange(settings.pace, LIMITS.pace);
  if (settings.measuredPH !== null) inRange(settings.measuredPH, LIMITS.measuredPH);
}

/** Cells along the smallest half-dimension, wherever a time is said: bench, band, clock and what a cut piece teaches agree. */
export const ACID_NODES = 20;
/** Draws go by courses of fewer cells, laid through the likely one. */
const DRAW_NODES = 12;

/** Liquid that covers a cut, ml: a pan of pieces filled, or a fillet flesh side down in a few millimetres. */
const coverOf = ({ cut, faces, grams, sizes }: AcidSettings): number =>
  cut === 'fillet' && faces === 1 ? coverFlatMl(grams, sizes[0]!) : coverMl(grams);

/**
 * How acid goes into fish: shape, liquid and time to the wanted look.
 *
 * @param nodes cells along the smallest half-dimension
 * @param solve hands out the course of a shape, strength and liquid; one that remembers them makes sizes and times instant
 * @throws EmberError `quantity.out-of-range` naming the field, its unit and the range
 */
export function acidPlan(
  settings: AcidSettings,
  nodes = ACID_NODES,
  solve: (input: FrontInput) => FrontCourse = acidCourse
): AcidResult {
  check(settings);
  const { shape, halfMm } = shapeOf(settings);
  const liquid = mixLiquid(settings.liquid, settings.measuredPH);
  const strength = liquid.available / bindingOf(settings.dark, BINDING.likely);
  const litresPerKilogram = liquid.ml / settings.grams;
  const sour = strength >= LEAST_STRENGTH;
  const course = sour ? solve({ shape, strength, liquid: litresPerKilogram, nodes }) : NO_COURSE;
  const fourierPerSecond = paceOf(settings, ACID_DIFFUSIVITY.likely, halfMm);
  const seconds = (rim: number) => {
    const fourier = sour ? whenRim(course, rim) : null;
    return fourier === null ? null : fourier / fourierPerSecond;
  };
  const setSeconds = seconds(RIM_AIM.set);
  const cover = coverOf(settings);
  return {
    liquid,
    strength,
    halfMm,
    shape,
    course,
    fourierPerSecond,
    readySeconds: seconds(rimAim(settings.wanted, halfMm)),
    pastSeconds:
      settings.wanted === 'set'
        ? setSeconds === null
          ? null
          : setSeconds * MUSHY_TIMES.likely
        : seconds(rimEnd(settings.wanted, halfMm) + 1e-3),
    setSeconds,
    coverMl: cover,
    topUpMl: Math.max(0, cover - liquid.ml),
    sour
  };
}

/** What stands at a moment of a plan: raw share, rim in mm, look, acid left. */
export function lookAt(
  result: Pick<AcidResult, 'course' | 'fourierPerSecond' | 'halfMm'>,
  seconds: number
): FrontMoment & { readonly rimMm: number; readonly look: SetPoint } {
  const moment = momentAt(result.course, Math.max(0, seconds) * result.fourierPerSecond);
  return { ...moment, rimMm: moment.rim * result.halfMm, look: setPointAt(moment.rim, result.halfMm) };
}

export interface AcidBand {
  readonly readySeconds: Band | null;
  readonly pastSeconds: Band | null;
  readonly setSeconds: Band | null;
  /** Share of the draws in which the acid runs out before it is as wanted, past its best, set. */
  readonly never: { readonly ready: number; readonly past: number; readonly set: number };
  readonly draws: number;
}

/** Strengths the draws lie between: a course each, and the times of a draw from the two next to it. */
const STRENGTHS = 5;

/**
 * How far to trust it: diffusivity, what flesh binds and how sour the fruit was, drawn from their ranges. A draw's course lies between
 * those of the two nearest of five strengths, laid through the likely course; size, time and temperature only scale it. Draws that never
 * get there are counted apart: a band is of those that do.
 *
 * @param seed 0 to 1; the same seed gives the same band
 */
export function acidBand(
  settings: AcidSettings,
  seed = 0.5,
  draws = 200,
  solve: (input: FrontInput) => FrontCourse = acidCourse
): AcidBand {
  check(settings);
  const { shape, halfMm } = shapeOf(settings);
  const strengthAt = (which: 'low' | 'likely' | 'high', binding: number) =>
    mixLiquid(settings.liquid, settings.measuredPH, which).available / bindingOf(settings.dark, binding);
  const likely = acidPlan(settings, ACID_NODES, solve);
  const nothing = { readySeconds: null, pastSeconds: null, setSeconds: null };
  if (!likely.sour) return { ...nothing, never: { ready: 1, past: 1, set: 1 }, draws };
  const low = Math.max(LEAST_STRENGTH, strengthAt('low', BINDING.high) * 0.8);
  const high = strengthAt('high', BINDING.low) * 1.25;
  const litres = likely.liquid.ml / settings.grams;
  const ladder = Array.from({ length: STRENGTHS }, (_, step) => {
    const strength = low * (high / low) ** (step / (STRENGTHS - 1));
    return { strength, course: solve({ shape, strength, liquid: litres, nodes: DRAW_NODES }) };
  });
  const fourierTo = (strength: number, rim: number): number | null => {
    const place = Math.max(
      0,
      Math.min(STRENGTHS - 1.001, (Math.log(strength / low) / Math.log(high / low)) * (STRENGTHS - 1))
    );
    const below = Math.floor(place);
    const [a, b] = [whenRim(ladder[below]!.course, rim), whenRim(ladder[below + 1]!.course, rim)];
    if (a === null || b === null) return null;
    return Math.exp(Math.log(a) + (Math.log(b) - Math.log(a)) * (place - below));
  };
  const chance = seededChance(seed);
  const juice = { low: strengthAt('low', 1), likely: strengthAt('likely', 1), high: strengthAt('high', 1) };
  const drawn = Array.from({ length: draws }, () => {
    const diffusivity = chance.logBand(ACID_DIFFUSIVITY.low, ACID_DIFFUSIVITY.likely, ACID_DIFFUSIVITY.high);
    const binding = chance.logBand(BINDING.low, BINDING.likely, BINDING.high);
    const sour = juice.high > juice.low ? chance.logBand(juice.low, juice.likely, juice.high) : juice.likely;
    return {
      pace: paceOf(settings, diffusivity, halfMm),
      strength: Math.max(low, Math.min(high, sour / binding)),
      mushy: chance.logBand(MUSHY_TIMES.low, MUSHY_TIMES.likely, MUSHY_TIMES.high)
    };
  });
  const band = (
    rim: number,
    middle: number | null,
    times: (draw: (typeof drawn)[number]) => number = () => 1
  ): { readonly of: Band | null; readonly never: number } => {
    const fouriers = drawn.map(({ strength }) => fourierTo(strength, rim));
    const never = fouriers.filter((fourier) => fourier === null).length / draws;
    if (middle === null) return { of: null, never };
    const fine = whenRim(likely.course, rim);
    const coarse = fourierTo(Math.max(low, Math.min(high, likely.strength)), rim);
    const laid = fine !== null && coarse !== null ? fine / coarse : 1;
    const seen = drawn.flatMap((draw, index) => {
      const fourier = fouriers[index]!;
      return fourier === null ? [] : [((fourier * laid) / draw.pace) * times(draw)];
    });
    return { of: bandOf(seen, middle), never };
  };
  const end = settings.wanted === 'set' ? RIM_AIM.set : rimEnd(settings.wanted, halfMm) + 1e-3;
  const ready = band(rimAim(settings.wanted, halfMm), likely.readySeconds);
  const past = band(end, likely.pastSeconds, settings.wanted === 'set' ? ({ mushy }) => mushy : undefined);
  const set = band(RIM_AIM.set, likely.setSeconds);
  return {
    readySeconds: ready.of,
    pastSeconds: past.of,
    setSeconds: set.of,
    never: { ready: ready.never, past: past.never, set: set.never },
    draws
  };
}

/**
 * How much faster or slower this run goes than it was forecast, from one piece cut open: the pace at which the forecast would have
 * shown that raw middle at that moment.
 *
 * @param rawMm width of the raw middle along the smallest dimension, mm
 * @param seconds since the acid met the fish
 * @param solve as of `acidPlan`
 * @returns the pace to go on with, 0.1 to 10
 * @throws EmberError `quantity.out-of-range` for a middle wider than the piece
 */
export function paceFromCheck(
  settings: AcidSettings,
  rawMm: number,
  seconds: number,
  solve: (input: FrontInput) => FrontCourse = acidCourse
): number {
  const result = acidPlan(settings, ACID_NODES, solve);
  // A fillet on its skin is raw from the skin up.
  const full = settings.cut === 'fillet' && settings.faces === 1 ? result.halfMm : 2 * result.halfMm;
  const raw = inRange(rawMm, { field: 'rawMm', unit: 'mm', min: 0, max: full });
  inRange(seconds, { field: 'time', unit: 's', min: 10, max: 7 * 86400 });
  const rim = Math.min(0.98, 1 - raw / full);
  const fourier = rim <= 0 ? 0 : whenRim(result.course, rim);
  if (fourier === null) return LIMITS.pace.min;
  const pace = (settings.pace * fourier) / (seconds * result.fourierPerSecond);
  return Math.min(LIMITS.pace.max, Math.max(LIMITS.pace.min, pace));
}

/** The shipped figure counts as this many checks: one odd piece moves a house little. */
const SHIPPED_COUNTS = 2;

/**
 * The pace a house's checks have taught: their geometric mean, with the shipped figure among them.
 *
 * @param paces of earlier runs, against the shipped figure
 * @example
 * housePace([1, 1, 1]) // => 1
 */
export const housePace = (paces: readonly number[]): number =>
  Math.exp(
    paces.reduce((sum, pace) => sum + Math.log(inRange(pace, LIMITS.pace)), 0) / (paces.length + SHIPPED_COUNTS)
  );
