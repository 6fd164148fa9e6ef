import { EmberError } from '../core/errors.ts';
import { problem } from './api.ts';
import type { App } from './app.ts';

const open = new Set<() => void>();
/** Streams that are open, by who has them. */
const held = new Map<string, number>();
/** A tablet's pages share one stream; a program has no need of more than a few. */
export const MOST_FOR_ONE = 8;
/** A page that hears nothing for a few of these has lost the house, whatever its line says. */
export const HEARTBEAT_MS = 3000;
/** More changes missed than this are not told one by one: whoever was away reads anew. */
export const MOST_MISSED = 500;

/** Ends every open stream: at shutdown, so that nothing waits for them. */
export function closeStreams(): void {
  for (const close of [...open]) close();
}

type Send = (event: string, data: unknown, id?: number) => void;

/**
 * A stream of server-sent events, ended at shutdown, with a beat in it while nothing happens.
 *
 * @param who whose it is: one has a few at a time, and is refused more (429)
 * @param follow begins to send and hands back the way to stop
 */
export function eventStream(who: string, follow: (send: Send) => () => void, retryMs = 1000): Response {
  const own = held.get(who) ?? 0;
  if (own >= MOST_FOR_ONE) return problem(429, new EmberError('request.too-many-streams', { max: MOST_FOR_ONE }));
  held.set(who, own + 1);
  const giveBack = () => {
    const left = held.get(who)! - 1;
    if (left > 0) held.set(who, left);
    else held.delete(who);
  };
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
      const quiet = setInterval(() => write('event: beat\ndata: {}\n\n'), HEARTBEAT_MS);
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
        if (!open.delete(close)) return;
        clearInterval(quiet);
        off();
        giveBack();
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
 * had and is told what it missed; one that was away for more than 500 changes is told to read anew.
 */
export function changeStream(app: App, who: string, lastEventId: string | null): Response {
  return eventStream(who, (send) => {
    const tell = (change: { seq: number; subject: string }) => send('change', change, change.seq);
    const since = Number(lastEventId);
    const head = app.store.record.head().seq;
    send('hello', { now: app.clock.now(), head });
    if (lastEventId && Number.isInteger(since)) {
      if (since > head || head - since > MOST_MISSED) send('reload', { head }, head);
      else for (const change of app.store.record.since(since)) tell(change);
    }
    return app.executor.onChange((changes) => changes.forEach(tell));
  });
}
