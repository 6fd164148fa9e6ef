import { EmberError, inRange } from '../../errors.ts';
import { bandOf, seededChance, type Band } from '../../random.ts';
import { waterActivity, waterPhaseSalt } from './activity.ts';
import { parametersOf } from './parameters.ts';
import { dosingOf, programmeOf, waterShareOf, zonesOf, type CureSettings, type Stage } from './programme.ts';
import { simulate, type Draw, type Moment, type SimulationOptions } from './simulate.ts';
import { thickestZone, thinnestZone, type CureZone } from './zones.ts';

export { weighedSalt } from './programme.ts';
export type { CureSettings } from './programme.ts';

/** The whole piece at a moment: surface and middle are those of its thickest zone. */
export interface CureFrame {
  readonly hours: number;
  readonly surfacePercent: number;
  readonly middlePercent: number;
  readonly meanPercent: number;
  readonly surfaceWps: number;
  readonly middleWps: number;
  readonly meanWps: number;
  /** The least water-phase salt anywhere in it. */
  readonly leastWps: number;
  readonly gramsAfter: number;
  readonly waterActivity: number;
}

export interface CureZoneResult extends CureZone {
  readonly grams: number;
  readonly saltGrams: number;
  readonly sugarGrams: number;
  readonly meanPercent: number;
  readonly middlePercent: number;
  readonly surfacePercent: number;
  readonly gramsAfter: number;
  /** Water it holds at the end, by weight, %. */
  readonly waterPercent: number;
  /** Hours until its middle reaches the target; null: not within what was followed. */
  readonly reachesHours: number | null;
  /** Hours until it holds on average what the thickest zone holds at the end; null: not within what was followed. */
  readonly finishHours: number | null;
}

export interface CureResult {
  readonly saltGrams: number;
  readonly sugarGrams: number;
  /** Liquid of a brine, a marinade or one change of water, g; 0 for dry cures. */
  readonly bathGrams: number;
  readonly stages: readonly Stage[];
  readonly frames: readonly CureFrame[];
  readonly end: CureFrame;
  readonly zones: readonly CureZoneResult[];
  /** Salt by weight, %, by frame, zone and layer from the open face inwards. */
  readonly picture: Float32Array;
  /** Sugar, likewise; empty where there is none. */
  readonly sweet: Float32Array;
  readonly layers: number;
  /** Water activity of the flesh on average at the end; evened out, it is this everywhere. */
  readonly meanWaterActivity: number;
  /** Hours until the middle of the thickest zone reaches the target, were it left as it is at the end; null: it does not. */
  readonly middleReachesHours: number | null;
  /** Hours until surface and middle differ by less than half a per cent of salt. */
  readonly evenHours: number | null;
  /** Hours of it that were followed at all. */
  readonly followedHours: number;
}

/** Surface and middle closer than this are even, % salt. */
export const EVEN_TOLERANCE_PERCENT = 0.5;
export const CURE_NODES = 60;
export const CURE_FRAMES = 48;
export const PICTURE_LAYERS = 30;
/** What the thin end may lack of the thick end and still have finished with it, % salt. */
const CLOSE_PERCENT = 0.02;
const EARLY_FRAMES = 16;
const TAIL_FRAMES = 40;
/** After its last stage a piece is followed this many times longer, so that a middle that arrives late is still dated. */
const LOOK_AHEAD = 2;
const LEAST_TAIL_SECONDS = 48 * 3600;

const secondsOf = (stages: readonly Stage[]) => stages.reduce((sum, { seconds }) => sum + seconds, 0);

/** What it is left in when its programme has run: a weighed cure and water go on, all else is wiped and rests. */
function withTail(settings: CureSettings, stages: readonly Stage[]): { all: Stage[]; tail: number } {
  const tail = Math.max(LOOK_AHEAD * secondsOf(stages), LEAST_TAIL_SECONDS);
  const last = stages.at(-1)!;
  const goesOn = settings.method === 'weighed' || settings.method === 'desalt';
  if (goesOn && last.contact.kind !== 'closed') {
    return { all: [...stages.slice(0, -1), { ...last, seconds: last.seconds + tail }], tail };
  }
  return { all: [...stages, { id: 'rest', seconds: tail, contact: { kind: 'closed', keep: false } }], tail };
}

