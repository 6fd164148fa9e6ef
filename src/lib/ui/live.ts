export type LiveMessage =
  | { kind: 'change'; data: { seq: number; subject: string } }
  | { kind: 'hello'; data: { now: number; head: number } }
  | { kind: 'lost' };

/** Follows the house's changes, through the tab-shared stream where the browser has shared workers. */
export function followChanges(onMessage: (message: LiveMessage) => void): () => void {
  if (typeof SharedWorker !== 'undefined') {
    const worker = new SharedWorker(new URL('./live.worker.ts', import.meta.url), {
      type: 'module',
      name: 'ember-tide-live'
    });
    worker.port.onmessage = ({ data }) => onMessage(data as LiveMessage);
    const leave = () => worker.port.postMessage('leave');
    addEventListener('pagehide', leave);
    return () => {
      removeEventListener('pagehide', leave);
      leave();
      worker.port.close();
    };
  }
  const source = new EventSource('/api/v1/stream');
  source.addEventListener('change', (event) => onMessage({ kind: 'change', data: JSON.parse(event.data) }));
  source.addEventListener('hello', (event) => onMessage({ kind: 'hello', data: JSON.parse(event.data) }));
  source.addEventListener('error', () => onMessage({ kind: 'lost' }));
  return () => source.close();
}
