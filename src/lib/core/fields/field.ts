import { plainText } from './plain.ts';
import { z } from 'zod';
import { EmberError } from '../errors.ts';
import { checkZone } from '../measure/day.ts';
import { parseQuantity, readNumber, type Typed } from '../measure/parse.ts';
import { UNITS, fromBase, type Kind } from '../measure/units.ts';

/**
 * What a person sets, field by field. A field is a Zod schema that also says what a form, a draft, the record and the API need
 * to know of it: its kind, its unit, its range and where it begins. One place each: here is how, and each bench's plan has its
 * own list.
 */
export interface FieldMeta {
  readonly kind: 'quantity' | 'number' | 'choice' | 'tick' | 'text' | 'list' | 'piece' | 'moment';
  /** Of a quantity: what is measured, and the unit it is asked for in, as a key of `UNITS[of]`; none is the house's own. */
  readonly of?: Kind;
  readonly unit?: string;
  /** Of a quantity in its base unit; of a number as it is. */
  readonly min?: number;
  readonly max?: number;
  /** A number without a part behind the point. */
  readonly whole?: boolean;
  readonly values?: readonly string[];
  readonly optional?: boolean;
  /** Where it begins: a quantity in its base unit, anything else as it is typed. */
  readonly start?: number | string;
}
const FIELDS = z.registry<FieldMeta>();
const field = <Schema extends z.ZodType>(schema: Schema, meta: FieldMeta): Schema => {
  FIELDS.add(schema as never, meta as never);
  return schema;
};

/**
 * What a field says of itself; null for a schema that is none.
 *
 * @example
 * fieldMeta(quantity('length', { min: 2, max: 150 }))?.max // => 150
 */
export function fieldMeta(schema: z.ZodType): FieldMeta | null {
  // A default or an option is a coat over the field.
  for (let of: z.ZodType | undefined = schema; of; of = (of as { def?: { innerType?: z.ZodType } }).def?.innerType) {
    const found = FIELDS.get(of as never) as FieldMeta | undefined;
    if (found) return found;
  }
  return null;
}

/** What comes of a plan once it is read, field by field. */
export type Settled<Shape extends Readonly<Record<string, z.ZodType>>> = {
  -readonly [Name in keyof Shape]: z.output<Shape[Name]>;
};

/** An issue that carries a code of the one registry; its sentence is written in lib/words. */
export function addCoded(context: z.RefinementCtx, error: unknown): void {
  if (!(error instanceof EmberError)) throw error;
  context.addIssue({ code: 'custom', message: error.code, params: { ...error.details, code: error.code } });
}

export interface QuantityBounds {
  /** In the base unit: g, mm, °C, s, weight fraction, ml. */
  readonly min: number;
  readonly max: number;
}
type QuantityMeta = QuantityBounds & Pick<FieldMeta, 'unit' | 'start'>;

const quantityText = (kind: Kind, { min, max }: QuantityBounds) =>
  `${kind} with its unit (${Object.values(UNITS[kind])
    .map((unit) => unit.symbol)
    .join(', ')}); ${min} to ${max} in the base unit`;

/**
 * A quantity as a person writes it, with its unit: "2.4 kg", "3 lb 2 oz", "-4F".
 *
 * @param bounds inclusive, in the base unit; with them the unit a form asks for and where it begins
 */
export function quantity(kind: Kind, bounds: QuantityMeta) {
  const schema = z
    .string()
    .max(60)
    .describe(quantityText(kind, bounds))
    .transform((text, context): Typed => {
      try {
        return parseQuantity(kind, text, bounds);
      } catch (error) {
        addCoded(context, error);
        return z.NEVER;
      }
    });
  return field(schema, { kind: 'quantity', of: kind, ...bounds });
}

/** The same, or nothing. */
export function optionalQuantity(kind: Kind, bounds: QuantityMeta) {
  const schema = z
    .string()
    .max(60)
    .optional()
    .describe(quantityText(kind, bounds))
    .transform((text, context): Typed | null => {
      if (text === undefined || text.trim() === '') return null;
      try {
        return parseQuantity(kind, text, bounds);
      } catch (error) {
        addCoded(context, error);
        return z.NEVER;
      }
    });
  return field(schema, { kind: 'quantity', of: kind, ...bounds, optional: true });
}

export const shortText = (max = 120) =>
  field(z.string().overwrite(plainText).trim().max(max).default(''), { kind: 'text', max, optional: true });
export const neededText = (max = 120, least = 1) =>
  field(z.string().overwrite(plainText).trim().min(least).max(max), { kind: 'text', max });
