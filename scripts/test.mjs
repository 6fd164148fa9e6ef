/**
 * Everything a change must pass: format, lint, types, layers, unit tests, browser tests. Closes with a count taken from
 * the runners' own reports; no test at all, or a skipped one, is a failure.
 *
 * Two lanes run side by side: the browser tests, which take longest; and the checks that run no code of ours, with the
 * unit tests after them and then the rest of the browser tests. The second lane's output is kept and printed whole as
 * each of its steps ends, so that a failure can be read in one piece.
 */
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt, ensureChromium, ensureInstalled, root, run, say } from './bootstrap.mjs';

await ensureInstalled();
const chromium = await ensureChromium();
const started = performance.now();
const seconds = () => Math.round((performance.now() - started) / 1000);
const troubles = [];

/** Runs a command and prints what it said once it has ended. */
function runKept(command, args, options = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'], ...options });
    const kept = [];
    child.stdout.on('data', (chunk) => kept.push(chunk));
    child.stderr.on('data', (chunk) => kept.push(chunk));
    const end = (code) => {
      process.stdout.write(Buffer.concat(kept));
      resolve(code);
    };
    child.on('error', () => end(127));
    child.on('close', (code, signal) => end(signal ? 1 : (code ?? 1)));
  });
}

async function check(runner, name, ...command) {
  const from = seconds();
  const code = await runner(command[0], command.slice(1));
  say(`${name}: ${seconds() - from} s`);
  if (code !== 0) troubles.push(name);
}

const reports = join(root, 'node_modules', '.cache', 'ember-tide', 'reports');
mkdirSync(reports, { recursive: true });
let passed = 0;
let failed = 0;
const slowest = [];

async function suite(runner, name, files = () => true) {
  const from = seconds();
  const report = join(reports, `${name}.json`);
  const [config] = name.split(' ');
  const left = readdirSync(join(root, 'tests', 'browser'))
    .filter((file) => file.endsWith('.test.ts') && !files(file))
    .flatMap((file) => ['--ignore', `tests/browser/${file}`]);
  rmSync(report, { force: true });
  const code = await runner(
    process.execPath,
    [
      'node_modules/mocha/bin/mocha.js',
      '--config',
      `.mocharc.${config}.json`,
      '--reporter',
      'tests/reporter.cjs',
      ...left
    ],
    { env: { ...process.env, CHROMIUM_PATH: chromium, EMBER_TIDE_REPORT: report } }
  );
  say(`${name} tests: ${seconds() - from} s`);
  if (!existsSync(report)) {
    troubles.push(`${name}: no report`);
    return;
  }
  const stats = JSON.parse(readFileSync(report, 'utf8'));
  passed += stats.passes;
  failed += stats.failures;
  slowest.push(...stats.slowest);
  if (stats.tests === 0) troubles.push(`${name}: no test was run`);
  if (stats.pending > 0) troubles.push(`${name}: ${stats.pending} skipped`);
  if (code !== 0 && stats.failures === 0) troubles.push(`${name}: the runner failed`);
}

async function checks() {
  await check(runKept, 'format', 'npx', 'prettier', '--check', '--log-level', 'warn', '.');
  await check(runKept, 'lint', 'npx', 'eslint', '.', '--max-warnings', '0');
  const types = ['--tsconfig', './tsconfig.json', '--output', 'human', '--fail-on-warnings'];
  await check(runKept, 'types', 'npx', 'svelte-check', ...types);
  const layers = ['--config', '.dependency-cruiser.cjs', '--output-type', 'err', 'src', 'devices'];
  await check(runKept, 'answers', process.execPath, '--import=tsx', 'scripts/answers.ts', '--check');
  await check(runKept, 'layers', 'npx', 'depcruise', ...layers);
}

await check(run, 'types: sync', 'npx', 'svelte-kit', 'sync');
await ensureBuilt();
/** Browser tests that wait for the second lane: as many as take the first as long as checks and unit tests take the second. */
const later = new Set(['manners', 'words', 'standing', 'ledger-before', 'rice', 'now', 'many']);
const isLater = (file) => later.has(file.replace('.test.ts', ''));
async function secondLane() {
  await checks();
  await suite(runKept, 'unit');
  await suite(runKept, 'browser (later)', isLater);
}
await Promise.all([suite(run, 'browser', (file) => !isLater(file)), secondLane()]);

say('the slowest tests:');
for (const { title, ms } of slowest.sort((a, b) => b.ms - a.ms).slice(0, 10)) {
  say(`${(ms / 1000).toFixed(1).padStart(6)} s  ${title}`);
}
for (const trouble of troubles) say(`FAILED: ${trouble}`);
// A check that is no test still counts against the change.
failed += troubles.length;
say(`done in ${seconds()} s`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);
