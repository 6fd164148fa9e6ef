import { expose, transfer } from 'comlink';
import { cure, cureBand, type CureSettings } from '../core/bench/cure/plan.ts';
import { EmberError, type ErrorCode, type ErrorDetails } from '../core/errors.ts';

/** A refusal survives the passage between threads as data. */
export type Answered<Value> = { ok: true; value: Value } | { ok: false; code: ErrorCode; details: ErrorDetails };

function answered<Value>(work: () => Value): Answered<Value> {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    if (error instanceof EmberError) return { ok: false, code: error.code, details: error.details };
    throw error;
  }
}

const door = {
  cure(settings: CureSettings) {
    const answer = answered(() => cure(settings));
    // The picture is the bulk of it: it is handed over, not copied.
    return answer.ok ? transfer(answer, [answer.value.picture.buffer, answer.value.sweet.buffer]) : answer;
  },
  band: (settings: CureSettings) => answered(() => cureBand(settings))
};
export type CureDoor = typeof door;

expose(door);
