import { sveltekit } from '@sveltejs/kit/vite';
import tailwindcss from '@tailwindcss/vite';
import { join } from 'node:path';
import { defineConfig } from 'vite';
import { digestOf } from './src/lib/server/store/rules-digest.ts';

export default defineConfig({
  plugins: [tailwindcss(), sveltekit()],
  worker: { format: 'es' },
  // The kit's library makes the looks of all its parts in one file; a look nobody uses is left out.
  build: { rolldownOptions: { treeshake: { manualPureFunctions: ['tv'] } } },
  define: { EMBER_TIDE_RULES_DIGEST: JSON.stringify(digestOf(join(import.meta.dirname, 'src/lib'))) }
});
