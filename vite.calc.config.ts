import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

/** The script of the server's calculation threads, beside the built server. */
export default defineConfig({
  resolve: { alias: { $core: fileURLToPath(new URL('./src/core', import.meta.url)) } },
  ssr: { noExternal: true },
  build: {
    ssr: 'src/lib/server/calc/worker.ts',
    outDir: 'build/calc',
    emptyOutDir: true,
    target: 'node20',
    rolldownOptions: { output: { entryFileNames: 'worker.js' } }
  }
});
