import { join } from 'node:path';
import type { Worker } from 'node:worker_threads';
import { startThread } from '../threads.ts';
import type { PrintOrder } from './print.ts';
import type { RulerOrder } from './ruler.ts';

interface Waiting {
  readonly done: (pdf: Buffer) => void;
  readonly failed: (error: Error) => void;
}
let thread: Worker | null = null;
let orders = 0;
const waiting = new Map<number, Waiting>();

function started(): Worker {
  if (thread) return thread;
  const fresh = startThread(join(import.meta.dirname, 'worker.ts'), 'labels', undefined);
  fresh.on('message', ({ id, pdf, trouble }: { id: number; pdf?: Uint8Array; trouble?: string }) => {
    const order = waiting.get(id);
    waiting.delete(id);
    if (pdf) order?.done(Buffer.from(pdf));
    else order?.failed(new Error(trouble));
    // It keeps nobody waiting at the end.
    if (waiting.size === 0) fresh.unref();
  });
  const lost = (error: Error) => {
    if (thread === fresh) thread = null;
    for (const each of waiting.values()) each.failed(error);
    waiting.clear();
  };
  fresh.on('error', lost);
  fresh.on('exit', () => lost(new Error('the labels’ thread ended')));
  thread = fresh;
  return fresh;
}

/** Has labels, or a ruler, printed in a thread of its own: whoever asks for something else meanwhile is answered. */
export function inThread(order: PrintOrder | RulerOrder): Promise<Buffer> {
  return new Promise((done, failed) => {
    const id = ++orders;
    const own = started();
    own.ref();
    waiting.set(id, { done, failed });
    own.postMessage({ id, order });
  });
}
