/** What a page is told of the house. */
export type LiveMessage =
  | { kind: 'change'; data: { seq: number; subject: string } }
  | { kind: 'hello'; data: { now: number; head: number } }
  | { kind: 'lost' };

/** A house that says nothing for this long, not even that it is there, is lost: three of its beats. ms */
export const SILENCE_MS = 9500;

/**
 * Follows the house's changes on a line of its own. A line that is dead without saying so is noticed by its silence, and laid
 * anew.
 *
 * @returns ends it
 */
export function openSource(tell: (message: LiveMessage) => void): () => void {
  let source: EventSource;
  let silence: ReturnType<typeof setTimeout> | undefined;
  const heard = () => {
    clearTimeout(silence);
    silence = setTimeout(() => {
      tell({ kind: 'lost' });
      source.close();
      listen();
    }, SILENCE_MS);
  };
  function listen(): void {
    source = new EventSource('/api/v1/stream');
    source.addEventListener('change', (event) => {
      heard();
      tell({ kind: 'change', data: JSON.parse(event.data) });
    });
    // Whoever was away too long reads anew, as at the first word.
    for (const name of ['hello', 'reload'])
      source.addEventListener(name, (event: MessageEvent<string>) => {
        heard();
        tell({ kind: 'hello', data: JSON.parse(event.data) });
      });
    source.addEventListener('beat', heard);
    source.addEventListener('error', () => tell({ kind: 'lost' }));
    heard();
  }
  listen();
  return () => {
    clearTimeout(silence);
    source.close();
  };
}
