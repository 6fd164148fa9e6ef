import type { RecordEvent } from '../record/events.ts';
import type { HouseState } from '../record/house.ts';
import type { ViewOptions } from '../record/view.ts';
import type { Step, Task } from './show.ts';

/** What is said of any subject that is no fish: a tub, a batch. Its activity adds what it needs. */
export interface SubjectState {
  readonly id: string;
  readonly name: string;
  readonly madeAt: number;
  readonly lastSeq: number;
  /** Whether it is still here. */
  readonly live: boolean;
}

/** A kind of subject that an activity keeps beside fish: how it is read from its entries, and what it shows. */
export interface SubjectKind<State extends SubjectState = SubjectState, Code extends string = string> {
  /** Its entries stand under "kind:id". */
  readonly kind: string;
  /** Null where its making is voided or had not happened. */
  readonly fold: (id: string, events: readonly RecordEvent[], options?: ViewOptions) => State | null;
  /** Where it is to be seen. */
  readonly path: (id: string) => string;
  /** From when until when it may be used, ms; null for no end. */
  readonly window: (state: State, house: HouseState) => { readonly opens: number; readonly closes: number | null };
  /** Every code a task of it can have: the words of each stand by it. */
  readonly codes: readonly Code[];
  readonly tasks: (state: State, house: HouseState, now: number) => readonly Task<Code>[];
  readonly steps: (state: State, house: HouseState, now: number) => readonly Step[];
}
/** Helps the compiler to keep the codes of a subject apart from plain text. */
export const subjectKind = <State extends SubjectState, const Code extends string>(
  made: SubjectKind<State, Code>
): SubjectKind<State, Code> => made;
