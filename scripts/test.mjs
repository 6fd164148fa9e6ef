/**
 * Everything a change must pass: format, lint, types, layers, unit tests, browser tests. Closes with a count taken from
 * the runners' own reports; no test at all, or a skipped one, is a failure.
 */
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt, ensureChromium, ensureInstalled, root, run, say } from './bootstrap.mjs';

await ensureInstalled();
const chromium = await ensureChromium();
const started = performance.now();
const seconds = () => Math.round((performance.now() - started) / 1000);
const troubles = [];

async function check(name, ...command) {
  say(`${name} (${seconds()} s)`);
  if ((await run(command[0], command.slice(1))) !== 0) troubles.push(name);
}
await check('format', 'npx', 'prettier', '--check', '--log-level', 'warn', '.');
await check('types: sync', 'npx', 'svelte-kit', 'sync');
await check('lint', 'npx', 'eslint', '.', '--max-warnings', '0');
await check(
  'types: app',
  'npx',
  'svelte-check',
  '--tsconfig',
  './tsconfig.json',
  '--output',
  'human',
  '--fail-on-warnings'
);
await check('types: tests', 'npx', 'tsc', '-p', 'tests/tsconfig.json');
await check(
  'layers',
  'npx',
  'depcruise',
  '--config',
  '.dependency-cruiser.cjs',
  '--output-type',
  'err',
  'src',
  'devices'
);
await ensureBuilt();

const reports = join(root, 'node_modules', '.cache', 'ember-tide', 'reports');
mkdirSync(reports, { recursive: true });
let passed = 0;
let failed = 0;

async function suite(name) {
  say(`${name} tests (${seconds()} s)`);
  const report = join(reports, `${name}.json`);
  rmSync(report, { force: true });
  const code = await run(
    process.execPath,
    ['node_modules/mocha/bin/mocha.js', '--config', `.mocharc.${name}.json`, '--reporter', 'tests/reporter.cjs'],
    { env: { ...process.env, CHROMIUM_PATH: chromium, EMBER_TIDE_REPORT: report } }
  );
  if (!existsSync(report)) {
    troubles.push(`${name}: no report`);
    failed += 1;
    return;
  }
  const stats = JSON.parse(readFileSync(report, 'utf8'));
  passed += stats.passes;
  failed += stats.failures;
  if (stats.tests === 0) troubles.push(`${name}: no test was run`);
  if (stats.pending > 0) troubles.push(`${name}: ${stats.pending} skipped`);
  if (code !== 0 && stats.failures === 0) troubles.push(`${name}: the runner failed`);
}
await suite('unit');
await suite('browser');

for (const trouble of troubles) say(`FAILED: ${trouble}`);
// A check that is no test still counts against the change.
failed += troubles.length;
say(`done in ${seconds()} s`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);
