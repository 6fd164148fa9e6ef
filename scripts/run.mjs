/**
 * Runs a TypeScript tool of the house, installing first where need be. `--plain` only blanks the types out, so that what is
 * measured is the code as written, without what a loader adds to it; `--built` is for what starts the built server.
 */
import { ensureBuilt, ensureInstalled, run } from './bootstrap.mjs';

await ensureInstalled();
const asked = process.argv.slice(2);
const needsBuild = asked[0] === '--built';
const [first, ...rest] = needsBuild ? asked.slice(1) : asked;
if (needsBuild) await ensureBuilt();
const plain = first === '--plain';
process.exit(
  await run(process.execPath, [
    '--import',
    plain ? 'ts-blank-space/register' : 'tsx',
    ...(plain ? rest : [first, ...rest])
  ])
);
