import { spawnSync } from 'node:child_process';
import { mkdirSync, symlinkSync } from 'node:fs';
import { join } from 'node:path';

const root = join(import.meta.dirname, '..', '..');

/**
 * Packs entries of the house into files that run by themselves: a process that compiles the house each time would spend its short life
 * on that.
 *
 * @param entries paths from the root
 * @param folder where each stands afterwards by its name, ending in `.mjs`
 */
export function pack(entries: readonly string[], folder: string): void {
  mkdirSync(folder, { recursive: true });
  // Packages are looked for beside the files: they stay where they are.
  symlinkSync(join(root, 'node_modules'), join(folder, 'node_modules'));
  const vite = join(root, 'node_modules', 'vite', 'bin', 'vite.js');
  const config = join(root, 'tests', 'server', 'packed.vite.ts');
  const made = spawnSync(
    process.execPath,
    [vite, 'build', '--config', config, '--outDir', folder, '--emptyOutDir', 'false'],
    {
      cwd: root,
      env: { ...process.env, EMBER_TIDE_PACKED: entries.join(',') },
      encoding: 'utf8'
    }
  );
  if (made.status !== 0) throw new Error(made.stderr);
}
