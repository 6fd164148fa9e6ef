/** A scanner types faster than hands: what comes within this of the key before is one scan, not keys. ms */
export const SCAN_MS = 45;
/** The least that is a scan: shorter is two keys that were struck at once. */
const LEAST_SCAN = 4;

/** As much of a key event as tells a hand from a scanner. */
export interface KeyStroke {
  readonly key: string;
  readonly ctrlKey: boolean;
  readonly metaKey: boolean;
  readonly altKey: boolean;
  readonly repeat?: boolean;
  /** When it was struck, ms: a page that is busy hears of it later. */
  readonly timeStamp: number;
  readonly target: unknown;
  preventDefault(): void;
}

/**
 * Tells the keys of a hand from the letters of a scanner that types like a keyboard. A key is pressed once nothing follows it at once;
 * what follows at once and ends with Enter is a scan. What is typed into a field is left alone.
 *
 * @param isKey which keys do something by themselves
 * @param press does it
 * @param scanned takes what a scanner read; nothing does where it is left out
 * @param options in which fields letters are typed, by a selector
 */
export function keyReader(
  isKey: (key: string) => boolean,
  press: (key: string) => void,
  scanned: ((text: string) => void) | null = null,
  { fields = 'input, select, textarea, [contenteditable]' } = {}
) {
  let text = '';
  let last = -Infinity;
  let waiting: ReturnType<typeof setTimeout> | undefined;
  return (event: KeyStroke): void => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.target instanceof Element && event.target.closest(fields)) return;
    // Capitals come with a key of their own before them; what is held down repeats itself.
    if (event.key === 'Shift' || event.repeat) return;
    const isNext = event.timeStamp - last < SCAN_MS;
    last = event.timeStamp;
    if (event.key.length !== 1) {
      const whole = text;
      text = '';
      clearTimeout(waiting);
      if (event.key !== 'Enter' || !isNext || whole.length < LEAST_SCAN || !scanned) return;
      event.preventDefault();
      return scanned(whole);
    }
    text = isNext ? text + event.key : event.key;
    clearTimeout(waiting);
    // A key that bounced under a wet finger is one key.
    const isOne = [...text].every((each) => each === event.key);
    if (!isOne || !isKey(event.key)) return;
    event.preventDefault();
    waiting = setTimeout(() => press(event.key), SCAN_MS + 5);
  };
}
