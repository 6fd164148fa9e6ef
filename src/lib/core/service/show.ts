import type { RouteWindow } from '../codes/window.ts';
import type { PieceState } from '../record/piece.ts';

/** What needs hands: a moment, what to do, and to which piece. */
export interface Task<Code extends string = string> {
  readonly code: Code;
  readonly at: number;
  readonly piece: string;
  readonly seen: Readonly<Record<string, string | number>>;
}
/** Something that went on, goes on or is planned, as the tide chart draws it; ms. Without an end it goes on. */
export interface Step {
  readonly kind: string;
  readonly from: number;
  readonly to: number | null;
  readonly seen: Readonly<Record<string, string | number>>;
}

/** A piece still here, as it is asked what it wants. */
export interface Asked {
  readonly state: PieceState;
  readonly windows: readonly RouteWindow[];
  readonly now: number;
  /** When the logger of a place last spoke, ms: while one does, nobody has to read it. */
  readonly lastHeard: ReadonlyMap<string, number>;
}

/** What an activity shows of a piece: what it wants of hands, and its steps on the tide chart. */
export interface Show<Code extends string = string> {
  /** Every code a task of it can have: the words of each stand by it. */
  readonly codes: readonly Code[];
  readonly tasks: (asked: Asked) => readonly Task<Code>[];
  readonly steps: (state: PieceState, now: number) => readonly Step[];
}
/** Helps the compiler to keep the codes of a show apart from plain text. */
export const show = <const Code extends string>(made: Show<Code>): Show<Code> => made;
