/** How much of a refused body is read and thrown away, and for how long, before its line is closed. */
const THROWN_AWAY_BYTES = 32_000_000;
const THROWN_AWAY_MS = 2000;

/**
 * Reads what is left of a body that nobody wants, so that the answer is heard and the line can be used again.
 *
 * @returns whether all of it came; where not, the line is to be closed
 */
export async function drained(body: ReadableStream<Uint8Array> | null): Promise<boolean> {
  if (!body) return true;
  const reader = body.getReader();
  const late = new Promise<'late'>((resolve) => setTimeout(resolve, THROWN_AWAY_MS, 'late').unref());
  let read = 0;
  try {
    for (;;) {
      const part = await Promise.race([reader.read(), late]);
      if (part === 'late') return false;
      if (part.done) return true;
      read += part.value.length;
      if (read > THROWN_AWAY_BYTES) return false;
    }
  } catch {
    return false;
  }
}

/**
 * A request whose body is counted as it is read, for bodies that do not say beforehand how long they are. Past the limit nothing
 * more of it is handed on, and whoever reads it is told at its end that it broke off: a part of it is never taken for the whole.
 * `isOver` says so from then on.
 */
export function counted(request: Request, most: number): { readonly request: Request; readonly isOver: () => boolean } {
  let seen = 0;
  let over = false;
  const body = request.body!.pipeThrough(
    new TransformStream<Uint8Array, Uint8Array>({
      transform(part, controller) {
        seen += part.length;
        over ||= seen > most;
        if (!over) controller.enqueue(part);
        else if (seen > most + THROWN_AWAY_BYTES) controller.error(new Error('too large'));
      },
      flush(controller) {
        if (over) controller.error(new Error('too large'));
      }
    })
  );
  const again = new Request(request, { body, duplex: 'half' } as RequestInit);
  return { request: again, isOver: () => over };
}