/** A time zone of the house, as its clocks know it. */
export const zoneName = field(
  z
    .string()
    .overwrite(plainText)
    .trim()
    .min(1)
    .max(60)
    .superRefine((zone, context) => {
      try {
        checkZone(zone);
      } catch (error) {
        addCoded(context, error);
      }
    }),
  { kind: 'text', max: 60 }
);
/** A box that a form sends only when ticked. */
const TICKED = z
  .union([z.boolean(), z.enum(['on', 'true', 'false', ''])])
  .default(false)
  .transform((value) => value === true || value === 'on' || value === 'true');
export const ticked = field(TICKED, { kind: 'tick', optional: true });

type NumberMeta = Pick<FieldMeta, 'start' | 'whole' | 'unit'> & {
  /** What it is where nobody said; one without has to be said. */
  readonly fallback?: number;
};
/** A number from a form or from JSON; nothing where nothing was said. A box, an empty text and null are no numbers. */
function numberFrom(value: unknown, min: number, max: number, meta: NumberMeta): number | null {
  if (value === undefined || value === null || (typeof value === 'string' && value.trim() === '')) return null;
  const read = typeof value === 'string' ? plainNumber(value) : Number(value);
  if (!Number.isFinite(read)) throw new EmberError('number.not-finite', { seen: String(value) });
  const taken = meta.whole ? Math.round(read) : read;
  if (taken < min || taken > max) {
    throw new EmberError('quantity.out-of-range', { unit: meta.unit, min, max, seen: read });
  }
  // Nothing below nothing is nothing: what is written down is read again as it was.
  return taken === 0 ? 0 : taken;
}
function plainNumber(text: string): number {
  try {
    return readNumber(text);
  } catch (error) {
    if (error instanceof EmberError && error.code === 'quantity.ambiguous') throw error;
    throw new EmberError('number.not-finite', { seen: text.trim() });
  }
}
const figure = z.union([z.number(), z.string().max(40)]);
const rangeText = (min: number, max: number) => `${min} to ${max}`;

/** A number from a form or from JSON. */
export function numeric(min: number, max: number, meta: NumberMeta = {}) {
  const read = (value: unknown, context: z.RefinementCtx): number => {
    try {
      const said = numberFrom(value, min, max, meta) ?? meta.fallback;
      if (said === undefined) throw new EmberError('form.incomplete');
      return said;
    } catch (error) {
      addCoded(context, error);
      return z.NEVER;
    }
  };
  const { fallback, ...about } = meta;
  const said = rangeText(min, max);
  const schema =
    fallback === undefined
      ? figure.describe(said).transform(read)
      : figure.nullish().describe(`${said}; ${fallback} where left out`).transform(read);
  // To those who read it, it is a figure either way; a form may leave out the one with a fallback.
  return field(schema as z.ZodType<number, string | number | null | undefined>, { kind: 'number', min, max, ...about });
}
export function optionalNumeric(min: number, max: number, meta: NumberMeta = {}) {
  const schema = figure
    .nullish()
    .describe(rangeText(min, max))
    .transform((value, context): number | null => {
      try {
        return numberFrom(value, min, max, meta);
      } catch (error) {
        addCoded(context, error);
        return z.NEVER;
      }
    });
  return field(schema, { kind: 'number', min, max, optional: true, ...meta });
}
/** ISO day or nothing. */
export const optionalDay = z
  .union([z.literal(''), z.iso.date()])
  .optional()
  .transform((value) => (value ? value : null));
/** A wall time of the house, an ISO instant, or nothing for "now". */
export const when = field(
  z.string().max(40).optional().describe('ISO instant, or wall time of the house; now when left out'),
  { kind: 'moment', optional: true }
);
export const pieceId = field(
  z
    .string()
    .regex(/^[A-Z0-9-]{3,40}$/)
    .describe('id of a piece, such as HAL-0309-1-A'),
  { kind: 'piece' }
);

export const MASS = { min: 1, max: 500_000 };
export const THICKNESS = { min: 2, max: 300 };
export const TEMPERATURE = { min: -80, max: 60 };

/** A day, or a day and hour as the house's wall time, or nothing. */
export const optionalMoment = z
  .union([z.literal(''), z.iso.date(), z.string().regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/)])
  .optional()
  .transform((value) => (value ? value : null));
/** A list, or the same with commas between. */
export const list = (most: number) =>
  field(
    z
      .union([z.array(z.string()), z.string()])
      .default([])
      .transform((value) => (typeof value === 'string' ? value.split(',') : value).map((each) => each.trim()))
      .transform((value) => [...new Set(value.filter((each) => each !== ''))])
      .refine((value) => value.length <= most, { params: { code: 'form.too-many', max: most } }),
    { kind: 'list', max: most, optional: true }
  );
