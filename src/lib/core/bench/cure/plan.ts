import { inRange } from '../../errors.ts';
import type { Species } from '../../fish/species.ts';
import { bandOf, seededChance, type Band } from '../../random.ts';
import { waterActivity, waterPhaseSalt } from './activity.ts';
import { diffuse, type Snapshot } from './diffusion.ts';
import {
  SALT_DIFFUSIVITY,
  SALT_SATURATION,
  SUGAR_SATURATION,
  SUGAR_TO_SALT_DIFFUSIVITY,
  WATER_LOSS,
  WATER_SHARE,
  saltDiffusivity
} from './parameters.ts';

export interface CureInput {
  readonly method: 'cover' | 'weighed';
  readonly grams: number;
  /** Full thickness, mm. */
  readonly thicknessMm: number;
  /** 1 with the skin on, 2 with both faces open. */
  readonly faces: 1 | 2;
  readonly celsius: number;
  readonly fat: Species['fat'];
  readonly thawed: boolean;
  /** Cover cure: salt as a share of the fish's weight. Weighed cure: salt wanted in the finished piece. 0-1. */
  readonly salt: number;
  /** Sugar as a share of the fish's weight. */
  readonly sugar: number;
  readonly hours: number;
  /** Salt wanted in the middle, share by weight. */
  readonly target: number;
}

export interface CureFrame {
  readonly hours: number;
  /** Salt by weight, %, from the open face inwards to the closed face or the middle. */
  readonly saltPercent: number[];
  readonly surfacePercent: number;
  readonly middlePercent: number;
  readonly meanPercent: number;
  readonly surfaceWps: number;
  readonly middleWps: number;
  readonly meanWps: number;
  readonly gramsAfter: number;
}

export interface CureResult {
  readonly saltGrams: number;
  readonly sugarGrams: number;
  readonly frames: readonly CureFrame[];
  readonly end: CureFrame;
  /** Water activity of the flesh on average at the end; evened out, it is this everywhere. */
  readonly meanWaterActivity: number;
  /** Hours until the middle reaches the target, within the hours simulated; null: it does not. */
  readonly middleReachesHours: number | null;
  /** Hours until surface and middle differ by less than half a per cent of salt. */
  readonly evenHours: number | null;
}

/** Surface and middle closer than this are even, % salt. */
export const EVEN_TOLERANCE_PERCENT = 0.5;
const FLESH_DENSITY = 1055;
export const CURE_NODES = 60;
export const CURE_FRAMES = 48;

const limits = {
  grams: { field: 'grams', unit: 'g', min: 1, max: 50000 },
  thickness: { field: 'thickness', unit: 'mm', min: 2, max: 150 },
  hours: { field: 'hours', unit: 'h', min: 0.25, max: 240 },
  salt: { field: 'salt', unit: '%', min: 0.2, max: 100 },
  sugar: { field: 'sugar', unit: '%', min: 0, max: 100 },
  weighed: { field: 'salt', unit: '%', min: 0.2, max: 12 },
  celsius: { field: 'celsius', unit: '°C', min: -1, max: 15 }
};

/**
 * Grams of salt to weigh out so that the finished piece holds the wanted share once all has evened out. Part of the salt
 * stays in the liquid drawn, so it is a little more than share x weight.
 *
 * @param grams raw weight
 * @param wanted salt in the finished piece, share by weight
 * @param lossShare water drawn, share of the raw weight
 * @example
 * weighedSalt(1000, 0.025, 0.77, 0).toFixed(1) // => '25.6'
 */
export function weighedSalt(grams: number, wanted: number, waterShare: number, lossShare: number): number {
  const p = inRange(wanted, { field: 'salt', unit: '', min: 0.001, max: 0.15 });
  const water = grams * waterShare;
  const left = water - grams * lossShare;
  // Salt in the piece = p (flesh left + salt in it); the same strength stands in piece and liquid.
  const inPiece = (p * grams * (1 - lossShare)) / (1 - p);
  return (inPiece * water) / left;
}

