type Seen = Readonly<Record<string, string | number>>;
/** What is said of one activity: what it wants of hands, and its steps on the tide chart. */
export interface ActivityWords {
  readonly tasks: Readonly<Record<string, (seen: Seen) => string>>;
  readonly steps: Readonly<Record<string, (seen: Seen) => string>>;
}
