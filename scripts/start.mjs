/** Production: your own house, your own data, on loopback unless HOST says otherwise. */
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, root } from './bootstrap.mjs';

// The house's own folder is made where there is none; one that somebody names has to be there, or is mistyped.
const own = join(root, 'data', 'house');
if (!process.env.EMBER_TIDE_DATA) mkdirSync(own, { recursive: true, mode: 0o700 });
process.env.EMBER_TIDE_DATA ??= own;
process.env.EMBER_TIDE_MODE = 'production';
await ensureInstalled();
await ensureBuilt();
await import('./serve.mjs');
