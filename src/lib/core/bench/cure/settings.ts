import type { CureSet } from '../../activity/cure/plan.ts';
import type { Species } from '../../fish/species.ts';
import type { DepthProfile } from '../breakdown/depth.ts';
import { partsOf, rateOf } from './brine.ts';
import type { CureParameters } from './parameters.ts';
import type { CureSettings } from './programme.ts';

/** What a cure is computed from besides what is set: the fish as it lies there, and what is known of its kind. */
export interface CureSubject {
  readonly grams: number;
  readonly fat: Species['fat'];
  /** It was frozen once. */
  readonly thawed: boolean;
  /** Its measured depth; null where nobody measured. */
  readonly profile: DepthProfile | null;
  readonly parameters: CureParameters;
}

/** Salt and sugar laid on: by two rates, or by one and a ratio. */
function doseOf({ method, salt, sugar, parts, rateMeans }: CureSet): { salt: number; sugar: number } {
  const sweet = method === 'desalt' ? 0 : (sugar?.si ?? 0);
  if (method !== 'cover' || parts === '') return { salt: salt.si, sugar: sweet };
  const [saltParts, sugarParts] = partsOf(parts);
  return rateOf(salt.si, saltParts, sugarParts, rateMeans === 'mix' ? 'mix' : 'salt');
}

/**
 * The settings of the model for what a cook set, of this piece: the one way there, for the bench, the preview, the deed and a
 * running cure alike.
 *
 * @throws EmberError where parts cannot be read
 */
export function cureSettings(set: CureSet, subject: CureSubject): CureSettings {
  const { grams, fat, thawed, profile, parameters } = subject;
  const { presalt, presaltMinutes, pasteWater, bathTimes, changes } = set;
  return {
    method: set.method,
    grams,
    thicknessMm: set.thickness.si,
    thinMm: set.thin?.si ?? null,
    profile: set.flat || set.thin ? null : profile,
    faces: set.faces,
    celsius: set.celsius.si,
    fat,
    thawed,
    ...doseOf(set),
    hours: set.hours.si / 3600,
    target: set.target.si,
    restHours: (set.rest?.si ?? 0) / 3600,
    drains: set.liquid === 'drained',
    ...(set.dosing === '' ? {} : { dosing: set.dosing }),
    ...(bathTimes === null ? {} : { bathTimes }),
    ...(changes === null ? {} : { changes }),
    ...(presalt ? { presalt: presalt.si } : {}),
    ...(presaltMinutes === null ? {} : { presaltMinutes }),
    ...(pasteWater ? { pasteWater: pasteWater.si } : {}),
    parameters
  };
}

/** The same of a cure on record; null for one of which too little was written down to compute it again. */
export const settingsOnRecord = (plan: {
  readonly set: CureSet | null;
  readonly subject: CureSubject | null;
}): CureSettings | null => (plan.set && plan.subject ? cureSettings(plan.set, plan.subject) : null);
