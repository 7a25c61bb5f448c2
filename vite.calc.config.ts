import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';
import { coreVersion } from './scripts/lib/core-version.mjs';

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** The scripts of the server's threads, beside the built server: calculations, and papers. */
export default defineConfig({
  resolve: { alias: { $core: at('./src/core'), $lib: at('./src/lib') } },
  define: { __CORE_VERSION__: JSON.stringify(coreVersion()) },
  build: {
    ssr: true,
    outDir: 'build/threads',
    emptyOutDir: true,
    target: 'node20',
    rolldownOptions: {
      input: { calc: at('./src/lib/server/calc/worker.ts'), papers: at('./src/lib/server/papers/worker.ts') },
      output: { entryFileNames: '[name].js' }
    }
  }
});
