import { defineConfig } from 'vite';

/** Threads of the server, bundled beside the built app: it starts them by their file. */
export default defineConfig({
  publicDir: false,
  build: {
    ssr: 'src/lib/server/import/worker.ts',
    outDir: 'build/workers',
    emptyOutDir: true,
    rollupOptions: { output: { entryFileNames: 'import.js' } }
  },
  ssr: { noExternal: true }
});
