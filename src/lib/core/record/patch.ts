import type { z } from 'zod';
import { EmberError, inRange } from '../errors.ts';
import { MASS, TEMPERATURE } from '../fields/field.ts';
import { plainText } from '../fields/plain.ts';
import { EVENT_KINDS, type EventKind } from './events.ts';

/** What an entry is about, and what it leaned on: mended, it would be an entry of something else. It is struck and written anew. */
export const OF_WHAT: ReadonlySet<string> = new Set([
  'amends',
  'board',
  'child',
  'code',
  'delivery',
  'file',
  'hash',
  'id',
  'keyHash',
  'lot',
  'lots',
  'parents',
  'piece',
  'pieces',
  'pins',
  'tablet'
]);
const MOST_LETTERS = 2000;
const MOST_PARTS = 500;
/** Instants in ms stay below it until the year 2100, and nothing else that is counted comes near it. */
const MOST_FIGURE = 4_102_444_800_000;

const figure = (name: string, value: number, unit: string): number => {
  if (unit === 'g') return inRange(value, { field: name, unit: 'g', min: 0, max: MASS.max });
  if (unit === 'C') return inRange(value, { field: name, unit: '°C', ...TEMPERATURE });
  const signed = unit === '';
  return inRange(value, { field: name, unit: '', min: signed ? -MOST_FIGURE : 0, max: MOST_FIGURE });
};
/** The unit that the name of a bare figure carries. */
const unitOf = (name: string): string =>
  /grams$/i.test(name)
    ? 'g'
    : /celsius$/i.test(name)
      ? 'C'
      : /(?:Mm|seconds|minutes|hours|days)$/i.test(name)
        ? name
        : '';

/** A value as it may be kept; figures within what the forms take, texts as they are kept anywhere. */
function mended(name: string, value: unknown): unknown {
  if (typeof value === 'number') return figure(name, value, unitOf(name));
  if (typeof value === 'string') {
    if (value.length > MOST_LETTERS) throw new EmberError('form.too-long', { field: name, max: MOST_LETTERS });
    return plainText(value);
  }
  if (typeof value !== 'object' || value === null) return value;
  if (Array.isArray(value)) {
    if (value.length > MOST_PARTS) throw new EmberError('form.too-many', { field: name, max: MOST_PARTS });
    return value.map((each) => mended(name, each));
  }
  const { si, unit } = value as { si?: unknown; unit?: unknown };
  if (typeof si === 'number' && (unit === 'g' || unit === 'C')) figure(name, si, unit);
  return Object.fromEntries(
    Object.entries(value).map(([key, each]) => [key, key === 'si' || key === 'unit' ? each : mended(key, each)])
  );
}

/**
 * The parts of an entry that a correction changes, as they may be changed: only parts the entry has, none of those that say
 * what it is about, within the limits its own form keeps to. A correction that is itself corrected can only be struck.
 *
 * @throws EmberError `record.not-amendable`, `form.value-unknown`, `quantity.out-of-range`, `form.too-long`, `form.too-many`,
 *   naming the part
 */
export function checkPatch(kind: EventKind, patch: Readonly<Record<string, unknown>>): Record<string, unknown> {
  const names = Object.keys(patch);
  if (kind === 'entry.amended' && names.length > 0)
    throw new EmberError('record.not-amendable', { field: 'patch', seen: kind });
  const shape = (EVENT_KINDS[kind].body as unknown as Partial<z.ZodObject>).shape;
  const known = shape ? Object.keys(shape) : names;
  for (const name of names) {
    if (!known.includes(name))
      throw new EmberError('form.value-unknown', { field: 'patch', seen: name, candidates: known });
    if (OF_WHAT.has(name)) throw new EmberError('record.not-amendable', { field: name, seen: kind, about: true });
  }
  return Object.fromEntries(Object.entries(patch).map(([name, value]) => [name, mended(name, value)]));
}
