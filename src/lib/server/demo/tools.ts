import type { Chance } from '../../core/random.ts';
export type Input = Record<string, unknown>;
export interface DemoTools {
  step(hoursAgo: number, by: string, operation: string, input: () => Input, then?: (result: Input) => void): void;
  receive(name: string, hoursAgo: number, by: string, input: Input | (() => Input), place?: string): void;
  paper(name: string, hoursAgo: number, input: Input): void;
  daysAgo(days: number): string;
  grams(about: number): string;
  celsius(about: number): string;
  readonly lots: Record<string, string>;
  readonly pieces: Record<string, string>;
}

/** Fish of the demo week, lot by lot. */
export interface WeekTools extends DemoTools {
  divide(from: string, name: string, hoursAgo: number, input: Input): void;
  on(name: string, hoursAgo: number, by: string, operation: string, input: Input): void;
  readonly chilled: Input;
  readonly chance: Chance;
  /** Hash of the paper that is shown as a file. */
  readonly statement: string;
}
