/** How long a test waits for what happens by itself, ms: patience for a slow machine, not a measure of speed. */
const PATIENCE_MS = 60_000;
const STEP_MS = 10;

/**
 * What an ask comes to once it comes to something; asked again and again until then.
 *
 * @param what is waited for, for the message
 */
export async function eventually<Value>(ask: () => Value | null | undefined | false, what: string): Promise<Value> {
  for (const from = performance.now(); performance.now() - from < PATIENCE_MS;) {
    const found = ask();
    if (found) return found;
    await new Promise((resolve) => setTimeout(resolve, STEP_MS));
  }
  throw new Error(`never: ${what}`);
}
