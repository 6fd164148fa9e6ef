import { EmberError, inRange } from '../../errors.ts';
import { cureSet } from '../../activity/cure/plan.ts';
import { boundsOf, startOf } from '../../fields/field.ts';
import type { Species } from '../../fish/species.ts';
import type { DepthProfile } from '../breakdown/depth.ts';
import {
  CLINGING_SHARE,
  SALT_FISH_WATER,
  SALT_SATURATION,
  SUGAR_FACE_MOST,
  SUGAR_SATURATION,
  WATER_LOSS,
  WATER_PER_SOLUTE,
  WATER_SHARE,
  type CureParameters
} from './parameters.ts';
import { cureZones, type CureZone } from './zones.ts';
import type { STAGE_IDS } from '../../activity/cure/lists.ts';
import { type Dosing, type School } from '../../activity/cure/lists.ts';

/** What lies at the faces for a while. Shares are of the piece's weight; strengths are by weight of the liquid. */
export type StageContact =
  | { readonly kind: 'laid'; readonly salt: number; readonly sugar: number; readonly drains: boolean }
  | {
      readonly kind: 'bath';
      readonly times: number;
      readonly salt: number;
      readonly sugar: number;
      readonly water: number;
    }
  | { readonly kind: 'closed'; readonly keep: boolean }
  | { readonly kind: 'again' };
export interface Stage {
  readonly id: (typeof STAGE_IDS)[number];
  readonly seconds: number;
  readonly contact: StageContact;
  /** A pause nobody has ended: it lasts, and `seconds` is only how long it is drawn. */
  readonly open?: boolean;
}

/** What a cook sets, in SI, whatever the school; what a school does not ask for is left out. */
export interface CureSettings {
  readonly method: School;
  readonly grams: number;
  /** Thick end, mm. */
  readonly thicknessMm: number;
  readonly thinMm?: number | null;
  readonly profile?: DepthProfile | null;
  /** 1 with the skin on, 2 with both faces open. */
  readonly faces: 1 | 2;
  readonly celsius: number;
  /** As the place was logged so far: s since the start, ascending; `celsius` before and after. */
  readonly logged?: readonly { readonly seconds: number; readonly celsius: number }[];
  readonly fat: Species['fat'];
  readonly thawed: boolean;
  /**
   * Cover, film: salt laid on, of the fish's weight. Weighed: salt wanted in the finished piece. Brine, marinade: salt by
   * weight of the liquid or paste. Desalting: salt in the fish as it is. 0-1.
   */
  readonly salt: number;
  /** Sugar, of the fish's weight; in a brine or marinade by weight of it. */
  readonly sugar: number;
  /** In the cure, the brine or the paste; of each change of water. */
  readonly hours: number;
  /** Salt wanted in the middle, share by weight. */
  readonly target: number;
  /** After it is wiped or rinsed, before it is cut. */
  readonly restHours?: number;
  readonly dosing?: Dosing;
  /** The liquid drawn runs off and is lost to it. */
  readonly drains?: boolean;
  /** Brine, paste or water by the fish's weight. */
  readonly bathTimes?: number;
  readonly changes?: number;
  /** Before a marinade: salt of the fish's weight, and for how long. */
  readonly presalt?: number;
  readonly presaltMinutes?: number;
  /** Water of a paste or a marinade, by its weight. */
  readonly pasteWater?: number;
  readonly parameters?: CureParameters;
  /** The programme as it was changed on the way; made from the settings where left out. */
  readonly stages?: readonly Stage[];
}

/** Bounds of what a cook may set, by field, in the unit its field is asked for. */
const LIMITS = boundsOf(cureSet);
const GRAMS = { field: 'grams', unit: 'g', min: 1, max: 50000 };
const SATURATED_PERCENT = (100 * SALT_SATURATION) / (1 + SALT_SATURATION);
/** Salt by school, %. A brine stronger than saturation is undissolved salt at the bottom of it. */
export const SALT_LIMITS: Record<School, { min: number; max: number }> = {
  cover: { min: 0.2, max: 100 },
  weighed: { min: 0.2, max: 12 },
  brine: { min: 0.5, max: Math.round(SATURATED_PERCENT * 10) / 10 },
  film: { min: 0.2, max: 20 },
  desalt: { min: 0.5, max: 20 },
  marinade: { min: 0.2, max: 20 }
};

/** Liquid by the fish's weight, changes and water of a paste where nobody said. */
export const CURE_DEFAULTS = {
  bathTimes: startOf(cureSet.bathTimes),
  pasteTimes: 0.3,
  desaltTimes: 5,
  changes: startOf(cureSet.changes),
  pasteWater: startOf(cureSet.pasteWater)
} as const;

