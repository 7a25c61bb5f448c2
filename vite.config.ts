import { sveltekit } from '@sveltejs/kit/vite';
import { defineConfig } from 'vitest/config';
import { coreVersion } from './scripts/lib/core-version.mjs';

export default defineConfig({
  plugins: [sveltekit()],
  define: { __CORE_VERSION__: JSON.stringify(coreVersion()) },
  worker: { format: 'es' },
  build: { target: 'es2022' }
});
