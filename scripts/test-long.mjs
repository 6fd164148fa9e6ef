/** Every law with all of its tries: the files that ask `tests/runs.ts` how often. Arguments go on to the runner. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureInstalled, root, run } from './bootstrap.mjs';

await ensureInstalled();
const files = readdirSync(join(root, 'tests'), { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.test.ts'))
  .map((file) => join('tests', file))
  .filter((file) => readFileSync(join(root, file), 'utf8').includes('runs.ts'));
process.exit(
  await run(
    process.execPath,
    [
      'node_modules/mocha/bin/mocha.js',
      '--no-config',
      '--import=tsx',
      '--timeout',
      '600000',
      '--reporter',
      'dot',
      ...process.argv.slice(2),
      ...files
    ],
    { env: { EMBER_TIDE_LONG: '1', ...process.env } }
  )
);
