import { z } from 'zod';
import { recorded } from '../../record/recorded.ts';
import { AGE_KINDS, LOOKS } from './lists.ts';
import { ageSet } from './plan.ts';
import { pins, typedValue, finite, band } from '../../record/values.ts';
import { kind, second, type Kinds } from '../../record/kind.ts';

/** What can happen on the ageing rack. */

/** Days after hanging at which the wanted loss is reached, as it was forecast then; null: never in such air. */
const readyDay = band.nullable();

export const ageStarted = z.object({
  kind: z.enum(AGE_KINDS),
  /** The cabinet, and the hook or shelf place in it; what it is hung to lose, and the air it hangs in. */
  ...recorded(ageSet).shape,
  /** What was believed of its drying before its own weights. */
  prior: z.object({ rate: finite, rateSigma: finite, most: finite, mostSigma: finite, fish: z.number().int() }),
  ready: readyDay,
  pins
});
const percent = (si: number) => ({ si, unit: '%', typed: `${si * 100} %` });
const degrees = (si: number) => ({ si, unit: 'C', typed: `${si} °C` });
/** The first version kept figures as they were understood, without what was typed; what was amended then, likewise. */
export const agePatched = (patch: Record<string, unknown>): Record<string, unknown> => {
  const said: Record<string, ((si: number) => object) | undefined> = {
    target: percent,
    celsius: degrees,
    humidity: percent
  };
  return Object.fromEntries(
    Object.entries(patch).map(([name, value]) => {
      const say = said[name];
      return [name, say && typeof value === 'number' ? say(value) : value];
    })
  );
};
export const ageStartedFrom1 = (body: unknown) => agePatched(body as Record<string, unknown>);
export const ageWeighed = z.object({
  mass: typedValue,
  /** Somebody stood by a weight that does not go with the others. */
  sure: z.boolean(),
  ready: readyDay,
  note: z.string()
});
export const ageMoved = z.object({ place: z.string(), spot: z.string() });
const answers = z.object({
  skin: z.enum(LOOKS.skin),
  eye: z.enum(LOOKS.eye),
  smell: z.enum(LOOKS.smell),
  slime: z.enum(LOOKS.slime),
  firmness: z.enum(LOOKS.firmness)
});
export const ageLooked = z.object({
  answers,
  stops: z.array(z.object({ field: z.string(), answer: z.string(), routes: z.array(z.string()) })),
  note: z.string()
});
export const AGE_ENDS = ['pulled', 'stopped'] as const;
export const ageEnded = z.object({
  how: z.enum(AGE_ENDS),
  massAfter: typedValue.nullable(),
  place: z.string(),
  /** The service it was pulled for; an empty text for none. */
  service: z.string(),
  note: z.string()
});

/** How a house ages: longest days, how warm and for how long the cabinet may be, and for how long what was aged keeps. */
export const ageingSet = z.object({
  wholeDays: finite,
  filletDays: finite,
  limitCelsius: finite,
  warmHours: finite,
  afterDays: finite,
  /** Day 1 of the date mark is the day it was hung, not the day it is portioned. */
  dayOneAtHanging: z.boolean(),
  /** Why it is looser than what ships, and in what; both empty where it is not. */
  reason: z.string(),
  looser: z.array(z.string())
});
/** Hooks and shelves of a cabinet. */
export const rackSet = z.object({
  place: z.string(),
  hooks: z.number().int(),
  shelves: z.number().int(),
  perShelf: z.number().int()
});
/** A sitting to be ready for. */
export const serviceSet = z.object({
  id: z.string(),
  name: z.string(),
  at: finite,
  covers: finite.nullable(),
  withdrawn: z.boolean()
});

export const kinds = {
  'age.started': { ...second(ageStarted, ageStartedFrom1), patched: agePatched },
  'age.weighed': kind(ageWeighed),
  'age.moved': kind(ageMoved),
  'age.looked': kind(ageLooked),
  'age.ended': kind(ageEnded),
  'ageing.set': kind(ageingSet, false),
  'rack.set': kind(rackSet, false),
  'service.set': kind(serviceSet, false)
} satisfies Kinds;
