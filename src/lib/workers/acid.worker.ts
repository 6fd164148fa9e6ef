import { expose } from 'comlink';
import { rememberedCourses } from '../core/bench/acid/front.ts';
import { acidBand, acidPlan, type AcidSettings } from '../core/bench/acid/plan.ts';
import { acidThrough } from '../core/bench/acid/through.ts';
import { answered } from './answered.ts';

const course = rememberedCourses();

const door = {
  solve: (settings: AcidSettings) => answered(() => acidPlan(settings, undefined, course)),
  // What would get there comes with the draws: both are of a plan that a hand rests on.
  band: (settings: AcidSettings) =>
    answered(() => ({
      ...acidBand(settings, undefined, undefined, course),
      through: acidThrough(settings, course)
    }))
};
export type AcidDoor = typeof door;

expose(door);
