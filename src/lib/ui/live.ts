import { openSource, SILENCE_MS, type LiveMessage } from './live.source.ts';

/** Follows the house's changes, through the tab-shared stream where the browser has shared workers. */
export function followChanges(onMessage: (message: LiveMessage) => void): () => void {
  if (typeof SharedWorker !== 'undefined') {
    const worker = new SharedWorker(new URL('./live.worker.ts', import.meta.url), {
      type: 'module',
      name: 'ember-tide-live'
    });
    // A thread that the house never sent says nothing at all, not even that the house is lost.
    const silence = setTimeout(() => onMessage({ kind: 'lost' }), SILENCE_MS);
    worker.port.onmessage = ({ data }) => {
      clearTimeout(silence);
      onMessage(data as LiveMessage);
    };
    const leave = () => worker.port.postMessage('leave');
    addEventListener('pagehide', leave);
    return () => {
      clearTimeout(silence);
      removeEventListener('pagehide', leave);
      leave();
      worker.port.close();
    };
  }
  return openSource(onMessage);
}
