import { z } from 'zod';
import { EmberError } from '../errors.ts';
import { fieldMeta } from '../fields/field.ts';
import { finite, typedValue } from './values.ts';

/** What is set on a bench, field by field: the shape of its plan. */
export type PlanShape = Readonly<Record<string, z.ZodType>>;

function kept(name: string, schema: z.ZodType): z.ZodType {
  const meta = fieldMeta(schema);
  if (!meta) throw new EmberError('number.not-finite', { field: name, seen: 'no field of a plan' });
  const { kind, optional = false, values = [] } = meta;
  const orNothing = (shape: z.ZodType) => (optional ? shape.nullable() : shape);
  switch (kind) {
    case 'quantity':
      return orNothing(typedValue);
    case 'number':
      return orNothing(finite);
    case 'tick':
      return z.boolean();
    case 'list':
      return z.array(values.length > 0 ? z.enum(values) : z.string());
    case 'choice':
      // A side that is open is counted, not named.
      if (values.join() === '1,2') return z.union([z.literal(1), z.literal(2)]);
      return z.enum(optional ? ['', ...values] : values);
    default:
      return z.string();
  }
}

/**
 * The shape in which the record keeps what was set, made from the plan itself: every field as it was understood, quantities
 * letter for letter as well.
 *
 * @param shape the plan's fields, each made by `core/fields/field.ts`
 * @throws EmberError where one of them is no such field
 */
export const recorded = <Shape extends PlanShape>(shape: Shape) =>
  z.object(
    Object.fromEntries(Object.entries(shape).map(([name, schema]) => [name, kept(name, schema)])) as {
      [Name in keyof Shape]: z.ZodType<z.output<Shape[Name]>>;
    }
  );
