import { openSource, type LiveMessage } from './live.source.ts';

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
  return openSource(onMessage);
}
