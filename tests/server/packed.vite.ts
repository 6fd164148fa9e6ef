import { basename } from 'node:path';
import { defineConfig } from 'vite';
import { rulesDigest } from '../../src/lib/server/store/rules-digest.ts';

/** What is packed, by the paths of its entries; each becomes a file of its own name. */
const entries = (process.env.EMBER_TIDE_PACKED ?? '').split(',');

export default defineConfig({
  publicDir: false,
  logLevel: 'error',
  define: { EMBER_TIDE_RULES_DIGEST: JSON.stringify(rulesDigest()) },
  build: {
    ssr: true,
    rollupOptions: {
      input: Object.fromEntries(entries.map((entry) => [basename(entry, '.ts'), entry])),
      output: { entryFileNames: '[name].mjs', chunkFileNames: '[name].mjs' }
    }
  }
});
