import type { App } from './app.ts';

const open = new Set<() => void>();
/** Comment lines keep proxies from closing a quiet stream. */
const HEARTBEAT_MS = 20_000;

/** Ends every open stream: at shutdown, so that nothing waits for them. */
export function closeStreams(): void {
  for (const close of [...open]) close();
}

/**
 * Server-sent events: one message a change, after its commit, with the sequence number as its id. A reader that comes
 * back says the last one it had and is told what it missed.
 */
export function changeStream(app: App, lastEventId: string | null): Response {
  const encoder = new TextEncoder();
  let stop = () => {};
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const send = (text: string) => {
        try {
          controller.enqueue(encoder.encode(text));
        } catch {
          stop();
        }
      };
      const tell = (change: { seq: number; subject: string }) =>
        send(`id: ${change.seq}\nevent: change\ndata: ${JSON.stringify(change)}\n\n`);
      const since = Number(lastEventId);
      send(
        `retry: 1000\nevent: hello\ndata: ${JSON.stringify({ now: app.clock.now(), head: app.store.record.head().seq })}\n\n`
      );
      if (lastEventId && Number.isInteger(since)) for (const change of app.store.record.since(since)) tell(change);
      const quiet = setInterval(() => send(': still here\n\n'), HEARTBEAT_MS);
      quiet.unref();
      const off = app.executor.onChange((changes) => changes.forEach(tell));
      const close = () => {
        stop();
        try {
          controller.close();
        } catch {
          // The reader left first.
        }
      };
      stop = () => {
        clearInterval(quiet);
        off();
        open.delete(close);
      };
      open.add(close);
    },
    cancel: () => stop()
  });
  return new Response(body, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' }
  });
}
