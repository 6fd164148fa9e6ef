import { expose, transfer } from 'comlink';
import { cure, cureBand, type CureSettings } from '../core/bench/cure/plan.ts';
import { answered } from './answered.ts';

const door = {
  solve(settings: CureSettings) {
    const answer = answered(() => cure(settings));
    // The picture is the bulk of it: it is handed over, not copied.
    return answer.ok ? transfer(answer, [answer.value.picture.buffer, answer.value.sweet.buffer]) : answer;
  },
  band: (settings: CureSettings) => answered(() => cureBand(settings))
};
export type CureDoor = typeof door;

expose(door);
