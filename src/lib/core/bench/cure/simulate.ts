import { FLESH_DENSITY } from '../../fish/flesh.ts';
import {
  BATH_LOSS,
  DESALT_GAIN,
  DRINKABLE,
  PASTE_DRAWS,
  SALT_SATURATION,
  SUGAR_FACE_MOST,
  SUGAR_HALVES_SALT_AT,
  SUGAR_SATURATION,
  SUGAR_TO_SALT_DIFFUSIVITY,
  WATER_LOSS,
  WATER_PER_SOLUTE,
  fleshFactor,
  warmth
} from './parameters.ts';
import { dosingOf, drainShare, dryLoss, waterShareOf, type CureSettings, type Stage } from './programme.ts';
import { soluteIn, type Solute } from './solute.ts';
import { type Contact, type SlabZone } from './reservoirs.ts';
import type { CureZone } from './zones.ts';

/** One draw of what the model leans on. */
export interface Draw {
  /** Lean flesh never frozen at 4 °C, m²/s. */
  readonly diffusivity: number;
  readonly mostLoss: number;
}

export interface SimulationOptions {
  readonly nodes: number;
  /** Each step is at most this share of the time its stage has run. */
  readonly stepShare: number;
  readonly withSugar: boolean;
  /** Moments asked for, s since the start, ascending. */
  readonly outputs: readonly number[];
  /** Layers of the picture a moment keeps; 0 for none. */
  readonly layers: number;
  /** Salt and sugar of each zone by its own weight, where they were worked out apart. */
  readonly doses?: readonly { readonly salt: number; readonly sugar: number }[];
}

/** A zone at a moment. Percent by weight of the flesh with what it took up; strengths in kg per kg water. */
export interface ZoneMoment {
  readonly mean: number;
  readonly middle: number;
  readonly surface: number;
  readonly meanStrength: number;
  readonly middleStrength: number;
  readonly surfaceStrength: number;
  readonly sugarStrength: number;
  /** kg of the zone, of 1 kg of raw piece. */
  readonly kilograms: number;
  /** kg of salt in it. */
  readonly salt: number;
  /** kg of water in it: what was drawn out leaves its whole depth alike. */
  readonly water: number;
}
export interface Moment {
  readonly seconds: number;
  readonly zones: readonly ZoneMoment[];
  /** Salt by weight, %, zone by zone, from the open face inwards. */
  readonly layers: Float32Array;
  /** Sugar, likewise; nothing where none is laid on or none was followed. */
  readonly sweet: Float32Array;
}

/** How much diffusion a stretch of time holds: the integral of the Arrhenius factor over it, s at 4 °C. */
export function warmthClock(settings: Pick<CureSettings, 'celsius' | 'logged'>): (from: number, to: number) => number {
  const plain = warmth(settings.celsius);
  const log = settings.logged ?? [];
  if (log.length === 0) return (from, to) => plain * (to - from);
  // Before the first and after the last reading the place is taken at the temperature set.
  const times = log.map(({ seconds }) => seconds);
  const rates = log.map(({ celsius }) => warmth(Math.max(-1, Math.min(15, celsius))));
  const sums = [0];
  for (let i = 1; i < log.length; i++) {
    sums.push(sums[i - 1]! + ((rates[i]! + rates[i - 1]!) / 2) * (times[i]! - times[i - 1]!));
  }
  const upTo = (time: number): number => {
    const first = times[0]!;
    const last = times.at(-1)!;
    if (time <= first) return plain * (time - first);
    if (time >= last) return sums.at(-1)! + plain * (time - last);
    let low = 0;
    let high = times.length - 1;
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (times[middle]! <= time) low = middle;
      else high = middle;
    }
    const share = (time - times[low]!) / (times[high]! - times[low]!);
    const rate = rates[low]! + (rates[high]! - rates[low]!) * share;
    return sums[low]! + ((rates[low]! + rate) / 2) * (time - times[low]!);
  };
  return (from, to) => upTo(to) - upTo(from);
}

/** Water that leaves in a bath in the end, share of the raw weight; negative where the flesh swells. */
export function bathLoss(salt: number, sugar: number, most: number): number {
  const strength = salt + 0.5 * sugar;
  const { gain, peak, scale } = BATH_LOSS;
  return most * (1 - Math.exp(-((strength / scale) ** 2))) - gain * (strength / peak) * Math.exp(1 - strength / peak);
}

const FIRST_STEP_SECONDS = 5;
const CLOSED_STEPS = 80;

/**
 * Salt, sugar and water through every zone of a piece, stage by stage: what one stage leaves in the flesh is what the next
 * begins with. The piece is taken as 1 kg; percentages and strengths do not depend on its weight.
 *
 * @param zones as of `cureZones`
 * @throws EmberError `quantity.out-of-range`
 */