function frameOf(moment: Moment, thick: number, grams: number): CureFrame {
  const zones = moment.zones;
  const all = zones.reduce((sum, { kilograms }) => sum + kilograms, 0);
  const salt = zones.reduce((sum, each) => sum + each.salt, 0);
  const water = zones.reduce((sum, each) => sum + each.water, 0);
  const { surface, middle, surfaceStrength, middleStrength } = zones[thick]!;
  const meanStrength = salt / water;
  const sugarStrength = zones.reduce((sum, each) => sum + each.sugarStrength * each.water, 0) / water;
  const least = zones.reduce(
    (less, zone) => Math.min(less, zone.middleStrength, zone.surfaceStrength, zone.meanStrength),
    Infinity
  );
  const meanWps = waterPhaseSalt(meanStrength);
  return {
    hours: moment.seconds / 3600,
    surfacePercent: surface,
    middlePercent: middle,
    meanPercent: (100 * salt) / all,
    surfaceWps: waterPhaseSalt(surfaceStrength),
    middleWps: waterPhaseSalt(middleStrength),
    meanWps,
    leastWps: waterPhaseSalt(least),
    gramsAfter: all * grams,
    waterActivity: waterActivity(Math.min(27, meanWps), Math.min(3, sugarStrength))
  };
}

/** When a rising (or falling) figure first passes a mark, on the straight line between moments; hours. */
function crossing(
  moments: readonly Moment[],
  value: (moment: Moment) => number,
  mark: number,
  rising: boolean
): number | null {
  const passed = (seen: number) => (rising ? seen >= mark : seen <= mark);
  for (let i = 0; i < moments.length; i++) {
    const seen = value(moments[i]!);
    if (!passed(seen)) continue;
    const before = moments[i - 1];
    const hours = moments[i]!.seconds / 3600;
    if (!before) return hours;
    const from = value(before);
    const span = seen - from;
    const earlier = before.seconds / 3600;
    return span === 0 ? hours : earlier + ((mark - from) / span) * (hours - earlier);
  }
  return null;
}

/** When the thickest zone has evened out: from the moment on at which face and middle were furthest apart. */
function evenedAt(moments: readonly Moment[], thick: number): number | null {
  const apart = (at: Moment) => Math.abs(at.zones[thick]!.surface - at.zones[thick]!.middle);
  const widest = moments.reduce((best, moment, index) => (apart(moment) > apart(moments[best]!) ? index : best), 0);
  return crossing(moments.slice(widest), apart, EVEN_TOLERANCE_PERCENT, false);
}

const likelyOf = (settings: CureSettings): Draw => {
  const { diffusivity, mostLoss } = parametersOf(settings);
  return { diffusivity: diffusivity.likely, mostLoss: mostLoss.likely };
};

interface Prepared {
  readonly stages: Stage[];
  readonly zones: CureZone[];
  readonly doses: readonly { readonly salt: number; readonly sugar: number }[] | undefined;
}

function prepare(settings: CureSettings): Prepared {
  const stages = programmeOf(settings);
  const zones = zonesOf(settings);
  if (dosingOf(settings) !== 'together' || zones.length === 1 || stages[0]!.contact.kind !== 'laid') {
    return { stages, zones, doses: undefined };
  }
  return { stages, zones, doses: evenDoses(settings, stages, zones) };
}

const COARSE = { nodes: 24, stepShare: 0.06, withSugar: true, layers: 0 } as const;

/**
 * Salt for each zone, as a share of its own weight, so that all zones hold on average the same salt at the same hour: what
 * the thickest holds from the dose that was set. Sugar goes along in the same ratio.
 *
 * Uptake grows with the dose, so each zone's is found between nothing and the thickest zone's by halving, all zones at once.
 *
 * @throws EmberError `quantity.out-of-range`
 */
