import { z } from 'zod';
import type { Typed } from '../measure/parse.ts';
import { UNITS } from '../measure/units.ts';
import { EVENT_KINDS, type EventKind } from './events.ts';
import { OF_WHAT } from './patch.ts';
import { typedValue } from './values.ts';

type QuantityKind = keyof typeof UNITS;

/** A part of an entry that a person gave, as its form asked for it. */
export type CorrectableField =
  | { readonly name: string; readonly kind: 'quantity'; readonly was: Typed | null; readonly of: QuantityKind }
  | { readonly name: string; readonly kind: 'text' | 'tick'; readonly was: string }
  | { readonly name: string; readonly kind: 'choice'; readonly was: string; readonly values: readonly string[] };

/** Texts that the house wrote into an entry, not the person: they follow from the rest. */
const WRITTEN_BY_HOUSE: ReadonlySet<string> = new Set([
  'currency',
  'fileName',
  'job',
  'kind',
  'look',
  'method',
  'notice',
  'offcut',
  'origin',
  'owned',
  'recommended',
  'sheet',
  'slices',
  'step',
  'sure',
  'version'
]);

/** The schema behind what may be left out or null. */
function bare(schema: z.ZodType): z.ZodType {
  if (schema instanceof z.ZodNullable || schema instanceof z.ZodOptional || schema instanceof z.ZodDefault) {
    return bare(schema.unwrap() as z.ZodType);
  }
  return schema;
}
/** What a part that was left empty would have been. */
const USUALLY: Readonly<Record<string, QuantityKind>> = {
  core: 'temperature',
  air: 'temperature',
  startCore: 'temperature',
  reading: 'temperature',
  vehicle: 'temperature',
  medium: 'temperature',
  celsius: 'temperature',
  frozenAt: 'temperature',
  frozenFor: 'duration',
  thickness: 'length',
  length: 'length',
  height: 'length',
  width: 'length',
  slantHead: 'length',
  slantTail: 'length',
  tail: 'length',
  thinnest: 'length',
  thickest: 'length',
  skin: 'length',
  dark: 'length',
  least: 'length',
  ...Object.fromEntries([1, 2, 3, 4].flatMap((at) => [`height${at}`, `width${at}`].map((name) => [name, 'length'])))
};
const kindOf = (unit: string): QuantityKind | undefined =>
  (Object.keys(UNITS) as QuantityKind[]).find((kind) => unit in UNITS[kind]);

/**
 * What of an entry is corrected in a form like its own: what was weighed, read, written and chosen. What it is about, and what the
 * house worked out of it, is not asked for.
 *
 * @param body the entry as it stands now
 */
export function correctable(kind: EventKind, body: Readonly<Record<string, unknown>>): CorrectableField[] {
  const { shape } = EVENT_KINDS[kind].body as unknown as Partial<z.ZodObject>;
  if (!shape || !EVENT_KINDS[kind].amendable) return [];
  return Object.entries(shape).flatMap(([name, declared]): CorrectableField[] => {
    if (OF_WHAT.has(name) || WRITTEN_BY_HOUSE.has(name)) return [];
    const schema = bare(declared as z.ZodType);
    const was = body[name];
    if (schema === typedValue) {
      const value = (was ?? null) as Typed | null;
      return [{ name, kind: 'quantity', was: value, of: kindOf(value?.unit ?? '') ?? USUALLY[name] ?? 'mass' }];
    }
    if (schema instanceof z.ZodEnum) {
      return [{ name, kind: 'choice', was: String(was ?? ''), values: schema.options.map(String) }];
    }
    if (schema instanceof z.ZodBoolean) return [{ name, kind: 'tick', was: was === true ? 'on' : '' }];
    if (schema instanceof z.ZodString) return [{ name, kind: 'text', was: String(was ?? '') }];
    return [];
  });
}

/** Bare figures that say the same as a typed one beside them. */
const TWINS: Readonly<Record<string, string>> = { mass: 'grams', thickness: 'thicknessMm' };

/**
 * The change a corrected form makes: only what is not as it was, and with a weight the bare grams that say the same.
 *
 * @param given what stands in the form now, by field: a quantity as it was read, anything else as text
 */
export function patchOf(
  kind: EventKind,
  body: Readonly<Record<string, unknown>>,
  given: Readonly<Record<string, Typed | string | null>>
): Record<string, unknown> {
  const patch: Record<string, unknown> = {};
  for (const field of correctable(kind, body)) {
    const value = given[field.name];
    if (value === undefined) continue;
    if (field.kind === 'quantity') {
      const typed = value as Typed | null;
      if (typed?.si === field.was?.si) continue;
      patch[field.name] = typed;
      const twin = TWINS[field.name];
      if (typed && twin && typeof body[twin] === 'number') patch[twin] = typed.si;
    } else if (value !== field.was) patch[field.name] = field.kind === 'tick' ? value === 'on' : value;
  }
  return patch;
}
