import { expose } from 'comlink';
import { acidCourse, type FrontCourse, type FrontInput } from '../core/bench/acid/front.ts';
import { acidBand, acidPlan, type AcidSettings } from '../core/bench/acid/plan.ts';
import { answered } from './answered.ts';

const MOST_KEPT = 40;
const kept = new Map<string, FrontCourse>();

/** Courses are without size, time and temperature: while one of these is dragged the course is at hand already. */
function course(input: FrontInput): FrontCourse {
  const key = JSON.stringify([input.shape, input.strength.toFixed(4), input.liquid.toFixed(3), input.nodes]);
  const known = kept.get(key);
  if (known) return known;
  const made = acidCourse(input);
  if (kept.size >= MOST_KEPT) kept.delete(kept.keys().next().value!);
  kept.set(key, made);
  return made;
}

const door = {
  solve: (settings: AcidSettings) => answered(() => acidPlan(settings, undefined, course)),
  band: (settings: AcidSettings) => answered(() => acidBand(settings, undefined, undefined, undefined, course))
};
export type AcidDoor = typeof door;

expose(door);
