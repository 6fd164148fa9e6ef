/** Starts `npm run demo` on a free port, asks it for Now, and stops it. Ends with 0 where all of that went well. */
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root, say } from './bootstrap.mjs';

const PATIENCE_MS = 10 * 60_000;
const data = mkdtempSync(join(tmpdir(), 'ember-tide-demo-'));
const demo = spawn('npm', ['run', 'demo'], {
  cwd: root,
  env: { ...process.env, PORT: '0', EMBER_TIDE_DATA: data, SHUTDOWN_TIMEOUT: '1' },
  stdio: ['ignore', 'pipe', 'inherit'],
  detached: true
});
const gone = new Promise((resolve) => demo.once('exit', resolve));
let failure = '';
try {
  const url = await new Promise((resolve, reject) => {
    let text = '';
    const timer = setTimeout(() => reject(new Error('it did not start in time')), PATIENCE_MS);
    demo.stdout.on('data', (chunk) => {
      text += chunk;
      const found = /http:\/\/[\w.]+:\d+\//.exec(text);
      if (!found) return;
      clearTimeout(timer);
      resolve(found[0]);
    });
    gone.then(() => reject(new Error('it ended before it was asked')));
  });
  const answer = await fetch(url);
  const page = await answer.text();
  if (answer.status !== 200) failure = `Now answered ${answer.status}`;
  // By its name and its fish, whatever words stand round them.
  else if (!page.includes('The Ebb Counter') || !page.includes('href="/piece/')) failure = 'Now is not the demo house';
} catch (error) {
  failure = error.message;
}
// The whole group, npm's own process and the server in it: by its id, and nothing else.
if (demo.exitCode === null) process.kill(-demo.pid, 'SIGTERM');
const ended = await Promise.race([
  gone.then(() => true),
  new Promise((resolve) => setTimeout(() => resolve(false), 15_000))
]);
if (!ended) {
  failure ||= 'it did not stop when asked';
  process.kill(-demo.pid, 'SIGKILL');
}
rmSync(data, { recursive: true, force: true });
say(failure ? `demo: FAILED, ${failure}` : 'demo: started, answered with Now, stopped');
process.exit(failure ? 1 : 0);