function lossShare(input: CureInput, saltShare: number, most: number): number {
  const dose = saltShare + 0.5 * input.sugar;
  return most * (1 - Math.exp(-dose / WATER_LOSS.doseScale));
}

function check(input: CureInput): void {
  inRange(input.grams, limits.grams);
  inRange(input.thicknessMm, limits.thickness);
  inRange(input.hours, limits.hours);
  inRange(input.celsius, limits.celsius);
  inRange(input.salt * 100, input.method === 'weighed' ? limits.weighed : limits.salt);
  inRange(input.sugar * 100, limits.sugar);
  inRange(input.target * 100, { field: 'target', unit: '%', min: 0.1, max: 20 });
}

/** Salt and water are followed this many times longer than asked, so that a middle that arrives late is still dated. */
const LOOK_AHEAD = 3;

interface Draw {
  readonly diffusivityAt4: number;
  readonly mostLoss: number;
}

interface Run {
  readonly saltGrams: number;
  readonly salt: readonly Snapshot[];
  readonly sugar: readonly Snapshot[];
  /** Dry matter of the flesh under a square metre of face, kg. */
  readonly solids: number;
  /** kg per square metre of face for each gram of the piece. */
  readonly perGram: number;
}

function simulate(input: CureInput, draw: Draw, frames: number, nodes: number, withSugar: boolean): Run {
  const water = WATER_SHARE[input.fat];
  const full = input.thicknessMm / 1000;
  const depth = input.faces === 2 ? full / 2 : full;
  const guess = lossShare(input, input.salt, draw.mostLoss);
  const saltGrams =
    input.method === 'weighed' ? weighedSalt(input.grams, input.salt, water, guess) : input.salt * input.grams;
  const loss = lossShare(input, saltGrams / input.grams, draw.mostLoss);
  const flesh = FLESH_DENSITY * depth;
  const perGram = flesh / input.grams;
  const diffusivity = saltDiffusivity(draw.diffusivityAt4, input.celsius, input.fat, input.thawed);
  const tau = (WATER_LOSS.shareOfDiffusionTime * depth * depth) / diffusivity;
  const drawn = (seconds: number) => flesh * loss * (1 - Math.exp(-seconds / tau));
  const seconds = input.hours * 3600;
  const lookAhead = frames > 1 ? LOOK_AHEAD : 1;
  const outputs = Array.from({ length: frames * lookAhead }, (_, i) => (seconds * (i + 1)) / frames);
  const common = { depth, water: flesh * water, bathWater: 0, drawn, seconds: outputs.at(-1)!, nodes, outputs };
  const salt = diffuse({ ...common, diffusivity, dose: saltGrams * perGram, saturation: SALT_SATURATION });
  const sugarDose = input.sugar * input.grams * perGram;
  const sugar =
    withSugar && sugarDose > 0
      ? diffuse({
          ...common,
          diffusivity: diffusivity * SUGAR_TO_SALT_DIFFUSIVITY,
          dose: sugarDose,
          saturation: SUGAR_SATURATION
        })
      : [];
  return { saltGrams, salt, sugar, solids: flesh * (1 - water), perGram };
}

function frameOf(run: Run, index: number): CureFrame {
  const salt = run.salt[index]!;
  const sugar = run.sugar[index];
  const solidsPerWater = run.solids / salt.water;
  const percent = (c: number, s: number) => (100 * c) / (1 + c + s + solidsPerWater);
  const saltPercent = Array.from(salt.profile, (c, i) => percent(c, sugar?.profile[i] ?? 0));
  const mean = salt.taken / salt.water;
  return {
    hours: salt.seconds / 3600,
    saltPercent,
    surfacePercent: percent(salt.surface, sugar?.surface ?? 0),
    middlePercent: saltPercent.at(-1)!,
    meanPercent: percent(mean, sugar ? sugar.taken / sugar.water : 0),
    surfaceWps: waterPhaseSalt(salt.surface),
    middleWps: waterPhaseSalt(salt.profile.at(-1)!),
    meanWps: waterPhaseSalt(mean),
    gramsAfter: (run.solids + salt.water + salt.taken + (sugar?.taken ?? 0)) / run.perGram
  };
}

