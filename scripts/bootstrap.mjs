/** First steps on a bare machine: built-in modules only. Each step does nothing where it is not needed. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const cache = join(root, 'node_modules', '.cache', 'ember-tide');

export const say = (text) => console.log(`ember-tide: ${text}`);

/** Ends with a message a person can act on. */
export function stop(text) {
  console.error(`ember-tide: ${text}`);
  process.exit(1);
}

/** Runs a command with its output shown; resolves to its exit code. */
export function run(command, args, options = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, stdio: 'inherit', ...options });
    child.on('error', () => resolve(127));
    child.on('exit', (code, signal) => resolve(signal ? 1 : (code ?? 1)));
  });
}

const digest = (text) => createHash('sha256').update(text).digest('hex');
const noted = (name) => (existsSync(join(cache, name)) ? readFileSync(join(cache, name), 'utf8') : '');
function note(name, value) {
  mkdirSync(cache, { recursive: true });
  writeFileSync(join(cache, name), value);
}

/** node-gyp builds against the headers that came with this Node, where they are: nothing is fetched. */
function buildEnvironment() {
  const prefix = dirname(dirname(process.execPath));
  const here = existsSync(join(prefix, 'include', 'node', 'node.h'));
  // As SQLite's own makefile builds it: a quarter less to compile, and no slower to use.
  const env = { CFLAGS: '-O2', CXXFLAGS: '-O2', ...process.env };
  return here && !process.env.npm_config_nodedir ? { ...env, npm_config_nodedir: prefix } : env;
}

/** Says every half minute that something slow goes on. */
async function beating(what, slow) {
  const started = performance.now();
  const beat = setInterval(() => say(`still ${what} (${Math.round((performance.now() - started) / 1000)} s)`), 30_000);
  const code = await slow;
  clearInterval(beat);
  return code;
}

const lockDigest = () => digest(readFileSync(join(root, 'package-lock.json')));
const hasPackages = () => existsSync(join(root, 'node_modules')) && noted('lock') === lockDigest();

/** The packages as they come, nothing compiled yet: enough for what only reads our code. */
export async function ensurePackages() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major !== 20 || minor < 19) stop(`Node 20.19 or a later 20 is needed; this is ${process.versions.node}.`);
  if (hasPackages()) return;
  say('installing packages.');
  const code = await beating('installing', run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund']));
  if (code !== 0) stop('npm ci failed; its last lines above say why.');
  note('lock', lockDigest());
}

/** What is compiled on this machine: better-sqlite3, which takes one core for minutes. */
export async function ensureCompiled() {
  if (noted('compiled') === lockDigest()) return;
  say('compiling better-sqlite3: allow three minutes.');
  const code = await beating('compiling', run('npm', ['rebuild'], { env: buildEnvironment() }));
  if (code !== 0) stop('better-sqlite3 did not compile; see above. It takes Python 3, make and g++.');
  note('compiled', lockDigest());
}

export async function ensureInstalled() {
  await ensurePackages();
  await ensureCompiled();
}

function sourceFiles(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    return entry.isDirectory() ? sourceFiles(path) : [path];
  });
}

/** Builds once for a given source; every later call finds it done. */
export async function ensureBuilt() {
  const files = [
    ...sourceFiles(join(root, 'src')),
    ...sourceFiles(join(root, 'static')),
    ...['package-lock.json', 'svelte.config.js', 'vite.config.ts', 'vite.workers.config.ts'].map((name) =>
      join(root, name)
    )
  ];
  const stamp = digest(
    files
      .sort()
      .map((file) => `${file}:${digest(readFileSync(file))}`)
      .join('\n')
  );
  if (existsSync(join(root, 'build', 'handler.js')) && noted('build') === stamp) return;
  say('building (about half a minute).');
  for (const more of [[], ['--config', 'vite.workers.config.ts']]) {
    const code = await run('npx', ['vite', 'build', '--logLevel', 'warn', ...more]);
    if (code !== 0) stop('the build failed; see above.');
  }
  note('build', stamp);
}

const runs = (path) => spawnSync(path, ['--version'], { stdio: 'ignore' }).status === 0;

/** A Chromium to test with: CHROMIUM_PATH, else Debian's, else Debian's installed now where that is allowed. */
export async function ensureChromium() {
  const wanted = process.env.CHROMIUM_PATH ?? '/usr/bin/chromium';
  if (existsSync(wanted) && statSync(wanted).isFile() && runs(wanted)) return wanted;
  if (process.env.CHROMIUM_PATH) stop(`CHROMIUM_PATH is ${wanted}, and nothing runs there.`);
  const apt = spawnSync('apt-get', ['--version'], { stdio: 'ignore' }).status === 0;
  if (!apt || process.getuid?.() !== 0) {
    stop(
      'the browser tests need Chromium. Install it (Debian: apt-get install chromium), or set CHROMIUM_PATH to one.'
    );
  }
  say('installing Chromium from Debian.');
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  if ((await run('apt-get', ['update', '-qq'], { env })) !== 0) say('apt-get update complained; trying all the same.');
  const code = await run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], {
    env,
    stdio: ['ignore', 'ignore', 'inherit']
  });
  if (code !== 0 || !runs(wanted)) stop('Chromium could not be installed. Install it by hand, or set CHROMIUM_PATH.');
  return wanted;
}
