import { parentPort } from 'node:worker_threads';
import { printed, type PrintOrder } from './print.ts';
import { printedRuler, type RulerOrder } from './ruler.ts';
import { standBack } from '../stand-back.ts';

standBack();

/** The thread that prints labels: one order after another, each answered with its PDF or with what went wrong. */
parentPort!.on('message', ({ id, order }: { id: number; order: PrintOrder | RulerOrder }) => {
  const made = 'kind' in order ? printedRuler(order) : printed(order);
  made.then(
    (pdf) => parentPort!.postMessage({ id, pdf: new Uint8Array(pdf) }),
    (error: Error) => parentPort!.postMessage({ id, trouble: error.message })
  );
});
