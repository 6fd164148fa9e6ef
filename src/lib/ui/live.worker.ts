/// <reference lib="webworker" />
import { openSource } from './live.source.ts';

/** One stream a browser, shared by its tabs. */
interface SharedScope {
  onconnect: ((event: MessageEvent) => void) | null;
}
const ports = new Set<MessagePort>();
let isOpen = false;
let last: unknown = null;

function tell(message: unknown) {
  last = message;
  for (const port of ports) port.postMessage(message);
}

function listen() {
  if (isOpen) return;
  isOpen = true;
  openSource(tell);
}

(self as unknown as SharedScope).onconnect = (event) => {
  const port = event.ports[0]!;
  ports.add(port);
  port.onmessage = ({ data }) => {
    if (data === 'leave') ports.delete(port);
  };
  listen();
  if (last) port.postMessage(last);
};