export function evenDoses(
  settings: CureSettings,
  stages: readonly Stage[],
  zones: readonly CureZone[]
): { salt: number; sugar: number }[] {
  const { contact } = stages[0]!;
  if (contact.kind !== 'laid') throw new EmberError('form.value-unknown', { field: 'dosing', seen: contact.kind });
  const thick = thickestZone(zones);
  const outputs = [secondsOf(stages)];
  const ratio = contact.sugar / contact.salt;
  const run = (salts: readonly number[]) => {
    const doses = salts.map((salt) => ({ salt, sugar: salt * ratio }));
    return simulate(settings, stages, zones, likelyOf(settings), { ...COARSE, outputs, doses })[0]!.zones;
  };
  const wanted = run(zones.map(() => contact.salt))[thick]!.mean;
  let low = zones.map(() => contact.salt * 0.02);
  let high = zones.map(() => contact.salt);
  for (let turn = 0; turn < 12; turn++) {
    const middle = low.map((each, zone) => (each + high[zone]!) / 2);
    const seen = run(middle);
    low = low.map((each, zone) => (seen[zone]!.mean < wanted ? middle[zone]! : each));
    high = high.map((each, zone) => (seen[zone]!.mean < wanted ? each : middle[zone]!));
  }
  return low.map((each, zone) => {
    // Zones as thick as the thickest are the thickest: equal ones get equal grams.
    const isThickest = zones[zone]!.mm > zones[thick]!.mm - 1e-6;
    const salt = isThickest ? contact.salt : (each + high[zone]!) / 2;
    return { salt, sugar: salt * ratio };
  });
}

/** Grams laid on each zone, as it was dosed. */
function gramsLaid(settings: CureSettings, { stages, zones, doses }: Prepared): { salt: number; sugar: number }[] {
  const laid = stages.map(({ contact }) => contact).filter((contact) => contact.kind === 'laid');
  const salt = laid.reduce((sum, each) => sum + each.salt, 0) * settings.grams;
  const sugar = laid.reduce((sum, each) => sum + each.sugar, 0) * settings.grams;
  if (doses) {
    return zones.map(({ share }, zone) => ({
      salt: doses[zone]!.salt * share * settings.grams,
      sugar: doses[zone]!.sugar * share * settings.grams
    }));
  }
  // Zones of one length and one width have one face.
  const part = (zone: CureZone) => (dosingOf(settings) === 'weight' ? zone.share : 1 / zones.length);
  return zones.map((zone) => ({ salt: salt * part(zone), sugar: sugar * part(zone) }));
}

/**
 * A cure of a piece with the likely parameters: grams, salt by zone and depth through time, weight, and when.
 *
 * @throws EmberError `quantity.out-of-range` naming the field, its unit and the range
 */
export function cure(settings: CureSettings, nodes = CURE_NODES): CureResult {
  const prepared = prepare(settings);
  const { stages, zones, doses } = prepared;
  const thick = thickestZone(zones);
  const whole = secondsOf(stages);
  const { all, tail } = withTail(settings, stages);
  const shown = Array.from({ length: CURE_FRAMES }, (_, i) => (whole * (i + 1)) / CURE_FRAMES);
  // A thin end is through long before the first of the shown frames is over.
  const early = Array.from({ length: EARLY_FRAMES }, (_, i) => (shown[2]! * i * i) / EARLY_FRAMES ** 2);
  const late = Array.from({ length: TAIL_FRAMES }, (_, i) => whole + (tail * (i + 1)) / TAIL_FRAMES);
  const outputs = [...early, ...shown, ...late].sort((a, b) => a - b);
  const options: SimulationOptions = {
    nodes,
    stepShare: 0.02,
    withSugar: true,
    outputs,
    layers: PICTURE_LAYERS,
    doses
  };
  const moments = simulate(settings, all, zones, likelyOf(settings), options);
  const isShown = new Set(shown);
  const inside = moments.filter((_, index) => isShown.has(outputs[index]!));
  const frames = inside.map((moment) => frameOf(moment, thick, settings.grams));
  const end = frames.at(-1)!;
  const picture = new Float32Array(CURE_FRAMES * zones.length * PICTURE_LAYERS);
  const sweet = new Float32Array(inside[0]!.sweet.length * CURE_FRAMES);
  inside.forEach((moment, index) => {
    picture.set(moment.layers, index * moment.layers.length);
    sweet.set(moment.sweet, index * moment.sweet.length);
  });
  const last = inside.at(-1)!;
  const rising = settings.method !== 'desalt';
  const laid = gramsLaid(settings, prepared);
  const bath = stages.map(({ contact }) => contact).find((contact) => contact.kind === 'bath');
  const bathGrams = bath ? bath.times * settings.grams : 0;
  return {
    saltGrams: laid.reduce((sum, { salt }) => sum + salt, 0) + bathGrams * (bath?.salt ?? 0),
    sugarGrams: laid.reduce((sum, { sugar }) => sum + sugar, 0) + bathGrams * (bath?.sugar ?? 0),
    bathGrams,
    stages,
    frames,
    end,
    zones: zones.map((zone, index) => {
      const { mean, middle, surface, kilograms, water } = last.zones[index]!;
      return {
        ...zone,
        grams: zone.share * settings.grams,
        saltGrams: laid[index]!.salt,
        sugarGrams: laid[index]!.sugar,
        meanPercent: mean,
        middlePercent: middle,
        surfacePercent: surface,
        gramsAfter: kilograms * settings.grams,
        waterPercent: (100 * water) / kilograms,
        reachesHours: crossing(moments, (at) => at.zones[index]!.middle, settings.target * 100, rising),
        finishHours: crossing(
          moments,
          (at) => at.zones[index]!.mean,
          last.zones[thick]!.mean + (rising ? -CLOSE_PERCENT : CLOSE_PERCENT),
          rising
        )
      };
    }),
    picture,
    sweet,
    layers: PICTURE_LAYERS,
    meanWaterActivity: end.waterActivity,
    middleReachesHours: crossing(moments, (at) => at.zones[thick]!.middle, settings.target * 100, rising),
    evenHours: evenedAt(moments, thick),
    followedHours: (whole + tail) / 3600
  };
}

