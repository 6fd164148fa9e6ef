/** One command: installs, builds, makes a demo house where there is none, and serves it. `-- --fresh` makes it anew. */
import { spawn } from 'node:child_process';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled, root, say } from './bootstrap.mjs';

process.env.EMBER_TIDE_DATA ??= join(root, 'data', 'demo');
process.env.EMBER_TIDE_MODE = 'demo';
await ensureInstalled();
await ensureBuilt();
if (process.argv.includes('--fresh')) {
  say(`making the demo house anew in ${process.env.EMBER_TIDE_DATA}`);
  for (const ending of ['', '-wal', '-shm', '-head'])
    rmSync(join(process.env.EMBER_TIDE_DATA, `ember-tide.db${ending}`), { force: true });
  rmSync(process.env.EMBER_TIDE_SEAL ?? `${process.env.EMBER_TIDE_DATA}.seal`, { force: true });
}
// The simulated devices run beside it; where they cannot, or run already, the demo goes on without.
const devices = spawn(process.execPath, ['--import', 'tsx', 'devices/index.ts'], {
  cwd: root,
  stdio: ['ignore', 'inherit', 'inherit', 'ipc']
});
devices.on('error', () => say('the simulated devices could not be started'));
process.once('exit', () => devices.kill());
await import('./serve.mjs');
