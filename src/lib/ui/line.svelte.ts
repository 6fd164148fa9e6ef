/**
 * The line to the house. What the framework fetches for a page waits for a line that is gone, and goes on when it is back: a touch
 * never ends on the browser's own error page, and the page that was there stays. What is sent has a time limit, so that a line that
 * is dead without saying so is noticed.
 */

/** A page's data, and a form, are answered in far less. ms */
const PATIENCE_MS = 8000;
/** A paper or a photograph goes with it. ms */
const FILE_PATIENCE_MS = 120_000;
const AGAIN_MS = 1500;
/** A house that starts anew, or what stands before it, says one of these. */
const AWAY = new Set([502, 503, 504]);

let lost = $state(false);
/** Whether the last that was asked of the house found no way there. */
export const lineIsLost = (): boolean => lost;

/** Wraps the browser's fetch. Called once, before the first page is begun. */
export function holdTheLine(): void {
  const fetched = window.fetch;
  const within = async (input: RequestInfo | URL, init: RequestInit | undefined, ms: number): Promise<Response> => {
    const own = new AbortController();
    const giveUp = () => own.abort();
    init?.signal?.addEventListener('abort', giveUp);
    let isLate = false;
    const timer = setTimeout(() => {
      isLate = true;
      giveUp();
    }, ms);
    try {
      return await fetched(input, { ...init, signal: own.signal });
    } catch (error) {
      // Whoever gave up by himself is told so; a line that died is a line that died.
      if (isLate) throw new TypeError('no answer in time', { cause: error });
      throw error;
    } finally {
      clearTimeout(timer);
      init?.signal?.removeEventListener('abort', giveUp);
    }
  };
  const said = <Answer>(answer: Answer): Answer => {
    lost = false;
    return answer;
  };
  window.fetch = async (input, init) => {
    const url = new URL(input instanceof Request ? input.url : String(input), location.href);
    if (url.origin !== location.origin) return fetched(input, init);
    if (url.pathname.endsWith('__data.json')) {
      for (;;) {
        try {
          const answer = await within(input, init, PATIENCE_MS);
          if (!AWAY.has(answer.status)) return said(answer);
        } catch (error) {
          if (init?.signal?.aborted) throw error;
        }
        lost = true;
        await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
      }
    }
    if ((init?.method ?? 'GET') === 'GET') return fetched(input, init);
    const carriesFile = init?.body instanceof FormData || init?.body instanceof Blob;
    try {
      return said(await within(input, init, carriesFile ? FILE_PATIENCE_MS : PATIENCE_MS));
    } catch (error) {
      lost = true;
      throw error;
    }
  };
}
