import { defineConfig } from 'vite';
import { rulesDigest } from '../../src/lib/server/store/rules-digest.ts';

export default defineConfig({
  publicDir: false,
  logLevel: 'error',
  define: { EMBER_TIDE_RULES_DIGEST: JSON.stringify(rulesDigest()) },
  build: { ssr: 'tests/server/kill-writer.ts', rollupOptions: { output: { entryFileNames: 'writer.mjs' } } }
});
