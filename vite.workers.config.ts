import { defineConfig } from 'vite';

/** Threads of the server, bundled beside the built app: it starts them by their file. */
export default defineConfig({
  publicDir: false,
  build: {
    ssr: true,
    outDir: 'build/workers',
    emptyOutDir: true,
    rollupOptions: {
      input: { import: 'src/lib/server/import/worker.ts', labels: 'src/lib/server/labels/worker.ts' },
      output: { entryFileNames: '[name].js' }
    }
  },
  ssr: { noExternal: true }
});