/** When a rising (or falling) figure first passes a mark, on the straight line between frames; hours. */
function crossing(frames: readonly CureFrame[], value: (frame: CureFrame) => number, mark: number, rising: boolean) {
  const passed = (seen: number) => (rising ? seen >= mark : seen <= mark);
  for (let i = 0; i < frames.length; i++) {
    const seen = value(frames[i]!);
    if (!passed(seen)) continue;
    const before = frames[i - 1];
    if (!before) return frames[i]!.hours;
    const from = value(before);
    return before.hours + ((mark - from) / (seen - from)) * (frames[i]!.hours - before.hours);
  }
  return null;
}

const LIKELY: Draw = { diffusivityAt4: SALT_DIFFUSIVITY.likely, mostLoss: WATER_LOSS.most.likely };

/**
 * A cure of one even slab, with the likely parameters.
 *
 * @throws EmberError `quantity.out-of-range` naming the field, its unit and the range
 */
export function cure(input: CureInput, nodes = CURE_NODES): CureResult {
  check(input);
  const run = simulate(input, LIKELY, CURE_FRAMES, nodes, true);
  const ahead = run.salt.map((_, index) => frameOf(run, index));
  const frames = ahead.slice(0, CURE_FRAMES);
  const end = frames.at(-1)!;
  const lastSugar = run.sugar[CURE_FRAMES - 1];
  return {
    saltGrams: run.saltGrams,
    sugarGrams: input.sugar * input.grams,
    frames,
    end,
    meanWaterActivity: waterActivity(Math.min(27, end.meanWps), lastSugar ? lastSugar.taken / lastSugar.water : 0),
    middleReachesHours: crossing(ahead, (frame) => frame.middlePercent, input.target * 100, true),
    evenHours: crossing(ahead, (frame) => frame.surfacePercent - frame.middlePercent, EVEN_TOLERANCE_PERCENT, false)
  };
}

export interface CureBand {
  readonly meanSaltPercent: Band;
  readonly middleSaltPercent: Band;
  readonly surfaceWps: Band;
  readonly gramsAfter: Band;
  readonly draws: number;
}

/**
 * How far to trust it: the same cure with diffusivity and water loss drawn from their ranges.
 *
 * @param seed 0 to 1; the same seed gives the same band
 */
export function cureBand(input: CureInput, seed = 0.5, draws = 200, nodes = CURE_NODES): CureBand {
  check(input);
  const chance = seededChance(seed);
  const { diffusivityAt4: d, mostLoss: w } = { diffusivityAt4: SALT_DIFFUSIVITY, mostLoss: WATER_LOSS.most };
  const seen = Array.from({ length: draws }, () => {
    const draw = {
      diffusivityAt4: chance.logBand(d.low, d.likely, d.high),
      mostLoss: Math.min(0.3, chance.logBand(w.low, w.likely, w.high))
    };
    return frameOf(simulate(input, draw, 1, nodes, false), 0);
  });
  const likely = frameOf(simulate(input, LIKELY, 1, nodes, true), 0);
  const plain = frameOf(simulate(input, LIKELY, 1, nodes, false), 0);
  // Sugar moves each figure by a few hundredths; it is followed once and its effect carried to every draw.
  const band = (value: (frame: CureFrame) => number) => {
    const carried = value(plain) > 0 ? value(likely) / value(plain) : 1;
    return bandOf(
      seen.map((frame) => value(frame) * carried),
      value(likely)
    );
  };
  return {
    meanSaltPercent: band((frame) => frame.meanPercent),
    middleSaltPercent: band((frame) => frame.middlePercent),
    surfaceWps: band((frame) => frame.surfaceWps),
    gramsAfter: band((frame) => frame.gramsAfter),
    draws
  };
}
