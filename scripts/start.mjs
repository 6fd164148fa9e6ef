/** Production: your own house, your own data, on loopback unless HOST says otherwise. */
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, root } from './bootstrap.mjs';

process.env.EMBER_TIDE_DATA ??= join(root, 'data', 'house');
process.env.EMBER_TIDE_MODE = 'production';
await ensureInstalled();
await ensureBuilt();
await import('./serve.mjs');
