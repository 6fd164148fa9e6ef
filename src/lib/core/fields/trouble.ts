import type { z } from 'zod';
import { ERROR_CODES, EmberError, type ErrorCode, type ErrorDetails } from '../errors.ts';

/** One field that cannot be taken as it is. */
export interface FieldTrouble {
  readonly field: string;
  readonly code: ErrorCode;
  readonly details: ErrorDetails;
}

const known = new Set<string>(ERROR_CODES);
const MOST_SHOWN = 60;

/** What somebody sent, as a line of text. */
function shown(value: unknown): string {
  const text = typeof value === 'string' ? value : (JSON.stringify(value) ?? String(value));
  return text.length > MOST_SHOWN ? `${text.slice(0, MOST_SHOWN)} …` : text;
}
const at = (input: unknown, path: readonly PropertyKey[]): unknown =>
  path.reduce<unknown>((of, key) => (of === null || of === undefined ? undefined : (of as never)[key]), input);
const isNothing = (value: unknown) =>
  value === undefined || value === null || (typeof value === 'string' && value.trim() === '');

/** One issue of a schema in the codes of the one registry. A validator's own wording never goes further than this. */
function troubleOf(issue: z.core.$ZodIssue, input: unknown): FieldTrouble {
  const field = issue.path.join('.');
  const value = at(input, issue.path);
  const of = (code: ErrorCode, details: ErrorDetails = {}): FieldTrouble => ({
    field,
    code,
    details: { field, ...details }
  });
  if (issue.code === 'custom') {
    const { code, ...params } = (issue.params ?? {}) as ErrorDetails & { code?: string };
    if (code !== undefined && known.has(code)) return of(code as ErrorCode, { ...params, field });
    return of('form.value-unknown', { seen: shown(value) });
  }
  if (isNothing(value)) return of('form.incomplete');
  if (issue.code === 'too_small' || issue.code === 'too_big') {
    const bound = Number(issue.code === 'too_small' ? issue.minimum : issue.maximum);
    if (issue.origin === 'string') {
      return issue.code === 'too_small'
        ? of('form.too-short', { min: bound, seen: shown(value) })
        : of('form.too-long', { max: bound, seen: String(value).length });
    }
    if (issue.origin === 'array' || issue.origin === 'set') {
      return issue.code === 'too_big' ? of('form.too-many', { max: bound }) : of('form.incomplete');
    }
    return of('quantity.out-of-range', {
      ...(issue.code === 'too_small' ? { min: bound } : { max: bound }),
      seen: typeof value === 'number' ? value : shown(value)
    });
  }
  if (issue.code === 'invalid_type' && (issue.expected === 'number' || issue.expected === 'int')) {
    return of('number.not-finite', { seen: shown(value) });
  }
  if (issue.code === 'invalid_format' && ['date', 'time', 'datetime'].includes(issue.format)) {
    return of('time.unreadable', { seen: shown(value) });
  }
  if (issue.code === 'invalid_value') {
    return of('form.value-unknown', { seen: shown(value), candidates: issue.values.map(String) });
  }
  return of('form.value-unknown', { seen: shown(value) });
}

/**
 * A schema's issues in the codes of the one registry, one a field.
 *
 * @param input what was given to the schema: what a person sent is said back, never what a validator thinks of it
 */
export function fieldTroubles(issues: readonly z.core.$ZodIssue[], input: unknown): FieldTrouble[] {
  const troubles = issues.map((issue) => troubleOf(issue, input));
  return troubles.filter(({ field }, index) => troubles.findIndex((each) => each.field === field) === index);
}

/**
 * Something read as a schema has it.
 *
 * @throws EmberError the first trouble, naming its field
 */
export function readAs<Schema extends z.ZodType>(schema: Schema, input: unknown): z.output<Schema> {
  const result = schema.safeParse(input);
  if (result.success) return result.data;
  const { code, details } = fieldTroubles(result.error.issues, input)[0]!;
  throw new EmberError(code, details);
}

/**
 * The same for a file somebody hands in: what is wrong inside it is told with it.
 *
 * @param more what else is known of the file
 * @throws EmberError `code`, with the trouble inside under `because`
 */
export function readFileAs<Schema extends z.ZodType>(
  code: ErrorCode,
  schema: Schema,
  text: string,
  more: ErrorDetails = {}
): z.output<Schema> {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    throw new EmberError(code, { ...more, field: 'file', because: { code: 'request.not-json', details: {} } });
  }
  try {
    return readAs(schema, parsed);
  } catch (error) {
    if (!(error instanceof EmberError)) throw error;
    throw new EmberError(code, { ...more, field: 'file', because: { code: error.code, details: error.details } });
  }
}
