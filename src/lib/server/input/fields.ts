import { sha256 } from '../store/open.ts';
import { z } from 'zod';
import { EmberError } from '../../core/errors.ts';
import { parseQuantity, type Typed } from '../../core/measure/parse.ts';
import { UNITS, type Kind } from '../../core/measure/units.ts';

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

/** A quantity as a person writes it, with its unit: "2.4 kg", "3 lb 2 oz", "-4F". */
export function quantity(kind: Kind, bounds: QuantityBounds) {
  const units = Object.values(UNITS[kind])
    .map((unit) => unit.symbol)
    .join(', ');
  return z
    .string()
    .max(60)
    .describe(`${kind} with its unit (${units}); ${bounds.min} to ${bounds.max} in the base unit`)
    .transform((text, context): Typed => {
      try {
        return parseQuantity(kind, text, bounds);
      } catch (error) {
        addCoded(context, error);
        return z.NEVER;
      }
    });
}

/** The same, or nothing. */
export function optionalQuantity(kind: Kind, bounds: QuantityBounds) {
  const inner = quantity(kind, bounds);
  return z
    .string()
    .max(60)
    .optional()
    .describe(inner.description ?? '')
    .transform((text, context): Typed | null => {
      if (text === undefined || text.trim() === '') return null;
      const result = inner.safeParse(text);
      if (result.success) return result.data;
      for (const issue of result.error.issues) context.addIssue({ ...issue } as never);
      return z.NEVER;
    });
}

export const shortText = (max = 120) => z.string().trim().max(max).default('');
export const neededText = (max = 120) => z.string().trim().min(1).max(max);
/** A box that a form sends only when ticked. */
export const ticked = z
  .union([z.boolean(), z.enum(['on', 'true', 'false', ''])])
  .default(false)
  .transform((value) => value === true || value === 'on' || value === 'true');
/** A number from a form or from JSON. */
export const numeric = (min: number, max: number) => z.coerce.number().min(min).max(max);
export const optionalNumeric = (min: number, max: number) =>
  z
    .union([z.literal(''), z.coerce.number().min(min).max(max)])
    .optional()
    .transform((value) => (value === '' || value === undefined ? null : value));
/** ISO day or nothing. */
export const optionalDay = z
  .union([z.literal(''), z.iso.date()])
  .optional()
  .transform((value) => (value ? value : null));
/** A wall time of the house, an ISO instant, or nothing for "now". */
export const when = z.string().max(40).optional().describe('ISO instant, or wall time of the house; now when left out');
export const pieceId = z.string().regex(/^[A-Z0-9-]{3,40}$/);

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
  z
    .union([z.array(z.string()), z.string()])
    .default([])
    .transform((value) => (typeof value === 'string' ? value.split(',') : value).map((each) => each.trim()))
    .transform((value) => [...new Set(value.filter((each) => each !== ''))])
    .refine((value) => value.length <= most);
/** A choice that a form may leave empty. */
export const choice = <const Values extends readonly [string, ...string[]]>(values: Values, fallback: Values[number]) =>
  z
    .union([z.literal(''), z.enum(values)])
    .default('')
    .transform((value) => (value === '' ? fallback : (value as Values[number])));

const MOST_OF_ID = 40;
/** What an entry of a house book is found by: its name in plain letters; long names that begin alike are told apart by a hash. */
export function bookId(name: string): string {
  const plain = name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
  if (plain.length <= MOST_OF_ID) return plain || 'unnamed';
  return `${plain.slice(0, MOST_OF_ID - 9)}-${sha256(name.trim().toLowerCase()).slice(0, 8)}`;
}
