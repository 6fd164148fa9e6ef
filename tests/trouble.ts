import { EmberError } from '../src/lib/core/errors.ts';

/** The error an action throws; fails where it throws none. */
export function troubleOf(action: () => unknown): EmberError {
  try {
    action();
  } catch (error) {
    if (error instanceof EmberError) return error;
    throw error;
  }
  throw new Error('nothing was thrown');
}