/**
 * Checks what was set, field by field.
 *
 * @throws EmberError `quantity.out-of-range` naming the field, its unit and the range; `cure.no-salt` for sugar alone
 */
export function checkSettings(settings: CureSettings): void {
  const { method } = settings;
  inRange(settings.grams, GRAMS);
  inRange(settings.thicknessMm, LIMITS.thickness);
  inRange(settings.hours, LIMITS.hours);
  inRange(settings.celsius, LIMITS.celsius);
  // Sugar by itself draws water and sweetens; this bench follows salt, and sugar alone keeps nothing.
  if (settings.salt === 0 && settings.sugar > 0) throw new EmberError('cure.no-salt', { field: 'salt', seen: '0 %' });
  const { min, max } = SALT_LIMITS[method];
  // Water that holds sugar as well holds so much the less salt.
  const most = method === 'brine' ? Math.round(SATURATED_PERCENT * (1 - Math.min(1, settings.sugar)) * 10) / 10 : max;
  inRange(Math.round(settings.salt * 1e6) / 1e4, { field: 'salt', unit: '%', min, max: most });
  inRange(
    settings.sugar * 100,
    method === 'brine' || method === 'marinade' ? { ...LIMITS.sugar, max: 60 } : LIMITS.sugar
  );
  inRange(settings.target * 100, LIMITS.target);
  inRange(settings.restHours ?? 0, LIMITS.rest);
  if (settings.bathTimes !== undefined) inRange(settings.bathTimes, LIMITS.bathTimes);
  if (settings.changes !== undefined) inRange(settings.changes, LIMITS.changes);
  if (settings.presalt !== undefined) inRange(settings.presalt * 100, LIMITS.presalt);
  if (settings.presaltMinutes !== undefined) inRange(settings.presaltMinutes, LIMITS.presaltMinutes);
  if (settings.pasteWater !== undefined) inRange(settings.pasteWater * 100, LIMITS.pasteWater);
  if (method === 'marinade') {
    const water = settings.pasteWater ?? CURE_DEFAULTS.pasteWater;
    const solids = settings.salt + settings.sugar;
    if (solids + water > 1) {
      throw new EmberError('quantity.out-of-range', {
        field: 'pasteWater',
        unit: '%',
        min: LIMITS.pasteWater.min,
        max: Math.floor((1 - solids) * 100),
        seen: Math.round(water * 100)
      });
    }
  }
}

/**
 * Water a dry cure draws in the end, share of the raw weight, by what is laid on (sugar counts half). Beyond a dose that leaves solid
 * lying on it to the end, more of it draws no more.
 */
export const dryLoss = (salt: number, sugar: number, most: number): number =>
  most * (1 - Math.exp(-Math.min(salt + 0.5 * sugar, WATER_LOSS.deepDose) / WATER_LOSS.doseScale));

