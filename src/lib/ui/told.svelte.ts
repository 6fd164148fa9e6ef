/** What was last done at this tablet, or could not be: a line that stays in sight wherever the person goes next. */
export type Told =
  | {
      readonly kind: 'done';
      readonly text: string;
      readonly seqs: readonly number[];
      readonly until: number;
      readonly by: string;
    }
  | { readonly kind: 'undone'; readonly text: string }
  | { readonly kind: 'refused'; readonly text: string; readonly newer: readonly string[] };

let said = $state<Told | null>(null);

export const told = (): Told | null => said;
/** Says it until something else is said, or somebody puts it away. */
export function tell(next: Told | null): void {
  said = next;
}

/**
 * For each piece, up to which entry this tablet has seen it: where it wrote one itself and was not refused, nobody else had written
 * in between. What it has just done is no news to it.
 */
const seen = $state<Record<string, number>>({});
export const seenOf = (piece: string): number => seen[piece] ?? 0;
export function wroteEntry(piece: string, seq: number): void {
  seen[piece] = Math.max(seenOf(piece), seq);
}

/** One thing at a time is sent: the next waits until the house has answered, and then goes from what it answered. */
let sending: Promise<void> | null = null;
export const isSending = (): Promise<void> | null => sending;
/** @returns says that the answer is there */
export function beginSending(): () => void {
  let end = () => {};
  const own = new Promise<void>((resolve) => (end = resolve));
  sending = own;
  return () => {
    if (sending === own) sending = null;
    end();
  };
}
