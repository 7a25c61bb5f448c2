import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './scripts/lib/debian.mjs';

export default defineConfig({
  testDir: 'tests/e2e',
  // one at a time: some tests stop the database under everybody
  workers: 1,
  fullyParallel: false,
  timeout: 90_000,
  expect: { timeout: 7000 },
  outputDir: 'test-results/browser',
  use: {
    viewport: { width: 1280, height: 800 },
    baseURL: process.env.E2E_A,
    // what is kept for want of a server would stand in the way of tests about its absence; one file of tests is about it
    serviceWorkers: 'block',
    launchOptions: CHROMIUM
  }
});
