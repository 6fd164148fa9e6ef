import type { z } from 'zod';

/** One kind of event: its current version, the shape of its body, and how each older version becomes the next. */
export interface KindDefinition {
  readonly version: number;
  readonly body: z.ZodType;
  /** upcasts[n] turns a body of version n + 1 into version n + 2. */
  readonly upcasts: readonly ((body: unknown) => unknown)[];
  /** Brings parts that an amendment changed, as an older version named them, to the current one; what is current stays as it is. */
  readonly patched?: (patch: Record<string, unknown>) => Record<string, unknown>;
  /** Whether an entry may be amended by the people of the house. */
  readonly amendable: boolean;
}

/** A kind that is as it began. */
export const kind = <Body extends z.ZodType>(body: Body, amendable = true) => ({
  version: 1,
  body,
  upcasts: [] as readonly ((body: unknown) => unknown)[],
  amendable
});

/** A kind whose first version is brought up by `from1`. */
export const second = <Body extends z.ZodType>(body: Body, from1: (body: unknown) => unknown, amendable = true) => ({
  version: 2,
  body,
  upcasts: [from1] as readonly ((body: unknown) => unknown)[],
  amendable
});

/** A kind with two versions before it. */
export const third = <Body extends z.ZodType>(
  body: Body,
  from1: (body: unknown) => unknown,
  from2: (body: unknown) => unknown,
  amendable = true
) => ({
  version: 3,
  body,
  upcasts: [from1, from2] as readonly ((body: unknown) => unknown)[],
  amendable
});

/** A kind with any number of versions before it, each brought up to the next. */
export const grown = <Body extends z.ZodType>(
  body: Body,
  upcasts: readonly ((body: unknown) => unknown)[],
  amendable = true
) => ({ version: upcasts.length + 1, body, upcasts, amendable });

/** The kinds of one activity, by name. */
export type Kinds = Readonly<Record<string, KindDefinition>>;
