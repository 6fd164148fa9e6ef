import type { z } from 'zod';
import type { LabelLines } from '../words/labels.ts';
import type { Clock } from './clock.ts';
import type { DemoTools } from './demo/tools.ts';
import type { Operation } from './operations/operation.ts';
import type { Store } from './store/store.ts';

/** As much of the running house as an activity asks. */
export interface Room {
  readonly store: Store;
  readonly clock: Clock;
}

/** One thing that can be asked of an activity. */
export interface ActivityQuery<Schema extends z.ZodType = z.ZodType> {
  readonly name: string;
  readonly path: string;
  readonly summary: string;
  readonly input: Schema;
  run(room: Room, input: z.infer<Schema>): unknown;
}
/** Ties a query's run to the type of its schema, then hands it out without the type. */
export const activityQuery = <Schema extends z.ZodType>(definition: ActivityQuery<Schema>): ActivityQuery =>
  definition as unknown as ActivityQuery;

/** What an activity that keeps subjects of its own brings to the server, once, for forms, API, labels and the demo house. */
export interface ServerActivity {
  readonly operations: readonly Operation[];
  readonly queries?: readonly ActivityQuery[];
  /** What stands on the label of a subject of a kind. */
  readonly label?: { readonly kind: string; readonly lines: (store: Store, id: string) => LabelLines };
  readonly demo?: (tools: DemoTools) => void;
}
