import { ERROR_CODES, type ErrorCode, type ErrorDetails } from '../../core/errors.ts';

/** One field that cannot be taken as it is. */
export interface FieldTrouble {
  readonly field: string;
  readonly code: ErrorCode;
  readonly details: ErrorDetails;
}

const known = new Set<string>(ERROR_CODES);

/** A schema's issues in the codes of the one registry. */
export function fieldTroubles(
  issues: readonly {
    path: PropertyKey[];
    message: string;
    code?: string;
    params?: Record<string, unknown>;
    minimum?: unknown;
    maximum?: unknown;
  }[]
): FieldTrouble[] {
  return issues.map((issue) => {
    const field = issue.path.join('.');
    const coded = issue.params?.code;
    if (typeof coded === 'string' && known.has(coded)) {
      return { field, code: coded as ErrorCode, details: { ...issue.params, field } };
    }
    const details: ErrorDetails = { field, seen: issue.message };
    if (issue.code === 'too_small' && typeof issue.minimum === 'number' && issue.minimum !== 1) {
      return { field, code: 'quantity.out-of-range', details: { ...details, min: issue.minimum } };
    }
    if (issue.code === 'too_big' && typeof issue.maximum === 'number') {
      return { field, code: 'quantity.out-of-range', details: { ...details, max: issue.maximum } };
    }
    const missing = issue.code === 'too_small' || /received undefined/.test(issue.message);
    return { field, code: missing ? 'form.incomplete' : 'form.value-unknown', details };
  });
}
