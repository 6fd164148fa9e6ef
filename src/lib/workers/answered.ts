import { EmberError, type ErrorCode, type ErrorDetails } from '../core/errors.ts';

/** A refusal survives the passage between threads as data. */
export type Answered<Value> = { ok: true; value: Value } | { ok: false; code: ErrorCode; details: ErrorDetails };

export function answered<Value>(work: () => Value): Answered<Value> {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    if (error instanceof EmberError) return { ok: false, code: error.code, details: error.details };
    throw error;
  }
}
