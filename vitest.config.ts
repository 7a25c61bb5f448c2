import { fileURLToPath } from 'node:url';
import { svelte } from '@sveltejs/vite-plugin-svelte';
import { defineConfig } from 'vitest/config';

const at = (path: string) => fileURLToPath(new URL(path, import.meta.url));
// no SvelteKit plugin: the core and the server's own modules are plain TypeScript, and start three times as fast
const resolve = { alias: { $core: at('./src/core'), $lib: at('./src/lib') } };

export default defineConfig({
  test: {
    projects: [
      {
        resolve,
        test: {
          name: 'core',
          include: ['tests/core/**/*.test.ts', 'tests/lib/**/*.test.ts'],
          testTimeout: 60_000,
          // the core keeps nothing between two questions: its files share one reading of it, which halves the time
          isolate: false
        }
      },
      {
        // the state behind screens, and surfaces in a page without pixels; what they look like belongs to the browser tests
        plugins: [svelte({ configFile: false })],
        resolve: {
          alias: {
            ...resolve.alias,
            '$app/forms': at('./tests/screen/app-forms.ts'),
            '$app/state': at('./tests/screen/app-state.ts')
          },
          conditions: ['browser']
        },
        test: {
          name: 'screen',
          include: ['tests/screen/**/*.test.ts'],
          setupFiles: ['tests/screen/waits.ts'],
          testTimeout: 30_000
        }
      },
      { resolve, test: { name: 'vectors', include: ['tests/vectors/**/*.test.ts'], testTimeout: 60_000 } },
      {
        resolve,
        test: {
          name: 'server',
          include: ['tests/server/**/*.test.ts', 'tests/reliability/**/*.test.ts'],
          testTimeout: 30_000,
          hookTimeout: 60_000,
          fileParallelism: false
        }
      }
    ]
  }
});
