import type { z } from 'zod';
import type { Answering } from '../answering.ts';
import type { Room } from '../room.ts';

/** One thing that can be asked. The same registry answers screens, the API and the OpenAPI document. */
export interface Query<Schema extends z.ZodType = z.ZodType> {
  readonly name: string;
  readonly path: string;
  readonly summary: string;
  readonly input: Schema;
  /** An example of what is asked, as it is sent: it stands in the document, and the tests ask it of a house with a char in it. */
  readonly example?: Readonly<Record<string, string>>;
  /** Asked by POST with a JSON body, for what is too long for an address. Nothing is written. */
  readonly post?: boolean;
  run(room: Room, input: z.infer<Schema>): unknown;
}

/** Ties a query's run to the type of its schema, then hands it out with its name and its answer as the only types. */
export const query = <const Name extends string, Schema extends z.ZodType, Answer>(
  definition: Omit<Query<Schema>, 'run'> & { readonly name: Name; run(room: Room, input: z.infer<Schema>): Answer }
): Query & Answering<Name, Answer> => definition as unknown as Query & Answering<Name, Answer>;
