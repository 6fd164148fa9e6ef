import type { z } from 'zod';
import type { Draft } from '../store/record.ts';
import type { Answering } from '../answering.ts';
import type { Standing } from '../room.ts';

/** What an operation may use. Everything it decides comes from here and from its input. */
export interface OperationContext extends Standing {
  readonly actor: string;
  /** The tablet it was said on; undefined for a program. */
  readonly tablet?: string;
  /** Something nobody can guess: a key for a logger. */
  secret(): string;
  /** Reads a time a person gave; now when none. Refuses what lies in the future. */
  instant(text: string | undefined, field: string): number;
}

export interface Outcome {
  readonly events: readonly Draft[];
  readonly result: Record<string, unknown>;
  /** Places whose air it brought word of: what lies there is judged anew. */
  readonly places?: readonly string[];
}

/** One thing a person can do: one registry entry makes its form action, its API route and its line in the OpenAPI document. */
export interface Operation<Schema extends z.ZodType = z.ZodType> {
  readonly name: string;
  /** The page whose form does it, by its path. */
  readonly page: string;
  readonly summary: string;
  readonly input: Schema;
  /** The subject whose version the caller may say it saw. */
  subject?(input: z.infer<Schema>): string;
  /** Input that must not outlive a person's name (kept out of the table of requests). */
  readonly isPrivate?: boolean;
  /** A part of its result that is said once and kept nowhere: to the same request sent again it is null. */
  readonly saysOnce?: string;
  /** What it answers for, with a name: it is not refused because of that. */
  readonly answersFor?: 'clock' | 'loss';
  /** It puts the ledger's own time back: it is dated by the clock as it is now, and everything is judged anew. */
  readonly putsTimeBack?: boolean;
  /** Only the first person of a house may be named by nobody. */
  readonly withoutActor?: boolean;
  run(context: OperationContext, input: z.infer<Schema>): Outcome;
}

/** Ties an operation's run to the type of its schema, then hands it out with its name and its result as the only types. */
export const operation = <const Name extends string, Schema extends z.ZodType, Made extends Outcome>(
  definition: Omit<Operation<Schema>, 'run'> & {
    readonly name: Name;
    run(context: OperationContext, input: z.infer<Schema>): Made;
  }
): Operation & Answering<Name, Made['result']> => definition as unknown as Operation & Answering<Name, Made['result']>;