/** Halves what lies between two ends until the figure is found that a rising function takes there. */
function whereRising(low: number, high: number, value: (at: number) => number, wanted: number): number {
  for (let turn = 0; turn < 60; turn++) {
    const middle = (low + high) / 2;
    if (value(middle) < wanted) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * What a weighed cure comes to once all has evened out, as shares of the raw weight: salt stands as strong in the piece as in the
 * liquid it drew, sugar as the closure of the cure model lets it in.
 */
export function evenedOut(salt: number, sugar: number, waterShare: number, mostLoss: number) {
  const sugarIn = (loss: number): number => {
    const left = waterShare - loss;
    const inFlesh = (c: number) => left * (c / (1 + c / SUGAR_FACE_MOST));
    const strength = Math.min(
      SUGAR_SATURATION,
      whereRising(0, SUGAR_SATURATION, (c) => c * loss + inFlesh(c), sugar)
    );
    return inFlesh(strength);
  };
  const saltIn = (loss: number) => (salt * (waterShare - loss)) / waterShare;
  // What went in has driven water out; the more of it has left, the less is in.
  const least = dryLoss(salt, sugar, mostLoss);
  const driven = (loss: number) => loss - WATER_PER_SOLUTE * (saltIn(loss) + sugarIn(loss));
  const loss = Math.max(least, whereRising(1e-6, waterShare * 0.95, driven, 0));
  const [inSalt, inSugar] = [saltIn(loss), sugarIn(loss)];
  const weight = 1 - loss + inSalt + inSugar;
  return { loss, sugar: inSugar, salt: inSalt, weight, percent: inSalt / weight };
}

/**
 * Grams of salt to weigh out so that the finished piece holds the wanted share once all has evened out. Part of the salt
 * stays in the liquid drawn, so it is a little more than share x weight; sugar draws more liquid and weighs along.
 *
 * @param grams raw weight
 * @param wanted salt in the finished piece, share by weight
 * @param sugar laid on with it, share of the raw weight
 * @param mostLoss most water that is drawn out, share of the raw weight
 * @example
 * weighedSalt(1000, 0.025, 0, { waterShare: 0.77, mostLoss: 0.26 }).toFixed(1) // => '26.0'
 */
export function weighedSalt(
  grams: number,
  wanted: number,
  sugar: number,
  { waterShare, mostLoss }: { readonly waterShare: number; readonly mostLoss: number }
): number {
  const p = inRange(wanted, { field: 'salt', unit: '', min: 0.001, max: 0.15 });
  return grams * whereRising(p * 0.5, 0.5, (salt) => evenedOut(salt, sugar, waterShare, mostLoss).percent, p);
}

/** Salt of a weighed cure as a share of the fish's weight. */
function weighedShare(settings: CureSettings): number {
  const mostLoss = settings.parameters?.mostLoss.likely ?? WATER_LOSS.most.likely;
  return weighedSalt(1, settings.salt, settings.sugar, { waterShare: WATER_SHARE[settings.fat], mostLoss });
}

const closed: StageContact = { kind: 'closed', keep: false };

/**
 * The programme of a school: what lies at the faces, one after the other, and for how long.
 *
 * @throws EmberError as `checkSettings`
 */
export function programmeOf(settings: CureSettings): Stage[] {
  checkSettings(settings);
  if (settings.stages) return [...settings.stages];
  const { method, salt, sugar } = settings;
  const seconds = settings.hours * 3600;
  const rest: Stage[] = settings.restHours ? [{ id: 'rest', seconds: settings.restHours * 3600, contact: closed }] : [];
  if (method === 'cover' || method === 'weighed') {
    const laid = method === 'weighed' ? weighedShare(settings) : salt;
    const drains = method === 'cover' && settings.drains === true;
    return [{ id: 'cure', seconds, contact: { kind: 'laid', salt: laid, sugar, drains } }, ...rest];
  }
  if (method === 'film') {
    return [{ id: 'film', seconds, contact: { kind: 'laid', salt, sugar, drains: true } }, ...rest];
  }
  if (method === 'brine') {
    const times = settings.bathTimes ?? CURE_DEFAULTS.bathTimes;
    return [{ id: 'brine', seconds, contact: { kind: 'bath', times, salt, sugar, water: 1 - salt - sugar } }, ...rest];
  }
  if (method === 'desalt') {
    const times = settings.bathTimes ?? CURE_DEFAULTS.desaltTimes;
    const soak: Stage = { id: 'soak', seconds, contact: { kind: 'bath', times, salt: 0, sugar: 0, water: 1 } };
    return [...Array.from({ length: settings.changes ?? CURE_DEFAULTS.changes }, () => soak), ...rest];
  }
  const { presalt = 0, presaltMinutes = 0 } = settings;
  const before: Stage[] =
    presalt > 0 && presaltMinutes > 0
      ? [{ id: 'film', seconds: presaltMinutes * 60, contact: { kind: 'laid', salt: presalt, sugar: 0, drains: true } }]
      : [];
  const paste: StageContact = {
    kind: 'bath',
    times: settings.bathTimes ?? CURE_DEFAULTS.pasteTimes,
    salt,
    sugar,
    water: settings.pasteWater ?? CURE_DEFAULTS.pasteWater
  };
  return [...before, { id: 'paste', seconds, contact: paste }, ...rest];
}

export const zonesOf = (settings: CureSettings, count?: number): CureZone[] =>
  cureZones(settings.thicknessMm, settings.thinMm ?? null, settings.profile ?? null, count);

/** Water of the raw piece by weight. */
export const waterShareOf = (settings: CureSettings): number =>
  settings.method === 'desalt' ? SALT_FISH_WATER : WATER_SHARE[settings.fat];

/** Of the liquid drawn, the share that leaves the face. */
export const drainShare = (drains: boolean): number => (drains ? 1 - CLINGING_SHARE : 0);

/** How the grams are shared out where nobody said: by hand over the face, by weight where the salt was weighed for it. */
export const dosingOf = (settings: CureSettings): Dosing =>
  settings.dosing ?? (settings.method === 'weighed' ? 'weight' : 'face');
