import type { App } from './app.ts';

const open = new Set<() => void>();
/** Comment lines keep proxies from closing a quiet stream. */
const HEARTBEAT_MS = 20_000;

/** Ends every open stream: at shutdown, so that nothing waits for them. */
export function closeStreams(): void {
  for (const close of [...open]) close();
}

type Send = (event: string, data: unknown, id?: number) => void;

/** A stream of server-sent events, ended at shutdown. `follow` begins to send and hands back the way to stop. */
export function eventStream(follow: (send: Send) => () => void, retryMs = 1000): Response {
  const encoder = new TextEncoder();
  let stop = () => {};
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const write = (text: string) => {
        try {
          controller.enqueue(encoder.encode(text));
        } catch {
          stop();
        }
      };
      write(`retry: ${retryMs}\n`);
      const quiet = setInterval(() => write(': still here\n\n'), HEARTBEAT_MS);
      quiet.unref();
      const off = follow((event, data, id) =>
        write(`${id === undefined ? '' : `id: ${id}\n`}event: ${event}\ndata: ${JSON.stringify(data)}\n\n`)
      );
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

/**
 * One message a change, after its commit, with the sequence number as its id. A reader that comes back says the last one it
 * had and is told what it missed.
 */
export function changeStream(app: App, lastEventId: string | null): Response {
  return eventStream((send) => {
    const tell = (change: { seq: number; subject: string }) => send('change', change, change.seq);
    const since = Number(lastEventId);
    send('hello', { now: app.clock.now(), head: app.store.record.head().seq });
    if (lastEventId && Number.isInteger(since)) for (const change of app.store.record.since(since)) tell(change);
    return app.executor.onChange((changes) => changes.forEach(tell));
  });
}
