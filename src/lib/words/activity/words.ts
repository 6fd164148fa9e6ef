type Seen = Readonly<Record<string, string | number>>;
/** What is said of one activity: its entries in the ledger, what it wants of hands, and its steps on the tide chart. */
export interface ActivityWords {
  readonly entries: Readonly<Record<string, string>>;
  readonly tasks: Readonly<Record<string, (seen: Seen) => string>>;
  readonly steps: Readonly<Record<string, (seen: Seen) => string>>;
}
