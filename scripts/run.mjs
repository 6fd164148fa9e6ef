/** Runs a TypeScript tool of the house, installing first where need be. */
import { ensureInstalled, run } from './bootstrap.mjs';

await ensureInstalled();
process.exit(await run(process.execPath, ['--import', 'tsx', ...process.argv.slice(2)]));
