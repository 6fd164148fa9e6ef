/**
 * Everything a change must pass: format, lint, types, layers, unit tests, browser tests. Closes with a count taken from
 * the runners' own reports; no test at all, or a skipped one, is a failure.
 *
 * On a bare machine one core compiles the database while the other checks what needs no compiling. Then three lanes take what
 * is left from one line, the longest first: whichever is free takes the next, so that none waits long for the others at the
 * end, however fast the machine. A lane of the browser waits for a page a fifth of its time; a third one uses that. Output is kept and printed whole as each step ends, so that a failure can be read in
 * one piece.
 */
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt, ensureChromium, ensureCompiled, ensurePackages, root, say } from './bootstrap.mjs';

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

async function check(name, ...command) {
  const from = seconds();
  const code = await runKept(command[0], command.slice(1));
  say(`${name}: ${seconds() - from} s`);
  if (code !== 0) troubles.push(name);
}

const reports = join(root, 'node_modules', '.cache', 'ember-tide', 'reports');
/** The demo house the browser tests copy: made by the first that asks for it. */
const seed = mkdtempSync(join(tmpdir(), 'ember-tide-seed-'));
let chromium;
let passed = 0;
let failed = 0;
const slowest = [];
/** What failed, told once more at the very end: who reads only the last lines of a long run sees it too. */
const broken = [];

/** Runs a suite, or of it the files named. */
async function suite(name, config, files = []) {
  const from = seconds();
  say(`${name} tests: begun at ${from} s`);
  const report = join(reports, `${name}.json`);
  rmSync(report, { force: true });
  const { spec, ...options } = JSON.parse(readFileSync(join(root, `.mocharc.${config}.json`), 'utf8'));
  const flags = [`--import=${options.import}`, '--extension', ...options.extension, `--timeout=${options.timeout}`];
  const code = await runKept(
    process.execPath,
    [
      ...['node_modules/mocha/bin/mocha.js', '--no-config', ...flags, '--forbid-only', '--forbid-pending'],
      ...['--reporter', 'tests/reporter.cjs', ...(files.length > 0 ? files : spec)]
    ],
    { env: { ...process.env, CHROMIUM_PATH: chromium, EMBER_TIDE_REPORT: report, EMBER_TIDE_SEED: seed } }
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
  broken.push(...stats.broken);
  if (stats.tests === 0) troubles.push(`${name}: no test was run`);
  if (stats.pending > 0) troubles.push(`${name}: ${stats.pending} skipped`);
  if (code !== 0 && stats.failures === 0) troubles.push(`${name}: the runner failed`);
}

/** The browser tests in parts of about the same length, as far as lines tell: files go, the longest first, where least is. */
function browserParts(count) {
  const folder = join('tests', 'browser');
  const parts = Array.from({ length: count }, () => ({ lines: 0, files: [] }));
  const files = readdirSync(join(root, folder))
    .filter((file) => file.endsWith('.test.ts'))
    .map((file) => ({
      file: join(folder, file),
      lines: readFileSync(join(root, folder, file), 'utf8').split('\n').length
    }))
    .sort((a, b) => b.lines - a.lines || a.file.localeCompare(b.file));
  for (const { file, lines } of files) {
    const least = parts.reduce((found, part) => (part.lines < found.lines ? part : found));
    least.files.push(file);
    least.lines += lines;
  }
  return parts.map(({ files }) => files);
}

const npx = (name, ...command) => check(name, 'npx', ...command);
/** What the answers' table is checked by stands among the unit tests. */
async function reads() {
  await npx('format', 'prettier', '--check', '--log-level', 'warn', '.');
  await npx('lint', 'eslint', '.', '--max-warnings', '0');
  await npx(
    'types',
    'svelte-check',
    '--tsgo',
    '--tsconfig',
    './tsconfig.json',
    '--output',
    'human',
    '--fail-on-warnings'
  );
  await npx('layers', 'depcruise', '--config', '.dependency-cruiser.cjs', '--output-type', 'err', 'src', 'devices');
}
async function makes() {
  chromium = await ensureChromium();
  await isCompiled;
  await ensureBuilt();
}

await ensurePackages();
mkdirSync(reports, { recursive: true });
// Once, before types are checked and the app is built side by side: both read what it writes.
await npx('types: sync', 'svelte-kit', 'sync');
const isCompiled = ensureCompiled();
const isMade = makes();
const PARTS = 6;
const waiting = [
  // These run on the source alone, and need not wait for the built app.
  () => suite('unit', 'unit'),
  ...browserParts(PARTS).map((files, part) => async () => {
    await isMade;
    await suite(`browser ${part + 1} of ${PARTS}`, 'browser', files);
  })
];
async function lane(first) {
  await first;
  for (let next = waiting.shift(); next; next = waiting.shift()) await next();
}
const isRead = reads();
await Promise.all([lane(isMade), lane(isRead), lane(Promise.all([isMade, isRead]))]);
rmSync(seed, { recursive: true, force: true });

say('the slowest tests:');
for (const { title, ms } of slowest.sort((a, b) => b.ms - a.ms).slice(0, 10)) {
  say(`${(ms / 1000).toFixed(1).padStart(6)} s  ${title}`);
}
for (const { title, why } of broken) say(`FAILED: ${title}\n${why.split('\n').slice(0, 12).join('\n')}`);
for (const trouble of troubles) say(`FAILED: ${trouble}`);
// A check that is no test still counts against the change.
failed += troubles.length;
say(`done in ${seconds()} s`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);
