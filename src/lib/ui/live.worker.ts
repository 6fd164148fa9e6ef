/// <reference lib="webworker" />
/** One stream a browser, shared by its tabs. */
interface SharedScope {
  onconnect: ((event: MessageEvent) => void) | null;
}
const ports = new Set<MessagePort>();
let source: EventSource | null = null;
let last: unknown = null;

function tell(message: unknown) {
  last = message;
  for (const port of ports) port.postMessage(message);
}

function listen() {
  if (source) return;
  source = new EventSource('/api/v1/stream');
  source.addEventListener('change', (event) => tell({ kind: 'change', data: JSON.parse(event.data) }));
  source.addEventListener('hello', (event) => tell({ kind: 'hello', data: JSON.parse(event.data) }));
  source.addEventListener('error', () => tell({ kind: 'lost' }));
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
