/**
 * The one registry of what can go wrong in the core. A code is stable and never reused; the sentence
 * a person reads is written elsewhere (lib/words/errors.ts) from the code and its details.
 */
export const ERROR_CODES = [
  'quantity.empty',
  'quantity.unreadable',
  'quantity.unit-unknown',
  'quantity.unit-missing',
  'quantity.ambiguous',
  'quantity.out-of-range',
  'number.not-finite',
  'time.unreadable',
  'time.in-future',
  'time.out-of-order',
  'time.zone-unknown',
  'time.does-not-exist',
  'time.exists-twice',
  'time.clock-ahead',
  'species.unknown',
  'species.ambiguous',
  'profile.unknown',
  'place.unknown',
  'place.name-taken',
  'record.kind-unknown',
  'record.version-unknown',
  'record.body-invalid',
  'record.not-found',
  'record.not-amendable',
  'record.widens-without-owner',
  'record.not-allowed-now',
  'record.stale',
  'record.key-reused',
  'receive.mass-odd',
  'receive.core-odd',
  'receive.too-heavy',
  'receive.warm-accepted',
  'piece.thickness-unknown',
  'record.mass-exceeded',
  'tray.running',
  'party.nothing-suits',
  'dish.not-for-the-pass',
  'dish.short',
  'dish.instead',
  'dish.untrue-name',
  'dish.off',
  'record.mass-gone',
  'record.mass-slip',
  'record.not-balanced',
  'record.too-many-strands',
  'record.combine-refused',
  'device.no-scale',
  'device.line-unreadable',
  'device.no-printer',
  'record.source-required',
  'record.not-for-sale',
  'record.exception-refused',
  'record.needs-authority',
  'record.needs-second-person',
  'profile.below-floor',
  'log.unreadable',
  'log.zone-needed',
  'log.nothing-taken',
  'log.stopped',
  'sensor.unknown',
  'sensor.taken',
  'device.key-unknown',
  'device.key-revoked',
  'device.too-many',
  'excursion.unknown',
  'thaw.in-closed-pack',
  'acid.none',
  'age.weight-up',
  'age.weight-drop',
  'age.spot-taken',
  'age.looser-without-reason',
  'slice.none',
  'slice.no-block',
  'cure.no-salt',
  'cure.not-running',
  'ingredient.unknown',
  'ingredient.in-a-circle',
  'recipe.unknown',
  'recipe.unreadable',
  'note.unreadable',
  'note.rows-refused',
  'file.empty',
  'file.too-large',
  'file.type-refused',
  'file.type-lies',
  'file.none-names-them',
  'store.read-only',
  'store.full',
  'store.damaged',
  'store.newer',
  'store.in-use',
  'store.gone',
  'store.no-folder',
  'store.shortened',
  'form.incomplete',
  'form.one-of-two',
  'form.too-long',
  'form.too-short',
  'form.too-many',
  'form.value-unknown',
  'person.required',
  'person.unknown',
  'person.last',
  'request.too-large',
  'request.too-many-streams',
  'request.foreign-origin',
  'request.not-json',
  'request.not-a-form',
  'request.key-too-long',
  'request.unknown-path'
] as const;

export type ErrorCode = (typeof ERROR_CODES)[number];

/** Where and what: enough for a sentence that names the field, its unit and the allowed range. */
export interface ErrorDetails {
  field?: string;
  unit?: string;
  min?: number;
  max?: number;
  seen?: string | number;
  candidates?: readonly string[];
  [extra: string]: unknown;
}

/**
 * The only kind of error the core throws.
 *
 * @example
 * new EmberError('quantity.out-of-range', { field: 'thickness', unit: 'mm', min: 1, max: 300, seen: 3000 }).code
 * // => 'quantity.out-of-range'
 */
export class EmberError extends Error {
  readonly code: ErrorCode;
  readonly details: ErrorDetails;

  constructor(code: ErrorCode, details: ErrorDetails = {}) {
    super(`${code}${details.field ? ` (${details.field})` : ''}`);
    this.name = 'EmberError';
    this.code = code;
    this.details = details;
  }
}

/**
 * Passes a finite number inside a range through, and throws for anything else, so that NaN never travels.
 *
 * @param seen the number to check, in `unit`
 * @param bounds the field's name, its unit, and the inclusive range in that unit
 * @throws EmberError `number.not-finite` or `quantity.out-of-range`
 * @example
 * inRange(25, { field: 'thickness', unit: 'mm', min: 1, max: 300 }) // => 25
 */
export function inRange(seen: number, bounds: { field: string; unit: string; min: number; max: number }): number {
  if (typeof seen !== 'number' || !Number.isFinite(seen)) {
    throw new EmberError('number.not-finite', { ...bounds, seen: String(seen) });
  }
  if (seen < bounds.min || seen > bounds.max) {
    throw new EmberError('quantity.out-of-range', { ...bounds, seen });
  }
  return seen;
}
