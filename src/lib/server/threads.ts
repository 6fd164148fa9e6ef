import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { Worker } from 'node:worker_threads';

const MEMORY_MB = 384;

/**
 * Starts a thread of the server: as it was bundled beside the built server, or as it stands in the sources.
 *
 * @param source its file in the sources
 * @param name of its bundle
 */
export function startThread(source: string, name: string, workerData: unknown): Worker {
  const resourceLimits = { maxOldGenerationSizeMb: MEMORY_MB };
  if (!existsSync(source)) {
    const folder = process.env.EMBER_TIDE_WORKERS ?? join(process.cwd(), 'build', 'workers');
    return new Worker(join(folder, `${name}.js`), { workerData, resourceLimits });
  }
  // A thread does not take the loader of its parent along: it is told of TypeScript first.
  const script = `import('tsx/esm/api').then(({ register }) => (register(), import(${JSON.stringify(pathToFileURL(source).href)})))`;
  return new Worker(script, { eval: true, workerData, resourceLimits });
}
