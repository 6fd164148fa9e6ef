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