/** Some of a few. */
export const listOf = <const Values extends readonly [string, ...string[]] | readonly string[]>(
  values: Values,
  most: number
) => {
  const schema = z
    .union([z.array(z.string()), z.string()])
    .default([])
    .transform((value) => (typeof value === 'string' ? value.split(',') : value).map((each) => each.trim()))
    .transform((value) => [...new Set(value.filter((each) => each !== ''))])
    .refine((value) => value.length <= most, { params: { code: 'form.too-many', max: most } })
    .refine((value) => value.every((each) => values.includes(each)))
    .transform((value) => value as Values[number][]);
  return field(schema, { kind: 'list', max: most, values, optional: true });
};
/** One of a few, that has to be said. */
export const oneOf = <const Values extends readonly [string, ...string[]]>(
  values: Values,
  start: Values[number] = values[0]
) => field(z.enum(values), { kind: 'choice', values, start });
/** A choice that a form may leave empty. */
export const choice = <const Values extends readonly [string, ...string[]]>(values: Values, fallback: Values[number]) =>
  field(
    z
      .union([z.literal(''), z.enum(values)])
      .default('')
      .transform((value) => (value === '' ? fallback : (value as Values[number]))),
    { kind: 'choice', values, start: fallback }
  );
/** A choice that may stay open: an empty text where nobody said. */
export const openChoice = <const Values extends readonly [string, ...string[]]>(
  values: Values,
  start: Values[number] | '' = ''
) => {
  const schema = z.union([z.literal(''), z.enum(values)]).default('');
  return field(schema as z.ZodType<Values[number] | '', Values[number] | '' | undefined>, {
    kind: 'choice',
    values,
    start,
    optional: true
  });
};
/** One side open or both: the skin is on, or not. */
export const faces = (start: 1 | 2) => {
  const schema = figure
    .default(start)
    .describe('1 or 2')
    .transform((value, context): 1 | 2 => {
      try {
        return (numberFrom(value, 1, 2, {}) ?? start) >= 2 ? 2 : 1;
      } catch (error) {
        addCoded(context, error);
        return z.NEVER;
      }
    });
  return field(schema, { kind: 'choice', values: ['1', '2'], start: String(start) });
};

/** Of everything that was set, what a shape names. */
export const pick = <Shape extends Readonly<Record<string, z.ZodType>>>(
  set: { readonly [Name in keyof Shape]: z.output<Shape[Name]> },
  shape: Shape
): { [Name in keyof Shape]: z.output<Shape[Name]> } =>
  Object.fromEntries(Object.keys(shape).map((name) => [name, set[name]])) as never;

/** Bounds of a field as `inRange` takes them. */
export interface FieldBounds {
  readonly field: string;
  readonly unit: string;
  readonly min: number;
  readonly max: number;
}
/**
 * The range of every field that has one, in the unit it is asked for.
 *
 * @example
 * boundsOf({ hours: quantity('duration', { unit: 'h', min: 360, max: 3600 }) }).hours.max // => 1
 */
export const boundsOf = <Shape extends Readonly<Record<string, z.ZodType>>>(
  shape: Shape
): { readonly [Name in keyof Shape]: FieldBounds } =>
  Object.fromEntries(
    Object.entries(shape).flatMap(([name, schema]) => {
      const { of, unit, min, max, kind } = fieldMeta(schema) ?? { kind: 'text' };
      if (min === undefined || max === undefined || (kind !== 'quantity' && kind !== 'number')) return [];
      const asked = of ? (unit ?? baseUnit(of)) : '';
      const bound = (value: number) => (of ? Number(fromBase(of, asked, value).toPrecision(12)) : value);
      const said = of ? UNITS[of][asked]!.symbol : (unit ?? '');
      return [[name, { field: name, unit: said, min: bound(min), max: bound(max) }]];
    })
  ) as never;

/** The unit a kind is kept in, as a key of its units. */
const baseUnit = (kind: Kind): string =>
  Object.entries(UNITS[kind]).find(([, { factor, offset = 0 }]) => factor === 1 && offset === 0)?.[0] ?? '%';

/**
 * Where a figure begins, in its base unit.
 *
 * @throws EmberError for a field that begins nowhere
 */
export function startOf(schema: z.ZodType): number {
  const { start } = fieldMeta(schema) ?? {};
  if (typeof start !== 'number') throw new EmberError('number.not-finite', { seen: String(start) });
  return start;
}