export interface CureBand {
  readonly meanSaltPercent: Band;
  readonly middleSaltPercent: Band;
  readonly surfaceWps: Band;
  readonly leastWps: Band;
  readonly gramsAfter: Band;
  readonly draws: number;
}

/** What a band is drawn with: coarser than the picture, within a part in a hundred of it. */
const BAND_NODES = 20;
const BAND_STEP = 0.07;

/**
 * How far to trust it: the same cure with diffusivity and water loss drawn from their ranges.
 *
 * @param seed 0 to 1; the same seed gives the same band
 */
export function cureBand(settings: CureSettings, seed = 0.5, draws = 200): CureBand {
  inRange(draws, { field: 'draws', unit: '', min: 2, max: 5000 });
  const { stages, zones, doses } = prepare(settings);
  const thick = thickestZone(zones);
  const chance = seededChance(seed);
  const { diffusivity: d, mostLoss: w } = parametersOf(settings);
  const outputs = [secondsOf(stages)];
  const run = (draw: Draw, withSugar: boolean) => {
    const options = { nodes: BAND_NODES, stepShare: BAND_STEP, withSugar, outputs, layers: 0, doses };
    return frameOf(simulate(settings, stages, zones, draw, options)[0]!, thick, settings.grams);
  };
  const seen = Array.from({ length: draws }, () =>
    run(
      {
        diffusivity: chance.logBand(d.low, d.likely, d.high),
        // No more leaves than is there; nearer bounds would cut the band.
        mostLoss: Math.min(0.85 * waterShareOf(settings), chance.logBand(w.low, w.likely, w.high))
      },
      false
    )
  );
  const plain = run(likelyOf(settings), false);
  const likely = frameOf(
    simulate(settings, stages, zones, likelyOf(settings), {
      nodes: CURE_NODES,
      stepShare: 0.02,
      withSugar: true,
      outputs,
      layers: 0,
      doses
    })[0]!,
    thick,
    settings.grams
  );
  // Sugar and the finer grid move each figure by a few hundredths; that is carried to every draw.
  const band = (value: (frame: CureFrame) => number) => {
    const moved = value(likely) - value(plain);
    return bandOf(
      seen.map((frame) => Math.max(0, value(frame) + moved)),
      value(likely)
    );
  };
  return {
    meanSaltPercent: band((frame) => frame.meanPercent),
    middleSaltPercent: band((frame) => frame.middlePercent),
    surfaceWps: band((frame) => frame.surfaceWps),
    leastWps: band((frame) => frame.leastWps),
    gramsAfter: band((frame) => frame.gramsAfter),
    draws
  };
}

/** The thinnest zone of a result: where a cure goes wrong first. */
export const thinEnd = (result: Pick<CureResult, 'zones'>): CureZoneResult => result.zones[thinnestZone(result.zones)]!;
