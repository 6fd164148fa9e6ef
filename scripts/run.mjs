/**
 * Runs a TypeScript tool of the house, installing first where need be. `--plain` only blanks the types out, so that what is
 * measured is the code as written, without what a loader adds to it.
 */
import { ensureInstalled, run } from './bootstrap.mjs';

await ensureInstalled();
const [first, ...rest] = process.argv.slice(2);
const plain = first === '--plain';
process.exit(
  await run(process.execPath, [
    '--import',
    plain ? 'ts-blank-space/register' : 'tsx',
    ...(plain ? rest : [first, ...rest])
  ])
);
