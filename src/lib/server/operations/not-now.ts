import { EmberError, type ErrorDetails } from '../../core/errors.ts';
import type { NotNow } from '../../words/not-now.ts';

/**
 * What is right in itself and cannot be done now.
 *
 * @param field what stands in the way of it
 * @param why its sentence is in lib/words/not-now.ts
 * @param more what the sentence speaks of
 */
export const notNow = (field: string, why: NotNow, more: ErrorDetails = {}): EmberError =>
  new EmberError('record.not-allowed-now', { field, why, seen: why, ...more });