export function simulate(
  settings: CureSettings,
  stages: readonly Stage[],
  zones: readonly CureZone[],
  draw: Draw,
  options: SimulationOptions
): Moment[] {
  const waterShare = waterShareOf(settings);
  const startSalt = settings.method === 'desalt' ? settings.salt : 0;
  const startStrength = startSalt / waterShare;
  const slabs = slabsOf(settings, zones);
  const flesh = slabs.map(({ depth }) => FLESH_DENSITY * depth);
  /** 1/m²: how much of its way water goes in a stretch of diffusion. */
  const perTau = slabs.map(({ depth }) => 1 / (WATER_LOSS.shareOfDiffusionTime * depth ** 2));
  const faces = slabs.map(({ face }) => face);
  const solids = flesh.map((each) => each * (1 - waterShare - startSalt));
  // Salted flesh that swells has a diffusivity of its own, whatever it was before.
  const speed = draw.diffusivity * (settings.method === 'desalt' ? 1 : fleshFactor(settings.fat, settings.thawed));
  const clock = warmthClock(settings);
  const salt = soluteIn(slabs, options.nodes, SALT_SATURATION, startStrength);
  const hasSugar = options.withSugar && stages.some(({ contact }) => 'sugar' in contact && contact.sugar > 0);
  const sugar = hasSugar ? soluteIn(slabs, options.nodes, SUGAR_SATURATION, 0, SUGAR_FACE_MOST) : null;
  const faceTotal = slabs.reduce((sum, { face }) => sum + face, 0);
  const laidOn = doser(settings, options, flesh, faceTotal);

  const drawn = new Float64Array(zones.length);
  const quick = new Float64Array(zones.length);
  const slow = new Float64Array(zones.length);
  const still = new Float64Array(zones.length);
  /** Of what was drawn, that from the depth. */
  const through = new Float64Array(zones.length);
  /** Water that what went in has driven out; a dry cure gives none of it back. */
  const held = new Float64Array(zones.length);
  let goal: readonly number[] = zones.map(() => 0);
  let lifted = goal;
  const deep = flesh.map((each) => each * draw.mostLoss);
  const out: Moment[] = [];
  let time = 0;
  let wanted = 0;
  const record = () => {
    out.push(momentOf(time, slabs, drawn, solids, salt, sugar, options));
    wanted++;
  };
  while (wanted < options.outputs.length && options.outputs[wanted]! <= 0) record();
  let stageFrom = 0;
  for (const stage of stages) {
    const stageTo = stageFrom + stage.seconds;
    const { contact } = stage;
    salt.meet(contactFor(contact, 'salt', laidOn));
    sugar?.meet(contactFor(contact, 'sugar', laidOn));
    if (contact.kind === 'again') goal = lifted;
    else if (contact.kind !== 'closed') goal = goalFor(settings, contact, laidOn, flesh, faces, drawn, draw.mostLoss);
    if (contact.kind !== 'closed') lifted = goal;
    // Without anything at the faces nothing more leaves; and nothing sharp is left that wants short steps.
    const isClosed = contact.kind === 'closed';
    const isDry = contact.kind === 'laid' || (contact.kind === 'again' && settings.method !== 'brine');
    let step = isClosed
      ? stage.seconds * Math.max(1 / CLOSED_STEPS, options.stepShare / 3)
      : Math.min(FIRST_STEP_SECONDS, stage.seconds / 20);
    while (time < stageTo - 1e-6) {
      const next = options.outputs[wanted] ?? Infinity;
      const to = Math.min(time + step, stageTo, next);
      const spread = speed * clock(time, to);
      for (let zone = 0; zone < drawn.length && !isClosed; zone++) {
        // A dry cure draws as a deep one does until it has drawn what its dose can.
        const towards = isDry ? deep[zone]! : goal[zone]!;
        const near = towards * WATER_LOSS.fastShare;
        const gone = -spread * perTau[zone]!;
        quick[zone] = quick[zone]! + (near - quick[zone]!) * -Math.expm1(gone * WATER_LOSS.fastTimes);
        slow[zone] = slow[zone]! + (towards - near - slow[zone]!) * -Math.expm1(gone);
        const before = drawn[zone]!;
        drawn[zone] = quick[zone]! + slow[zone]!;
        if (isDry) {
          // Where solid still lies on it the face does not know how much; once it is gone, no more leaves than its dose draws.
          if (salt.surface(zone) < SALT_SATURATION * (1 - 1e-9))
            drawn[zone] = Math.max(before, Math.min(drawn[zone]!, goal[zone]!));
          const solute = salt.gained(zone) + (sugar?.gained(zone) ?? 0);
          held[zone] = Math.max(held[zone]!, WATER_PER_SOLUTE * solute);
          drawn[zone] = Math.max(drawn[zone]!, held[zone]!);
        }
        // What leaves quickly comes off the face; the rest comes through the flesh, and carries out what it holds.
        through[zone] = Math.max(through[zone]!, drawn[zone]! - quick[zone]!);
      }
      const sweetness = sugar && !isClosed ? sugar.surface(0) : 0;
      // Diffusivities of salt are effective ones, read off cures while water left: its counter-flow is in them. Sugar's is a ratio of free
      // ones, and meets the outflow here.
      salt.step(spread / (1 + sweetness / SUGAR_HALVES_SALT_AT), drawn, still);
      sugar?.step(spread * SUGAR_TO_SALT_DIFFUSIVITY, drawn, through);
      time = to;
      while (wanted < options.outputs.length && options.outputs[wanted]! <= time + 1e-6) record();
      if (wanted >= options.outputs.length) return out;
      step = Math.max(step, options.stepShare * (time - stageFrom));
    }
    stageFrom = stageTo;
    time = stageTo;
  }
  return out;
}

