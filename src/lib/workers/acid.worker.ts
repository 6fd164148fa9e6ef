import { expose } from 'comlink';
import { rememberedCourses } from '../core/bench/acid/front.ts';
import { acidBand, acidPlan, type AcidSettings } from '../core/bench/acid/plan.ts';
import { answered } from './answered.ts';

const course = rememberedCourses();

const door = {
  solve: (settings: AcidSettings) => answered(() => acidPlan(settings, undefined, course)),
  band: (settings: AcidSettings) => answered(() => acidBand(settings, undefined, undefined, course))
};
export type AcidDoor = typeof door;

expose(door);
