import { expose, transfer } from 'comlink';
import { cure, cureBand, type CureSettings } from '../core/bench/cure/plan.ts';
import { cureThrough } from '../core/bench/cure/through.ts';
import { answered } from './answered.ts';

const door = {
  solve(settings: CureSettings) {
    const answer = answered(() => cure(settings));
    // The picture is the bulk of it: it is handed over, not copied.
    return answer.ok ? transfer(answer, [answer.value.picture.buffer, answer.value.sweet.buffer]) : answer;
  },
  // The answer in one line comes with the draws: both are of a plan that a hand rests on.
  band: (settings: CureSettings) => answered(() => ({ ...cureBand(settings), through: cureThrough(settings) }))
};
export type CureDoor = typeof door;

expose(door);
