/** The development server, on the demo house. */
import { join } from 'node:path';
import { ensureInstalled, root, run } from './bootstrap.mjs';

await ensureInstalled();
const env = { EMBER_TIDE_DATA: join(root, 'data', 'dev'), EMBER_TIDE_MODE: 'demo', ...process.env };
process.exit(await run('npx', ['vite', 'dev', '--host', '127.0.0.1', ...process.argv.slice(2)], { env }));
