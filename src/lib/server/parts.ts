import { setImmediate } from 'node:timers/promises';

/** A long answer, part by part as it is taken; whoever else waits is answered between two of them. */
export function inParts(parts: Generator<string>): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  return new ReadableStream({
    async pull(controller) {
      await setImmediate();
      const { done, value } = parts.next();
      if (done) controller.close();
      else controller.enqueue(encoder.encode(value));
    },
    cancel: () => void parts.return(undefined)
  });
}