type LaidOn = (share: number, of: 'salt' | 'sugar') => number[];

/** Each zone as a slab of flesh, of a piece of 1 kg. */
function slabsOf(settings: CureSettings, zones: readonly CureZone[]): SlabZone[] {
  const waterShare = waterShareOf(settings);
  return zones.map(({ mm, share }) => {
    const depth = mm / 1000 / settings.faces;
    return { depth, water: FLESH_DENSITY * depth * waterShare, face: share / (FLESH_DENSITY * depth) };
  });
}

/** What is laid on each zone, kg per m² of its face, for a share of the piece's weight. */
const doser =
  (
    settings: CureSettings,
    options: Pick<SimulationOptions, 'doses'>,
    flesh: readonly number[],
    faceTotal: number
  ): LaidOn =>
  (share, of) =>
    options.doses
      ? options.doses.map((dose, zone) => dose[of] * flesh[zone]!)
      : dosingOf(settings) === 'weight'
        ? flesh.map((each) => share * each)
        : flesh.map(() => share / faceTotal);

function contactFor(contact: Stage['contact'], of: 'salt' | 'sugar', laidOn: LaidOn): Contact {
  if (contact.kind === 'laid') {
    return { kind: 'laid', dose: laidOn(contact[of], of), drains: drainShare(contact.drains) };
  }
  if (contact.kind === 'bath') {
    return { kind: 'bath', solute: contact.times * contact[of], water: contact.times * contact.water };
  }
  return contact;
}

/** Water each zone will have given in the end, kg/m². */
function goalFor(
  settings: CureSettings,
  contact: Extract<Stage['contact'], { kind: 'laid' | 'bath' }>,
  laidOn: LaidOn,
  flesh: readonly number[],
  faces: readonly number[],
  drawn: Float64Array,
  mostLoss: number
): number[] {
  if (contact.kind === 'laid') {
    const salt = laidOn(contact.salt, 'salt');
    const sugar = laidOn(contact.sugar, 'sugar');
    return flesh.map((each, zone) =>
      Math.max(drawn[zone]!, each * dryLoss(salt[zone]! / each, sugar[zone]! / each, mostLoss))
    );
  }
  // No more is drunk than the bath holds.
  const whole = flesh.reduce((sum, each, zone) => sum + each * faces[zone]!, 0);
  const drinks = (each: number, zone: number, wanted: number) =>
    Math.max(wanted, drawn[zone]! - (DRINKABLE * contact.times * contact.water * each) / whole);
  if (settings.method === 'desalt') return flesh.map((each, zone) => drinks(each, zone, -DESALT_GAIN * each));
  const share = bathLoss(contact.salt / (contact.salt + contact.water), contact.sugar, mostLoss);
  // What the salt before it drew a paste does not give back.
  if (settings.method === 'marinade')
    return flesh.map((each, zone) => Math.max(drawn[zone]!, each * share * PASTE_DRAWS));
  return flesh.map((each, zone) => (share < 0 ? drinks(each, zone, each * share) : each * share));
}

function momentOf(
  seconds: number,
  slabs: readonly SlabZone[],
  drawn: Float64Array,
  solids: readonly number[],
  salt: Solute,
  sugar: Solute | null,
  { nodes, layers }: SimulationOptions
): Moment {
  const picture = new Float32Array(slabs.length * layers);
  const sweetness = new Float32Array(sugar ? slabs.length * layers : 0);
  const zones = slabs.map((slab, zone): ZoneMoment => {
    const water = slab.water - drawn[zone]!;
    const solidsPerWater = solids[zone]! / water;
    const percent = (c: number, s: number) => (100 * c) / (1 + c + s + solidsPerWater);
    const taken = salt.taken(zone);
    const sweet = sugar?.taken(zone) ?? 0;
    for (let layer = 0; layer < layers; layer++) {
      const cell = Math.min(nodes - 1, Math.floor(((layer + 0.5) / layers) * nodes));
      const [c, s] = [salt.at(zone, cell), sugar?.at(zone, cell) ?? 0];
      picture[zone * layers + layer] = percent(c, s);
      if (sugar) sweetness[zone * layers + layer] = percent(s, c);
    }
    const middleStrength = salt.at(zone, nodes - 1);
    const surfaceStrength = salt.surface(zone);
    return {
      mean: percent(taken / water, sweet / water),
      middle: percent(middleStrength, sugar?.at(zone, nodes - 1) ?? 0),
      surface: percent(surfaceStrength, sugar?.surface(zone) ?? 0),
      meanStrength: taken / water,
      middleStrength,
      surfaceStrength,
      sugarStrength: sweet / water,
      kilograms: slab.face * (solids[zone]! + water + taken + sweet),
      salt: slab.face * taken,
      water: slab.face * water
    };
  });
  return { seconds, zones, layers: picture, sweet: sweetness };
}
